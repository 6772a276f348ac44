import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import type { Answer } from '@/core/kinds';
import type { Receipt } from '@/core/reveal/packets';
import { keepAnswers } from '@/desks/sit/work/keepAnswers';

const said = (text: string): Answer => ({ kind: 'phrase', text });

describe('answers that wait to be saved', () => {
  const cases: {
    name: string;
    refuse: Record<string, Receipt | 'throws'>;
    tried: string[];
    still: string[];
    last: Receipt;
  }[] = [
    { name: 'all kept', refuse: {}, tried: ['a', 'b', 'c'], still: [], last: { state: 'kept', at: 3 } },
    {
      name: 'one refused for good holds up nothing behind it',
      refuse: { a: { state: 'refused', reason: 'passed' } },
      tried: ['a', 'b', 'c'],
      still: ['a'],
      last: { state: 'refused', reason: 'passed' },
    },
    {
      name: 'where nothing can be saved, nothing more is tried',
      refuse: { b: { state: 'refused', reason: 'closed' } },
      tried: ['a', 'b'],
      still: ['c', 'b'],
      last: { state: 'refused', reason: 'closed' },
    },
    {
      name: 'a port that fails is a full store',
      refuse: { a: 'throws' },
      tried: ['a'],
      still: ['b', 'c', 'a'],
      last: { state: 'refused', reason: 'storage' },
    },
  ];
  for (const { name, refuse, tried, still, last } of cases)
    it(name, async () => {
      const waiting = new Map(['a', 'b', 'c'].map((id) => [id, said(id)] as const));
      const seen: string[] = [];
      const receipt = await keepAnswers(waiting, (id) => {
        seen.push(id);
        const refusal = refuse[id];
        if (refusal === 'throws') return Promise.reject(new Error('gone'));
        return Promise.resolve(refusal ?? { state: 'kept', at: seen.length });
      });
      assert.deepEqual(seen, tried);
      assert.deepEqual([...waiting.keys()], still);
      assert.deepEqual(receipt, last);
    });

  it('an answer given anew while the old one is refused takes its place, and is tried', async () => {
    const waiting = new Map([['a', said('silt')]]);
    const receipt = await keepAnswers(waiting, (id, answer) => {
      if (answer?.kind === 'phrase' && answer.text === 'silt') {
        waiting.set(id, said('sand'));
        return Promise.resolve({ state: 'refused', reason: 'unknown' });
      }
      return Promise.resolve({ state: 'kept', at: 2 });
    });
    assert.equal(waiting.size, 0);
    assert.deepEqual(receipt, { state: 'kept', at: 2 });
  });
});
