import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { MarkColumn } from '@/core/checking/markColumn';
import { Answer, kindOf, Question } from '@/core/kinds';
import { compare, ONE, ZERO } from '@/core/figures/fraction';
import { verdictOf } from '@/core/marks/mark';
import { contextOf } from '@/core/scoring/context';
import { markAnswer, markAttempt } from '@/core/scoring/markAttempt';
import { bestPossible } from '@/core/scoring/possible';
import { scoreQuestion } from '@/core/scoring/scoreQuestion';
import { total, traceTotal } from '@/core/scoring/total';
import { traceAnswer } from '@/core/scoring/traceAnswer';
import { traceWords } from '@/core/scoring/words';
import { isSafeAddress } from '@/core/content/links';
import {
  paperOf,
  path,
  worth,
  phraseQuestion,
  pickOneQuestion,
  share,
  variant,
  written,
  readText,
} from '../support/support';
import { QUESTIONS } from '../../demoQuiz';
import { runs } from '../../runs';

const context = { language: 'en', decimalSign: 'point' as const };
const pick = (option: string): Answer => ({ kind: 'pickOne', option });
const say = (text: string): Answer => ({ kind: 'phrase', text });

describe('pick one', () => {
  const question = pickOneQuestion({ levee: '1', bank: '1/2', gorge: '0' });
  const cases: [Answer | null, string, string][] = [
    [pick('levee'), 'right', '1'],
    [pick('bank'), 'partly', '1/2'],
    [pick('gorge'), 'wrong', '0'],
    [null, 'blank', '0'],
    [pick('no-such-option'), 'waits', '0'],
    [{ kind: 'unread', text: 'a dam' }, 'waits', '0'],
  ];
  for (const [answer, state, credit] of cases) {
    test(`${JSON.stringify(answer)} is ${state}`, () => {
      const mark = markAnswer(question, answer, context);
      assert.equal(verdictOf(mark), state);
      assert.equal(written(mark.credit), credit);
    });
  }
  test('without a right option every answer waits, a blank does not', () => {
    const keyless = pickOneQuestion({ levee: '0', gorge: '0' });
    assert.equal(markAnswer(keyless, pick('levee'), context).state, 'waits');
    assert.equal(markAnswer(keyless, null, context).state, 'blank');
  });
  test('an option taken off after students saw it still counts for them, but is not offered', () => {
    const options = question.options.map((option) => ({ ...option, gone: option.id === 'bank' }));
    const changed = { ...question, options };
    assert.equal(written(markAnswer(changed, pick('bank'), context).credit), '1/2');
    assert.ok(!JSON.stringify(kindOf(changed).faceOf(changed, 7)).includes('bank'));
  });
  test('own feedback goes before that of the question', () => {
    const own = { text: 'own', links: [] };
    const right = { text: 'general', links: [] };
    const partly = { text: 'halfway', links: [] };
    const spoken = {
      ...question,
      right,
      partly,
      options: question.options.map((o) => (o.id === 'gorge' ? { ...o, feedback: own } : o)),
    };
    assert.equal(markAnswer(spoken, pick('levee'), context).feedback.text, 'general');
    assert.equal(markAnswer(spoken, pick('gorge'), context).feedback.text, 'own');
    assert.equal(markAnswer(spoken, pick('bank'), context).feedback.text, 'halfway');
  });
  test('an answer in a file is read by text, then by letter, and never lost', () => {
    const read = (text: string) => readText(question, text);
    assert.deepEqual(read('  Levee. '), pick('levee'));
    assert.deepEqual(read('b)'), pick('bank'));
    assert.deepEqual(read('dam'), { kind: 'unread', text: 'dam' });
    assert.equal(read('  '), null);
  });
});

describe('a whole paper', () => {
  const third = phraseQuestion([variant('v', ['silt'], '1/3')]);
  const questions = [1, 2, 3].map((n) => ({ ...third, id: `q-${n}`, points: share('2') }));
  const paper = paperOf(questions);
  const answers = Object.fromEntries(questions.map((question) => [question.id, say('silt')]));

  test('adds up exactly: three thirds of 2 points are 2', () => {
    const scores = markAttempt(paper, answers);
    assert.deepEqual(total(scores, path()).exact, { n: 2, d: 1 });
    assert.equal(written(total(scores, path()).outOf), '6');
  });
  test('rounds the recorded score to hundredths and says so', () => {
    const scores = markAttempt(paper, { 'q-1': say('silt') });
    assert.equal(written(total(scores, path()).score), '67/100');
    assert.deepEqual(traceTotal(scores, path()).map(traceWords), [
      '3 questions add up to 2/3 (about 0.67) of 6',
      'Rounded to hundredths: 0.67',
    ]);
  });
  test('waiting points are named beside the score, never as lost', () => {
    const waiting = paperOf([{ ...phraseQuestion([]), id: 'w', points: share('3') }, ...questions]);
    const sums = total(markAttempt(waiting, { w: say('x'), 'q-1': say('silt') }), path());
    assert.equal(written(sums.waiting), '3');
    assert.equal(written(sums.outOf), '9');
  });
  test('the best possible paper names what it misses', () => {
    const keyless = { ...phraseQuestion([]), id: 'none' };
    const found = bestPossible(paperOf([...questions, keyless]));
    assert.equal(written(found.best), '2');
    assert.deepEqual(found.missing, ['q-1', 'q-2', 'q-3', 'none']);
  });
});

/** Made-up answers to the demo's questions: from the key, from its edges, and from nowhere. */
const answerTo = (question: Question): fc.Arbitrary<Answer | null> => {
  if (question.kind === 'pickOne') {
    const ids = question.options.map((option) => option.id);
    return fc.option(fc.constantFrom(...ids, 'gone').map(pick), { nil: null });
  }
  if (question.kind !== 'phrase') return fc.constant(null);
  const forms = question.variants.flatMap((v) => v.forms);
  const edited = fc
    .tuple(fc.constantFrom(...forms), fc.nat(12), fc.string({ maxLength: 2 }))
    .map(([form, at, extra]) => form.slice(0, at) + extra + form.slice(at + 1));
  return fc.option(fc.oneof(fc.constantFrom(...forms), edited, fc.string({ unit: 'binary' })).map(say), {
    nil: null,
  });
};
const cases = fc
  .constantFrom(...QUESTIONS)
  .chain((question) => fc.tuple(fc.constant(question), answerTo(question)));

describe('laws', () => {
  test('credit stays within its bounds, and marking twice is the same', () => {
    fc.assert(
      fc.property(cases, ([question, answer]) => {
        const mark = markAnswer(question, answer, context);
        assert.ok(compare(mark.credit, ZERO) >= 0 && compare(mark.credit, ONE) <= 0);
        assert.ok(compare(mark.credit, mark.keyCredit) <= 0);
        assert.deepEqual(markAnswer(question, answer, context), mark);
      }),
      { numRuns: runs(1500) },
    );
  });
  test('the last line of the trace is the score', () => {
    fc.assert(
      fc.property(cases, ([question, answer]) => {
        const lines = traceAnswer(question, answer, paperOf([question]));
        const own = contextOf(paperOf([question]), question);
        const earned = scoreQuestion(markAnswer(question, answer, own), worth(ONE)).earned;
        assert.deepEqual(lines.at(-1)?.after, earned);
        for (const line of lines) assert.notEqual(traceWords(line), line.code, 'every line has words');
      }),
      { numRuns: runs(800) },
    );
  });
  test('kept marks agree with fresh ones', () => {
    const columns = new Map(QUESTIONS.map((question) => [question.id, new MarkColumn(question, context)]));
    fc.assert(
      fc.property(cases, ([question, answer]) => {
        const column = columns.get(question.id);
        assert.deepEqual(column?.mark(answer ?? undefined), markAnswer(question, answer, context));
      }),
      { numRuns: runs(1500) },
    );
  });
  test('an added variant of full credit never lowers a score', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('silt', 'sand', 'clay', 'silty'),
        fc.string({ maxLength: 6 }),
        (form, answer) => {
          const before = phraseQuestion([variant('a', ['silt'], '1/2'), variant('b', ['sand'], '0')]);
          const after = { ...before, variants: [...before.variants, variant('new', [form])] };
          const credit = (question: typeof before) =>
            markAnswer(question, say(answer || form), context).credit;
          assert.ok(compare(credit(after), credit(before)) >= 0);
        },
      ),
    );
  });
  test('the order of the paper never changes a total', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray([...QUESTIONS], { minLength: QUESTIONS.length }), (order) => {
        const answers = Object.fromEntries(QUESTIONS.map((q) => [q.id, readText(q, 'levee') as Answer]));
        assert.deepEqual(
          total(markAttempt(paperOf(order), answers), path()).exact,
          total(markAttempt(paperOf([...QUESTIONS]), answers), path()).exact,
        );
      }),
    );
  });
  test('arbitrary plain data never makes a question throw', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...QUESTIONS),
        fc.string({ unit: 'binary', maxLength: 60 }),
        (question, text) => {
          const answer = readText(question, text);
          if (answer) assert.equal(Answer.safeParse(answer).success, true);
          markAnswer(question, answer, context);
        },
      ),
      { numRuns: runs(3000) },
    );
  });
});

test('the demo questions fit their schema and have no problems', () => {
  for (const question of QUESTIONS) {
    assert.deepEqual(Question.parse(question), question);
    assert.deepEqual(kindOf(question).problems(question, context), []);
  }
});

test('only addresses that run nothing are links', () => {
  const safe = ['https://rivers.example/a', 'http://rivers.example', 'mailto:a@rivers.example'];
  const unsafe = [
    'javascript:alert(1)',
    'data:text/html,x',
    ' vbscript:x',
    'https://',
    'file:///etc',
    '//rivers.example',
    'java\nscript:x',
    'https://a b',
  ];
  for (const address of safe) assert.equal(isSafeAddress(address), true, address);
  for (const address of unsafe) assert.equal(isSafeAddress(address), false, address);
});
