import { valueAt } from '@/core/figures/valueAt';
import { takeIn, type Judged, type Source, type Target } from '@/core/away/takeIn';
import { studentsSet } from '@/core/quiz/people/school';
import { now } from '@/device/clock';
import { newId } from '@/device/ids';
import { school } from '../class/roster';
import { head } from '../quiz/quizzes';
import { paperAt, REVISION_TABLES, settle } from '../quiz/revisions';
import { windowsIn } from '../quiz/windows';
import { db } from '../records/db';
import { ofQuiz } from '../records/ofQuiz';
import { EDIT_TABLES, record } from '../records/steps';
import { allTickets } from '../records/tickets';
import { attemptsOf } from './attempts';

/** Answers that come as files, or as texts of messages. */

/** The kinds of the questions at each revision of a quiz. */
async function kindsOf(quizId: string): Promise<ReadonlyMap<number, ReadonlyMap<string, string>>> {
  const revs = await ofQuiz.quizRevs(quizId).toArray();
  const kinds = new Map<number, ReadonlyMap<string, string>>();
  for (const { rev } of revs) {
    const { questions } = await paperAt(quizId, rev);
    kinds.set(rev, new Map(questions.map(({ id, kind }) => [id, kind])));
  }
  return kinds;
}

async function targetOf(quizId: string): Promise<Target> {
  const quiz = await head(quizId);
  const [[people, members], tickets, kinds, windowOf, attempts] = [
    await school(),
    await allTickets(),
    await kindsOf(quizId),
    await windowsIn(quiz),
    await attemptsOf(quizId),
  ];
  const holders = new Map([...tickets].map(([studentId, code]) => [code, studentId]));
  const names = new Map(people.map(({ id, name }) => [id, name]));
  const set = new Set(
    studentsSet(quiz.standing.setTo, people, members).flatMap(({ id, removedAt }) =>
      removedAt === null ? id : [],
    ),
  );
  const writing = new Set(attempts.map(({ studentId }) => studentId));
  return {
    quizId,
    now: now(),
    newId,
    holderOf: (ticket) => {
      const id = holders.get(ticket);
      const name = id === undefined ? undefined : names.get(id);
      return id === undefined || name === undefined ? null : { id, name };
    },
    // Whoever has begun goes on, taken off the list or not.
    isSetTo: (studentId) => set.has(studentId) || writing.has(studentId),
    windowOf,
    granted: (studentId) => valueAt(quiz.standing.granted, studentId) ?? 0,
    kindsAt: (revision) => kinds.get(revision) ?? null,
    attempts,
  };
}

/** What would become of each source; nothing is written. */
export async function judgeAnswers(quizId: string, sources: readonly Source[]): Promise<readonly Judged[]> {
  return takeIn(sources, await targetOf(quizId)).judged;
}

/** What became of the sources, and the step by which it is undone; null: nothing came in. */
export interface TakenIn {
  readonly judged: readonly Judged[];
  readonly step: number | null;
}

/** Takes in whatever of the sources holds, all in one transaction and as one step that can be undone. */
export const takeAnswers = (quizId: string, sources: readonly Source[]): Promise<TakenIn> =>
  db.transaction('rw', [...new Set([...REVISION_TABLES, ...EDIT_TABLES])], async () => {
    const { judged, changes } = takeIn(sources, await targetOf(quizId));
    if (changes.length === 0) return { judged, step: null };
    await settle(quizId, now());
    const step = await record(
      quizId,
      changes.map(({ before, after }) => ({ kind: 'attempt', id: after.id, before, after })),
      { label: 'Import answers from students’ files', field: '' },
    );
    return { judged, step };
  });
