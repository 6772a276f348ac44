import { valueAt } from '@/core/figures/valueAt';
import { paperFrom, placedIn } from '@/core/quiz/paper';
import { same } from '@/core/figures/deepEqual';
import { counts, isOpen } from '@/core/quiz/times/window';
import { byNewestRules } from '@/core/quiz/paper';
import { kindOf } from '@/core/kinds';
import type { Override } from '@/core/quiz/work/override';
import type { Placed } from '@/core/quiz/placement';
import type { Paper } from '@/core/quiz/quiz';
import type { KeptMarked } from '@/core/reveal/markedToKeep';
import { now } from '@/device/clock';
import { db, type QuizRecord, type QuizRevRecord, type RecordChange } from '../records/db';
import { StoreError } from '@/device/failure';
import { EDIT_TABLES, record, undoLastIf } from '../records/steps';
import { keptMarked } from '../work/rulings';
import { draftPaper, head } from './quizzes';
import { ofQuiz } from '../records/ofQuiz';
import { attemptsSeq } from '../records/sequence';
import { windowsIn } from './windows';

/** Tables that publishing a revision touches, for transactions that do so. */
export const REVISION_TABLES = [db.quizzes, db.questions, db.questionRevs, db.quizRevs] as const;

const revsOf = (quizId: string) => ofQuiz.quizRevs(quizId);

/** The paper as it counted at a revision. */
export async function paperAt(quizId: string, rev: number): Promise<Paper> {
  const revision = await db.quizRevs.get([quizId, rev]);
  if (!revision) throw new StoreError('damaged', `No revision ${rev} of quiz ${quizId}`);
  const keys = Object.entries(revision.questionRevs).map(
    ([id, questionRev]) => [quizId, id, questionRev] as const,
  );
  const records = await db.questionRevs.bulkGet(keys.map((key) => [...key]));
  return paperFrom(
    revision.content,
    records.flatMap((record) => record ?? []),
  );
}

/** Which revision of each question counts at a revision. */
export async function questionRevsAt(quizId: string, rev: number): Promise<Record<string, number>> {
  return (await db.quizRevs.get([quizId, rev]))?.questionRevs ?? {};
}

/**
 * Makes a paper the revision that counts, unless it does already; the questions that did not change keep
 * their revision. To be called inside a transaction over {@link REVISION_TABLES}. Gives its number.
 */
async function publishPaper(quiz: QuizRecord, draft: Paper, why: QuizRevRecord['why']): Promise<number> {
  const parent = quiz.standing.live;
  const live = parent === null ? null : await paperAt(quiz.id, parent);
  if (parent !== null && live && same(live, draft)) return parent;
  const before = parent === null ? {} : await questionRevsAt(quiz.id, parent);
  const liveById = new Map((live ? placedIn(live) : []).map((placed) => [placed.question.id, placed]));
  const rev = ((await revsOf(quiz.id).last())?.rev ?? 0) + 1;
  const isComparedAlike = live?.content.comparing === draft.content.comparing;
  const questionRevs: Record<string, number> = {};
  for (const placed of placedIn(draft)) {
    const { id } = placed.question;
    const old = valueAt(before, id);
    // What is compared by newer rules is a revision of its own: the marks of the one before stay with that.
    const isMarkedAlike = isComparedAlike || kindOf(placed.question).reads.length === 0;
    const kept = old !== undefined && isMarkedAlike && same(liveById.get(id), placed);
    questionRevs[id] = kept ? old : rev;
    if (!kept) await db.questionRevs.put({ quizId: quiz.id, questionId: id, rev, ...placed });
  }
  await db.quizRevs.put({
    quizId: quiz.id,
    rev,
    parent,
    at: now(),
    why,
    content: draft.content,
    questionRevs,
  });
  await db.quizzes.update(quiz.id, { 'standing.live': rev });
  return rev;
}

/** The same with what is written. */
const publish = async (quiz: QuizRecord, why: QuizRevRecord['why']): Promise<number> =>
  publishPaper(quiz, await draftPaper(quiz.id), why);

/**
 * The revision that new work is shown and marked by. Until somebody's work counts, that is the draft.
 * To be called inside a transaction over {@link REVISION_TABLES}.
 */
export async function currentRevision(quiz: QuizRecord): Promise<number> {
  if (quiz.firstHandInAt !== null && quiz.standing.live !== null) return quiz.standing.live;
  return publish(quiz, 'opened');
}

/** From now on edits wait in the draft. To be called inside a transaction over {@link REVISION_TABLES}. */
export async function settle(quizId: string, at: number): Promise<void> {
  const quiz = await db.quizzes.get(quizId);
  if (!quiz || quiz.firstHandInAt !== null) return;
  await publish(quiz, 'opened');
  await db.quizzes.update(quizId, { firstHandInAt: at });
}

/** Settles a quiz whose first work came to count by its window closing rather than by a hand-in. */
export async function settleByClosing(quizId: string): Promise<void> {
  const quiz = await db.quizzes.get(quizId);
  if (!quiz || quiz.firstHandInAt !== null) return;
  const { opening, windows } = quiz.standing;
  // Where nobody's time ends sooner, only a hand-in counts while it is open, and that one settles the quiz itself.
  if (isOpen(opening, now()) && windows.length === 0 && quiz.content.timeLimit === null) return;
  const attempts = await ofQuiz.attempts(quizId).toArray();
  const windowOf = await windowsIn(quiz);
  const isOne = attempts.some((attempt) => counts(attempt, windowOf(attempt.studentId), quiz.content, now()));
  if (!isOne) return;
  await db.transaction('rw', [...REVISION_TABLES], async () => settle(quizId, now()));
}

/** What applying did: the revision and the step that undoes it; or that the draft or the work is not as it was shown. */
export type Applied =
  | { readonly ok: true; readonly rev: number; readonly step: number }
  | { readonly ok: false; readonly reason: 'moved' | 'nothing' };

/** What an effect was worked out from: it holds for as long as none of this has changed. */
export interface ShownState {
  readonly changeSeq: number;
  readonly attemptsSeq: number;
  readonly live: number | null;
  /** Since when nothing waited in attempts of which the key will not tell any more; null: since it is applied. */
  readonly marked: readonly KeptMarked[];
}

const APPLY_TABLES = [...new Set([...REVISION_TABLES, ...EDIT_TABLES])];

/** What is applied: a paper, with what else changes by it, and what that is called. */
interface Applying {
  readonly paper: Paper;
  readonly changes: readonly RecordChange[];
  readonly label: string;
}

/** Applies a paper, if everything is still as it was shown: everyone is marked by it from then on. It can be undone. */
const applying = (
  quizId: string,
  shown: ShownState,
  make: (live: number | null) => Promise<Applying>,
): Promise<Applied> =>
  db.transaction('rw', APPLY_TABLES, async () => {
    const quiz = await head(quizId);
    const { live } = quiz.standing;
    const seq = await attemptsSeq(quizId);
    if (quiz.changeSeq !== shown.changeSeq || seq !== shown.attemptsSeq || live !== shown.live)
      return { ok: false, reason: 'moved' };
    const { paper, changes, label } = await make(live);
    const rev = await publishPaper(quiz, paper, 'applied');
    if (rev === live) return { ok: false, reason: 'nothing' };
    const change = { kind: 'live', before: live, after: rev } as const;
    const marked = shown.marked.map(({ attemptId, at }) => ({ attemptId, at: at ?? now() }));
    const all = [change, ...changes, ...(await keptMarked(quizId, marked))];
    const step = await record(quizId, all, { label, field: '' });
    return { ok: true, rev, step };
  });

/** Applies the draft, if it is still the one whose effect was shown. */
export const applyDraft = (quizId: string, shown: ShownState): Promise<Applied> =>
  applying(quizId, shown, async () => ({
    paper: await draftPaper(quizId),
    changes: [],
    label: 'Apply to all',
  }));

/**
 * Answers are compared by the newest rules from now on, and the scores that these would change stay as they are: as own scores.
 * What else waits in the draft goes on waiting.
 */
export const keepScores = (quizId: string, shown: ShownState, kept: readonly Override[]): Promise<Applied> =>
  applying(quizId, shown, async (live) => {
    if (live === null) throw new StoreError('damaged', `No revision of quiz ${quizId} counts`);
    return {
      paper: byNewestRules(await paperAt(quizId, live)),
      changes: kept.map((after) => ({
        kind: 'override',
        attemptId: after.attemptId,
        questionId: after.questionId,
        before: null,
        after,
      })),
      label: 'Keep the scores under newer rules of comparing',
    };
  });

/** The revision before the one that counts, where that one was applied by the teacher. */
export async function undoableRevision(quizId: string): Promise<QuizRevRecord | null> {
  const live = (await db.quizzes.get(quizId))?.standing.live ?? null;
  if (live === null) return null;
  const revision = await db.quizRevs.get([quizId, live]);
  return revision && revision.why === 'applied' && revision.parent !== null ? revision : null;
}

/** Goes back to the revision before. What was applied waits in the draft again. False where there is none to go back to. */
export const undoRevision = (quizId: string): Promise<boolean> =>
  db.transaction('rw', APPLY_TABLES, async () => {
    const revision = await undoableRevision(quizId);
    if (!revision) return false;
    if (await undoLastIf(quizId, (change) => change.kind === 'live' && change.after === revision.rev))
      return true;
    const change = { kind: 'live', before: revision.rev, after: revision.parent } as const;
    await record(quizId, [change], { label: 'Go back to the earlier marks', field: '' });
    return true;
  });

const placedById = (paper: Paper): ReadonlyMap<string, Placed> =>
  new Map(placedIn(paper).map((one) => [one.question.id, one]));

/** What putting a change back did: the step that undoes it; or why nothing was written. */
export type PutBack =
  | { readonly ok: true; readonly step: number }
  | { readonly ok: false; readonly reason: 'changedSince' | 'nothing' };

/**
 * Puts what an applied revision changed back in the draft as it was before it; other changes stay. What that does to everyone is
 * seen before it is applied. Nothing is written where something of it has been changed again since.
 */
export const putBack = (quizId: string, rev: number): Promise<PutBack> =>
  db.transaction('rw', APPLY_TABLES, async () => {
    const parent = (await db.quizRevs.get([quizId, rev]))?.parent ?? null;
    if (parent === null) return { ok: false, reason: 'nothing' };
    const [before, after, draft] = [
      await paperAt(quizId, parent),
      await paperAt(quizId, rev),
      await draftPaper(quizId),
    ];
    const [was, made, now] = [placedById(before), placedById(after), placedById(draft)];
    const changed = [...new Set([...was.keys(), ...made.keys()])].filter(
      (id) => !same(was.get(id), made.get(id)),
    );
    // Which rules answers are compared by is not put back: what is written is always compared by the newest.
    const content = { ...before.content, comparing: draft.content.comparing };
    const movesContent = !same(content, { ...after.content, comparing: draft.content.comparing });
    if (changed.length === 0 && !movesContent) return { ok: false, reason: 'nothing' };
    const isChangedSince =
      changed.some((id) => !same(now.get(id), made.get(id))) ||
      (movesContent && !same(draft.content, { ...after.content, comparing: draft.content.comparing }));
    if (isChangedSince) return { ok: false, reason: 'changedSince' };
    const questions = changed.map((id) => ({
      kind: 'question' as const,
      id,
      before: now.get(id) ?? null,
      after: was.get(id) ?? null,
    }));
    const contents = movesContent
      ? [{ kind: 'content' as const, before: draft.content, after: content }]
      : [];
    const step = await record(quizId, [...contents, ...questions], {
      label: 'Put a change of the key back',
      field: '',
    });
    return { ok: true, step };
  });
