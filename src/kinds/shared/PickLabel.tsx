import { useRef, type ReactNode } from 'react';
import { flushSync } from 'react-dom';
import type { Clip } from '@/core/content/clip';
import type { Picture as PictureData } from '@/core/content/picture';
import { useText, useTold } from '@/ui/told/useTold';
import { useSpoken, Words } from '@/ui/widgets/paper/Formula';
import { ClipView } from '@/ui/widgets/paper/ClipView';
import { Picture } from '@/ui/widgets/paper/Picture';
import { useSaying } from './sit/useSaying';

interface Props {
  readonly type: 'radio' | 'checkbox';
  /** The group it belongs to. */
  readonly name: string;
  readonly checked: boolean;
  readonly onCheck: () => void;
  readonly children: ReactNode;
  readonly className?: string;
  /** What is in the same frame and is not pressed with it. */
  readonly below?: ReactNode;
}

/** Something to pick, as large as a finger needs it: pressed anywhere, it is picked. */
export const PickLabel = ({ type, name, checked, onCheck, children, className = 'mb-2', below }: Props) => (
  <div
    className={`rounded border ${className} ${checked ? 'border-ink bg-paper ring-1 ring-ink' : 'border-[var(--field)]'}`}
  >
    <label
      {...useText()}
      className={`flex min-h-12 cursor-pointer items-center gap-3 px-4 py-2.5 ${checked ? 'font-semibold' : ''}`}
    >
      <input
        type={type}
        className="size-4 flex-none accent-[var(--petrol)]"
        name={name}
        checked={checked}
        onChange={onCheck}
      />
      <span className="min-w-0 flex-1 wrap-anywhere">{children}</span>
    </label>
    {below}
  </div>
);

interface Pickable {
  readonly text: string;
  readonly picture: PictureData | null;
  readonly clip?: Clip | undefined;
}

/** The words and picture of something to pick; what its sound is called, where it is nothing else. */
export const PickWords = ({ text, picture, clip }: Pickable) => (
  <>
    {picture && <Picture picture={picture} />}
    <Words text={text || picture ? text : (clip?.title ?? '')} />
  </>
);

/** The sound or film of something to pick, to be played without picking it. */
export const PickClip = ({ clip }: Pick<Pickable, 'clip'>) =>
  clip && (
    <div className="px-4 pb-2 pl-11">
      <ClipView clip={clip} captioned={false} />
    </div>
  );

/** What a thing is called where it is spoken of: its words, formulas spoken, else what its picture shows or its sound is called. */
export function useSpokenName(): (thing: Pickable) => string {
  const spoken = useSpoken();
  return ({ text, picture, clip }) => spoken(text).trim() || picture?.alt || (clip?.title ?? '');
}

interface ClearProps {
  /** False where there is nothing to take back. */
  readonly shown: boolean;
  readonly onClear: () => void;
}

/** Takes an answer back: that is said, and the focus goes on to the first thing that can be picked. */
export function ClearAnswer({ shown, onClear }: ClearProps) {
  const { picking } = useTold();
  const { say, said } = useSaying();
  const place = useRef<HTMLDivElement>(null);
  return (
    <div ref={place}>
      {shown && (
        <button
          type="button"
          className="link-text min-h-8 cursor-pointer text-[14px]"
          onClick={() => {
            flushSync(onClear);
            say(picking.cleared);
            place.current?.parentElement?.querySelector<HTMLElement>('input, button')?.focus();
          }}
        >
          {picking.clear}
        </button>
      )}
      {said}
    </div>
  );
}
