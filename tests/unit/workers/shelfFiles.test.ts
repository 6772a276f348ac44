import 'fake-indexeddb/auto';
import { applyNow } from '../support/applyNow';
import assert from 'node:assert/strict';
import { beforeEach, describe, test } from 'node:test';
import { unzipSync } from 'fflate';
import { readBackup } from '@/core/formats/quizFile/backup';
import { readQuizFile, writeQuizFile } from '@/core/formats/quizFile/quizFile';
import { canonical } from '@/core/figures/deepEqual';
import { backupState, keepBackedUp } from '@/store/files/backups';
import { collectQuiz } from '@/store/files/gather';
import { db } from '@/store/records/db';
import { ensureDemo } from '@/store/demo/demo';
import { ofQuiz } from '@/store/records/ofQuiz';
import { SCHOOL } from '../../../demo/school';
import { DEMO_QUIZ } from '../../demoQuiz';
import { keepDrawings } from '../support/drawings';
import { saveContent, saveQuestion } from '@/store/quiz/edits';
import { nextSteps } from '@/store/records/steps';
import { undo } from '@/store/undo/undo';
import { setOverride } from '@/store/work/overrides';
import { draftPaper, head } from '@/store/quiz/quizzes';
import { undoRevision } from '@/store/quiz/revisions';
import { checkTable } from '@/views/check';
import {
  classDesk,
  fileDesk,
  type OpenedFile,
  type OpenedBackup,
  type OpenedQuiz,
} from '@/workers/classDesk';
import { hashOf, pack } from '@/core/formats/quizFile/archive';
import { DEMO_FILE } from '../../generated';
import { filledQuestion } from '../support/filled';

const label = (field = '') => ({ label: 'Edit', field });
const going = () => true;
const plainChoices = { students: 'without', author: 'M. Weir', note: 'For week 2' } as const;

async function open<Kind extends OpenedFile['kind']>(
  bytes: Uint8Array,
  kind: Kind,
): Promise<Extract<OpenedFile, { kind: Kind }>> {
  const read = await fileDesk.openFile(bytes);
  assert.ok(read.ok, JSON.stringify(read));
  assert.equal(read.value.kind, kind);
  return read.value as Extract<OpenedFile, { kind: Kind }>;
}
const openQuiz = (bytes: Uint8Array): Promise<OpenedQuiz> => open(bytes, 'quiz');
const openBackup = (bytes: Uint8Array): Promise<OpenedBackup> => open(bytes, 'backup');

/** How the demo school's open quiz in a backup compares with the one here. */
const ofRivers = ({ quizzes }: OpenedBackup) => quizzes.find(({ id }) => id === DEMO_QUIZ)?.standing;

async function emptyBrowser(): Promise<void> {
  await db.delete();
  await db.open();
}

async function retouch(patch: { topic?: string; title?: string }, field: string): Promise<void> {
  const saved = await saveContent(DEMO_QUIZ, patch, (await head(DEMO_QUIZ)).content, label(field));
  assert.ok(saved.ok);
}

/** A week's work in the demo: an edit, a change of the key that was applied, an own score, a picture. */
async function worked(): Promise<void> {
  const { questions } = await draftPaper(DEMO_QUIZ);
  const lake = questions[1];
  assert.ok(lake);
  const { rev, placement } = (await db.questions.get([DEMO_QUIZ, lake.id])) ?? assert.fail();
  await saveQuestion(
    DEMO_QUIZ,
    { question: { ...lake, explanation: 'A loop that was cut off.' }, placement },
    rev,
    label('a'),
  );
  await applyNow(DEMO_QUIZ);
  await retouch({ topic: 'Week two' }, 'b');
  const [attempt] = await ofQuiz.attempts(DEMO_QUIZ).toArray();
  await setOverride({
    quizId: DEMO_QUIZ,
    attemptId: attempt?.id ?? '',
    questionId: lake.id,
    points: { n: 1, d: 2 },
    reason: 'told orally',
    at: 5,
    gave: null,
  });
}
const everything = async () => {
  const tables = await Promise.all(SCHOOL.map(({ quiz }) => checkTable(quiz.id)));
  const steps = (await db.history.toArray()).map(({ id: _, ...step }) => step);
  const { position: _, ...quiz } = await head(DEMO_QUIZ);
  return canonical({
    tables,
    steps,
    quiz,
    pictures: (await db.media.toArray()).map(({ hash }) => hash),
    students: await db.students.toArray(),
    classes: await db.classes.toArray(),
    members: await db.members.toArray(),
    next: await nextSteps(DEMO_QUIZ),
  });
};

beforeEach(async () => {
  await emptyBrowser();
  await ensureDemo();
  await keepDrawings();
});

describe('a backup', () => {
  test('of the demo school, restored into an empty browser, gives equal scores and histories', async () => {
    await worked();
    const before = await everything();
    const made = await classDesk.saveBackup(going);
    assert.ok(made);
    await emptyBrowser();
    const opened = await openBackup(made.bytes);
    assert.deepEqual(
      opened.quizzes.map(({ standing }) => standing),
      SCHOOL.map(() => 'new'),
    );
    assert.equal(opened.students.brings.students, 48);
    await fileDesk.takeBackup(opened.token, { quizzes: {}, students: 'mine' });
    assert.equal(await everything(), before);
    assert.equal((await undo(DEMO_QUIZ))?.label, 'Set your own score');
    assert.equal((await undo(DEMO_QUIZ))?.label, 'Edit');
    assert.equal((await head(DEMO_QUIZ)).content.topic === 'Week two', false);
    assert.ok(await undoRevision(DEMO_QUIZ), 'the applied key can be undone as before');
  });
  test('the same Shelf gives the same bytes but for the moment; each part says its hash', async () => {
    const [one, two] = [await classDesk.saveBackup(going), await classDesk.saveBackup(going)];
    const quiz = (bytes: Uint8Array | undefined) =>
      Buffer.from(unzipSync(bytes ?? new Uint8Array())[`quizzes/${DEMO_QUIZ}.json`] ?? []).toString();
    assert.ok(quiz(one?.bytes).length > 10_000);
    assert.equal(quiz(one?.bytes), quiz(two?.bytes));
  });
  test('same, newer, older, in conflict: mine, theirs, both', async () => {
    const first = await classDesk.saveBackup(going);
    assert.deepEqual(ofRivers(await openBackup(first?.bytes ?? new Uint8Array())), 'same');
    await worked();
    const second = await classDesk.saveBackup(going);
    const worn = await everything();
    const older = await openBackup(first?.bytes ?? new Uint8Array());
    assert.equal(ofRivers(older), 'older');
    await fileDesk.takeBackup(older.token, { quizzes: { [DEMO_QUIZ]: 'theirs' }, students: 'mine' });
    assert.notEqual(await everything(), worn);
    const newer = await openBackup(second?.bytes ?? new Uint8Array());
    assert.equal(ofRivers(newer), 'newer');
    await retouch({ title: 'My rivers' }, 'c');
    const torn = await openBackup(second?.bytes ?? new Uint8Array());
    assert.equal(ofRivers(torn), 'conflict');
    await fileDesk.takeBackup(torn.token, { quizzes: { [DEMO_QUIZ]: 'both' }, students: 'mine' });
    const own = (await db.quizzes.toArray()).filter(({ id }) => id === DEMO_QUIZ || !id.startsWith('demo-'));
    assert.deepEqual(own.map(({ content }) => content.title).sort(), [
      'How rivers shape the land (from the backup)',
      'My rivers',
    ]);
    const copy = own.find(({ id }) => id !== DEMO_QUIZ);
    const [here, there] = [await checkTable(DEMO_QUIZ), await checkTable(copy?.id ?? '')];
    assert.equal(there.rows.length, here.rows.length);
    assert.equal(there.rows.filter(({ cells }) => cells.some(({ override }) => override)).length, 1);
    assert.equal(here.rows.filter(({ cells }) => cells.some(({ override }) => override)).length, 0);
  });
  test('after “theirs” the class is marked from what the file holds, also where it was read before', async () => {
    const made = await classDesk.saveBackup(going);
    const before = canonical(await checkTable(DEMO_QUIZ));
    const [attempt] = await ofQuiz.attempts(DEMO_QUIZ).toArray();
    assert.ok(attempt);
    await db.attempts.put({ ...attempt, answers: {}, savedAt: attempt.savedAt + 1, seq: 99 });
    await db.meta.put({ key: `seq:${DEMO_QUIZ}`, value: 99 });
    assert.notEqual(canonical(await checkTable(DEMO_QUIZ)), before);
    const opened = await openBackup(made?.bytes ?? new Uint8Array());
    await fileDesk.takeBackup(opened.token, { quizzes: { [DEMO_QUIZ]: 'theirs' }, students: 'mine' });
    assert.equal(canonical(await checkTable(DEMO_QUIZ)), before);
  });
  test('it is stopped between quizzes; its age and what changed since are known', async () => {
    assert.equal(await classDesk.saveBackup(() => false), null);
    assert.deepEqual((({ at, changedSince }) => [at, changedSince])(await backupState()), [null, true]);
    const made = await classDesk.saveBackup(going);
    await keepBackedUp(7, made?.stamp ?? '');
    assert.deepEqual((({ at, changedSince }) => [at, changedSince])(await backupState()), [7, false]);
    await retouch({ topic: 'Floods' }, 'd');
    assert.equal((await backupState()).changedSince, true);
  });
  test('students who are written differently stay, or become as in the file', async () => {
    const made = await classDesk.saveBackup(going);
    await db.students.update('demo-1', { name: 'Ada Marsh-Weir' });
    const opened = await openBackup(made?.bytes ?? new Uint8Array());
    assert.deepEqual(opened.students, { brings: { students: 0, lists: [] }, differ: ['Ada Marsh'] });
    await fileDesk.takeBackup(opened.token, { quizzes: { [DEMO_QUIZ]: 'mine' }, students: 'mine' });
    assert.equal((await db.students.get('demo-1'))?.name, 'Ada Marsh-Weir');
    await fileDesk.takeBackup(opened.token, { quizzes: { [DEMO_QUIZ]: 'mine' }, students: 'theirs' });
    assert.equal((await db.students.get('demo-1'))?.name, 'Ada Marsh');
  });
});

describe('a quiz file', () => {
  test('for a colleague holds no student, whatever the class did', async () => {
    await worked();
    const bytes = await classDesk.saveQuizFile(DEMO_QUIZ, plainChoices);
    assert.ok(bytes);
    const text = Buffer.from(unzipSync(bytes)['quiz.json'] ?? []).toString();
    for (const student of await db.students.toArray()) {
      assert.ok(!text.includes(student.name), student.name);
      assert.ok(!text.includes(student.id), student.id);
    }
    assert.ok(!text.includes('told orally'));
    const read = readQuizFile(bytes);
    assert.ok(read.ok);
    assert.deepEqual(
      [read.value.file.class, read.value.file.share?.author, read.value.file.share?.note],
      [null, 'M. Weir', 'For week 2'],
    );
  });
  test('with everyone’s work it is the same class elsewhere', async () => {
    await worked();
    const before = canonical((await checkTable(DEMO_QUIZ)).rows);
    const bytes = await classDesk.saveQuizFile(DEMO_QUIZ, { ...plainChoices, students: 'with' });
    await emptyBrowser();
    const opened = await openQuiz(bytes ?? new Uint8Array());
    assert.deepEqual([opened.class, opened.here, opened.share], [{ students: 26, attempts: 24 }, null, null]);
    assert.equal((await fileDesk.takeQuiz(opened.token, 'itself')).quizId, DEMO_QUIZ);
    assert.equal(canonical((await checkTable(DEMO_QUIZ)).rows), before);
  });
  test('a later copy says what it changes; its changes wait in the draft, and are undone in one step', async () => {
    const later = JSON.parse(canonical(DEMO_FILE)) as typeof DEMO_FILE;
    const [, lake] = later.quiz.questions;
    assert.ok(lake?.kind === 'phrase');
    lake.variants[0]?.forms.push('cut-off lake');
    const opened = await openQuiz(
      writeQuizFile(
        {
          ...later,
          quiz: {
            ...later.quiz,
            content: { ...later.quiz.content, zone: (await head(DEMO_QUIZ)).content.zone },
          },
        },
        new Map(),
      ),
    );
    assert.equal(opened.here?.changes.length, 1);
    assert.match(
      opened.here?.changes[0] ?? '',
      /^Question 2, “A meander is cut off.+”, is changed: the key$/,
    );
    await fileDesk.takeQuiz(opened.token, 'changes');
    const effect = await classDesk.pending(DEMO_QUIZ);
    assert.deepEqual(
      effect.changes.map(({ kind }) => kind),
      ['changed'],
    );
    assert.equal((await undo(DEMO_QUIZ))?.label, 'Apply a later copy');
    assert.deepEqual((await classDesk.pending(DEMO_QUIZ)).changes, []);
  });
  test('a copy stands beside the quiz, with its pictures', async () => {
    const picture = Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 9]);
    const hash = hashOf(picture);
    const file = JSON.parse(canonical(DEMO_FILE)) as typeof DEMO_FILE;
    const [first] = file.quiz.questions;
    assert.ok(first?.kind === 'pickOne' && first.options[0]);
    first.options[0].picture = { hash, alt: 'A weir', width: 5, height: 5, share: 50 };
    const opened = await openQuiz(writeQuizFile(file, new Map([[hash, picture]])));
    const { quizId: id } = await fileDesk.takeQuiz(opened.token, 'copy');
    assert.notEqual(id, DEMO_QUIZ);
    assert.equal((await head(id)).content.title, 'How rivers shape the land (copy)');
    assert.equal((await db.media.get(hash))?.blob.type, 'image/png');
    const again = await collectQuiz(id);
    assert.equal(again?.class.attempts.length, 0);
  });
  test('a quiz of any kind is opened; a file that was opened before waits no longer', async () => {
    const content = { ...DEMO_FILE.quiz.content, order: ['q'] };
    const file = {
      ...DEMO_FILE,
      quiz: { ...DEMO_FILE.quiz, content, questions: [filledQuestion('match', {})] },
    };
    const read = await openQuiz(writeQuizFile(file, new Map()));
    assert.equal(read.questions, 1);
    const first = await openQuiz(writeQuizFile(DEMO_FILE, new Map()));
    await openQuiz(writeQuizFile(DEMO_FILE, new Map()));
    await assert.rejects(() => fileDesk.takeQuiz(first.token, 'copy'), /Another file/);
    const none = readBackup(pack(new Map([['backup.json', new Uint8Array([1])]])));
    assert.deepEqual(!none.ok && none.problems, [
      'backup.json cannot be read: a part of it is damaged. Ask for a new copy.',
    ]);
  });
});
