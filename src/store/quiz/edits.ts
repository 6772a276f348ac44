import type { KindName } from '@/core/kinds';
import { newQuestion } from '@/core/quiz/newQuestion';
import { insertAfter } from '@/core/quiz/order';
import { newPlacement, type Placed } from '@/core/quiz/placement';
import type { QuizContent } from '@/core/quiz/quiz';
import { same } from '@/core/figures/deepEqual';
import { db, placedOf, type QuestionRecord } from '../records/db';
import { editing, record, type EditLabel } from '../records/history';
import { newId } from '../records/ids';
import { head } from './quizzes';

/** A save either went through, or another tab was faster and the teacher chooses. */
export type Saved<T> =
  { readonly ok: true; readonly rev: number } | { readonly ok: false; readonly theirs: T };

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
    const rev = await record(quizId, [{ kind: 'content', before: quiz.content, after }], label);
    return { ok: true, rev };
  });
}

/** Saves a question, and how it stands in the quiz, that was read at `baseRev`. Where it has been changed since, nothing is written. */
export function saveQuestion(
  quizId: string,
  placed: Placed,
  baseRev: number,
  label: EditLabel,
): Promise<Saved<QuestionRecord | null>> {
  return editing(async () => {
    const { id } = placed.question;
    const current = await db.questions.get([quizId, id]);
    if (!current || current.rev !== baseRev) return { ok: false, theirs: current ?? null };
    const before = placedOf(current);
    if (same(before, placed)) return { ok: true, rev: current.rev };
    const change = { kind: 'question', id, before, after: placed } as const;
    return { ok: true, rev: await record(quizId, [change], label) };
  });
}

/** Adds a question behind another; it takes the rules of the one before where that is of its kind. */
export function addQuestion(quizId: string, kind: KindName, after: string | null): Promise<string> {
  return editing(async () => {
    const quiz = await head(quizId);
    const { order } = quiz.content;
    const lastId = after ?? order.at(-1) ?? null;
    const last = lastId ? await db.questions.get([quizId, lastId]) : undefined;
    const question = newQuestion(kind, last?.question, newId);
    const content = { ...quiz.content, order: insertAfter(order, question.id, lastId) };
    await record(
      quizId,
      [
        { kind: 'content', before: quiz.content, after: content },
        {
          kind: 'question',
          id: question.id,
          before: null,
          after: { question, placement: newPlacement(question.id) },
        },
      ],
      { label: 'Add a question', field: '' },
    );
    return question.id;
  });
}

/** Puts a question back that another tab deleted while it was written here: at the end, where the order has lost it. */
export function restoreQuestion(quizId: string, placed: Placed, label: EditLabel): Promise<number> {
  return editing(async () => {
    const quiz = await head(quizId);
    const { id } = placed.question;
    const current = await db.questions.get([quizId, id]);
    const before = current ? placedOf(current) : null;
    const { order } = quiz.content;
    const content = order.includes(id) ? quiz.content : { ...quiz.content, order: [...order, id] };
    return record(
      quizId,
      [
        { kind: 'content', before: quiz.content, after: content },
        { kind: 'question', id, before, after: placed },
      ],
      label,
    );
  });
}

/** Deletes a question from the draft. Gives the number of the step, by which it can be undone; null where it was gone. */
export function removeQuestion(quizId: string, questionId: string): Promise<number | null> {
  return editing(async () => {
    const quiz = await head(quizId);
    const current = await db.questions.get([quizId, questionId]);
    if (!current) return null;
    const content = { ...quiz.content, order: quiz.content.order.filter((id) => id !== questionId) };
    return record(
      quizId,
      [
        { kind: 'content', before: quiz.content, after: content },
        { kind: 'question', id: questionId, before: placedOf(current), after: null },
      ],
      { label: 'Delete a question', field: '' },
    );
  });
}
