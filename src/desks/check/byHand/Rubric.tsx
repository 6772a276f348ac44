import { valueAt } from '@/core/figures/valueAt';
import { useEffect, useId, useRef, useState, type KeyboardEvent } from 'react';
import { multiply, type Fraction } from '@/core/figures/fraction';
import { rubricCredit, type Criterion, type Levels } from '@/core/kinds/handMarked';
import { points, pointsWord } from '@/ui/words/figures';

interface Props {
  /** Which answer is marked. The form stays the same for all of them, so that no key gets lost between two. */
  readonly at: string;
  readonly rubric: readonly Criterion[];
  /** The levels that were given before. */
  readonly given: Levels;
  readonly possible: Fraction;
  readonly onKey: (event: KeyboardEvent) => void;
  readonly onSave: (levels: Levels) => void;
}

/** The first criterion that has no level yet; the last one where all have. */
const firstOpen = (rubric: readonly Criterion[], levels: Levels): number => {
  const open = rubric.findIndex(({ id }) => valueAt(levels, id) === undefined);
  return open < 0 ? rubric.length - 1 : open;
};

/** The criteria of a rubric, each with a level: by its number for the criterion at hand, which then is the next one. */
export function Rubric({ at, rubric, given, possible, onKey, onSave }: Props) {
  const [chosen, setChosen] = useState({ at, levels: given, criterion: firstOpen(rubric, given) });
  const { levels, criterion: here } =
    chosen.at === at ? chosen : { levels: given, criterion: firstOpen(rubric, given) };
  const box = useRef<HTMLFormElement>(null);
  const name = useId();
  const credit = rubricCredit(rubric, levels);
  useEffect(() => {
    if (!box.current?.contains(document.activeElement)) box.current?.focus({ preventScroll: true });
  }, [at]);
  const pick = (criterion: number, level: string) => {
    const next = { ...levels, [rubric[criterion]?.id ?? '']: level };
    setChosen({ at, levels: next, criterion: Math.min(rubric.length - 1, criterion + 1) });
  };
  const keys = (event: KeyboardEvent) => {
    const level = rubric[here]?.levels[Number(event.key) - 1];
    if (/^[1-9]$/.test(event.key) && level) {
      event.preventDefault();
      pick(here, level.id);
    } else if (event.key === 'Backspace') {
      event.preventDefault();
      setChosen({ at, levels, criterion: Math.max(0, here - 1) });
    } else if (event.key === 'Enter') {
      event.preventDefault();
      if (credit) onSave(levels);
    } else onKey(event);
  };
  return (
    <form
      ref={box}
      data-marking
      tabIndex={-1}
      aria-label="Rubric"
      className="mt-3 outline-none"
      onKeyDown={keys}
      onSubmit={(event) => {
        event.preventDefault();
        if (credit) onSave(levels);
      }}
    >
      {rubric.map((criterion, index) => (
        <div
          key={criterion.id}
          role="radiogroup"
          aria-labelledby={`${name}-${index}`}
          className={`mt-1 border-l-2 py-1 pl-3 ${index === here ? 'border-saffron' : 'border-transparent'}`}
        >
          <p id={`${name}-${index}`} className="text-[14px] font-semibold">
            {criterion.text || `Criterion ${index + 1}`}
          </p>
          {criterion.levels.map((level, number) => (
            <label key={level.id} className="flex min-h-7 cursor-pointer items-baseline gap-2 text-[14px]">
              <input
                type="radio"
                className="radio radio-xs translate-y-[2px]"
                name={`${name}-${criterion.id}`}
                checked={valueAt(levels, criterion.id) === level.id}
                onChange={() => pick(index, level.id)}
              />
              <kbd className="caption max-sm:hidden">{number + 1}</kbd>
              <span className="min-w-0 flex-1">{level.text || 'no description'}</span>
              <span className="figures text-soft">{points(level.points)}</span>
            </label>
          ))}
        </div>
      ))}
      <p className="figures mt-2" role="status">
        {credit ? (
          <span className="font-title text-[20px] font-semibold">
            {points(multiply(credit, possible))} of {pointsWord(possible)}
          </span>
        ) : (
          <span className="caption">Not every criterion has a level yet.</span>
        )}
      </p>
      <button type="submit" className="btn btn-sm btn-primary mt-1" disabled={!credit}>
        Save and next
      </button>
    </form>
  );
}
