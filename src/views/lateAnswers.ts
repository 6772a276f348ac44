import { valueAt } from '@/core/figures/valueAt';
import { calledAnswer, type Answer } from '@/core/kinds';
import { numbersOf } from '@/core/quiz/numbers';
import { liveClass } from './papers';

/** One answer that came after the end of an attempt, for the teacher to decide about. */
export interface LateAnswer {
  readonly questionId: string;
  /** Its number on the teacher's paper; null for a note. */
  readonly number: number | null;
  /** As it stands in the work now, and as it came, in a reader's words; empty: none. */
  readonly before: string;
  readonly after: string;
  /** By the device's clock, and by the server's: ms since 1970. */
  readonly madeAt: number;
  readonly cameAt: number;
}

/** What came after the end of an attempt, in the order of the paper; empty where nothing waits. */
export async function lateAnswers(quizId: string, attemptId: string): Promise<LateAnswer[]> {
  const { everyAttempt, paper } = await liveClass(quizId);
  const attempt = everyAttempt.find(({ id }) => id === attemptId);
  const numbers = numbersOf(paper.questions);
  return paper.questions.flatMap((question) => {
    const late = valueAt(attempt?.cameAfter ?? {}, question.id);
    if (!attempt || !late) return [];
    const words = (answer: Answer | null | undefined) => (answer ? calledAnswer(question, answer) : '');
    return {
      questionId: question.id,
      number: numbers.get(question.id) ?? null,
      before: words(valueAt(attempt.answers, question.id)),
      after: words(late.answer),
      madeAt: late.madeAt,
      cameAt: late.cameAt,
    };
  });
}
