import { MarkedClass, type ClassWork } from '@/core/checking/classWork';
import { copyChanges } from '@/core/formats/quizFile/compare';
import type { RecordedTotal } from '@/core/scoring/joinAttempts';
import type { Paper } from '@/core/quiz/quiz';
import { valueAt } from '@/core/figures/valueAt';
import { loadColumn } from '@/store/work/markColumns';
import { paperAt } from '@/store/quiz/revisions';
import type { QuizRevRecord } from '@/store/records/db';
import { keyedBetween } from '@/store/records/steps';
import { ofQuiz } from '@/store/records/ofQuiz';
import { liveClass, type ClassPapers } from './papers';

/** A revision of the key: when it came to count, why, and what a student had by it. */
export interface Revision {
  readonly rev: number;
  /** Ms since 1970. */
  readonly at: number;
  /** Whether it was made when the quiz was opened, or applied later. */
  readonly why: QuizRevRecord['why'];
  /** Whether it is the one that counts now. */
  readonly counts: boolean;
  /** What it changed, in sentences. */
  readonly changes: readonly string[];
  /** The student's recorded score by it; null without a student, or where none was recorded. */
  readonly score: Pick<RecordedTotal, 'score' | 'outOf' | 'waiting' | 'none'> | null;
}

/** The teacher's own scores that had been set before an instant. */
const overridesBefore = (overrides: ClassWork['overrides'], until: number): ClassWork['overrides'] =>
  new Map(
    [...overrides].map(([attemptId, own]) => [
      attemptId,
      Object.fromEntries(Object.entries(own).filter(([, override]) => override.at < until)),
    ]),
  );

/** A paper as it counted, with the revision of each of its questions. */
interface Counted {
  readonly paper: Paper;
  readonly revs: Readonly<Record<string, number>>;
}

/** What a student had by a paper, with the own scores that had been set until it gave way to the next one. */
async function scoreBy(
  live: ClassPapers,
  { paper, revs }: Counted,
  until: number,
  attemptId: string,
): Promise<Revision['score']> {
  const studentId = live.sheets.find(({ attempt }) => attempt.id === attemptId)?.attempt.studentId;
  const sheets = live.sheets.filter(({ attempt }) => attempt.studentId === studentId);
  const { work } = live.marked;
  const then = { ...work, overrides: overridesBefore(work.overrides, until) };
  // By the marks that were kept then: rules of comparing may have become newer since.
  const columns = await Promise.all(
    paper.questions.map((question) =>
      loadColumn(live.quiz.id, question, valueAt(revs, question.id) ?? 0, paper),
    ),
  );
  const [own] = new MarkedClass(paper, then, columns, sheets).students();
  return own?.recorded ?? null;
}

/** All revisions of the key, the newest first; with the score by each of whoever handed in an attempt. */
export async function revisions(quizId: string, attemptId: string | null): Promise<Revision[]> {
  const live = await liveClass(quizId);
  const all = await ofQuiz.quizRevs(quizId).toArray();
  const papers = new Map(
    await Promise.all(all.map(async ({ rev }) => [rev, await paperAt(quizId, rev)] as const)),
  );
  const made = await Promise.all(
    all.map(async ({ rev, parent, at, why, questionRevs }, index): Promise<Revision> => {
      const paper = papers.get(rev) as Paper;
      const before = parent === null ? undefined : papers.get(parent);
      const until = all[index + 1]?.at ?? Infinity;
      const parentAt = all.find((one) => one.rev === parent)?.at ?? at;
      const keyed = before ? await keyedBetween(quizId, parentAt, at) : [];
      return {
        rev,
        at,
        why,
        counts: rev === live.quiz.standing.live,
        changes: before ? [...keyed.map(({ label }) => label), ...copyChanges(before, paper)] : [],
        score:
          attemptId === null ? null : await scoreBy(live, { paper, revs: questionRevs }, until, attemptId),
      };
    }),
  );
  return made.reverse();
}
