import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, describe, test } from 'node:test';
import { emptyContent } from '@/core/quiz/newQuiz';
import { db } from '@/store/records/db';
import { redo, undo } from '@/store/undo/undo';
import { importPapers } from '@/store/files/imports';
import { draftPaper, head } from '@/store/quiz/quizzes';
import { actOnSitting } from '@/store/work/sittingActs';
import { classDesk } from '@/workers/classDesk';
import { addClass } from '@/store/class/classes';
import { addStudent, saveStudent, setRemoved } from '@/store/class/roster';
import { CLASS_LIST } from '@/store/records/scopes';
import { setOwnWindow } from '@/store/quiz/standing';
import { readPaper } from '../support/support';
import { anHourIn, hand, HOUR, later, quiz, say, sit, START, write } from '../support/openQuiz';

beforeEach(anHourIn);

test('undoing an answer file keeps a person who has work at another quiz', async () => {
  const [a, b] = [await quiz(), await quiz()];
  await importPapers(
    a,
    [readPaper({ studentId: null, name: 'Zoe Mere', answers: { q1: say('silt') } } as never)],
    await draftPaper(a),
  );
  const zoe = await named(NEW);
  await sit(b, zoe.id, 'silt');
  await saveStudent(zoe.id, { number: '77' });
  await undo(a);
  assert.equal((await classDesk.handBack(b)).length, 1, 'her work at the other quiz counts');
});

test('and redo brings no older details back', async () => {
  const a = await quiz();
  await importPapers(
    a,
    [readPaper({ studentId: null, name: 'Zoe Mere', answers: { q1: say('silt') } } as never)],
    await draftPaper(a),
  );
  const zoe = await named(NEW);
  await saveStudent(zoe.id, { number: '77' });
  await undo(a);
  await redo(a);
  assert.equal((await db.students.get(zoe.id))?.number, '77');
});

test('Ctrl Z of “give back” after the second hand-in does not make that one too late', async () => {
  const id = await quiz();
  const a = await sit(id, 's1', 'x');
  later(30 * HOUR);
  await actOnSitting(id, 's1', { act: 'giveBack', minutes: 0, until: START + 60 * HOUR });
  later(HOUR);
  await write(id, 's1', a, 'silt');
  await hand(id, 's1', a);
  await undo(id);
  assert.equal((await classDesk.handBack(id))[0]?.notCounted, null);
});

test('once an answer file is undone, draft and live are one again', async () => {
  const id = await quiz();
  await importPapers(
    id,
    [readPaper({ studentId: 's1', answers: { q1: say('silt') } } as never)],
    await draftPaper(id),
  );
  await undo(id);
  assert.equal((await head(id)).firstHandInAt, null);
});

/** What a scope can have made last, with how many people of A's list it concerns, and what another scope makes of it. */
const NEW = 'Zoe Mere';
const named = async (name: string) =>
  (await db.students.toArray()).find((one) => one.name === name) ?? assert.fail(`${name} is there`);
const importNew = async (id: string) => {
  const paper = readPaper({ studentId: null, name: NEW, answers: { q1: say('silt') } });
  await importPapers(id, [paper], await draftPaper(id));
};

const OFTEN = { attempts: { ...emptyContent('').attempts, most: 3 } };

interface Two {
  readonly a: string;
  readonly b: string;
}
type Does = (at: Two) => Promise<unknown>;

/** Steps by the scope that can undo them; each is about Zoe Mere. */
const STEPS: Readonly<Record<string, { scope: (at: Two) => string; step: Does; already?: Does }>> = {
  'an answer file brings her': { scope: ({ a }) => a, step: ({ a }) => importNew(a) },
  'she is typed onto the list': { scope: () => CLASS_LIST, step: () => addStudent('c1', NEW) },
  'she gets another number': {
    scope: () => CLASS_LIST,
    already: () => addStudent('c1', NEW),
    step: async () => saveStudent((await named(NEW)).id, { number: '12' }),
  },
  'she is taken off the list': {
    scope: () => CLASS_LIST,
    already: () => addStudent('c1', NEW),
    step: async () => setRemoved('c1', (await named(NEW)).id, 'off'),
  },
};

/** What another scope, or she, does since. */
const SINCE: Readonly<Record<string, Does>> = {
  'she sits the other quiz': async ({ b }) => sit(b, (await named(NEW)).id, 'silt'),
  'she sits this quiz': async ({ a }) => sit(a, (await named(NEW)).id, 'silt'),
  'another file brings more of her work': async ({ b }) =>
    importPapers(
      b,
      [readPaper({ studentId: (await named(NEW)).id, name: NEW, answers: { q1: say('silt') } })],
      await draftPaper(b),
    ),
  'her address is written in another tab': async () =>
    db.students.update((await named(NEW)).id, { email: 'z@school.example' }),
};

/** Whose work is there, and whether she is somebody on a list. */
async function workIsSomebodys(): Promise<void> {
  const [attempts, people, members] = await Promise.all([
    db.attempts.toArray(),
    db.students.toArray(),
    db.members.toArray(),
  ]);
  for (const { studentId } of attempts) {
    assert.ok(
      people.some(({ id }) => id === studentId),
      'whoever has work is there',
    );
    assert.ok(
      members.some((one) => one.studentId === studentId),
      'and is on a list',
    );
  }
}

describe('what one scope takes back leaves what another has come to depend on, each with each', () => {
  for (const [stepName, { scope, step, already }] of Object.entries(STEPS))
    for (const [sinceName, since] of Object.entries(SINCE))
      test(`${stepName}; ${sinceName}; undone and made again`, async () => {
        const at = { a: await quiz(OFTEN), b: await quiz() };
        await already?.(at);
        await step(at);
        const isOff = (await db.members.toArray()).some(({ removedAt }) => removedAt !== null);
        if (isOff && sinceName.startsWith('she sits')) return;
        await since(at);
        const work = (await db.attempts.toArray()).filter(({ source }) => source === 'sat').length;
        const { email } = await named(NEW);
        for (const way of [undo, redo]) {
          await way(scope(at));
          await workIsSomebodys();
          const sat = (await db.attempts.toArray()).filter(({ source }) => source === 'sat');
          assert.equal(sat.length, work, 'nothing that was sat is gone');
          const her = (await db.students.toArray()).find(({ name }) => name === NEW);
          if (email !== '') assert.equal(her?.email, email, 'what was written elsewhere stays');
        }
      });
});

test('times are not set back under work that was handed in by them', async () => {
  const id = await quiz();
  await setOwnWindow(id, { kind: 'student', studentId: 's1' }, { until: START + 60 * HOUR });
  later(30 * HOUR);
  await sit(id, 's1', 'silt');
  assert.deepEqual(await undo(id), { label: 'Change who can take the quiz when', partly: true });
  assert.equal((await classDesk.handBack(id))[0]?.notCounted, null);
});

test('a class that a quiz is set to does not go with the step that made it', async () => {
  const classId = await addClass('7B');
  await quiz({}, [classId]);
  assert.equal((await undo(CLASS_LIST))?.partly, true);
  assert.ok(await db.classes.get(classId));
});

test('what nothing depends on goes with its step, and comes back with it', async () => {
  const a = await quiz();
  await importNew(a);
  assert.equal((await undo(a))?.partly, false);
  assert.deepEqual(
    (await db.students.toArray()).map(({ name }) => name),
    ['Ada Marsh', 'Bo Weir'],
  );
  assert.equal((await redo(a))?.partly, false);
  assert.ok(await named(NEW));
  assert.notEqual((await head(a)).firstHandInAt, null, 'edits wait again');
});
