import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { Ajv2020 } from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { hashOf, LARGEST, pack } from '@/core/formats/quizFile/archive';
import { readBackup, writeBackup, type Backup } from '@/core/formats/quizFile/backup';
import { checkQuiz } from '@/core/formats/quizFile/checks';
import { compareCopies, copyChanges } from '@/core/formats/quizFile/compare';
import { placeWords } from '@/core/formats/quizFile/locatedMessages';
import { readQuizData, readQuizFile, writeQuizFile } from '@/core/formats/quizFile/quizFile';
import { FORM_VERSION, QuizFile, type BackedQuiz } from '@/core/formats/quizFile/schema';
import type { Answer, Question } from '@/core/kinds';
import { emptyContent, NEW_STANDING } from '@/core/quiz/newQuiz';
import { canonical } from '@/core/figures/deepEqual';
import { jsonSchema } from '@/server/schemas';
import { DEMO_FILE } from '../../generated';
import { asForm2 } from '../support/oldForm';
import { answerOf, anyKind, questionOf } from '../support/arbitrary';
import { newSection } from '@/core/quiz/section';
import { newPlacement } from '@/core/quiz/newPlacement';
import { newPerson } from '@/core/quiz/people/school';
import { share } from '../support/support';
import { runs } from '../../runs';

const NONE = new Map<string, Uint8Array>();
const PICTURE = Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 1, 2, 3]);
const clone = (): Record<string, unknown> => JSON.parse(canonical(DEMO_FILE)) as Record<string, unknown>;
const problemsOf = (bytes: Uint8Array): readonly string[] => {
  const read = readQuizFile(bytes);
  return read.ok ? [] : read.problems;
};

/** Sets what lies at a path of plain data; `undefined` takes it away. */
function set(data: unknown, path: readonly (string | number)[], value: unknown): void {
  let at = data as Record<string | number, unknown>;
  for (const step of path.slice(0, -1)) at = at[step] as Record<string | number, unknown>;
  const last = path.at(-1) as string | number;
  if (value === undefined) delete at[last];
  else at[last] = value;
}

const renamed = (question: Question, index: number): Question => ({ ...question, id: `q${index + 1}` });
const classPart = (students: string[], answers: (object | null)[]): QuizFile['class'] => ({
  standing: { ...NEW_STANDING, live: 1, opening: { from: 1, due: null, grace: 0, until: 9e12 }, setTo: students.length > 0 ? [{ classId: 'c1', group: '8C' }] : [] },
  firstHandInAt: 5,
  revisions: [{ rev: 1, parent: null, at: 4, why: 'opened', content: { ...emptyContent('Then'), order: [] }, questionRevs: {} }],
  questionRevisions: [],
  students: students.map((id) => ({ ...newPerson(id, `Student ${id}`), moreTime: id === 'ann' ? { kind: 'minutes' as const, minutes: 10 } : null })),
  classes: students.length > 0 ? [{ id: 'c1', name: '8', position: 1, archivedAt: null }] : [],
  members: students.map((studentId) => ({ classId: 'c1', studentId, groups: ['8C'], removedAt: null })),
  attempts: students.map((id, at) => ({
    id: `a-${id}`, quizId: 'quiz', studentId: id, number: 1, revision: 1, openedAt: 2, savedAt: 3, handedInAt: at % 2 ? null : 3, timeKnown: true,
    source: 'sat', seed: 0, saves: {}, hints: (at === 0 ? { q1: ['hint-0'] } : {}) as Record<string, string[]>, answers: (answers[at] ? { q1: answers[at] } : {}) as Record<string, Answer>, seq: at + 1,
  })),
  overrides: students.slice(0, 1).map((id) => ({ quizId: 'quiz', attemptId: `a-${id}`, questionId: 'q1', points: { n: 1, d: 2 }, reason: '', at: 7, gave: null })),
  rulings: [],
  looks: [],
  comments: students.slice(1, 2).map((id) => ({ quizId: 'quiz', attemptId: `a-${id}`, questionId: '', text: 'Well seen.', at: 8 })),
}); // prettier-ignore
const anyQuiz: fc.Arbitrary<QuizFile> = fc
  .tuple(
    fc.array(anyKind.chain(questionOf), { maxLength: 5 }),
    fc.string({ maxLength: 40 }),
    fc.boolean(),
    fc.array(fc.option(anyKind.chain(answerOf)), { minLength: 3, maxLength: 3 }),
  )
  .map(([questions, title, withClass, answers]): QuizFile => ({
    format: 'yentrel-quiz',
    version: FORM_VERSION,
    quiz: {
      id: 'quiz',
      content: {
        ...emptyContent(title),
        order: [...(withClass ? ['part'] : []), ...questions.map((_, index) => `q${index + 1}`)],
        sections: withClass ? [{ ...newSection('part'), heading: title }] : [],
        bands: [{ id: 'good', from: share('4/5'), feedback: { text: title, links: [] } }],
      },
      questions: questions.map(renamed),
      placements: questions.map((_, index) => ({
        ...newPlacement(`q${index + 1}`),
        points: share('3/2'),
        staysInPlace: index % 2 === 0,
        perPart: index % 2 === 1,
        checks: [{ id: 'c', answer: answers[0] ?? null, points: share('1/3') }],
      })),
      createdAt: 1,
      changedAt: 2,
    },
    share: withClass ? null : { author: title, note: title, at: 3 },
    class: withClass ? classPart(['ann', 'ben', 'cem'], answers) : null,
  }))
  .filter(({ quiz }) => checkQuiz(quiz).length === 0);

/** Pictures for every hash that stands in a quiz cannot be made up: those questions have none. */
const withoutPictures = (file: QuizFile): QuizFile =>
  JSON.parse(JSON.stringify(file), (key, value: unknown) =>
    key === 'picture' && file.quiz.questions.every(({ kind }) => kind !== 'spot') ? null : value,
  ) as QuizFile;

describe('a quiz file', () => {
  test('law: any quiz that the schemas allow, written and read, is equal; the same content gives the same bytes', () => {
    fc.assert(
      fc.property(anyQuiz, (made) => {
        const file = withoutPictures(made);
        fc.pre(file.quiz.questions.every(({ kind }) => kind !== 'spot'));
        const bytes = writeQuizFile(file, NONE);
        const read = readQuizFile(bytes);
        assert.ok(read.ok, JSON.stringify(read));
        assert.equal(canonical(read.value.file), canonical(file));
        const shuffled = JSON.parse(
          JSON.stringify(file, (_, value: unknown) =>
            typeof value === 'object' && value !== null && !Array.isArray(value)
              ? Object.fromEntries(Object.entries(value).reverse())
              : value,
          ),
        ) as QuizFile;
        assert.deepEqual(writeQuizFile(shuffled, NONE), bytes);
        assert.deepEqual(writeQuizFile(read.value.file, read.value.pictures), bytes);
      }),
      { numRuns: runs(300) },
    );
  });
  test('pictures come along by their hash, those that are shown and no others', () => {
    const hash = hashOf(PICTURE);
    const file = clone() as QuizFile;
    const [first] = file.quiz.questions;
    assert.equal(first?.kind, 'pickOne');
    const picture = { hash, alt: 'A weir', width: 7, height: 1, share: 50 };
    set(file, ['quiz', 'questions', 0, 'options', 0, 'picture'], picture);
    const bytes = writeQuizFile(
      file,
      new Map([
        [hash, PICTURE],
        ['0'.repeat(64), PICTURE],
      ]),
    );
    const read = readQuizFile(bytes);
    assert.ok(read.ok);
    assert.deepEqual([...read.value.pictures], [[hash, PICTURE]]);
    assert.match(
      problemsOf(writeQuizFile(file, NONE))[0] ?? '',
      /^the picture [0-9a-f]{12}… is not in the file$/,
    );
    const parts = unzipSync(bytes);
    const other = zipSync({ ...parts, [`pictures/${hash}`]: Uint8Array.from([1]) });
    assert.match(problemsOf(other)[0] ?? '', /^The picture [0-9a-f]{12}… is damaged\.$/);
  });
  test('a rescue file of any version is read as a quiz', () => {
    const { content, placements } = DEMO_FILE.quiz;
    const questions = DEMO_FILE.quiz.questions.map((question, at) => asForm2(question, placements[at]));
    const { shuffled: _, ...before } = content;
    for (const [version, more] of [
      [2, {}],
      [3, { texts: [] }],
    ] as const) {
      const read = readQuizData({ format: 'yentrel-rescue', version, content: before, questions, ...more });
      assert.ok(read.ok, JSON.stringify(read));
      assert.deepEqual(read.value.quiz.questions, DEMO_FILE.quiz.questions);
      assert.deepEqual(read.value.quiz.placements, placements);
    }
    const later = new Set(['attempts', 'late', 'zone', 'scoring', 'decimalSign']);
    const old = Object.fromEntries(Object.entries(content).filter(([name]) => !later.has(name)));
    const one = readQuizData({ format: 'yentrel-rescue', version: 1, content: old, questions }, 'UTC');
    assert.ok(one.ok && one.value.quiz.content.late.kind === 'free');
  });
});

describe('what is wrong in a quiz file is said with its place', () => {
  const ajv = new Ajv2020({ strict: false });
  const bySchema = ajv.compile(jsonSchema('quiz-file'));
  const cases: [path: (string | number)[], value: unknown, words: string][] = [
    [['quiz', 'questions', 1, 'variants', 0, 'credit'], { n: 3, d: 2 }, 'question 2, variant 1: credit is 1.5, at least −1, at most 1'],
    [['quiz', 'questions', 0, 'options', 2, 'text'], 7, 'question 1, option 3: text is 7, a text is needed'],
    [['quiz', 'placements', 3, 'mustAnswer'], undefined, 'settings of question 4: must answer is missing'],
    [['quiz', 'questions', 1, 'colour'], 'blue', 'question 2: unknown field “colour”'],
    [['quiz', 'questions', 0, 'kind'], 'riddle', 'question 1: kind is “riddle”, unknown type'],
    [['quiz', 'content', 'title'], 'x'.repeat(301), `title is “${'x'.repeat(40)}”, at most 300 characters`],
    [['quiz', 'content', 'late'], { kind: 'steps', step: 'week' }, 'late: step is “week”, it can be hour, day'],
    [['quiz', 'questions', 1, 'variants', 0, 'forms', 1], null, 'question 2, variant 1, form 2 is empty, a text is needed'],
    [['share', 'at'], -1, 'share: at is -1, at least 0'],
    [['version'], '2', 'version is “2”, it can be 15'],
    [['quiz', 'content', 'order', 0], 'q-none', 'the order names “q-none”, which is not there'],
    [['quiz', 'questions', 1, 'id'], 'q-place', 'the order names'],
  ]; // prettier-ignore
  for (const [path, value, words] of cases)
    test(words, () => {
      const data = clone();
      set(data, path, value);
      const read = readQuizData(data);
      assert.ok(!read.ok);
      assert.ok(
        read.problems.some((text) => text.startsWith(words)),
        read.problems.join('\n'),
      );
    });
  test('ids that stand twice are told', () => {
    const data = clone() as QuizFile;
    const again = [...data.quiz.questions, data.quiz.questions[0]];
    const read = readQuizData({ ...data, quiz: { ...data.quiz, questions: again } });
    assert.deepEqual(!read.ok && read.problems[0], `question ${again.length} has the id of another question`);
    set(
      data,
      ['quiz', 'questions', 0, 'options', 1, 'id'],
      (data.quiz.questions[0] as { options: { id: string }[] }).options[0]?.id,
    );
    const inner = readQuizData(data);
    assert.deepEqual(
      !inner.ok && inner.problems[0],
      'question 1: entry 2 of options has the id of another one',
    );
  });
  test('200 broken files are refused by the published schema and by Yentrel alike, whole ones by neither', () => {
    assert.ok(bySchema(clone()), JSON.stringify(bySchema.errors));
    const paths: (string | number)[][] = [];
    const visit = (value: unknown, path: (string | number)[]) => {
      if (path.length > 0) paths.push(path);
      if (Array.isArray(value)) value.slice(0, 3).forEach((one, at) => visit(one, [...path, at]));
      else if (typeof value === 'object' && value !== null)
        Object.entries(value).forEach(([key, one]) => visit(one, [...path, key]));
    };
    visit(clone(), []);
    const ways: ((data: Record<string, unknown>, path: (string | number)[]) => void)[] = [
      (data, path) => set(data, path, { nobody: 'knows' }),
      (data, path) => set(data, path, Symbol.for('x').description?.repeat(11_000)),
      (data, path) => set(data, path, -1e300),
      (data, path) => set(data, path, [[[]]]),
    ];
    let refusedBoth = 0;
    for (let at = 0; refusedBoth < 200; at++) {
      assert.ok(at < 5000, `only ${refusedBoth} broken files`);
      const data = clone();
      const path = paths[(at * 7919) % paths.length] as (string | number)[];
      (ways[at % ways.length] as (typeof ways)[number])(data, path);
      const read = readQuizData(data);
      const schema = bySchema(JSON.parse(JSON.stringify(data)));
      assert.equal(
        QuizFile.safeParse(data).success,
        schema,
        `${path.join('.')} ${JSON.stringify(bySchema.errors)}`,
      );
      if (!schema) {
        assert.ok(!read.ok && read.problems.length > 0 && read.problems.every((text) => text.length > 5));
        refusedBoth++;
      }
    }
  });
  test('a place in words', () => {
    assert.equal(
      placeWords(['quiz', 'questions', 3, 'variants', 1, 'credit']),
      'question 4, variant 2: credit',
    );
    assert.equal(placeWords(['class', 'attempts', 0, 'answers', 'q1']), 'attempt 1, answers: q1');
    assert.equal(placeWords([]), 'the file');
  });
});

describe('what is no quiz file, or means harm', () => {
  const whole = writeQuizFile(DEMO_FILE, NONE);
  const parts = unzipSync(whole);
  const cases: [what: string, bytes: Uint8Array, words: RegExp][] = [
    ['nothing', new Uint8Array(), /cannot be unzipped/],
    ['text', strToU8('Student,Q1\nAda,weir'), /cannot be unzipped/],
    ['JSON that is no quiz', strToU8('{"a":1}'), /^the file|^format is missing/],
    ['half a JSON', strToU8('{"format":"yentrel-quiz",'), /a part of it is damaged\. Ask for a new copy/],
    ['a zip with nothing', zipSync({}), /empty|cannot be unzipped/],
    ['a way out of the folder', zipSync({ ...parts, '../evil.json': strToU8('{}') }), /“\.\.\/evil\.json”, which does not belong/],
    ['an absolute path', zipSync({ ...parts, '/etc/passwd': strToU8('x') }), /does not belong/],
    ['a part that nobody knows', zipSync({ ...parts, 'quiz.exe': strToU8('x') }), /does not belong/],
    ['another quiz under the sums of this one', zipSync({ ...parts, 'quiz.json': strToU8('{}') }), /quiz\.json is damaged: its contents have changed/],
    ['a lost part', zipSync({ 'contents.json': parts['contents.json'] as Uint8Array }), /“quiz\.json” is missing from the file/],
    ['a backup', pack(new Map([['backup.json', strToU8('{}')]])), /backup of a whole Shelf/],
    ['a newer form', pack(new Map([['quiz.json', strToU8('{"format":"yentrel-quiz","version":16}')]])), /newer Yentrel\. It uses format version 16; this Yentrel reads up to version 15/],
    ['a cut file', whole.subarray(0, whole.length - 40), /cannot be unzipped/],
  ]; // prettier-ignore
  for (const [what, bytes, words] of cases)
    test(what, () => {
      const [first] = problemsOf(bytes);
      assert.match(first ?? '(taken in)', words);
    });
  test('a zip bomb is refused by its directory, and one that lies about its size unpacks to no more than it says', () => {
    const bomb = zipSync({ 'quiz.json': new Uint8Array(60_000_000) }, { level: 9 });
    assert.ok(bomb.length < 100_000);
    /** The same zip whose directory and part say that it unpacks to so many bytes. */
    const saying = (size: number): Uint8Array => {
      const lying = bomb.slice();
      const view = new DataView(lying.buffer);
      view.setUint32(22, size, true);
      view.setUint32(view.getUint32(lying.length - 6, true) + 24, size, true);
      return lying;
    };
    assert.match(problemsOf(saying(LARGEST.unpacked + 1))[0] ?? '', /more than 1000 MB/);
    const lying = saying(10);
    const before = process.memoryUsage.rss();
    assert.ok(problemsOf(lying).length > 0);
    assert.ok(process.memoryUsage.rss() - before < 100_000_000);
  });
  test('too many parts, and a part that stands twice', () => {
    const many = Object.fromEntries(
      Array.from({ length: LARGEST.parts + 1 }, (_, at) => [`quizzes/${at}.json`, strToU8('{}')]),
    );
    assert.match(problemsOf(zipSync(many, { level: 0 }))[0] ?? '', /more than 6000 parts/);
    const once = zipSync({ 'quiz.json': strToU8('{}'), 'quiz.jsan': strToU8('{}') }, { level: 0 });
    const text = Buffer.from(once).toString('latin1').replaceAll('quiz.jsan', 'quiz.json');
    assert.match(problemsOf(Uint8Array.from(Buffer.from(text, 'latin1')))[0] ?? '', /“quiz\.json” twice/);
  });
  test('14 000 files changed at random: a quiz or a located problem, never a throw or a long wait', () => {
    const json = canonical(DEMO_FILE);
    const [mostMs, problem] = [2000, /\S/];
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(), fc.nat(255)), { minLength: 1, maxLength: 4 }),
        fc.boolean(),
        (changes, inside) => {
          const source = inside ? strToU8(json) : whole.slice();
          for (const [at, byte] of changes) source[at % source.length] = byte;
          const started = performance.now();
          const read = readQuizFile(source);
          assert.ok(performance.now() - started < mostMs);
          assert.ok(
            read.ok || (read.problems.length > 0 && read.problems.every((text) => problem.test(text))),
          );
        },
      ),
      { numRuns: runs(14_000) },
    );
  });
});

const backed = (file: QuizFile, more: Partial<BackedQuiz> = {}): BackedQuiz => ({
  format: 'yentrel-quiz',
  version: FORM_VERSION,
  quiz: file.quiz,
  share: null,
  class: {
    ...(file.class ?? (classPart([], []) as NonNullable<QuizFile['class']>)),
    students: [],
    classes: [],
    members: [],
  },
  place: { position: 1, archivedAt: null, deletedAt: null },
  changeSeq: 3,
  attemptsSeq: 3,
  history: [],
  mapping: { columns: [['Name', { use: 'student' }]], twice: 'later' },
  scoreColumns: 'name,score',
  ...more,
});
const step = (at: number, undone: 0 | 1 = 0) => ({
  seq: at,
  at,
  tab: 't',
  label: 'Edit',
  field: '',
  changes: [],
  undone,
});

describe('a backup', () => {
  const students = ['ann', 'ben', 'cem'].map((id) => newPerson(id, id));
  const classes = [{ id: 'c1', name: '8C', position: 1, archivedAt: 7 }];
  const members = students.map(({ id }) => ({ classId: 'c1', studentId: id, groups: [], removedAt: null }));
  const of = (quizzes: BackedQuiz[]): Backup => ({
    file: { format: 'yentrel-backup', version: FORM_VERSION, madeAt: 9, quizzes: quizzes.map(({ quiz }) => quiz.id), students, classes, members, tickets: [], doors: [], histories: [{ scope: '#shelf', steps: [step(1)] }] },
    quizzes,
    pictures: NONE,
  }); // prettier-ignore
  test('law: written and read, it is equal', () => {
    fc.assert(
      fc.property(anyQuiz, (made) => {
        const file = withoutPictures(made);
        fc.pre(file.quiz.questions.every(({ kind }) => kind !== 'spot'));
        const backup = of([backed(file, { history: [step(1), step(2, 1)] })]);
        const read = readBackup(writeBackup(backup));
        assert.ok(read.ok, JSON.stringify(read));
        const { lost, missing, ...back } = read.value;
        assert.deepEqual([lost, missing], [[], []]);
        assert.equal(canonical({ ...back, pictures: [] }), canonical({ ...backup, pictures: [] }));
      }),
      { numRuns: runs(100) },
    );
  });
  test('work of a student who is not in it, and a quiz that it lost, are told', () => {
    const [quiz] = fc.sample(
      anyQuiz.filter(
        (file) => file.class !== null && file.quiz.questions.every(({ kind }) => kind !== 'spot'),
      ),
      1,
    );
    const whole = of([backed(withoutPictures(quiz as QuizFile))]);
    const without = writeBackup({
      ...whole,
      file: { ...whole.file, students: students.slice(1), members: members.slice(1) },
    });
    const read = readBackup(without);
    assert.deepEqual(read.ok && [read.value.quizzes.length, read.value.lost[0]?.problems[0]], [
      0,
      'quizzes/quiz.json: attempt 1 belongs to a student who is not there',
    ]);
    const lost = readBackup(writeBackup({ ...whole, quizzes: [] }));
    assert.deepEqual(lost.ok && lost.value.lost[0]?.problems[0], 'quizzes/quiz.json is not in the file.');
  });
  test('two copies: the same, newer, older, or in conflict', () => {
    const mine = backed(DEMO_FILE, { history: [step(1), step(2)] });
    const retitled = (title: string, history: BackedQuiz['history']) =>
      backed(
        { ...DEMO_FILE, quiz: { ...DEMO_FILE.quiz, content: { ...DEMO_FILE.quiz.content, title } } },
        { history },
      );
    assert.equal(compareCopies(mine, backed(DEMO_FILE)), 'same');
    assert.equal(compareCopies(mine, retitled('B', [step(1), step(2), step(3)])), 'newer');
    assert.equal(compareCopies(mine, retitled('C', [step(1)])), 'older');
    assert.equal(compareCopies(mine, retitled('D', [step(1), step(4)])), 'conflict');
    const work = (savedAt: number) =>
      backed(
        { ...DEMO_FILE, class: { ...(classPart(['ann'], [null]) as NonNullable<QuizFile['class']>) } },
        { history: mine.history, attemptsSeq: savedAt },
      );
    assert.equal(compareCopies(mine, work(1)), 'newer');
    assert.equal(compareCopies(work(1), mine), 'older');
  });
  test('what a later copy changes, in words', () => {
    const later = clone() as QuizFile;
    set(later, ['quiz', 'content', 'title'], 'Rivers, again');
    set(later, ['quiz', 'questions', 1, 'explanation'], 'Looped.');
    later.quiz.content.order.pop();
    later.quiz.questions.pop();
    const words = copyChanges(DEMO_FILE.quiz, later.quiz);
    assert.equal(words.length, 3, words.join('\n'));
    assert.match(words[0] ?? '', /^Question 2, “.+”, is changed: the explanation$/);
    assert.match(words[1] ?? '', /^Question 8, “.+”, is gone$/);
    assert.equal(words[2], 'Changed: the title');
  });
});
