import 'fake-indexeddb/auto';
import { applyNow } from '../support/applyNow';
import assert from 'node:assert/strict';
import { beforeEach, describe, test } from 'node:test';
import type { Answer } from '@/core/kinds';
import type { PhraseQuestion } from '@/core/kinds/phrase/schema';
import { attemptsOf, attemptsOfStudent, startAttempt } from '@/store/work/attempts';
import { putStudents } from '../support/school';
import { addressOf, handInAttempt, keepAnswer, sent } from '../support/sat';
import { loadColumn } from '@/store/work/markColumns';
import { db } from '@/store/records/db';
import { ensureDemo } from '@/store/demo/demo';
import { failureOf } from '@/device/failure';
import { nextSteps } from '@/store/records/steps';
import { redo, undo } from '@/store/undo/undo';
import { importPapers } from '@/store/files/imports';
import { createQuiz, draftPaper } from '@/store/quiz/quizzes';
import { closeQuiz, setQuizTo } from '@/store/quiz/standing';
import { addQuestion, removeQuestion, saveContent, saveQuestion } from '@/store/quiz/edits';
import { removeOverride, setOverride } from '@/store/work/overrides';
import { paperAt, undoRevision } from '@/store/quiz/revisions';
import {
  arrange,
  duplicateQuiz,
  listQuizzes,
  removeDemo,
  removeForGood,
  resetDemo,
  setDeleted,
  sweep,
} from '@/store/quiz/shelf';
import { checkTable } from '@/views/check';
import { classDesk } from '@/workers/classDesk';
import { studentDesk } from '@/workers/studentDesk';
import { emptyContent } from '@/core/quiz/newQuiz';
import { plain } from '@/core/content/plainText';
import {
  openAlways,
  phraseQuestion,
  pickOneQuestion,
  readPaper,
  variant,
  written,
  parted,
  quizOf,
} from '../support/support';

const label = (field = '') => ({ label: 'Edit', field });
const silt = () => phraseQuestion([variant('v', ['silt'])], {}, { id: 'q1' });
const levee = () => pickOneQuestion({ levee: '1', gorge: '0' }, { id: 'q2' });

async function newQuiz(): Promise<string> {
  return createQuiz({ ...emptyContent('Rivers'), order: ['q1', 'q2'] }, [silt(), levee()]);
}
const question = async (quizId: string, id: string) => {
  const record = await db.questions.get([quizId, id]);
  assert.ok(record);
  return record;
};
const firstAttempt = async (quizId: string, studentId: string) =>
  (await attemptsOfStudent(quizId, studentId))[0];
const say = (text: string): Answer => ({ kind: 'phrase', text });
const pick = (option: string): Answer => ({ kind: 'pickOne', option });

beforeEach(async () => {
  await db.delete();
  await db.open();
  await putStudents([
    { id: 's1', name: 'Ada Marsh', number: '1', email: '', groups: [], removedAt: null },
    { id: 's2', name: 'Bo Weir', number: '2', email: '', groups: [], removedAt: null },
  ]);
});

async function sit(quizId: string, studentId: string, answers: Record<string, Answer>): Promise<void> {
  const attempt = await startAttempt(quizId, studentId);
  assert.ok(attempt);
  for (const [id, answer] of Object.entries(answers))
    assert.equal((await keepAnswer(attempt.id, id, answer)).ok, true);
  assert.equal((await handInAttempt(attempt.id)).ok, true);
}

describe('history', () => {
  test('undo and redo go through every edit, also after adding and deleting', async () => {
    const id = await newQuiz();
    const states = [await draftPaper(id)];
    const step = async (work: Promise<unknown>) => {
      await work;
      states.push(await draftPaper(id));
    };
    await step(saveContent(id, { title: 'Floods' }, { title: 'Rivers' }, label('t')));
    await step(addQuestion(id, 'pickOne', 'q1'));
    const record = await question(id, 'q1');
    await step(saveQuestion(id, parted({ ...record.question, explanation: 'x' }), record.rev, label('q')));
    await step(removeQuestion(id, 'q2'));
    for (const state of [...states].reverse().slice(1)) {
      assert.ok(await undo(id));
      assert.deepEqual(await draftPaper(id), state);
    }
    assert.equal(await undo(id), null);
    for (const state of states.slice(1)) {
      assert.ok(await redo(id));
      assert.deepEqual(await draftPaper(id), state);
    }
    assert.equal(await redo(id), null);
  });

  test('quick edits of one field are one step; a new edit forgets what was undone', async () => {
    const id = await newQuiz();
    await saveContent(id, { title: 'F' }, { title: 'Rivers' }, label('title'));
    await saveContent(id, { title: 'Fl' }, { title: 'F' }, label('title'));
    await saveContent(id, { topic: 'T' }, { topic: '' }, label('topic'));
    await undo(id);
    assert.ok((await nextSteps(id)).redo);
    await saveContent(id, { topic: 'U' }, { topic: '' }, label('topic'));
    assert.equal((await nextSteps(id)).redo, null);
    await undo(id);
    await undo(id);
    assert.equal((await draftPaper(id)).content.title, 'Rivers');
  });

  test('the later of two tabs is told, and nothing of the first is lost', async () => {
    const id = await newQuiz();
    const record = await question(id, 'q1');
    const first = await saveQuestion(
      id,
      parted({ ...record.question, explanation: 'first' }),
      record.rev,
      label(),
    );
    assert.equal(first.ok, true);
    const second = await saveQuestion(
      id,
      parted({ ...record.question, explanation: 'second' }),
      record.rev,
      label(),
    );
    assert.ok(!second.ok && second.theirs?.question.explanation === 'first');
    assert.equal((await question(id, 'q1')).question.explanation, 'first');
    const title = await saveContent(id, { title: 'B' }, { title: 'not what stands' }, label());
    assert.equal(title.ok, false);
    const topic = await saveContent(id, { topic: 'B' }, { topic: '' }, label());
    assert.equal(topic.ok, true, 'another field is no conflict');
  });
});

describe('draft and live', () => {
  test('before the first hand-in edits count at once, afterwards they wait until applied, and it can be undone', async () => {
    const id = await newQuiz();
    await openAlways(id);
    const accept = async (form: string) => {
      const record = await question(id, 'q1');
      const old = record.question as PhraseQuestion;
      const variants = [...old.variants, variant(`v-${form}`, [form])];
      assert.ok((await saveQuestion(id, parted({ ...old, variants }), record.rev, label())).ok);
    };
    await accept('mud');
    await sit(id, 's1', { q1: say('mud'), q2: pick('levee') });
    await sit(id, 's2', { q1: say('clay'), q2: pick('gorge') });
    const totals = async () =>
      (await checkTable(id)).rows.map((row) => `${row.name} ${written(row.total.score)}`);
    assert.deepEqual(await totals(), ['Ada Marsh 2', 'Bo Weir 0']);
    await accept('clay');
    assert.deepEqual(await totals(), ['Ada Marsh 2', 'Bo Weir 0'], 'the change waits in the draft');
    const pending = await classDesk.pending(id);
    assert.deepEqual([pending.changes.length, pending.up, pending.down, pending.unchanged], [1, 1, 0, 1]);
    assert.deepEqual(
      pending.students.map((s) => [s.name, written(s.after)]),
      [['Bo Weir', '1']],
    );
    const { rev } = await applyNow(id);
    assert.deepEqual(await totals(), ['Ada Marsh 2', 'Bo Weir 1']);
    assert.equal((await classDesk.pending(id)).changes.length, 0);
    assert.equal(
      (await db.quizRevs.get([id, rev]))?.questionRevs['q2'],
      1,
      'an untouched question keeps its revision',
    );
    assert.equal(await undoRevision(id), true);
    assert.deepEqual(await totals(), ['Ada Marsh 2', 'Bo Weir 0']);
    assert.equal(
      (await classDesk.pending(id)).changes.length,
      1,
      'what was applied waits in the draft again',
    );
    assert.equal(await undoRevision(id), false);
    assert.equal((await paperAt(id, rev)).questions.length, 2, 'a revision is never changed');
  });

  test('marks are kept a question revision, and used again only where they were made by the rules of now', async () => {
    const id = await newQuiz();
    await openAlways(id);
    await sit(id, 's1', { q1: say('silt') });
    await checkTable(id);
    const kept = await db.markColumns.get([id, 'q1', 1]);
    assert.deepEqual(
      kept?.marks.map(([key]) => key),
      ['silt'],
    );
    const paper = await draftPaper(id);
    const known = async () => (await loadColumn(id, silt(), 1, paper)).entries().length;
    assert.equal(await known(), 1);
    await db.markColumns.update([id, 'q1', 1], { madeUnder: kept.madeUnder.replace(/^\d+/, '1') });
    assert.equal(await known(), 0, 'marks of an earlier version of the rules are made again');
    const german = { ...paper, content: { ...paper.content, language: 'de' } };
    assert.equal((await loadColumn(id, silt(), 1, german)).entries().length, 0);
  });
});

describe('a teacher’s own scores', () => {
  test('stand through marking again, are counted in the effect where marking differs, undone, and shown on the slip', async () => {
    const id = await newQuiz();
    await openAlways(id);
    await sit(id, 's1', { q1: say('mud'), q2: pick('levee') });
    const attempt = await firstAttempt(id, 's1');
    assert.ok(attempt);
    const place = { quizId: id, attemptId: attempt.id, questionId: 'q1' };
    await setOverride({
      ...place,
      points: { n: 1, d: 2 },
      reason: 'said it well',
      at: 1,
      gave: { n: 0, d: 1 },
    });
    const cell = async () => (await checkTable(id)).rows[0]?.cells[0];
    assert.deepEqual(
      await cell().then((c) => [c?.verdict, written(c?.earned ?? { n: 9, d: 1 }), c?.override]),
      ['partly', '1/2', { reason: 'said it well', differs: false, byHand: false }],
    );
    const record = await question(id, 'q1');
    const old = record.question as PhraseQuestion;
    await saveQuestion(
      id,
      parted({ ...old, variants: [...old.variants, variant('w', ['mud'])] }),
      record.rev,
      label(),
    );
    const effect = await classDesk.pending(id);
    assert.deepEqual([effect.up, effect.unchanged, effect.overridesDiffer], [0, 1, 1]);
    await applyNow(id);
    assert.deepEqual((await cell())?.override, { reason: 'said it well', differs: true, byHand: false });
    const slip = await studentDesk.openPaper(await addressOf(id, 's1'));
    assert.ok(slip.state === 'finished');
    assert.deepEqual(slip.slip.score?.earned, { n: 3, d: 2 });
    assert.deepEqual(slip.slip.parts[0]?.result, {
      verdict: 'partly',
      standing: null,
      earned: { n: 1, d: 2 },
      credit: { n: 1, d: 2 },
      hintsCost: { n: 0, d: 1 },
      errors: 0,
    });
    assert.ok(!JSON.stringify(slip).includes('said it well'), 'the reason is for the teacher alone');
    await removeOverride(place);
    assert.equal((await cell())?.override, null);
    await undo(id);
    assert.equal((await cell())?.override?.reason, 'said it well');
    assert.equal((await classDesk.openAnswer(id, attempt.id, 'q1'))?.override?.reason, 'said it well');
  });
});

describe('the student’s desk', () => {
  test('closed, ready, working, finished; late answers are refused, a second hand-in changes nothing', async () => {
    const id = await newQuiz();
    assert.equal((await studentDesk.openPaper(await addressOf(id, 's1'))).state, 'closed');
    assert.equal((await studentDesk.openPaper({ quizId: id, ticket: 'nobody' })).state, 'unknown');
    await openAlways(id);
    assert.equal((await studentDesk.openPaper(await addressOf(id, 's1'))).state, 'ready');
    const working = await studentDesk.begin(await addressOf(id, 's1'));
    assert.ok(working.state === 'working');
    const { attemptId, questions } = working.working;
    assert.ok(!JSON.stringify(questions).includes('silt'));
    assert.equal(
      (
        await studentDesk.saveAnswer(
          await addressOf(id, 's1'),
          sent(attemptId, 'q1', { kind: 'phrase', text: 'silt' }),
        )
      ).state,
      'kept',
    );
    assert.deepEqual(
      await studentDesk.saveAnswer(await addressOf(id, 's1'), sent(attemptId, 'q1', { kind: 'phrase' })),
      {
        state: 'refused',
        reason: 'unknown',
      },
    );
    assert.equal((await studentDesk.handIn(await addressOf(id, 's1'), attemptId)).state, 'kept');
    const again = await studentDesk.handIn(await addressOf(id, 's1'), attemptId);
    assert.equal(again.state, 'kept', 'asked again, it stays handed in');
    assert.deepEqual(
      await studentDesk.handIn(await addressOf(id, 's2'), attemptId),
      { state: 'refused', reason: 'unknown' },
      'by nobody else',
    );
    assert.deepEqual(await studentDesk.saveAnswer(await addressOf(id, 's1'), sent(attemptId, 'q1', null)), {
      state: 'refused',
      reason: 'handedIn',
    });
    const done = await studentDesk.openPaper(await addressOf(id, 's1'));
    assert.ok(done.state === 'finished');
    assert.deepEqual(done.slip.score, {
      earned: { n: 1, d: 1 },
      outOf: { n: 2, d: 1 },
      waiting: { n: 0, d: 1 },
      late: null,
    });
  });

  test('a paper is not handed in while a question that must be answered has no answer', async () => {
    const id = await quizOf({ ...emptyContent('R'), mustAnswer: 'any', order: ['q1', 'q2'] }, [
      silt(),
      { ...levee(), mustAnswer: 'no' },
    ]);
    await openAlways(id);
    const working = await studentDesk.begin(await addressOf(id, 's1'));
    assert.ok(working.state === 'working');
    assert.deepEqual(
      working.working.questions.map((one) => one.mustAnswer),
      ['any', 'no'],
    );
    const { attemptId } = working.working;
    assert.deepEqual(await studentDesk.handIn(await addressOf(id, 's1'), attemptId), {
      state: 'refused',
      reason: 'missing',
    });
    await studentDesk.saveAnswer(
      await addressOf(id, 's1'),
      sent(attemptId, 'q1', { kind: 'phrase', text: 'silt' }),
    );
    assert.equal((await studentDesk.handIn(await addressOf(id, 's1'), attemptId)).state, 'kept');
  });

  test('work that is not handed in when the quiz closes is taken as it stands, or not, by the quiz’s rule', async () => {
    const id = await newQuiz();
    await openAlways(id);
    const attempt = await startAttempt(id, 's1');
    assert.ok(attempt);
    await keepAnswer(attempt.id, 'q1', say('silt'));
    await closeQuiz(id);
    assert.deepEqual(await studentDesk.saveAnswer(await addressOf(id, 's1'), sent(attempt.id, 'q1', null)), {
      state: 'refused',
      reason: 'closed',
    });
    const taken = await studentDesk.openPaper(await addressOf(id, 's1'));
    assert.ok(taken.state === 'finished' && taken.slip.byItself);
    assert.equal((await checkTable(id)).rows.length, 1);
    await saveContent(id, { unfinished: 'notCounted' }, { unfinished: 'taken' }, label());
    assert.equal((await studentDesk.openPaper(await addressOf(id, 's1'))).state, 'notHandedIn');
    assert.equal((await checkTable(id)).rows.length, 0);
  });
});

/** What an import did, without the step that undoes it. */
const reported = ({ step: _, ...report }: Awaited<ReturnType<typeof importPapers>>) => report;

describe('papers from a file', () => {
  const paper = (name: string, studentId: string | null, text: string) =>
    readPaper({ name, studentId, answers: { q1: say(text) } });

  test('new students are added, the same file changes nothing, a corrected one just what differs', async () => {
    const id = await newQuiz();
    const first = await importPapers(
      id,
      [paper('Ada Marsh', 's1', 'silt'), paper('Cy Brook', null, 'sand')],
      await draftPaper(id),
    );
    assert.deepEqual(reported(first), {
      added: 2,
      changed: 0,
      unchanged: 0,
      newStudents: 1,
      differences: [],
      refused: [],
    });
    const cy = (await db.students.toArray()).find((student) => student.name === 'Cy Brook');
    assert.ok(cy);
    const again = await importPapers(
      id,
      [paper('Ada Marsh', 's1', 'silt'), paper('Cy Brook', cy.id, 'silt')],
      await draftPaper(id),
    );
    assert.deepEqual(reported(again), {
      added: 0,
      changed: 1,
      unchanged: 1,
      newStudents: 0,
      differences: [{ line: 2, name: 'Cy Brook', what: 'question 1: “sand” is now “silt”' }],
      refused: [],
    });
    assert.equal((await attemptsOf(id)).length, 2);
  });
  test('work that a student handed in on screen is never replaced', async () => {
    const id = await newQuiz();
    await openAlways(id);
    await sit(id, 's1', { q1: say('silt') });
    const report = await importPapers(id, [paper('Ada Marsh', 's1', 'mud')], await draftPaper(id));
    assert.deepEqual(report.refused, [{ line: 2, name: 'Ada Marsh' }]);
    assert.deepEqual((await firstAttempt(id, 's1'))?.answers['q1'], say('silt'));
  });
});

describe('the Shelf', () => {
  test('a copy has the questions and nobody’s work; what is removed for good leaves nothing behind', async () => {
    const id = await newQuiz();
    await openAlways(id);
    await sit(id, 's1', { q1: say('silt') });
    await checkTable(id);
    const { id: copy } = await duplicateQuiz(id);
    assert.deepEqual((await draftPaper(copy)).questions, (await draftPaper(id)).questions);
    assert.equal((await checkTable(copy)).rows.length, 0);
    assert.deepEqual(
      (await listQuizzes()).map((quiz) => quiz.id),
      [copy, id],
    );
    await arrange([id, copy]);
    assert.deepEqual(
      (await listQuizzes()).map((quiz) => quiz.id),
      [id, copy],
    );
    await removeForGood(id);
    for (const table of db.tables.filter(({ name }) => name !== 'students')) {
      const left = JSON.stringify(await table.toArray());
      assert.ok(!left.includes(id), `${table.name}: ${left}`);
    }
    assert.equal((await draftPaper(copy)).questions.length, 2);
  });
  test('a deleted quiz is kept for 30 days', async () => {
    const [old, recent] = [await newQuiz(), await newQuiz()];
    await setDeleted(recent, 'deleted');
    await db.quizzes.update(old, { deletedAt: Date.now() - 31 * 86_400_000 });
    await sweep();
    assert.deepEqual(
      (await listQuizzes()).map((quiz) => quiz.id),
      [recent],
    );
    await setDeleted(recent, 'back');
    assert.equal((await listQuizzes())[0]?.deletedAt, null);
  });
  test('taking the demo school away keeps students who have work in other quizzes', async () => {
    await ensureDemo();
    const id = await newQuiz();
    await setQuizTo(id, [
      { classId: 'c1', group: null },
      { classId: 'demo-class-8c', group: null },
    ]);
    await openAlways(id);
    await sit(id, 'demo-3', { q1: say('silt') });
    await removeDemo();
    assert.deepEqual((await db.students.toArray()).map((student) => student.id).sort(), [
      'demo-3',
      's1',
      's2',
    ]);
    await resetDemo();
    assert.equal((await checkTable('demo-rivers')).rows.length, 24);
    assert.equal((await checkTable(id)).rows[0]?.name, 'Cato Weir');
  });
});

test('the demo school comes once, with 24 papers of 26 students', async () => {
  await Promise.all([db.students.clear(), db.members.clear(), db.classes.clear()]);
  await ensureDemo();
  await ensureDemo();
  const table = await checkTable('demo-rivers');
  assert.equal(table.rows.length, 24);
  assert.equal((await classDesk.tray('demo-rivers')).filter((row) => row.state === 'notOpened').length, 2);
  assert.equal(written(table.outOf), '12');
  assert.equal((await draftPaper('demo-rivers')).content.instructions.length, plain('x').length);
  assert.equal((await classDesk.pending('demo-rivers')).changes.length, 0);
});

test('a full storage is told from a forbidden one, through wrapped errors', () => {
  const quota = Object.assign(new Error('x'), { name: 'QuotaExceededError' });
  assert.equal(failureOf(quota), 'full');
  assert.equal(failureOf({ name: 'AbortError', inner: quota }), 'full');
  assert.equal(failureOf({ name: 'OpenFailedError', inner: { name: 'SecurityError' } }), 'blocked');
  assert.equal(failureOf(new Error('boom')), 'other');
});
