import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, describe, test } from 'node:test';
import { DEFAULT_CHOICES } from '@/core/formats/answerFile';
import { readTable } from '@/core/formats/table';
import { emptyContent } from '@/core/quiz/newQuiz';
import { addClass, deleteClass, listClasses, moveOn, setClassAway } from '@/store/class/classes';
import { addStudent, classList, importRoster, saveStudent, setRemoved } from '@/store/class/roster';
import { createEmptyQuiz } from '@/store/quiz/quizzes';
import { setQuizTo } from '@/store/quiz/standing';
import { db } from '@/store/records/db';
import { CLASS_LIST } from '@/store/records/scopes';
import { undo, undoStep } from '@/store/undo/undo';
import { attemptsOf, startAttempt } from '@/store/work/attempts';
import { checkTable } from '@/views/check';
import { classDesk } from '@/workers/classDesk';
import { studentDesk } from '@/workers/studentDesk';
import { addressOf, handInAttempt, keepAnswer } from '../support/sat';
import { putStudents } from '../support/school';
import { openAlways, phraseQuestion, quizOf, variant, written } from '../support/support';

/** Two classes of four, with Cy in both; blue and green are groups of 9B. */
const A = ['ann', 'ben', 'cy', 'dag'];
const B = ['cy', 'eve', 'fin', 'gus'];
const say = (text: string) => ({ kind: 'phrase' as const, text });

beforeEach(async () => {
  await db.delete();
  await db.open();
  await putStudents(
    A.map((id) => ({ id, name: `Name ${id}`, number: `n-${id}` })),
    '9a',
  );
  await putStudents(
    B.map((id, at) => ({ id, name: `Name ${id}`, number: `n-${id}`, groups: [at % 2 ? 'green' : 'blue'] })),
    '9b',
  );
});

const newQuiz = async () => {
  const id = await quizOf({ ...emptyContent('Rivers'), order: ['q1'] }, [
    phraseQuestion([variant('v', ['silt'])], {}, { id: 'q1' }),
  ]);
  await openAlways(id);
  return id;
};

async function sit(quizId: string, studentId: string, text: string): Promise<void> {
  const attempt = await startAttempt(quizId, studentId);
  assert.ok(attempt);
  await keepAnswer(attempt.id, 'q1', say(text));
  assert.ok((await handInAttempt(attempt.id)).ok);
}

const inTray = async (id: string) => (await classDesk.tray(id)).map(({ studentId }) => studentId).sort();
const onCheck = async (id: string) => {
  const table = await checkTable(id);
  return table.rows.map(({ studentId, total }) => `${studentId} ${written(total.score)}`).sort();
};

describe('a quiz and its classes', () => {
  test('every count and file names those whom it is set to, and nobody else', async () => {
    const id = await newQuiz();
    await setQuizTo(id, [
      { classId: '9a', group: null },
      { classId: '9b', group: 'green' },
    ]);
    assert.deepEqual(await inTray(id), ['ann', 'ben', 'cy', 'dag', 'eve', 'gus']);
    for (const student of ['ann', 'cy', 'eve', 'fin']) await sit(id, student, 'silt');
    assert.deepEqual(await onCheck(id), ['ann 1', 'cy 1', 'eve 1'], 'fin is in the blue group');
    const counts = await classDesk.quizCounts(id);
    assert.deepEqual([counts.finished, counts.expected], [3, 6]);
    const scores = await classDesk.scoresFile(id);
    assert.ok(!scores.includes('Name fin') && scores.includes('Name gus'));
    const some = await classDesk.scoresFile(id, ['name'], ['cy', 'fin']);
    assert.equal(some.match(/Name \w+/g)?.join(), 'Name cy', 'of those asked for, whom it is set to');
    const answers = new TextDecoder().decode(await classDesk.answersFile(id, 'csv'));
    assert.ok(!answers.includes('Name fin') && answers.includes('Name eve'));
    assert.deepEqual(
      (await classDesk.handBack(id)).map(({ studentId }) => studentId),
      ['ann', 'cy', 'eve'],
    );
    assert.equal((await classDesk.printed(id, 'with')).slips.length, 3);
  });

  test('work of those whom it is not set to is kept, and counts again when it is; each is a step', async () => {
    const id = await newQuiz();
    await setQuizTo(id, [{ classId: '9a', group: null }]);
    await sit(id, 'ann', 'silt');
    await setQuizTo(id, [{ classId: '9b', group: null }]);
    assert.deepEqual([await onCheck(id), (await attemptsOf(id)).length], [[], 1]);
    assert.equal(await classDesk.workOutside(id), 1);
    assert.equal((await undo(id))?.label, 'Set the quiz to classes');
    assert.deepEqual(await onCheck(id), ['ann 1']);
  });

  test('a student of another class finds no paper; who has begun goes on', async () => {
    const id = await newQuiz();
    await setQuizTo(id, [{ classId: '9a', group: null }]);
    assert.equal((await studentDesk.openPaper(await addressOf(id, 'eve'))).state, 'unknown');
    assert.equal((await studentDesk.begin(await addressOf(id, 'eve'))).state, 'unknown');
    assert.equal((await attemptsOf(id)).length, 0);
    await studentDesk.begin(await addressOf(id, 'ann'));
    await setQuizTo(id, []);
    assert.equal((await studentDesk.openPaper(await addressOf(id, 'ann'))).state, 'working');
  });

  test('a new quiz is set to the only own class, else to those of the quiz that was made last', async () => {
    const setOf = async (id: string) => (await db.quizzes.get(id))?.standing.setTo;
    assert.deepEqual(await setOf(await createEmptyQuiz()), [], 'of two classes none is the usual one');
    const id = await newQuiz();
    await setQuizTo(id, [{ classId: '9b', group: 'blue' }]);
    await db.quizzes.update(id, { createdAt: Date.now() + 1000 });
    assert.deepEqual(await setOf(await createEmptyQuiz()), [{ classId: '9b', group: 'blue' }]);
    await setClassAway('9b', 'away');
    assert.deepEqual(await setOf(await createEmptyQuiz()), [{ classId: '9a', group: null }]);
  });

  test('an answer file names students of these classes alone; somebody new comes into the first of them', async () => {
    const id = await newQuiz();
    await setQuizTo(id, [{ classId: '9b', group: 'green' }]);
    const read = readTable('Name,Number,Q1\nName eve,n-eve,silt\nName ann,n-ann,silt\nNew One,77,silt\n');
    assert.ok(read.ok);
    const first = await classDesk.previewFile(id, read.table, null, null);
    assert.deepEqual(
      first.unknown.map(({ name }) => name),
      ['Name ann', 'New One'],
    );
    const choices = { ...DEFAULT_CHOICES, unlisted: 'add' as const };
    await classDesk.importFile(id, read.table, [...first.columns], choices);
    const added = (await classList('9b')).filter(({ number }) => number === '77');
    assert.deepEqual(
      added.map(({ groups }) => groups),
      [['green']],
    );
    assert.ok((await onCheck(id)).length >= 2);
  });
});

describe('somebody in a file who is not on the list', () => {
  const imported = async (text: string) => {
    const id = await newQuiz();
    await setQuizTo(id, [{ classId: '9a', group: null }]);
    const read = readTable(`Name,Number,Q1\n${text}\n`);
    assert.ok(read.ok);
    const { columns } = await classDesk.previewFile(id, read.table, null, null);
    const choices = { ...DEFAULT_CHOICES, unlisted: 'add' as const };
    await classDesk.importFile(id, read.table, [...columns], choices);
    return id;
  };
  test('and in another class is the same person, known by number', async () => {
    const id = await imported('Name eve,n-eve,silt');
    assert.equal(await db.students.count(), 7, 'nobody new');
    assert.deepEqual(await onCheck(id), ['eve 1']);
    assert.ok((await classList('9a')).some((one) => one.id === 'eve'));
    await undo(id);
    assert.ok(!(await classList('9a')).some((one) => one.id === 'eve'));
  });
  test('comes onto no list where the quiz is set to none: nothing is imported', async () => {
    const id = await newQuiz();
    await setQuizTo(id, []);
    const read = readTable('Name,Number,Q1\nNew One,77,silt\n');
    assert.ok(read.ok);
    const { columns } = await classDesk.previewFile(id, read.table, null, null);
    const choices = { ...DEFAULT_CHOICES, unlisted: 'add' as const };
    await assert.rejects(classDesk.importFile(id, read.table, [...columns], choices), /set for no class/);
    assert.deepEqual([await db.students.count(), await db.attempts.count()], [7, 0]);
  });
  test('and was taken off it comes back onto it; undone, they are off it as before', async () => {
    await setRemoved('9a', 'ann', 'off');
    const id = await imported('Name ann,n-ann,silt');
    const ann = async () => (await classList('9a')).find((one) => one.id === 'ann')?.removedAt ?? null;
    assert.equal(await ann(), null);
    await undo(id);
    assert.notEqual(await ann(), null);
  });
});

describe('the classes', () => {
  test('one person in two classes is one person: a change shows in both', async () => {
    await saveStudent('cy', { name: 'Cy Brook', moreTime: { kind: 'minutes', minutes: 15 } });
    for (const id of ['9a', '9b']) {
      const cy = (await classList(id)).find((one) => one.id === 'cy');
      assert.deepEqual([cy?.name, cy?.moreTime], ['Cy Brook', { kind: 'minutes', minutes: 15 }]);
    }
  });

  test('a file for one class knows somebody of another by number, not by name alone', async () => {
    const read = readTable('Name,Number\nName fin,n-fin\nName gus,\n');
    assert.ok(read.ok);
    const { changes } = await classDesk.previewRoster('9a', read.table, null);
    assert.deepEqual(
      changes.map(({ known, student }) => [known, student.id]),
      [
        [true, 'fin'],
        [false, ''],
      ],
    );
    await importRoster('9a', changes);
    assert.equal((await classList('9a')).length, 6);
    assert.equal(await db.students.count(), 8, 'fin is the same person, the other gus is not');
    await undo(CLASS_LIST);
    assert.equal((await classList('9a')).length, 4);
  });

  test('a year’s end: everyone moves on, the old class is put away with its work, and it can be undone', async () => {
    const id = await newQuiz();
    await setQuizTo(id, [{ classId: '9a', group: null }]);
    await sit(id, 'ann', 'silt');
    const { classId, step } = await moveOn('9a', { name: '10A' });
    const names = async () =>
      (await listClasses()).map(({ name, archivedAt, students }) => [name, archivedAt !== null, students]);
    assert.deepEqual(await names(), [
      ['9a', true, 4],
      ['9b', false, 4],
      ['10A', false, 4],
    ]);
    assert.deepEqual((await classList(classId)).map(({ id: one }) => one).sort(), A);
    assert.deepEqual(await onCheck(id), ['ann 1'], 'its quizzes stay as they are');
    assert.equal(await undoStep(CLASS_LIST, step), 'undone');
    assert.deepEqual(await names(), [
      ['9a', false, 4],
      ['9b', false, 4],
    ]);
    const into = await moveOn('9a', { classId: '9b' });
    assert.equal(into.classId, '9b');
    assert.equal((await classList('9b')).length, 7, 'cy stands there once');
  });

  test('a class that nothing hangs on can be deleted, and comes back; any other cannot', async () => {
    const id = await addClass('Mistake');
    assert.ok(await deleteClass(id));
    assert.deepEqual(
      (await listClasses()).map(({ name }) => name),
      ['9a', '9b'],
    );
    await undo(CLASS_LIST);
    await setQuizTo(await newQuiz(), [{ classId: id, group: null }]);
    assert.equal(await deleteClass(id), null, 'a quiz is set to it');
    await setRemoved('9a', 'ann', 'off');
    assert.equal(await deleteClass('9a'), null, 'somebody is or was on its list');
  });

  test('a new class is empty, has a place behind the others, and takes students', async () => {
    const id = await addClass('  9C ');
    await addStudent(id, 'Hal Ford');
    const last = (await listClasses()).at(-1);
    assert.deepEqual([last?.name, last?.students], ['9C', 1]);
    assert.equal((await db.tickets.count()) >= 1, true);
  });
});
