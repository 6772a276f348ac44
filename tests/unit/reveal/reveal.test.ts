import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { attemptState, counts, isOpen, wholeSpan } from '@/core/quiz/times/window';
import type { Attempt } from '@/core/quiz/work/attempt';
import { draftChanges } from '@/core/quiz/draftChanges';
import { insertAfter, move } from '@/core/quiz/order';
import { newQuestion } from '@/core/quiz/newQuestion';
import { emptyContent } from '@/core/quiz/newQuiz';
import type { Opening } from '@/core/quiz/quiz';
import type { RevealPlan } from '@/core/quiz/plan/plan';
import { DEFAULT_PLAN } from '@/core/quiz/plan/defaultPlan';
import { PaperPacket } from '@/core/reveal/packets';
import { sheetOf } from '../support/sheet';
import { questionsForStudent, slipOf, wholeSight } from '@/core/reveal/slip';
import { whatIsShown, type Scene } from '@/core/reveal/whatIsShown';
import { paperOf, phraseQuestion, pickOneQuestion, share, variant } from '../support/support';
import { planFrom, windowOf } from '../support/shown';
import { sceneOf } from '../support/scenes';

/** The only attempt of a class, marked as the class is. */
const HOUR = 3_600_000;
const opening: Opening = { from: 10 * HOUR, due: null, grace: 0, until: 20 * HOUR };
/** One student, who handed in at an hour, or has not, in a quiz of this plan. */
const scene = (plan: RevealPlan, finished: number | null, more: Partial<Scene> = {}): Scene => ({
  ...sceneOf({ students: [{ id: 's' }] }),
  plan,
  seats: [
    {
      studentId: 's', classes: [], groups: [], window: windowOf(opening), granted: 0, takenOffAt: null, meant: true,
      attempts: finished === null ? [] : [{
        id: 'a', number: 1, begunAt: 11 * HOUR, limit: null, reopened: null, handedInAt: finished * HOUR, timeKnown: true,
        voided: false, takenInAt: null, marked: 'atHandIn',
      }],
    },
  ],
  ...more,
}); // prettier-ignore

describe('windows and the state of an attempt', () => {
  test('open from its first moment until just before its last', () => {
    assert.deepEqual(
      [9.99, 10, 19.99, 20].map((h) => isOpen(opening, h * HOUR)),
      [false, true, true, false],
    );
    assert.equal(isOpen(null, 12 * HOUR), false);
  });
  test('the whole span is that of everybody, with the windows of their own', () => {
    const own = (set: object) => [{ id: 'x', for: { kind: 'student', studentId: 's' } as const, set }];
    const spans: [unknown, unknown][] = [
      [wholeSpan({ opening: null, windows: [] }), null],
      [wholeSpan({ opening, windows: [] }), { from: 10 * HOUR, until: 20 * HOUR }],
      [wholeSpan({ opening: null, windows: own({ from: 5, until: 9 }) }), { from: 5, until: 9 }],
      [wholeSpan({ opening: null, windows: own({ until: 9 }) }), null],
      [wholeSpan({ opening, windows: own({ until: 30 * HOUR }) }), { from: 10 * HOUR, until: 30 * HOUR }],
      [wholeSpan({ opening, windows: own({ from: 5, until: null }) }), { from: 5, until: null }],
    ];
    for (const [is, expected] of spans)
      assert.deepEqual(is && { from: (is as Opening).from, until: (is as Opening).until }, expected);
  });
  const attempt: Attempt = {
    id: 'a', quizId: 'q', studentId: 's', number: 1, revision: 1, openedAt: 11 * HOUR, savedAt: 11 * HOUR,
    handedInAt: null, timeKnown: true, source: 'sat', seed: 0, saves: {}, hints: {}, answers: {}, seq: 1,
  }; // prettier-ignore
  test('working runs out at closing; whether that counts is the quiz’s rule', () => {
    const taken = emptyContent('T');
    const left = { ...taken, unfinished: 'notCounted' as const };
    assert.equal(attemptState(undefined, windowOf(opening), 12 * HOUR), 'notOpened');
    assert.equal(attemptState(attempt, windowOf(opening), 12 * HOUR), 'working');
    assert.equal(attemptState(attempt, windowOf(opening), 20 * HOUR), 'ranOut');
    assert.equal(
      attemptState({ ...attempt, handedInAt: 12 * HOUR }, windowOf(opening), 20 * HOUR),
      'handedIn',
    );
    assert.equal(counts(attempt, windowOf(opening), taken, 12 * HOUR), false);
    assert.equal(counts(attempt, windowOf(opening), taken, 20 * HOUR), true);
    assert.equal(counts(attempt, windowOf(opening), left, 20 * HOUR), false);
  });
});

describe('packets for students', () => {
  const canary = (place: string) => `CANARY-${place}`;
  const feedback = (place: string) => ({
    text: canary(place),
    links: [{ kind: 'read' as const, title: canary(`${place}-link`), address: 'https://rivers.example/' }],
  });
  const phrase = {
    ...phraseQuestion([
      variant('canary-variant', [canary('form')], '1', { feedback: feedback('variant') }),
      variant('b', [canary('wrong-form')], '0'),
    ]),
    right: feedback('right'),
    wrong: feedback('wrong'),
    explanation: canary('explanation'),
  };
  const pickOne = pickOneQuestion({ a: '1', b: '0' });
  const keyed = { ...pickOne, options: pickOne.options.map((o) => ({ ...o, feedback: feedback('option') })) };
  const paper = paperOf([phrase, keyed]);
  const answers = {
    'q-phrase': { kind: 'phrase', text: 'mine' },
    'q-pick': { kind: 'pickOne', option: 'b' },
  } as const;
  const slip = (plan: RevealPlan) =>
    slipOf(
      paper,
      { sheet: sheetOf(paper, answers), finishedAt: 12 * HOUR, comments: {} },
      wholeSight(whatIsShown(scene(plan, 12), 's', 13 * HOUR)),
    );

  test('the questions hold nothing of any key', () => {
    const text = JSON.stringify(questionsForStudent(paper, { seed: 1, hints: {} }));
    assert.ok(!text.includes('CANARY') && !text.includes('credit') && !text.includes('variant'));
    assert.ok(text.includes('Text of q-pick'));
  });
  test('a slip holds only the aspects that are shown', () => {
    const nothing = JSON.stringify(slip(planFrom('closed')));
    assert.ok(!nothing.includes('CANARY') && !nothing.includes('mine') && !nothing.includes('Text of'));
    const scoreOnly = slip(planFrom('never', { score: 'handedIn' }));
    assert.deepEqual(scoreOnly.score, {
      earned: share('0'),
      outOf: share('2'),
      waiting: share('0'),
      late: null,
    });
    assert.ok(
      scoreOnly.parts.every((part) => part.result === null && part.text === null && part.right === null),
    );
    const own = JSON.stringify(slip(planFrom('never', { questions: 'handedIn', ownAnswers: 'handedIn' })));
    assert.ok(own.includes('mine') && own.includes('Text of') && !own.includes('CANARY'));
    const told = JSON.stringify(slip(planFrom('never', { questions: 'handedIn', feedback: 'handedIn' })));
    assert.ok(told.includes(canary('wrong')) && told.includes(canary('option')));
    assert.ok(!told.includes(canary('form')) && !told.includes(canary('explanation')));
    const right = JSON.stringify(
      slip(planFrom('never', { questions: 'handedIn', rightAnswers: 'handedIn' })),
    );
    assert.ok(
      right.includes(canary('form')) &&
        right.includes(canary('explanation')) &&
        !right.includes(canary('wrong-form')),
    );
  });
  test('the packet’s schema refuses anything that is not named in it', () => {
    assert.equal(PaperPacket.safeParse({ state: 'unknown', key: 'x' }).success, false);
    assert.equal(PaperPacket.safeParse({ state: 'unknown' }).success, true);
  });
});

describe('edits', () => {
  test('moving and inserting keep every question once', () => {
    assert.deepEqual(move(['a', 'b', 'c'], 0, 2), ['b', 'c', 'a']);
    assert.deepEqual(move(['a', 'b', 'c'], 2, 0), ['c', 'a', 'b']);
    assert.deepEqual(move(['a', 'b'], 0, 5), ['a', 'b']);
    assert.deepEqual(insertAfter(['a', 'b'], 'x', 'a'), ['a', 'x', 'b']);
    assert.deepEqual(insertAfter(['a', 'b'], 'x', null), ['a', 'b', 'x']);
  });
  test('the next question takes kind and rules of the last, and nothing else', () => {
    let n = 0;
    const id = () => `id-${++n}`;
    const last = phraseQuestion([variant('v', ['silt'])], { typingErrors: 1 }, { unmatched: 'waits' });
    const next = newQuestion('phrase', last, id);
    assert.equal(next.kind, 'phrase');
    assert.deepEqual(next.kind === 'phrase' && [next.settings.typingErrors, next.unmatched, next.variants], [
      1,
      'waits',
      [],
    ]);
    const other = newQuestion('pickOne', pickOneQuestion({ a: '1', b: '0', c: '0', d: '0' }), id);
    assert.ok(other.kind === 'pickOne' && other.options.length === 4);
    assert.ok(
      other.kind === 'pickOne' &&
        other.options.every((option) => option.credit.n === 0 && option.text === ''),
    );
  });
  test('what differs between draft and live is counted once each', () => {
    const [a, b] = [pickOneQuestion({ x: '1' }, { id: 'a' }), pickOneQuestion({ y: '1' }, { id: 'b' })];
    const live = paperOf([a, b]);
    assert.deepEqual(draftChanges(live, live), []);
    assert.deepEqual(draftChanges({ ...live, content: { ...live.content, plan: DEFAULT_PLAN } }, live), []);
    const changed = paperOf([{ ...b, explanation: 'new' }, pickOneQuestion({ z: '1' }, { id: 'c' })], {
      defaultPoints: share('2'),
    });
    assert.deepEqual(
      draftChanges(changed, live).map((change) => [change.kind, change.questionId]),
      [
        ['changed', 'b'],
        ['added', 'c'],
        ['removed', 'a'],
        ['points', null],
      ],
    );
    assert.deepEqual(
      draftChanges(paperOf([b, a]), live).map((change) => change.kind),
      ['order'],
    );
  });
});
