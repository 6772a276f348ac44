import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { DEFAULT_SETTINGS } from '@/core/answers/text/settings';
import type { Feedback } from '@/core/content/feedback';
import { SILENCE } from '@/core/content/silence';
import { kindOf, type Answer, type Question } from '@/core/kinds';
import { feedbackTold } from '@/core/marks/feedbackTold';
import { filledQuestion } from '../support/filled';
import { ENGLISH, variant } from '../support/support';

const says = (text: string, page?: string): Feedback => ({
  text,
  links: page ? [{ kind: 'read', title: page, address: `https://rivers.example/${page}` }] : [],
});
const ONE = { n: 1, d: 1 };
const partly = says('Nearly all.');

const several = filledQuestion('pickSeveral', {
  partly,
  options: [
    { id: 'a', right: true, feedback: says('Yes, built up.') },
    { id: 'b', right: true },
    { id: 'c', feedback: says('Cut, not built.', 'built') },
  ],
  lambda: { n: 1, d: 2 },
});
const gaps = filledQuestion('gaps', {
  partly,
  gaps: ['g', 'h'].map((id) => ({
    id,
    type: 'text',
    weight: ONE,
    settings: DEFAULT_SETTINGS,
    variants: [
      variant('v', ['fast']),
      { ...variant('w', ['slow'], '0'), feedback: says('Which bank is longer?') },
    ],
    unmatched: 'wrong',
  })),
});
const pairs = filledQuestion('match', {
  items: ['a', 'b'].map((id) => ({ id, partner: `to-${id}`, feedback: says(`Look at ${id}.`, 'map') })),
  partners: [{ id: 'to-a' }, { id: 'to-b' }],
});
const boxes = filledQuestion('boxes', {
  boxes: [{ id: 'x' }, { id: 'y' }],
  items: [{ id: 'a', boxes: ['x'], feedback: says('It grinds.') }],
});
const rows = filledQuestion('rows', {
  rows: [{ id: 'r', feedback: says('Read it again.'), options: [{ id: 'y', credit: ONE }, { id: 'n' }] }],
});

describe('what a student reads of an answer with parts', () => {
  const CASES: readonly (readonly [string, Question, Answer, string, number])[] = [
    ['an option that was picked, and what holds for partly right', several, { kind: 'pickSeveral', options: ['a', 'c'] }, 'Nearly all.\nYes, built up.\nCut, not built.', 1],
    ['the same said of two gaps is read once', gaps, { kind: 'gaps', gaps: { g: 'slow', h: 'slow' } }, 'Which bank is longer?', 0],
    ['one gap of two', gaps, { kind: 'gaps', gaps: { g: 'fast', h: 'slow' } }, 'Nearly all.\nWhich bank is longer?', 0],
    ['of pairs only the wrong ones, a link that two share once', pairs, { kind: 'match', pairs: { a: 'to-b', b: 'to-a' } }, 'Look at a.\nLook at b.', 1],
    ['right pairs say nothing', pairs, { kind: 'match', pairs: { a: 'to-a', b: 'to-b' } }, '', 0],
    ['something in a wrong box', boxes, { kind: 'boxes', placed: { a: 'y' } }, 'It grinds.', 0],
    ['something in its box', boxes, { kind: 'boxes', placed: { a: 'x' } }, '', 0],
    ['a row that is wrong', rows, { kind: 'rows', picked: { r: ['n'] } }, 'Read it again.', 0],
    ['a row that is right', rows, { kind: 'rows', picked: { r: ['y'] } }, '', 0],
  ]; // prettier-ignore
  for (const [name, question, answer, text, links] of CASES)
    test(name, () => {
      const told = feedbackTold(kindOf(question).mark(question, answer, ENGLISH));
      assert.deepEqual([told.text, told.links.length], [text, links]);
    });
  test('an answer that waits says nothing of its parts', () => {
    const marked = kindOf(gaps).mark(gaps, { kind: 'gaps', gaps: { g: 'slow' } }, ENGLISH);
    assert.deepEqual(feedbackTold({ ...marked, state: 'waits', feedback: SILENCE }), SILENCE);
  });
});
