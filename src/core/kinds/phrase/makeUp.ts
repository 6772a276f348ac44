import type { Random } from '../../figures/random';
import { textFor } from '../shared/textKey/makeUp';
import type { PhraseAnswer, PhraseQuestion } from './schema';

export function makeUp(
  question: PhraseQuestion,
  random: Random,
  wanted: 'right' | 'wrong',
): PhraseAnswer | null {
  const text = textFor(question, random, wanted);
  return text === '' ? null : { kind: 'phrase', text };
}
