import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { beforeEach, describe, test } from 'node:test';
import Dexie from 'dexie';
import { readBackup } from '@/core/formats/quizFile/backup';
import { readQuizFile } from '@/core/formats/quizFile/quizFile';
import { BackedQuiz, FORM_VERSION } from '@/core/formats/quizFile/schema';
import { form7 } from '@/core/forms/form7';
import { verdictOf } from '@/core/marks/mark';
import { verdictOfScore } from '@/core/scoring/scoreQuestion';
import { collectQuiz } from '@/store/files/gather';
import { db } from '@/store/records/db';
import { classList } from '@/store/class/roster';
import { listClasses } from '@/store/class/classes';
import { CLASS_LIST } from '@/store/records/scopes';
import { undo } from '@/store/undo/undo';
import { draftPaper } from '@/store/quiz/quizzes';
import { liveClass, workOf } from '@/views/papers';
import { classDesk, fileDesk } from '@/workers/classDesk';
import { addressOf } from '../support/sat';
import { studentDesk } from '@/workers/studentDesk';

/** Files that the application wrote in earlier forms, and the scores that it showed for them then. */
const bytes = (form: string, name: string): Uint8Array =>
  new Uint8Array(readFileSync(`tests/files/${form}/${name}`));
const FORMS = [
  'form-1',
  'form-2',
  'form-3',
  'form-4',
  'form-5',
  'form-6',
  'form-7',
  'form-8',
  'form-9',
  'form-10',
  'form-11',
  'form-12',
  'form-13',
  'form-14',
];

interface Frac {
  readonly n: number;
  readonly d: number;
}
type Line = [
  name: string, attempt: number, total: Frac, outOf: Frac, recorded: Frac | null, notCounted: string | null, cells: [verdict: string, earned: Frac][],
]; // prettier-ignore
const inTurn = (lines: Line[]): Line[] => lines.sort((a, b) => a[0].localeCompare(b[0]) || a[1] - b[1]);
const scoresThen = (form: string): Line[] =>
  inTurn((JSON.parse(readFileSync(`tests/files/${form}/scores.json`, 'utf8')) as { scores: Line[] }).scores);

async function scoresNow(quizId: string): Promise<Line[]> {
  const work = workOf(await liveClass(quizId));
  return inTurn(
    work.flatMap((one) =>
      one.sheets.map((sheet): Line => [
        one.student?.name ?? '',
        sheet.attempt.number,
        sheet.total.score,
        sheet.total.outOf,
        one.recorded?.score ?? null,
        sheet.notCounted,
        // What the key says of an answer that nobody marks was told then, and is not now.
        sheet.scores.map((score): [string, Frac] => {
          const verdict = verdictOfScore(score);
          return [verdict === 'unmarked' ? verdictOf(score.mark) : verdict, score.earned];
        }),
      ]),
    ),
  );
}

beforeEach(async () => {
  await db.delete();
  await db.open();
});

for (const form of FORMS)
  describe(`a file of ${form}`, () => {
    test('quiz file and backup are read whole, and brought to the form of now', () => {
      const quiz = readQuizFile(bytes(form, 'quiz.yentrel'));
      assert.ok(quiz.ok, JSON.stringify(quiz));
      assert.equal(quiz.value.file.version, FORM_VERSION);
      const backup = readBackup(bytes(form, 'backup.yentrel'));
      assert.ok(backup.ok, JSON.stringify(backup));
      assert.deepEqual([backup.value.lost, backup.value.missing], [[], []]);
      assert.ok(backup.value.file.students.every((student) => student.email === ''));
      const attempts = backup.value.quizzes.flatMap((one) => one.class.attempts);
      assert.ok(attempts.length > 0);
      assert.ok(attempts.every((one) => typeof one.timeKnown === 'boolean' && Number(one.seed) >= 0));
    });

    test('a backup gives the scores that it gave then, and its history undoes', async () => {
      const opened = await fileDesk.openFile(bytes(form, 'backup.yentrel'));
      assert.ok(opened.ok && opened.value.kind === 'backup', JSON.stringify(opened));
      await fileDesk.takeBackup(opened.value.token, { quizzes: {}, students: 'mine' });
      const [quiz] = await db.quizzes.toArray();
      assert.ok(quiz);
      assert.deepEqual(await scoresNow(quiz.id), scoresThen(form));
      assert.ok(await undo(quiz.id));
    });

    test('a quiz file with its class gives the same scores', async () => {
      const opened = await fileDesk.openFile(bytes(form, 'quiz.yentrel'));
      assert.ok(opened.ok && opened.value.kind === 'quiz', JSON.stringify(opened));
      if (!opened.value.class) return;
      const { quizId: id } = await fileDesk.takeQuiz(opened.value.token, 'itself');
      assert.deepEqual(await scoresNow(id), scoresThen(form));
    });
  });

type Rows = Record<string, Record<string, unknown>[]>;
const rowsOf = (form: string): Rows =>
  JSON.parse(readFileSync(`tests/files/${form}/database.json`, 'utf8')) as Rows;

const TABLES_4 = {
  quizzes: 'id', questions: '[quizId+id], quizId', questionRevs: '[quizId+questionId+rev]', quizRevs: '[quizId+rev]',
  students: 'id', attempts: 'id, [quizId+studentId], [quizId+seq]', markColumns: '[quizId+questionId+rev]',
  overrides: '[quizId+attemptId+questionId]', meta: 'key', rulings: '[quizId+attemptId]',
  comments: '[quizId+attemptId+questionId]', media: 'hash', mappings: 'quizId', folders: 'key',
  history: '++id, [quizId+seq], [quizId+undone+seq]',
}; // prettier-ignore
const TABLES_5 = { ...TABLES_4, tickets: 'studentId, &code' };
const TABLES_6 = { ...TABLES_5, classes: 'id', members: '[classId+studentId], studentId' };

/** A browser's database as an earlier version left it, opened by this one. */
async function upgraded(version: number, tables: Record<string, string>, rows: Rows): Promise<void> {
  await db.delete();
  const old = new Dexie('yentrel');
  old.version(version).stores(tables);
  await old.open();
  for (const [table, list] of Object.entries(rows)) await old.table(table).bulkAdd(list);
  old.close();
  await db.open();
}

test('rows of a table of lateness were all in days', () => {
  const rows = (row: object) => ({ late: { kind: 'table', rows: [row], of: 'earned' } });
  const share = { n: 1, d: 10 };
  assert.deepEqual(form7.content?.(rows({ days: 3, share })), {
    wordLists: 1,
    ...rows({ within: 3, unit: 'day', share }),
  });
});

/** What each student's page shows of the latest attempt: whether a score, and how many parts with each thing. */
async function seenBy(quizId: string): Promise<unknown[]> {
  const sees = [];
  for (const row of await classDesk.handBack(quizId)) {
    const packet = await studentDesk.openPaper(await addressOf(quizId, row.studentId));
    assert.ok(packet.state === 'finished');
    const { score, parts } = packet.slip;
    const having = (part: 'result' | 'ownAnswer' | 'feedback' | 'right') =>
      parts.filter((one) => one[part] !== null).length;
    sees.push([row.name, score !== null, having('result'), having('ownAnswer'), having('feedback'), having('right')]); // prettier-ignore
  }
  return sees;
}
const seenThen = (form: string): unknown =>
  (JSON.parse(readFileSync(`tests/files/${form}/scores.json`, 'utf8')) as { sees: unknown }).sees;

describe('a database of the form that named only the edition of its word lists', () => {
  const rows = rowsOf('form-13');
  const quizId = String(rows['quizzes']?.[0]?.['id']);
  beforeEach(() => upgraded(14, TABLES_6, rows));

  test('everyone sees what they saw, of the same scores; what counts is compared as it was, what is written by the newest rules', async () => {
    assert.deepEqual(await scoresNow(quizId), scoresThen('form-13'));
    assert.deepEqual(await seenBy(quizId), seenThen('form-13'));
    const revisions = await db.quizRevs.where('[quizId+rev]').between([quizId, 0], [quizId, 99]).toArray();
    assert.ok(revisions.length > 0);
    assert.deepEqual([...new Set(revisions.map(({ content }) => content.comparing))], [1]);
    assert.equal((await draftPaper(quizId)).content.comparing, 2);
    const whole = BackedQuiz.safeParse(await collectQuiz(quizId));
    assert.ok(whole.success, JSON.stringify(whole.error?.issues.slice(0, 3)));
  });
});

describe('a database of the form in which only sections had sounds and films', () => {
  const rows = rowsOf('form-12');
  const quizId = String(rows['quizzes']?.[0]?.['id']);
  beforeEach(() => upgraded(13, TABLES_6, rows));

  test('everyone sees what they saw, of the same scores; and no question is changed', async () => {
    assert.deepEqual(await scoresNow(quizId), scoresThen('form-12'));
    assert.deepEqual(await seenBy(quizId), seenThen('form-12'));
    const now = await db.questions.where({ quizId }).toArray();
    const then = (rows['questions'] ?? []).filter((one) => one['quizId'] === quizId);
    assert.deepEqual(
      new Map(now.map(({ id, question }) => [id, question])),
      new Map(then.map(({ id, question }) => [id, question])),
    );
  });
});

describe('a database of the form in which every hint was an alarm', () => {
  const rows = rowsOf('form-11');
  const quizId = String(rows['quizzes']?.[0]?.['id']);
  beforeEach(() => upgraded(12, TABLES_6, rows));

  test('everyone sees what they saw, of the same scores; quizzes keep their plans, and none is strict', async () => {
    assert.deepEqual(await scoresNow(quizId), scoresThen('form-11'));
    assert.deepEqual(await seenBy(quizId), seenThen('form-11'));
    const whole = BackedQuiz.safeParse(await collectQuiz(quizId));
    assert.ok(whole.success, JSON.stringify(whole.error?.issues.slice(0, 3)));
    const { content } = (await db.quizzes.get(quizId)) ?? assert.fail();
    const before = rows['quizzes']?.[0]?.['content'] as { readonly plan: unknown };
    assert.deepEqual(content.plan, before.plan);
    assert.equal(content.strict, false);
  });
});

describe('a database of the form whose attempts had short seeds', () => {
  const rows = rowsOf('form-10');
  const quizId = String(rows['quizzes']?.[0]?.['id']);
  beforeEach(() => upgraded(11, TABLES_6, rows));

  test('everyone sees what they saw, of the same scores, and attempts keep their seeds', async () => {
    assert.deepEqual(await scoresNow(quizId), scoresThen('form-10'));
    assert.deepEqual(await seenBy(quizId), seenThen('form-10'));
    const seeds = (rows['attempts'] ?? []).map(({ id, seed }) => [id, seed]);
    assert.deepEqual(
      (await db.attempts.toArray()).map(({ id, seed }) => [id, seed]),
      seeds,
    );
  });
});

describe('a database of the form that did not ask what missing work gets', () => {
  const rows = rowsOf('form-9');
  const quizId = String(rows['quizzes']?.[0]?.['id']);
  beforeEach(() => upgraded(10, TABLES_6, rows));

  test('everyone sees what they saw, missing work stays empty, and what was done is undone to the beginning', async () => {
    assert.deepEqual(await scoresNow(quizId), scoresThen('form-9'));
    const whole = BackedQuiz.safeParse(await collectQuiz(quizId));
    assert.ok(whole.success, JSON.stringify(whole.error?.issues.slice(0, 3)));
    assert.deepEqual(await seenBy(quizId), seenThen('form-9'));
    const { content, standing } = (await db.quizzes.get(quizId)) ?? assert.fail();
    assert.deepEqual([content.missing, standing.known, standing.windows.length], ['empty', [], 3]);
    while (await undo(quizId));
    const first = (await db.quizzes.get(quizId)) ?? assert.fail();
    assert.deepEqual([first.standing.windows, first.standing.known], [[], []]);
  });
});

describe('a database of the form whose plan knew three conditions and one window', () => {
  const rows = rowsOf('form-8');
  const quizId = String(rows['quizzes']?.[0]?.['id']);
  beforeEach(() => upgraded(9, TABLES_6, rows));

  test('everyone sees exactly what they saw, of the same scores, and what was done is undone to the beginning', async () => {
    assert.deepEqual(await scoresNow(quizId), scoresThen('form-8'));
    const whole = BackedQuiz.safeParse(await collectQuiz(quizId));
    assert.ok(whole.success, JSON.stringify(whole.error?.issues.slice(0, 3)));
    assert.deepEqual(await seenBy(quizId), seenThen('form-8'));
    while (await undo(quizId));
    const { acts } = (await db.quizzes.get(quizId))?.standing ?? assert.fail();
    assert.deepEqual(acts, []);
  });
});

describe('a database of the form before decisions about look-alikes and levels of rubrics', () => {
  const rows = rowsOf('form-7');
  const quizId = String(rows['quizzes']?.[0]?.['id']);
  beforeEach(() => upgraded(9, TABLES_6, rows));

  test('gives the same scores, and what was done is undone to the beginning', async () => {
    assert.deepEqual(await scoresNow(quizId), scoresThen('form-7'));
    const whole = BackedQuiz.safeParse(await collectQuiz(quizId));
    assert.ok(whole.success, JSON.stringify(whole.error?.issues.slice(0, 3)));
    assert.equal(whole.data.class.overrides[0]?.levels, undefined);
    while (await undo(quizId));
    assert.equal(await db.overrides.count(), 0);
  });
});

describe('a database of the form before there were lists of words', () => {
  const rows = rowsOf('form-6');
  const quizId = String(rows['quizzes']?.[0]?.['id']);
  beforeEach(() => upgraded(8, TABLES_6, rows));

  test('gives the same scores: where errors were let pass, other words go on passing', async () => {
    assert.deepEqual(await scoresNow(quizId), scoresThen('form-6'));
    const whole = BackedQuiz.safeParse(await collectQuiz(quizId));
    assert.ok(whole.success, JSON.stringify(whole.error?.issues.slice(0, 3)));
    const { content, questions } = await draftPaper(quizId);
    assert.equal(content.comparing, 2);
    const bend = questions.find(({ id }) => id === 'q-bend');
    assert.ok(bend?.kind === 'gaps');
    assert.equal(bend.settings.otherWords, 'refuse', 'nothing passes in a pool without ideas');
    assert.deepEqual(
      bend.gaps.flatMap((gap) => (gap.type === 'text' ? [[gap.id, gap.settings.otherWords]] : [])),
      [
        ['speed', 'pass'],
        ['lake', 'pass'],
      ],
    );
  });

  test('what was edited is undone, step by step', async () => {
    while (await undo(quizId));
    const { questions } = await draftPaper(quizId);
    const bend = questions.find(({ id }) => id === 'q-bend');
    const [speed] = bend?.kind === 'gaps' ? bend.gaps : [];
    assert.ok(speed?.type === 'text');
    assert.deepEqual([speed.settings.typingErrorPrice, speed.settings.otherWords], [{ n: 1, d: 10 }, 'pass']);
  });
});

describe('a database of the form before a quiz had rules for all its questions', () => {
  const rows = rowsOf('form-5');
  const quizId = String(rows['quizzes']?.[0]?.['id']);
  beforeEach(() => upgraded(7, TABLES_6, rows));

  test('gives the same scores, and what a question had of its own is still its own', async () => {
    assert.deepEqual(await scoresNow(quizId), scoresThen('form-5'));
    const whole = BackedQuiz.safeParse(await collectQuiz(quizId));
    assert.ok(whole.success, JSON.stringify(whole.error?.issues.slice(0, 3)));
    const { content, questions, placements } = await draftPaper(quizId);
    assert.deepEqual(
      [content.penalty, content.negativeCredit, content.pages],
      [{ kind: 'none' }, false, 'each'],
    );
    const several = questions.find(({ kind }) => kind === 'pickSeveral');
    assert.deepEqual(
      [several?.penalty, several?.negativeCredit, several?.hints.map(({ text }) => text)],
      [{ kind: 'points', points: { n: 1, d: 2 } }, null, ['Look at the mouth.']],
    );
    assert.ok(questions.every(({ id, penalty }) => id === several?.id || penalty === null));
    assert.ok(
      placements.every(({ perPart, startsPage, checks }) => !perPart && !startsPage && checks.length === 0),
    );
    assert.ok((await db.attempts.toArray()).every(({ hints }) => Object.keys(hints).length === 0));
    const [comment] = await db.comments.toArray();
    assert.equal(comment?.text, 'Well seen.\nLook at \\(v\\).');
  });

  test('what was edited and applied is undone, step by step', async () => {
    while (await undo(quizId));
    const { questions } = await draftPaper(quizId);
    assert.ok(questions.every(({ explanation, hints }) => explanation === '' || hints.length === 0));
    assert.deepEqual(await db.comments.toArray(), []);
  });
});

describe('a database of the form before questions had names', () => {
  const rows = rowsOf('form-4');
  const quizId = String(rows['quizzes']?.[0]?.['id']);
  beforeEach(() => upgraded(6, TABLES_6, rows));

  test('gives the same scores for every kind of question, and every record is one of now', async () => {
    assert.deepEqual(await scoresNow(quizId), scoresThen('form-4'));
    const whole = BackedQuiz.safeParse(await collectQuiz(quizId));
    assert.ok(whole.success, JSON.stringify(whole.error?.issues.slice(0, 3)));
    const { content, questions, placements } = await draftPaper(quizId);
    assert.deepEqual([content.mustAnswer, content.shuffledOptions], ['any', false]);
    assert.deepEqual(placements.find(({ questionId }) => questionId === 'q-make')?.mustAnswer, 'no');
    assert.ok(questions.every(({ name, topics }) => name === '' && topics.length === 0));
    const several = questions.find(({ kind }) => kind === 'pickSeveral');
    assert.ok(several?.kind === 'pickSeveral' && several.options.every(({ keepsPlace }) => !keepsPlace));
  });

  test('what was edited is undone, step by step', async () => {
    while (await undo(quizId));
    const { content, placements } = await draftPaper(quizId);
    assert.equal(content.mustAnswer, 'no');
    assert.ok(placements.every(({ mustAnswer }) => mustAnswer === null));
  });
});

describe('a database of the form before there were classes', () => {
  const rows = rowsOf('form-3');
  const quizId = String(rows['quizzes']?.[0]?.['id']);
  beforeEach(() => upgraded(5, TABLES_5, rows));

  test('its list is one class, to which the quiz is set: the same scores, and all who were on it', async () => {
    assert.deepEqual(await scoresNow(quizId), scoresThen('form-3'));
    const [first] = await listClasses();
    assert.deepEqual([first?.name, first?.students, first?.groups], ['My class', 5, ['blue']]);
    const off = (await classList(first?.id ?? '')).filter(({ removedAt }) => removedAt !== null);
    assert.deepEqual(
      off.map(({ name, groups }) => [name, groups]),
      [['Bo Weir', ['green']]],
    );
    const whole = BackedQuiz.safeParse(await collectQuiz(quizId));
    assert.ok(whole.success, JSON.stringify(whole.error?.issues.slice(0, 3)));
  });

  test('the history of the list and of the quiz is undone, down to their beginnings', async () => {
    while (await undo(quizId));
    // Whoever has sat the quiz stays, with their place on the list: work is part of no step.
    const sat = new Set((await db.attempts.toArray()).map(({ studentId }) => studentId));
    while (await undo(CLASS_LIST));
    assert.deepEqual(new Set(await db.students.toCollection().primaryKeys()), sat);
    assert.equal(await db.members.count(), sat.size);
    const { setTo, opening } = (await db.quizzes.get(quizId))?.standing ?? assert.fail();
    assert.deepEqual([setTo, opening], [[{ classId: 'first-class', group: null }], null]);
  });

  test('tickets open the papers that they opened', async () => {
    const code = String(rows['tickets']?.[0]?.['code']);
    assert.notEqual((await studentDesk.openPaper({ quizId, ticket: code })).state, 'unknown');
  });
});

describe('a database of the form before questions were placed', () => {
  const rows = rowsOf('form-2');
  beforeEach(() => upgraded(4, TABLES_4, rows));
  const quizId = String(rows['quizzes']?.[0]?.['id']);

  test('gives the same scores, and every record is one of now', async () => {
    assert.deepEqual(await scoresNow(quizId), scoresThen('form-2'));
    const whole = BackedQuiz.safeParse(await collectQuiz(quizId));
    assert.ok(whole.success, JSON.stringify(whole.error?.issues.slice(0, 3)));
    const steps = whole.data.history.flatMap(({ changes }) => changes);
    assert.ok(steps.some((change) => change.kind === 'question' && change.after?.placement.points?.n === 5));
  });

  test('every step of its history is undone, down to the quiz as it began', async () => {
    while (await undo(quizId));
    const { content, placements } = await draftPaper(quizId);
    assert.equal(content.topic, '');
    assert.deepEqual(
      placements.map(({ points, standing, mustAnswer }) => [points?.n ?? null, standing, mustAnswer]),
      [
        [4, 'counts', null],
        [2, 'counts', 'any'],
        [3, 'bonus', null],
        [null, 'leftOut', null],
        [null, 'givenToAnswered', 'no'],
        [1, 'notMarked', null],
      ],
    );
  });

  test('everyone on the class list has a ticket, and goes on with the paper that was begun', async () => {
    const tickets = await db.tickets.toArray();
    assert.equal(new Set(tickets.map(({ code }) => code)).size, rows['students']?.length);
    const packet = await studentDesk.openPaper(await addressOf(quizId, 's5'));
    assert.ok(packet.state === 'working', packet.state);
    assert.deepEqual(packet.working.answers, { q1: { kind: 'phrase', text: 'sil' } });
  });

  test('words that named no option wait as before', async () => {
    const found = (await db.attempts.orderBy('[quizId+seq]').toArray()).flatMap(({ answers }) =>
      Object.values(answers).filter(({ kind }) => kind === 'unread'),
    );
    assert.deepEqual(found, [
      { kind: 'unread', text: 'dam' },
      { kind: 'unread', text: 'dunno' },
    ]);
  });
});
