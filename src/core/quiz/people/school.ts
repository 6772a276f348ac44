import { Instant } from '../../figures/instant';
import { Id } from '../../content/questionBase';
import { FractionData } from '../../figures/schema';
import { z } from '../../zod';

/** Students, the classes they are in, and whom a quiz is set to. */

export const GroupName = z.string().min(1).max(60);

/** More time that a student usually gets: so many times as long, or so many minutes longer. */
export const MoreTime = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('factor'),
    factor: FractionData.refine((value) => value.n > value.d && value.n <= 10 * value.d, {
      message: 'More than 1, at most 10',
    }),
  }),
  z.strictObject({ kind: z.literal('minutes'), minutes: z.number().int().min(1).max(1000) }),
]);
export type MoreTime = z.infer<typeof MoreTime>;

/** One person, in however many classes. */
export const Person = z.strictObject({
  id: Id,
  name: z.string().min(1).max(200),
  /** The school's own number or code; may be empty. */
  number: z.string().max(60),
  /** The email address by which files may name the student; may be empty. */
  email: z.string().max(254),
  /** null: as long as everyone. */
  moreTime: MoreTime.nullable(),
});
export type Person = z.infer<typeof Person>;

/** A class: a list of students with a name, put away at the end of its year. */
export const SchoolClass = z.strictObject({
  id: Id,
  name: z.string().min(1).max(100),
  /** Its place among the classes: smaller stands first. */
  position: z.number(),
  archivedAt: Instant.nullable(),
});
export type SchoolClass = z.infer<typeof SchoolClass>;

/** That somebody is in a class, or was. */
export const Member = z.strictObject({
  classId: Id,
  studentId: Id,
  /** Groups of the class, such as `blue`. */
  groups: z.array(GroupName).max(20),
  /** Taken off the class list; the work stays. */
  removedAt: Instant.nullable(),
});
export type Member = z.infer<typeof Member>;

/** A class that a quiz is set to, one group of it (null: the whole class), or one student alone who is on its list. */
export const SetTo = z
  .strictObject({ classId: Id, group: GroupName.nullable(), studentId: Id.optional() })
  .refine(
    ({ group, studentId }) => group === null || studentId === undefined,
    'A group or a student, not both',
  );
export type SetTo = z.infer<typeof SetTo>;

/** A person as a list of one or more classes has them. */
export interface Student extends Person {
  readonly groups: string[];
  /** null: is on at least one of the lists. */
  readonly removedAt: number | null;
}

/** By what a file names a student. */
export type StudentDetails = Pick<Student, 'id' | 'name' | 'number' | 'email' | 'groups'>;

/** A student of whom nothing but the name is known. */
export const newPerson = (id: string, name: string): Person => ({
  id,
  name,
  number: '',
  email: '',
  moreTime: null,
});

const isMeant = ({ classId, studentId, groups }: Member, setTo: readonly SetTo[]): boolean =>
  setTo.some((one) => {
    if (one.classId !== classId) return false;
    if (one.studentId !== undefined) return one.studentId === studentId;
    return one.group === null || groups.includes(one.group);
  });

/** Everyone whom a quiz is set to, each once; those who were taken off the lists too, as their work stays. */
export function studentsSet(
  setTo: readonly SetTo[],
  people: readonly Person[],
  members: readonly Member[],
): Student[] {
  const meant = new Map<string, Member[]>();
  for (const member of members) {
    if (!isMeant(member, setTo)) continue;
    const own = meant.get(member.studentId);
    if (own) own.push(member);
    else meant.set(member.studentId, [member]);
  }
  return people.flatMap((person): Student[] => {
    const own = meant.get(person.id);
    if (!own) return [];
    const listed = own.filter(({ removedAt }) => removedAt === null);
    const groups = [...new Set((listed.length > 0 ? listed : own).flatMap((member) => member.groups))];
    const off = Math.max(...own.map(({ removedAt }) => removedAt ?? 0));
    return [{ ...person, groups, removedAt: listed.length > 0 ? null : off }];
  });
}

/** Work of those whom a quiz is set to; that of others is kept and counts for nothing. */
export function ofThoseSet<Work extends { readonly studentId: string }>(
  students: readonly Pick<Student, 'id'>[],
  work: readonly Work[],
): Work[] {
  const set = new Set(students.map(({ id }) => id));
  return work.filter(({ studentId }) => set.has(studentId));
}

/** Everyone of one class. */
export const studentsOfClass = (
  classId: string,
  people: readonly Person[],
  members: readonly Member[],
): Student[] => studentsSet([{ classId, group: null }], people, members);

/** The groups of a class, by name. */
export const groupsOfClass = (classId: string, members: readonly Member[]): string[] =>
  [
    ...new Set(
      members
        .filter((member) => member.classId === classId && member.removedAt === null)
        .flatMap(({ groups }) => groups),
    ),
  ].sort((a, b) => a.localeCompare(b, undefined, { numeric: true }));
