import { asRead, unreadable, type ReadCell } from '../kind';
import type { TrueFalseAnswer, TrueFalseQuestion } from './schema';

const YES = new Set(['true', 't', 'yes', 'y', '1', '✓', 'right']);

const NO = new Set(['false', 'f', 'no', 'n', '0', '✗', 'wrong']);

export function readAnswer(_: TrueFalseQuestion, text: string): ReadCell<TrueFalseAnswer> {
  const word = text.trim().toLowerCase();
  if (word === '') return asRead<TrueFalseAnswer>(null);
  if (YES.has(word)) return asRead<TrueFalseAnswer>({ kind: 'trueFalse', value: true });
  if (NO.has(word)) return asRead<TrueFalseAnswer>({ kind: 'trueFalse', value: false });
  return unreadable(`“${text.trim().slice(0, 40)}” is neither true nor false`);
}
