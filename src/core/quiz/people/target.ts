import { Id } from '../../content/questionBase';
import { z } from '../../zod';
import { GroupName } from './school';

/** For whom something is set apart from the others: a class, a group of a class, or one student. */
export const Target = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('class'), classId: Id }),
  z.strictObject({ kind: z.literal('group'), classId: Id, group: GroupName }),
  z.strictObject({ kind: z.literal('student'), studentId: Id }),
]);
export type Target = z.infer<typeof Target>;

/** The same, or everyone. */
export const TargetOrAll = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('all') }),
  ...Target.options,
]);
export type TargetOrAll = z.infer<typeof TargetOrAll>;

/** A student with the classes and groups that they are in. */
export interface Belonging {
  readonly studentId: string;
  readonly classes: readonly string[];
  readonly groups: readonly GroupOfClass[];
}

/** A group of a class: groups of one name in two classes are two. */
export interface GroupOfClass {
  readonly classId: string;
  readonly group: string;
}

/** What tells a group from all others. */
export const groupKey = ({ classId, group }: GroupOfClass): string => JSON.stringify([classId, group]);

/** Whether a student is among those who are meant. */
export function isMeantBy(target: TargetOrAll, who: Belonging): boolean {
  switch (target.kind) {
    case 'all':
      return true;
    case 'class':
      return who.classes.includes(target.classId);
    case 'group':
      return who.groups.some(({ classId, group }) => classId === target.classId && group === target.group);
    case 'student':
      return target.studentId === who.studentId;
  }
}

/** The nearest come first: what is set for a student, for a group, for a class. */
export const NEAREST_FIRST = ['student', 'group', 'class'] as const;
