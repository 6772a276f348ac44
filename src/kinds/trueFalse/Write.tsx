import { ONE, ZERO } from '@/core/figures/fraction';
import type { TrueFalseQuestion } from '@/core/kinds/trueFalse/schema';
import type { Faces } from '../faces';
import { FoldedEntry, FoldedKey } from '../shared/FoldedKey';
import { KeyRow } from '../shared/KeyRow';

const SIDES = [
  ['whenTrue', 'True'],
  ['whenFalse', 'False'],
] as const;

/** The question with one of the two right; the other is wrong unless it earns a part. */
function withRight(question: TrueFalseQuestion, side: 'whenTrue' | 'whenFalse'): TrueFalseQuestion {
  const other = side === 'whenTrue' ? 'whenFalse' : 'whenTrue';
  const { credit } = question[other];
  return {
    ...question,
    [side]: { ...question[side], credit: ONE },
    [other]: { ...question[other], credit: credit.n === credit.d ? ZERO : credit },
  };
}

export const Write: Faces<TrueFalseQuestion>['Write'] = ({ question, onChange }) => (
  <div>
    <p className="label-small mt-3">Press the circle of the right one</p>
    <ul className="mt-1">
      {SIDES.map(([side, name]) => {
        const right = question[side].credit.n > 0;
        return (
          <KeyRow
            key={side}
            entry={question[side]}
            name={name}
            placeholder={right ? 'Feedback' : 'What would help here?'}
            onChange={(entry) => onChange({ ...question, [side]: entry })}
            onToggle={() =>
              onChange(
                right
                  ? { ...question, [side]: { ...question[side], credit: ZERO } }
                  : withRight(question, side),
              )
            }
          >
            <span className={`pt-0.5 ${right ? 'font-semibold' : ''}`}>{name}</span>
          </KeyRow>
        );
      })}
    </ul>
  </div>
);

export const Folded: Faces<TrueFalseQuestion>['Folded'] = ({ question }) => (
  <FoldedKey>
    {SIDES.map(([side, name]) => (
      <FoldedEntry key={side} credit={question[side].credit}>
        {name}
      </FoldedEntry>
    ))}
  </FoldedKey>
);
