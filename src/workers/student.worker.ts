import type { StudentPort } from '@/core/sitting/port';
import { ensureDemo } from '@/store/demo/demo';
import { serveDesk } from './serveDesk';
import { studentDesk } from './studentDesk';

/** Serves students' papers, or, under the name `trial`, a dry run of which nothing is kept. */

/** A paper of the demo school may be the first thing that is opened in a browser; tried again where it failed. */
let school: Promise<void> | null = null;
async function withSchool(): Promise<void> {
  school ??= ensureDemo();
  try {
    await school;
  } catch (error) {
    school = null;
    throw error;
  }
}

const ofStudents: StudentPort = {
  ...studentDesk,
  async openPaper(at, attempt) {
    await withSchool();
    return studentDesk.openPaper(at, attempt);
  },
};

/** The desk of a dry run comes after the worker is there: students' pages do without it. */
const trial = async (): Promise<StudentPort> => (await import('./trialDesk')).trialDesk;
const ofTrial: StudentPort = {
  openPaper: async (...asked) => (await trial()).openPaper(...asked),
  begin: async (...asked) => (await trial()).begin(...asked),
  saveAnswer: async (...asked) => (await trial()).saveAnswer(...asked),
  askHint: async (...asked) => (await trial()).askHint(...asked),
  turnTo: async (...asked) => (await trial()).turnTo(...asked),
  giveSign: async (...asked) => (await trial()).giveSign(...asked),
  handIn: async (...asked) => (await trial()).handIn(...asked),
  picture: async (...asked) => (await trial()).picture(...asked),
};

serveDesk(self.name === 'trial' ? ofTrial : ofStudents);
