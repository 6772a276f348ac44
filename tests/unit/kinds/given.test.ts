import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { ShownAnswer } from '@/core/content/shownAnswer';
import { KIND_NAMES, kindOf } from '@/core/kinds';
import { runs } from '../../runs';
import { questionOf } from '../support/arbitrary';

/** Every text that stands in what is given. */
function textsOf(given: readonly ShownAnswer[]): string[] {
  const thing = (one: { text: string } | null) => (one ? [one.text] : []);
  return given.flatMap((one) => {
    if (one.form === 'text' || one.form === 'onPicture') return [];
    if (one.form === 'pairs') return one.pairs.flatMap(({ left, right }) => [left, ...right].flatMap(thing));
    return one.things.flatMap(thing);
  });
}

/** Every text of a face, in its order. */
function textsIn(within: unknown): string[] {
  if (typeof within === 'string') return [within];
  if (typeof within !== 'object' || within === null) return [];
  return Object.values(within).flatMap(textsIn);
}

describe('what a student is given to answer with', () => {
  for (const name of KIND_NAMES)
    test(`${name}: nothing but what stands on their page`, () => {
      fc.assert(
        fc.property(questionOf(name), fc.nat(), (question, seed) => {
          const face = kindOf(question).faceOf(question, seed, 'shuffled');
          const given = kindOf(question).given(face);
          for (const one of given) ShownAnswer.parse(one);
          const known = new Set(textsIn(face));
          const own = textsOf(given).filter((text) => !/^Gap \d+$/.test(text) && text !== '');
          assert.ok(own.every((text) => known.has(text)));
          if (face.kind === 'pickOne' || face.kind === 'pickSeveral')
            assert.deepEqual(textsOf(given), face.options.map(({ text }) => text)); // prettier-ignore
          if (face.kind === 'order') assert.deepEqual(textsOf(given), face.items.map(({ text }) => text)); // prettier-ignore
        }),
        { numRuns: runs(1000) },
      );
    });
});
