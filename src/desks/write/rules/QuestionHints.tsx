import { X } from '@/ui/widgets/icons';
import type { Hint } from '@/core/content/questionBase';
import { multiply, type Fraction } from '@/core/figures/fraction';
import { Another } from '@/kinds/shared/Another';
import { newId } from '@/device/ids';
import { ProseField } from '@/ui/editing/ProseField';
import { PercentField } from '@/ui/widgets/fields/PercentField';
import { pointsWord } from '@/ui/words/figures';

interface Props {
  readonly hints: Hint[];
  /** What the question is worth. */
  readonly worth: Fraction;
  readonly onChange: (hints: Hint[]) => void;
}

const MOST = 20;

/** What a student may ask for while answering, in this order, and what each costs. */
export function QuestionHints({ hints, worth, onChange }: Props) {
  const put = (at: number, patch: Partial<Hint>) =>
    onChange(hints.map((hint, index) => (index === at ? { ...hint, ...patch } : hint)));
  const add = () => onChange([...hints, { id: newId(), text: '', price: { n: 1, d: 4 } }]);
  return (
    <div className="mt-3">
      {hints.length > 0 && (
        <>
          <p className="label-small">
            {worth.n > 0
              ? 'Hints (students ask for them in this order, and are told the price first)'
              : 'Hints (students ask for them in this order)'}
          </p>
          <ol>
            {hints.map((hint, at) => (
              <li key={hint.id} className="flex items-start gap-2 border-b border-dotted border-line py-1">
                <span className="figures w-4 pt-1 text-soft">{at + 1}</span>
                <ProseField
                  label={`Hint ${at + 1}`}
                  format={`Format the words of number ${at + 1}`}
                  placeholder="What would help a student who is stuck?"
                  value={hint.text}
                  onChange={(text) => put(at, { text })}
                />
                {worth.n > 0 && (
                  <span className="pt-1 text-[14px] whitespace-nowrap">
                    {'costs '}
                    <PercentField
                      className="sentence-part"
                      label={`Price of hint ${at + 1}`}
                      value={hint.price}
                      onChange={(price) => put(at, { price })}
                    />
                    <span className="caption"> = {pointsWord(multiply(hint.price, worth))}</span>
                  </span>
                )}
                <button
                  type="button"
                  className="icon-button"
                  aria-label={`Delete hint ${at + 1}`}
                  onClick={() => onChange(hints.filter((_, index) => index !== at))}
                >
                  <X size={15} aria-hidden />
                </button>
              </li>
            ))}
          </ol>
        </>
      )}
      {hints.length < MOST && (
        <Another to='textarea[aria-label^="Hint "]' onPress={add}>
          {hints.length === 0 ? 'Add a hint' : 'Another hint'}
        </Another>
      )}
    </div>
  );
}
