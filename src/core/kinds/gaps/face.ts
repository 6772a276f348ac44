import { partSeed, randomFrom, shuffled, type Seed } from '../../figures/random';
import type { GapsFace, GapsQuestion } from './schema';

/** In one student's order; attempts of earlier forms have lists as they were written and a bank that is shuffled. */
function inOrder<One>(
  list: readonly One[],
  question: GapsQuestion,
  seed: Seed,
  before: 'shuffled' | 'written',
): One[] {
  const isShuffled = typeof seed === 'number' ? before === 'shuffled' : !question.keepsOrder;
  return isShuffled ? shuffled(randomFrom(seed), list) : [...list];
}

/** What a student sees of a passage: no list and no bank shows by its order which word is right. */
export const faceOf = (question: GapsQuestion, seed: Seed): GapsFace => ({
  kind: 'gaps',
  passage: question.passage,
  gaps: question.gaps.map((gap, at) => ({
    id: gap.id,
    type: gap.type === 'list' ? 'list' : gap.type === 'bank' ? 'bank' : 'typed',
    options:
      gap.type === 'list'
        ? inOrder(gap.options, question, partSeed(seed, at + 1), 'written').map(({ id, text }) => ({
            id,
            text,
          }))
        : [],
  })),
  bank: inOrder(question.bank, question, seed, 'shuffled').map(({ id, text, times }) => ({
    id,
    text,
    times,
  })),
});
