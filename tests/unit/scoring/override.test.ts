import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { keyAnswer, type Answer, type Question } from '@/core/kinds';
import type { Keyed } from '@/core/kinds/kind';
import { SILENCE } from '@/core/content/silence';
import type { Override } from '@/core/quiz/work/override';
import { markAnswer, markAttempt } from '@/core/scoring/markAttempt';
import { overrideDiffers, scoreQuestion, shareOfScore, verdictOfScore } from '@/core/scoring/scoreQuestion';
import { total } from '@/core/scoring/total';
import { traceAnswer } from '@/core/scoring/traceAnswer';
import { traceWords } from '@/core/scoring/words';
import {
  paperOf,
  path,
  worth,
  phraseQuestion,
  pickOneQuestion,
  share,
  variant,
  written,
} from '../support/support';

const context = { language: 'en', decimalSign: 'point' as const };
const say = (text: string): Answer => ({ kind: 'phrase', text });
const own = (points: string, gave: string | null, reason = ''): Override => ({
  quizId: 'quiz', attemptId: 'a', questionId: 'q-phrase', points: share(points), reason, at: 0, gave: gave === null ? null : share(gave),
}); // prettier-ignore

describe('a teacher’s own score', () => {
  const question = { ...phraseQuestion([variant('v', ['silt'])]), points: share('2') };
  const scoreOf = (text: string, override: Override | null) =>
    scoreQuestion(markAnswer(question, say(text), context), worth(share('2')), override);

  const cases: [text: string, points: string, verdict: string, pie: string][] = [
    ['mud', '0', 'wrong', '0'],
    ['mud', '1.5', 'partly', '3/4'],
    ['mud', '2', 'right', '1'],
    ['mud', '3', 'right', '1'],
    ['silt', '0', 'wrong', '0'],
    ['', '1', 'partly', '1/2'],
  ];
  for (const [text, points, verdict, pie] of cases) {
    test(`${points} of 2 for “${text}” is ${verdict}`, () => {
      const score = scoreOf(text, own(points, '0'));
      assert.equal(verdictOfScore(score), verdict);
      assert.equal(written(shareOfScore(score)), pie);
      assert.equal(written(score.earned), written(share(points)));
    });
  }

  test('it ends waiting, also in the total', () => {
    const keyless = { ...phraseQuestion([]), points: share('2') };
    const paper = paperOf([keyless]);
    const before = total(markAttempt(paper, { 'q-phrase': say('mud') }), path());
    assert.deepEqual([written(before.score), written(before.waiting)], ['0', '2']);
    const after = total(
      markAttempt(paper, { 'q-phrase': say('mud') }, { 'q-phrase': own('1', null) }),
      path(),
    );
    assert.deepEqual([written(after.score), written(after.waiting)], ['1', '0']);
  });

  test('it is flagged when marking gives something else than when it was set', () => {
    assert.equal(overrideDiffers(scoreOf('mud', own('1', '0'))), false);
    assert.equal(overrideDiffers(scoreOf('silt', own('1', '0'))), true);
    assert.equal(overrideDiffers(scoreOf('mud', own('1', null))), true);
    assert.equal(overrideDiffers(scoreOf('mud', null)), false);
  });

  test('the trace says what marking gave, what it gives now, and what stands', () => {
    const lines = traceAnswer(question, say('silt'), paperOf([question]), own('1', '0', 'told orally'));
    assert.deepEqual(lines.map(traceWords).slice(-3), [
      'Full points: 2 of 2',
      'Automatic marking gave 0 when you set your own score; now it gives 2',
      'Your own score counts: 1 of 2 (“told orally”)',
    ]);
    assert.deepEqual(lines.at(-1)?.after, share('1'));
  });
});

describe('an answer taken into the key', () => {
  const ids = () => {
    let n = 0;
    return () => `new-${++n}`;
  };
  const questionOf = (keyed: Keyed<Question>): Question | null => (keyed.ok ? keyed.question : null);
  const keyed = (question: Question, answer: Answer, credit: string, text = '') =>
    questionOf(
      keyAnswer(question, answer, { credit: share(credit), feedback: { ...SILENCE, text } }, ids(), context),
    );
  const creditOf = (question: Question, answer: Answer) =>
    written(markAnswer(question, answer, context).credit);
  const base = phraseQuestion([
    variant('v', ['floodplain']),
    variant('half', ['meadow'], '1/2', { feedback: { text: 'near', links: [] } }),
    variant('no', ['delta', 'lagoon'], '0'),
  ]);

  const cases: [answer: string, credit: string, feedback: string][] = [
    ['Flood plain', '1', ''],
    ['lake', '1/2', ''],
    ['delta', '1', ''],
    ['floodplain', '0', 'no more'],
    ['river bank', '0', 'look again'],
  ];
  for (const [text, credit, feedback] of cases) {
    test(`“${text}” for ${credit}`, () => {
      const question = keyed(base, say(text), credit, feedback);
      assert.ok(question);
      assert.equal(creditOf(question, say(text)), credit);
      if (feedback) assert.equal(markAnswer(question, say(text), context).feedback.text, feedback);
      const others = ['meadow', 'lagoon'].filter((other) => other !== text);
      for (const other of others)
        assert.equal(creditOf(question, say(other)), creditOf(base, say(other)), other);
    });
  }
  test('a right answer becomes a form of the variant that is there, not one more variant', () => {
    const question = keyed(base, say('flood plain'), '1');
    assert.ok(question?.kind === 'phrase');
    assert.deepEqual(
      question.variants.map((v) => v.forms),
      [['floodplain', 'flood plain'], ['meadow'], ['delta', 'lagoon']],
    );
  });
  test('a form that was expected as wrong moves, and its variant goes with its last form', () => {
    const once = keyed(base, say('delta'), '1');
    const twice = once && keyed(once, say('Lagoon!'), '1');
    assert.ok(twice?.kind === 'phrase');
    assert.deepEqual(
      twice.variants.map((v) => v.id),
      ['v', 'half'],
    );
  });
  test('a blank or endless answer cannot be added to the key, nor words that name no option', () => {
    assert.equal(keyed(base, say('...'), '1'), null);
    assert.equal(keyed(base, say('x'.repeat(501)), '1'), null);
    const pick = pickOneQuestion({ levee: '1', gorge: '0' });
    assert.equal(keyed(pick, { kind: 'unread', text: 'dam' }, '1'), null);
    const changed = keyed(pick, { kind: 'pickOne', option: 'gorge' }, '1/2', 'partly');
    assert.ok(changed);
    assert.equal(creditOf(changed, { kind: 'pickOne', option: 'gorge' }), '1/2');
  });
});
