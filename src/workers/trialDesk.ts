import type { StudentPort } from '@/core/sitting/port';
import { serveStudents } from '@/core/sitting/serve';
import { asPlanned, trialStore } from '@/core/sitting/trialStore';
import { pictureBlob } from '@/store/quiz/pictures';
import { draftPaper, getQuiz } from '@/store/quiz/quizzes';
import { now } from '@/device/clock';
import { newId, newSeed } from '@/device/ids';

/** Each quiz as it was when the page was opened; nothing of it is ever stored. */
const tried = new Map<string, Promise<StudentPort | null>>();

async function trialOf(quizId: string): Promise<StudentPort | null> {
  const quiz = await getQuiz(quizId);
  if (!quiz) return null;
  const paper = await draftPaper(quizId);
  const { content } = quiz;
  const port = serveStudents(
    trialStore({ quizId, content, paper, now, newId, newSeed, picture: pictureBlob }),
  );
  return {
    ...port,
    openPaper: async (at, attempt) => asPlanned(await port.openPaper(at, attempt), content, now()),
    begin: async (at) => asPlanned(await port.begin(at), content, now()),
  };
}

function portOf(quizId: string): Promise<StudentPort | null> {
  const known = tried.get(quizId) ?? trialOf(quizId);
  tried.set(quizId, known);
  known.catch(() => tried.delete(quizId));
  return known;
}

/** The desk of a dry run: it reads the quiz, and keeps what is answered in memory. */
export const trialDesk: StudentPort = {
  openPaper: async (at, attempt) => (await portOf(at.quizId))?.openPaper(at, attempt) ?? { state: 'unknown' },
  begin: async (at) => (await portOf(at.quizId))?.begin(at) ?? { state: 'unknown' },
  saveAnswer: async (at, sent) =>
    (await portOf(at.quizId))?.saveAnswer(at, sent) ?? { state: 'refused', reason: 'unknown' },
  askHint: async (at, asked) =>
    (await portOf(at.quizId))?.askHint(at, asked) ?? { state: 'refused', reason: 'unknown' },
  turnTo: async (at, attemptId, page) =>
    (await portOf(at.quizId))?.turnTo(at, attemptId, page) ?? { state: 'refused', reason: 'unknown' },
  giveSign: async (at, attemptId) =>
    (await portOf(at.quizId))?.giveSign(at, attemptId) ?? { state: 'refused', reason: 'unknown' },
  handIn: async (at, attemptId) =>
    (await portOf(at.quizId))?.handIn(at, attemptId) ?? { state: 'refused', reason: 'unknown' },
  picture: async (at, hash) => (await portOf(at.quizId))?.picture(at, hash) ?? null,
};
