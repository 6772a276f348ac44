import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import papa from 'papaparse';
import { total } from '@/core/scoring/total';
import { markAttempt } from '@/core/scoring/markAttempt';
import { toDecimalText } from '@/core/figures/fraction';
import { mark, usualBody, type Line } from '@/server/mark/mark';
import { markHere } from '@/server/mark/markHere';
import { markThreads, type ThreadLimits } from '@/server/mark/threads';
import { turns } from '@/server/mark/turns';
import { FORM_VERSION } from '@/core/formats/quizFile/schema';
import { DEMO_FILE } from '../../generated';
import { path, readText } from '../support/support';
import { runs } from '../../runs';

const ADDRESS = 'http://127.0.0.1/api/mark';
const AT = Date.parse('2026-01-10T12:00:00Z');
const demo = readFileSync('demo/import/mark.json', 'utf8');

const post = (body: BodyInit, headers: Record<string, string> = { 'content-type': 'application/json' }) =>
  markHere(new Request(ADDRESS, { method: 'POST', body, headers, duplex: 'half' } as RequestInit), AT);
const json = (value: unknown, headers: Record<string, string> = {}) =>
  post(JSON.stringify(value), { 'content-type': 'application/json', ...headers });

interface Figure {
  about: number;
  exact: string;
}
interface Marked {
  quiz: { title: string; outOf: Figure };
  problems: string[];
  students: {
    student: string;
    recorded: { score: Figure; outOf: Figure; attempt: number | null } | null;
    attempts: {
      score: Figure;
      trace?: string[];
      marks: { question: string; verdict: string; points: Figure; trace?: string[] }[];
    }[];
  }[];
}
const marked = async (response: Response): Promise<Marked> => {
  assert.equal(response.status, 200, response.status === 200 ? '' : await response.clone().text());
  return (await response.json()) as Marked;
};
const problem = async (
  response: Response,
): Promise<{ status: number; title: string; problems: string[] }> => {
  assert.match(response.headers.get('content-type') ?? '', /^application\/problem\+json/);
  const body = (await response.json()) as { status: number; title: string; problems: string[]; type: string };
  assert.equal(body.status, response.status);
  assert.equal(body.type, 'about:blank');
  return body;
};

/** What marking gives for the texts of a demo paper, without the endpoint. */
function scoreOf(texts: readonly string[]): string {
  const { quiz } = DEMO_FILE;
  const { questions } = quiz;
  const answers = Object.fromEntries(
    questions.flatMap((question, at) => {
      const answer = readText(question, texts[at] ?? '');
      return answer ? [[question.id, answer]] : [];
    }),
  );
  return toDecimalText(total(markAttempt(quiz, answers), path()).score);
}

describe('marking as a service', () => {
  test('a quiz and attempts as JSON give the scores that marking gives', async () => {
    const { quiz, students } = await marked(await post(demo));
    assert.equal(quiz.title, DEMO_FILE.quiz.content.title);
    const [ada, ben] = students;
    assert.equal(students.length, 2);
    assert.equal(String(ada?.recorded?.score.about), scoreOf(['upper course', 'oxbow lake', 'levee']));
    assert.equal(String(ben?.attempts[0]?.score.about), scoreOf(['lower course', 'ox bow lake']));
    assert.equal(String(ben?.recorded?.score.about), scoreOf(['upper course', 'oxbow lake']));
    assert.deepEqual(
      [ben?.recorded?.attempt, ada?.attempts[0]?.marks[1]?.verdict, ada?.attempts[0]?.marks.length],
      [2, 'right', 8],
    );
    assert.equal(ada?.attempts[0]?.marks[1]?.trace, undefined);
  });
  test('traces on request: their last lines hold the points', async () => {
    const asked = { ...(JSON.parse(demo) as object), options: { traces: true } };
    const { students } = await marked(await json(asked));
    const [attempt] = students[0]?.attempts ?? [];
    assert.match(attempt?.marks[1]?.trace?.at(-1) ?? '', /2/);
    assert.match(attempt?.trace?.[0] ?? '', /^8 questions add up to/);
  });
  test('a text that names none of the options waits; it is no blank', async () => {
    const { quiz } = JSON.parse(demo) as { quiz: unknown };
    const attempts = [{ student: 'Ada Marsh', answers: { '1': 'somewhere upstream', '2': 'oxbow lake' } }];
    const { students } = await marked(await json({ quiz, attempts }));
    assert.equal(students[0]?.attempts[0]?.marks[0]?.verdict, 'waits');
  });
  test('the version of the rules of comparing is named: the newest, whatever the file says', async () => {
    const { quiz, ...rest } = JSON.parse(demo) as { quiz: { readonly quiz: { readonly content: object } } };
    const content = { ...quiz.quiz.content, comparing: 1, language: 'de' };
    const german = { ...quiz, quiz: { ...quiz.quiz, content } };
    const told = await marked(await json({ ...rest, quiz: german }));
    assert.equal((told.quiz as { readonly comparing?: number }).comparing, 2);
    const verdicts = told.students.flatMap(({ attempts }) => attempts.flatMap(({ marks }) => marks));
    assert.ok(verdicts.every(({ verdict }) => verdict !== 'waits'));
  });
  test('CSV where that is asked for', async () => {
    const response = await post(demo, { 'content-type': 'application/json', accept: 'text/csv' });
    assert.match(response.headers.get('content-type') ?? '', /^text\/csv/);
    const rows = papa.parse((await response.text()).replace(/^\uFEFF/, '').trim(), { delimiter: ',' }).data;
    assert.deepEqual(
      rows.map((row) => row[0]),
      ['Name', 'Ada Marsh', 'Ben Ford'],
    );
    assert.equal(rows[1]?.[4], scoreOf(['upper course', 'oxbow lake', 'levee']));
  });
  test('a form with a quiz file and an answer file', async () => {
    const form = new FormData();
    form.set('quiz', new Blob([readFileSync('demo/import/rivers.yentrel')]), 'rivers.yentrel');
    form.set(
      'answers',
      new Blob(['Student,Q1,Q2,Points for Q3\nAda,upper course,oxbow lake,0.5\nBen,"=1+1",\n']),
      'a.csv',
    );
    const request = new Request(ADDRESS, { method: 'POST', body: form });
    const { students } = await marked(await markHere(request, AT));
    const expected = Number(scoreOf(['upper course', 'oxbow lake'])) + 0.5;
    assert.deepEqual(
      students.map(({ student, recorded }) => [student, recorded?.score.about]),
      [
        ['Ada', expected],
        ['Ben', 0],
      ],
    );
  });
  test('keys after attempts, white space, every script: the order of a body does not matter', async () => {
    const { quiz, attempts } = JSON.parse(demo) as { quiz: unknown; attempts: { student: string }[] };
    const named = attempts.map((one) => ({ ...one, student: `${one.student} נהר 🌊` }));
    const { students } = await marked(await post(JSON.stringify({ attempts: named, quiz }, null, 3)));
    assert.deepEqual(
      students.map(({ student }) => student),
      ['Ada Marsh נהר 🌊', 'Ben Ford נהר 🌊'],
    );
  });
});

describe('what cannot be marked is refused with its place', () => {
  const { quiz, attempts } = JSON.parse(demo) as { quiz: Record<string, unknown>; attempts: object[] };
  const broken = structuredClone(quiz) as { quiz: { questions: { variants?: { credit: object }[] }[] } };
  const [variant] = broken.quiz.questions[1]?.variants ?? [];
  if (variant) variant.credit = { n: 3, d: 2 };
  const cases: [what: string, body: string, status: number, words: RegExp][] = [
    ['no JSON', '{"quiz": tru', 400, /./],
    ['half a body', demo.slice(0, -9), 400, /ends too early/],
    ['nothing', '', 400, /ends too early/],
    ['a list', '[]', 422, /quiz is missing/],
    ['no quiz', '{"attempts":[]}', 422, /quiz is missing/],
    ['a wrong credit', JSON.stringify({ quiz: broken, attempts }), 422, /^quiz: question 2, variant 1: credit is 1.5, at least −1, at most 1$/],
    ['attempts that are no list', JSON.stringify({ quiz, attempts: 7 }), 422, /attempts is not a list/],
    ['an attempt without a student', JSON.stringify({ quiz, attempts: [...attempts, { answers: {} }] }), 422, /^attempts\[3\]: student is missing/],
    ['an answer to no question', JSON.stringify({ quiz, attempts: [{ student: 'A', answers: { '9': 'x' } }] }), 422, /^attempts\[0\]: answers: the quiz has no question “9”/],
    ['a time that is none', JSON.stringify({ quiz, attempts: [{ student: 'A', handedInAt: 'noon', answers: {} }] }), 422, /^attempts\[0\]: handed in at is “noon”/],
    ['the same attempt twice', JSON.stringify({ quiz, attempts: [attempts[0], attempts[0]] }), 422, /^attempts\[1\]: Ada Marsh has an attempt 1 already/],
    ['something unknown', JSON.stringify({ quiz, attempts, colour: 'blue' }), 422, /unknown field “colour”/],
    ['no work at all', JSON.stringify({ quiz }), 422, /holds no work/],
    ['a newer form', JSON.stringify({ quiz: { ...quiz, version: FORM_VERSION + 1 }, attempts }), 422, /newer Yentrel/],
  ]; // prettier-ignore
  for (const [what, body, status, words] of cases)
    test(what, async () => {
      const told = await problem(await post(body));
      assert.equal(told.status, status, JSON.stringify(told));
      assert.match(told.problems[0] ?? told.title, words);
    });
  test('other kinds of bodies and of answers', async () => {
    assert.equal((await problem(await post('x', { 'content-type': 'text/plain' }))).status, 415);
    assert.equal(
      (await problem(await post(demo, { 'content-type': 'application/json', accept: 'image/png' }))).status,
      406,
    );
    assert.equal(
      (await problem(await post('--x', { 'content-type': 'multipart/form-data; boundary=x' }))).status,
      400,
    );
    const form = new FormData();
    form.set('quiz', new Blob(['no quiz']));
    const told = await problem(await markHere(new Request(ADDRESS, { method: 'POST', body: form }), AT));
    assert.match(told.problems[0] ?? '', /^quiz: This is not a quiz file/);
  });
  test('a body that is too large is refused as soon as it shows, also where nothing was announced', async () => {
    const announced = await post(demo, { 'content-type': 'application/json', 'content-length': '100000001' });
    assert.equal((await problem(announced)).status, 413);
    let sent = 0;
    const endless = new ReadableStream<Uint8Array>({
      pull(controller) {
        sent += 1_000_000;
        controller.enqueue(new Uint8Array(1_000_000).fill(0x20));
      },
    });
    assert.equal((await problem(await post(endless))).status, 413);
    assert.ok(sent < 110_000_000, String(sent));
  });
});

describe('a body that would fill the memory is refused before it does', () => {
  const cases: [what: string, begin: string, again: string, times: number, words: RegExp][] = [
    ['more attempts than can be marked', '{"attempts":[{}', ',{}', 200_000, /At most 200000 attempts/],
    ['brackets without an end', '{"quiz":', '[', 5_000_000, /nested deeper than 60/],
    ['a list without an end under a name that nobody knows', '{"x":[0', ',0', 10_000_000, /one value of more than 2000000 pieces/],
    ['names without an end in one attempt', '{"attempts":[{"answers":{"1":"x"', ',"1":"x"', 3_000_000, /one value of more than/],
  ]; // prettier-ignore
  for (const [what, begin, again, times, words] of cases)
    test(what, async () => {
      let sent = 0;
      const piece = again.repeat(5000);
      const body = new ReadableStream<Uint8Array>({
        start: (controller) => controller.enqueue(new TextEncoder().encode(begin)),
        pull(controller) {
          if (sent >= times) controller.close();
          else controller.enqueue(new TextEncoder().encode(piece));
          sent += 5000;
        },
      });
      const before = process.memoryUsage.rss();
      const told = await problem(await post(body));
      assert.equal(told.status, 413, JSON.stringify(told));
      assert.match(told.problems[0] ?? told.title, words);
      assert.ok(process.memoryUsage.rss() - before < 500_000_000);
    });
});

/** A line of its own, with threads that end with the tests. */
const lineOf = (atOnce: number, waiting: number, limits?: ThreadLimits, unread?: number): Line => ({
  turns: turns(atOnce, waiting),
  threads: markThreads('.cache/markThread.mjs', limits, unread),
  body: usualBody(),
});
const asJson = (body: BodyInit): Request =>
  new Request(ADDRESS, {
    method: 'POST',
    body,
    headers: { 'content-type': 'application/json' },
    duplex: 'half',
  } as RequestInit);

describe('many at once', () => {
  test('50 requests together: each its own right scores', async () => {
    const { quiz } = JSON.parse(demo) as { quiz: unknown };
    const line = lineOf(2, 100);
    const answers = await Promise.all(
      Array.from({ length: 50 }, async (_, at) => {
        const attempts = [
          {
            student: `S${at}`,
            answers: { '1': at % 2 ? 'upper course' : 'lower course', '2': 'oxbow lake' },
          },
        ];
        const request = new Request(ADDRESS, {
          method: 'POST',
          body: JSON.stringify({ quiz, attempts }),
          headers: { 'content-type': 'application/json' },
        });
        return (await marked(await mark(request, AT, line))).students;
      }),
    );
    const [even, odd] = [scoreOf(['lower course', 'oxbow lake']), scoreOf(['upper course', 'oxbow lake'])];
    answers.forEach(([student, ...none], at) => {
      assert.deepEqual(
        [student?.student, String(student?.recorded?.score.about), none.length],
        [`S${at}`, at % 2 ? odd : even, 0],
      );
    });
  });
  test('who finds no place is told when to come again, and the others are served', async () => {
    const line = lineOf(1, 1);
    const ask = () =>
      mark(
        new Request(ADDRESS, { method: 'POST', body: demo, headers: { 'content-type': 'application/json' } }),
        AT,
        line,
      );
    const [first, second, third] = [ask(), ask(), ask()];
    const busy = await third;
    assert.equal((await problem(busy)).status, 503);
    assert.equal(busy.headers.get('retry-after'), '5');
    assert.equal((await marked(await first)).students.length, 2);
    assert.equal((await marked(await second)).students.length, 2);
    assert.equal((await ask()).status, 200, 'every turn was given back');
  });
  test('an answer that nobody reads gives its turn back', async () => {
    const line = lineOf(1, 0);
    const ask = () =>
      mark(
        new Request(ADDRESS, { method: 'POST', body: demo, headers: { 'content-type': 'application/json' } }),
        AT,
        line,
      );
    await (await ask()).body?.cancel();
    assert.equal((await ask()).status, 200);
  });
});

describe('a request that holds things up', () => {
  /** A body of which nothing more comes. */
  const stalled = () =>
    new ReadableStream({ start: (controller) => controller.enqueue(new TextEncoder().encode('{"quiz":')) });
  /** More work than a moment's. */
  const heavy = () => {
    const { quiz } = JSON.parse(demo) as { quiz: unknown };
    const attempts = Array.from({ length: 150_000 }, (_, at) => ({ student: `S${at}`, answers: {} }));
    return JSON.stringify({ quiz, attempts });
  };

  test('a body that stalls is given up, takes no turn meanwhile, and holds nothing afterwards', async () => {
    const line: Line = { ...lineOf(1, 0), body: { ...usualBody(), idle: 50 } };
    const waiting = mark(asJson(stalled()), AT, line);
    const other = await marked(await mark(asJson(demo), AT, line));
    assert.equal(other.students.length, 2, 'others are served meanwhile');
    const told = await problem(await waiting);
    assert.equal(told.status, 408);
    assert.equal(line.body.held.now, 0);
  });
  test('bodies that come drop by drop are given up after a time', async () => {
    const drops = new ReadableStream({
      async pull(controller) {
        await new Promise((resolve) => setTimeout(resolve, 10));
        controller.enqueue(new TextEncoder().encode(' '));
      },
    });
    const line: Line = { ...lineOf(1, 0), body: { ...usualBody(), whole: 120 } };
    assert.equal((await problem(await mark(asJson(drops), AT, line))).status, 408);
  });
  test('more than may be held is refused, and given back', async () => {
    const line: Line = { ...lineOf(1, 0), body: { ...usualBody(), held: { now: 0, most: 1000 } } };
    assert.equal((await problem(await mark(asJson(demo), AT, line))).status, 503);
    assert.equal(line.body.held.now, 0);
  });
  test('what takes too long is ended, and its turn is given back', async () => {
    const line = lineOf(1, 0, { memory: 512, step: 300 });
    const told = await problem(await mark(asJson(heavy()), AT, line));
    assert.deepEqual([told.status, /too long/.test(told.title)], [413, true]);
    assert.equal(line.body.held.now, 0);
    const again: Line = { ...line, threads: lineOf(1, 0).threads };
    assert.equal((await marked(await mark(asJson(demo), AT, again))).students.length, 2);
  });
  test('what takes too much room is ended, and the next request is served', async () => {
    const line = lineOf(1, 0, { memory: 48, step: 30_000 });
    const told = await problem(await mark(asJson(heavy()), AT, line));
    assert.deepEqual([told.status, /too much/.test(told.title)], [413, true]);
    const next = await mark(asJson(demo), AT, line);
    assert.equal((await marked(next)).students.length, 2);
  });
  test('an answer that nobody goes on reading is given up', async () => {
    const line = lineOf(1, 0, undefined, 50);
    const { quiz } = JSON.parse(demo) as { quiz: unknown };
    const attempts = Array.from({ length: 2000 }, (_, at) => ({
      student: `S${at}`,
      answers: { '1': 'silt' },
    }));
    const first = await mark(asJson(JSON.stringify({ quiz, attempts })), AT, line);
    const reader = first.body?.getReader();
    await reader?.read();
    await new Promise((resolve) => setTimeout(resolve, 200));
    assert.equal((await mark(asJson(demo), AT, line)).status, 200, 'its turn is free');
  });
});

test('6 000 bodies changed at random: scores or a located problem, never a throw', async () => {
  const bytes = Buffer.from(JSON.stringify(JSON.parse(demo)));
  const form = new FormData();
  form.set('quiz', new Blob([readFileSync('demo/import/rivers.yentrel')]), 'q.yentrel');
  form.set('answers', new Blob(['Student,Q1,Q2\nAda,upper course,oxbow lake\n']), 'a.csv');
  const whole = new Request(ADDRESS, { method: 'POST', body: form });
  const type = whole.headers.get('content-type') ?? '';
  const formBytes = Buffer.from(await whole.arrayBuffer());
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.tuple(fc.nat(), fc.nat(255)), { minLength: 1, maxLength: 3 }),
      fc.boolean(),
      async (changes, asForm) => {
        const body = Uint8Array.from(asForm ? formBytes : bytes);
        for (const [at, byte] of changes) body[at % body.length] = byte;
        const headers = { 'content-type': asForm ? type : 'application/json' };
        const started = performance.now();
        const response = await markHere(new Request(ADDRESS, { method: 'POST', body, headers }), AT);
        const text = await response.text();
        assert.ok(performance.now() - started < 2000);
        assert.ok([200, 400, 422].includes(response.status), text);
        if (response.status === 200) JSON.parse(text);
        else assert.ok((JSON.parse(text) as { title: string }).title.length > 5);
      },
    ),
    { numRuns: runs(6000) },
  );
});
