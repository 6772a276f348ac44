import { KEEP_ALL, type NewIds } from '@/core/formats/quizFile/underIds';
import type { BackedQuiz, Step } from '@/core/formats/quizFile/schema';
import { lineText } from '@/core/content/shownText';
import type { Member, Person, SchoolClass } from '@/core/quiz/people/school';
import { newId } from '@/device/ids';
import { db } from '../records/db';

/**
 * Which records of a file keep their ids. An id that belongs here to another quiz, another person or another class is given
 * anew, so that nothing that comes in is written over what is here.
 */

interface School {
  readonly students: readonly Person[];
  readonly classes: readonly SchoolClass[];
  readonly members: readonly Member[];
}

const anew = (ids: Iterable<string>): ReadonlyMap<string, string> =>
  new Map([...ids].map((id) => [id, newId()]));

/** Every attempt of a quiz, there or in its steps. */
const attemptsIn = ({ class: part, history }: BackedQuiz): string[] => [
  ...new Set([
    ...part.attempts.map(({ id }) => id),
    ...history.flatMap(({ changes }) =>
      changes.flatMap((change) => (change.kind === 'attempt' ? [change.id] : [])),
    ),
  ]),
];

/** Attempts of the quiz, there or in its steps, whose ids belong here to another quiz. */
export async function newAttemptIds(brought: BackedQuiz): Promise<NewIds['attempts']> {
  const here = await db.attempts.bulkGet(attemptsIn(brought));
  return anew(here.flatMap((one) => (one && one.quizId !== brought.quiz.id ? [one.id] : [])));
}

const alike = (a: string, b: string): boolean =>
  lineText(a) !== '' && lineText(a).toLowerCase() === lineText(b).toLowerCase();

/** The same person as far as can be told: one of name, number and email address agrees. */
const isSame = (a: Person, b: Person): boolean =>
  alike(a.name, b.name) || alike(a.number, b.number) || alike(a.email, b.email);

/**
 * People and classes of a file that are others than those who have their ids here: a person of whom nothing agrees, a class
 * of another name that nobody of whom the file tells is in.
 */
export async function newSchoolIds({
  students,
  classes,
  members,
}: School): Promise<Pick<NewIds, 'students' | 'classes'>> {
  const here = await db.students.bulkGet(students.map(({ id }) => id));
  const others = students.filter((student, at) => {
    const own = here[at];
    return own !== undefined && !isSame(own, student);
  });
  const strangers = new Set(others.map(({ id }) => id));
  const classesHere = await db.classes.bulkGet(classes.map(({ id }) => id));
  const places = await db.members.bulkGet(
    members.map(({ classId, studentId }): [string, string] => [classId, studentId]),
  );
  const shared = new Set(
    places.flatMap((place) => (place && !strangers.has(place.studentId) ? [place.classId] : [])),
  );
  const otherClasses = classes.filter((one, at) => {
    const own = classesHere[at];
    return own !== undefined && !alike(own.name, one.name) && !shared.has(one.id);
  });
  return { students: anew(strangers), classes: anew(otherClasses.map(({ id }) => id)) };
}

/** For a copy that stands beside the first one: nothing of its work has an id that is taken. */
export const copyIds = (brought: BackedQuiz): NewIds => ({
  ...KEEP_ALL,
  quizzes: new Map([[brought.quiz.id, newId()]]),
  attempts: anew(attemptsIn(brought)),
});

/** What people, lists, classes and the Shelf held before anything came in. */
export interface Before {
  readonly students: ReadonlySet<string>;
  readonly classes: ReadonlySet<string>;
  readonly quizzes: ReadonlySet<string>;
}

export async function whatIsHere(): Promise<Before> {
  const [students, classes, quizzes] = await Promise.all(
    [db.students, db.classes, db.quizzes].map((table) => table.toCollection().primaryKeys()),
  );
  return {
    students: new Set(students as string[]),
    classes: new Set(classes as string[]),
    quizzes: new Set(quizzes as string[]),
  };
}

/** Steps of a file without what would write over people, classes and quizzes that were here before it when it is undone. */
export const ownSteps = (steps: readonly Step[], before: Before): Step[] =>
  steps.flatMap((step) => {
    const changes = step.changes.filter((change) => {
      if (change.kind === 'student') return !before.students.has(change.id);
      if (change.kind === 'class') return !before.classes.has(change.id);
      if (change.kind === 'member')
        return !before.students.has(change.studentId) && !before.classes.has(change.classId);
      return change.kind !== 'shelf' || !before.quizzes.has(change.id);
    });
    return changes.length > 0 ? [{ ...step, changes }] : [];
  });
