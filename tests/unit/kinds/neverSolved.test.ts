import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import { kindOf } from '@/core/kinds';
import { newSeed } from '@/device/ids';
import { filledQuestion } from '../support/filled';

const texts = (...all: string[]) => all.map((text, at) => ({ id: `i${at}`, text }));
const seeds = () => Array.from({ length: 400 }, newSeed);

describe('what is to be put in order or together is never shown solved', () => {
  for (const many of [2, 3, 5])
    it(`${many} things in their order`, () => {
      const items = texts(...['source', 'brook', 'river', 'delta', 'sea'].slice(0, many));
      const question = filledQuestion('order', { items, model: { kind: 'neighbours' } });
      for (const seed of seeds()) {
        const face = kindOf(question).faceOf(question, seed);
        assert.ok(face.kind === 'order');
        assert.notDeepEqual(face.items.map(({ id }) => id), items.map(({ id }) => id)); // prettier-ignore
        assert.equal(new Set(face.items.map(({ id }) => id)).size, many);
      }
    });

  it('things that look the same are what they are', () => {
    const question = filledQuestion('order', { items: texts('silt', 'silt'), model: { kind: 'neighbours' } });
    const face = kindOf(question).faceOf(question, newSeed());
    assert.ok(face.kind === 'order' && face.items.length === 2);
  });

  it('pairs side by side', () => {
    const partners = texts('erodes', 'deposits', 'carries').map((one, at) => ({ ...one, id: `p${at}` }));
    const items = texts('outer bank', 'inner bank', 'middle').map((one, at) => ({
      ...one,
      partner: `p${at}`,
    }));
    const question = filledQuestion('match', {
      items,
      partners,
      model: 'shareRight',
      lambda: { n: 1, d: 1 },
    });
    const seen = new Set<string>();
    for (const seed of seeds()) {
      const face = kindOf(question).faceOf(question, seed);
      assert.ok(face.kind === 'match');
      seen.add(face.partners.map(({ id }) => id).join());
    }
    assert.equal(seen.has('p0,p1,p2'), false);
    assert.equal(seen.size, 5, 'every other order is met');
  });
});
