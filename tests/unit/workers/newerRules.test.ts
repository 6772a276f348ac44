import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, describe, test } from 'node:test';
import type { Mark } from '@/core/marks/mark';
import { db } from '@/store/records/db';
import { ensureDemo } from '@/store/demo/demo';
import { undoStep } from '@/store/undo/undo';
import { applyDraft, undoRevision } from '@/store/quiz/revisions';
import { ONE } from '@/core/figures/fraction';
import { liveClass, workOf, type ClassPapers } from '@/views/papers';
import { classDesk } from '@/workers/classDesk';
import { DEMO_QUIZ } from '../../demoQuiz';
import { written } from '../support/support';

/** Recorded scores by name. */
const scores = async (): Promise<Record<string, string>> =>
  Object.fromEntries(
    workOf(await liveClass(DEMO_QUIZ)).map(({ student, recorded }) => [
      student?.name ?? '',
      recorded ? written(recorded.score) : '–',
    ]),
  );

/** Whoever marks now has nothing in memory. */
const forget = () =>
  db.quizzes
    .where('id')
    .equals(DEMO_QUIZ)
    .modify((quiz) => {
      quiz.createdAt += 1;
    });

const RIGHT: Partial<Mark> = {
  credit: ONE,
  keyCredit: ONE,
  allWrong: false,
  nearMiss: null,
  rule: 'earlier',
};

/** A wrong answer that one student alone gave, in an only attempt: whose, and the key of its mark. */
function wrongAlone(live: ClassPapers, at: number): { readonly name: string; readonly key: string } | null {
  const column = live.marked.columns[at];
  const id = live.paper.questions[at]?.id ?? '';
  if (!column) return null;
  const keys = live.sheets.map(({ attempt }) => column.keyOf(attempt.answers[id]));
  for (const { sheets, student } of workOf(live)) {
    const [sheet, ...more] = sheets;
    const mark = sheet?.scores[at]?.mark;
    if (!sheet || more.length > 0 || mark?.state !== 'marked' || mark.credit.n !== 0) continue;
    const key = column.keyOf(sheet.attempt.answers[id]);
    if (keys.filter((one) => one === key).length === 1) return { name: student?.name ?? '', key };
  }
  return null;
}

/** The demo as a browser holds it whose class was marked by the first rules, which let one answer pass that the newest do not. */
async function byTheFirstRules(): Promise<{ readonly questionId: string; readonly name: string }> {
  await ensureDemo();
  await liveClass(DEMO_QUIZ);
  await db.quizRevs.toCollection().modify((revision) => {
    revision.content.comparing = 1;
  });
  await forget();
  const live = await liveClass(DEMO_QUIZ);
  const { questions } = live.paper;
  const at = questions.findIndex(
    (question, index) => question.kind === 'phrase' && wrongAlone(live, index) !== null,
  );
  const found = wrongAlone(live, at) ?? assert.fail('no wrong answer stands alone');
  await db.markColumns.toCollection().modify((column) => {
    if (column.questionId === questions[at]?.id)
      column.marks = column.marks.map(([key, mark]) => [
        key,
        key === found.key ? { ...mark, ...RIGHT } : mark,
      ]);
  });
  await forget();
  return { questionId: questions[at]?.id ?? '', name: found.name };
}

const shownNow = async () => {
  const pending = await classDesk.pending(DEMO_QUIZ);
  return pending.shown ?? assert.fail('nothing waits');
};

beforeEach(async () => {
  await db.delete();
  await db.open();
});

describe('newer rules of comparing', () => {
  test('move no score by themselves: their effect waits, is told, applied, and taken back', async () => {
    const { name, questionId } = await byTheFirstRules();
    const before = await scores();
    const pending = await classDesk.pending(DEMO_QUIZ);
    assert.deepEqual(pending.changes, [{ kind: 'comparing', questionId: null }]);
    assert.deepEqual([pending.down, pending.up, pending.students.map((one) => one.name)], [1, 0, [name]]);
    const attemptId = pending.students[0] && workOf(await liveClass(DEMO_QUIZ)).find(({ student }) => student?.name === name)?.sheets[0]?.attempt.id; // prettier-ignore
    const opened = await classDesk.openAnswer(DEMO_QUIZ, attemptId ?? '', questionId);
    assert.equal(opened?.isByEarlierRules, true);

    assert.ok((await applyDraft(DEMO_QUIZ, await shownNow())).ok);
    const after = await scores();
    assert.notEqual(after[name], before[name]);
    assert.deepEqual({ ...after, [name]: before[name] }, before);
    assert.deepEqual((await classDesk.pending(DEMO_QUIZ)).changes, []);

    assert.equal(await undoRevision(DEMO_QUIZ), true);
    assert.deepEqual(await scores(), before, 'the earlier marks are back');
  });

  test('or the scores that they would change are kept as own scores that say so, in one step', async () => {
    const { name, questionId } = await byTheFirstRules();
    const before = await scores();
    const kept = await classDesk.keepScoresUnderNewerRules(DEMO_QUIZ, await shownNow());
    assert.ok(kept.ok);
    assert.deepEqual(await scores(), before);
    const own = (await db.overrides.toArray()).filter(
      (one) => one.questionId === questionId && one.reason !== '',
    );
    assert.deepEqual(own.map(({ reason }) => reason), ['Kept as it was before the rules of comparing became newer']); // prettier-ignore
    assert.deepEqual((await classDesk.pending(DEMO_QUIZ)).changes, []);
    const live = await liveClass(DEMO_QUIZ);
    assert.equal(live.paper.content.comparing, 2);
    assert.equal(await undoStep(DEMO_QUIZ, kept.step), 'undone');
    assert.deepEqual(await scores(), before);
    assert.equal((await liveClass(DEMO_QUIZ)).paper.content.comparing, 1, name);
  });

  test('are nothing that waits where they change nothing', async () => {
    await ensureDemo();
    await liveClass(DEMO_QUIZ);
    await db.quizRevs.toCollection().modify((revision) => {
      revision.content.comparing = 1;
    });
    await forget();
    assert.deepEqual((await classDesk.pending(DEMO_QUIZ)).changes, []);
  });

  test('nothing is applied of what has moved since it was shown', async () => {
    await byTheFirstRules();
    const shown = await shownNow();
    const kept = await classDesk.keepScoresUnderNewerRules(DEMO_QUIZ, {
      ...shown,
      changeSeq: shown.changeSeq - 1,
    });
    assert.deepEqual(kept, { ok: false, reason: 'moved' });
  });
});
