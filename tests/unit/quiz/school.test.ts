import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { newPerson, SetTo, studentsSet, type Member } from '@/core/quiz/people/school';
import { setToWords } from '@/ui/words/setToWords';

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
    ['one student alone, and nobody else of the class', [{ ...whole('8c'), studentId: 'ben' }], [['ben', ['green'], null]]],
    ['a group, and one student besides', [{ classId: '8c', group: 'green' }, { ...whole('8d'), studentId: 'cem' }], [['ben', ['green'], null], ['cem', ['choir'], null]]],
    ['a student who is on another list', [{ ...whole('8d'), studentId: 'ann' }], []],
  ]; // prettier-ignore
  for (const [name, setTo, expected] of cases)
    test(name, () =>
      assert.deepEqual(
        studentsSet(setTo, PEOPLE, MEMBERS).map(({ id, groups, removedAt }) => [id, groups, removedAt]),
        expected,
      ),
    );
});

test('whom a quiz is set for, in words', () => {
  const classes = [
    { id: '8c', name: '8C' },
    { id: '8d', name: '8D' },
  ];
  const WORDS: [SetTo[], string][] = [
    [[], ''],
    [[whole('8c'), whole('8d')], '8C and 8D'],
    [[{ classId: '8d', group: 'blue' }], '8D (blue)'],
    [[{ ...whole('8c'), studentId: 'ben' }], '8C (1 student)'],
    [[{ classId: '8d', group: 'blue' }, { ...whole('8d'), studentId: 'a' }, { ...whole('8d'), studentId: 'b' }], '8D (blue and 2 students)'],
    [[whole('8c'), { ...whole('8c'), studentId: 'ben' }], '8C'],
  ]; // prettier-ignore
  for (const [setTo, words] of WORDS) assert.equal(setToWords(setTo, classes), words);
});

test('a group and a student in one entry are refused', () => {
  assert.equal(SetTo.safeParse({ classId: '8c', group: 'blue', studentId: 'ben' }).success, false);
  assert.equal(SetTo.safeParse({ classId: '8c', group: null, studentId: 'ben' }).success, true);
});
