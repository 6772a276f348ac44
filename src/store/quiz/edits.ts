import type { KindName } from '@/core/kinds';
import { newQuestion } from '@/core/quiz/newQuestion';
import { newSection, questionsIn } from '@/core/quiz/section';
import { insertAfter } from '@/core/quiz/order';
import { newPlacement } from '@/core/quiz/newPlacement';
import type { Placed } from '@/core/quiz/placement';
import { sameParts } from '@/core/quiz/sameParts';
import type { QuizContent } from '@/core/quiz/quiz';
import { same } from '@/core/figures/deepEqual';
import { isTypesetterLate, whenTypesetterComes, withFormulas } from '@/typeset/complete';
import { StoreError } from '@/device/failure';
import { db, placedOf, type QuestionRecord, type RecordChange } from '../records/db';
import { editing, record, type EditLabel } from '../records/steps';
import { newId } from '@/device/ids';
import { head } from './quizzes';

/** What is written is stored at once, whether or not its formulas can be set: a tab may close at any moment. */
const PATIENCE = 0;

/** A save either went through, or another tab was faster and the teacher chooses. */
export type Saved<T> =
  { readonly ok: true; readonly rev: number } | { readonly ok: false; readonly theirs: T };

/** The fields of the content in which formulas can stand. */
const WITH_FORMULAS = ['instructions', 'sections', 'bands'] as const;

/** What is to be made of the content's formulas after a change; null where it changes no words that can hold any. */
async function formulasAfter(
  quizId: string,
  patch: Partial<QuizContent>,
): Promise<Pick<QuizContent, 'formulas'> | null> {
  if (!WITH_FORMULAS.some((field) => patch[field] !== undefined)) return null;
  const { instructions, sections, bands, formulas } = { ...(await head(quizId)).content, ...patch };
  const owner = { instructions, sections, bands, ...(formulas && { formulas }) };
  const made = await withFormulas<object>(owner, PATIENCE);
  return made.formulas ? { formulas: made.formulas } : {};
}

/**
 * Saves some fields of the content. `base` holds those fields as the editor last saw them: where another
 * tab has changed one of them meanwhile, nothing is written and their content is given back.
 */
export async function saveContent(
  quizId: string,
  patch: Partial<QuizContent>,
  base: Partial<QuizContent>,
  label: EditLabel,
): Promise<Saved<QuizContent>> {
  const late = isTypesetterLate(patch);
  const set = await formulasAfter(quizId, patch);
  const saved = await editing(async (): Promise<Saved<QuizContent>> => {
    const quiz = await head(quizId);
    const fields = Object.keys(patch) as (keyof QuizContent)[];
    if (fields.some((field) => !same(quiz.content[field], base[field])))
      return { ok: false, theirs: quiz.content };
    const { formulas, ...content } = quiz.content;
    const after = { ...content, ...patch, ...(set ?? (formulas && { formulas })) };
    if (same(after, quiz.content)) return { ok: true, rev: quiz.changeSeq };
    const rev = await record(quizId, [{ kind: 'content', before: quiz.content, after }], label);
    return { ok: true, rev };
  });
  if (late && saved.ok) whenTypesetterComes(() => completeContent(quizId, label));
  return saved;
}

/** Saves the content as it is, with its formulas set. */
async function completeContent(quizId: string, label: EditLabel): Promise<void> {
  const { instructions, sections, bands } = (await head(quizId)).content;
  await saveContent(quizId, { instructions, sections, bands }, { instructions, sections, bands }, label);
}

/** Saves a question, and how it stands in the quiz, that was read at `baseRev`. Where it has been changed since, nothing is written. */
export async function saveQuestion(
  quizId: string,
  written: Placed,
  baseRev: number,
  label: EditLabel,
): Promise<Saved<QuestionRecord | null>> {
  const placed = { ...written, question: await withFormulas(written.question, PATIENCE) };
  return editing(async () => {
    const { id } = placed.question;
    const current = await db.questions.get([quizId, id]);
    if (!current || current.rev !== baseRev) return { ok: false, theirs: current ?? null };
    const before = placedOf(current);
    if (same(before, placed)) return { ok: true, rev: current.rev };
    const change = { kind: 'question', id, before, after: placed } as const;
    // What adds or takes away a part is a step of its own, however quickly it follows what was written before.
    const own = sameParts(before.question, placed.question) ? label : { ...label, field: '' };
    return { ok: true, rev: await record(quizId, [change], own) };
  });
}

/** Sets what formulas of a stored question are still to be set, as part of the step that wrote them. */
export async function completeFormulas(quizId: string, questionId: string, label: EditLabel): Promise<void> {
  const current = await db.questions.get([quizId, questionId]);
  if (current) await saveQuestion(quizId, placedOf(current), current.rev, label);
}

/** The order as far as an entry, that one too; all of it where the entry is not there. */
const upTo = (order: readonly string[], id: string | null): readonly string[] =>
  id !== null && order.includes(id) ? order.slice(0, order.indexOf(id) + 1) : order;

/** Adds a question behind another, or behind a section; it takes the rules of the one before where that is of its kind. */
export function addQuestion(quizId: string, kind: KindName, after: string | null): Promise<string> {
  return editing(async () => {
    const quiz = await head(quizId);
    const { order } = quiz.content;
    const lastId = after ?? order.at(-1) ?? null;
    const before = questionsIn({ ...quiz.content, order: upTo(order, lastId) }).at(-1);
    const last = before ? await db.questions.get([quizId, before]) : undefined;
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

/** Adds a section behind a question or section; at the end where that is null. */
export function addSection(quizId: string, after: string | null): Promise<string> {
  return editing(async () => {
    const { content } = await head(quizId);
    const section = newSection(newId());
    const order = insertAfter(content.order, section.id, after);
    await record(
      quizId,
      [
        {
          kind: 'content',
          before: content,
          after: { ...content, order, sections: [...content.sections, section] },
        },
      ],
      { label: 'Add a section', field: '' },
    );
    return section.id;
  });
}

/** Deletes a section; its questions stay. Gives the number of the step, by which it can be undone; null where it was gone. */
export function removeSection(quizId: string, sectionId: string): Promise<number | null> {
  return editing(async () => {
    const { content } = await head(quizId);
    if (!content.sections.some(({ id }) => id === sectionId)) return null;
    const after = {
      ...content,
      order: content.order.filter((id) => id !== sectionId),
      sections: content.sections.filter(({ id }) => id !== sectionId),
    };
    return record(quizId, [{ kind: 'content', before: content, after }], {
      label: 'Delete a section',
      field: '',
    });
  });
}

/** Puts a question back that another tab deleted while it was written here: at the end, where the order has lost it. */
export async function restoreQuestion(quizId: string, written: Placed, label: EditLabel): Promise<number> {
  const placed = { ...written, question: await withFormulas(written.question, PATIENCE) };
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

/** So many questions a quiz can hold. */
const MOST_QUESTIONS = 500;

/** Copies that were made, in their order, and the step by which they can be undone. */
export interface Copied {
  readonly ids: readonly string[];
  readonly step: number | null;
}

/**
 * Copies questions of one quiz, as they are written now and with how they stand there, into a quiz behind one of its
 * questions, or at its end; in the order in which they stand. Those that are gone, or that have no room, are passed over.
 */
export function copyQuestions(
  from: string,
  ids: readonly string[],
  to: string,
  after: string | null,
): Promise<Copied> {
  return editing(async () => {
    const [source, target] = [await head(from), await head(to)];
    const wanted = source.content.order.filter((id) => ids.includes(id));
    const found = await Promise.all(wanted.map((id) => db.questions.get([from, id])));
    const room = MOST_QUESTIONS - questionsIn(target.content).length;
    const copies = found
      .flatMap((one) => (one ? [placedOf(one)] : []))
      .slice(0, Math.max(0, room))
      .map(({ question, placement }): Placed => {
        const id = newId();
        return { question: { ...question, id }, placement: { ...placement, questionId: id } };
      });
    if (copies.length === 0) return { ids: [], step: null };
    const made = copies.map(({ question }) => question.id);
    const { order } = target.content;
    const at = after === null ? order.length : order.indexOf(after) + 1 || order.length;
    const content = { ...target.content, order: [...order.slice(0, at), ...made, ...order.slice(at)] };
    const step = await record(
      to,
      [
        { kind: 'content', before: target.content, after: content },
        ...copies.map((placed) => ({
          kind: 'question' as const,
          id: placed.question.id,
          before: null,
          after: placed,
        })),
      ],
      { label: copies.length === 1 ? 'Copy a question' : `Copy ${copies.length} questions`, field: '' },
    );
    return { ids: made, step };
  });
}

/** Lets a page begin with a question, or go on there; the quiz is then parted into pages by such breaks. Gives the step. */
export const setPageBreak = (quizId: string, questionId: string, begins: boolean): Promise<number> =>
  editing(async () => {
    const { content } = await head(quizId);
    const current = await db.questions.get([quizId, questionId]);
    if (!current) throw new StoreError('gone', 'The question is not here any more');
    const before = placedOf(current);
    const after = { ...before, placement: { ...before.placement, startsPage: begins } };
    const changes: RecordChange[] = [{ kind: 'question', id: questionId, before, after }];
    if (begins && content.pages !== 'breaks')
      changes.push({ kind: 'content', before: content, after: { ...content, pages: 'breaks' } });
    return record(quizId, changes, { label: begins ? 'Add a page break' : 'Remove a page break', field: '' });
  });
