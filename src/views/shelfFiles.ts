import { askedIn } from '@/core/quiz/points';
import { isBackup, readBackup, writeBackup, type Backup } from '@/core/formats/quizFile/backup';
import { isJson, type Result } from '@/core/formats/quizFile/archive';
import { compareCopies, compareStudents, copyChanges, type Standing } from '@/core/formats/quizFile/compare';
import { readQuizFile, writeQuizFile, type ReadQuiz } from '@/core/formats/quizFile/quizFile';
import { checkPictures } from '@/core/formats/quizFile/checks';
import type { ClassPart, QuizFile } from '@/core/formats/quizFile/schema';
import { now, ownZone } from '@/device/clock';
import { collectBackup, collectPictures, collectQuiz } from '@/store/files/gather';
import { db } from '@/store/records/db';
import { StoreError } from '@/device/failure';
import { draftPaper } from '@/store/quiz/quizzes';
import { amongOthers, broughtBy, type Brought } from '@/store/files/broughtSchool';
import {
  addQuiz,
  restoreBackup,
  updateQuiz,
  type AddedQuiz,
  type RestoreChoices,
} from '@/store/files/restore';
import { everybody } from '@/store/class/roster';
import { shelfStamp } from '@/store/files/backups';

/** What a quiz file is to hold besides the quiz. */
export interface SaveChoices {
  readonly students: 'with' | 'without';
  readonly author: string;
  readonly note: string;
}

/** The classes that a quiz is set to, with everyone on their lists, and who else has work here. */
async function schoolOf({
  standing,
  attempts,
}: ClassPart): Promise<Pick<ClassPart, 'students' | 'classes' | 'members'>> {
  const ids = new Set(standing.setTo.map(({ classId }) => classId));
  const classes = await db.classes.filter(({ id }) => ids.has(id)).sortBy('id');
  const members = await db.members
    .orderBy('[classId+studentId]')
    .filter(({ classId }) => ids.has(classId))
    .toArray();
  const wanted = new Set([...members, ...attempts].map(({ studentId }) => studentId));
  const students = await db.students
    .orderBy('id')
    .filter(({ id }) => wanted.has(id))
    .toArray();
  return { students, classes, members };
}

/** One quiz as a file. null: there is none of this id. */
export async function saveQuizFile(quizId: string, choices: SaveChoices): Promise<Uint8Array | null> {
  const collected = await collectQuiz(quizId);
  if (!collected) return null;
  const { quiz, class: part } = collected;
  const share = { author: choices.author.trim(), note: choices.note.trim(), at: now() };
  const file: QuizFile = {
    format: 'yentrel-quiz',
    version: collected.version,
    quiz,
    share: choices.students === 'without' ? share : null,
    class: choices.students === 'with' ? { ...part, ...(await schoolOf(part)) } : null,
  };
  const pictures = await collectPictures(file);
  // A file that cannot be read back is worse than none: it is read before it is given away.
  const [missing] = checkPictures(file, pictures);
  if (missing !== undefined) throw new StoreError('damaged', missing);
  const bytes = writeQuizFile(file, pictures);
  const back = readQuizFile(bytes);
  if (!back.ok) throw new StoreError('damaged', back.problems[0] ?? 'The file cannot be read back');
  return bytes;
}

/** A backup as it was made and read back. */
export interface MadeBackup {
  readonly bytes: Uint8Array;
  /** How many of the bytes are pictures, sounds and films. */
  readonly media: number;
  readonly stamp: string;
  /** How many quizzes are in it that can be restored. */
  readonly quizzes: number;
  /** What could not be read back, with the quiz that it concerns; empty where everything could. */
  readonly troubles: readonly string[];
}

/** The whole Shelf as a file, read back before it is called done; null where it was stopped. */
export async function saveBackup(
  progress: (done: number, of: number) => boolean | Promise<boolean>,
): Promise<MadeBackup | null> {
  const stamp = await shelfStamp();
  const backup = await collectBackup(progress);
  if (!backup) return null;
  const bytes = writeBackup(backup);
  const back = readBackup(bytes);
  if (!back.ok) throw new StoreError('damaged', back.problems[0] ?? 'The backup cannot be read back');
  const { lost, missing, quizzes } = back.value;
  const troubles = [
    ...lost.map(({ id, title, problems }) => `${title ?? id}: ${problems[0] ?? ''}`),
    ...missing,
  ];
  const media = [...backup.pictures.values()].reduce((sum, { length }) => sum + length, 0);
  return { bytes, media, stamp, quizzes: quizzes.length, troubles };
}

/** A quiz file that was read and waits to be taken in. */
export interface OpenedQuiz {
  readonly kind: 'quiz';
  readonly token: number;
  readonly title: string;
  readonly share: QuizFile['share'];
  readonly questions: number;
  /** With students: how many there are, and their attempts. */
  readonly class: { readonly students: number; readonly attempts: number } | null;
  /** Whom it would add to people and class lists here; null without students. */
  readonly brings: Brought | null;
  /** Of a rescue file: texts that have no place in a quiz, to be read. */
  readonly texts: readonly { readonly name: string; readonly text: string }[];
  /** Where the same quiz is here already: what the file changes. */
  readonly here: { readonly title: string; readonly changes: readonly string[] } | null;
}

/** One quiz of a backup, and how it stands to the one that is here. */
export interface OpenedBackupQuiz {
  readonly id: string;
  readonly title: string;
  readonly questions: number;
  readonly attempts: number;
  readonly standing: Standing | 'new';
  readonly changedHere: number | null;
  readonly changedThere: number;
}

export interface OpenedBackup {
  readonly kind: 'backup';
  readonly token: number;
  readonly madeAt: number;
  readonly quizzes: readonly OpenedBackupQuiz[];
  readonly students: { readonly brings: Brought; readonly differ: readonly string[] };
  /** Quizzes and pictures of the file that cannot be restored, each with the reason. */
  readonly lost: readonly string[];
}

export type OpenedFile = OpenedQuiz | OpenedBackup;

let tokens = 0;
/** The file that was opened last: it waits here for what the teacher decides. */
let waiting: {
  readonly token: number;
  readonly quiz: ReadQuiz | null;
  readonly backup: Backup | null;
} | null = null;

async function openQuiz(bytes: Uint8Array): Promise<Result<OpenedQuiz>> {
  const read = readQuizFile(bytes, ownZone());
  if (!read.ok) return read;
  const { file } = read.value;
  const here = await db.quizzes.get(file.quiz.id);
  const mine = here && (await draftPaper(here.id));
  waiting = { token: ++tokens, quiz: read.value, backup: null };
  const value: OpenedQuiz = {
    kind: 'quiz',
    token: tokens,
    title: file.quiz.content.title,
    share: file.share,
    questions: askedIn(file.quiz).length,
    texts: read.value.texts,
    brings: file.class && (await broughtBy((await amongOthers(file)).class ?? file.class)),
    class: file.class && { students: file.class.students.length, attempts: file.class.attempts.length },
    here: mine
      ? {
          title: mine.content.title,
          changes: copyChanges(mine, file.quiz),
        }
      : null,
  };
  return { ok: true, value };
}

async function openBackup(bytes: Uint8Array): Promise<Result<OpenedBackup>> {
  const read = readBackup(bytes);
  if (!read.ok) return read;
  const { lost: broken, missing, ...backup } = read.value;
  const quizzes: OpenedBackupQuiz[] = [];
  const lost = [
    ...broken.map(({ id, title, problems }) => `${title ?? id}: ${problems[0] ?? ''}`),
    ...missing,
  ];
  for (const one of backup.quizzes) {
    const { id, content, questions, changedAt } = one.quiz;
    const mine = await collectQuiz(id);
    quizzes.push({
      id,
      title: content.title,
      questions: askedIn({ questions }).length,
      attempts: one.class.attempts.length,
      standing: mine ? compareCopies(mine, one) : 'new',
      changedHere: mine?.quiz.changedAt ?? null,
      changedThere: changedAt,
    });
  }
  const { differ } = compareStudents(await everybody(), backup.file.students);
  waiting = { token: ++tokens, quiz: null, backup };
  const students = { brings: await broughtBy(backup.file), differ: differ.map(({ name }) => name) };
  return {
    ok: true,
    value: { kind: 'backup', token: tokens, madeAt: backup.file.madeAt, quizzes, students, lost },
  };
}

/** Reads a quiz file, a rescue file or a backup; nothing is stored. Never throws for what is in it. */
export const openFile = (bytes: Uint8Array): Promise<Result<OpenedFile>> =>
  !isJson(bytes) && isBackup(bytes) ? openBackup(bytes) : openQuiz(bytes);

function opened(token: number) {
  if (waiting?.token !== token) throw new StoreError('conflict', 'Another file has been opened since');
  return waiting;
}

/**
 * Takes the opened quiz in: as it is, as a copy beside the one that is here, in its place with all work, or as changes to
 * it that wait in the draft.
 */
export async function takeQuiz(token: number, as: 'itself' | 'copy' | 'changes'): Promise<AddedQuiz> {
  const { quiz } = opened(token);
  if (!quiz) throw new StoreError('gone', 'No quiz was opened');
  if (as !== 'changes') return addQuiz(quiz.file, quiz.pictures, as);
  await updateQuiz(quiz.file, quiz.pictures);
  return { quizId: quiz.file.quiz.id, step: null };
}

/** Takes the opened backup in by the teacher’s choices, all of it or nothing. Gives the step by which its students came. */
export async function takeBackup(token: number, choices: RestoreChoices): Promise<number | null> {
  const { backup } = opened(token);
  if (!backup) throw new StoreError('gone', 'No backup was opened');
  return restoreBackup(backup, choices);
}
