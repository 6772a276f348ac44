import assert from 'node:assert/strict';
import { test } from 'node:test';
import { newSeed } from '@/device/ids';
import { questionsForStudent } from '@/core/reveal/slip';
import { filledQuestion } from '../support/filled';
import { paperOf, phraseQuestion, variant } from '../support/support';

const ask = (id: string) => phraseQuestion([variant('v', ['silt'])], {}, { id });
const note = (id: string) => ({ ...filledQuestion('note', {}), id });

test('a note stays before what it stood before, wherever that goes', () => {
  const paper = paperOf(
    [ask('a'), note('n1'), note('n2'), ask('b'), { ...ask('c'), staysInPlace: true }, ask('d'), note('end')],
    { shuffled: true },
  );
  const orders = new Set<string>();
  for (let n = 0; n < 200; n++) {
    const order = questionsForStudent(paper, { seed: newSeed(), hints: {} }).map(({ id }) => id);
    orders.add(order.join());
    assert.equal(order.indexOf('n1') + 1, order.indexOf('n2'));
    assert.equal(order.indexOf('n2') + 1, order.indexOf('b'));
    assert.equal(order.at(-1), 'end');
    assert.equal(new Set(order).size, 7);
  }
  assert.equal(orders.size, 6, 'three groups in every order around the one that stays');
});
