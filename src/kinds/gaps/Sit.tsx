import { useRef } from 'react';
import { useSpoken, Words } from '@/ui/widgets/paper/Formula';
import type { GapsAnswer, GapsFace } from '@/core/kinds/gaps/schema';
import { typedIn } from '@/core/kinds/gaps/typedIn';
import type { SitProps } from '../faces';
import { useText, useTold } from '@/ui/told/useTold';
import { useSaying } from '../shared/sit/useSaying';
import { LetterBar } from '../shared/sit/LetterBar';

type FaceGap = GapsFace['gaps'][number];

interface GapProps {
  readonly gap: FaceGap;
  readonly bank: GapsFace['bank'];
  readonly number: number;
  readonly value: string;
  readonly onChange: (value: string) => void;
}

/** One gap where it stands in the text: typed, or picked. */
function GapField({ gap, bank, number, value, onChange }: GapProps) {
  const label = useTold().filling.gap(number);
  const own = useText();
  const spoken = useSpoken();
  if (gap.type === 'typed')
    return (
      <input
        {...own}
        className="gap-field"
        aria-label={label}
        autoComplete="off"
        autoCorrect="off"
        autoCapitalize="off"
        spellCheck={false}
        enterKeyHint="next"
        maxLength={2000}
        size={Math.max(8, value.length)}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    );
  const options = gap.type === 'list' ? gap.options : bank;
  return (
    <select
      {...own}
      data-gap={gap.id}
      className="gap-field"
      aria-label={label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    >
      <option value="">…</option>
      {options.map(({ id, text }) => (
        <option key={id} value={id}>
          {spoken(text)}
        </option>
      ))}
    </select>
  );
}

interface BankProps {
  readonly bank: GapsFace['bank'];
  /** How often each word stands in a gap. */
  readonly used: (id: string) => number;
  readonly onPick: (id: string) => void;
}

/** The words to fill gaps from: a press puts one into the next empty gap. */
const BankWords = ({ bank, used, onPick }: BankProps) => {
  const { filling } = useTold();
  const own = useText();
  return (
    <div className="mb-4 border-y border-line py-3">
      <p className="caption mb-1.5">{filling.bank}</p>
      <ul className="flex flex-wrap gap-2">
        {bank.map(({ id, text, times }) => {
          const left = times - used(id);
          return (
            <li key={id}>
              <button
                type="button"
                className={`min-h-9 cursor-pointer rounded border px-3 py-1 ${left <= 0 ? 'border-line text-soft line-through' : 'border-[var(--field)] font-semibold'}`}
                {...own}
                aria-disabled={left <= 0}
                onClick={() => left > 0 && onPick(id)}
              >
                <Words text={text} />
                {times > 1 && left > 0 && <span className="caption"> ×{left}</span>}
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
};

type Part = { readonly text: string } | { readonly gap: string; readonly signs: string };

/** The passage with the signs that stand directly behind a gap beside it: a full stop never begins a line. */
function withSigns(passage: GapsFace['passage']): Part[] {
  let signs = '';
  return passage.flatMap((part, at): Part[] => {
    if ('text' in part) {
      const text = part.text.slice(signs.length);
      signs = '';
      return [{ text }];
    }
    const behind = passage[at + 1];
    signs = (behind && 'text' in behind && /^[^\s\p{L}\p{N}\\]{1,3}(?=\s|$)/u.exec(behind.text)?.[0]) || '';
    return [{ gap: part.gap, signs }];
  });
}

/** The passage, each gap filled where it stands. */
export default function GapsSit({ face, answer, labelledBy, language, onAnswer }: SitProps) {
  // Where letters are put: the gap that was written in last.
  const written = useRef<HTMLInputElement | null>(null);
  const { filling } = useTold();
  const spoken = useSpoken();
  const own = useText();
  const { say, said } = useSaying();
  if (face.kind !== 'gaps') return null;
  const given = answer?.kind === 'gaps' ? answer : null;
  const put = (id: string, value: string) => {
    const { [id]: _, ...rest } = given?.gaps ?? {};
    const gaps: GapsAnswer['gaps'] = value === '' ? rest : { ...rest, [id]: value };
    onAnswer(Object.keys(gaps).length === 0 ? null : { kind: 'gaps', gaps });
  };
  const used = (word: string) =>
    face.gaps.filter(({ id, type }) => type === 'bank' && typedIn(given, id) === word).length;
  const pick = (word: string) => {
    const next = face.gaps.find(({ id, type }) => type === 'bank' && typedIn(given, id) === '');
    if (!next) return;
    put(next.id, word);
    const text = face.bank.find(({ id }) => id === word)?.text ?? '';
    say(filling.filled(spoken(text), face.gaps.indexOf(next) + 1));
  };
  const bank = face.bank.length > 0 && face.gaps.some(({ type }) => type === 'bank');
  return (
    <div role="group" aria-labelledby={labelledBy}>
      {bank && <BankWords bank={face.bank} used={used} onPick={pick} />}
      <div
        {...own}
        className="passage-sit whitespace-pre-line"
        onFocus={({ target }) => {
          if (target instanceof HTMLInputElement) written.current = target;
        }}
      >
        {withSigns(face.passage).map((part, at) => {
          if ('text' in part) return <Words key={at} text={part.text} />;
          const index = face.gaps.findIndex(({ id }) => id === part.gap);
          const gap = face.gaps[index];
          return (
            gap && (
              <span key={at} className="inline-block max-w-full whitespace-nowrap">
                <GapField
                  gap={gap}
                  bank={face.bank}
                  number={index + 1}
                  value={typedIn(given, gap.id)}
                  onChange={(value) => put(gap.id, value)}
                />
                {part.signs}
              </span>
            )
          );
        })}
      </div>
      {face.gaps.some(({ type }) => type === 'typed') && (
        <LetterBar language={language} field={() => written.current} />
      )}
      {said}
    </div>
  );
}
