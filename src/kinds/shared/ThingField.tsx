import { useState, type SyntheticEvent } from 'react';
import type { Picture as PictureData } from '@/core/content/picture';
import { Picture } from '@/ui/widgets/paper/Picture';
import { PictureDialog } from '@/ui/editing/media/PictureDialog';
import { isPictureFile } from '@/ui/editing/media/pictureFile';
import { Tool } from './RowTools';
import type { RowOf } from './useRows';

/** Something of a question that has words, a picture, or both. */
export interface Thing {
  readonly id: string;
  readonly text: string;
  readonly picture: PictureData | null;
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
}

/** The words and the picture of one thing in a list, typed in place. */
export function ThingField<One extends Thing>({
  thing,
  place,
  empty = place,
  strong = false,
  rows,
  onLeave,
}: Props<One>) {
  // A picture that was pasted or dropped; or the one that is there, to be changed.
  const [picturing, setPicturing] = useState<'change' | File | null>(null);
  const paste = rows.paste(thing);
  const takeFile = (data: DataTransfer, event: SyntheticEvent): boolean => {
    const file = [...data.files].find(isPictureFile);
    if (!file) return false;
    event.preventDefault();
    setPicturing(file);
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
      <input
        className={`plain-field !w-auto min-w-24 flex-1 ${strong ? 'font-semibold' : ''}`}
        data-row
        aria-label={place}
        placeholder={empty}
        maxLength={2000}
        value={thing.text}
        onChange={(event) => rows.replace({ ...thing, text: event.target.value })}
        onBlur={onLeave}
        onKeyDown={rows.keys(thing)}
        onPaste={(event) => {
          if (!takeFile(event.clipboardData, event)) paste(event);
        }}
        onDrop={(event) => takeFile(event.dataTransfer, event)}
      />
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
