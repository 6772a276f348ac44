import { makePaper } from '@/core/away/makePaper';
import type { PaperData } from '@/core/away/paperData';
import { pictureHashes } from '@/core/content/pictureHashes';
import { studentsSet, type Student } from '@/core/quiz/people/school';
import { windowOfQuiz } from '@/core/quiz/times/window';
import { sameForAll, type StudentWindow } from '@/core/quiz/times/windows';
import { coverOf } from '@/core/sitting/packet';
import type { Visit } from '@/core/sitting/store';
import { sceneFor } from '@/core/reveal/scene';
import { now } from '@/device/clock';
import { newSeed } from '@/device/ids';
import { school } from '../class/roster';
import { head } from '../quiz/quizzes';
import { pictureBlob } from '../quiz/pictures';
import { currentRevision, paperAt, REVISION_TABLES } from '../quiz/revisions';
import { windowsIn } from '../quiz/windows';
import { db, type QuizRecord } from '../records/db';
import { allTickets } from '../records/tickets';

/** Papers on their way out as files: what is in them is what a student may see, of the revision that counts. */

/**
 * So many orders are in a file that a whole class gets. An order that would be the answer is never shown: from more of them one
 * could tell which of the six orders of three items it is.
 */
const ORDERS = 4;

/** The quiz with a revision of its own, to which what comes back belongs. */
const published = (quizId: string): Promise<{ readonly quiz: QuizRecord; readonly revision: number }> =>
  db.transaction('rw', [...REVISION_TABLES], async () => {
    const revision = await currentRevision(await head(quizId));
    return { quiz: await head(quizId), revision };
  });

const base64 = (bytes: Uint8Array): string => {
  let signs = '';
  for (let at = 0; at < bytes.length; at += 8192)
    signs += String.fromCharCode(...bytes.subarray(at, at + 8192));
  return btoa(signs);
};

/** The pictures, sounds and films that a paper shows; one that is not here is left out, and its description stands in its place. */
async function mediaOf(paper: Omit<PaperData, 'media'>): Promise<PaperData['media']> {
  const media: Record<string, { type: string; data: string }> = {};
  for (const hash of pictureHashes(paper)) {
    const blob = await pictureBlob(hash);
    if (blob) media[hash] = { type: blob.type, data: base64(new Uint8Array(await blob.arrayBuffer())) };
  }
  return media;
}

/** What differs between the files of one quiz. */
interface Own {
  readonly window: StudentWindow;
  readonly ticket: string | null;
  readonly seeds: readonly [string, ...string[]];
}

async function paperOf(quiz: QuizRecord, revision: number, { window, ticket, seeds }: Own) {
  const paper = await paperAt(quiz.id, revision);
  const at = now();
  const visit: Visit = { quiz, student: { id: '', name: '' }, window, made: [] };
  const scene = sceneFor({
    content: quiz.content,
    standing: quiz.standing,
    people: [],
    members: [],
    attempts: [],
    rulings: new Map(),
    visitor: '',
  });
  // Nobody can let a locked page go on, nor show a hint: the file works without either.
  const cover = { ...coverOf(visit, paper, scene, at), comingBack: true };
  return makePaper({
    quizId: quiz.id,
    revision,
    paper,
    cover,
    opensAt: window.from,
    madeAt: at,
    seeds,
    ticket,
  });
}

const seedsFor = (count: number): [string, ...string[]] => [
  newSeed(),
  ...Array.from({ length: count - 1 }, newSeed),
];

/** One paper for everybody: each types their ticket. */
export async function paperForAll(quizId: string): Promise<PaperData> {
  const { quiz, revision } = await published(quizId);
  const window = sameForAll(windowOfQuiz(quiz.standing.opening, quiz.content));
  const paper = await paperOf(quiz, revision, { window, ticket: null, seeds: seedsFor(ORDERS) });
  return { ...paper, media: await mediaOf(paper) };
}

/** A paper that was made for one student. */
export interface OwnPaper {
  readonly student: Student;
  readonly paper: PaperData;
}

/** A paper for each student whom the quiz is set to, with their own times and ticket; `each` is given one after the other. */
export async function papersForEach(
  quizId: string,
  each: (one: OwnPaper, of: number) => Promise<void> | void,
): Promise<void> {
  const { quiz, revision } = await published(quizId);
  const [people, members] = await school();
  const students = studentsSet(quiz.standing.setTo, people, members).filter(
    ({ removedAt }) => removedAt === null,
  );
  const [windowOf, tickets] = [await windowsIn(quiz), await allTickets()];
  let media: PaperData['media'] | null = null;
  for (const student of students) {
    const own = { window: windowOf(student.id), ticket: tickets.get(student.id) ?? null, seeds: seedsFor(1) };
    const paper = await paperOf(quiz, revision, own);
    media ??= await mediaOf(paper);
    await each({ student, paper: { ...paper, media } }, students.length);
  }
}

/** How many students have times of their own, which a file for everybody does not tell. */
export async function studentsWithOwnTimes(quizId: string): Promise<number> {
  const quiz = await head(quizId);
  const [people, members] = await school();
  const windowOf = await windowsIn(quiz);
  const everyones = windowOfQuiz(quiz.standing.opening, quiz.content);
  return studentsSet(quiz.standing.setTo, people, members).filter(({ id, removedAt }) => {
    const { from, until, due, timeLimit } = windowOf(id);
    return (
      removedAt === null &&
      (from !== everyones.from ||
        until !== everyones.until ||
        due !== everyones.due ||
        timeLimit !== everyones.timeLimit)
    );
  }).length;
}
