import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import type { Aspect } from '@/core/quiz/plan/plan';
import { leaksOf } from '@/core/reveal/leaks';
import { canBegin } from '@/core/reveal/seat';
import { silenceOf, type Silence } from '@/core/reveal/silence';
import { isOfFilter } from '@/core/reveal/onlyThose';
import { Reveal, type Wait } from '@/core/reveal/whatIsShown';
import { readCases } from '../../workedCases';
import { instant, rowsOf, sceneOf, type GivenScene } from '../support/scenes';
import { OWN_CASES } from './ownCases';

/** What a case asks for: only what is named. */
export interface Expected {
  readonly shown?: Readonly<Partial<Record<Aspect, string>>>;
  readonly waits?: Readonly<Partial<Record<Aspect, { for: readonly string[]; until?: string | null }>>>;
  readonly never?: readonly Aspect[];
  readonly nothing?: Readonly<Partial<Record<Aspect, string>>>;
  readonly window?: Readonly<Record<string, string | number | null>>;
  readonly attempt?: { readonly left?: number | null; readonly canBegin?: boolean; readonly state?: string };
  readonly questionsIn?: Readonly<Partial<Record<Aspect, readonly number[]>>>;
  readonly leaks?: readonly {
    readonly aspect: string;
    readonly tellers?: readonly string[];
    readonly hearers?: readonly string[];
    readonly self?: readonly string[];
    readonly from: string;
    readonly until: string | null;
  }[];
  readonly silence?: Partial<Silence>;
}

export interface RevealCase {
  readonly title: string;
  readonly given: GivenScene & { readonly each?: readonly GivenScene[] };
  readonly expect: Expected & { readonly each?: readonly Expected[] };
}

const nameOf = ({ for: what, scope }: Wait): string => (scope ? `${what} ${scope}` : what);
const written = (at: number | null): string | null => (at === null ? null : new Date(at).toISOString());
const utc = (text: string | null): string | null => (text === null ? null : written(instant(text)));

function check(given: GivenScene, expect: Expected): void {
  const now = instant(given.now ?? '2026-11-23T09:00:00+01:00');
  const reveal = new Reveal(sceneOf(given), now);
  const ask = given.ask ?? { student: 'nobody' };
  const attemptId = ask.attempt === undefined ? undefined : `${ask.student} ${ask.attempt}`;
  const own = reveal.seat(ask.student);
  const shown = own ? reveal.shown(ask.student, attemptId) : null;
  const showing = (aspect: string) => shown?.[aspect as Aspect];
  for (const [aspect, since] of Object.entries(expect.shown ?? {})) {
    const one = showing(aspect);
    assert.equal(one?.state, 'shown', `${aspect} ${JSON.stringify(one)}`);
    assert.equal(one?.state === 'shown' && written(one.since), utc(since), aspect);
  }
  for (const [aspect, waits] of Object.entries(expect.waits ?? {})) {
    const one = showing(aspect);
    assert.equal(one?.state, 'waits', `${aspect} ${JSON.stringify(one)}`);
    if (one?.state !== 'waits') continue;
    assert.deepEqual(one.for.map(nameOf).sort(), [...waits.for].sort(), aspect);
    if (waits.until !== undefined) assert.equal(written(one.until), utc(waits.until), `${aspect}, until`);
  }
  for (const aspect of expect.never ?? []) assert.equal(showing(aspect)?.state, 'never', aspect);
  for (const [aspect, why] of Object.entries(expect.nothing ?? {}))
    assert.deepEqual(showing(aspect), { state: 'nothing', why }, aspect);
  for (const [field, value] of Object.entries(expect.window ?? {})) {
    const is = own?.seat.window[field as 'until'];
    assert.equal(
      typeof value === 'string' ? written(is ?? null) : is,
      typeof value === 'string' ? utc(value) : value,
      field,
    );
  }
  if (expect.attempt?.left !== undefined) assert.equal(own?.left, expect.attempt.left);
  if (expect.attempt?.canBegin !== undefined)
    assert.equal(own && canBegin(own, now), expect.attempt.canBegin);
  if (expect.attempt?.state !== undefined)
    assert.equal(
      own?.attempts.find(({ attempt }) => attempt.id === attemptId)?.stage.stage,
      expect.attempt.state,
    );
  for (const [aspect, numbers] of Object.entries(expect.questionsIn ?? {})) {
    const only = reveal.only(ask.student, aspect as Aspect);
    const inIt = Object.entries(given.marks ?? {}).filter(([, verdict]) => isOfFilter(only, verdict));
    assert.deepEqual(
      inIt.map(([number]) => Number(number)),
      numbers,
      aspect,
    );
  }
  if (expect.leaks) {
    const ids = (lane: { readonly seats: readonly { readonly seat: { readonly studentId: string } }[] }) =>
      lane.seats.map(({ seat }) => seat.studentId);
    const told = leaksOf(reveal).map(({ aspect, kind, tellers, hearers, from, until }) => ({
      aspect,
      ...(kind === 'self' ? { self: ids(tellers) } : { tellers: ids(tellers), hearers: ids(hearers) }),
      from: written(from),
      until: written(until),
    }));
    const asked = expect.leaks.map((one) => ({ ...one, from: utc(one.from), until: utc(one.until) }));
    const sorted = (all: readonly object[]) =>
      all.map((one) => JSON.stringify(one, Object.keys(one).sort())).sort();
    assert.deepEqual(sorted(told), sorted(asked));
  }
  if (expect.silence) {
    const silence = silenceOf(reveal);
    for (const [part, all] of Object.entries(expect.silence) as [keyof Silence, readonly string[]][]) {
      const told: readonly string[] = silence[part];
      if (all.length === 0) assert.deepEqual(told, [], part);
      for (const one of all) assert.ok(told.includes(one), `${part}: ${told.join(', ')}`);
    }
  }
}

const runs = (all: readonly RevealCase[]): void => {
  for (const { title, given, expect } of all) {
    const rows = rowsOf<GivenScene>(given);
    const expected = rowsOf<Expected>(expect);
    rows.forEach((row, at) => {
      const name = rows.length > 1 ? `${title} (${at + 1})` : title;
      test(name, () => check(row, expected[at] as Expected));
    });
  }
};

describe('what is shown to whom and when: worked cases', () => runs(readCases<RevealCase>('reveal')));
describe('what is shown to whom and when: more cases', () => runs(OWN_CASES));
