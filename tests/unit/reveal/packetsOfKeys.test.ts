import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { plain } from '@/core/content/plainText';
import { emptyContent } from '@/core/quiz/newQuiz';
import { newPlacement } from '@/core/quiz/newPlacement';
import { paperFrom } from '@/core/quiz/paper';
import type { QuizContent } from '@/core/quiz/quiz';
import type { Section } from '@/core/quiz/section';
import { serveStudents } from '@/core/sitting/serve';
import { trialStore } from '@/core/sitting/trialStore';
import { kindOf, type Question } from '@/core/kinds';
import { questionsForStudent } from '@/core/reveal/slip';
import { newSeed } from '@/device/ids';
import { anyKind, questionOf } from '../support/arbitrary';
import { filledQuestion } from '../support/filled';
import { paperOf } from '../support/support';
import { runs } from '../../runs';

/** What a student is sent to work at tells nothing of the key: the same whatever the key is. */

/** Fields of questions, and of what is in them, that say what is right, what is said about it, or how it is compared. */
const OF_THE_KEY = new Set([
  'credit', 'right', 'partner', 'weight', 'feedback', 'missed', 'partly', 'wrong', 'explanation', 'variants', 'expected', 'value',
  'tolerance', 'words', 'ideas', 'areas', 'settings', 'unmatched', 'rubric', 'name', 'topics', 'negativeCredit', 'penalty', 'model',
  'whenTrue', 'whenFalse', 'ways', 'model', 'keepsPlace', 'shape', 'unit', 'units', 'form', 'forms', 'bands', 'boxesRight', 'price',
]); // prettier-ignore

/** The question of one with the key of another of its kind: everything that is no key stays. */
function rekeyed(question: unknown, other: unknown, inside = ''): unknown {
  if (Array.isArray(question) && Array.isArray(other))
    return question.map((one, at) => rekeyed(one, other[at % Math.max(1, other.length)], inside));
  if (typeof question !== 'object' || question === null || typeof other !== 'object' || other === null)
    return question;
  const from = other as Record<string, unknown>;
  return Object.fromEntries(
    Object.entries(question).map(([field, value]) => {
      // What an item belongs to is the key of boxes; what boxes there are is not.
      const isKey = OF_THE_KEY.has(field) || (field === 'boxes' && inside === 'items');
      return [field, isKey && field in from ? from[field] : rekeyed(value, from[field], field)];
    }),
  );
}

/** Partners are never shown solved, so that their order tells of one order that it is not; nothing else of it is of the key. */
const unordered = (face: object): object =>
  'partners' in face
    ? { ...face, partners: [...(face.partners as { id: string }[])].sort((a, b) => (a.id < b.id ? -1 : 1)) }
    : face;

const seeds = fc.oneof(fc.nat(0xffffffff), fc.array(fc.nat(15), { minLength: 32, maxLength: 32 }).map((all) => all.map((n) => n.toString(16)).join(''))); // prettier-ignore

describe('what is sent of a question', () => {
  it('is the same for any key, hints and all', () => {
    let differing = 0;
    fc.assert(
      fc.property(
        anyKind.chain((kind) => fc.tuple(questionOf(kind), questionOf(kind))),
        seeds,
        fc.boolean(),
        ([question, other], seed, shuffledOptions) => {
          const keyed = rekeyed(question, other) as Question;
          if (JSON.stringify(keyed) !== JSON.stringify(question)) differing++;
          const sent = (one: Question) =>
            questionsForStudent(paperOf([one], { shuffledOptions }), { seed, hints: {} }).map(
              ({ hints, face, ...rest }) => ({
                ...rest,
                // Whether “none” can be chosen tells that something belongs to none: the question has to say so.
                face: unordered({ ...face, withNone: null }),
                hints: hints.map(({ id, text }) => ({ id, text })),
              }),
            );
          assert.deepEqual(sent(keyed), sent(question));
        },
      ),
      { numRuns: runs(5000) },
    );
    assert.ok(differing > 20, 'keys did differ');
  });
});

const HASH = 'ab'.repeat(32);
/** What stands around questions, and has nothing of a key: a map, a sound, and words before them. */
const SECTION: Section = {
  id: 'section',
  heading: 'The map',
  text: [
    ...plain('Look at the map, where \\(v\\) is written.'),
    { type: 'picture', picture: { hash: HASH, width: 600, height: 400, alt: 'A map of the Alder', share: 100 } },
  ],
  clips: [{ hash: HASH, type: 'audio/mpeg', bytes: 10, title: 'The weir', words: 'Water falls.' }],
}; // prettier-ignore
const formula = (tex: string) => ({ tex, words: tex, mathml: `<math><mi>${tex}</mi></math>` });

/** All that a student who begins is sent of a quiz with one question between a note and another one, under a section. */
async function sentOf(question: Question, seed: string, more: Partial<QuizContent>): Promise<object> {
  const ids = { note: { ...filledQuestion('note', {}), id: 'note' }, last: { ...filledQuestion('trueFalse', {}), id: 'last' } };
  const asked = { formulas: [formula('v')], ...question, id: 'asked' } as Question;
  const content = {
    ...emptyContent('The Alder'), ...more, sections: [SECTION], order: ['section', 'note', 'asked', 'last'], formulas: [formula('v')],
  };
  const paper = paperFrom(content, [ids.note, asked, ids.last].map((one) => ({ question: one, placement: newPlacement(one.id) })));
  let made = 0;
  const port = serveStudents(trialStore({
    quizId: 'quiz', content, paper, now: () => 1_000_000, newId: () => `id-${++made}`, newSeed: () => seed, picture: () => Promise.resolve(null),
  }));
  const packet = await port.begin({ quizId: 'quiz', ticket: '' });
  assert.ok(packet.state === 'working', packet.state);
  const { working, cover } = packet;
  const questions = working.questions.map(({ hints, face, ...rest }) => ({
    ...rest,
    face: unordered({ ...face, withNone: null }),
    hints: hints.map(({ id, text }) => ({ id, text })),
  }));
  return { cover, working: { ...working, questions } };
} // prettier-ignore

describe('what is sent of a whole quiz', () => {
  it('is the same for any key, with sections, pictures, sounds, formulas and notes around', async () => {
    let differing = 0;
    await fc.assert(
      fc.asyncProperty(
        anyKind.chain((kind) => fc.tuple(questionOf(kind), questionOf(kind))),
        fc.array(fc.nat(15), { minLength: 32, maxLength: 32 }),
        fc.boolean(),
        fc.constantFrom('each' as const, 'one' as const),
        async ([question, other], digits, shuffled, pages) => {
          const seed = digits.map((n) => n.toString(16)).join('');
          const secret = { ...rekeyed(question, other) as Question, explanation: 'Only \\(k\\) knows.', formulas: [formula('v'), formula('k')] } as Question;
          if (JSON.stringify(secret) !== JSON.stringify(question)) differing++;
          const more = { shuffled, shuffledOptions: shuffled, pages };
          assert.deepEqual(await sentOf(secret, seed, more), await sentOf(question, seed, more));
        },
      ),
      { numRuns: runs(1000) },
    );
    assert.ok(differing > 20, 'keys did differ');
  }); // prettier-ignore
});

describe('lists and banks of gaps', () => {
  const option = (id: string, right: boolean) => ({ id, text: id, credit: { n: right ? 1 : 0, d: 1 } });
  const listed = (more: object = {}) =>
    filledQuestion('gaps', {
      passage: [{ gap: 'g' }],
      gaps: [{ id: 'g', type: 'list', weight: { n: 1, d: 1 }, options: [option('a', true), option('b', false), option('c', false), option('d', false)] }],
      bank: ['a', 'b', 'c', 'd'].map((id) => ({ id, text: id, times: 1 })),
      ideas: [],
      model: 'weightedSum',
      ...more,
    }); // prettier-ignore
  const face = (question: Question, seed: string | number) => {
    const made = kindOf(question).faceOf(question, seed);
    assert.ok(made.kind === 'gaps');
    return { list: (made.gaps[0]?.options ?? []).map(({ id }) => id).join(''), bank: made.bank.map(({ id }) => id).join('') };
  }; // prettier-ignore

  it('come in an order of each student’s own: the right word is first no more often than any other', () => {
    const first = new Map<string, number>();
    for (let n = 0; n < 2000; n++) {
      const at = face(listed(), newSeed()).list[0] ?? '';
      first.set(at, (first.get(at) ?? 0) + 1);
    }
    for (const id of ['a', 'b', 'c', 'd']) assert.ok(Math.abs((first.get(id) ?? 0) - 500) < 120, id);
  });
  it('stand as the teacher ordered them where she says so, and are the same each time', () => {
    const seed = newSeed();
    assert.deepEqual(face(listed({ keepsOrder: true }), seed), { list: 'abcd', bank: 'abcd' });
    assert.deepEqual(face(listed(), seed), face(listed(), seed));
  });
  it('keep the order that they had in attempts of earlier forms', () => {
    for (const seed of [0, 1, 7, 4_294_967_295]) {
      assert.equal(face(listed(), seed).list, 'abcd');
      assert.equal(face(listed({ keepsOrder: true }), seed).bank, face(listed(), seed).bank);
    }
    assert.equal(face(listed(), 7).bank, OLD_BANK);
  });
});

/** The order of a bank of four by seed 7, as it was before lists were shuffled. */
const OLD_BANK = 'cbda';
