import { valueAt } from '@/core/figures/valueAt';
import { MarkedClass, type StudentWork } from '@/core/checking/classWork';
import { marksDependOn } from '@/core/checking/dependsOn';
import type { Sheet } from '@/core/scoring/scoredSheet';
import type { Attempt } from '@/core/quiz/work/attempt';
import { ofThoseSet, studentsSet, type Member, type Person, type Student } from '@/core/quiz/people/school';
import type { Override } from '@/core/quiz/work/override';
import type { Paper } from '@/core/quiz/quiz';
import { now } from '@/device/clock';
import { keepColumns, loadColumn } from '@/store/work/markColumns';
import type { QuizRecord } from '@/store/records/db';
import { overridesOf } from '@/store/work/overrides';
import { draftPaper, head } from '@/store/quiz/quizzes';
import { school } from '@/store/class/roster';
import { rulingsOf } from '@/store/work/rulings';
import { paperAt, questionRevsAt, settleByClosing } from '@/store/quiz/revisions';
import { schoolState } from '@/store/quiz/shelf';
import { attemptsSeq } from '@/store/records/sequence';
import { endOfAttempt, windowOfQuiz } from '@/core/quiz/times/window';
import type { StudentWindow } from '@/core/quiz/times/windows';
import { windowsOf } from '@/core/quiz/times/windowsOf';
import { cachedAttempts } from './attempts';

/** The finished work, marked by the key that counts. */
export interface ClassPapers {
  readonly quiz: QuizRecord;
  readonly paper: Paper;
  readonly marked: MarkedClass;
  readonly sheets: readonly Sheet[];
  readonly students: ReadonlyMap<string, Student>;
  readonly overrides: ReadonlyMap<string, Readonly<Record<string, Override>>>;
  /** The window of each student. */
  readonly windowOf: (studentId: string) => StudentWindow;
  readonly people: readonly Person[];
  readonly members: readonly Member[];
  /** Attempts of everyone, also those that are not finished, and of students whom the quiz is not set to. */
  readonly everyAttempt: readonly Attempt[];
}

/** Everything that the marks of a class are made from: the same text for as long as they hold. */
const stateOf = async (quiz: QuizRecord): Promise<string> =>
  JSON.stringify([quiz.createdAt, marksDependOn(quiz), await attemptsSeq(quiz.id), await schoolState()]);

/** When the first of the attempts that are running ends by itself; never where none does. */
const firstEnd = (attempts: readonly Attempt[], windowOf: ClassPapers['windowOf'], at: number): number =>
  attempts
    .filter(({ handedInAt }) => handedInAt === null)
    .map((attempt) => endOfAttempt(attempt, windowOf(attempt.studentId)) ?? Infinity)
    .filter((end) => end > at)
    .reduce((first, end) => Math.min(first, end), Infinity);

async function markClass(quiz: QuizRecord, at: number): Promise<ClassPapers> {
  const { live, opening } = quiz.standing;
  const settled = live !== null && quiz.firstHandInAt !== null;
  const paper = settled ? await paperAt(quiz.id, live) : await draftPaper(quiz.id);
  const revs = live === null ? {} : await questionRevsAt(quiz.id, live);
  const [[people, members], all, overrides, rulings] = await Promise.all([
    school(),
    cachedAttempts(quiz),
    overridesOf(quiz.id),
    rulingsOf(quiz.id),
  ]);
  const students = studentsSet(quiz.standing.setTo, people, members);
  const byId = new Map(students.map((student) => [student.id, student]));
  const attempts = ofThoseSet(students, all);
  const columns = await Promise.all(
    paper.questions.map((question) => loadColumn(quiz.id, question, valueAt(revs, question.id) ?? 0, paper)),
  );
  const windowOf = windowsOf(windowOfQuiz(opening, quiz.content), quiz.standing, people, members);
  const work = { attempts, windowOf, unfinished: quiz.content.unfinished, overrides, rulings, at };
  const marked = new MarkedClass(paper, work, columns);
  const { sheets } = marked;
  for (const column of columns)
    for (const { attempt } of sheets) column.mark(valueAt(attempt.answers, column.question.id));
  if (settled) await keepColumns(quiz.id, revs, columns);
  const everyone = { people, members, everyAttempt: all };
  return { quiz, paper, marked, sheets, overrides, students: byId, windowOf, ...everyone };
}

/** The classes marked last, by quiz: all who ask while nothing has changed are given the same. */
interface Kept {
  readonly state: string;
  readonly marked: Promise<ClassPapers>;
  /** It holds until then: somebody's time ends. */
  holdsUntil: number;
}
const kept = new Map<string, Kept>();

/** The class under the revision that counts; its columns are grown over the attempts and kept. */
export async function liveClass(quizId: string): Promise<ClassPapers> {
  await settleByClosing(quizId);
  const quiz = await head(quizId);
  const at = now();
  const state = await stateOf(quiz);
  let known = kept.get(quizId);
  if (known?.state !== state || known.holdsUntil <= at) {
    const made: Kept = { state, marked: markClass(quiz, at), holdsUntil: Infinity };
    kept.set(quizId, made);
    made.marked.then(
      ({ everyAttempt, windowOf }) => {
        made.holdsUntil = firstEnd(everyAttempt, windowOf, at);
      },
      () => kept.delete(quizId),
    );
    known = made;
  }
  // Plan and standing take effect at once and change no mark: they are as they are now.
  return { ...(await known.marked), quiz };
}

/** One student's work, and who that is; a student may have been taken off for good. */
export interface NamedWork extends StudentWork {
  readonly student: Student | undefined;
}

/** Everyone's work, marked by the key that counts. */
export const workOf = ({ marked, students }: ClassPapers): NamedWork[] =>
  marked.students().map((work) => ({ ...work, student: students.get(work.studentId) }));

/** Names that several students have. */
export function namesakes(students: Iterable<{ readonly name: string }>): ReadonlySet<string> {
  const seen = new Set<string>();
  const twice = new Set<string>();
  for (const { name } of students) {
    if (seen.has(name)) twice.add(name);
    seen.add(name);
  }
  return twice;
}

/** What tells a student from another of the same name: number, else email address, else groups; empty for one name of its own. */
export function disambiguator(
  student: Pick<Student, 'name' | 'number' | 'email' | 'groups'> | undefined,
  twice: ReadonlySet<string>,
): string {
  if (!student || !twice.has(student.name)) return '';
  return student.number || student.email || student.groups.join(', ');
}
