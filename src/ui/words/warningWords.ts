import { TELLING, type Telling } from '@/core/reveal/leaks';
import type { PlanLeak } from '@/workers/classDesk';
import { count } from './figures';
import { dayAndTimeIn } from './zoneTime';

/** What of a result some can pass on to others who can still hand in, in whole sentences. */

const list = new Intl.ListFormat('en', { type: 'conjunction' });

const TOLD: Readonly<Record<Telling, string>> = {
  rightAnswers: 'the right answers',
  feedback: 'feedback',
  rightWrong: 'what was right and wrong',
  questions: 'the questions',
};

/** What can be passed on, as a list in a sentence. */
export const toldWords = (aspects: readonly Telling[]): string =>
  list.format(aspects.map((aspect) => TOLD[aspect]));

type Told = Omit<PlanLeak, 'as'>;

interface Seen {
  readonly lanes: readonly { readonly name: string }[];
  readonly now: number;
}

/** The name of a lane in the middle of a sentence: *others of …* are nobody's name. */
const inSentence = (name: string): string => name.replace(/^Others of /, 'others of ');

/** Names in a sentence; of many only the first are named. */
const namesWords = (names: readonly string[]): string =>
  list.format(names.length > 3 ? [...names.slice(0, 2), `${names.length - 2} more`] : names);

/** Who could pass answers on to whom. */
export function whoWords({ kind, tellers, hearers }: Told, lanes: Seen['lanes']): string {
  const to = lanes[hearers];
  if (!to) return '';
  if (kind === 'self') return `${to.name} can see answers before the next attempt.`;
  const others = tellers.filter((one) => one !== hearers).flatMap((one) => lanes[one]?.name ?? []);
  if (others.length === 0) return `Some of ${inSentence(to.name)} could pass answers on.`;
  const [first = '', ...more] = others;
  const names = [first, ...more.map(inSentence)];
  if (others.length < tellers.length) names.push(`some of ${inSentence(to.name)}`);
  return `${namesWords(names)} could pass answers on to ${inSentence(to.name)}.`;
}

/** Since when they see what, and until when it can be used. */
export function whenWords(told: Told, { lanes, now }: Seen, zone: string): string {
  const what = toldWords(told.aspects);
  const since =
    told.from <= now ? `already see ${what}` : `see ${what} from ${dayAndTimeIn(told.from, zone)}`;
  const until = told.until === null ? 'until you close the quiz' : `until ${dayAndTimeIn(told.until, zone)}`;
  if (told.kind === 'self') return `They ${since}, and can hand in again ${until}.`;
  return `Those who have handed in ${since}; ${inSentence(lanes[told.hearers]?.name ?? '')} can hand in ${until}.`;
}

/** What only hints at the key, and to how many: null where nothing does. */
export function hintWords(hints: readonly Told[]): string | null {
  if (hints.length === 0) return null;
  const aspects = TELLING.filter((aspect) => hints.some((one) => one.aspects.includes(aspect)));
  const hearing = hints.reduce((sum, one) => sum + one.hearing, 0);
  const what = toldWords(aspects);
  const students =
    hearing === 1 ? '1 student who can still hand in' : `${count(hearing, 'student')} who can still hand in`;
  return `${what[0]?.toUpperCase()}${what.slice(1)} can be passed on to ${students}.`;
}

/** Warnings that the teacher ignores, and the press that brings them back. */
export const knownWords = (known: number): { readonly said: string; readonly press: string } =>
  known === 1
    ? { said: '1 ignored warning.', press: 'Show it again' }
    : { said: `${count(known, 'ignored warning')}.`, press: 'Show them again' };

/** That there are more warnings than are listed; empty where there are none. */
export function moreWords(more: number): string {
  if (more <= 0) return '';
  return more === 1
    ? 'There is 1 more like these. '
    : `There are ${count(more, 'more', 'more')} like these. `;
}
