import { takeDoors } from '../door/doors';
import type { KeptDoor } from '@/core/quiz/door';
import { valueAt } from '@/core/figures/valueAt';
import type { BackedQuiz, ClassPart, QuizFile, Step } from '@/core/formats/quizFile/schema';
import type { Pictures } from '@/core/formats/quizFile/quizFile';
import { placedIn } from '@/core/quiz/paper';
import { KEEP_ALL, quizUnder } from '@/core/formats/quizFile/underIds';
import { NEW_STANDING } from '@/core/quiz/newQuiz';
import { clipTypes } from '@/core/content/pictureHashes';
import { same } from '@/core/figures/deepEqual';
import { now } from '@/device/clock';
import { db, type HistoryRecord, type RecordChange } from '../records/db';
import { CLASS_LIST } from '../records/scopes';
import { EDIT_TABLES, record } from '../records/steps';
import { draftPaper, head } from '../quiz/quizzes';
import { ofQuiz } from '../records/ofQuiz';
import { attemptsSeq, nextSeq } from '../records/sequence';
import { amongOthers, writeSchool, type School } from './broughtSchool';
import { removeForGood } from '../quiz/shelf';
import { copyIds, newAttemptIds, ownSteps, whatIsHere, type Before } from './newIds';

/** What comes into the browser from files that have been read and checked. Each call is one transaction: all or nothing. */

const pictureType = (bytes: Uint8Array): string =>
  bytes[0] === 0x89
    ? 'image/png'
    : bytes[0] === 0xff
      ? 'image/jpeg'
      : bytes[0] === 0x47
        ? 'image/gif'
        : 'image/webp';

/** Keeps what a file brings: sounds and films under the type that the file names, pictures under that of their first bytes. What is here stays. */
async function keepMedia(media: Pictures, named: unknown): Promise<void> {
  const types = clipTypes(named);
  const here = await db.media.bulkGet([...media.keys()]);
  const keptAt = now();
  await db.media.bulkPut(
    [...media].map(([hash, bytes], at) => {
      const type = types.get(hash) ?? pictureType(bytes);
      return { hash, blob: here[at]?.blob ?? new Blob([new Uint8Array(bytes)], { type }), keptAt };
    }),
  );
}

const stepRecord = (quizId: string, step: Step): HistoryRecord => ({ quizId, ...step });

/** The same work under other ids, for a copy that stands beside the first one. */
function asCopy(quiz: BackedQuiz, title: (title: string) => string): BackedQuiz {
  const { quiz: written, ...copy } = quizUnder(quiz, copyIds(quiz));
  return {
    ...copy,
    quiz: { ...written, content: { ...written.content, title: title(written.content.title) } },
    history: [],
  };
}

/**
 * Writes a quiz with everything that belongs to it, in place of what stands under its id: the one way in for every quiz of
 * a file. Nothing of another quiz is written over, whatever ids the file brings.
 */
async function writeQuiz(brought: BackedQuiz, before: Before): Promise<void> {
  const {
    quiz,
    class: part,
    ...rest
  } = quizUnder(brought, {
    ...KEEP_ALL,
    attempts: await newAttemptIds(brought),
  });
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
  await db.looks.bulkPut(part.looks);
  await db.history.bulkAdd(ownSteps(rest.history, before).map((step) => stepRecord(quizId, step)));
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

const COPY = (title: string): string => `${title} (from the backup)`.slice(0, 300);

/** Takes a backup in, all in one transaction. Gives the step by which its students came; null: it brought nobody who was not here. */
export const restoreBackup = (
  {
    file,
    quizzes,
    pictures,
  }: {
    file: School & {
      doors: readonly KeptDoor[];
      histories: readonly { scope: string; steps: readonly Step[] }[];
    };
    quizzes: readonly BackedQuiz[];
    pictures: Pictures;
  },
  choices: RestoreChoices,
): Promise<number | null> =>
  db.transaction('rw', db.tables, async () => {
    const before = await whatIsHere();
    const step = await writeSchool(file, choices.students, before);
    for (const quiz of quizzes) {
      const choice = valueAt(choices.quizzes, quiz.quiz.id) ?? 'theirs';
      if (choice !== 'mine') await writeQuiz(choice === 'both' ? asCopy(quiz, COPY) : quiz, before);
    }
    for (const { scope, steps } of file.histories) {
      if ((await ofQuiz.history(scope).count()) > 0) continue;
      await db.history.bulkAdd(ownSteps(steps, before).map((step) => stepRecord(scope, step)));
      await db.meta.put({ key: `seq:${scope}`, value: Math.max(0, ...steps.map(({ seq }) => seq)) });
    }
    await takeDoors(file.doors);
    // Whoever keeps what was known of students and classes sees that it may have changed.
    await nextSeq(CLASS_LIST);
    await keepMedia(pictures, quizzes);
    return step;
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
  looks: [],
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

/** A quiz that was added, and the step by which its students came; null: it brought nobody who was not here. */
export interface AddedQuiz {
  readonly quizId: string;
  readonly step: number | null;
}

/**
 * Takes a quiz file in as a quiz of its own: under the file's id, or as a copy under a new one. Students come along where
 * the file has them, as a step of the class list; who is here already stays as here.
 */
export const addQuiz = (asked: QuizFile, pictures: Pictures, as: 'itself' | 'copy'): Promise<AddedQuiz> =>
  db.transaction('rw', db.tables, async () => {
    const before = await whatIsHere();
    const file = await amongOthers(asked);
    const quiz = onShelf(file, now());
    const fresh = file.quiz.id === 'rescued';
    const written =
      as === 'copy' || fresh
        ? asCopy(quiz, (title) => (fresh ? title : `${title} (copy)`.slice(0, 300)))
        : quiz;
    const step = file.class ? await writeSchool(file.class, 'mine', before) : null;
    await writeQuiz(written, before);
    await keepMedia(pictures, file);
    return { quizId: written.quiz.id, step };
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
