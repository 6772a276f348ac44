import { plural } from '@/core/figures/plural';
import { compare, multiply } from '@/core/figures/fraction';
import { hoursOf, type LateRule } from '@/core/quiz/rules';
import { Conflict } from '@/ui/editing/Conflict';
import { count, percent } from '@/ui/words/figures';
import { useTold } from '@/ui/told/useTold';
import { PercentField } from '@/ui/widgets/fields/PercentField';
import { WholeField } from '@/ui/widgets/fields/WholeField';
import { useContentField } from '@/ui/teacher/useContentField';
import { useQuiz } from '@/ui/teacher/quizContext';
import { zoneName } from '@/ui/words/wallField';

type Steps = Extract<LateRule, { kind: 'steps' }>;
type LateTable = Extract<LateRule, { kind: 'table' }>;

const TEN = { n: 1, d: 10 };
const NEW: Readonly<Record<LateRule['kind'], LateRule>> = {
  free: { kind: 'free' },
  steps: { kind: 'steps', step: 'day', share: TEN, of: 'earned', cap: { n: 3, d: 10 } },
  table: {
    kind: 'table',
    rows: [
      { within: 1, unit: 'day', share: TEN },
      { within: 3, unit: 'day', share: { n: 1, d: 4 } },
      { within: 7, unit: 'day', share: { n: 1, d: 2 } },
    ],
    of: 'earned',
  },
};

function Base({
  rule,
  onChange,
}: {
  readonly rule: Steps | LateTable;
  readonly onChange: (rule: LateRule) => void;
}) {
  return (
    <select
      className="sentence-part"
      aria-label="Of which points"
      value={rule.of}
      onChange={(event) => onChange({ ...rule, of: event.target.value as Steps['of'] })}
    >
      <option value="earned">earned points</option>
      <option value="possible">possible points</option>
    </select>
  );
}

function StepParts({
  rule,
  onChange,
}: {
  readonly rule: Steps;
  readonly onChange: (rule: LateRule) => void;
}) {
  return (
    <>
      <PercentField
        className="sentence-part"
        label="Each step costs"
        value={rule.share}
        onChange={(share) => onChange({ ...rule, share })}
      />{' '}
      of the <Base rule={rule} onChange={onChange} /> for each{' '}
      <select
        className="sentence-part"
        aria-label="Steps of"
        value={rule.step}
        onChange={(event) => onChange({ ...rule, step: event.target.value as Steps['step'] })}
      >
        <option value="day">day</option>
        <option value="hour">hour</option>
      </select>
      {rule.step === 'hour' ? ' (or part of an hour), ' : ' (or part of a day), '}
      {rule.cap === null ? '' : 'at most '}
      {rule.cap !== null && (
        <PercentField
          className="sentence-part"
          label="At most"
          value={rule.cap}
          onChange={(cap) => onChange({ ...rule, cap })}
        />
      )}{' '}
      <button
        type="button"
        className="link-text cursor-pointer text-[13.5px]"
        onClick={() => onChange({ ...rule, cap: rule.cap === null ? { n: 1, d: 2 } : null })}
      >
        {rule.cap === null ? 'no limit: set one' : 'remove the limit'}
      </button>
    </>
  );
}

interface RowProps {
  readonly rows: LateTable['rows'];
  readonly at: number;
  readonly onRow: (row: LateTable['rows'][number]) => void;
  readonly onRemove: () => void;
}

type Row = LateTable['rows'][number];
const NEW_ROW: Row = { within: 1, unit: 'day', share: TEN };
const MOST = 1000;

/** True where a row stands between the times of the row before and the one after. */
const fitsBetween = (rows: LateTable['rows'], at: number, row: Row): boolean =>
  row.within >= 1 &&
  row.within <= MOST &&
  hoursOf(row) > hoursOf(rows[at - 1]) &&
  (rows[at + 1] === undefined || hoursOf(row) < hoursOf(rows[at + 1]));

/** One row of the table: up to how many hours or days late, and what that costs. */
function LateRow({ rows, at, onRow, onRemove }: RowProps) {
  const row = rows[at] ?? NEW_ROW;
  const change = (changed: Partial<Row>) => {
    const next = { ...row, ...changed };
    if (fitsBetween(rows, at, next)) onRow(next);
  };
  return (
    <li>
      up to{' '}
      <WholeField
        className="sentence-part !w-14"
        label={`Time of row ${at + 1}`}
        value={row.within}
        fits={(within) => fitsBetween(rows, at, { ...row, within })}
        hint="More than in the row above, and less than in the row below"
        onChange={(within) => change({ within })}
      />{' '}
      <select
        className="sentence-part"
        aria-label={`Unit of row ${at + 1}`}
        value={row.unit}
        onChange={(event) => change({ unit: event.target.value as Row['unit'] })}
      >
        <option value="hour" disabled={!fitsBetween(rows, at, { ...row, unit: 'hour' })}>
          {plural(row.within, 'hour')}
        </option>
        <option value="day" disabled={!fitsBetween(rows, at, { ...row, unit: 'day' })}>
          {plural(row.within, 'day')}
        </option>
      </select>
      {at === rows.length - 1 && ', and any longer'}:{' '}
      <PercentField
        className="sentence-part"
        label={`Cost of row ${at + 1}`}
        value={row.share}
        onChange={(share) => onRow({ ...row, share })}
      />{' '}
      {rows.length > 1 && (
        <button
          type="button"
          className="link-text cursor-pointer text-[13.5px]"
          aria-label={`Remove row ${at + 1}`}
          onClick={onRemove}
        >
          remove
        </button>
      )}
    </li>
  );
}

function TableParts({
  rule,
  onChange,
}: {
  readonly rule: LateTable;
  readonly onChange: (rule: LateRule) => void;
}) {
  const rows = [...rule.rows];
  const put = (at: number, row: LateTable['rows'][number]) =>
    onChange({ ...rule, rows: rows.map((one, index) => (index === at ? row : one)) });
  return (
    <>
      a share of the <Base rule={rule} onChange={onChange} /> by hours and calendar days:
      <ol className="mt-1 ml-6 list-none">
        {rows.map((_, at) => (
          <LateRow
            key={at}
            rows={rows}
            at={at}
            onRow={(next) => put(at, next)}
            onRemove={() => onChange({ ...rule, rows: rows.filter((_, index) => index !== at) })}
          />
        ))}
        {rows.length < 50 && (rows.at(-1)?.within ?? 0) < MOST && (
          <li>
            <button
              type="button"
              className="link-text cursor-pointer text-[13.5px]"
              onClick={() => {
                const last = rows.at(-1);
                const next = last ? { ...last, within: last.within + 1 } : NEW_ROW;
                onChange({ ...rule, rows: [...rows, next] });
              }}
            >
              Another row
            </button>
          </li>
        )}
      </ol>
    </>
  );
}

/** What the rule does to a paper of so many points, handed in so late. */
function Example({ rule }: { readonly rule: Steps }) {
  const twice = multiply(rule.share, { n: 2, d: 1 });
  const lost = rule.cap && compare(twice, rule.cap) > 0 ? rule.cap : twice;
  return (
    <p className="caption leading-normal">
      Handed in {count(2, rule.step)} late: minus {percent(lost)} of the {rule.of} points.
    </p>
  );
}

/** What being late costs, in one sentence that can be changed. */
export function LateSentence() {
  const draft = useContentField('late', 'Change what being late costs');
  const told = useTold().cover;
  const { value: rule, edit } = draft;
  const { content } = useQuiz().quiz;
  return (
    <>
      <Conflict draft={draft} what="What being late costs" show={(version) => <p>{told.late(version)}</p>} />
      Work handed in after the due time loses{' '}
      <select
        className="sentence-part"
        aria-label="What late work loses"
        value={rule.kind}
        onChange={(event) => edit(NEW[event.target.value as LateRule['kind']])}
      >
        <option value="free">nothing</option>
        <option value="steps">a percentage per day or hour</option>
        <option value="table">a percentage that depends on the time</option>
      </select>
      {rule.kind === 'free' && '. '}
      {rule.kind !== 'free' && ': '}
      {rule.kind === 'steps' && (
        <>
          <StepParts rule={rule} onChange={edit} />
          <Example rule={rule} />
        </>
      )}
      {rule.kind === 'table' && <TableParts rule={rule} onChange={edit} />}
      {rule.kind !== 'free' && (
        <p className="caption leading-normal">Days are counted by the clock of {zoneName(content.zone)}.</p>
      )}
    </>
  );
}
