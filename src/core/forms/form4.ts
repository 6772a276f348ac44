import { isRecord, type Json } from './records';
import type { FormStep } from './walk';

/**
 * Records of the form in which there was one list of students for everything, brought to the one with classes: that list
 * becomes one class, to which every quiz is set. Every page that opens the database loads this, so it knows no kinds.
 */

/** The class that the one list becomes: the same in every browser, as the list was. */
export const FIRST_CLASS = { id: 'first-class', name: 'My class', position: 0, archivedAt: null };

/** The person of a student of the one list. */
export function personOfStudent(student: unknown): unknown {
  if (!isRecord(student)) return student;
  const person: Json = { moreTime: null, ...student };
  delete person['groups'];
  delete person['removedAt'];
  return person;
}

/** The place of a student of the one list in the class that it becomes. */
export function memberOfStudent(student: unknown): unknown {
  if (!isRecord(student)) return student;
  const { id, groups, removedAt } = student;
  return { classId: FIRST_CLASS.id, studentId: id, groups, removedAt };
}

/** A standing of a quiz that is set to that class. */
const setToFirst = (standing: unknown): unknown =>
  isRecord(standing) ? { setTo: [{ classId: FIRST_CLASS.id, group: null }], ...standing } : standing;

/** A change of a student is one of the person and one of the place in the class; of a standing, one with whom it is set to. */
function withClasses(change: unknown): unknown[] {
  if (!isRecord(change)) return [change];
  const { kind, before, after } = change;
  if (kind === 'standing') return [{ ...change, before: setToFirst(before), after: setToFirst(after) }];
  if (kind !== 'student') return [change];
  return [
    { ...change, before: personOfStudent(before), after: personOfStudent(after) },
    {
      kind: 'member',
      classId: FIRST_CLASS.id,
      studentId: change['id'],
      before: memberOfStudent(before),
      after: memberOfStudent(after),
    },
  ];
}

/** What a file says of its students, once they are in a class. */
function people({ students }: Json): Json {
  if (!Array.isArray(students)) return {};
  return {
    students: students.map(personOfStudent),
    classes: students.length > 0 ? [FIRST_CLASS] : [],
    members: students.map(memberOfStudent),
  };
}

export const form4: FormStep = { to: 4, standing: setToFirst, people, change: withClasses };
