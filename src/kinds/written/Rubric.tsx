import { add, larger, ZERO, type Fraction } from '@/core/figures/fraction';
import { newCriterion, newLevel, type Level } from '@/core/kinds/written/edit';
import type { Criterion } from '@/core/kinds/written/schema';
import { newId } from '@/device/ids';
import { DecimalField } from '@/ui/widgets/fields/DecimalField';
import { pointsWord } from '@/ui/words/figures';
import { Another } from '../shared/Another';
import { useHandRow } from '../shared/handRow';
import { RowTools, Tool } from '../shared/RowTools';

interface LevelProps {
  readonly level: Level;
  readonly place: string;
  readonly onChange: (level: Level) => void;
  readonly onRemove: (() => void) | undefined;
}

/** One level: what it is worth, and what an answer of that level does. */
function LevelCell({ level, place, onChange, onRemove }: LevelProps) {
  const row = useHandRow();
  return (
    <div className="min-w-28 flex-1 border-l border-line px-2 py-1" {...row.taking}>
      <DecimalField
        value={level.points}
        label={`Points of ${place}`}
        most={1000}
        className="plain-field figures !w-10 font-semibold"
        onChange={(points) => onChange({ ...level, points })}
      />
      <textarea
        className="plain-field resize-none text-[14px] field-sizing-content"
        rows={1}
        aria-label={`What ${place} is`}
        placeholder="what it takes"
        maxLength={2000}
        value={level.text}
        onChange={(event) => onChange({ ...level, text: event.target.value })}
      />
      {onRemove && (
        <RowTools row={row} name={place}>
          <Tool words="Delete" to={place} onPress={onRemove} />
        </RowTools>
      )}
    </div>
  );
}

interface NameProps {
  readonly criterion: Criterion;
  readonly at: number;
  readonly onChange: (criterion: Criterion) => void;
  readonly onRemove: (() => void) | undefined;
}

/** What a criterion is called, and in hand what can be done with it. */
function CriterionName({ criterion, at, onChange, onRemove }: NameProps) {
  const row = useHandRow();
  const name = criterion.text.trim() || `criterion ${at + 1}`;
  const { levels } = criterion;
  return (
    <div {...row.taking}>
      <input
        className="plain-field font-semibold"
        aria-label={`Criterion ${at + 1}`}
        placeholder={`Criterion ${at + 1}`}
        maxLength={2000}
        value={criterion.text}
        onChange={(event) => onChange({ ...criterion, text: event.target.value })}
      />
      <RowTools row={row} name={name}>
        {levels.length < 20 && (
          <Tool
            words="Another level"
            to={`of ${name}`}
            onPress={() =>
              onChange({ ...criterion, levels: [...levels, newLevel(newId(), '', levels.length)] })
            }
          />
        )}
        {onRemove && <Tool words="Delete this criterion" to={name} onPress={onRemove} />}
      </RowTools>
    </div>
  );
}

interface Props {
  readonly rubric: readonly Criterion[];
  readonly onChange: (rubric: Criterion[]) => void;
}

/** The most that the rubric gives. */
const bestOf = (rubric: readonly Criterion[]): Fraction =>
  rubric.map(({ levels }) => levels.map(({ points }) => points).reduce(larger, ZERO)).reduce(add, ZERO);

/** Criteria below each other, the levels of each beside it. */
export function Rubric({ rubric, onChange }: Props) {
  const set = (changed: Criterion) => onChange(rubric.map((one) => (one.id === changed.id ? changed : one)));
  return (
    <div>
      <p className="label-small mt-3">
        Criteria and their levels, {pointsWord(bestOf(rubric))} at best; their share counts
      </p>
      <ul aria-label="Criteria">
        {rubric.map((criterion, at) => {
          const name = criterion.text.trim() || `criterion ${at + 1}`;
          const put = (levels: Level[]) => set({ ...criterion, levels });
          return (
            <li key={criterion.id} className="border-b border-dotted border-line py-1.5">
              <CriterionName
                criterion={criterion}
                at={at}
                onChange={set}
                onRemove={
                  rubric.length > 1
                    ? () => onChange(rubric.filter(({ id }) => id !== criterion.id))
                    : undefined
                }
              />
              <div className="flex flex-wrap">
                {criterion.levels.map((level, index) => (
                  <LevelCell
                    key={level.id}
                    level={level}
                    place={`level ${index + 1} of ${name}`}
                    onChange={(changed) =>
                      put(criterion.levels.map((one) => (one.id === level.id ? changed : one)))
                    }
                    onRemove={
                      criterion.levels.length > 1
                        ? () => put(criterion.levels.filter(({ id }) => id !== level.id))
                        : undefined
                    }
                  />
                ))}
              </div>
            </li>
          );
        })}
      </ul>
      {rubric.length < 30 && (
        <Another
          to='input[aria-label^="Criterion "]'
          onPress={() => onChange([...rubric, newCriterion(newId, '', rubric.at(-1))])}
        >
          Another criterion
        </Another>
      )}
    </div>
  );
}
