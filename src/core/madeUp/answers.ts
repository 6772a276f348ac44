import { valueAt } from '../figures/valueAt';
import type { Given } from '../checking/ways';
import type { Question } from '../kinds';
import { kindOf } from '../kinds';
import { madeUpClass } from './class';
import { MADE_UP } from './spreads';

/** What a made-up class would answer to one question, each answer once. */
export function madeUpAnswers(question: Question): Given[] {
  const given = new Map<string, { answer: Given['answer']; times: number }>();
  for (const { answers } of madeUpClass([question], MADE_UP)) {
    const answer = valueAt(answers, question.id) ?? null;
    const key = answer ? kindOf(question).answerKey(answer) : '';
    const known = given.get(key);
    if (known) known.times++;
    else given.set(key, { answer, times: 1 });
  }
  return [...given.values()];
}
