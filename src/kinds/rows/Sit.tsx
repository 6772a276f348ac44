import { valueAt } from '@/core/figures/valueAt';
import { useSpoken, Words } from '@/ui/widgets/paper/Formula';
import { flushSync } from 'react-dom';
import { useText, useTold } from '@/ui/told/useTold';
import type { SitProps } from '../faces';
import { useSaying } from '../shared/sit/useSaying';
import { PickLabel } from '../shared/PickLabel';

/** Each row has an answer of its own: one of its options, or every one that fits. */
export default function RowsSit({ face, answer, labelledBy, onAnswer }: SitProps) {
  const spoken = useSpoken();
  const { picking } = useTold();
  const own = useText();
  const { say, said } = useSaying();
  if (face.kind !== 'rows') return null;
  const picked = answer?.kind === 'rows' ? answer.picked : {};
  const inRow = (id: string): readonly string[] => valueAt(picked, id) ?? [];
  const put = (row: string, options: readonly string[]) => {
    const { [row]: _, ...rest } = picked;
    const next = options.length === 0 ? rest : { ...rest, [row]: [...options] };
    onAnswer(Object.keys(next).length === 0 ? null : { kind: 'rows', picked: next });
  };
  const press = (row: string, several: boolean, option: string) => {
    const now = inRow(row);
    if (!several) put(row, now.includes(option) ? [] : [option]);
    else put(row, now.includes(option) ? now.filter((one) => one !== option) : [...now, option]);
  };
  return (
    <div role="group" aria-labelledby={labelledBy}>
      {face.rows.map((row, at) => (
        <fieldset key={row.id} className="min-w-0 border-b border-hair py-3">
          <legend {...own} className="float-left mb-2 w-full wrap-anywhere">
            <Words text={row.text} />
            {row.several && <span className="caption"> · {picking.severalRow}</span>}
          </legend>
          <div className="clear-both flex flex-wrap gap-2">
            {row.options.map((option) => (
              <PickLabel
                key={option.id}
                type={row.several ? 'checkbox' : 'radio'}
                name={`${labelledBy}-row-${at}`}
                className="!min-h-11 !py-1.5"
                checked={inRow(row.id).includes(option.id)}
                onCheck={() => press(row.id, row.several, option.id)}
              >
                <Words text={option.text} />
              </PickLabel>
            ))}
          </div>
          {!row.several && inRow(row.id).length > 0 && (
            <button
              type="button"
              className="link-text mt-1 min-h-8 cursor-pointer text-[14px]"
              aria-label={picking.clearOf(spoken(row.text))}
              onClick={({ currentTarget }) => {
                const first = currentTarget.closest('fieldset')?.querySelector('input');
                flushSync(() => put(row.id, []));
                say(picking.cleared);
                first?.focus();
              }}
            >
              {picking.clearRow}
            </button>
          )}
        </fieldset>
      ))}
      {said}
    </div>
  );
}
