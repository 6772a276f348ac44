import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { before, describe, test } from 'node:test';
import { pointsOf } from '@/core/quiz/points';
import { db } from '@/store/records/db';
import { undoStep } from '@/store/undo/undo';
import { saveQuestion } from '@/store/quiz/edits';
import { applyDraft } from '@/store/quiz/revisions';
import { ensureDemo } from '@/store/demo/demo';
import { setOverride } from '@/store/work/overrides';
import { liveClass, workOf } from '@/views/papers';
import { classDesk } from '@/workers/classDesk';
import { DEMO_QUIZ } from '../../demoQuiz';
import { share, written } from '../support/support';

/** Recorded scores by name. */
const scores = async (): Promise<Record<string, string>> =>
  Object.fromEntries(
    workOf(await liveClass(DEMO_QUIZ)).map(({ student, recorded }) => [
      student?.name ?? '',
      recorded ? written(recorded.score) : '–',
    ]),
  );
const attemptOf = async (name: string): Promise<string> =>
  workOf(await liveClass(DEMO_QUIZ)).find(({ student }) => student?.name === name)?.sheets[0]?.attempt.id ??
  assert.fail(name);

before(async () => {
  await ensureDemo();
});

describe('own scores for many', () => {
  test('of one question for all: the effect that is told is the one that comes, and one step takes it back', async () => {
    const first = await scores();
    const sheets = (await liveClass(DEMO_QUIZ)).sheets.map(({ attempt }) => attempt.id);
    const [, , , fourth] = (await liveClass(DEMO_QUIZ)).paper.questions;
    const wanted = {
      attemptIds: sheets,
      questionId: fourth?.id ?? '',
      share: share('1'),
      reason: 'was ambiguous',
    };
    const effect = await classDesk.ownScoresEffect(DEMO_QUIZ, wanted);
    assert.deepEqual(await scores(), first, 'looking at the effect changes nothing');
    const step = (await classDesk.giveOwnScores(DEMO_QUIZ, wanted)) ?? assert.fail();
    const then = await scores();
    const up = Object.keys(first).filter((name) => first[name] !== then[name]);
    assert.deepEqual([effect.answers, effect.up, effect.down], [sheets.length, up.length, 0]);
    assert.equal(then['Bela Fenn'], '10');
    const own = (await db.overrides.toArray()).find(({ quizId }) => quizId === DEMO_QUIZ);
    assert.deepEqual([own?.reason, own?.points], ['was ambiguous', { n: 2, d: 1 }]);
    assert.equal(await undoStep(DEMO_QUIZ, step), 'undone');
    assert.deepEqual(await scores(), first);
  });

  test('of one paper for every question, as a share of each', async () => {
    const wanted = {
      attemptIds: [await attemptOf('Bela Fenn')],
      questionId: null,
      share: share('1/2'),
      reason: '',
    };
    const step = (await classDesk.giveOwnScores(DEMO_QUIZ, wanted)) ?? assert.fail();
    const now = await scores();
    assert.equal(now['Bela Fenn'], '6', 'half of 12');
    assert.equal(now['Ada Marsh'], '12');
    await undoStep(DEMO_QUIZ, step);
  });

  test('where a question is left out nothing is set', async () => {
    const [first] = await db.questions.where('quizId').equals(DEMO_QUIZ).toArray();
    assert.ok(first);
    const { question, placement } = first;
    await saveQuestion(DEMO_QUIZ, { question, placement: { ...placement, standing: 'leftOut' } }, first.rev, { label: 'x', field: '' }); // prettier-ignore
    const shown = (await classDesk.pending(DEMO_QUIZ)).shown ?? assert.fail();
    assert.ok((await applyDraft(DEMO_QUIZ, shown)).ok);
    const wanted = {
      attemptIds: [await attemptOf('Ada Marsh')],
      questionId: first.id,
      share: share('1'),
      reason: '',
    };
    assert.equal(await classDesk.giveOwnScores(DEMO_QUIZ, wanted), null);
  });
});

describe('the revisions of the key', () => {
  test('what a student had by each, with the own scores that had been set until the next one', async () => {
    const name = 'Nora Pool';
    const attempt = await attemptOf(name);
    const told = async () =>
      (await classDesk.revisions(DEMO_QUIZ, attempt)).map(({ score, counts, why }) => [
        score && `${written(score.score)} of ${written(score.outOf)}`,
        why,
        counts,
      ]);
    const slipThen = (await scores())[name];
    const before = await told();
    assert.match(String(before[0]?.[0]), new RegExp(`^${slipThen} of 1\\d$`));
    const outOf = Number(/of (\d+)/.exec(String(before[0]?.[0]))?.[1]);
    const [second] = (await db.questions.where('quizId').equals(DEMO_QUIZ).toArray()).slice(1);
    assert.ok(second);
    const { question, placement } = second;
    const points = Number(written(pointsOf(question, (await liveClass(DEMO_QUIZ)).paper)));
    await saveQuestion(DEMO_QUIZ, { question, placement: { ...placement, points: share('5') } }, second.rev, { label: 'x', field: '' }); // prettier-ignore
    const shown = (await classDesk.pending(DEMO_QUIZ)).shown ?? assert.fail();
    assert.ok((await applyDraft(DEMO_QUIZ, shown)).ok);
    await setOverride({ quizId: DEMO_QUIZ, attemptId: attempt, questionId: second.id, points: share('5'), reason: '', at: Date.now() + 5, gave: null }); // prettier-ignore
    const now = await told();
    assert.deepEqual(
      now.slice(1).map(([score]) => score),
      before.map(([score]) => score),
      'what they had then they had',
    );
    assert.deepEqual(
      now.map(([, , counts]) => counts),
      [true, false, false],
    );
    assert.equal(now[0]?.[0], `${(await scores())[name]} of ${outOf - points + 5}`);
    const words = (await classDesk.revisions(DEMO_QUIZ, null)).map(({ changes }) => changes.join(' '));
    assert.match(words[0] ?? '', /^Question \d.* is changed: the points$/);
    assert.equal(words.at(-1), '');
  });
});
