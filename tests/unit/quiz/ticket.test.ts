import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { isShortTicket, readTicket, ticketFrom, ticketShown } from '@/core/quiz/people/ticket';
import { below, randomFrom } from '@/core/figures/random';
import { newTicket } from '@/device/ids';

const SIGNS = '23456789cdfhjkmnprtvwxy';

/** A ticket for each seed. */
const tickets = fc.integer({ min: 1, max: 2 ** 31 }).map((seed) => {
  const random = randomFrom(seed);
  return ticketFrom((most) => below(random, most));
});

test('a ticket is read however it is typed', () => {
  fc.assert(
    fc.property(tickets, (code) => {
      const shown = ticketShown(code);
      assert.match(shown, /^[2-9A-Z]{4}-[2-9A-Z]{4}$/);
      for (const typed of [
        code,
        shown,
        shown.toLowerCase(),
        ` ${shown} `,
        shown.replace('-', ' – '),
        [...code].join(' '),
      ])
        assert.deepEqual(readTicket(typed), { code });
    }),
  );
});

test('one wrong sign, or two changed about, is seen at once: every one of them', () => {
  fc.assert(
    fc.property(tickets, (code) => {
      for (let at = 0; at < code.length; at++) {
        for (const sign of SIGNS) {
          if (sign === code[at]) continue;
          assert.deepEqual(readTicket(code.slice(0, at) + sign + code.slice(at + 1)), { problem: 'slip' });
        }
        for (let other = at + 1; other < code.length; other++) {
          if (code[at] === code[other]) continue;
          const signs = [...code];
          [signs[at], signs[other]] = [signs[other] as string, signs[at] as string];
          assert.deepEqual(readTicket(signs.join('')), { problem: 'slip' });
        }
      }
    }),
    { numRuns: 30 },
  );
});

const TYPED: readonly (readonly [string, unknown])[] = [
  ['', { problem: 'empty' }],
  [' - ', { problem: 'empty' }],
  ['c7rd', { problem: 'length', length: 4 }],
  ['c7rd2kwpx', { problem: 'length', length: 9 }],
  ['c7rd-2kw0', { problem: 'sign', sign: '0' }],
  ['c7rd-2kwl', { problem: 'sign', sign: 'L' }],
  ['fährte', { problem: 'sign', sign: 'Ä' }],
  ['<script>', { problem: 'sign', sign: '<' }],
  // The codes of before: long ones, of another alphabet.
  ['abcdefghijkmnpqrstuvwxyz23', { code: 'abcdefghijkmnpqrstuvwxyz23' }],
];

for (const [typed, read] of TYPED)
  test(`“${typed}” is read as ${JSON.stringify(read)}`, () => assert.deepEqual(readTicket(typed), read));

test('what is easily misread is read as what it is read from', () => {
  const misread: Readonly<Record<string, string>> = { 5: 'S', 2: 'z', 8: 'B', 6: 'g', v: 'U' };
  fc.assert(
    fc.property(tickets, (code) => {
      const typed = [...code].map((sign) => misread[sign] ?? sign).join('');
      assert.deepEqual(readTicket(typed), { code });
    }),
  );
});

test('tickets drawn by chance fit, are all different, and use every sign in every place', () => {
  const drawn = Array.from({ length: 2000 }, newTicket);
  assert.ok(drawn.every(isShortTicket));
  assert.equal(new Set(drawn).size, drawn.length);
  for (let at = 0; at < 8; at++) assert.equal(new Set(drawn.map((code) => code[at])).size, SIGNS.length);
});

test('whatever is typed is read or has a problem', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), (typed) => {
      const read = readTicket(typed);
      assert.ok('code' in read ? read.code.length >= 8 : read.problem.length > 0);
    }),
  );
});
