import { useCallback, useEffect, useState } from 'react';
import { PICTURE_SHARES, type Picture as PictureData } from '@/core/content/picture';
import { Dialog } from '../../widgets/dialogs/Dialog';
import { FileDrop } from '../../widgets/fields/FileDrop';
import { run } from '../../widgets/press/press';
import { Picture } from '../../widgets/paper/Picture';
import { PICTURE_TYPES, takePicture } from './pictureFile';
import { InsertFoot } from './InsertFoot';

interface Props {
  readonly picture: PictureData | null;
  /** A file that was pasted or dropped. */
  readonly file?: File | null;
  readonly onSave: (picture: PictureData) => void;
  readonly onRemove?: (() => void) | undefined;
  readonly onClose: () => void;
  /** True where no words stand beside it: an option, an item or a partner that is a picture. */
  readonly isAlone?: boolean;
}

type ChosenPicture = Pick<PictureData, 'hash' | 'width' | 'height'>;

interface DescriptionProps {
  readonly alt: string;
  readonly onAlt: (alt: string) => void;
  /** True for a picture that says nothing of its own. */
  readonly plain: boolean;
  /** null: it stands for itself, so that it has to be described. */
  readonly onPlain: ((plain: boolean) => void) | null;
}

const Description = ({ alt, onAlt, plain, onPlain }: DescriptionProps) => (
  <>
    <label className="mt-4 block">
      <span className="label-small">Description, read aloud to students who cannot see the picture</span>
      <input
        className="lined-field"
        maxLength={1000}
        disabled={plain}
        value={alt}
        onChange={(event) => onAlt(event.target.value)}
      />
    </label>
    {onPlain && (
      <label className="mt-2 flex items-center gap-2">
        <input
          type="checkbox"
          className="size-4 accent-[var(--petrol)]"
          checked={plain}
          onChange={(event) => onPlain(event.target.checked)}
        />
        Decorative picture: no description needed
      </label>
    )}
  </>
);

interface WidthProps {
  readonly share: PictureData['share'];
  readonly onShare: (share: PictureData['share']) => void;
}

const Width = ({ share, onShare }: WidthProps) => (
  <p className="mt-3">
    Show it at{' '}
    <select
      className="sentence-part"
      aria-label="Width of the picture"
      value={share}
      onChange={(event) => onShare(Number(event.target.value) as PictureData['share'])}
    >
      {PICTURE_SHARES.map((one) => (
        <option key={one} value={one}>
          {one}%
        </option>
      ))}
    </select>{' '}
    of the page width.
  </p>
);

/** The picture that was chosen last, first the one that was pasted; and why one could not be taken. */
function useTaken(picture: ChosenPicture | null, file: File | null) {
  const [taken, setTaken] = useState<ChosenPicture | null>(picture);
  const [error, setError] = useState<string | null>(null);
  const take = useCallback(async (chosen: File) => {
    const result = await takePicture(chosen);
    setError(result.ok ? null : result.error);
    if (result.ok) setTaken(result.picture);
  }, []);
  useEffect(() => {
    if (file) run(() => take(file));
  }, [file, take]);
  return { taken, error, take };
}

/** A picture is chosen, described for those who cannot see it, and given its width. */
export function PictureDialog({ picture, file = null, isAlone = false, onSave, onRemove, onClose }: Props) {
  const { taken, error, take } = useTaken(picture, file);
  const [alt, setAlt] = useState(picture?.alt ?? '');
  const [plain, setPlain] = useState(!isAlone && picture !== null && picture.alt === '');
  const [share, setShare] = useState<PictureData['share']>(picture?.share ?? 50);
  const described = plain || alt.trim() !== '';
  return (
    <Dialog title={picture ? 'Picture' : 'Add a picture'} onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (taken && described) onSave({ ...taken, alt: plain ? '' : alt.trim(), share });
        }}
      >
        {taken ? (
          <div className="flex justify-center bg-hair p-3">
            <div className="w-64">
              <Picture picture={{ ...taken, alt, share: 100 }} />
            </div>
          </div>
        ) : (
          <FileDrop
            label="Picture file"
            accept={PICTURE_TYPES}
            onFiles={([chosen]) => chosen && run(() => take(chosen))}
          />
        )}
        {error && (
          <p role="alert" className="mt-3 border-l-2 border-saffron bg-wash px-3 py-2">
            {error}
          </p>
        )}
        <Description alt={alt} onAlt={setAlt} plain={plain} onPlain={isAlone ? null : setPlain} />
        <Width share={share} onShare={setShare} />
        <InsertFoot
          what="picture"
          fresh={picture === null}
          ready={taken !== null && described}
          onRemove={onRemove}
          onClose={onClose}
        />
      </form>
    </Dialog>
  );
}
