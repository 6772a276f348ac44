import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, describe, test } from 'node:test';
import Dexie from 'dexie';
import { DEFAULT_CHOICES, readPapers } from '@/core/formats/answerFile';
import { toDecimalText } from '@/core/figures/fraction';
import { RescueFile } from '@/core/quiz/quiz';
import { upgradeRescue } from '@/core/forms';
import { emptyContent } from '@/core/quiz/newQuiz';
import { attemptsOfStudent, startAttempt } from '@/store/work/attempts';
import { putStudents } from '../support/school';
import { addressOf, handInAttempt, keepAnswer } from '../support/sat';
import { commentsOf, saveComment } from '@/store/work/comments';
import { db } from '@/store/records/db';
import { CLASS_LIST, SHELF } from '@/store/records/scopes';
import { redo, undo } from '@/store/undo/undo';
import { importPapers, mappingOf } from '@/store/files/imports';
import { draftPaper } from '@/store/quiz/quizzes';
import { addStudent, listedStudents, setRemoved } from '@/store/class/roster';
import { rule, rulingOf } from '@/store/work/rulings';
import { closeQuiz, openQuiz, showAspects, showStudent } from '@/store/quiz/standing';
import { listQuizzes, setArchived, setDeleted } from '@/store/quiz/shelf';
import { keepScoreColumns, scoreColumns } from '@/store/work/scoreColumns';
import { checkTable } from '@/views/check';
import { classDesk } from '@/workers/classDesk';
import { studentDesk } from '@/workers/studentDesk';
import type { QuizContent } from '@/core/quiz/quiz';
import { asForm2 } from '../support/oldForm';
import {
  openAlways,
  paperOf,
  parted,
  phraseQuestion,
  quizOf,
  readPaper,
  variant,
  written,
} from '../support/support';
import { planFrom, planWith } from '../support/shown';
import { ASPECTS, at, waitsFor } from '@/core/quiz/plan/plan';

const HOUR = 3_600_000;
const say = (text: string) => ({ kind: 'phrase' as const, text });
const silt = () => phraseQuestion([variant('v', ['silt'])], {}, { id: 'q1', points: { n: 4, d: 1 } });
const mud = () => phraseQuestion([variant('v', ['mud'])], {}, { id: 'q2', points: { n: 2, d: 1 } });

const newQuiz = (more: Partial<QuizContent> = {}): Promise<string> =>
  quizOf({ ...emptyContent('Rivers'), order: ['q1', 'q2'], ...more }, [silt(), mud()]);

async function sit(quizId: string, studentId: string, ...texts: string[]): Promise<string> {
  const attempt = await startAttempt(quizId, studentId);
  assert.ok(attempt);
  for (const [index, text] of texts.entries()) await keepAnswer(attempt.id, `q${index + 1}`, say(text));
  assert.ok((await handInAttempt(attempt.id)).ok);
  return attempt.id;
}
const finished = async (quizId: string, studentId: string, attempt?: number) => {
  const packet = await studentDesk.openPaper(await addressOf(quizId, studentId), attempt);
  assert.ok(packet.state === 'finished', packet.state);
  return packet;
};

beforeEach(async () => {
  await db.delete();
  await db.open();
  await putStudents([
    { id: 's1', name: 'Ada Marsh', number: '1', email: '', groups: ['8C'], removedAt: null },
    { id: 's2', name: 'Bo Weir', number: '2', email: '', groups: [], removedAt: null },
  ]);
});

describe('several attempts', () => {
  const twice = { attempts: { most: 2, counts: 'best' as const } };

  test('a student sits again as often as the quiz allows; the best counts, each slip can be looked at', async () => {
    const id = await newQuiz(twice);
    await openAlways(id);
    await sit(id, 's1', 'silt', 'sand');
    assert.equal((await finished(id, 's1')).attempts.mayBegin, true);
    await sit(id, 's1', 'sand', 'mud');
    assert.equal(await startAttempt(id, 's1'), null, 'no third one');
    const packet = await finished(id, 's1');
    assert.deepEqual(
      [packet.attempts.number, packet.attempts.finished, packet.attempts.mayBegin],
      [2, [1, 2], false],
    );
    assert.equal(written(packet.attempts.recorded?.score ?? { n: 9, d: 1 }), '4');
    assert.equal(written(packet.slip.score?.earned ?? { n: 9, d: 1 }), '2');
    assert.equal(written((await finished(id, 's1', 1)).slip.score?.earned ?? { n: 9, d: 1 }), '4');
    const table = await checkTable(id);
    assert.equal(table.several, true);
    assert.deepEqual(
      table.rows.map((row) => [row.number, row.of, row.stands, written(row.total.score)]),
      [
        [1, 2, true, '4'],
        [2, 2, false, '2'],
      ],
    );
  });

  test('the recorded score is hidden with the score', async () => {
    const base = emptyContent('R');
    const id = await newQuiz({ ...twice, plan: planWith(base.plan, { score: 'never' }) });
    await openAlways(id);
    await sit(id, 's1', 'silt');
    await sit(id, 's1', 'silt');
    assert.equal((await finished(id, 's1')).attempts.recorded, null);
  });

  test('a voided attempt does not join, and can be counted again; both are undone', async () => {
    const id = await newQuiz(twice);
    await openAlways(id);
    const first = await sit(id, 's1', 'silt', 'mud');
    await sit(id, 's1', 'silt');
    const recorded = async () =>
      toDecimalText((await checkTable(id)).rows[0]?.recorded?.score ?? { n: 99, d: 1 });
    assert.equal(await recorded(), '6');
    await rule(id, first, { standing: 'voided' });
    assert.equal(await recorded(), '4');
    assert.equal((await finished(id, 's1', 1)).attempts.notCounted, 'voided');
    assert.match(
      (await classDesk.openAttempt(id, first))?.trace.join('\n') ?? '',
      /Attempt 1 does not count: you decided so/,
    );
    await undo(id);
    assert.equal(await recorded(), '6');
    await redo(id);
    assert.equal(await recorded(), '4');
    assert.equal(await db.rulings.count(), 1);
    await rule(id, first, { standing: 'asRules' });
    assert.equal(await db.rulings.count(), 0, 'nothing ruled, nothing kept');
  });

  test('which attempt counts is a rule of the key: its effect shows before it is applied', async () => {
    const id = await newQuiz(twice);
    await openAlways(id);
    await sit(id, 's1', 'silt', 'mud');
    await sit(id, 's1', 'silt');
    await db.quizzes.update(id, { 'content.attempts': { most: 2, counts: 'mean' } });
    const pending = await classDesk.pending(id);
    assert.deepEqual(pending.changes, [{ kind: 'rules', questionId: null }]);
    assert.deepEqual(
      pending.students.map((one) => [one.name, written(one.before ?? { n: 9, d: 1 }), written(one.after)]),
      [['Ada Marsh', '6', '5']],
    );
  });
});

describe('due times', () => {
  const late = {
    kind: 'steps' as const,
    step: 'day' as const,
    share: { n: 1, d: 10 },
    of: 'earned' as const,
    cap: null,
  };
  const window = () => {
    const now = Date.now();
    return { from: now - 90 * HOUR, due: now - 30 * HOUR, grace: 0, until: now + HOUR };
  };

  test('late work loses by the rule, says so on the slip, and can be excused', async () => {
    const id = await newQuiz({ late });
    await openQuiz(id, window());
    const attempt = await sit(id, 's1', 'silt', 'mud');
    const score = (await finished(id, 's1')).slip.score;
    assert.equal(written(score?.earned ?? { n: 9, d: 1 }), '24/5');
    assert.deepEqual(score?.late, { share: { n: 1, d: 5 }, of: 'earned', before: { n: 6, d: 1 } });
    assert.equal((await classDesk.tray(id)).find((row) => row.studentId === 's1')?.state, 'late');
    assert.match(
      (await classDesk.openAttempt(id, attempt))?.trace.join('\n') ?? '',
      /Late: 2 days .* 20% of the earned points: 4.8 left of 6/,
    );
    await rule(id, attempt, { lateness: 'excused' });
    assert.equal(written((await finished(id, 's1')).slip.score?.earned ?? { n: 9, d: 1 }), '6');
    assert.equal((await finished(id, 's1')).slip.score?.late, null);
  });

  test('a time in the file after the last moment counts once the teacher takes it in', async () => {
    const id = await newQuiz({ late });
    const now = Date.now();
    await openQuiz(id, { from: now - 99 * HOUR, due: now - 60 * HOUR, grace: 0, until: now - 50 * HOUR });
    await importPapers(
      id,
      [readPaper({ studentId: 's1', handedInAt: now - 40 * HOUR, answers: { q1: say('silt') } })],
      await draftPaper(id),
    );
    const [row] = (await checkTable(id)).rows;
    assert.deepEqual([row?.notCounted, row?.recorded], ['tooLate', null]);
    assert.match(await classDesk.scoresFile(id), /Ada Marsh,1,,6,/);
    const [tray] = await classDesk.tray(id);
    assert.deepEqual([tray?.state, tray?.tooLate], ['tooLate', [row?.attemptId]]);
    await rule(id, row?.attemptId ?? '', { standing: 'takenIn' });
    assert.equal(written((await checkTable(id)).rows[0]?.recorded?.score ?? { n: 9, d: 1 }), '18/5');
  });
});

describe('handing back', () => {
  const byHand = () => {
    return { plan: planFrom('byTeacher', { classDid: 'never' }) };
  };

  test('to one, to all, taken back, undone; counts follow', async () => {
    const id = await newQuiz(byHand());
    await openAlways(id);
    await sit(id, 's1', 'silt');
    await sit(id, 's2', 'silt');
    const sees = async () => {
      const scores = [await finished(id, 's1'), await finished(id, 's2')].map(
        (one) => one.slip.score !== null,
      );
      assert.equal((await classDesk.quizCounts(id)).shown, scores.filter(Boolean).length);
      return scores;
    };
    assert.deepEqual(await sees(), [false, false]);
    await showStudent(id, 's1', 'show');
    assert.deepEqual(await sees(), [true, false]);
    await showAspects(id, ['score'], 'show');
    assert.deepEqual(await sees(), [true, true]);
    assert.deepEqual(
      (await classDesk.handBack(id)).map((row) => row.shown.length),
      [7, 1],
    );
    await showAspects(id, ASPECTS, 'takeBack');
    assert.deepEqual(await sees(), [false, false], 'taken back from all takes back from single ones too');
    await undo(id);
    assert.deepEqual(await sees(), [true, true]);
    await undo(id);
    await undo(id);
    assert.deepEqual(await sees(), [false, false]);
  });

  test('comments stand on the slip when the plan shows them, on screen and printed, and are undone', async () => {
    const base = emptyContent('R');
    const id = await newQuiz({ plan: planWith(base.plan, { comments: 'byTeacher', rightAnswers: 'never' }) });
    await openAlways(id);
    const attempt = await sit(id, 's1', 'sand');
    await saveComment(id, attempt, '', 'Well begun <b>');
    await saveComment(id, attempt, 'q1', 'Look at the bank again');
    assert.deepEqual(JSON.stringify((await finished(id, 's1')).slip).match(/begun|bank/), null);
    await showAspects(id, ['comments'], 'show');
    const { slip } = await finished(id, 's1');
    assert.deepEqual(
      [slip.comment, slip.parts[0]?.comment, slip.parts[1]?.comment],
      ['Well begun <b>', 'Look at the bank again', null],
    );
    const [without] = (await classDesk.printed(id, 'without')).slips;
    assert.deepEqual([without?.slip.comment, without?.slip.parts[0]?.right], ['Well begun <b>', null]);
    const [right] = (await classDesk.printed(id, 'with')).slips;
    assert.deepEqual(right?.slip.parts[0]?.right?.answers, [{ form: 'text', text: 'silt' }]);
    await undo(id);
    await undo(id);
    assert.equal((await commentsOf(id)).get(attempt)?.['']?.text, 'Well begun <b>');
  });

  test('a score file has the columns asked for, and remembers them with the quiz', async () => {
    const id = await newQuiz();
    await openAlways(id);
    const attempt = await sit(id, 's1', 'silt');
    await saveComment(id, attempt, '', '=SUM(A1)');
    await keepScoreColumns(id, ['comment', 'score', 'groups', 'name', 'percent', 'attempts']);
    assert.deepEqual(await scoreColumns(id), ['name', 'groups', 'score', 'percent', 'attempts', 'comment']);
    assert.equal(
      await classDesk.scoresFile(id),
      '\uFEFFName,Groups,Score,"Score, %",Attempts,Comment\r\nAda Marsh,8C,4,66.67,1,"\'=SUM(A1)"\r\nBo Weir,,,,0,\r\n',
    );
  });
});

describe('undo outside of the paper', () => {
  test('opening and closing a quiz', async () => {
    const id = await newQuiz();
    await openAlways(id);
    await closeQuiz(id);
    const until = async () => (await db.quizzes.get(id))?.standing.opening?.until;
    assert.equal(typeof (await until()), 'number');
    assert.equal((await undo(id))?.label, 'Close the quiz');
    assert.equal(await until(), null);
    assert.equal((await undo(id))?.label, 'Open the quiz');
    assert.equal(await until(), undefined);
  });
  test('the class list and the Shelf have a history of their own', async () => {
    await addStudent('c1', 'Cy Brook');
    await setRemoved('c1', 's1', 'off');
    const names = async () =>
      (await listedStudents([{ classId: 'c1', group: null }])).map((one) => one.name).sort();
    assert.deepEqual(await names(), ['Bo Weir', 'Cy Brook']);
    await undo(CLASS_LIST);
    await undo(CLASS_LIST);
    assert.deepEqual(await names(), ['Ada Marsh', 'Bo Weir']);
    await redo(CLASS_LIST);
    assert.deepEqual(await names(), ['Ada Marsh', 'Bo Weir', 'Cy Brook']);
    const id = await newQuiz();
    await setArchived(id, 'away');
    await setDeleted(id, 'deleted');
    await undo(SHELF);
    const [quiz] = await listQuizzes();
    assert.deepEqual([quiz?.deletedAt, typeof quiz?.archivedAt], [null, 'number']);
  });
  test('an answer file: work, own scores, notes and new students go with one undo, and come with one redo', async () => {
    const id = await newQuiz();
    const papers = [
      readPaper({
        studentId: 's1',
        answers: { q1: say('sand') },
        points: { q1: { n: 3, d: 1 } },
        note: 'was ill',
      }),
      readPaper({ line: 3, name: 'Cy Brook', answers: { q1: say('silt') } }),
    ];
    await importPapers(id, papers, await draftPaper(id));
    const state = async () => {
      const rows = (await checkTable(id)).rows.map((row) => `${row.name} ${written(row.total.score)}`);
      return [
        rows,
        (await listedStudents([{ classId: 'c1', group: null }])).length,
        await db.rulings.count(),
      ];
    };
    const after = [['Ada Marsh 3', 'Cy Brook 4'], 3, 1];
    assert.deepEqual(await state(), after);
    const [attempt] = await attemptsOfStudent(id, 's1');
    assert.equal((await rulingOf(id, attempt?.id ?? '')).note, 'was ill');
    await undo(id);
    assert.deepEqual(await state(), [[], 2, 0]);
    await redo(id);
    assert.deepEqual(await state(), after);
    const again = await importPapers(
      id,
      papers.map((one) => ({ ...one, studentId: one.studentId ?? 'x' })).slice(0, 1),
      await draftPaper(id),
    );
    assert.deepEqual([again.unchanged, again.changed], [1, 0], 'the same again changes nothing');
  });
});

test('what columns held is remembered with the quiz', async () => {
  const id = await newQuiz();
  const header = ['Who', 'First blank', 'Second'];
  const table = { header, rows: [{ line: 2, cells: ['Ada Marsh', 'silt', 'mud'] }], headingLine: 1, top: [] };
  const columns = [
    { use: 'student' as const },
    { use: 'question' as const, questionId: 'q2' },
    { use: 'question' as const, questionId: 'q1' },
  ];
  await classDesk.importFile(id, table, columns, { ...DEFAULT_CHOICES, twice: 'attempts' });
  assert.equal((await mappingOf(id))?.twice, 'attempts');
  const preview = await classDesk.previewFile(id, table, null, null);
  assert.deepEqual([preview.columns, preview.choices.twice], [columns, 'attempts']);
  assert.deepEqual(
    preview.firstMarks.map((one) => written(one.recorded?.score ?? { n: 9, d: 1 })),
    ['0'],
  );
  assert.equal(readPapers(table, columns, paperOf([silt(), mud()]), []).unknown.length, 1);
});

test('a database of the first version is brought up to date', async () => {
  await db.delete();
  const old = new Dexie('yentrel');
  old.version(1).stores({
    quizzes: 'id', questions: '[quizId+id], quizId', questionRevs: '[quizId+questionId+rev]', quizRevs: '[quizId+rev]',
    students: 'id', attempts: 'id, [quizId+studentId], [quizId+seq]', markColumns: '[quizId+questionId+rev]',
    overrides: '[quizId+attemptId+questionId]', history: '++id, [quizId+seq]', meta: 'key',
  }); // prettier-ignore
  const content: Record<string, unknown> = { ...emptyContent('Old') };
  const oldPlan = {
    score: 'handedIn', rightWrong: 'handedIn', ownAnswers: 'byTeacher', feedback: 'closed', rightAnswers: 'never',
  }; // prettier-ignore
  for (const field of ['attempts', 'late', 'zone']) delete content[field];
  const links = [{ title: 'Read on', address: 'https://rivers.example/' }];
  const { question: now, placement } = parted(silt());
  const question = { ...asForm2(now, placement), right: { text: 'Yes', links } };
  await old.open();
  await old.table('quizzes').add({
    id: 'q', content: { ...content, plan: oldPlan, order: ['q1'] },
    standing: { opening: { from: 1, until: null }, shown: {}, live: null },
    changeSeq: 1, firstHandInAt: null, createdAt: 1, changedAt: 1, position: 0, archivedAt: null, deletedAt: null,
  }); // prettier-ignore
  await old.table('questions').add({ quizId: 'q', id: 'q1', rev: 1, question });
  old.close();
  await db.open();
  const quiz = await db.quizzes.get('q');
  assert.deepEqual(quiz?.standing, {
    opening: { from: 1, due: null, grace: 0, until: null },
    acts: [],
    windows: [],
    plans: [],
    kept: [],
    known: [],
    pauses: [],
    granted: {},
    setTo: [{ classId: 'first-class', group: null }],
    live: null,
  });
  assert.deepEqual(
    [quiz.content.plan.aspects.comments, quiz.content.plan.aspects.questions],
    [waitsFor(at('handedIn')), waitsFor(at('closed'))],
  );
  assert.deepEqual(quiz.content.attempts, { most: 1, counts: 'best' });
  const stored = (await db.questions.get(['q', 'q1']))?.question;
  assert.deepEqual(stored?.right.links, [{ kind: 'read', ...links[0] }]);
  const rescued = upgradeRescue(
    { format: 'yentrel-rescue', version: 1, content: { ...content, plan: oldPlan }, questions: [question] },
    'UTC',
  );
  assert.ok(RescueFile.safeParse(rescued).success);
});
