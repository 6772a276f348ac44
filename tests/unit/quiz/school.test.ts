import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { newPerson, studentsSet, type Member, type SetTo } from '@/core/quiz/people/school';

const PEOPLE = ['ann', 'ben', 'cem', 'dag'].map((id) => newPerson(id, id));
const member = (classId: string, studentId: string, groups: string[] = [], removedAt: number | null = null): Member => ({
  classId, studentId, groups, removedAt,
}); // prettier-ignore
const MEMBERS = [
  member('8c', 'ann', ['blue']),
  member('8c', 'ben', ['green']),
  member('8c', 'cem', ['blue'], 5),
  member('8d', 'cem', ['choir']),
  member('8d', 'dag', [], 7),
];
const whole = (classId: string): SetTo => ({ classId, group: null });

describe('whom a quiz is set to', () => {
  const cases: [name: string, setTo: SetTo[], expected: [id: string, groups: string[], removedAt: number | null][]][] = [
    ['nobody', [], []],
    ['a class, with those who were taken off', [whole('8c')], [['ann', ['blue'], null], ['ben', ['green'], null], ['cem', ['blue'], 5]]],
    ['a group', [{ classId: '8c', group: 'blue' }], [['ann', ['blue'], null], ['cem', ['blue'], 5]]],
    ['two classes: who is in both stands once, and is on a list', [whole('8c'), whole('8d')], [['ann', ['blue'], null], ['ben', ['green'], null], ['cem', ['choir'], null], ['dag', [], 7]]],
    ['a class and a group of the other one', [whole('8d'), { classId: '8c', group: 'green' }], [['ben', ['green'], null], ['cem', ['choir'], null], ['dag', [], 7]]],
    ['a class and one of its groups is the class', [whole('8c'), { classId: '8c', group: 'blue' }], [['ann', ['blue'], null], ['ben', ['green'], null], ['cem', ['blue'], 5]]],
    ['a group of the same name in another class is another one', [{ classId: '8d', group: 'blue' }], []],
    ['a class that is not there', [whole('9a')], []],
  ]; // prettier-ignore
  for (const [name, setTo, expected] of cases)
    test(name, () =>
      assert.deepEqual(
        studentsSet(setTo, PEOPLE, MEMBERS).map(({ id, groups, removedAt }) => [id, groups, removedAt]),
        expected,
      ),
    );
});
