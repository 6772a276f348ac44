import type { Progress } from '@/core/kinds/progress';
import type { Cover } from '@/core/reveal/packets';
import { useText, useTold } from '@/ui/told/useTold';
import { TimeLeft } from './TimeLeft';

interface Props {
  readonly cover: Cover;
  /** The first question of the page at hand, and how many stand on it. */
  readonly from: number;
  readonly count: number;
  /** How far each question is answered, in their order. */
  readonly done: readonly Progress[];
  /** Milliseconds that are left of the time; null where it is not counted down. */
  readonly left: number | null;
}

const DONE: Readonly<Record<Progress, string>> = {
  none: 'bg-line',
  some: 'bg-[linear-gradient(to_right,var(--ink)_50%,var(--line)_50%)]',
  all: 'bg-ink',
};

/** What the quiz is, until when, and how far one has come. */
export function Top({ cover, from, count, done, left }: Props) {
  const { work } = useTold();
  const text = useText();
  const here = (index: number) => index >= from && index < from + count;
  return (
    <>
      <header className="flex items-baseline justify-between gap-3 border-b border-line px-[18px] py-3">
        <p {...text} className="truncate font-semibold">
          {cover.title}
        </p>
        {left !== null && <TimeLeft left={left} />}
        {left === null && (cover.due ?? cover.until) !== null && (
          <p
            className={`caption figures whitespace-nowrap ${cover.overdue ? '!text-saffron-text font-semibold' : ''}`}
          >
            {cover.due === null
              ? work.until(cover.until ?? 0)
              : cover.overdue
                ? work.lateSince(cover.due)
                : work.due(cover.due)}
          </p>
        )}
      </header>
      <div className="flex gap-1 px-[18px] pt-2.5" aria-hidden>
        {done.map((progress, index) => (
          <span
            key={index}
            className={`graphic h-[5px] flex-1 rounded-full ${here(index) && count < done.length ? 'bg-saffron' : DONE[progress]}`}
          />
        ))}
      </div>
    </>
  );
}
