import { kindOf, type KindName, type Question } from '../kinds';
import { NO_RULES } from '../content/questionRules';
import { SILENCE } from '../content/silence';

/** A new question of a kind. After one of the same kind it takes that one's rules. */
export function newQuestion(kind: KindName, last: Question | undefined, newId: () => string): Question {
  const alike = last?.kind === kind ? last : undefined;
  const body = alike ? kindOf(alike).next(alike, newId) : kindOf({ kind }).create(newId);
  const shared = {
    id: newId(),
    text: [],
    right: SILENCE,
    partly: SILENCE,
    wrong: SILENCE,
    explanation: '',
    ...NO_RULES,
  };
  return { ...shared, ...body } as unknown as Question;
}
