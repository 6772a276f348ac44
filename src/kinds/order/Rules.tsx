import { MODELS, modelOf } from '@/core/kinds/order/models';
import { X } from '@/ui/widgets/icons';
import { divide, fraction } from '@/core/figures/fraction';
import type { OrderModel, OrderQuestion } from '@/core/kinds/order/schema';
import { PercentField } from '@/ui/widgets/fields/PercentField';
import type { Faces } from '../faces';
import { Another } from '../shared/Another';
import { ChoicePart, SwitchPart } from '../shared/parts/ChoicePart';
import { CountField } from '../shared/numberKey/CountField';
import { ruleOf } from '../shared/ruled';

type LongestRun = Extract<OrderModel, { kind: 'longestRun' }>;

/** A table that says what the stretch earned before: its share of the items. */
const tableOf = (items: number, least: number): LongestRun['table'] =>
  Array.from({ length: Math.max(0, items - least + 1) }, (_, at) => ({
    run: least + at,
    credit: divide(fraction(least + at), fraction(Math.max(1, items))),
  }));

interface RunProps {
  readonly model: LongestRun;
  readonly items: number;
  readonly onChange: (model: LongestRun) => void;
}

/** What a stretch earns: its share of the items, or what a table says. */
function RunPart({ model, items, onChange }: RunProps) {
  const { table, least } = model;
  const put = (next: NonNullable<LongestRun['table']>) => onChange({ ...model, table: next });
  return (
    <>
      {': '}
      <SwitchPart
        label="What a stretch earns"
        value={table === null}
        words={{ true: 'its share of the items', false: 'what the table says' }}
        onChange={(share) => onChange({ ...model, table: share ? null : tableOf(items, least) })}
      />
      {table === null ? (
        <>
          {', from '}
          <CountField
            label="Shortest stretch that counts"
            value={least}
            least={1}
            onChange={(next) => onChange({ ...model, least: next })}
          />
          {' items on'}
        </>
      ) : (
        <span className="mt-1 block border-l-2 border-line pl-4">
          {table.map((row, at) => (
            <span key={at} className="mr-5 inline-flex items-baseline gap-1 whitespace-nowrap">
              <CountField
                label={`Length of stretch ${at + 1}`}
                value={row.run}
                least={1}
                onChange={(run) => put(table.map((one, index) => (index === at ? { ...row, run } : one)))}
              />
              {' together earn '}
              <PercentField
                label={`Points for stretch ${at + 1}`}
                className="sentence-part"
                value={row.credit}
                onChange={(credit) =>
                  put(table.map((one, index) => (index === at ? { ...row, credit } : one)))
                }
              />
              <button
                type="button"
                className="icon-button"
                aria-label={`Delete stretch ${at + 1}`}
                onClick={() => put(table.filter((_, index) => index !== at))}
              >
                <X size={14} aria-hidden />
              </button>
            </span>
          ))}
          <Another
            onPress={() =>
              put([...table, { run: (table.at(-1)?.run ?? least - 1) + 1, credit: fraction(1) }])
            }
          >
            Another stretch
          </Another>
        </span>
      )}
    </>
  );
}

/** How an order becomes part of the points. */
export const Rules: Faces<OrderQuestion>['Rules'] = ({ question, onChange, marked }) => {
  if (!marked) return null;
  const { model } = question;
  const put = (next: OrderModel) => onChange({ ...question, model: next });
  return (
    <>
      {'For part of the points, '}
      <ChoicePart
        label="Partial credit"
        value={model.kind}
        words={MODELS}
        onChange={(kind) => put(modelOf(kind))}
      />
      {model.kind === 'longestRun' && <RunPart model={model} items={question.items.length} onChange={put} />}
      {'. '}
    </>
  );
};

export const ruled: Faces<OrderQuestion>['ruled'] = (question, { marked }) =>
  marked ? [ruleOf(question, 'model', MODELS[question.model.kind])] : [];
