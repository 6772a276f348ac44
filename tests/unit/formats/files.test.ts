import { idOf } from '../../../demo/words';
import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { proposeColumns } from '@/core/formats/answerColumns';
import { DEFAULT_CHOICES, readPapers } from '@/core/formats/answerFile';
import { proposeRosterColumns, readRoster } from '@/core/formats/rosterFile';
import { readTable, type Table } from '@/core/formats/table';
import { writeScores, type ScoreRow } from '@/core/formats/scoresFile';
import { canonical } from '@/core/figures/deepEqual';
import { RichText } from '@/core/content/richText';
import { fromEditor, toEditor } from '@/ui/editing/editorTree';
import { decodeText } from '@/files/decode';
import { readQuizFile } from '@/core/formats/quizFile/quizFile';
import { emptyContent } from '@/core/quiz/newQuiz';
import { asForm2 } from '../support/oldForm';
import { CONTENT, PLACEMENTS, QUESTIONS } from '../../demoQuiz';
import { DEMO_STUDENTS as STUDENTS } from '../support/school';
import { share } from '../support/support';
import { runs } from '../../runs';

const readRescue = (text: string) => readQuizFile(new TextEncoder().encode(text));
const DEMO = { content: CONTENT, questions: [...QUESTIONS], placements: PLACEMENTS };

function table(text: string): Table {
  const read = readTable(text);
  if (!read.ok) assert.fail(read.error);
  return read.table;
}

describe('answer file', () => {
  const demo = readFileSync('demo/import/answers.csv', 'utf8');

  test('the demo file: columns proposed, papers read, the row without a student named', () => {
    const read = table(demo);
    const columns = proposeColumns(read, QUESTIONS, STUDENTS);
    assert.deepEqual(
      columns.map((column) => (column.use === 'question' ? column.questionId : column.use)),
      ['student', 'number', 'ignored', ...QUESTIONS.map((question) => question.id)],
    );
    const added = { ...DEFAULT_CHOICES, unlisted: 'add' as const };
    const { papers, problems } = readPapers(read, columns, DEMO, STUDENTS, added);
    assert.deepEqual(readPapers(read, columns, DEMO, STUDENTS).papers.length, 3, 'nobody new unasked');
    assert.deepEqual(
      papers.map((paper) => [paper.name, paper.studentId]),
      [
        ['Yann Isle', 'demo-25'],
        ['Zoe Mere', 'demo-26'],
        ['Aro Tide', null],
        ['Bo Sluice', null],
        ['Ada Marsh', 'demo-1'],
      ],
    );
    assert.deepEqual(problems, [
      {
        line: 5,
        column: 'Q1',
        row: 'kept',
        text: '“upper” is not one of the options: it is kept as it is, and is for you to mark',
      },
      { line: 6, column: null, row: 'refused', text: 'no name, number or email address' },
    ]);
    assert.deepEqual(papers[3]?.answers[idOf('q-cutting')], { kind: 'unread', text: 'upper' });
    assert.deepEqual(papers[3]?.answers[idOf('q-discharge')], { kind: 'phrase', text: '=discharge' });
  });

  test('semicolons, tabs, a byte order mark, quoted newlines and empty rows', () => {
    for (const sign of [',', ';', '\t']) {
      const read = table(`\uFEFFName${sign}Q1\r\n\r\nA${sign}"two\nlines"\r\nB${sign}x\r\n`);
      assert.deepEqual(read.header, ['Name', 'Q1']);
      assert.deepEqual(
        read.rows.map((row) => [row.line, ...row.cells]),
        [
          [3, 'A', 'two\nlines'],
          [5, 'B', 'x'],
        ],
      );
    }
  });

  test('a heading that is repeated and rows of other lengths do no harm', () => {
    const read = table('Name,Q1,Q2\nAda,x\nName,Q1,Q2\nBo,y,z,more\n');
    assert.deepEqual(
      read.rows.map((row) => [row.line, row.cells.length]),
      [
        [2, 2],
        [4, 4],
      ],
    );
    const { papers } = readPapers(read, proposeColumns(read, QUESTIONS, []), DEMO, []);
    assert.deepEqual(
      papers.map((paper) => Object.keys(paper.answers).length),
      [1, 2],
    );
  });

  test('UTF-8 and UTF-16 with and without a mark, and Windows-1252, read alike', () => {
    const text = 'Name,Q1\nAdà Märsh,levée “–”\n';
    const utf16 = (bigEndian: boolean, mark: boolean) => {
      const units = Array.from((mark ? '\uFEFF' : '') + text, (sign) => sign.charCodeAt(0));
      return Uint8Array.from(units.flatMap((u) => (bigEndian ? [u >> 8, u & 255] : [u & 255, u >> 8])));
    };
    const cp1252: Record<string, number> = { '“': 0x93, '”': 0x94, '–': 0x96 };
    const files = [
      new TextEncoder().encode(text),
      new TextEncoder().encode(`\uFEFF${text}`),
      utf16(false, true),
      utf16(true, true),
      utf16(false, false),
      utf16(true, false),
      Uint8Array.from(text, (sign) => cp1252[sign] ?? sign.charCodeAt(0)),
    ];
    for (const bytes of files)
      assert.deepEqual(table(decodeText(bytes)).rows[0]?.cells, ['Adà Märsh', 'levée “–”']);
    fc.assert(fc.property(fc.uint8Array(), (bytes) => typeof decodeText(bytes) === 'string'));
  });

  for (const [language, text, bytes] of [
    ['pl', 'Żółć', [0xaf, 0xf3, 0xb3, 0xe6]],
    ['ru', 'Река', [0xd0, 0xe5, 0xea, 0xe0]],
    ['el', 'Ρέμα', [0xd1, 0xdd, 0xec, 0xe1]],
    ['tr', 'ırmağı', [0xfd, 0x72, 0x6d, 0x61, 0xf0, 0xfd]],
    ['de-AT', 'Flüße', [0x46, 0x6c, 0xfc, 0xdf, 0x65]],
  ] as const)
    test(`a file of an older program in ${language}`, () => {
      assert.equal(decodeText(new Uint8Array(bytes), language), text);
    });

  test('what cannot be read is refused with its place', () => {
    const errors: [string, RegExp][] = [
      ['', /empty/],
      ['Name,Q1\n', /no rows/],
      ['Name,Q1\nA,"open\nB,x', /Line 2: a quotation mark/],
    ];
    for (const [text, pattern] of errors) {
      const read = readTable(text);
      assert.ok(!read.ok && pattern.test(read.error), JSON.stringify(read));
    }
  });

  test('the same student twice, two of one name and an unknown number are named by line', () => {
    const students = [
      { id: 'a', name: 'Ada', number: '1', email: '', moreTime: null, groups: [], removedAt: null },
      { id: 'b', name: 'Bo', number: '', email: '', moreTime: null, groups: [], removedAt: null },
      { id: 'c', name: 'Bo', number: '', email: '', moreTime: null, groups: [], removedAt: null },
    ];
    const read = table('Name,Number,Q1\nAda,,a\nada,1,b\nBo,,c\n,9,a\nAda,7,b\n');
    const { papers, problems } = readPapers(read, proposeColumns(read, QUESTIONS, students), DEMO, students);
    assert.equal(papers.length, 1);
    assert.deepEqual(
      problems.map((problem) => `${problem.line}: ${problem.text}`),
      [
        '2: Ada appears again on line 3; that row is used',
        '4: 2 students are called Bo: a number or an email address tells them apart',
        '5: 9 is not on the class list',
        '6: Ada has the number 1 on the class list, and 7 in the file',
      ],
    );
  });

  test('questions are known by number, by text and by the beginning of their text', () => {
    const heads = [
      'Q2',
      'question 3',
      'What do we call the flat land beside a river that lies under water in a flood?',
      'Contour lines bend into a V',
      'Remarks',
    ];
    const columns = proposeColumns(table(`${heads.join(';')}\n1;2;3;4;5\n`), QUESTIONS, STUDENTS);
    assert.deepEqual(
      columns.map((c) => (c.use === 'question' ? c.questionId : c.use)),
      [idOf('q-oxbow'), idOf('q-deposition'), idOf('q-floodplain'), idOf('q-contours'), 'note'],
    );
  });

  test('10 000 mutated files: never a throw, always papers or a located error', () => {
    const signs = fc.constantFrom(
      '"',
      ',',
      ';',
      '\n',
      '\r',
      '\t',
      '\u0000',
      '\uFEFF',
      '=',
      'é',
      '\u202E',
      '<b>',
      ' ',
    );
    const edits = fc.array(fc.tuple(fc.nat(demo.length), fc.nat(5), signs), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(edits, (list) => {
        const text = list.reduce((t, [at, cut, sign]) => t.slice(0, at) + sign + t.slice(at + cut), demo);
        const read = readTable(text);
        if (!read.ok) return /line \d+|empty|no rows/i.test(read.error);
        const columns = proposeColumns(read.table, QUESTIONS, STUDENTS);
        const { papers, problems } = readPapers(read.table, columns, DEMO, STUDENTS);
        return papers.length + problems.filter((p) => p.row === 'refused').length === read.table.rows.length;
      }),
      { numRuns: runs(10_000) },
    );
  });
});

describe('roster file', () => {
  const student = (id: string, name: string, number: string, groups: string[] = []) => ({
    id,
    name,
    number,
    email: '',
    moreTime: null,
    groups,
    removedAt: null,
  });
  const students = [
    student('a', 'Ada Marsh', '1', ['8C']),
    student('b', 'Bo Weir', ''),
    student('c', 'Cy Ford', ''),
    student('d', 'Cy Ford', ''),
  ];

  test('new, changed and unchanged students are told apart; problems are named by line', () => {
    const read = table(
      'Last name;First name;No;Class\nMarsh;Ada;1;8C\nWeir;Bo;2;8D, choir\nFord;Cy;;8C\nRill;Dee;5;\nRill;Dee;5;\n;;9;8C\n',
    );
    const columns = proposeRosterColumns(read);
    assert.deepEqual(columns, ['name', 'firstName', 'number', 'groups']);
    const { changes, unchanged, problems } = readRoster(read, columns, students);
    assert.equal(unchanged, 1);
    assert.deepEqual(
      changes.map(({ known, student: s }) => [known, s.id, s.name, s.number, s.groups]),
      [
        [true, 'b', 'Bo Weir', '2', ['8D', 'choir']],
        [true, 'c', 'Cy Ford', '', ['8C']],
        [false, '', 'Dee Rill', '5', []],
      ],
    );
    assert.deepEqual(
      problems.map((problem) => `${problem.line}: ${problem.text}`),
      ['6: Dee Rill: its number or address is on line 5 already', '7: no name'],
    );
  });
  test('a file without groups leaves them as they are, and brings a student back who was taken off', () => {
    const off = [{ ...student('a', 'Ada Marsh', '1', ['8C']), removedAt: 5 }];
    const read = table('Name,Number\nAda Marsh,1\n');
    const { changes } = readRoster(read, proposeRosterColumns(read), off);
    assert.deepEqual(
      changes.map((change) => change.student),
      [student('a', 'Ada Marsh', '1', ['8C'])],
    );
  });
  test('10 000 mutated files: never a throw, every row accounted for', () => {
    const whole = 'Name,Number,Group\n"Marsh, Ada",801,8C\nBo Weir,802,"8C; choir"\n=Evil,803,8D\n';
    const signs = fc.constantFrom('"', ',', ';', '\n', '\r', '\t', '\u0000', '=', '\u202E', '<b>', '');
    const edits = fc.array(fc.tuple(fc.nat(whole.length), fc.nat(4), signs), { minLength: 1, maxLength: 5 });
    fc.assert(
      fc.property(edits, (list) => {
        const read = readTable(
          list.reduce((t, [at, cut, sign]) => t.slice(0, at) + sign + t.slice(at + cut), whole),
        );
        if (!read.ok) return read.error.length > 10;
        const { changes, unchanged, problems } = readRoster(
          read.table,
          proposeRosterColumns(read.table),
          students,
        );
        const refused = problems.filter(({ row }) => row === 'refused');
        return changes.length + unchanged + refused.length === read.table.rows.length;
      }),
      { numRuns: runs(10_000) },
    );
  });
});

describe('scores file', () => {
  const row = (name: string): ScoreRow => ({
    name, number: '7', score: share('7.5'), outOf: share('12'), waiting: share('2'), parts: [share('2/3'), null],
    email: '', groups: ['8C'], attempts: 1, handedIn: null, late: null, comment: '',
  }); // prettier-ignore

  test('a header, decimal points, two decimals, empty where nothing was handed in', () => {
    const text = writeScores(
      [row('Ada Marsh'), { ...row('Bo'), score: null, parts: [null, null] }],
      ['1. First, one', '2. Second'],
    );
    assert.equal(
      text,
      '\uFEFFName,Number,Score,Out of,Points not marked yet,"1. First, one",2. Second\r\n' +
        'Ada Marsh,7,7.5,12,2,0.67,\r\n' +
        'Bo,7,,12,,,\r\n',
    );
  });
  test('text that a spreadsheet would run is defused; figures are left alone', () => {
    for (const sign of ['=', '+', '-', '@', '\t', '\r', '＝']) {
      const text = writeScores([{ ...row(`${sign}cmd()`), score: share('-1') }], []);
      const cell = text.split('\r\n')[1] ?? '';
      assert.ok(cell.startsWith(`'${sign}`) || cell.startsWith(`"'${sign}`), JSON.stringify(cell));
      assert.ok(text.includes(',-1,'));
    }
  });
});

const run = fc.record({
  type: fc.constant('text' as const),
  text: fc.string({ minLength: 1, maxLength: 20 }),
  marks: fc.uniqueArray(fc.constantFrom('bold' as const, 'italic' as const, 'sub' as const, 'sup' as const)),
});
const paragraph = fc.record({
  type: fc.constant('paragraph' as const),
  runs: fc.array(run, { maxLength: 4 }),
});
const list = fc.record({
  type: fc.constantFrom('bullets' as const, 'numbers' as const),
  items: fc.array(fc.array(paragraph, { minLength: 1, maxLength: 2 }), { minLength: 1, maxLength: 3 }),
});

test('formatted text goes into the editor and comes back the same', () => {
  fc.assert(
    fc.property(fc.array(fc.oneof(paragraph, list), { minLength: 1, maxLength: 4 }), (tree) => {
      const empty = tree.every((block) => block.type === 'paragraph' && block.runs.length === 0);
      assert.equal(canonical(fromEditor(toEditor(tree))), canonical(empty ? [] : tree));
    }),
  );
  assert.equal(RichText.safeParse([{ type: 'script', runs: [] }]).success, false);
});

test('10 000 mutated rescue files: never a throw, always a quiz or a located error', () => {
  const file = (version: number) =>
    JSON.stringify({
      format: 'yentrel-rescue',
      version,
      content: emptyContent('R'),
      questions: QUESTIONS.slice(0, 2),
    });
  const versions = fc.constantFrom(file(1), file(2));
  const signs = fc.constantFrom('"', '{', ']', '0', '-1', 'null', '1e9', '\\u0000', ':', 'true', '');
  const edits = fc.array(fc.tuple(fc.nat(file(1).length), fc.nat(8), signs), { minLength: 1, maxLength: 3 });
  fc.assert(
    fc.property(versions, edits, (whole, list) => {
      const read = readRescue(
        list.reduce((t, [at, cut, sign]) => t.slice(0, at) + sign + t.slice(at + cut), whole),
      );
      return read.ok || read.problems.every((text) => text.length > 5);
    }),
    { numRuns: runs(10_000) },
  );
});

test('a rescue file is read back, and a broken one is refused with its place', () => {
  const file = {
    format: 'yentrel-rescue',
    version: 2,
    content: emptyContent('R'),
    questions: QUESTIONS.map((question) => asForm2(question)),
  };
  const read = readRescue(JSON.stringify(file));
  assert.ok(read.ok && read.value.file.quiz.questions.length === QUESTIONS.length);
  const broken = readRescue(
    JSON.stringify({ ...file, questions: [{ ...file.questions[0], points: { n: -1, d: 1 } }] }),
  );
  assert.deepEqual(!broken.ok && broken.problems, [
    'settings of question 1: points is -1, at least 0, at most 1000, with at most 3 decimals',
  ]);
  assert.ok(!readRescue('{').ok);
});
