import type { Cover, Slip } from '@/core/reveal/packets';
import type { Told } from './en';

type ToCome = Cover['plan'][number];
type Wait = ToCome['for'][number];

const sentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What is waited for, as the end of a sentence. */
const waitWords = ({ plan }: Told, { for: what, scope, delay }: Wait): string =>
  delay ? plan.waitAfter(delay.amount, delay.unit, what, scope ?? 'all') : plan.wait(what, scope ?? 'all');

/** When an aspect comes: at a time that is known, else by what it waits for. */
function whenWords(told: Told, { for: waits, until }: ToCome): string {
  const { plan } = told;
  const own = waits.filter((wait) => wait.for !== 'handedIn' || wait.delay !== null);
  if (own.length === 0) return plan.handedIn;
  const open = own.filter((wait) => wait.until === null);
  const back = open.find((wait) => wait.for === 'takenBack');
  if (back) return waitWords(told, back);
  if (open.length > 0) return plan.list(open.map((wait) => waitWords(told, wait)));
  const known = until ?? Math.max(...own.map((wait) => wait.until ?? 0));
  const isClosing = own.every(
    ({ for: what, delay }) => (what === 'closed' || what === 'allClosed') && !delay,
  );
  const closed = own.find((wait) => wait.for === 'allClosed');
  const closing = closed ? waitWords(told, closed) : plan.closed;
  const isAtLatest = own.some((wait) => wait.for === 'allDone' || wait.for === 'lastAttempt');
  return plan.on(known, isClosing ? closing : null, isAtLatest);
}

/** Aspects that come at the same time, together. */
function byTime(told: Told, all: readonly ToCome[], says: (parts: string, when: string) => string): string[] {
  const together = new Map<string, ToCome['aspect'][]>();
  for (const one of all) {
    const when = whenWords(told, one);
    together.set(when, [...(together.get(when) ?? []), one.aspect]);
  }
  return [...together].map(([when, aspects]) => {
    const parts = told.plan.list(aspects.map((aspect) => told.plan.parts[aspect]));
    return says(sentence(parts), when);
  });
}

/** When results come, in sentences, before anything is handed in. */
export const whenResultsCome = (told: Told, { plan }: Pick<Cover, 'plan'>): string[] =>
  byTime(told, plan, told.plan.before);

/** The parts of the slip still to come, and what they wait for. */
export const stillToCome = (told: Told, toCome: Slip['toCome']): string[] =>
  byTime(told, toCome, told.plan.after);
