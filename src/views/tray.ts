import { askedIn, lacksKey } from '@/core/quiz/points';
import { placedIn } from '@/core/quiz/paper';
import { valueAt } from '@/core/figures/valueAt';
import { countCameAfter, type Attempt } from '@/core/quiz/work/attempt';
import { withLate } from '@/core/sitting/acts';
import {
  attemptState,
  endOfAttempt,
  hasHandedIn,
  isFinished,
  wholeSpan,
  whyNotCounted,
  type AttemptState,
} from '@/core/quiz/times/window';
import { lockedSince } from '@/core/quiz/times/lock';
import { ASPECTS } from '@/core/quiz/plan/plan';
import { now } from '@/device/clock';
import { db, type QuizRecord } from '@/store/records/db';
import { draftPaper } from '@/store/quiz/quizzes';
import { studentsSetTo } from '@/store/class/roster';
import { windowsIn } from '@/store/quiz/windows';
import { allTickets } from '@/store/records/tickets';
import { looksAt } from '@/store/work/looks';
import { rulingsOf } from '@/store/work/rulings';
import { cachedAttempts } from './attempts';
import { waitingIn } from './check';
import { byName } from '@/core/quiz/people/byName';
import { liveClass, namesakes, disambiguator, workOf } from './papers';
import { revealOf } from './reveal';

export interface TrayRow {
  readonly studentId: string;
  /** What opens the student's paper. */
  readonly ticket: string;
  readonly name: string;
  readonly number: string;
  /** Tells a student from another of the same name; empty for one name of its own. */
  readonly apart: string;
  readonly groups: readonly string[];
  /** Of the latest attempt. */
  readonly state: AttemptState;
  /** True where the latest attempt is worked at and an earlier one has been handed in. */
  readonly again: boolean;
  readonly source: Attempt['source'] | null;
  readonly openedAt: number | null;
  readonly handedInAt: number | null;
  readonly answered: number;
  readonly attempts: number;
  /** How many more can be begun; null: as many as the window allows. */
  readonly left: number | null;
  /** When what is being worked at ends by itself; null where nothing runs or nothing ends it. */
  readonly endsAt: number | null;
  /** Since when the page is locked, as it was left where nobody comes back; null where it is not. */
  readonly lockedSince: number | null;
  /** Until when the student can sit, and in how many minutes; null: no end, no limit. */
  readonly until: number | null;
  readonly timeLimit: number | null;
  /** True where an end was set for this student alone. */
  readonly ownUntil: boolean;
  /** True where nobody knows when the paper was handed in: it came from a file without times. */
  readonly timeUnknown: boolean;
  /** True where the teacher has voided the latest attempt. */
  readonly voided: boolean;
  /** Ms in which the page of the latest attempt was open; null where that is not known. */
  readonly worked: number | null;
  /** When the first page was seen first; null where it was not, or nobody knows. */
  readonly lookedAt: number | null;
  /** The attempt to which answers came after its end, and how many; null: none wait for the teacher's word. */
  readonly cameAfter: { readonly attemptId: string; readonly answers: number } | null;
  /** Attempts that came after the last moment and have not been taken in. */
  readonly tooLate: readonly string[];
}

async function attemptsByStudent(quiz: QuizRecord): Promise<Map<string, Attempt[]>> {
  const byStudent = new Map<string, Attempt[]>();
  for (const attempt of await cachedAttempts(quiz)) {
    const own = byStudent.get(attempt.studentId);
    if (own) own.push(attempt);
    else byStudent.set(attempt.studentId, [attempt]);
  }
  for (const own of byStudent.values()) own.sort((a, b) => a.number - b.number);
  return byStudent;
}

/** Who stands where. */
export async function tray(quizId: string): Promise<TrayRow[]> {
  const quiz = await db.quizzes.get(quizId);
  if (!quiz) return [];
  const [students, tickets, byStudent, rulings, looks] = await Promise.all([
    studentsSetTo(quiz.standing.setTo),
    allTickets(),
    attemptsByStudent(quiz),
    rulingsOf(quizId),
    looksAt(quizId),
  ]);
  const windowOf = await windowsIn(quiz);
  const at = now();
  const shown = students.filter((student) => student.removedAt === null || byStudent.has(student.id));
  const twice = namesakes(shown);
  const rows = shown.map((student): TrayRow => {
    const made = byStudent.get(student.id) ?? [];
    const attempt = made.at(-1);
    const window = windowOf(student.id);
    const isRunning = attempt !== undefined && !isFinished(attemptState(attempt, window, at));
    const late = withLate({ made, window, now: at });
    const out = made.filter(
      (one) => whyNotCounted(one, window, quiz.content, at, rulings.get(one.id)) === 'tooLate',
    );
    return {
      studentId: student.id,
      ticket: tickets.get(student.id) ?? '',
      name: student.name,
      number: student.number,
      apart: disambiguator(student, twice),
      groups: student.groups,
      state: attemptState(attempt, window, at),
      again: isRunning && made.slice(0, -1).some((one) => isFinished(attemptState(one, window, at))),
      source: attempt?.source ?? null,
      openedAt: attempt?.openedAt ?? null,
      handedInAt: attempt?.handedInAt ?? null,
      answered: Object.keys(attempt?.answers ?? {}).length,
      attempts: made.length,
      left:
        window.attempts === null
          ? null
          : Math.max(0, window.attempts + (valueAt(quiz.standing.granted, student.id) ?? 0) - made.length),
      endsAt: isRunning ? endOfAttempt(attempt, window) : null,
      lockedSince: isRunning ? lockedSince(attempt, window, at) : null,
      until: window.until,
      timeLimit: window.timeLimit,
      ownUntil: window.sources.until === 'student',
      timeUnknown: attempt?.timeKnown === false,
      voided: attempt !== undefined && rulings.get(attempt.id)?.standing === 'voided',
      worked: attempt?.worked ?? null,
      lookedAt: looks.get(student.id) ?? null,
      cameAfter: late ? { attemptId: late.id, answers: countCameAfter(late) } : null,
      tooLate: out.map((one) => one.id),
    };
  });
  return rows.sort(byName);
}

/** How many have work at the quiz whom it is not set to: it is kept, and counts for nothing. */
export async function workOutside(quizId: string): Promise<number> {
  const quiz = await db.quizzes.get(quizId);
  if (!quiz) return 0;
  const [students, attempts] = await Promise.all([studentsSetTo(quiz.standing.setTo), cachedAttempts(quiz)]);
  const meant = new Set(students.map(({ id }) => id));
  return new Set(attempts.flatMap(({ studentId }) => (meant.has(studentId) ? [] : studentId))).size;
}

/** Where a quiz stands, in numbers of students and answers. */
export interface QuizCounts {
  readonly expected: number;
  readonly working: number;
  readonly finished: number;
  /** Students to whom some of their result is shown now. */
  readonly shown: number;
  /** Answers that wait for the teacher. */
  readonly waiting: number;
  /** Questions without a key, of a quiz that was never opened. */
  readonly keyless: number;
  /** Questions of the draft, without its notes. */
  readonly questions: number;
}

/** The numbers that stand on the Shelf and above the stations. */
export async function quizCounts(quizId: string): Promise<QuizCounts> {
  const [rows, live] = await Promise.all([tray(quizId), liveClass(quizId)]);
  const { standing } = live.quiz;
  const draft = await draftPaper(quizId);
  const reveal = revealOf(live, now());
  const seen = new Set(
    live.sheets
      .filter(({ attempt }) => {
        const shown = reveal.shown(attempt.studentId, attempt.id);
        return ASPECTS.some((aspect) => aspect !== 'comments' && shown[aspect].state === 'shown');
      })
      .map(({ attempt }) => attempt.studentId),
  );
  return {
    expected: rows.length,
    working: rows.filter((row) => row.state === 'working').length,
    finished: rows.filter(hasHandedIn).length,
    shown: seen.size,
    waiting: waitingIn(workOf(live)),
    keyless: wholeSpan(standing) === null ? placedIn(draft).filter(lacksKey).length : 0,
    questions: askedIn(draft).length,
  };
}
