import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { answersFile, answersText, packedIn, unpackedText, type AnswersData } from '@/core/away/answersText';
import { takeIn, type Judged, type Source, type Target } from '@/core/away/takeIn';
import { ticketFrom } from '@/core/quiz/people/ticket';
import type { Attempt } from '@/core/quiz/work/attempt';
import { below, randomFrom } from '@/core/figures/random';
import { answerOf, anyKind } from '../support/arbitrary';
import { windowOf } from '../support/shown';
import { runs, times } from '../../runs';

/** Answers on their way from a student's file to the teacher. */

const MINUTE = 60_000;
const DAY = 24 * 60 * MINUTE;
const NOW = Date.parse('2026-12-02T15:00:00Z');
const DUE = NOW - 2 * 60 * MINUTE;
const random = randomFrom(5);
const [ADA, BO, NOBODYS] = [1, 2, 3].map(() => ticketFrom((most) => below(random, most))) as [
  string,
  string,
  string,
];

const data = (more: Partial<AnswersData> = {}): AnswersData => ({
  format: 'yentrel-answers',
  version: 1,
  quizId: 'quiz',
  title: 'Rivers',
  revision: 1,
  ticket: ADA,
  sitting: 'abcdefghijkl',
  seed: '0123456789abcdef0123456789abcdef',
  begunAt: NOW - 5 * 60 * MINUTE,
  savedAt: NOW - 4 * 60 * MINUTE,
  number: 1,
  answers: { q1: { kind: 'phrase', text: 'silt' } },
  ...more,
});

const file = (more: Partial<AnswersData> = {}, name = 'a.json'): Source => ({
  name,
  text: answersFile(data(more)),
});
const message = (more: Partial<AnswersData> = {}): Source => ({
  name: 'pasted',
  text: answersText(data(more)),
});

const attempt = (more: Partial<Attempt> = {}): Attempt => ({
  id: 'kept', quizId: 'quiz', studentId: 'ada', number: 1, revision: 1, openedAt: 1, savedAt: 2, handedInAt: 2, timeKnown: true,
  source: 'sat', answers: {}, hints: {}, seed: '0'.repeat(32), saves: {}, seq: 1, ...more,
}); // prettier-ignore

/** What came from the file of {@link data} before. */
const cameBefore = (more: Partial<Attempt> = {}): Attempt =>
  attempt({
    source: 'brought',
    brought: { sitting: 'abcdefghijkl', number: 2 },
    savedAt: NOW - 4 * 60 * MINUTE,
    answers: { q1: { kind: 'phrase', text: 'sand' } },
    ...more,
  });

const target = (more: Partial<Target> = {}): Target => ({
  quizId: 'quiz',
  now: NOW,
  newId: () => 'fresh',
  holderOf: (ticket) =>
    ticket === ADA ? { id: 'ada', name: 'Ada Marsh' } : ticket === BO ? { id: 'bo', name: 'Bo Weir' } : null,
  isSetTo: () => true,
  windowOf: () =>
    windowOf({ from: NOW - DAY, due: DUE, grace: 0, until: NOW + DAY }, { attempts: 1, timeLimit: null }),
  granted: () => 0,
  kindsAt: (revision) =>
    revision === 1
      ? new Map([
          ['q1', 'phrase'],
          ['q2', 'number'],
        ])
      : null,
  attempts: [],
  ...more,
});

const two = {
  windowOf: () =>
    windowOf({ from: NOW - DAY, due: null, grace: 0, until: null }, { attempts: 2, timeLimit: null }),
};
const limited = {
  windowOf: () =>
    windowOf({ from: NOW - DAY, due: null, grace: 0, until: null }, { attempts: 1, timeLimit: 30 }),
};
const shut = {
  windowOf: () =>
    windowOf(
      { from: NOW - DAY, due: null, grace: 0, until: NOW - 6 * 60 * MINUTE },
      { attempts: 1, timeLimit: null },
    ),
};

const noteNames = (one: Judged | undefined): string[] =>
  one && one.becomes !== 'nothing' ? one.notes.map(({ note }) => note) : [];
const said = (one: Judged | undefined): string =>
  one?.becomes === 'nothing' ? one.problem : (one?.becomes ?? '');

const CASES: readonly (readonly [name: string, source: Source, target: Target, becomes: string, notes?: readonly string[]])[] = [
  ['a file of answers', file(), target(), 'new'],
  ['the same as text', message(), target(), 'new'],
  ['a text that a mail program broke and quoted', { name: 'p', text: answersText(data()).replace(/.{60}/g, (line) => `${line}\n> `) }, target(), 'new'],
  ['words around the text', { name: 'p', text: `Hello,\n${answersText(data())}\nAda` }, target(), 'new'],
  ['the ticket typed in capitals, with a dash', file({ ticket: `${ADA.slice(0, 4)}-${ADA.slice(4)}`.toUpperCase() }), target(), 'new'],
  ['after the due time', file({ savedAt: NOW - MINUTE }), target(), 'new', ['late']],
  ['after closing', file(), target(shut), 'new', ['tooLate']],
  ['ten minutes over the time', file({ savedAt: NOW - 5 * 60 * MINUTE + 40 * MINUTE }), target(limited), 'new', ['overTime']],
  ['in the last minute of the time', file({ savedAt: NOW - 5 * 60 * MINUTE + 30 * MINUTE + 30_000 }), target(limited), 'new'],
  ['a clock that is a day ahead', file({ savedAt: NOW + DAY }), target(), 'new', ['clock']],
  ['a clock that was put back in between', file({ savedAt: NOW - 6 * 60 * MINUTE }), target(), 'new', ['clock']],
  ['an answer to a question that is not there', file({ answers: { q9: { kind: 'phrase', text: 'x' } } }), target(), 'new', ['gone']],
  ['an answer of another kind', file({ answers: { q2: { kind: 'phrase', text: 'x' } } }), target(), 'new', ['unreadable']],
  ['an answer that is none', file({ answers: { q1: { kind: 'phrase', text: 5 } as never } }), target(), 'new', ['unreadable']],
  ['nothing answered', file({ answers: {} }), target(), 'new'],
  ['of another quiz', file({ quizId: 'other' }), target(), 'otherQuiz'],
  ['a ticket that nobody has', file({ ticket: NOBODYS }), target(), 'noTicket'],
  ['of a student whom the quiz is not set for', file(), target({ isSetTo: () => false }), 'notSet'],
  ['of a revision that is not here', file({ revision: 7 }), target(), 'noRevision'],
  ['changed by hand', { name: 'x', text: answersFile(data()).replace('silt', 'sand') }, target(), 'changed'],
  ['a file that was cut short', { name: 'x', text: answersFile(data()).slice(0, 200) }, target(), 'cut'],
  ['a text that was cut short', { name: 'x', text: answersText(data()).slice(0, 80) }, target(), 'cut'],
  ['a text with a wrong sign', { name: 'x', text: answersText(data()).replace(/.(?=.{20}$)/, (sign) => (sign === 'A' ? 'B' : 'A')) }, target(), 'changed'],
  ['of a newer form', { name: 'x', text: '{"format":"yentrel-answers","version":2}' }, target(), 'newer'],
  ['another file', { name: 'x', text: '{"format":"yentrel-paper"}' }, target(), 'noAnswers'],
  ['no file at all', { name: 'x', text: 'Dear Miss, here is my homework' }, target(), 'noAnswers'],
  ['nothing', { name: 'x', text: '' }, target(), 'noAnswers'],
  ['far too much', { name: 'x', text: `YA1${'A'.repeat(5_000_000)}.` }, target(), 'large'],
  ['saved again later, other answers', file({ number: 3 }), target({ attempts: [cameBefore()] }), 'later'],
  ['saved again, the same answers', file({ number: 3, answers: { q1: { kind: 'phrase', text: 'sand' } } }), target({ attempts: [cameBefore()] }), 'same'],
  ['an older save', file({ number: 1 }), target({ attempts: [cameBefore()] }), 'earlier'],
  ['on another device, saved later', file({ sitting: 'zzzzzzzzzzzz', savedAt: NOW - 3 * 60 * MINUTE }), target({ attempts: [cameBefore()] }), 'later', ['otherDevice']],
  ['on another device, saved earlier', file({ sitting: 'zzzzzzzzzzzz', savedAt: NOW - 4.5 * 60 * MINUTE }), target({ attempts: [cameBefore()] }), 'earlier', ['otherDevice']],
  ['beside an attempt on screen, with none left', file(), target({ attempts: [attempt()] }), 'noneLeft'],
  ['beside an attempt on screen, with one left', file(), target({ ...two, attempts: [attempt()] }), 'new'],
  ['beside an attempt on screen, with one granted', file(), target({ granted: () => 1, attempts: [attempt()] }), 'new'],
]; // prettier-ignore

describe('what becomes of answers that a student brings', () => {
  for (const [name, source, where, becomes, notes = []] of CASES)
    test(name, () => {
      const { judged, changes } = takeIn([source], where);
      assert.equal(judged.length, 1);
      assert.equal(said(judged[0]), becomes);
      assert.deepEqual(noteNames(judged[0]), notes);
      assert.equal(changes.length, becomes === 'new' || becomes === 'later' ? 1 : 0);
    });

  test('an attempt is what was answered, when, by which device', () => {
    const [change] = takeIn([file({ savedAt: NOW - MINUTE })], target(limited)).changes;
    assert.deepEqual(change, {
      before: null,
      after: {
        id: 'fresh', quizId: 'quiz', studentId: 'ada', number: 1, revision: 1, openedAt: NOW - 5 * 60 * MINUTE, savedAt: NOW - MINUTE,
        handedInAt: NOW - MINUTE, timeKnown: true, source: 'brought', answers: { q1: { kind: 'phrase', text: 'silt' } }, hints: {},
        seed: '0123456789abcdef0123456789abcdef', limit: 30, brought: { sitting: 'abcdefghijkl', number: 1 }, saves: {}, seq: 0,
      },
    }); // prettier-ignore
  });
  test('where the clock cannot be right it is never late, and counts as brought now', () => {
    const [change] = takeIn([file({ savedAt: NOW + DAY })], target()).changes;
    assert.deepEqual([change?.after.handedInAt, change?.after.timeKnown], [NOW, false]);
  });
  test('what is replaced keeps its attempt, so that own scores and comments stay with it', () => {
    const before = cameBefore();
    const [change] = takeIn([file({ number: 3 })], target({ attempts: [before] })).changes;
    assert.equal(change?.before, before);
    assert.equal(change?.after.id, 'kept');
  });
});

describe('several at once', () => {
  test('of one sitting the last one counts, in whatever order they come', () => {
    const saves = [1, 2, 3].map((number) =>
      file({
        number,
        savedAt: NOW - 4 * 60 * MINUTE + number,
        answers: { q1: { kind: 'phrase', text: `${number}` } },
      }),
    );
    for (const order of [
      [0, 1, 2],
      [2, 1, 0],
      [1, 2, 0],
    ]) {
      const { changes } = takeIn(
        order.map((at) => saves[at] as Source),
        target(),
      );
      assert.equal(changes.length, 1);
      assert.equal(changes[0]?.before, null);
      assert.deepEqual(changes[0]?.after.answers, { q1: { kind: 'phrase', text: '3' } });
    }
  });
  test('dropped twice, a file is there once', () => {
    const { judged, changes } = takeIn([file(), file()], target());
    assert.deepEqual(judged.map(said), ['new', 'same']);
    assert.equal(changes.length, 1);
  });
  test('a message with the texts of two students, one of them cut', () => {
    const [ada, bo] = [answersText(data()), answersText(data({ ticket: BO, sitting: 'bbbbbbbbbbbb' }))];
    const both = takeIn([{ name: 'mail', text: `${ada}\n\n${bo}` }], target());
    assert.deepEqual(
      both.judged.map(({ source, ...one }) => [source, said({ source, ...one } as Judged)]),
      [
        ['mail, text 1', 'new'],
        ['mail, text 2', 'new'],
      ],
    );
    const cut = takeIn([{ name: 'mail', text: `${ada}\n\n${bo.slice(0, 50)}` }], target());
    assert.deepEqual(cut.judged.map(said), ['new', 'cut']);
  });
  test('300 of them with three bad ones: 297 come in, each bad one is named', () => {
    const tickets = Array.from({ length: 300 }, () => ticketFrom((most) => below(random, most)));
    let next = 0;
    const people = new Map(tickets.map((ticket, at) => [ticket, { id: `s${at}`, name: `Student ${at}` }]));
    const sources = tickets.map((ticket, at) =>
      file({ ticket, sitting: `s${String(at).padStart(11, '0')}` }, `${at}.json`),
    );
    sources[7] = { name: '7.json', text: 'broken' };
    sources[70] = { name: '70.json', text: sources[70]?.text.slice(0, 90) ?? '' };
    sources[170] = file({ quizId: 'other' }, '170.json');
    const { judged, changes } = takeIn(
      sources,
      target({ newId: () => `new${++next}`, holderOf: (ticket) => people.get(ticket) ?? null }),
    );
    assert.equal(changes.length, 297);
    assert.deepEqual(
      judged.filter(({ becomes }) => becomes === 'nothing').map((one) => [one.source, said(one)]),
      [
        ['7.json', 'noAnswers'],
        ['70.json', 'cut'],
        ['170.json', 'otherQuiz'],
      ],
    );
  });
});

describe('texts of messages', () => {
  const answers = fc.dictionary(fc.constantFrom('q1', 'q2', 'q3'), anyKind.chain(answerOf));
  test('law: what is packed is unpacked, whatever was answered, and wherever lines break', () => {
    fc.assert(
      fc.property(answers, fc.integer({ min: 20, max: 200 }), (given, width) => {
        const sent = data({ answers: given });
        const broken = answersText(sent).replace(new RegExp(`.{${width}}`, 'g'), '$&\r\n');
        const [packed = ''] = packedIn(broken);
        const unpacked = unpackedText(packed, 1_000_000);
        assert.ok('text' in unpacked);
        assert.equal(unpacked.text, JSON.stringify(JSON.parse(answersFile(sent))));
      }),
      { numRuns: runs(200) },
    );
  });
  test('what unpacks to very much is left before it has', () => {
    const huge = answersText(data({ title: 'x'.repeat(3_000_000) }));
    assert.deepEqual(unpackedText(huge, 1_000_000), { problem: 'large' });
  });
  test('law: a mutated file or text is taken as it was saved, or not at all, with a reason', () => {
    const sources = [answersFile(data()), answersText(data())];
    fc.assert(
      fc.property(
        fc.constantFrom(...sources),
        fc.array(
          fc.tuple(
            fc.nat(3000),
            fc.constantFrom('cut', 'put', 'swap'),
            fc.string({ unit: 'binary', maxLength: 3 }),
          ),
          { minLength: 1, maxLength: 4 },
        ),
        (whole, changes) => {
          const text = changes.reduce((now, [at, how, by]) => {
            const place = at % (now.length + 1);
            if (how === 'cut') return now.slice(0, place);
            return now.slice(0, place) + by + now.slice(how === 'swap' ? place + by.length : place);
          }, whole);
          for (const one of takeIn([{ name: 'x', text }], target()).judged)
            if (one.becomes !== 'nothing')
              assert.deepEqual([one.name, one.answers, one.savedAt], ['Ada Marsh', 1, data().savedAt]);
        },
      ),
      { numRuns: times(200, 10_000) },
    );
  });
});
