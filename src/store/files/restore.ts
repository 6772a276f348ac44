import type { BackedQuiz, ClassPart, QuizFile, Step } from '@/core/formats/quizFile/schema';
import type { Pictures } from '@/core/formats/quizFile/quizFile';
import type { Member, Person, SchoolClass } from '@/core/quiz/people/school';
import { placedIn } from '@/core/quiz/paper';
import { NEW_STANDING } from '@/core/quiz/newQuiz';
import { clipTypes } from '@/core/content/pictureHashes';
import { same } from '@/core/figures/deepEqual';
import { now } from '@/device/clock';
import { db, type HistoryRecord, type RecordChange } from '../records/db';
import { CLASS_LIST } from '../records/scopes';
import { EDIT_TABLES, record } from '../records/steps';
import { newId } from '@/device/ids';
import { draftPaper, head } from '../quiz/quizzes';
import { ofQuiz } from '../records/ofQuiz';
import { attemptsSeq, nextSeq } from '../records/sequence';
import { giveTickets } from '../records/tickets';
import { removeForGood } from '../quiz/shelf';

/** What comes into the browser from files that have been read and checked. Each call is one transaction: all or nothing. */

const pictureType = (bytes: Uint8Array): string =>
  bytes[0] === 0x89
    ? 'image/png'
    : bytes[0] === 0xff
      ? 'image/jpeg'
      : bytes[0] === 0x47
        ? 'image/gif'
        : 'image/webp';

/** Keeps what a file brings: sounds and films under the type that the file names, pictures under that of their first bytes. */
function keepMedia(media: Pictures, named: unknown): Promise<unknown> {
  const types = clipTypes(named);
  return db.media.bulkPut(
    [...media].map(([hash, bytes]) => ({
      hash,
      blob: new Blob([new Uint8Array(bytes)], { type: types.get(hash) ?? pictureType(bytes) }),
      keptAt: now(),
    })),
  );
}

const stepRecord = (quizId: string, step: Step): HistoryRecord => ({ quizId, ...step });

/** The same work under other ids, for a copy that stands beside the first one. */
function asCopy(quiz: BackedQuiz, title: (title: string) => string): BackedQuiz {
  const id = newId();
  const attemptIds = new Map(quiz.class.attempts.map((attempt) => [attempt.id, newId()]));
  const moved = <One extends { quizId: string; attemptId: string }>(list: readonly One[]): One[] =>
    list.map((one) => ({ ...one, quizId: id, attemptId: attemptIds.get(one.attemptId) ?? one.attemptId }));
  const { attempts, overrides, rulings, comments } = quiz.class;
  return {
    ...quiz,
    quiz: { ...quiz.quiz, id, content: { ...quiz.quiz.content, title: title(quiz.quiz.content.title) } },
    class: {
      ...quiz.class,
      attempts: attempts.map((one) => ({ ...one, id: attemptIds.get(one.id) ?? one.id, quizId: id })),
      overrides: moved(overrides),
      rulings: moved(rulings),
      comments: moved(comments),
    },
    history: [],
  };
}

/** Writes a quiz with everything that belongs to it, in place of what stands under its id. */
async function writeQuiz({ quiz, class: part, ...rest }: BackedQuiz): Promise<void> {
  const { id: quizId, content, createdAt, changedAt } = quiz;
  // Numbers of the attempts go on behind those that were here: readers that know older ones see that all have changed.
  const last = (await attemptsSeq(quizId)) + 1;
  if (await db.quizzes.get(quizId)) await removeForGood(quizId);
  const { standing, firstHandInAt } = part;
  await db.quizzes.put({
    id: quizId,
    content,
    standing,
    changeSeq: rest.changeSeq,
    firstHandInAt,
    createdAt,
    changedAt,
    ...rest.place,
  });
  await db.questions.bulkPut(
    placedIn(quiz).map((placed) => ({ quizId, id: placed.question.id, rev: rest.changeSeq, ...placed })),
  );
  await db.quizRevs.bulkPut(part.revisions.map((revision) => ({ quizId, ...revision })));
  await db.questionRevs.bulkPut(part.questionRevisions.map((revision) => ({ quizId, ...revision })));
  await db.attempts.bulkPut(part.attempts.map((attempt) => ({ ...attempt, seq: attempt.seq + last })));
  await db.overrides.bulkPut(part.overrides);
  await db.rulings.bulkPut(part.rulings);
  await db.comments.bulkPut(part.comments);
  await db.history.bulkAdd(rest.history.map((step) => stepRecord(quizId, step)));
  await db.meta.put({ key: `seq:${quizId}`, value: rest.attemptsSeq + last });
  if (rest.mapping) await db.mappings.put({ quizId, ...rest.mapping });
  if (rest.scoreColumns) await db.meta.put({ key: `scoreColumns:${quizId}`, value: rest.scoreColumns });
}

/** What to do with one quiz of a backup. `both`: the one of the file comes as a copy. */
export type Choice = 'mine' | 'theirs' | 'both';

export interface RestoreChoices {
  /** By quiz; `theirs` for one that is not here. */
  readonly quizzes: Readonly<Record<string, Choice>>;
  /** For students who are written differently here and in the file. */
  readonly students: 'mine' | 'theirs';
}

interface School {
  readonly students: readonly Person[];
  readonly classes: readonly SchoolClass[];
  readonly members: readonly Member[];
}

/** Classes and places on their lists that are here stay as they are here; others come in. */
async function writeClasses({ classes, members }: School): Promise<void> {
  const here = new Set(await db.classes.toCollection().primaryKeys());
  await db.classes.bulkPut(classes.filter(({ id }) => !here.has(id)));
  const placed = new Set((await db.members.toArray()).map((one) => `${one.classId}/${one.studentId}`));
  await db.members.bulkPut(
    members.filter(({ classId, studentId }) => !placed.has(`${classId}/${studentId}`)),
  );
}

async function writeStudents(school: School, which: 'mine' | 'theirs'): Promise<void> {
  const { students } = school;
  const here = new Set(
    (await db.students.bulkGet(students.map(({ id }) => id))).flatMap((one) => one?.id ?? []),
  );
  await db.students.bulkPut(which === 'theirs' ? [...students] : students.filter(({ id }) => !here.has(id)));
  await giveTickets(students.map(({ id }) => id));
  await writeClasses(school);
}

const COPY = (title: string): string => `${title} (from the backup)`.slice(0, 300);

/** Takes a backup in, all in one transaction. */
export const restoreBackup = (
  {
    file,
    quizzes,
    pictures,
  }: {
    file: School & { histories: readonly { scope: string; steps: readonly Step[] }[] };
    quizzes: readonly BackedQuiz[];
    pictures: Pictures;
  },
  choices: RestoreChoices,
): Promise<void> =>
  db.transaction('rw', db.tables, async () => {
    await writeStudents(file, choices.students);
    for (const quiz of quizzes) {
      const choice = choices.quizzes[quiz.quiz.id] ?? 'theirs';
      if (choice !== 'mine') await writeQuiz(choice === 'both' ? asCopy(quiz, COPY) : quiz);
    }
    for (const { scope, steps } of file.histories) {
      const own = await ofQuiz.history(scope).count();
      if (own > 0) continue;
      await db.history.bulkAdd(steps.map((step) => stepRecord(scope, step)));
      await db.meta.put({ key: `seq:${scope}`, value: Math.max(0, ...steps.map(({ seq }) => seq)) });
    }
    // Whoever keeps what was known of students and classes sees that it may have changed.
    await nextSeq(CLASS_LIST);
    await keepMedia(pictures, quizzes);
  });

const NO_WORK: ClassPart = {
  standing: NEW_STANDING,
  firstHandInAt: null,
  revisions: [],
  questionRevisions: [],
  students: [],
  classes: [],
  members: [],
  attempts: [],
  overrides: [],
  rulings: [],
  comments: [],
};

const onShelf = (file: QuizFile, at: number): BackedQuiz => ({
  format: 'yentrel-quiz',
  version: file.version,
  quiz: { ...file.quiz, changedAt: file.class ? file.quiz.changedAt : at },
  share: null,
  class: file.class ? { ...file.class, students: [], classes: [], members: [] } : NO_WORK,
  place: { position: -at, archivedAt: null, deletedAt: null },
  changeSeq: 1,
  attemptsSeq: Math.max(0, ...(file.class?.attempts ?? []).map(({ seq }) => seq)),
  history: [],
  mapping: null,
  scoreColumns: '',
});

/**
 * Takes a quiz file in as a quiz of its own: under the file's id, or as a copy under a new one. Students come along where
 * the file has them; who is here already stays as here. Gives the quiz's id.
 */
export const addQuiz = (file: QuizFile, pictures: Pictures, as: 'itself' | 'copy'): Promise<string> =>
  db.transaction('rw', db.tables, async () => {
    const quiz = onShelf(file, now());
    const fresh = file.quiz.id === 'rescued';
    const written =
      as === 'copy' || fresh
        ? asCopy(quiz, (title) => (fresh ? title : `${title} (copy)`.slice(0, 300)))
        : quiz;
    if (file.class) {
      await writeStudents(file.class, 'mine');
      await nextSeq(CLASS_LIST);
    }
    await writeQuiz(written);
    await keepMedia(pictures, file);
    return written.quiz.id;
  });

/** Takes over what a later copy changed in a quiz that is here: its draft, as one step that can be undone. */
export const updateQuiz = (file: QuizFile, pictures: Pictures): Promise<void> =>
  db.transaction('rw', [...EDIT_TABLES, db.media], async () => {
    const { id: quizId, content } = file.quiz;
    const mine = await draftPaper(quizId);
    const before = (await head(quizId)).content;
    const theirs = new Map(placedIn(file.quiz).map((placed) => [placed.question.id, placed]));
    const changes: RecordChange[] = [];
    if (!same(before, content)) changes.push({ kind: 'content', before, after: content });
    for (const placed of placedIn(mine)) {
      const { id } = placed.question;
      const after = theirs.get(id) ?? null;
      if (!same(placed, after)) changes.push({ kind: 'question', id, before: placed, after });
    }
    const own = new Set(mine.questions.map(({ id }) => id));
    for (const [id, placed] of theirs)
      if (!own.has(id)) changes.push({ kind: 'question', id, before: null, after: placed });
    if (changes.length > 0) await record(quizId, changes, { label: 'Apply a later copy', field: '' });
    await keepMedia(pictures, file);
  });
