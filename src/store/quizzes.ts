import type { KindName, Question } from '@/core/kinds';
import { inOrder, insertAfter, newQuestion, same } from '@/core/quiz/edits';
import { emptyContent, NEW_STANDING, type Paper, type QuizContent, type RescueFile } from '@/core/quiz/quiz';
import type { Aspect } from '@/core/reveal/plan';
import { now } from './clock';
import { db, type QuestionRecord, type QuizRecord } from './db';
import { record, type EditLabel } from './history';
import { newId } from './ids';

/** A save either went through, or another tab was faster and the teacher chooses. */
export type Saved<T> =
  { readonly ok: true; readonly rev: number } | { readonly ok: false; readonly theirs: T };

const editing = <T>(work: () => Promise<T>): Promise<T> =>
  db.transaction('rw', db.quizzes, db.questions, db.history, work);

async function head(quizId: string): Promise<QuizRecord> {
  const quiz = await db.quizzes.get(quizId);
  if (!quiz) throw new Error(`No quiz ${quizId}`);
  return quiz;
}

/** A quiz with its content and questions, closed and new. Gives its id. */
export async function createQuiz(content: QuizContent, questions: readonly Question[] = []): Promise<string> {
  const id = newId();
  const at = now();
  await db.transaction('rw', db.quizzes, db.questions, async () => {
    await db.quizzes.add({
      id, content, standing: NEW_STANDING, changeSeq: 1, firstHandInAt: null, createdAt: at, changedAt: at,
    }); // prettier-ignore
    await db.questions.bulkAdd(
      questions.map((question) => ({ quizId: id, id: question.id, rev: 1, question })),
    );
  });
  return id;
}

export const createEmptyQuiz = (): Promise<string> => createQuiz(emptyContent('New quiz'));

/** A rescue file brought back as a quiz of its own. */
export const createFromRescue = (file: RescueFile): Promise<string> =>
  createQuiz(file.content, file.questions);

export const listQuizzes = (): Promise<QuizRecord[]> => db.quizzes.toArray();
export const getQuiz = (quizId: string): Promise<QuizRecord | undefined> => db.quizzes.get(quizId);
export const getQuestions = (quizId: string): Promise<QuestionRecord[]> =>
  db.questions.where('quizId').equals(quizId).toArray();

/** What is written now: content and questions in order. */
export async function draftPaper(quizId: string): Promise<Paper> {
  const [quiz, records] = await Promise.all([head(quizId), getQuestions(quizId)]);
  return { content: quiz.content, questions: inOrder(quiz.content.order, records.map((r) => r.question)) }; // prettier-ignore
}

/**
 * Saves some fields of the content. `base` holds those fields as the editor last saw them: where another
 * tab has changed one of them meanwhile, nothing is written and their content is given back.
 */
export function saveContent(
  quizId: string,
  patch: Partial<QuizContent>,
  base: Partial<QuizContent>,
  label: EditLabel,
): Promise<Saved<QuizContent>> {
  return editing(async () => {
    const quiz = await head(quizId);
    const fields = Object.keys(patch) as (keyof QuizContent)[];
    if (fields.some((field) => !same(quiz.content[field], base[field])))
      return { ok: false, theirs: quiz.content };
    const after = { ...quiz.content, ...patch };
    if (same(after, quiz.content)) return { ok: true, rev: quiz.changeSeq };
    const saved = await record(quiz, [{ kind: 'content', before: quiz.content, after }], label);
    return { ok: true, rev: saved.changeSeq };
  });
}

/** Saves a question that was read at `baseRev`. Where it has been changed since, nothing is written. */
export function saveQuestion(
  quizId: string,
  question: Question,
  baseRev: number,
  label: EditLabel,
): Promise<Saved<QuestionRecord | null>> {
  return editing(async () => {
    const quiz = await head(quizId);
    const current = await db.questions.get([quizId, question.id]);
    if (!current || current.rev !== baseRev) return { ok: false, theirs: current ?? null };
    if (same(current.question, question)) return { ok: true, rev: current.rev };
    const change = { kind: 'question', id: question.id, before: current.question, after: question } as const;
    const saved = await record(quiz, [change], label);
    return { ok: true, rev: saved.changeSeq };
  });
}

/** Adds a question behind another; it takes kind, points and rules of the one before where those are alike. */
export function addQuestion(quizId: string, kind: KindName, after: string | null): Promise<string> {
  return editing(async () => {
    const quiz = await head(quizId);
    const { order } = quiz.content;
    const lastId = after ?? order.at(-1) ?? null;
    const last = lastId ? await db.questions.get([quizId, lastId]) : undefined;
    const question = newQuestion(kind, last?.question, newId);
    const content = { ...quiz.content, order: insertAfter(order, question.id, lastId) };
    await record(
      quiz,
      [
        { kind: 'content', before: quiz.content, after: content },
        { kind: 'question', id: question.id, before: null, after: question },
      ],
      { label: 'Add a question', field: '' },
    );
    return question.id;
  });
}

export function removeQuestion(quizId: string, questionId: string): Promise<void> {
  return editing(async () => {
    const quiz = await head(quizId);
    const current = await db.questions.get([quizId, questionId]);
    if (!current) return;
    const content = { ...quiz.content, order: quiz.content.order.filter((id) => id !== questionId) };
    await record(
      quiz,
      [
        { kind: 'content', before: quiz.content, after: content },
        { kind: 'question', id: questionId, before: current.question, after: null },
      ],
      { label: 'Delete a question', field: '' },
    );
  });
}

const changeHead = (quizId: string, change: (quiz: QuizRecord) => QuizRecord): Promise<void> =>
  db.transaction('rw', db.quizzes, async () => {
    await db.quizzes.put(change(await head(quizId)));
  });

/** Opens the quiz from an instant until another, or without an end. */
export const openQuiz = (quizId: string, from: number, until: number | null): Promise<void> =>
  changeHead(quizId, (quiz) => ({ ...quiz, standing: { ...quiz.standing, opening: { from, until } } }));

/** Ends the window now. A window that has not begun is taken back altogether. */
export const closeQuiz = (quizId: string): Promise<void> =>
  changeHead(quizId, (quiz) => {
    const { opening } = quiz.standing;
    const at = now();
    const ended = !opening || opening.from > at ? null : { ...opening, until: at };
    return { ...quiz, standing: { ...quiz.standing, opening: ended } };
  });

/** Shows an aspect that waits for the teacher, or takes it back. */
export const showAspect = (quizId: string, aspect: Aspect, show: 'show' | 'takeBack'): Promise<void> =>
  changeHead(quizId, (quiz) => {
    const { [aspect]: _, ...rest } = quiz.standing.shown;
    const shown = show === 'show' ? { ...rest, [aspect]: now() } : rest;
    return { ...quiz, standing: { ...quiz.standing, shown } };
  });
