import { valueAt } from '../figures/valueAt';
import { answersDiffer } from '../checking/answersDiffer';
import type { Fraction } from '../figures/fraction';
import { contextOf } from '../scoring/context';
import { markAnswer, scoreMark } from '../scoring/markAttempt';
import type { Attempt, Ruling } from '../quiz/work/attempt';
import { newStudent, personOf } from '../quiz/people/newStudent';
import { noRuling } from '../quiz/work/noRuling';
import type { Override } from '../quiz/work/override';
import type { Member, Person } from '../quiz/people/school';
import type { Paper } from '../quiz/quiz';
import { same } from '../figures/deepEqual';
import { StudentIndex } from './findStudent';
import { FROM_FILE, type ReadPaper } from './answerFile';
import { keptAnswers, pointsText, secondTime } from './answersOut';
import type { RecordChange } from './quizFile/schema';

/** What an import does, in numbers of papers. */
export interface ImportReport {
  readonly added: number;
  readonly changed: number;
  readonly unchanged: number;
  /** What differs in the papers that were there before. */
  readonly differences: readonly { readonly line: number; readonly name: string; readonly what: string }[];
  /** Students who handed in on screen: their work stays. */
  readonly refused: readonly { readonly line: number; readonly name: string }[];
  readonly newStudents: number;
}

/** What a quiz holds of its class already. */
export interface ExistingWork {
  readonly attempts: readonly Attempt[];
  readonly overrides: readonly Override[];
  readonly rulings: readonly Ruling[];
}

/** What an import is made for. */
export interface ImportTarget {
  readonly quizId: string;
  /** The paper by whose key the file is read. */
  readonly paper: Paper;
  /** The revision that new papers are shown under. */
  readonly revision: number;
  /** The class, and groups of it, into which new students come; null: into none. */
  readonly classId: string | null;
  readonly groups: string[];
  /** Everybody, in whichever class: somebody new to this class may be known in another. */
  readonly people: readonly Person[];
  /** Who is or was on the list of the class. */
  readonly members: readonly Member[];
  /** When the import is made: ms since 1970. */
  readonly at: number;
  readonly newId: () => string;
}

/** Everything that an import writes, and what it did. */
export interface ImportPlan {
  readonly changes: readonly RecordChange[];
  readonly report: ImportReport;
}

/** What is there, by what it is looked up by. */
interface FoundWork {
  readonly attempts: ReadonlyMap<string, readonly Attempt[]>;
  readonly overrides: ReadonlyMap<string, Override>;
  readonly rulings: ReadonlyMap<string, Ruling>;
}

function found({ attempts, overrides, rulings }: ExistingWork): FoundWork {
  const byStudent = new Map<string, Attempt[]>();
  for (const attempt of attempts) {
    const own = byStudent.get(attempt.studentId);
    if (own) own.push(attempt);
    else byStudent.set(attempt.studentId, [attempt]);
  }
  return {
    attempts: byStudent,
    overrides: new Map(overrides.map((one) => [`${one.attemptId}/${one.questionId}`, one])),
    rulings: new Map(rulings.map((one) => [one.attemptId, one])),
  };
}

/** When the paper was handed in: as the file says; else as was known; else, at an unknown time, when it is imported. */
function handedIn(
  paper: ReadPaper,
  before: Attempt | null,
  { at, paper: { content } }: ImportTarget,
): Pick<Attempt, 'handedInAt' | 'timeKnown'> {
  const known = before && { handedInAt: before.handedInAt, timeKnown: before.timeKnown };
  if (paper.handedInAt === null) return known ?? { handedInAt: at, timeKnown: false };
  // A file writes times to the second: one that reads as it was written stays what it was.
  const { zone } = content;
  const asBefore =
    known?.timeKnown &&
    known.handedInAt !== null &&
    secondTime(known.handedInAt, zone) === secondTime(paper.handedInAt, zone);
  return asBefore ? known : { handedInAt: paper.handedInAt, timeKnown: true };
}

/** The attempt as the file has it; what the file does not say stays. */
function attemptFrom(
  studentId: string,
  paper: ReadPaper,
  before: Attempt | null,
  target: ImportTarget,
): Attempt {
  const when = handedIn(paper, before, target);
  const asBefore = before !== null && before.handedInAt === when.handedInAt;
  return {
    id: before?.id ?? target.newId(),
    quizId: target.quizId,
    studentId,
    number: paper.attempt,
    revision: before?.revision ?? target.revision,
    openedAt: asBefore ? before.openedAt : (when.handedInAt ?? target.at),
    savedAt: target.at,
    ...when,
    source: 'file',
    seed: before?.seed ?? 0,
    saves: {},
    hints: hintsAfter(before?.hints ?? {}, paper.hints),
    answers: before ? keptAnswers(target.paper, paper.answers, before.answers) : { ...paper.answers },
    seq: 0,
  };
}

/** The hints as the file has them, by question; what it does not say of a question stays. */
const hintsAfter = (before: Attempt['hints'], read: ReadPaper['hints']): Attempt['hints'] =>
  Object.fromEntries(
    Object.entries({ ...before, ...read })
      .filter(([, shown]) => shown.length > 0)
      .map(([id, shown]) => [id, [...shown]]),
  );

/** The points that marking alone gives for an answer; null while it waits, and for a question that is not there. */
function markedPoints(
  paper: Paper,
  questionId: string,
  { answers, hints }: Pick<ReadPaper, 'answers' | 'hints'>,
): Fraction | null {
  const question = paper.questions.find(({ id }) => id === questionId);
  if (!question) return null;
  const mark = markAnswer(question, valueAt(answers, questionId) ?? null, contextOf(paper, question));
  return scoreMark(mark, question, paper, null, valueAt(hints, questionId)).marked;
}

const asWritten = (a: Fraction, b: Fraction): boolean => pointsText(a) === pointsText(b);

/** Own scores and the note of one paper, where they differ from what is there. */
function alongside(
  attemptId: string,
  paper: ReadPaper,
  there: FoundWork,
  { quizId, at, paper: key }: ImportTarget,
): RecordChange[] {
  const changes: RecordChange[] = [];
  for (const [questionId, points] of Object.entries(paper.points)) {
    const before = there.overrides.get(`${attemptId}/${questionId}`) ?? null;
    if (before && asWritten(before.points, points)) continue;
    const gave = markedPoints(key, questionId, paper);
    // Points that automatic marking gives are not an own score.
    if (!before && gave && asWritten(gave, points)) continue;
    const after = { quizId, attemptId, questionId, points, reason: FROM_FILE, at, gave };
    changes.push({ kind: 'override', attemptId, questionId, before, after });
  }
  const ruling = there.rulings.get(attemptId) ?? null;
  if (paper.note !== '' && paper.note !== (ruling?.note ?? '')) {
    const after = { ...(ruling ?? noRuling(quizId, attemptId)), note: paper.note };
    changes.push({ kind: 'ruling', attemptId, before: ruling, after });
  }
  return changes;
}

function differenceOf(before: Attempt, after: Attempt, more: readonly RecordChange[], paper: Paper): string {
  return [
    ...answersDiffer(paper, before.answers, after.answers),
    same(before.hints, after.hints) ? '' : 'the hints shown',
    before.handedInAt !== after.handedInAt ? 'the time of handing in' : '',
    more.some((change) => change.kind === 'override') ? 'points given by hand' : '',
    more.some((change) => change.kind === 'ruling') ? 'the note' : '',
  ]
    .filter(Boolean)
    .join('; ');
}

const moved = (before: Attempt | null, after: Attempt): boolean =>
  !before ||
  !same(before.answers, after.answers) ||
  !same(before.hints, after.hints) ||
  before.handedInAt !== after.handedInAt ||
  before.timeKnown !== after.timeKnown;

/** Plans an import one paper after the other; nothing is written. */
class Planner {
  readonly #there: FoundWork;
  readonly #people: StudentIndex;
  readonly #members: ReadonlyMap<string, Member>;
  readonly #changes: RecordChange[] = [];
  readonly #fresh = new Map<string, string>();
  readonly #counts = { added: 0, changed: 0, unchanged: 0, newStudents: 0 };
  readonly #refused: { line: number; name: string }[] = [];
  readonly #differences: { line: number; name: string; what: string }[] = [];

  constructor(
    work: ExistingWork,
    readonly target: ImportTarget,
  ) {
    this.#there = found(work);
    this.#members = new Map(target.members.map((member) => [member.studentId, member]));
    this.#people = new StudentIndex(
      target.people.map((person) => ({ ...person, groups: [], removedAt: null })),
    );
  }

  /** The student of a paper: a known one, or one who comes onto the list with it. */
  #studentOf({ studentId, name, number, email }: ReadPaper): string {
    const key = `${name}|${number}|${email}`;
    const known = studentId ?? this.#fresh.get(key);
    if (known !== undefined) return known;
    // By number or address alone: two students of two classes may have one name.
    const elsewhere = this.#people.coded({ number, email });
    const id = elsewhere?.id ?? this.target.newId();
    this.#fresh.set(key, id);
    const { classId } = this.target;
    if (!elsewhere) {
      const student = { ...newStudent(id, name), number, email };
      this.#changes.push({ kind: 'student', id, before: null, after: personOf(student) });
    }
    if (classId !== null)
      this.#changes.push({
        kind: 'member',
        classId,
        studentId: id,
        before: this.#members.get(id) ?? null,
        after: { classId, studentId: id, groups: this.target.groups, removedAt: null },
      });
    this.#counts.newStudents++;
    return id;
  }

  add(paper: ReadPaper): void {
    const { line, name } = paper;
    const studentId = this.#studentOf(paper);
    const own = this.#there.attempts.get(studentId) ?? [];
    const before = own.find((attempt) => attempt.number === paper.attempt) ?? null;
    const after = attemptFrom(studentId, paper, before, this.target);
    // What was handed in on screen stays as it is; points and a note may come from a file all the same.
    const changed = moved(before, after);
    if (changed && own.some((attempt) => attempt.source === 'sat')) {
      this.#refused.push({ line, name });
      return;
    }
    const more = alongside(after.id, paper, this.#there, this.target);
    if (!changed && more.length === 0) {
      this.#counts.unchanged++;
      return;
    }
    if (changed) this.#changes.push({ kind: 'attempt', id: after.id, before, after });
    this.#changes.push(...more);
    if (before)
      this.#differences.push({ line, name, what: differenceOf(before, after, more, this.target.paper) });
    this.#counts[before ? 'changed' : 'added']++;
  }

  plan(): ImportPlan {
    const report = { ...this.#counts, differences: this.#differences, refused: this.#refused };
    return { changes: this.#changes, report };
  }
}

/** What importing the papers of a file writes: a paper that came from a file before is brought up to date. */
export function planImport(
  papers: readonly ReadPaper[],
  work: ExistingWork,
  target: ImportTarget,
): ImportPlan {
  const planner = new Planner(work, target);
  for (const paper of papers) planner.add(paper);
  return planner.plan();
}
