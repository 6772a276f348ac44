import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { MarkColumn } from '@/core/checking/markColumn';
import { compare, equal, fraction, multiply, ONE, ZERO, type Fraction } from '@/core/figures/fraction';
import { KIND_NAMES, kindOf, type Answer, type Question } from '@/core/kinds';
import { verdictOf, type Mark } from '@/core/marks/mark';
import { markAnswer, markAnything } from '@/core/scoring/markAttempt';
import { penaltyPoints, scoreQuestion, traceQuestion, type ScoringRules } from '@/core/scoring/scoreQuestion';
import { total, traceTotal } from '@/core/scoring/total';
import { traceWords } from '@/core/scoring/words';
import { answerOf, anyKind, questionOf, questionWithAnswer } from '../support/arbitrary';
import { filledQuestion } from '../support/filled';
import { path, share, worth, written } from '../support/support';
import { runs } from '../../runs';

const context = { language: 'en', decimalSign: 'point' as const };
const MINUS_ONE: Fraction = { n: -1, d: 1 };

function inBounds(question: Question, mark: Mark): boolean {
  const low = question.negativeCredit ? MINUS_ONE : ZERO;
  const within = (value: Fraction) => compare(value, low) >= 0 && compare(value, ONE) <= 0;
  const waits = mark.state === 'waits';
  return (
    within(mark.credit) &&
    within(mark.keyCredit) &&
    (mark.ifRight !== null) === waits &&
    (mark.ifRight === null || within(mark.ifRight))
  );
}

describe('every kind of question', () => {
  test('100 000 answers of any JSON to questions of every kind: never a throw, never out of bounds', () => {
    const anything = fc.oneof(
      fc.jsonValue({ maxDepth: 2 }),
      anyKind.chain(answerOf),
    ) as fc.Arbitrary<unknown>;
    const questions = anyKind.chain(questionOf);
    fc.assert(
      fc.property(questions, fc.array(anything, { minLength: 10, maxLength: 10 }), (question, answers) =>
        answers.every((answer) => inBounds(question, markAnything(question, answer, context))),
      ),
      { numRuns: runs(10_000) },
    );
  });
  test('what fits the schemas is marked within bounds, explained, named and read back', () => {
    fc.assert(
      fc.property(questionWithAnswer, ([question, answer]) => {
        const kind = kindOf(question);
        assert.ok(kind.question.safeParse(question).success, 'the made-up question fits its schema');
        assert.ok(kind.answer.safeParse(answer).success, 'the made-up answer fits its schema');
        const mark = markAnswer(question, answer, context);
        assert.ok(inBounds(question, mark));
        const words = kind.explain(question, answer, context).map(traceWords);
        assert.ok(
          words.length > 0 && words.every((line) => line.length > 3 && !/undefined|\[object/.test(line)),
          words.join('\n'),
        );
        assert.ok(kind.describe(question, context).every((line) => !/undefined|\[object/.test(line)));
        assert.ok(kind.face.safeParse(kind.faceOf(question, 7)).success);
        const back = kind.readAnswer(question, kind.answerText(question, answer), context);
        assert.ok(!back.ok || back.answer === null || kind.answer.safeParse(back.answer).success);
      }),
      { numRuns: runs(5000) },
    );
  });
  test('law: marking twice is the same, and so is marking from a kept column', () => {
    fc.assert(
      fc.property(questionWithAnswer, ([question, answer]) => {
        const column = new MarkColumn(question, context);
        const once = markAnswer(question, answer, context);
        column.mark(answer);
        assert.deepEqual(markAnswer(structuredClone(question), structuredClone(answer), context), once);
        assert.deepEqual(column.mark(structuredClone(answer)), once);
      }),
      { numRuns: runs(3000) },
    );
  });
  test('law: no answer earns more than the best, or less than the lowest credit of the key', () => {
    fc.assert(
      fc.property(questionWithAnswer, ([question, answer]) => {
        const mark = markAnswer(question, answer, context);
        const best = kindOf(question).bestCredit(question);
        const hasGone = question.kind === 'pickSeveral' && question.options.some(({ gone }) => gone);
        if (mark.state !== 'marked' || question.kind === 'gaps' || hasGone) return true;
        const lowest = question.negativeCredit ? kindOf(question).lowestCredit(question) : ZERO;
        return best !== null && compare(mark.credit, best) <= 0 && compare(mark.credit, lowest) >= 0;
      }),
      { numRuns: runs(5000) },
    );
  });
  test('law: a score does not depend on the order in which options are shown', () => {
    const shown = fc.constantFrom(
      'pickOne' as const,
      'pickSeveral' as const,
      'boxes' as const,
      'match' as const,
    );
    fc.assert(
      fc.property(
        shown.chain((kind) => fc.tuple(questionOf(kind), answerOf(kind))),
        ([question, answer]) => {
          const turned = { ...question } as Record<string, unknown>;
          for (const list of ['options', 'items', 'partners', 'boxes'])
            if (Array.isArray(turned[list])) turned[list] = (turned[list] as unknown[]).toReversed();
          const other = markAnswer(turned as unknown as Question, answer, context);
          return equal(other.credit, markAnswer(question, answer, context).credit);
        },
      ),
      { numRuns: runs(2000) },
    );
  });
  test('law: a word or phrase: one more variant of full credit never lowers a score', () => {
    const extra = fc.constantFrom('silt', 'sand', 'oxbow lake', 'Nile');
    fc.assert(
      fc.property(questionOf('phrase'), answerOf('phrase'), extra, (question, answer, form) => {
        if (question.kind !== 'phrase') return true;
        const settings = { ...question.settings, typingErrors: 0 as const };
        const variants = question.variants.filter(({ decides, match }) => !decides && match === 'whole');
        const before = { ...question, settings, variants };
        const added = {
          id: 'new',
          forms: [form],
          match: 'whole' as const,
          credit: ONE,
          feedback: question.right,
          decides: false,
          settings: {},
        };
        const mark = (one: Question) => markAnswer(one, answer, context);
        const [old, next] = [mark(before), mark({ ...before, variants: [...variants, added] })];
        return old.state === 'waits' || compare(next.credit, old.credit) >= 0;
      }),
      { numRuns: runs(3000) },
    );
  });
});

test('law: ignoring one more difference never makes a right answer wrong', () => {
  const letters = fc.constantFrom(
    'a',
    'b',
    'é',
    'E',
    ' ',
    '-',
    '.',
    'the ',
    'ö',
    'ß',
    '1',
    ',',
    "l'",
    'O',
    '漢',
  );
  const text = fc.array(letters, { minLength: 1, maxLength: 7 }).map((list) => list.join(''));
  const flags = [
    'ignoreCapitals',
    'ignoreArticles',
    'ignorePunctuation',
    'ignoreAccents',
    'ignoreWordOrder',
  ] as const;
  const changed = fc.oneof(
    fc.constant((form: string) => form),
    fc.constant((form: string) => form.toUpperCase()),
    fc.constant((form: string) => `${form}.`),
    fc.constant((form: string) => form.replace(/é/g, 'e')),
  );
  fc.assert(
    fc.property(
      fc.array(text, { minLength: 1, maxLength: 3 }),
      changed,
      fc.nat(31),
      fc.constantFrom(...flags),
      fc.constantFrom('en', 'fr', 'de'),
      (forms, change, set, more, language) => {
        const settings = {
          ...Object.fromEntries(flags.map((flag, at) => [flag, (set & (1 << at)) !== 0])),
          typingErrors: 0,
          typingErrorPrice: ZERO,
        };
        const of = (one: object) =>
          filledQuestion('phrase', {
            settings: one,
            variants: forms.map((form, at) => ({ id: `v${at}`, forms: [form], credit: ONE })),
          });
        const answer: Answer = { kind: 'phrase', text: change(forms[0] ?? '') };
        const verdict = (one: object) => verdictOf(markAnswer(of(one), answer, { ...context, language }));
        const [before, after] = [verdict(settings), verdict({ ...settings, [more]: true })];
        return before !== 'right' || after === 'right' || after === 'blank';
      },
    ),
    { numRuns: runs(5000) },
  );
});

describe('kinds, case by case', () => {
  const at = (question: Question, answer: Answer | null) => {
    const mark = markAnswer(question, answer, context);
    return `${verdictOf(mark)} ${written(mark.credit)}`;
  };
  test('without a key everything waits, and a blank is a blank', () => {
    const empty: Readonly<Partial<Record<Question['kind'], Answer>>> = {
      pickSeveral: { kind: 'pickSeveral', options: ['a'] },
      number: { kind: 'number', text: '5' },
      trueFalse: { kind: 'trueFalse', value: true },
      written: { kind: 'written', text: 'a text' },
    };
    for (const kind of KIND_NAMES) {
      const question = filledQuestion(
        kind,
        kind === 'pickSeveral' ? { options: [{ id: 'a' }, { id: 'b' }] } : {},
      );
      assert.equal(at(question, null), 'blank 0', kind);
      const answer = empty[kind];
      if (answer) assert.equal(at(question, answer), 'waits 0', kind);
    }
    assert.equal(at(filledQuestion('note', {}), null), 'blank 0');
  });
  test('put in order: every model', () => {
    const items = ['a', 'b', 'c', 'd', 'e'].map((id) => ({ id, text: id.toUpperCase() }));
    const credits = (places: string) =>
      ['allOrNothing', 'rightPlaces', 'neighbours', 'longestRun', 'keptOrder', 'pairsInOrder'].map((kind) => {
        const model = kind === 'longestRun' ? { kind, least: 2, table: null } : { kind };
        const answer: Answer = { kind: 'order', places: [...places], touched: true };
        return written(markAnswer(filledQuestion('order', { items, model }), answer, context).credit);
      });
    assert.deepEqual(credits('abdec'), ['0', '2/5', '1/2', '2/5', '3/4', '4/5']);
    assert.deepEqual(credits('bcdea'), ['0', '0', '3/4', '4/5', '3/4', '3/5']);
    assert.deepEqual(credits('abcde'), ['1', '1', '1', '1', '1', '1']);
    assert.deepEqual(credits('edcba'), ['0', '1/5', '0', '0', '0', '0']);
    const untouched: Answer = { kind: 'order', places: ['a', 'b', 'c', 'd', 'e'], touched: false };
    assert.equal(at(filledQuestion('order', { items, model: { kind: 'neighbours' } }), untouched), 'blank 0');
  });
  test('a bank word that is used too often is wrong after that', () => {
    const gap = (id: string) => ({ id, type: 'bank', weight: ONE, words: [{ word: 'silt', credit: ONE }] });
    const question = filledQuestion('gaps', {
      gaps: [gap('a'), gap('b'), gap('c')],
      bank: [{ id: 'silt', text: 'silt', times: 2 }],
      model: 'weightedSum',
    });
    const answer: Answer = { kind: 'gaps', gaps: { a: 'silt', b: 'silt', c: 'silt' } };
    assert.equal(at(question, answer), 'partly 2/3');
    assert.ok(
      kindOf(question)
        .explain(question, answer, context)
        .map(traceWords)
        .includes('Gap 3: “silt” is already counted'),
    );
  });
  test('bank words that read the same are one word, as often as they stand there together', () => {
    const gap = (id: string, word: string) => ({ id, type: 'bank', weight: ONE, words: [{ word, credit: ONE }] });
    const question = filledQuestion('gaps', {
      gaps: [gap('a', 's1'), gap('b', 's2'), gap('c', 's1')],
      bank: [
        { id: 's1', text: 'silt', times: 1 },
        { id: 's2', text: ' silt', times: 1 },
        { id: 'x', text: 'sand', times: 1 },
      ],
      model: 'weightedSum',
    });
    const filled = (a: string, b: string, c: string): Answer => ({ kind: 'gaps', gaps: { a, b, c } });
    assert.equal(at(question, filled('s2', 's1', 'x')), 'partly 2/3');
    assert.equal(at(question, filled('s1', 's1', 'x')), 'partly 2/3', 'nobody can tell which was taken');
    assert.equal(at(question, filled('s1', 's2', 's1')), 'partly 2/3', 'it stands there twice');
    assert.equal(at(question, filled('x', '', '')), 'wrong 0');
  }); // prettier-ignore
  test('gaps of several sorts: weights, a number, a list, all or nothing with prices, and one that waits', () => {
    const settings = {
      ignoreCapitals: true,
      ignoreArticles: false,
      ignorePunctuation: true,
      ignoreAccents: false,
      ignoreWordOrder: false,
      typingErrors: 1,
      typingErrorPrice: share('0.5'),
    };
    const text = {
      id: 't',
      type: 'text',
      weight: share('2'),
      settings,
      variants: [{ id: 'v', forms: ['levee'], match: 'whole', credit: ONE }],
      unmatched: 'wrong',
    };
    const number = {
      id: 'n',
      type: 'number',
      weight: ONE,
      key: '5.3',
      bands: [{ kind: 'exact', credit: ONE }],
      expected: [],
      form: { kind: 'any' },
      unit: { kind: 'none' },
      bareFraction: true,
      unmatched: 'waits',
    };
    const list = {
      id: 'l',
      type: 'list',
      weight: ONE,
      options: [
        { id: 'x', credit: ONE },
        { id: 'y', credit: ZERO },
      ],
    };
    const of = (model: string) => filledQuestion('gaps', { gaps: [text, number, list], model });
    const say = (t: string, n: string, l: string): Answer => ({ kind: 'gaps', gaps: { t, n, l } });
    assert.equal(at(of('weightedSum'), say('levee', '5.30', 'y')), 'partly 3/4');
    assert.equal(at(of('weightedSum'), say('leve', '5.30', 'x')), 'right 3/4');
    assert.equal(at(of('allOrNothing'), say('leve', '5.30', 'x')), 'right 3/4');
    assert.equal(at(of('allOrNothing'), say('leve', '5.30', 'y')), 'wrong 0');
    const waiting = markAnswer(of('weightedSum'), say('levee', 'much', 'y'), context);
    assert.deepEqual(
      [waiting.state, written(waiting.credit), written(waiting.ifRight ?? ZERO)],
      ['waits', '1/2', '3/4'],
    );
    const score = scoreQuestion(waiting, worth(share('4')));
    assert.deepEqual([written(score.earned), written(score.waiting)], ['2', '1']);
  });
  test('rows: pick one and pick several, the mean, and a row without a key', () => {
    const one = {
      id: 'one',
      several: false,
      options: [
        { id: 'a', credit: ONE },
        { id: 'b', credit: share('1/2') },
      ],
    };
    const several = {
      id: 'two',
      several: true,
      options: [{ id: 'a', right: true }, { id: 'b', right: true }, { id: 'c' }],
    };
    const question = filledQuestion('rows', {
      rows: [one, several],
      model: 'rightMinusWrong',
      joined: 'mean',
    });
    assert.equal(at(question, { kind: 'rows', picked: { one: ['b'], two: ['a'] } }), 'partly 1/2');
    assert.equal(at(question, { kind: 'rows', picked: { one: ['a'], two: ['a', 'b'] } }), 'right 1');
    assert.equal(at(question, { kind: 'rows', picked: { two: ['c'] } }), 'wrong 0');
    const keyless = filledQuestion('rows', {
      rows: [one, { id: 'two', several: false, options: [{ id: 'a' }] }],
    });
    assert.equal(at(keyless, { kind: 'rows', picked: { one: ['a'], two: ['a'] } }), 'waits 1/2');
  });
  test('a rubric half done waits whole; done, it is final and without a penalty', () => {
    const level = (id: string, points: string) => ({ id, text: id, points: share(points) });
    const rubric = [
      { id: 'c1', text: 'Terms', levels: [level('none', '0'), level('all', '3')] },
      { id: 'c2', text: 'Reasons', levels: [level('none', '0'), level('some', '1')] },
    ];
    const question = filledQuestion('written', { rubric, penalty: { kind: 'share', share: ONE } });
    const answer: Answer = { kind: 'written', text: 'The river …' };
    const mark = (levels: Record<string, string>) => markAnswer(question, answer, { ...context, levels });
    assert.equal(mark({ c1: 'all' }).state, 'waits');
    assert.equal(written(mark({ c1: 'all', c2: 'none' }).credit), '3/4');
    assert.equal(mark({ c1: 'none', c2: 'none' }).allWrong, false);
  });
});

describe('penalties, hints and standing, as laws', () => {
  const rules = fc.record({
    points: fc.constantFrom(fraction(1), fraction(4), fraction(5, 2)),
    lowest: fc.constantFrom(ZERO, fraction(-1, 2), MINUS_ONE),
    share: fc.constantFrom(ZERO, fraction(1, 3), ONE),
    hints: fc.constantFrom(ZERO, fraction(1, 2), fraction(7)),
    standing: fc.constantFrom('counts', 'notMarked', 'leftOut', 'given', 'givenToAnswered', 'bonus'),
  });
  const whole = ({
    share: part,
    ...more
  }: {
    points: Fraction;
    lowest: Fraction;
    share: Fraction;
    hints: Fraction;
    standing: string;
  }) =>
    ({ ...more, penalty: penaltyPoints({ kind: 'share', share: part }, more.points, null) }) as ScoringRules;
  test('law: points stay between the floor and the points, and the trace leads to them', () => {
    fc.assert(
      fc.property(questionWithAnswer, rules, ([question, answer], made) => {
        const mark = markAnswer(question, answer, context);
        const way = whole(made);
        const score = scoreQuestion(mark, way);
        const lines = traceQuestion(mark, way);
        const figures = lines.filter((line) => line.after !== null);
        figures
          .slice(1)
          .forEach((line, at) => assert.ok(equal(line.before ?? ZERO, figures[at]?.after ?? ZERO)));
        if (way.standing !== 'given' || mark.state !== 'waits')
          assert.equal(written(figures.at(-1)?.after ?? ZERO), written(score.earned));
        return (
          compare(score.earned, way.points) <= 0 &&
          compare(score.earned, multiply(MINUS_ONE, way.points)) >= 0
        );
      }),
      { numRuns: runs(3000) },
    );
  });
  test('law: a total follows its trace, step by step, and does not depend on the order of the questions', () => {
    const scores = fc.array(fc.tuple(questionWithAnswer, rules), { minLength: 1, maxLength: 5 });
    const scoring = fc.record({
      floor: fc.boolean(),
      repeat: fc.option(fc.constant({ price: fraction(1, 10), least: fraction(1, 2) })),
      bonusLifts: fc.boolean(),
      outOf: fc.option(fc.constantFrom(fraction(10), fraction(100))),
      rounding: fc.constantFrom(null, 1 as const, 2 as const, 10 as const, 100 as const),
    });
    fc.assert(
      fc.property(scores, scoring, fc.integer({ min: 1, max: 8 }), (list, more, repeat) => {
        const made = list.map(([[question, answer], one]) =>
          scoreQuestion(markAnswer(question, answer, context), whole(one)),
        );
        const way = path(more, null, repeat);
        const result = total(made, way);
        const figures = traceTotal(made, way).filter((line) => line.after !== null);
        figures
          .slice(1)
          .forEach((line, at) => assert.ok(equal(line.before ?? ZERO, figures[at]?.after ?? ZERO)));
        assert.equal(written(figures.at(-1)?.after ?? ZERO), written(result.score));
        assert.deepEqual(total(made.toReversed(), way).score, result.score);
        return compare(result.score, result.cap) <= 0;
      }),
      { numRuns: runs(2000) },
    );
  });
});
