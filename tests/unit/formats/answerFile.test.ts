import { idOf } from '../../../demo/words';
import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import type { Student } from '@/core/quiz/people/school';
import { answersDiffer } from '@/core/checking/answersDiffer';
import { proposeColumns } from '@/core/formats/answerColumns';
import { DEFAULT_CHOICES, readPapers, type ReadChoices } from '@/core/formats/answerFile';
import { readTime, dateOrderOf } from '@/core/formats/readTime';
import { writeRefused } from '@/core/formats/refusedFile';
import { readTable, type Table } from '@/core/formats/table';
import { readFile } from '@/files/readFile';
import { CONTENT, PLACEMENTS, QUESTIONS } from '../../demoQuiz';
import { DEMO_STUDENTS as STUDENTS } from '../support/school';
import { written } from '../support/support';
import { runs } from '../../runs';

const [first] = STUDENTS as [Student];
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
function read(text: string, choices?: ReadChoices) {
  const rows = table(text);
  return { rows, ...readPapers(rows, proposeColumns(rows, QUESTIONS, STUDENTS), PAPER, STUDENTS, choices) };
}

describe('times in files', () => {
  const cases: [text: string, order: 'dayFirst' | 'monthFirst', zone: string, iso: string | null][] = [
    ['2026-01-05 16:20', 'dayFirst', 'Europe/Berlin', '2026-01-05T15:20:00.000Z'],
    ['2026-01-05T16:20:30Z', 'dayFirst', 'Europe/Berlin', '2026-01-05T16:20:30.000Z'],
    ['2026-01-05T16:20:00+05:30', 'dayFirst', 'UTC', '2026-01-05T10:50:00.000Z'],
    ['2026-01-05', 'dayFirst', 'UTC', '2026-01-05T00:00:00.000Z'],
    ['5.1.2026 16:20', 'dayFirst', 'UTC', '2026-01-05T16:20:00.000Z'],
    ['1/5/2026 4:20 PM', 'monthFirst', 'UTC', '2026-01-05T16:20:00.000Z'],
    ['1/5/2026 12:05 am', 'monthFirst', 'UTC', '2026-01-05T00:05:00.000Z'],
    ['31/02/2026 10:00', 'dayFirst', 'UTC', null],
    ['2026-01-05 25:00', 'dayFirst', 'UTC', null],
    ['Tuesday', 'dayFirst', 'UTC', null],
    ['', 'dayFirst', 'UTC', null],
  ];
  for (const [text, order, zone, iso] of cases) {
    test(`${text || 'nothing'} (${order})`, () => {
      const at = readTime(text, order, zone);
      assert.equal(at === null ? null : new Date(at).toISOString(), iso);
    });
  }
  test('month first only where a date can be nothing else', () => {
    assert.equal(dateOrderOf(['1/5/2026', '2/28/2026']), 'monthFirst');
    assert.equal(dateOrderOf(['1/5/2026', '28/2/2026']), 'dayFirst');
    assert.equal(dateOrderOf(['1/5/2026']), 'dayFirst');
  });
});

describe('columns', () => {
  test('times, notes and points are proposed beside answers; a misspelt heading finds its question', () => {
    const heads = [
      'Student',
      'Handed in',
      'Q1',
      'Points for Q2',
      'Q3 points',
      'Remarks',
      'What do we cal the flat land besides a river that lies under water in a flood?',
    ];
    const rows = table(`${heads.join(';')}\nAda Marsh;2026-01-05 16:20;x;1;2;late again;y\n`);
    assert.deepEqual(proposeColumns(rows, QUESTIONS, STUDENTS), [
      { use: 'student' },
      { use: 'time', order: 'dayFirst' },
      { use: 'question', questionId: QUESTIONS[0]?.id },
      { use: 'points', questionId: QUESTIONS[1]?.id },
      { use: 'points', questionId: QUESTIONS[2]?.id },
      { use: 'note' },
      { use: 'question', questionId: idOf('q-floodplain') },
    ]);
  });
  test('what headings meant before is proposed again, unless the question has gone', () => {
    const remembered = new Map([
      ['A', { use: 'question' as const, questionId: idOf('q-oxbow') }],
      ['B', { use: 'question' as const, questionId: 'gone' }],
    ]);
    const columns = proposeColumns(table('A,B\n1,2\n'), QUESTIONS, STUDENTS, remembered);
    assert.deepEqual(columns, [{ use: 'question', questionId: idOf('q-oxbow') }, { use: 'ignored' }]);
  });
});

describe('rows', () => {
  test('points, note and time are read; what is wrong in a cell leaves the rest of the row', () => {
    const { papers, problems } = read(
      'Student,Handed in,Q1,Q1 points,Q2 points,Notes\n' +
        'Ada Marsh,2026-01-05 16:20,upper course,"0,5",9,was ill\n' +
        'Bela Fenn,some day,x,two,-1,\n' +
        'Cato Weir,2026-01-05 16:21,y,,,\n',
    );
    const [ada, bela] = papers;
    assert.equal(new Date(ada?.handedInAt ?? 0).toISOString(), '2026-01-05T15:20:00.000Z');
    assert.deepEqual(Object.values(ada?.points ?? {}).map(written), ['1/2', '9']);
    assert.equal(ada?.note, 'was ill');
    assert.deepEqual([bela?.handedInAt, bela?.points], [null, {}]);
    assert.deepEqual(
      problems.map((one) => `${one.row} ${one.line} ${one.column}: ${one.text}`),
      [
        'kept 2 Q2 points: more points than the question is worth',
        'kept 3 Handed in: “some day” is not a date and time; ignored, so nobody is late by it',
        'kept 3 Q1: “x” is not one of the options: it is kept as it is, and is for you to mark',
        'kept 3 Q1 points: “two” is not a number of points from 0 to 1000; ignored',
        'kept 3 Q2 points: “-1” is not a number of points from 0 to 1000; ignored',
        'kept 4 Q1: “y” is not one of the options: it is kept as it is, and is for you to mark',
      ],
    );
  });

  const twice =
    'Student,Handed in,Q1\nAda Marsh,2026-01-06 09:00,b\nBela Fenn,2026-01-05 09:00,b\nAda Marsh,2026-01-05 09:00,a\n';
  test('the same student twice: the later counts, by time where there are times', () => {
    const { papers, problems, repeated } = read(twice);
    assert.equal(repeated, 1);
    assert.deepEqual(
      papers.map((one) => [one.name, one.line]),
      [
        ['Ada Marsh', 2],
        ['Bela Fenn', 3],
      ],
    );
    assert.deepEqual(
      problems.map((one) => `${one.line}: ${one.text}`),
      ['4: Ada Marsh appears again on line 2; that row is used'],
    );
  });
  test('or each row is an attempt, whatever the order in the file', () => {
    const { papers } = read(twice, { ...DEFAULT_CHOICES, twice: 'attempts' });
    assert.deepEqual(
      papers.map((one) => [one.line, one.attempt]),
      [
        [2, 2],
        [3, 1],
        [4, 1],
      ],
    );
  });

  const strangers = 'Student,Number,Q1\nA. Marsh,,x\nCy Brook,99,y\n,98,z\n';
  test('unknown students are added, matched by hand, or left out', () => {
    const first = read(strangers);
    assert.deepEqual(
      first.unknown.map((one) => [one.name, one.number, one.line]),
      [
        ['A. Marsh', '', 2],
        ['Cy Brook', '99', 3],
        ['', '98', 4],
      ],
    );
    assert.deepEqual(first.papers, [], 'nobody is put onto the list unasked');
    assert.deepEqual(
      first.problems.map((one) => one.text),
      [
        'A. Marsh is not on the class list',
        'Cy Brook is not on the class list',
        '98 is not on the class list',
      ],
    );
    const added = read(strangers, { ...DEFAULT_CHOICES, unlisted: 'add' });
    assert.deepEqual(
      added.papers.map((one) => one.studentId),
      [null, null],
    );
    assert.deepEqual(
      added.problems.map((one) => one.text),
      [
        '“x” is not one of the options: it is kept as it is, and is for you to mark',
        '“y” is not one of the options: it is kept as it is, and is for you to mark',
        'no student has the number 98',
      ],
    );
    const [a = '', cy = '', none = ''] = first.unknown.map((one) => one.key);
    const { papers, problems } = read(strangers, {
      ...DEFAULT_CHOICES,
      unknown: { [a]: 'demo-1', [cy]: 'out', [none]: 'demo-2' },
    });
    assert.deepEqual(
      papers.map((one) => [one.name, one.studentId]),
      [
        ['Ada Marsh', 'demo-1'],
        ['Bela Fenn', 'demo-2'],
      ],
    );
    assert.deepEqual(
      problems.map((one) => one.text),
      [
        '“x” is not one of the options: it is kept as it is, and is for you to mark',
        'Cy Brook is not on the class list',
        '“z” is not one of the options: it is kept as it is, and is for you to mark',
      ],
    );
  });

  test('rows that were left out make a file that says why, and is harmless in a spreadsheet', () => {
    const { rows, problems } = read('Student,Number,Q1\n,,=cmd()\nAda Marsh,,fine\n');
    assert.equal(
      writeRefused(rows, problems),
      '\uFEFFLine,Why it was skipped,Student,Number,Q1\r\n2,"no name, number or email address",,,"\'=cmd()"\r\n',
    );
  });
});

test('10 000 mutated files with times, points and notes, byte by byte: every row is a paper or refused with its line', async () => {
  const whole = readFileSync('demo/import/answers-flawed.csv');
  const roster = [...STUDENTS, { ...first, id: 'x', name: 'Jonas Run', number: '910' }];
  const edits = fc.array(fc.tuple(fc.nat(whole.length - 1), fc.nat(255)), { minLength: 1, maxLength: 12 });
  const twice = fc.constantFrom('later' as const, 'attempts' as const);
  await fc.assert(
    fc.asyncProperty(edits, twice, async (list, choice) => {
      const bytes = new Uint8Array(whole);
      for (const [at, value] of list) bytes[at] = value;
      const result = await readFile(bytes);
      if (!result.ok) return /line \d+|empty|no rows/i.test(result.error);
      const rows = result.table;
      const columns = proposeColumns(rows, QUESTIONS, roster);
      const { papers, problems } = readPapers(rows, columns, PAPER, roster, {
        ...DEFAULT_CHOICES,
        twice: choice,
      });
      const lines = new Set(rows.rows.map((row) => row.line));
      const refused = problems.filter((problem) => problem.row === 'refused');
      return (
        papers.length + refused.length === rows.rows.length && problems.every(({ line }) => lines.has(line))
      );
    }),
    { numRuns: runs(10_000) },
  );
});

test('what a corrected paper changed is said in words', () => {
  const paper = { ...PAPER, questions: PAPER.questions.slice(0, 4) };
  const answers = (...texts: string[]) => {
    const row = table(`Student,Q1,Q2,Q3,Q4\nAda Marsh,${texts.join(',')}\n`);
    return (
      readPapers(row, proposeColumns(row, paper.questions, STUDENTS), paper, STUDENTS).papers[0]?.answers ??
      {}
    );
  };
  const before = answers('upper course', 'oxbow laek', 'levee', '');
  assert.deepEqual(answersDiffer(paper, before, before), []);
  assert.deepEqual(answersDiffer(paper, before, answers('upper course', 'oxbow lake', '', 'delta')), [
    'question 2: “oxbow laek” is now “oxbow lake”',
    'question 3: “levee” is now nothing',
    'question 4: nothing is now “delta”',
  ]);
});
