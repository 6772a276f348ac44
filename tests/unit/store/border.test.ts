import assert from 'node:assert/strict';
import { before, describe, it } from 'node:test';
import fc from 'fast-check';
import { canonical } from '@/core/figures/deepEqual';
import { strToU8 } from 'fflate';
import { emptyContent } from '@/core/quiz/newQuiz';
import { pack } from '@/core/formats/quizFile/archive';
import { db } from '@/store/records/db';
import { collectBackup } from '@/store/files/gather';
import { readFile } from '@/files/readFile';
import { markHere } from '@/server/mark/markHere';
import { openQuiz, setQuizTo } from '@/store/quiz/standing';
import { removeForGood } from '@/store/quiz/shelf';
import { undo } from '@/store/undo/undo';
import { classDesk, fileDesk } from '@/workers/classDesk';
import { checkTable } from '@/views/check';
import { studentDesk } from '@/workers/studentDesk';
import { workbook } from '../../workbook';
import { times } from '../../runs';
import { DEMO_FILE } from '../../generated';
import { addressOf } from '../support/sat';
import { anHourIn, HOUR, sit, START } from '../support/openQuiz';
import { phraseQuestion, pickOneQuestion, quizOf, variant } from '../support/support';

/**
 * What comes in from outside, changed at random, against a browser that holds other work: nothing of that is written over,
 * nothing throws or hangs, and every desk still shows what was there and what came.
 */

/** The longest that anything may take: milliseconds. */
const LONGEST = 5000;
const LARGE = times(0, 1);
const RUNS = { files: LARGE ? 25_000 : 300, rest: LARGE ? 25_000 : 700 };

type Path = (string | number)[];
/** Every place in data. */
function places(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [path];
  return [path, ...Object.entries(value).flatMap(([key, one]) => places(one, [...path, Array.isArray(value) ? Number(key) : key]))]; // prettier-ignore
}
const at = (data: unknown, path: Path): unknown =>
  path.reduce<unknown>(
    (value, step) => (value as Record<string | number, unknown> | undefined)?.[step],
    data,
  );

const ODD: unknown[] = [
  null, 0, 1, -1, 3, 1e9, 253_402_300_799_999, 8.64e15, 0.5, '', 'a', 'constructor', '__proto__', 's1', 'q1', [], {}, true, false, 'x'.repeat(600),
  [[[[[[[[]]]]]]]], { n: 1, d: 999_983 }, { n: -1, d: 2 }, '\\(\\frac{1}{2}\\)', '<img src=x onerror=alert(1)>', '=1+1', '\u202E', '((((a?){10}){10}){10})',
]; // prettier-ignore

interface Change {
  readonly where: number;
  readonly from: number;
  readonly odd: number;
  readonly how: 'odd' | 'alike' | 'elsewhere' | 'gone' | 'twice';
}
const changes = fc.array(
  fc.record({
    where: fc.nat(),
    from: fc.nat(),
    odd: fc.nat(ODD.length - 1),
    how: fc.constantFrom<Change['how']>('odd', 'alike', 'alike', 'alike', 'elsewhere', 'gone', 'twice'),
  }),
  { minLength: 1, maxLength: 2 },
);

/** The data with some of its places made something else: odd, what stands elsewhere in it, gone, or twice there. */
function changed(data: unknown, all: readonly Change[]): unknown {
  const made = JSON.parse(JSON.stringify(data)) as Record<string, unknown>;
  for (const { where, from, odd, how } of all) {
    const paths = places(made).filter((path) => path.length > 1);
    const path = paths[where % paths.length] ?? [];
    const parent = at(made, path.slice(0, -1)) as Record<string | number, unknown>;
    const last = path.at(-1) ?? '';
    if (how === 'odd') parent[last] = ODD[odd];
    else if (how === 'alike') {
      // What stands under the same name elsewhere fits more often.
      const same = paths.filter((one) => one.at(-1) === last);
      parent[last] = structuredClone(at(made, same[from % same.length] ?? path));
    } else if (how === 'elsewhere')
      parent[last] = structuredClone(at(made, paths[from % paths.length] ?? []));
    else if (how === 'twice' && Array.isArray(parent)) parent.push(structuredClone(parent[Number(last)]));
    else if (Array.isArray(parent)) parent.splice(Number(last), 1);
    else delete parent[last];
  }
  return made;
}

let home = '';
let paper: Uint8Array = new Uint8Array();
let shelf: { file: unknown; quizzes: readonly unknown[] };

/** A quiz that was sat, and a file and a backup of another one like it. */
before(async () => {
  await anHourIn();
  const questions = [
    phraseQuestion([variant('v', ['silt'])], {}, { id: 'q1' }),
    pickOneQuestion({ levee: '1', gorge: '0' }, { id: 'q2' }),
  ];
  const made = async (title: string) => {
    const id = await quizOf({ ...emptyContent(title, 'UTC'), order: ['q1', 'q2'] }, questions);
    await setQuizTo(id, [{ classId: 'c1', group: null }]);
    await openQuiz(id, { from: START, due: null, grace: 0, until: START + 24 * HOUR });
    await sit(id, 's1', 'silt');
    return id;
  };
  const other = await made('Deltas');
  paper = (await classDesk.saveQuizFile(other, { students: 'with', author: '', note: '' })) ?? paper;
  shelf = (await collectBackup(() => true)) as never;
  await removeForGood(other);
  home = await made('Rivers');
});

const OWN = [
  'quizzes',
  'questions',
  'quizRevs',
  'questionRevs',
  'attempts',
  'overrides',
  'rulings',
  'comments',
] as const;

/** What is in the browser: work of the quiz that was there, and people and classes. */
async function here(): Promise<string> {
  const rows: unknown[] = [];
  for (const name of OWN) {
    const all = await db.table<Record<string, unknown>>(name).toArray();
    rows.push(all.filter((row) => (row['quizId'] ?? row['id']) === home));
  }
  rows.push(await db.students.bulkGet(['s1', 's2']), await db.classes.get('c1'), await db.members.bulkGet([['c1', 's1'], ['c1', 's2']])); // prettier-ignore
  return canonical(rows);
}

/** Every desk of a quiz shows what there is. */
async function everyDesk(quizId: string): Promise<void> {
  await checkTable(quizId);
  await classDesk.handBack(quizId);
  await classDesk.tray(quizId);
  await classDesk.planView(quizId);
  await classDesk.scoresFile(quizId);
  await classDesk.answersFile(quizId, 'csv');
  await classDesk.revisions(quizId, null);
  await studentDesk.openPaper(await addressOf(quizId, 's1'));
}

async function inTime<T>(work: () => Promise<T>): Promise<T> {
  const began = performance.now();
  const done = await work();
  assert.ok(performance.now() - began < LONGEST);
  return done;
}

/** Whatever came is looked at on every desk, taken back as far as it can be, and taken away again. */
async function lookAndTakeAway(then: string): Promise<void> {
  assert.equal(await here(), then);
  for (const { id } of await db.quizzes.toArray()) {
    await inTime(() => everyDesk(id));
    if (id === home) continue;
    for (let n = 0; n < 3; n++) await undo(id);
    assert.equal(await here(), then);
    await removeForGood(id);
  }
}

describe('the border', () => {
  let taken = 0;
  it('quiz files that were changed at random', async () => {
    const then = await here();
    const whole = (await fileDesk.openFile(paper)).ok;
    assert.ok(whole);
    const json = JSON.parse(new TextDecoder().decode(await quizJson())) as unknown;
    await fc.assert(
      fc.asyncProperty(changes, fc.constantFrom('itself' as const, 'copy' as const), async (all, as) => {
        const file = changed(json, all) as { quiz?: { id?: unknown } };
        // The quiz that is here is replaced by a press that says so: not by this one.
        if (file.quiz?.id === home) return;
        const bytes = pack(new Map([['quiz.json', strToU8(JSON.stringify(file))]]));
        const read = await inTime(() => fileDesk.openFile(bytes));
        if (!read.ok) return void assert.ok(read.problems.every((text) => text.length > 5));
        taken++;
        await inTime(() => fileDesk.takeQuiz(read.value.token, as));
        await lookAndTakeAway(then);
      }),
      { numRuns: RUNS.files },
    );
    assert.ok(taken > RUNS.files / 20, `only ${taken} were taken in`);
  });

  it('backups that were changed at random', async () => {
    const then = await here();
    await fc.assert(
      fc.asyncProperty(changes, async (all) => {
        const made = changed({ list: shelf.file, quizzes: shelf.quizzes }, all) as { list: unknown; quizzes: unknown }; // prettier-ignore
        const parts = new Map([['backup.json', strToU8(JSON.stringify(made.list ?? null))]]);
        for (const one of Array.isArray(made.quizzes)
          ? (made.quizzes as { quiz?: { id?: unknown } }[])
          : []) {
          const id = one?.quiz?.id;
          if (typeof id === 'string' && /^[a-z0-9-]{1,40}$/.test(id) && id !== home)
            parts.set(`quizzes/${id}.json`, strToU8(JSON.stringify(one)));
        }
        const read = await inTime(() => fileDesk.openFile(pack(parts)));
        if (!read.ok) return void assert.ok(read.problems.every((text) => text.length > 5));
        await inTime(() => fileDesk.takeBackup(read.value.token, { quizzes: {}, students: 'mine' }));
        await lookAndTakeAway(then);
      }),
      { numRuns: RUNS.files },
    );
  });

  it('answer files and spreadsheets that were changed at random', async () => {
    const then = await here();
    const cell = fc.oneof(
      fc.constantFrom('Ada Marsh', 'Bo Weir', 'silt', 'levee', '=1+1', 'constructor', '-1', '2026-02-30', '99999-01-01'),
      fc.string({ maxLength: 12 }),
    ); // prettier-ignore
    const rows = fc.array(fc.array(cell, { minLength: 3, maxLength: 3 }), { minLength: 1, maxLength: 4 });
    await fc.assert(
      fc.asyncProperty(rows, fc.boolean(), async (body, asSheet) => {
        const table = [['Student', 'Q1', 'Q2'], ...body];
        const bytes = asSheet ? workbook(table) : strToU8(table.map((row) => row.join(',')).join('\n'));
        const read = await inTime(() => readFile(bytes));
        if (!read.ok) return void assert.ok(read.error.length > 5);
        const preview = await inTime(() => classDesk.previewFile(home, read.table, null, null));
        assert.ok(preview.papers.length + preview.problems.length > 0 || preview.unknown.length > 0);
      }),
      { numRuns: RUNS.rest },
    );
    assert.equal(await here(), then);
  });

  it('requests to mark that were changed at random', async () => {
    const quiz = JSON.parse(canonical(DEMO_FILE)) as unknown;
    const body = {
      quiz,
      attempts: [{ student: 'Ada', answers: { '1': 'upper course' } }],
      options: { traces: true },
    };
    await fc.assert(
      fc.asyncProperty(changes, async (all) => {
        const headers = { 'content-type': 'application/json' };
        const request = new Request('http://localhost/api/mark', { method: 'POST', headers, body: JSON.stringify(changed(body, all)) }); // prettier-ignore
        const response = await inTime(() => markHere(request, START));
        assert.ok([200, 400, 413, 422].includes(response.status), String(response.status));
        JSON.parse(await response.text());
      }),
      { numRuns: RUNS.rest },
    );
  });
});

/** What the quiz file holds, as text. */
async function quizJson(): Promise<Uint8Array> {
  const { unzipSync } = await import('fflate');
  return unzipSync(paper)['quiz.json'] ?? assert.fail('no quiz.json');
}
