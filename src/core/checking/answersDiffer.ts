import { valueAt } from '../figures/valueAt';
import { calledAnswer, type Answer, type Question } from '../kinds';
import { numbersOf } from '../quiz/numbers';
import type { Paper } from '../quiz/quiz';
import { same } from '../figures/deepEqual';

type Answers = Readonly<Record<string, Answer>>;

function spoken(question: Question, answer: Answer | undefined): string {
  return answer ? `“${calledAnswer(question, answer)}”` : 'nothing';
}

/** The answers of a paper that changed, in words, one entry per question: “question 2: “lagoon” is now “oxbow lake””. */
export function answersDiffer(paper: Paper, before: Answers, after: Answers): string[] {
  const numbers = numbersOf(paper.questions);
  return paper.questions.flatMap((question) => {
    const [old, next] = [valueAt(before, question.id), valueAt(after, question.id)];
    if (same(old, next)) return [];
    return [
      `question ${numbers.get(question.id) ?? ''}: ${spoken(question, old)} is now ${spoken(question, next)}`,
    ];
  });
}
