import assert from 'node:assert/strict';
import { classUnder, KEEP_ALL } from '@/core/formats/quizFile/underIds';
import { beforeEach, describe, it } from 'node:test';
import fc from 'fast-check';
import { newPlacement } from '@/core/quiz/newPlacement';
import { emptyContent, NEW_STANDING } from '@/core/quiz/newQuiz';
import { writeBackup, readBackup } from '@/core/formats/quizFile/backup';
import { readQuizFile, writeQuizFile } from '@/core/formats/quizFile/quizFile';
import type { BackedQuiz, BackupFile, ClassPart, QuizFile, Step } from '@/core/formats/quizFile/schema';
import { canonical } from '@/core/figures/deepEqual';
import type { Member, Person, SchoolClass } from '@/core/quiz/people/school';
import type { Attempt } from '@/core/quiz/work/attempt';
import { db } from '@/store/records/db';
import { CLASS_LIST } from '@/store/records/scopes';
import { broughtBy } from '@/store/files/broughtSchool';
import { addQuiz, restoreBackup } from '@/store/files/restore';
import { undo, undoStep } from '@/store/undo/undo';
import { times } from '../../runs';
import { putStudents } from '../support/school';
import { begin, anHourIn, q1, quiz } from '../support/openQuiz';

/** What comes into a browser that is not empty, whatever ids it brings. */

const QUIZZES = ['q-one', 'q-two', 'q-three', 'constructor'];
const ATTEMPTS = ['a1', 'a2', 'a3', 'a4', 'constructor'];
const STUDENTS = ['s1', 's2', 's3', 'constructor'];
const CLASSES = ['c1', 'c2', 'constructor'];
const NAMES = ['Ada Marsh', 'Bo Weir', 'Cy Ford'];
const AT = Date.parse('2026-11-23T09:00:00Z');

const attempt = (id: string, quizId: string, studentId: string, number: number): Attempt => ({
  id,
  quizId,
  studentId,
  number,
  revision: 1,
  openedAt: AT,
  savedAt: AT,
  handedInAt: AT,
  timeKnown: true,
  source: 'sat',
  answers: { q1: { kind: 'phrase', text: 'silt' } },
  hints: {},
  seed: 1,
  saves: {},
  seq: number,
});

interface Made {
  readonly quizId: string;
  readonly title: string;
  readonly people: readonly Person[];
  readonly classes: readonly SchoolClass[];
  readonly members: readonly Member[];
  readonly attempts: readonly Attempt[];
  readonly commented: boolean;
  readonly steps: readonly Step[];
}

const person = (id: string) =>
  fc.record({
    id: fc.constant(id),
    name: fc.constantFrom(...NAMES),
    number: fc.constantFrom('', '17'),
    email: fc.constant(''),
    moreTime: fc.constant(null),
  });
const schoolClass = (id: string) =>
  fc.record({
    id: fc.constant(id),
    name: fc.constantFrom('8C', '9A'),
    position: fc.constant(1),
    archivedAt: fc.constant(null),
  });

const some = (all: readonly string[]) => fc.subarray([...all], { minLength: 1 });

const made: fc.Arbitrary<Made> = fc
  .tuple(fc.constantFrom(...QUIZZES), some(STUDENTS), some(CLASSES), fc.subarray(ATTEMPTS), fc.nat(99))
  .chain(([quizId, students, classes, attempts, n]) =>
    fc.record({
      quizId: fc.constant(quizId),
      title: fc.constant(`Rivers ${n}`),
      people: fc.tuple(...students.map(person)),
      classes: fc.tuple(...classes.map(schoolClass)),
      members: fc
        .subarray(classes.flatMap((classId) => students.map((studentId) => ({ classId, studentId }))))
        .map((places) => places.map((place) => ({ ...place, groups: [], removedAt: null }))),
      attempts: fc
        .tuple(...attempts.map(() => fc.constantFrom(...students)))
        .map((whose) => attempts.map((id, at) => attempt(id, quizId, whose[at] ?? '', at + 1))),
      commented: fc.boolean(),
      steps: fc.array(step(quizId, attempts, students, classes), { maxLength: 3 }),
    }),
  );

/** Steps that would write over what is here when they are undone. */
const step = (
  quizId: string,
  attempts: readonly string[],
  students: readonly string[],
  classes: readonly string[],
): fc.Arbitrary<Step> =>
  fc
    .oneof(
      fc
        .constantFrom(...students)
        .chain((id) => fc.tuple(person(id), person(id)))
        .map(([before, after]) => ({ kind: 'student' as const, id: after.id, before, after })),
      fc
        .constantFrom(...classes)
        .chain((id) => fc.tuple(schoolClass(id), schoolClass(id)))
        .map(([before, after]) => ({ kind: 'class' as const, id: after.id, before, after })),
      fc.constantFrom(...ATTEMPTS, ...attempts).map((id) => ({
        kind: 'attempt' as const,
        id,
        before: attempt(id, quizId, students[0] ?? '', 90),
        after: attempt(id, quizId, students[0] ?? '', 91),
      })),
    )
    .map((change) => ({
      seq: 1,
      at: AT,
      tab: 't',
      label: 'Edit',
      field: '',
      changes: [change],
      undone: 0 as const,
    }));

const written = ({ quizId, title }: Made) => ({
  id: quizId,
  content: { ...emptyContent(title, 'UTC'), order: ['q1'] },
  questions: [q1()],
  placements: [newPlacement('q1')],
  createdAt: AT,
  changedAt: AT,
});

const classPart = ({ quizId, people, classes, members, attempts, commented }: Made): ClassPart => ({
  standing: {
    ...NEW_STANDING,
    live: 1,
    setTo: classes.flatMap(({ id }) => [
      { classId: id, group: null },
      ...people.slice(0, 1).map((one) => ({ classId: id, group: null, studentId: one.id })),
    ]),
  },
  firstHandInAt: AT,
  revisions: [
    {
      rev: 1,
      parent: null,
      at: AT,
      why: 'opened',
      content: { ...emptyContent('Rivers', 'UTC'), order: ['q1'] },
      questionRevs: { q1: 1 },
    },
  ],
  questionRevisions: [{ questionId: 'q1', rev: 1, question: q1(), placement: newPlacement('q1') }],
  students: [...people],
  classes: [...classes],
  members: [...members],
  attempts: [...attempts],
  overrides: [],
  rulings: attempts.map(({ id }) => ({
    quizId,
    attemptId: id,
    standing: 'asRules',
    lateness: 'counts',
    note: 'looked at',
  })),
  comments: commented
    ? attempts.map(({ id }) => ({ quizId, attemptId: id, questionId: 'q1', text: 'Look again', at: AT }))
    : [],
  looks: people.map(({ id: studentId }) => ({ quizId, studentId, at: AT })),
});

const quizFile = (one: Made): QuizFile => ({
  format: 'yentrel-quiz',
  version: 15,
  quiz: written(one),
  share: null,
  class: classPart(one),
});

const backed = (one: Made): BackedQuiz => ({
  ...quizFile(one),
  share: null,
  class: { ...classPart(one), students: [], classes: [], members: [] },
  place: { position: 1, archivedAt: null, deletedAt: null },
  changeSeq: 1,
  attemptsSeq: 9,
  history: one.steps.map((each, at) => ({ ...each, seq: at + 1 })),
  mapping: null,
  scoreColumns: '',
});

const backupOf = (one: Made): BackupFile => ({
  format: 'yentrel-backup',
  version: 15,
  madeAt: AT,
  quizzes: [one.quizId],
  students: [...one.people],
  classes: [...one.classes],
  members: [...one.members],
  tickets: [],
  doors: [],
  histories: [],
});

const OF_QUIZ = [
  'questions',
  'quizRevs',
  'questionRevs',
  'overrides',
  'rulings',
  'comments',
  'attempts',
] as const;
const SHARED = ['students', 'classes', 'members', 'tickets', 'media'] as const;

/** Every record by its table and key, as text. */
async function everything(): Promise<Map<string, { quizId: string | null; text: string }>> {
  const found = new Map<string, { quizId: string | null; text: string }>();
  for (const name of [...OF_QUIZ, ...SHARED, 'quizzes'] as const) {
    const table = db.table<Record<string, unknown>>(name);
    const keys = await table.toCollection().primaryKeys();
    const rows = await table.toArray();
    rows.forEach((row, at) => {
      const owner = name === 'quizzes' ? row['id'] : row['quizId'];
      const quizId = typeof owner === 'string' ? owner : null;
      found.set(`${name}/${JSON.stringify(keys[at])}`, { quizId, text: canonical(row) });
    });
  }
  return found;
}

type Everything = Awaited<ReturnType<typeof everything>>;
function stands(before: Everything, after: Everything, replaced: string | null): void {
  for (const [key, { quizId, text }] of before) {
    if (quizId !== null && quizId === replaced) continue;
    assert.equal(after.get(key)?.text, text, key);
  }
}

async function home(all: readonly Made[]): Promise<void> {
  await Promise.all(db.tables.map((table) => table.clear()));
  const fresh = async (one: Made) => {
    const file = readQuizFile(writeQuizFile(quizFile(one), new Map()));
    assert.ok(file.ok, JSON.stringify(file));
    await addQuiz(file.value.file, new Map(), 'itself');
  };
  for (const one of all) await fresh(one);
}

const RUNS = times(40, 2000);

describe('a file into a browser that holds other work', () => {
  beforeEach(anHourIn);

  it('as a quiz: nothing that was there is written over, and its own work is all there', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(made, { maxLength: 3 }),
        made,
        fc.constantFrom('itself' as const, 'copy' as const),
        async (there, comes, as) => {
          await home(there);
          const before = await everything();
          const read = readQuizFile(writeQuizFile(quizFile(comes), new Map()));
          assert.ok(read.ok);
          const { quizId } = await addQuiz(read.value.file, new Map(), as);
          stands(before, await everything(), as === 'itself' ? comes.quizId : null);
          const attempts = await db.attempts.filter((one) => one.quizId === quizId).toArray();
          assert.equal(attempts.length, comes.attempts.length);
          const ids = new Set(attempts.map(({ id }) => id));
          const rulings = await db.rulings.filter((one) => one.quizId === quizId).toArray();
          assert.equal(rulings.length, comes.attempts.length);
          assert.ok(rulings.every(({ attemptId }) => ids.has(attemptId)));
          const people = new Set(await db.students.toCollection().primaryKeys());
          assert.ok(attempts.every(({ studentId }) => people.has(studentId)));
        },
      ),
      { numRuns: RUNS },
    );
  });

  it('as a backup, and every step that it brings undone: the same', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(made, { maxLength: 3 }), made, async (there, comes) => {
        await home(there);
        const before = await everything();
        const bytes = writeBackup({ file: backupOf(comes), quizzes: [backed(comes)], pictures: new Map() });
        const read = readBackup(bytes);
        assert.ok(read.ok, JSON.stringify(read));
        assert.deepEqual(read.value.lost, []);
        const added = await restoreBackup(read.value, { quizzes: {}, students: 'mine' });
        stands(before, await everything(), comes.quizId);
        for (let n = 0; n < comes.steps.length; n++) await undo(comes.quizId);
        stands(before, await everything(), comes.quizId);
        if (added !== null) await undoStep(CLASS_LIST, added);
        stands(before, await everything(), comes.quizId);
      }),
      { numRuns: RUNS },
    );
  });

  it('24 papers of another quiz stay where they are, whatever a file calls its own', async () => {
    const id = await quiz();
    const mine = await begin(id, 's1');
    const [comes] = fc.sample(made, { seed: 5, numRuns: 1 });
    assert.ok(comes);
    const [whose] = comes.people;
    const hostile = {
      ...comes,
      quizId: 'q-hostile',
      attempts: [attempt(mine, 'q-hostile', whose?.id ?? '', 1)],
    };
    await addQuiz(quizFile(hostile), new Map(), 'itself');
    assert.equal((await db.attempts.get(mine))?.quizId, id);
    assert.equal(
      await db.attempts
        .where('quizId')
        .equals('q-hostile')
        .count()
        .catch(() => 1),
      1,
    );
  });

  it('whom it adds is said before, and taken off again by its step', async () => {
    await db.classes.update('c1', { name: '8C' });
    const more: Made = {
      quizId: 'q-new',
      title: 'Floods',
      people: ['s1', 's9'].map((id) => ({
        id,
        name: id === 's1' ? 'Ada Marsh' : 'Cy Ford',
        number: '',
        email: '',
        moreTime: null,
      })),
      classes: [{ id: 'c1', name: '8C', position: 1, archivedAt: null }],
      members: ['s1', 's9'].map((studentId) => ({ classId: 'c1', studentId, groups: [], removedAt: null })),
      attempts: [],
      commented: false,
      steps: [],
    };
    assert.deepEqual(await broughtBy(classPart(more)), {
      students: 1,
      lists: [{ name: '8C', students: 1, isNew: false }],
    });
    const { step: added } = await addQuiz(quizFile(more), new Map(), 'itself');
    assert.ok(added !== null);
    assert.ok(await db.members.get(['c1', 's9']));
    assert.equal(await undoStep(CLASS_LIST, added), 'undone');
    assert.equal(await db.members.get(['c1', 's9']), undefined);
    assert.equal(await db.students.get('s9'), undefined);
    assert.ok(await db.students.get('s1'));
  });

  it('somebody else who has a student’s id comes in as somebody else', async () => {
    await putStudents([{ id: 's1', name: 'Ada Marsh', number: '4' }]);
    const [comes] = fc.sample(made, { seed: 7, numRuns: 1 });
    assert.ok(comes);
    const stranger = { id: 's1', name: 'Mallory Weir', number: '99', email: '', moreTime: null };
    const file = quizFile({
      ...comes,
      quizId: 'q-other',
      people: [stranger],
      members: [],
      attempts: [attempt('a1', 'q-other', 's1', 1)],
      steps: [],
    });
    const { quizId } = await addQuiz(file, new Map(), 'itself');
    assert.equal((await db.students.get('s1'))?.name, 'Ada Marsh');
    const [work] = await db.attempts.filter((one) => one.quizId === quizId).toArray();
    assert.notEqual(work?.studentId, 's1');
    assert.equal((await db.students.get(work?.studentId ?? ''))?.name, 'Mallory Weir');
  });
});

it('a student whom a quiz is set for alone is the one under the new id', () => {
  const part: ClassPart = {
    ...classPart({
      quizId: 'q',
      title: 'T',
      people: [],
      classes: [],
      members: [],
      attempts: [],
      commented: null,
    } as never),
    attempts: [],
  };
  part.standing.setTo = [{ classId: 'a', group: null, studentId: 's' }];
  const ids = { ...KEEP_ALL, classes: new Map([['a', 'b']]), students: new Map([['s', 't']]) };
  assert.deepEqual(classUnder(part, ids).standing.setTo, [{ classId: 'b', group: null, studentId: 't' }]);
});
