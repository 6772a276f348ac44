import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { ONE, ZERO } from '@/core/figures/fraction';
import { keyAnswer, type Answer, type Question } from '@/core/kinds';
import type { Feedback } from '@/core/content/feedback';
import { SILENCE } from '@/core/content/silence';
import { phraseQuestion, variant } from '../support/support';

const context = { language: 'en', decimalSign: 'point' as const };
const say = (text: string): Answer => ({ kind: 'phrase', text });

/** The forms of each variant, after these answers were keyed one after the other. */
function keyed(question: Question, texts: string[], credit = ONE, feedback: Feedback = SILENCE): string[] {
  let id = 0;
  const after = texts.reduce((now, text) => {
    const next = keyAnswer(now, say(text), { credit, feedback }, () => `new-${id++}`, context);
    assert.ok(next.ok);
    return next.question;
  }, question);
  assert.ok(after.kind === 'phrase');
  return after.variants.map(({ forms, feedback: { text } }) => `${forms.join(' / ')} ${text}`.trim());
}

describe('answers that differ only in form, keyed together', () => {
  const ice = phraseQuestion([variant('v', ['glacier'])]);
  test('one form for each that the settings tell apart', () => {
    assert.deepEqual(keyed(ice, ['ice stream', 'Ice stream.', 'ICE STREAM', 'ice-stream', 'icestream']), [
      'glacier / ice stream / icestream',
    ]);
  });
  test('with words for students they are forms of one variant that says them', () => {
    const feedback = { text: 'That is another thing.', links: [] };
    assert.deepEqual(keyed(ice, ['moraine', 'moraïne', 'Moraine!'], ZERO, feedback), [
      'glacier',
      'moraine / moraïne That is another thing.',
    ]);
    assert.deepEqual(
      keyed(ice, ['moraine'], ZERO, feedback),
      keyed(ice, ['moraine', 'Moraine'], ZERO, feedback),
    );
  });
  test('what is right already changes nothing', () => {
    assert.deepEqual(keyed(ice, ['Glacier']), ['glacier']);
  });
  test('what was expected as wrong and is accepted leaves the wrong ones', () => {
    const both = phraseQuestion([variant('v', ['glacier']), variant('w', ['ice sheet', 'ice cap'], '0')]);
    assert.deepEqual(keyed(both, ['Ice sheet']), ['glacier / Ice sheet', 'ice cap']);
  });
});
