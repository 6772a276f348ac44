import { useRef } from 'react';
import { SILENCE } from '@/core/content/silence';
import { ZERO, ONE } from '@/core/figures/fraction';
import { rightIn } from '@/core/kinds/gaps/cells';
import { withType, type GapType } from '@/core/kinds/gaps/edit';
import type { Gap, GapsQuestion } from '@/core/kinds/gaps/schema';
import type { MarkingContext } from '@/core/marks/mark';
import { newId } from '@/device/ids';
import { DecimalField } from '@/ui/widgets/fields/DecimalField';
import { Another } from '../shared/Another';
import { ChoicePart } from '../shared/parts/ChoicePart';
import { KeyRow } from '../shared/KeyRow';
import { NumberPart } from '../shared/numberKey/NumberPart';
import { RightNumber } from '../shared/numberKey/RightNumber';
import { SpellingPart } from '../shared/textKey/SpellingPart';
import { VariantList } from '../shared/textKey/VariantList';
import { UnmatchedPart } from '../shared/parts/UnmatchedPart';
import { MoveTools } from '../shared/RowTools';
import { useRows } from '../shared/useRows';
import { gapLabel } from './gapNode';

const TYPES: Readonly<Record<GapType, string>> = {
  text: 'typed by the student',
  number: 'a number typed by the student',
  list: 'picked from a list',
  bank: 'filled from the word bank',
  pool: 'filled with one of the ideas below',
};

interface Editing<One extends Gap> {
  readonly question: GapsQuestion;
  readonly gap: One;
  readonly name: string;
  readonly context: MarkingContext;
  readonly onGap: (gap: One) => void;
}

function TextGap({ gap, name, context: { language }, onGap }: Editing<Extract<Gap, { type: 'text' }>>) {
  const put = (variants: typeof gap.variants) => onGap({ ...gap, variants });
  return (
    <>
      <VariantList side="right" about={name} textKey={gap} language={language} onChange={put} />
      <VariantList side="wrong" about={name} textKey={gap} language={language} onChange={put} />
      <p className="mt-3 leading-loose">
        <UnmatchedPart value={gap.unmatched} onChange={(unmatched) => onGap({ ...gap, unmatched })} />
        <SpellingPart
          settings={gap.settings}
          language={language}
          onChange={(settings) => onGap({ ...gap, settings })}
        />
      </p>
    </>
  );
}

const NumberGap = ({ gap, context, onGap }: Editing<Extract<Gap, { type: 'number' }>>) => (
  <>
    <RightNumber numberKey={gap} reading={context} onChange={(changed) => onGap({ ...gap, ...changed })} />
    <p className="mt-3 leading-loose">
      <UnmatchedPart value={gap.unmatched} onChange={(unmatched) => onGap({ ...gap, unmatched })} />
      <NumberPart numberKey={gap} reading={context} onChange={(changed) => onGap({ ...gap, ...changed })} />
    </p>
  </>
);

type ListGapData = Extract<Gap, { type: 'list' }>;
type ListOption = ListGapData['options'][number];

const blankOption = (text = ''): ListOption => ({ id: newId(), text, credit: ZERO, feedback: SILENCE });

function ListGap({ gap, name, onGap }: Editing<ListGapData>) {
  const rows = useRows<ListOption>({
    rows: gap.options,
    onRows: (options) => onGap({ ...gap, options }),
    blank: blankOption,
    isEmpty: ({ text }) => text.trim() === '',
    fill: (option, text) => ({ ...option, text }),
    most: 50,
  });
  return (
    <>
      <p className="label-small mt-3">The list (press the circle of the right one)</p>
      <ul ref={rows.list}>
        {gap.options.map((option, at) => {
          const place = `Option ${at + 1} of ${name}`;
          return (
            <KeyRow
              key={option.id}
              entry={option}
              name={option.text || place}
              onChange={rows.replace}
              onRemove={() => rows.remove(option)}
              onToggle={() => rows.replace({ ...option, credit: option.credit.n > 0 ? ZERO : ONE })}
              tools={<MoveTools name={option.text || place} onMove={(by) => rows.moveBy(option, by)} />}
            >
              <input
                className={`plain-field ${option.credit.n > 0 ? 'font-semibold' : ''}`}
                data-row
                aria-label={place}
                placeholder={`Option ${at + 1}`}
                maxLength={500}
                value={option.text}
                onChange={(event) => rows.replace({ ...option, text: event.target.value })}
                onKeyDown={rows.keys(option)}
                onPaste={rows.paste(option)}
              />
            </KeyRow>
          );
        })}
      </ul>
      <Another onPress={() => rows.add()}>Another option</Another>
    </>
  );
}

type BankGapData = Extract<Gap, { type: 'bank' }>;

/** Which words of the bank are right in this gap: each with its credit and feedback here. */
function BankGap({ question, gap, onGap }: Editing<BankGapData>) {
  const entryOf = (word: string) =>
    gap.words.find((one) => one.word === word) ?? { word, credit: ZERO, feedback: SILENCE };
  const put = (entry: BankGapData['words'][number]) => {
    const others = gap.words.filter(({ word }) => word !== entry.word);
    onGap({ ...gap, words: [...others, entry] });
  };
  if (question.bank.length === 0) return <p className="mt-2 text-soft">The bank has no words yet.</p>;
  return (
    <>
      <p className="label-small mt-3">Words of the bank (press the circle of the one that belongs here)</p>
      <ul>
        {question.bank.map(({ id, text }) => {
          const entry = entryOf(id);
          return (
            <KeyRow
              key={id}
              entry={entry}
              name={text || 'empty word'}
              placeholder={entry.credit.n > 0 ? 'Feedback' : 'What would help here?'}
              onChange={put}
              onToggle={() => put({ ...entry, credit: entry.credit.n > 0 ? ZERO : ONE })}
            >
              <span className={`pt-0.5 ${entry.credit.n > 0 ? 'font-semibold' : ''}`}>
                {text || 'empty word'}
              </span>
            </KeyRow>
          );
        })}
      </ul>
    </>
  );
}

/** What is right in a gap, by its type. */
function GapKey({ gap, onGap, ...more }: Editing<Gap>) {
  switch (gap.type) {
    case 'text':
      return <TextGap gap={gap} onGap={onGap} {...more} />;
    case 'number':
      return <NumberGap gap={gap} onGap={onGap} {...more} />;
    case 'list':
      return <ListGap gap={gap} onGap={onGap} {...more} />;
    case 'bank':
      return <BankGap gap={gap} onGap={onGap} {...more} />;
    case 'pool':
      return null;
  }
}

/** A key that was left, without words that the bank has lost since. */
const withoutGone = (gap: Gap, { bank }: GapsQuestion): Gap =>
  gap.type === 'bank'
    ? { ...gap, words: gap.words.filter(({ word }) => bank.some(({ id }) => id === word)) }
    : gap;

interface Props {
  readonly question: GapsQuestion;
  readonly gap: Gap;
  readonly context: MarkingContext;
  readonly onChange: (question: GapsQuestion) => void;
}

/** The gap in hand, below the passage: how it is filled, what is right in it, what it counts. */
export function GapPanel({ question, gap, context, onChange }: Props) {
  const at = question.gaps.indexOf(gap);
  const name = `gap ${at + 1}`;
  const put = (changed: Gap) =>
    onChange({ ...question, gaps: question.gaps.map((one) => (one.id === gap.id ? changed : one)) });
  // The keys of ways to fill gaps that were left: who comes back to one finds its key.
  const left = useRef(new Map<string, Gap>());
  const label = gapLabel(question, gap);
  return (
    <section aria-label={`Gap ${at + 1} in hand`} className="mt-3 border-l-2 border-petrol pl-4">
      <p className="leading-loose">
        <span className="font-semibold">{label ? `“${label}”` : `Gap ${at + 1}`}</span>
        {' is '}
        <ChoicePart
          label={`How gap ${at + 1} is filled`}
          value={gap.type}
          words={TYPES}
          onChange={(type) => {
            left.current.set(`${gap.id} ${gap.type}`, gap);
            const before = left.current.get(`${gap.id} ${type}`);
            if (before) put({ ...withoutGone(before, question), weight: gap.weight });
            else onChange(withType(question, gap, type, { newId, context }));
          }}
        />
        {question.model === 'weightedSum' && question.gaps.length > 1 && (
          <>
            {' and counts '}
            <DecimalField
              value={gap.weight}
              label={`Weight of gap ${at + 1}`}
              most={1000}
              className="sentence-part text-center"
              onChange={(weight) => put({ ...gap, weight })}
            />
            {gap.weight.n === gap.weight.d ? ' time' : ' times'}
          </>
        )}
        {'.'}
      </p>
      <GapKey question={question} gap={gap} name={name} context={context} onGap={put} />
    </section>
  );
}

/** The words of a gap’s key in one line, for the folded question. */
export const gapWords = (question: GapsQuestion, gap: Gap): string => rightIn(question, gap) || 'no key yet';
