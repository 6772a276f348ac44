import { expose } from 'comlink';
import type { StudentPort } from '@/core/sitting/port';
import { ensureDemo } from '@/store/demo/demo';
import { withFailures } from '@/store/records/failure';
import { studentDesk } from './studentDesk';
import { withWordLists } from './withWordLists';

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

const desk: StudentPort = {
  ...studentDesk,
  async openPaper(at, attempt) {
    await withSchool();
    return studentDesk.openPaper(at, attempt);
  },
};
expose(withFailures(withWordLists(desk)));
