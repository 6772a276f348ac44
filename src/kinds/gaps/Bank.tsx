import { withoutWord } from '@/core/kinds/gaps/edit';
import type { GapsQuestion } from '@/core/kinds/gaps/schema';
import { move } from '@/core/quiz/order';
import { newId } from '@/device/ids';
import { ArrowLeft, ArrowRight } from '@/ui/widgets/icons';
import { ChoicePart } from '../shared/parts/ChoicePart';
import { NewEntry } from '../shared/NewEntry';
import { RemoveChip } from '../shared/RemoveChip';

interface Props {
  readonly question: GapsQuestion;
  readonly onChange: (question: GapsQuestion) => void;
}

type Word = GapsQuestion['bank'][number];

const ANY = 60;

/** How often a word can be used, in words; how often it can be now is always among them. */
function timesWords(now: number): Record<string, string> {
  const times = [...new Set([1, 2, 3, 4, 5, now, ANY])].sort((a, b) => a - b);
  const words: Record<number, string> = { 1: 'once', 2: 'twice', [ANY]: 'any number of times' };
  return Object.fromEntries(times.map((n) => [n, words[n] ?? `${n} times`]));
}

interface MoveProps {
  readonly name: string;
  readonly onMove: (by: -1 | 1) => void;
}

/** One place towards the beginning or the end of the bank. */
const MoveWord = ({ name, onMove }: MoveProps) => (
  <>
    <button
      type="button"
      className="icon-button"
      aria-label={`Move ${name} to the left`}
      onClick={() => onMove(-1)}
    >
      <ArrowLeft size={14} aria-hidden />
    </button>
    <button
      type="button"
      className="icon-button"
      aria-label={`Move ${name} to the right`}
      onClick={() => onMove(1)}
    >
      <ArrowRight size={14} aria-hidden />
    </button>
  </>
);

/** The words that students fill gaps from; those that no gap asks for are extra. */
export function Bank({ question, onChange }: Props) {
  const { bank, gaps } = question;
  const put = (next: Word[]) => onChange({ ...question, bank: next });
  const set = (word: Word) => put(bank.map((one) => (one.id === word.id ? word : one)));
  const asked = (id: string) =>
    gaps.some(
      (gap) => gap.type === 'bank' && gap.words.some(({ word, credit }) => word === id && credit.n > 0),
    );
  return (
    <div className="mt-4">
      <p className="label-small">Word bank</p>
      <div className="mt-1 flex flex-wrap items-center gap-1.5">
        {bank.map((word, at) => (
          <span key={word.id} className="chip">
            <input
              aria-label={`Word ${at + 1} of the bank`}
              maxLength={500}
              size={Math.max(2, word.text.length)}
              value={word.text}
              onChange={(event) => set({ ...word, text: event.target.value })}
            />
            <span className="caption !text-[12.5px] font-normal whitespace-nowrap">
              {!asked(word.id) && 'extra, '}
              <ChoicePart
                label={`How often ${word.text || `word ${at + 1}`} can be used`}
                value={String(word.times)}
                words={timesWords(word.times)}
                quiet
                onChange={(times) => set({ ...word, times: Number(times) })}
              />
            </span>
            {question.keepsOrder && (
              <MoveWord name={word.text || `word ${at + 1}`} onMove={(by) => put(move(bank, at, at + by))} />
            )}
            <RemoveChip
              label={`Remove ${word.text || `word ${at + 1}`} from the bank`}
              onPress={() => onChange(withoutWord(question, word.id))}
            />
          </span>
        ))}
        <NewEntry
          most={500}
          label="Another word in the bank"
          placeholder="an extra word"
          onAdd={(text) => put([...bank, { id: newId(), text, times: 1 }])}
        />
      </div>
    </div>
  );
}
