import type { Question } from '@/core/kinds';
import { paperFrom, placedIn } from '@/core/quiz/paper';
import type { SetTo } from '@/core/quiz/people/school';
import { usualClasses } from '../class/classes';
import type { Placement } from '@/core/quiz/placement';
import { emptyContent, NEW_STANDING } from '@/core/quiz/newQuiz';
import type { Paper, QuizContent } from '@/core/quiz/quiz';
import { now, ownZone } from '@/device/clock';
import { db, type QuestionRecord, type QuizRecord } from '../records/db';
import { StoreError } from '@/device/failure';
import { newId } from '@/device/ids';
import { ofQuiz } from '../records/ofQuiz';

/** The quiz's head. Fails as `gone` where there is none of this id. */
export async function head(quizId: string): Promise<QuizRecord> {
  const quiz = await db.quizzes.get(quizId);
  if (!quiz) throw new StoreError('gone', `No quiz ${quizId}`);
  return quiz;
}

/**
 * A quiz with its content and questions, closed and new; questions without a placement get a new one. `setTo`: null
 * sets it to the classes that {@link usualClasses} says. Gives its id.
 */
export async function createQuiz(
  content: QuizContent,
  questions: readonly Question[] = [],
  placements: readonly Placement[] = [],
  setTo: readonly SetTo[] | null = null,
): Promise<string> {
  const id = newId();
  const at = now();
  await db.transaction('rw', db.quizzes, db.questions, db.classes, async () => {
    const standing = { ...NEW_STANDING, setTo: [...(setTo ?? (await usualClasses()))] };
    await db.quizzes.add({
      id,
      content,
      standing,
      changeSeq: 1,
      firstHandInAt: null,
      createdAt: at,
      changedAt: at,
      position: -at,
      archivedAt: null,
      deletedAt: null,
    });
    await db.questions.bulkAdd(
      placedIn({ questions, placements }).map((placed) => ({
        quizId: id,
        id: placed.question.id,
        rev: 1,
        ...placed,
      })),
    );
  });
  return id;
}

/** What a quiz is called until it is named. */
export const NEW_TITLE = 'New quiz';
export const createEmptyQuiz = (): Promise<string> => createQuiz(emptyContent(NEW_TITLE, ownZone()));

export const getQuiz = (quizId: string): Promise<QuizRecord | undefined> => db.quizzes.get(quizId);
export const getQuestions = (quizId: string): Promise<QuestionRecord[]> => ofQuiz.questions(quizId).toArray();

/** What is written now: content and questions in order. */
export async function draftPaper(quizId: string): Promise<Paper> {
  const [quiz, records] = await Promise.all([head(quizId), getQuestions(quizId)]);
  return paperFrom(quiz.content, records);
}
