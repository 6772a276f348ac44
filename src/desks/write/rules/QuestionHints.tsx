import { useState } from 'react';
import type { Hint } from '@/core/content/questionBase';
import { multiply, type Fraction } from '@/core/figures/fraction';
import { Another } from '@/kinds/shared/Another';
import { KeyLine } from '@/kinds/shared/KeyLine';
import { Worth } from '@/kinds/shared/KeyRow';
import { newId } from '@/device/ids';
import { ProseField } from '@/ui/editing/ProseField';
import { percent, pointsWord } from '@/ui/words/figures';

interface Props {
  readonly hints: Hint[];
  /** What the question is worth. */
  readonly worth: Fraction;
  /** Whether the first has just been asked for, and takes the focus. */
  readonly asked: boolean;
  readonly onChange: (hints: Hint[]) => void;
}

const MOST = 20;

/** What a student may ask for while answering, in this order, and what each costs. */
export function QuestionHints({ hints, worth, asked: firstAsked, onChange }: Props) {
  const put = (at: number, patch: Partial<Hint>) =>
    onChange(hints.map((hint, index) => (index === at ? { ...hint, ...patch } : hint)));
  // The hint that a press has just added.
  const [asked, setAsked] = useState<number | null>(firstAsked ? 0 : null);
  const add = () => {
    setAsked(hints.length);
    onChange([...hints, { id: newId(), text: '', price: { n: 1, d: 4 } }]);
  };
  return (
    <div className="mt-3">
      <p className="label-small">
        {worth.n > 0
          ? 'Hints (students ask for them in this order, and are told the price first)'
          : 'Hints (students ask for them in this order)'}
      </p>
      <ol>
        {hints.map((hint, at) => (
          <KeyLine
            key={hint.id}
            name={`hint ${at + 1}`}
            mark={<span className="figures pt-1 text-center text-soft">{at + 1}</span>}
            figure={worth.n > 0 && `costs ${percent(hint.price)}`}
            worth={
              worth.n > 0 && (
                <span className="whitespace-nowrap">
                  <Worth
                    words="costs"
                    label={`Price of hint ${at + 1}`}
                    value={hint.price}
                    least={0}
                    onChange={(price) => put(at, { price })}
                  />
                  <span className="caption"> = {pointsWord(multiply(hint.price, worth))}</span>
                </span>
              )
            }
            onRemove={() => onChange(hints.filter((_, index) => index !== at))}
          >
            <ProseField
              label={`Hint ${at + 1}`}
              format={`Format the words of number ${at + 1}`}
              placeholder="What would help a student who is stuck?"
              autoFocus={at === asked}
              value={hint.text}
              onChange={(text) => put(at, { text })}
            />
          </KeyLine>
        ))}
      </ol>
      {hints.length < MOST && <Another onPress={add}>Another hint</Another>}
    </div>
  );
}
