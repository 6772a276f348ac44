import type { QuizStanding } from '../../quiz/quiz';
import type { Member, Person, SchoolClass } from '../../quiz/people/school';
import type { TargetOrAll } from '../../quiz/people/target';
import type { BackedQuiz, ClassPart, RecordChange, StandingActs, Step } from './schema';

/** Ids that a file brings, and those under which its records come in; what is not named keeps its own. */
export interface NewIds {
  readonly quizzes: ReadonlyMap<string, string>;
  readonly attempts: ReadonlyMap<string, string>;
  readonly students: ReadonlyMap<string, string>;
  readonly classes: ReadonlyMap<string, string>;
}

const NONE: ReadonlyMap<string, string> = new Map();
export const KEEP_ALL: NewIds = { quizzes: NONE, attempts: NONE, students: NONE, classes: NONE };

const under = (ids: ReadonlyMap<string, string>, id: string): string => ids.get(id) ?? id;

type OfAttempt = { quizId: string; attemptId: string };
const ofAttempt =
  (ids: NewIds) =>
  <One extends OfAttempt>(one: One): One => ({
    ...one,
    quizId: under(ids.quizzes, one.quizId),
    attemptId: under(ids.attempts, one.attemptId),
  });

const attempt =
  (ids: NewIds) =>
  <One extends { id: string; quizId: string; studentId: string }>(one: One): One => ({
    ...one,
    id: under(ids.attempts, one.id),
    quizId: under(ids.quizzes, one.quizId),
    studentId: under(ids.students, one.studentId),
  });

const person =
  ({ students }: NewIds) =>
  (one: Person): Person => ({ ...one, id: under(students, one.id) });

const schoolClass =
  ({ classes }: NewIds) =>
  (one: SchoolClass): SchoolClass => ({ ...one, id: under(classes, one.id) });

const member =
  ({ classes, students }: NewIds) =>
  (one: Member): Member => ({
    ...one,
    classId: under(classes, one.classId),
    studentId: under(students, one.studentId),
  });

function target<One extends TargetOrAll>(one: One, { classes, students }: NewIds): One {
  if (one.kind === 'all') return one;
  return one.kind === 'student'
    ? { ...one, studentId: under(students, one.studentId) }
    : { ...one, classId: under(classes, one.classId) };
}

/** A text in which ids stand as JSON has them. */
const within = (text: string, { classes, students }: NewIds): string =>
  [...classes, ...students].reduce(
    (changed, [from, to]) => changed.replaceAll(JSON.stringify(from), JSON.stringify(to)),
    text,
  );

function standing<One extends StandingActs | QuizStanding>(one: One, ids: NewIds): One {
  const { students, classes } = ids;
  return {
    ...one,
    windows: one.windows.map((window) => ({ ...window, for: target(window.for, ids) })),
    plans: one.plans.map((plan) => ({ ...plan, for: target(plan.for, ids) })),
    acts: one.acts.map((act) => ({ ...act, to: target(act.to, ids) })),
    kept: one.kept.map((kept) => ({ ...kept, of: within(kept.of, ids) })),
    known: one.known.map((leak) => ({
      ...leak,
      tellers: leak.tellers.map((id) => under(students, id)),
      hearers: leak.hearers.map((id) => under(students, id)),
    })),
    granted: Object.fromEntries(Object.entries(one.granted).map(([id, more]) => [under(students, id), more])),
    setTo: one.setTo.map((set) => ({
      ...set,
      classId: under(classes, set.classId),
      ...(set.studentId === undefined ? {} : { studentId: under(students, set.studentId) }),
    })),
  };
}

/** A record before and after, each written anew where there is one. */
const both = <Value>(
  { before, after }: { before: Value | null; after: Value | null },
  anew: (value: Value) => Value,
): { before: Value | null; after: Value | null } => ({
  before: before === null ? null : anew(before),
  after: after === null ? null : anew(after),
});

function changeUnder(change: RecordChange, ids: NewIds): RecordChange {
  switch (change.kind) {
    case 'content':
    case 'live':
    case 'question':
      return change;
    case 'standing':
      return {
        ...change,
        before: standing(change.before, ids),
        after: standing(change.after, ids),
      };
    case 'override':
      return {
        ...change,
        attemptId: under(ids.attempts, change.attemptId),
        ...both(change, ofAttempt(ids)),
      };
    case 'ruling':
      return {
        ...change,
        attemptId: under(ids.attempts, change.attemptId),
        ...both(change, ofAttempt(ids)),
      };
    case 'comment':
      return {
        ...change,
        attemptId: under(ids.attempts, change.attemptId),
        ...both(change, ofAttempt(ids)),
      };
    case 'attempt':
      return { ...change, id: under(ids.attempts, change.id), ...both(change, attempt(ids)) };
    case 'student':
      return { ...change, id: under(ids.students, change.id), ...both(change, person(ids)) };
    case 'class':
      return { ...change, id: under(ids.classes, change.id), ...both(change, schoolClass(ids)) };
    case 'member':
      return {
        ...change,
        classId: under(ids.classes, change.classId),
        studentId: under(ids.students, change.studentId),
        ...both(change, member(ids)),
      };
    case 'shelf':
      return { ...change, id: under(ids.quizzes, change.id) };
  }
}

const stepUnder = (step: Step, ids: NewIds): Step => ({
  ...step,
  changes: step.changes.map((change) => changeUnder(change, ids)),
});

/** A class part with everything under other ids, and nothing else changed. */
export function classUnder<Part extends ClassPart>(part: Part, ids: NewIds): Part {
  return {
    ...part,
    standing: standing(part.standing, ids),
    students: part.students.map(person(ids)),
    classes: part.classes.map(schoolClass(ids)),
    members: part.members.map(member(ids)),
    attempts: part.attempts.map(attempt(ids)),
    overrides: part.overrides.map(ofAttempt(ids)),
    rulings: part.rulings.map(ofAttempt(ids)),
    comments: part.comments.map(ofAttempt(ids)),
    looks: part.looks.map((look) => ({
      ...look,
      quizId: under(ids.quizzes, look.quizId),
      studentId: under(ids.students, look.studentId),
    })),
  };
}

/** A quiz with its work and its steps under other ids, and nothing else changed. */
export const quizUnder = (quiz: BackedQuiz, ids: NewIds): BackedQuiz => ({
  ...quiz,
  quiz: { ...quiz.quiz, id: under(ids.quizzes, quiz.quiz.id) },
  class: classUnder(quiz.class, ids),
  history: quiz.history.map((step) => stepUnder(step, ids)),
});
