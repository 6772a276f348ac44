import { isRecord, type Json } from '../content/upgrade';

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
export const setToFirst = (standing: unknown): unknown =>
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

/** One undo step. */
export const stepWithClasses = (step: unknown): unknown =>
  isRecord(step) && Array.isArray(step['changes'])
    ? { ...step, changes: step['changes'].flatMap(withClasses) }
    : step;

/** What a file says of its students, once they are in a class. */
function school(students: unknown): Json {
  if (!Array.isArray(students)) return {};
  return {
    students: students.map(personOfStudent),
    classes: students.length > 0 ? [FIRST_CLASS] : [],
    members: students.map(memberOfStudent),
  };
}

const stepsOf = (part: Json, field: string): Json => {
  const list = part[field];
  return Array.isArray(list) ? { [field]: list.map(stepWithClasses) } : {};
};

/** A quiz file, a backed-up quiz or a backup's list of form 3, brought to form 4. */
export function fileWithClasses(file: unknown): unknown {
  if (!isRecord(file) || file['version'] !== 3) return file;
  const part = file['class'];
  const { histories } = file;
  return {
    ...file,
    version: 4,
    ...(isRecord(part)
      ? { class: { ...part, ...school(part['students']), standing: setToFirst(part['standing']) } }
      : {}),
    ...school(file['students']),
    ...stepsOf(file, 'history'),
    ...(Array.isArray(histories)
      ? { histories: histories.map((one) => (isRecord(one) ? { ...one, ...stepsOf(one, 'steps') } : one)) }
      : {}),
  };
}
