import type { Penalty } from '@/core/content/questionBase';
import { ChoicePart } from '@/kinds/shared/parts/ChoicePart';
import { DecimalField } from '@/ui/widgets/fields/DecimalField';
import { PercentField } from '@/ui/widgets/fields/PercentField';
import { PENALTIES, penaltyWords } from '@/ui/words/costWords';

/** A penalty of another kind, as it is at first. */
const penaltyOf = (kind: Penalty['kind']): Penalty => {
  if (kind === 'share') return { kind, share: { n: 1, d: 4 } };
  if (kind === 'points') return { kind, points: { n: 1, d: 2 } };
  return { kind };
};

interface Props<Value extends Penalty | null> {
  readonly value: Value;
  /** What the quiz has; null where this is the quiz's own. */
  readonly quiz: Penalty | null;
  /** Whether something can be guessed, so that what guessing gains can be the price. */
  readonly guessable: boolean;
  readonly onChange: (value: Value | Penalty | null) => void;
}

/** Part of a sentence: what an answer costs in which nothing is right. */
export function PenaltyPart<Value extends Penalty | null>({
  value,
  quiz,
  guessable,
  onChange,
}: Props<Value>) {
  const { guessing, ...typed } = PENALTIES;
  const kinds = guessable || value?.kind === 'guessing' ? { ...typed, guessing } : typed;
  const own = quiz ? { asQuiz: `${penaltyWords(quiz)} (quiz default)`, ...kinds } : kinds;
  return (
    <>
      <ChoicePart<string>
        label="What a wrong answer costs"
        value={value?.kind ?? 'asQuiz'}
        quiet={quiz !== null && value === null}
        words={own}
        onChange={(next) => onChange(next === 'asQuiz' ? null : penaltyOf(next as Penalty['kind']))}
      />
      {value?.kind === 'share' && (
        <>
          {': '}
          <PercentField
            className="sentence-part"
            label="Share that a wrong answer costs"
            value={value.share}
            onChange={(share) => onChange({ kind: 'share', share })}
          />
        </>
      )}
      {value?.kind === 'points' && (
        <>
          {': '}
          <DecimalField
            className="sentence-part text-center"
            label="Points that a wrong answer costs"
            value={value.points}
            most={1000}
            onChange={(lost) => onChange({ kind: 'points', points: lost })}
          />
        </>
      )}
    </>
  );
}
