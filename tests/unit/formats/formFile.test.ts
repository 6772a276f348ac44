import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import type { Student } from '@/core/quiz/people/school';
import { proposeColumns } from '@/core/formats/answerColumns';
import { DEFAULT_CHOICES, readPapers } from '@/core/formats/answerFile';
import { readTime } from '@/core/formats/readTime';
import { proposeRosterColumns, readRoster } from '@/core/formats/rosterFile';
import { readTable, type Table } from '@/core/formats/table';
import { CONTENT, PLACEMENTS, QUESTIONS } from '../../demoQuiz';

/** Files as programs with online forms and school offices write them, for classes of the size that there are. */

const FIRST = ['Ada', 'Bela', 'Cato', 'Dina', 'Emil', 'Fenna', 'Gita', 'Hana', 'Ivo', 'Juna'];
const LAST = ['Marsh', 'Fenn', 'Weir', 'Ford', 'Brook', 'Shoal', 'Bend', 'Reed', 'Isle', 'Mere'];
const syllables = ['', 'a', 'e', 'o'];

/** 300 students of whom no two have one name. */
const CLASS: readonly Student[] = Array.from({ length: 300 }, (_, index) => {
  const first = FIRST[index % 10] ?? '';
  const last = `${LAST[Math.floor(index / 10) % 10] ?? ''}${syllables[Math.floor(index / 100)] ?? ''}`;
  return {
    id: `s${index}`,
    name: `${first} ${last}`,
    number: `${1000 + index}`,
    email: `${first}.${last}@school.example`.toLowerCase(),
    moreTime: null,
    groups: [],
    removedAt: null,
  };
});
const PAPER = {
  content: { ...CONTENT, zone: 'Europe/Berlin' },
  questions: [...QUESTIONS],
  placements: PLACEMENTS,
};

function table(text: string): Table {
  const read = readTable(text);
  if (!read.ok) assert.fail(read.error);
  return read.table;
}
const read = (text: string, students: readonly Student[] = CLASS) => {
  const rows = table(text);
  const columns = proposeColumns(rows, QUESTIONS, students);
  return { columns, ...readPapers(rows, columns, PAPER, students, DEFAULT_CHOICES) };
};

const HEAD = 'Timestamp,Email Address,Total score,First name,Last name,1,2,3,4,5,6,7,8';
const line = ({ name, email }: Student, index: number): string => {
  const [first, last] = name.split(' ');
  const minute = String(index % 60).padStart(2, '0');
  return `2026/11/23 ${(index % 12) + 1}:${minute}:10 PM GMT+1,${email.toUpperCase()},${index % 12} / 12,${first},${last},upper course,oxbow lake,levee,floodplain,much lower,discharge,upstream,abrasion`;
};

describe('a form’s file with 300 students', () => {
  const text = [HEAD, ...CLASS.map(line), 'Average,,6.2 / 12,,,,,,,,,,', ''].join('\r\n');

  test('all are found by their addresses in capitals, with their times; the row of averages is no student', () => {
    const { columns, papers, unknown, problems } = read(text);
    assert.deepEqual(columns.slice(0, 5), [
      { use: 'time', order: 'dayFirst' },
      { use: 'email' },
      { use: 'ignored' },
      { use: 'firstName' },
      { use: 'lastName' },
    ]);
    assert.equal(papers.length, 300);
    assert.deepEqual(
      papers.map((one) => one.studentId),
      CLASS.map((one) => one.id),
    );
    assert.deepEqual(unknown, []);
    assert.equal(new Date(papers[0]?.handedInAt ?? 0).toISOString(), '2026-11-23T12:00:10.000Z');
    assert.equal(new Date(papers[299]?.handedInAt ?? 0).toISOString(), '2026-11-23T11:59:10.000Z');
    assert.deepEqual(
      problems.map((one) => `${one.line}: ${one.text}`),
      ['302: no name, number or email address'],
    );
  });

  test('without addresses two columns of names find them, written last name first as well', () => {
    const names = CLASS.map(({ name }) => name.split(' '));
    for (const [head, row] of [
      ['First name,Last name', names.map(([first, last]) => `${first},${last}`)],
      ['Name', names.map(([first, last]) => `"${last}, ${first}"`)],
    ] as const) {
      const { papers, unknown, problems } = read(
        [`${head},Q1`, ...row.map((one) => `${one},upper course`)].join('\n'),
      );
      assert.deepEqual(
        [papers.length, unknown.filter(({ likely }) => likely.length !== 1).length],
        [300, 0],
        JSON.stringify(problems.slice(0, 3)),
      );
      assert.deepEqual(
        papers.map((one) => one.studentId),
        CLASS.map((one) => one.id),
      );
    }
  });
});

describe('summing rows, points and strangers', () => {
  test('“Average”, “Total” and the like in the column of names are left out and said', () => {
    const { papers, problems, unknown } = read(
      'Name,Q1\nAda Marsh,upper course\nAverage,0.8\nTotal,\nStandard deviation,0.1\n',
    );
    assert.equal(papers.length, 1);
    assert.deepEqual(unknown, []);
    assert.deepEqual(
      problems.map((one) => `${one.line}: ${one.text}`),
      [
        '3: “Average” looks like a total and is skipped',
        '4: “Total” looks like a total and is skipped',
        '5: “Standard deviation” looks like a total and is skipped',
      ],
    );
  });

  test('somebody of that name on the class list is a student', () => {
    const total = { ...(CLASS[0] as Student), id: 'total', name: 'Total' };
    assert.equal(read('Name,Q1\nTotal,upper course\n', [total]).papers[0]?.studentId, 'total');
  });

  test('points as “n / m”', () => {
    const { papers } = read('Name,Q1,Q1 points\nAda Marsh,upper course,0.5 / 1\n');
    assert.deepEqual(Object.values(papers[0]?.points ?? {}), [{ n: 1, d: 2 }]);
  });

  for (const [written, meant] of [
    ['Áda Marsh', 'Ada Marsh'],
    ['Marsh Ada', 'Ada Marsh'],
    ['Ada Mrash', 'Ada Marsh'],
  ] as const)
    test(`“${written}” is proposed as ${meant}, not added as somebody new`, () => {
      const { papers, unknown } = read(`Name,Q1\n${written},upper course\n`);
      assert.deepEqual(
        unknown.map(({ likely }) => likely.map(({ name }) => name)),
        [[meant]],
      );
      assert.equal(papers[0]?.name, meant);
    });
  test('somebody like nobody is left out until added', () => {
    const { papers, unknown } = read('Name,Q1\nVisitor Mill,upper course\n');
    assert.deepEqual([papers.length, unknown[0]?.likely, unknown[0]?.choice], [0, [], 'out']);
  });

  test('a number that is known with its first letters in the other case', () => {
    const coded = [{ ...(CLASS[0] as Student), number: 'AB12' }];
    assert.equal(read('Number,Q1\nab12,upper course\n', coded).papers[0]?.studentId, 's0');
  });
});

describe('times', () => {
  const cases: [text: string, iso: string | null][] = [
    ['2026/11/23 1:00:10 AM GMT+1', '2026-11-23T00:00:10.000Z'],
    ['2026/11/23 1:00:10 PM GMT+1', '2026-11-23T12:00:10.000Z'],
    ['2026/11/23 12:00:00 AM GMT', '2026-11-23T00:00:00.000Z'],
    ['2026/11/23 11:30:00 PM GMT-3:30', '2026-11-24T03:00:00.000Z'],
    ['2026/11/23 13:00', '2026-11-23T12:00:00.000Z'],
    ['2026.11.23 13:00:05', '2026-11-23T12:00:05.000Z'],
    ['23 November 2026, 3:05 PM', '2026-11-23T14:05:00.000Z'],
    ['Monday, 23 November 2026, 3:05 PM', '2026-11-23T14:05:00.000Z'],
    ['Nov 23, 2026 15:05', '2026-11-23T14:05:00.000Z'],
    ['November 23rd, 2026 at 3:05 pm', '2026-11-23T14:05:00.000Z'],
    ['23 Sept 2026 08:00', '2026-09-23T06:00:00.000Z'],
    ['30 February 2026 08:00', null],
    ['23 Brumaire 2026 08:00', null],
    ['2026/13/01 08:00', null],
    ['2026/11/23 25:00', null],
  ];
  for (const [text, iso] of cases)
    test(text, () => {
      const at = readTime(text, 'dayFirst', 'Europe/Berlin');
      assert.equal(at === null ? null : new Date(at).toISOString(), iso);
    });
});

describe('a class list as an office writes it', () => {
  const roster = (text: string, students: readonly Student[] = []) => {
    const rows = table(text);
    return readRoster(rows, proposeRosterColumns(rows), students);
  };
  test('two columns of names, several of groups, addresses', () => {
    const { changes, problems } = roster(
      'Surname;Forename;Student ID;E-mail;Form;House\nMarsh;Ada;801;ADA@school.example;9A;Heron\nWeir;Bo;802;;9B;Otter\n',
    );
    assert.deepEqual(problems, []);
    assert.deepEqual(
      changes.map(({ student }) => [student.name, student.number, student.groups]),
      [
        ['Ada Marsh', '801', ['9A', 'Heron']],
        ['Bo Weir', '802', ['9B', 'Otter']],
      ],
    );
  });
  test('300 students, brought in twice, change nothing', () => {
    const text = [
      'Name,Number,Email',
      ...CLASS.map(({ name, number, email }) => `${name},${number},${email}`),
    ].join('\n');
    assert.equal(roster(text).changes.length, 300);
    const again = roster(text, CLASS);
    assert.deepEqual([again.changes.length, again.unchanged], [0, 300]);
  });
  test('two of one name with numbers are two students', () => {
    const { changes } = roster('Name,Number\nKai Run,911\nKai Run,912\n');
    assert.deepEqual(
      changes.map(({ student }) => student.number),
      ['911', '912'],
    );
  });
});
