import { ArrowDown, ArrowLeft, ArrowRight, ArrowUp, Image } from '@/ui/widgets/icons';
import { useState } from 'react';
import type { Picture as PictureData } from '@/core/content/picture';
import { Picture } from '@/ui/widgets/paper/Picture';
import { PictureDialog } from '@/ui/editing/media/PictureDialog';
import { isPictureFile } from '@/ui/editing/media/pictureFile';
import type { RowOf } from './useRows';

/** Something of a question that has words, a picture, or both. */
interface Thing {
  readonly id: string;
  readonly text: string;
  readonly picture: PictureData | null;
}

interface PictureButtonProps {
  readonly picture: PictureData | null;
  readonly place: string;
  readonly onPress: () => void;
}

/** The thing's picture, to be changed; or a sign that one can be added. */
const PictureButton = ({ picture, place, onPress }: PictureButtonProps) =>
  picture ? (
    <button
      type="button"
      className="cursor-pointer"
      aria-label={`Change the picture of ${place}`}
      onClick={onPress}
    >
      <Picture picture={picture} small />
    </button>
  ) : (
    <button
      type="button"
      className="icon-button"
      aria-label={`Add a picture to ${place}`}
      title="Add a picture"
      onClick={onPress}
    >
      <Image size={15} aria-hidden />
    </button>
  );

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
  // A picture that was pasted; or one to be chosen.
  const [picturing, setPicturing] = useState<'choose' | File | null>(null);
  const paste = rows.paste(thing);
  const put = (picture: PictureData | null) => {
    setPicturing(null);
    rows.replace({ ...thing, picture });
  };
  const choose = (
    <PictureButton picture={thing.picture} place={place} onPress={() => setPicturing('choose')} />
  );
  return (
    <div className="flex flex-wrap items-start gap-1">
      {thing.picture && choose}
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
          const file = [...event.clipboardData.files].find(isPictureFile);
          if (!file) return paste(event);
          event.preventDefault();
          setPicturing(file);
        }}
      />
      {!thing.picture && choose}
      {picturing && (
        <PictureDialog
          picture={thing.picture}
          file={picturing === 'choose' ? null : picturing}
          isAlone={thing.text.trim() === ''}
          onClose={() => setPicturing(null)}
          onRemove={thing.picture ? () => put(null) : undefined}
          onSave={put}
        />
      )}
    </div>
  );
}

interface MoveProps {
  readonly about: string;
  readonly onMove: (by: -1 | 1) => void;
  /** How the entries stand: below each other, or side by side. */
  readonly along?: 'column' | 'row';
}

const WAYS = {
  column: { before: 'up', after: 'down', Before: ArrowUp, After: ArrowDown },
  row: { before: 'to the left', after: 'to the right', Before: ArrowLeft, After: ArrowRight },
} as const;

/** One place towards the beginning or the end of a list. */
export function MoveButtons({ about, onMove, along = 'column' }: MoveProps) {
  const { before, after, Before, After } = WAYS[along];
  return (
    <>
      <button
        type="button"
        className="icon-button"
        aria-label={`Move ${about} ${before}`}
        onClick={() => onMove(-1)}
      >
        <Before size={14} aria-hidden />
      </button>
      <button
        type="button"
        className="icon-button"
        aria-label={`Move ${about} ${after}`}
        onClick={() => onMove(1)}
      >
        <After size={14} aria-hidden />
      </button>
    </>
  );
}
