import { FORM_VERSION, type BackedQuiz, type Step } from '@/core/formats/quizFile/schema';
import type { Backup } from '@/core/formats/quizFile/backup';
import type { Pictures } from '@/core/formats/quizFile/quizFile';
import { Id } from '@/core/content/questionBase';
import type { Attempt } from '@/core/quiz/work/attempt';
import { pictureHashes } from '@/core/content/pictureHashes';
import { paperFrom } from '@/core/quiz/paper';
import { now } from '@/device/clock';
import { pictureBlob } from '../quiz/pictures';
import { db, type HistoryRecord } from '../records/db';
import { CLASS_LIST, SHELF } from '../records/scopes';
import { ofQuiz } from '../records/ofQuiz';
import { attemptsSeq } from '../records/sequence';

/** What leaves the browser in files: records read together, in the form of the files. */

/** Answers under names that no question can have are in no question's way, and in no file. */
const filed = (attempt: Attempt): Attempt => ({
  ...attempt,
  answers: Object.fromEntries(Object.entries(attempt.answers).filter(([id]) => Id.safeParse(id).success)),
});

const stepOf = ({ seq, at, tab, label, field, changes, undone }: HistoryRecord): Step => ({
  seq,
  at,
  tab,
  label,
  field,
  changes,
  undone,
});

async function stepsOf(scope: string): Promise<Step[]> {
  const records = await ofQuiz.history(scope).toArray();
  return records.sort((a, b) => (a.id ?? 0) - (b.id ?? 0)).map(stepOf);
}

/** Everything of a quiz that lies in tables of its own. */
const recordsOf = (quizId: string) =>
  Promise.all([
    ofQuiz.questions(quizId).toArray(),
    ofQuiz.quizRevs(quizId).toArray(),
    ofQuiz.questionRevs(quizId).toArray(),
    ofQuiz.attempts(quizId).toArray(),
    ofQuiz.overrides(quizId).toArray(),
    ofQuiz.rulings(quizId).toArray(),
    ofQuiz.comments(quizId).toArray(),
    ofQuiz.looks(quizId).toArray(),
    db.mappings.get(quizId),
  ] as const);

/** A quiz with all its work, revisions and undo steps; the class list is not in it. null: there is none. */
export const collectQuiz = (quizId: string): Promise<BackedQuiz | null> =>
  db.transaction('r', db.tables, async () => {
    const quiz = await db.quizzes.get(quizId);
    if (!quiz) return null;
    const [questions, revisions, questionRevisions, attempts, overrides, rulings, comments, looks, mapping] =
      await recordsOf(quizId);
    const scoreColumns = (await db.meta.get(`scoreColumns:${quizId}`))?.value;
    const { id, content, createdAt, changedAt, standing, firstHandInAt, changeSeq } = quiz;
    const { position, archivedAt, deletedAt } = quiz;
    const paper = paperFrom(content, questions);
    return {
      format: 'yentrel-quiz',
      version: FORM_VERSION,
      quiz: {
        id,
        content,
        questions: [...paper.questions],
        placements: [...paper.placements],
        createdAt,
        changedAt,
      },
      share: null,
      class: {
        standing,
        firstHandInAt,
        revisions: revisions.map(({ quizId: _, ...revision }) => revision),
        questionRevisions: questionRevisions.map(({ quizId: _, ...revision }) => revision),
        students: [],
        classes: [],
        members: [],
        attempts: attempts.map(filed),
        overrides,
        rulings,
        comments,
        looks,
      },
      place: { position, archivedAt, deletedAt },
      changeSeq,
      attemptsSeq: await attemptsSeq(quizId),
      history: await stepsOf(quizId),
      mapping: mapping ? { columns: mapping.columns, twice: mapping.twice } : null,
      scoreColumns: typeof scoreColumns === 'string' ? scoreColumns : '',
    };
  });

/** The bytes of all pictures that stand anywhere in some data; those that this browser does not have are left out. */
export async function collectPictures(data: unknown): Promise<Pictures> {
  const pictures = new Map<string, Uint8Array>();
  for (const hash of pictureHashes(data)) {
    const blob = await pictureBlob(hash);
    if (blob) pictures.set(hash, new Uint8Array(await blob.arrayBuffer()));
  }
  return pictures;
}

/** Called after each quiz; false stops. */
export type Progress = (done: number, of: number) => boolean | Promise<boolean>;

/** The whole Shelf, deleted quizzes of the last 30 days too; null where it was stopped. */
export async function collectBackup(progress: Progress): Promise<Backup | null> {
  const ids = (await db.quizzes.toCollection().primaryKeys()).sort();
  const quizzes: BackedQuiz[] = [];
  for (const [at, id] of ids.entries()) {
    if (!(await progress(at, ids.length))) return null;
    const quiz = await collectQuiz(id);
    if (quiz) quizzes.push(quiz);
  }
  const [students, classes, members, tickets, doors] = await Promise.all([
    db.students.orderBy('id').toArray(),
    db.classes.orderBy('id').toArray(),
    db.members.orderBy('[classId+studentId]').toArray(),
    db.tickets.orderBy('studentId').toArray(),
    db.doors.toArray(),
  ]);
  const histories = [
    { scope: CLASS_LIST, steps: await stepsOf(CLASS_LIST) },
    { scope: SHELF, steps: await stepsOf(SHELF) },
  ] as const;
  return {
    file: {
      format: 'yentrel-backup',
      version: FORM_VERSION,
      madeAt: now(),
      quizzes: quizzes.map(({ quiz }) => quiz.id),
      students,
      classes,
      members,
      tickets,
      doors: doors.map(({ quizId, id, token, openedAt }) => ({ quizId, id, token, openedAt })),
      histories: [...histories],
    },
    quizzes,
    pictures: await collectPictures(quizzes),
  };
}
