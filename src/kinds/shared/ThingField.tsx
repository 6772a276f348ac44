import { useState, type SyntheticEvent } from 'react';
import type { Clip } from '@/core/content/clip';
import type { Picture as PictureData } from '@/core/content/picture';
import { AudioLines } from '@/ui/widgets/icons';
import { Picture } from '@/ui/widgets/paper/Picture';
import { ClipDialog } from '@/ui/editing/media/ClipDialog';
import { isClipFile } from '@/ui/editing/media/clipFile';
import { PictureDialog } from '@/ui/editing/media/PictureDialog';
import { isPictureFile } from '@/ui/editing/media/pictureFile';
import { Tool } from './RowTools';
import type { RowOf } from './useRows';

/** Something of a question that has words, a picture, a sound, or several of them. */
export interface Thing {
  readonly id: string;
  readonly text: string;
  readonly picture: PictureData | null;
  readonly clip?: Clip | undefined;
}

interface PictureProps {
  readonly thing: Thing;
  /** What the thing is called: “Option 2”. */
  readonly place: string;
  readonly onPicture: (picture: PictureData | null) => void;
}

/** The dialog of a thing's picture: for one that was chosen, pasted or dropped. */
const ThingPicture = ({
  thing,
  file,
  onPicture,
  onClose,
}: Omit<PictureProps, 'place'> & { readonly file: File | null; readonly onClose: () => void }) => (
  <PictureDialog
    picture={thing.picture}
    file={file}
    isAlone={thing.text.trim() === ''}
    onClose={onClose}
    onRemove={thing.picture ? () => onPicture(null) : undefined}
    onSave={onPicture}
  />
);

/** What a row can do: give its thing a picture, where it has none. */
export function PictureTool({
  thing,
  place,
  words = 'Picture',
  onPicture,
}: PictureProps & { readonly words?: string }) {
  const [choosing, setChoosing] = useState(false);
  const close = () => setChoosing(false);
  return (
    <>
      {!thing.picture && <Tool words={words} to={`for ${place}`} onPress={() => setChoosing(true)} />}
      {choosing && (
        <ThingPicture
          thing={thing}
          file={null}
          onClose={close}
          onPicture={(picture) => {
            close();
            onPicture(picture);
          }}
        />
      )}
    </>
  );
}

/** The same thing with another sound or film; null takes it away. */
export function withClip<One extends Thing>({ clip: _, ...thing }: One, clip: Clip | null) {
  return { ...thing, ...(clip && { clip }) };
}

interface ClipProps {
  readonly clip: Clip | undefined;
  readonly onClip: (clip: Clip | null) => void;
}

/** The dialog of a thing's sound or film: for one that was chosen, pasted or dropped. */
const ThingClip = ({
  clip,
  file,
  onClip,
  onClose,
}: ClipProps & { readonly file: File | null; readonly onClose: () => void }) => (
  <ClipDialog
    clip={clip ?? null}
    file={file}
    onClose={onClose}
    onRemove={clip ? () => onClip(null) : undefined}
    onSave={onClip}
  />
);

/** What a row can do: give its thing a sound or a film, where it has none. */
export function ClipTool({ clip, place, onClip }: ClipProps & { readonly place: string }) {
  const [choosing, setChoosing] = useState(false);
  const close = () => setChoosing(false);
  return (
    <>
      {!clip && <Tool words="Sound or video" to={`for ${place}`} onPress={() => setChoosing(true)} />}
      {choosing && (
        <ThingClip
          clip={clip}
          file={null}
          onClose={close}
          onClip={(next) => {
            close();
            onClip(next);
          }}
        />
      )}
    </>
  );
}

interface Props<One extends Thing> {
  readonly thing: One;
  /** What the field is called: “Option 2”. */
  readonly place: string;
  /** Said in the empty field instead. */
  readonly empty?: string;
  readonly strong?: boolean;
  /** The list it stands in. */
  readonly rows: RowOf<One>;
  readonly onLeave?: () => void;
  /** Takes a sound or film for it; absent where none can stand. */
  readonly onClip?: (clip: Clip | null) => void;
}

/** The words, the picture and the sound of one thing in a list, typed in place. */
export function ThingField<One extends Thing>({
  thing,
  place,
  empty = place,
  strong = false,
  rows,
  onLeave,
  onClip,
}: Props<One>) {
  // A picture that was pasted or dropped; or the one that is there, to be changed.
  const [picturing, setPicturing] = useState<'change' | File | null>(null);
  const [sounding, setSounding] = useState<'change' | File | null>(null);
  const paste = rows.paste(thing);
  const takeFile = (data: DataTransfer, event: SyntheticEvent): boolean => {
    const picture = [...data.files].find(isPictureFile);
    const clip = onClip && [...data.files].find(isClipFile);
    if (!picture && !clip) return false;
    event.preventDefault();
    if (picture) setPicturing(picture);
    else if (clip) setSounding(clip);
    return true;
  };
  return (
    <div className="flex flex-wrap items-start gap-1">
      {thing.picture && (
        <button
          type="button"
          className="cursor-pointer"
          aria-label={`Change the picture of ${place}`}
          onClick={() => setPicturing('change')}
        >
          <Picture picture={thing.picture} small />
        </button>
      )}
      <textarea
        rows={1}
        dir="auto"
        className={`plain-field !w-auto min-w-24 flex-1 resize-none field-sizing-content ${strong ? 'font-semibold' : ''}`}
        data-row
        aria-label={place}
        placeholder={empty}
        maxLength={2000}
        value={thing.text}
        onChange={(event) => rows.replace({ ...thing, text: event.target.value.replace(/\n+/g, ' ') })}
        onBlur={onLeave}
        onKeyDown={rows.keys(thing)}
        onPaste={(event) => {
          if (!takeFile(event.clipboardData, event)) paste(event);
        }}
        onDrop={(event) => takeFile(event.dataTransfer, event)}
      />
      {thing.clip && (
        <button
          type="button"
          className="flex min-h-7 cursor-pointer items-center gap-1 text-[13px] text-petrol hover:underline"
          aria-label={`Change the sound or video of ${place}: ${thing.clip.title}`}
          onClick={() => setSounding('change')}
        >
          <AudioLines size={14} aria-hidden />
          {thing.clip.title}
        </button>
      )}
      {onClip && sounding && (
        <ThingClip
          clip={thing.clip}
          file={sounding === 'change' ? null : sounding}
          onClose={() => setSounding(null)}
          onClip={(clip) => {
            setSounding(null);
            onClip(clip);
          }}
        />
      )}
      {picturing && (
        <ThingPicture
          thing={thing}
          file={picturing === 'change' ? null : picturing}
          onClose={() => setPicturing(null)}
          onPicture={(picture) => {
            setPicturing(null);
            rows.replace({ ...thing, picture });
          }}
        />
      )}
    </div>
  );
}
