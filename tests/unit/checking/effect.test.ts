import { effectWords } from '@/ui/words/effectWords';
import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { columnsFor, MarkedClass, type ClassWork } from '@/core/checking/classWork';
import { gainOf } from '@/core/checking/gain';
import { effectBetween, underPaper, type Effect } from '@/core/checking/effect';
import { DEFAULT_SETTINGS } from '@/core/answers/text/settings';
import { ONE } from '@/core/figures/fraction';
import type { Answer, KindName, Question } from '@/core/kinds';
import type { Attempt } from '@/core/quiz/work/attempt';
import type { Override } from '@/core/quiz/work/override';
import type { Paper, QuizContent } from '@/core/quiz/quiz';
import { canonical } from '@/core/figures/deepEqual';
import { answerOf, anyKind, questionOf } from '../support/arbitrary';
import { filledQuestion } from '../support/filled';
import { paperOf, phraseQuestion, share, variant, written } from '../support/support';
import { runs } from '../../runs';
import { windowOf } from '../support/shown';

const attempt = (studentId: string, answers: Record<string, Answer>, number = 1): Attempt => ({
  id: `${studentId}-${number}`,
  quizId: 'quiz',
  studentId,
  number,
  revision: 1,
  openedAt: 0,
  savedAt: 1000 * number,
  handedInAt: 1000 * number,
  timeKnown: true,
  source: 'sat',
  seed: 0,
  saves: {},
  hints: {},
  answers,
  seq: number,
});
const override = (attemptId: string, questionId: string, points: string): Override => ({
  quizId: 'quiz', attemptId, questionId, points: share(points), reason: 'seen by hand', at: 0, gave: null,
}); // prettier-ignore
const workOf = (attempts: readonly Attempt[], overrides: readonly Override[] = []): ClassWork => ({
  attempts,
  windowOf: () => windowOf({ from: 0, due: null, grace: 0, until: null }),
  unfinished: 'taken',
  overrides: new Map(
    attempts.map(({ id }) => [
      id,
      Object.fromEntries(overrides.filter((own) => own.attemptId === id).map((own) => [own.questionId, own])),
    ]),
  ),
  rulings: new Map(),
  at: 1e9,
});
const typed = (text: string): Answer => ({ kind: 'phrase', text });
const told = ({ up, down, unchanged, marked }: Effect) => ({ up, down, unchanged, marked });
const changes = (effect: Effect) =>
  effect.changes.map(({ studentId, before, after }) => [studentId, written(before), written(after)]);

describe('the effect of a change', () => {
  const lake = (forms: string[], id = 'q1') => phraseQuestion([variant('lake', forms)], {}, { id });
  const plain = phraseQuestion([variant('plain', ['flood plain'])], {}, { id: 'q2' });
  const before = paperOf([lake(['oxbow lake']), plain]);
  const attempts = [
    attempt('ann', { q1: typed('oxbow lake'), q2: typed('flood plain') }),
    attempt('ben', { q1: typed('cut-off lake') }),
    attempt('cem', { q1: typed('cut-off lake'), q2: typed('flood plain') }),
    attempt('dot', { q1: typed('pond'), q2: typed('flood plain') }),
  ];

  test('who goes up, in recorded scores, and only touched questions are marked again', () => {
    const live = new MarkedClass(before, workOf(attempts));
    const after = underPaper(live, paperOf([lake(['oxbow lake', 'cut-off lake']), plain]));
    const effect = effectBetween(live, after);
    assert.deepEqual(told(effect), { up: 2, down: 0, unchanged: 2, marked: ['q1'] });
    assert.deepEqual(changes(effect), [
      ['ben', '0', '1'],
      ['cem', '1', '2'],
    ]);
    assert.equal(after.columns[1], live.columns[1]);
  });
  test('what waited and will wait no more is a change, and so is what will wait', () => {
    const waits = (forms: string[], unmatched: 'waits' | 'wrong') => ({ ...lake(forms), unmatched });
    const three = ['ann', 'ben', 'cem'].map((id) => attempt(id, { q1: typed(`a ${id} lake`) }));
    const live = new MarkedClass(paperOf([waits(['oxbow lake'], 'waits')]), workOf(three));
    const accepted = underPaper(live, paperOf([waits(['oxbow lake', 'a ann lake'], 'wrong')]));
    const effect = effectBetween(live, accepted);
    assert.deepEqual(
      [effect.up, effect.down, effect.waitedInVain, effect.willWait, effect.unchanged, effect.changes.length],
      [1, 0, 2, 0, 0, 3],
    );
    assert.equal(
      effectWords(effect),
      '1 score goes up, 2 students with no points for what was not marked yet, 0 stay',
    );
    const back = effectBetween(accepted, live);
    assert.deepEqual([back.up, back.down, back.waitedInVain, back.willWait], [0, 1, 0, 2]);
    assert.equal(effectWords({ ...back, down: 0 }), '2 students with more for you to mark, 0 stay');
  });
  test('the best of two attempts is recorded: a change to the other one alters nothing', () => {
    const two = [attempt('ann', { q1: typed('oxbow lake') }), attempt('ann', { q2: typed('levee') }, 2)];
    const best: Partial<QuizContent> = { attempts: { most: null, counts: 'best' } };
    const live = new MarkedClass(paperOf([lake(['oxbow lake']), plain], best), workOf(two));
    const both = phraseQuestion([variant('plain', ['flood plain', 'levee'])], {}, { id: 'q2' });
    const effect = effectBetween(live, underPaper(live, paperOf([lake(['oxbow lake']), both], best)));
    assert.deepEqual([told(effect), effect.changes], [{ up: 0, down: 0, unchanged: 1, marked: ['q2'] }, []]);
  });
  test('an own score stays, and is told where marking would now give something else', () => {
    const own = [override('ben-1', 'q1', '0.5'), override('dot-1', 'q1', '0.5')];
    const live = new MarkedClass(before, workOf(attempts, own));
    const effect = effectBetween(
      live,
      underPaper(live, paperOf([lake(['oxbow lake', 'cut-off lake']), plain])),
    );
    assert.deepEqual(changes(effect), [['cem', '1', '2']]);
    assert.deepEqual(effect.overrides, [
      { attemptId: 'ben-1', questionId: 'q1', before: share('0'), after: share('1') },
    ]);
  });
  test('another language or decimal sign marks everything again; a question taken off takes its points', () => {
    const live = new MarkedClass(before, workOf(attempts));
    const german = effectBetween(live, underPaper(live, paperOf([...before.questions], { language: 'de' })));
    assert.deepEqual(german.marked, ['q1', 'q2']);
    const one = effectBetween(live, underPaper(live, paperOf([plain])));
    assert.deepEqual(
      [told(one), changes(one)],
      [
        { up: 2, down: 0, unchanged: 2, marked: [] },
        [
          ['cem', '1', '1'],
          ['dot', '1', '1'],
          ['ann', '2', '1'],
          ['ben', '0', '0'],
        ],
      ],
    );
    assert.deepEqual(
      one.changes.map((change) => [
        written(change.outOfBefore),
        written(change.outOfAfter),
        written(gainOf(change)),
      ]),
      [
        ['2', '1', '1/2'],
        ['2', '1', '1/2'],
        ['2', '1', '0'],
        ['2', '1', '0'],
      ],
    );
  });
  test('largest rise first, those who rise alike by student', () => {
    const live = new MarkedClass(before, workOf(attempts));
    const effect = effectBetween(live, underPaper(live, paperOf([lake(['pond', 'cut-off lake']), plain])));
    assert.deepEqual(
      changes(effect).map(([who]) => who),
      ['ben', 'cem', 'dot', 'ann'],
    );
  });
});

describe('an answer that is right for another question', () => {
  const plain = phraseQuestion([variant('plain', ['flood plain'])], {}, { id: 'q2' });
  const lake = (unmatched: 'wrong' | 'nearMissesWait') =>
    phraseQuestion([variant('lake', ['oxbow lake'])], {}, { id: 'q1', unmatched });
  const given = [attempt('ann', { q1: typed('flood plain') }), attempt('ben', { q1: typed('a weir') })];
  const of = (marked: MarkedClass, student: number) => {
    const mark = marked.students()[student]?.sheets[0]?.scores[0]?.mark;
    return [mark?.state, mark?.nearMiss];
  };

  test('is a near miss, and waits where near misses do', () => {
    const wrong = new MarkedClass(paperOf([lake('wrong'), plain]), workOf(given));
    assert.deepEqual(
      [of(wrong, 0), of(wrong, 1)],
      [
        ['marked', 'otherQuestion'],
        ['marked', null],
      ],
    );
    const waits = new MarkedClass(paperOf([lake('nearMissesWait'), plain]), workOf(given));
    assert.deepEqual(
      [of(waits, 0), of(waits, 1)],
      [
        ['waits', 'otherQuestion'],
        ['marked', null],
      ],
    );
  });
  test('the other question’s key decides, without this one being marked again', () => {
    const before = new MarkedClass(paperOf([lake('nearMissesWait'), plain]), workOf(given));
    const weir = phraseQuestion([variant('weir', ['a weir'])], {}, { id: 'q2' });
    const after = underPaper(before, paperOf([lake('nearMissesWait'), weir]));
    assert.deepEqual(
      [of(after, 0), of(after, 1)],
      [
        ['marked', null],
        ['waits', 'otherQuestion'],
      ],
    );
    const effect = effectBetween(before, after);
    assert.deepEqual(
      [effect.marked, effect.changes.length, after.columns[0] === before.columns[0]],
      [['q2'], 2, true],
    );
  });
  test('in a gap as well', () => {
    const gap = {
      id: 'g1',
      type: 'text',
      weight: ONE,
      variants: lake('wrong').variants,
      settings: DEFAULT_SETTINGS,
      unmatched: 'nearMissesWait',
    };
    const gaps = filledQuestion('gaps', { id: 'q1', gaps: [gap] });
    const answers = given.map((one) => ({
      ...one,
      answers: { q1: { kind: 'gaps', gaps: { g1: (one.answers['q1'] as { text: string }).text } } as Answer },
    }));
    const marked = new MarkedClass(paperOf([gaps, plain]), workOf(answers));
    const parts = marked.students().map((work) => work.sheets[0]?.scores[0]?.mark.parts[0]);
    assert.deepEqual(
      parts.map((part) => [part?.state, part?.nearMiss]),
      [
        ['waits', 'otherQuestion'],
        ['marked', null],
      ],
    );
  });
});

describe('laws of the effect', () => {
  const IDS = ['q1', 'q2', 'q3'];
  const named = (question: Question, id: string): Question => ({ ...question, id });
  const paper = (kinds: readonly KindName[]): fc.Arbitrary<Paper> =>
    fc
      .tuple(...kinds.map((kind) => questionOf(kind)))
      .map((questions) => paperOf(questions.map((question, index) => named(question, IDS[index] as string))));
  const attemptsAt = (kinds: readonly KindName[]) =>
    fc
      .array(
        fc.tuple(
          fc.constantFrom('ann', 'ben', 'cem'),
          fc.tuple(...kinds.map((kind) => fc.option(answerOf(kind)))),
        ),
        { maxLength: 6 },
      )
      .map((made) =>
        made.map(([student, answers], index) =>
          attempt(
            student,
            Object.fromEntries(answers.flatMap((answer, at) => (answer ? [[IDS[at], answer]] : []))),
            index + 1,
          ),
        ),
      );
  const two = fc
    .array(anyKind, { minLength: 3, maxLength: 3 })
    .chain((kinds) => fc.tuple(paper(kinds), paper(kinds), attemptsAt(kinds), fc.subarray(IDS)));

  test('from one key to another and back gives the start again, exactly, for every kind', () => {
    fc.assert(
      fc.property(two, ([a, other, attempts, touched]) => {
        const questions = a.questions.map((question, index) =>
          touched.includes(question.id) ? (other.questions[index] as Question) : question,
        );
        const b = { ...a, questions };
        const own = attempts.slice(0, 1).map(({ id }) => override(id, 'q1', '0.5'));
        const start = new MarkedClass(a, workOf(attempts, own));
        const first = canonical(start.students());
        const there = underPaper(start, b);
        const back = underPaper(there, a);
        const forth = effectBetween(start, there);
        const home = effectBetween(there, back);
        assert.equal(canonical(back.students()), first);
        assert.deepEqual(home.marked, forth.marked);
        assert.deepEqual([home.up, home.down, home.unchanged], [forth.down, forth.up, forth.unchanged]);
        const swapped = home.changes.map((change) => ({
          studentId: change.studentId,
          before: change.after,
          after: change.before,
          outOfBefore: change.outOfAfter,
          outOfAfter: change.outOfBefore,
          waitingBefore: change.waitingAfter,
          waitingAfter: change.waitingBefore,
        }));
        const byStudent = (list: Effect['changes']) =>
          [...list].sort((x, y) => (x.studentId < y.studentId ? -1 : 1));
        assert.deepEqual(byStudent(swapped), byStudent(forth.changes));
        // What was kept is the same as what is made anew.
        assert.deepEqual(there.students(), new MarkedClass(b, start.work, columnsFor(b)).students());
      }),
      { numRuns: runs(1000) },
    );
  });
  test('the order of the attempts in a file changes no score', () => {
    fc.assert(
      fc.property(two, ([a, , attempts]) => {
        const sorted = (list: readonly Attempt[]) =>
          new Map(new MarkedClass(a, workOf(list)).students().map((one) => [one.studentId, one]));
        const [forward, backward] = [sorted(attempts), sorted([...attempts].reverse())];
        for (const [student, work] of forward) assert.deepEqual(backward.get(student), work);
        assert.equal(forward.size, backward.size);
      }),
      { numRuns: runs(500) },
    );
  });
});
