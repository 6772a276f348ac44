import type { Cover, Slip } from '@/core/reveal/packets';
import { count, dayAndTime } from './figures';

type Aspect = Cover['plan'][number]['aspect'];

const NAMES: Readonly<Record<Aspect, string>> = {
  score: 'your score',
  rightWrong: 'what was right and wrong',
  questions: 'the questions',
  ownAnswers: 'your answers',
  feedback: 'feedback',
  rightAnswers: 'the right answers',
  comments: 'your teacher’s comments',
  classDid: 'how the class did',
};

const list = (all: readonly string[]): string =>
  all.length < 2 ? (all[0] ?? '') : `${all.slice(0, -1).join(', ')} and ${all.at(-1)}`;

const names = (aspects: readonly Aspect[]): string => list(aspects.map((aspect) => NAMES[aspect]));

const sentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A number of times in words: once, twice, 3 times. */
export const timesWords = (times: number): string => ['never', 'once', 'twice'][times] ?? `${times} times`;

/** How often the paper can be sat, as far as a sentence. */
export const oftenWords = ({ most }: Cover['attempts']): string =>
  `You can take this quiz ${most === null ? 'as often as you like' : timesWords(most)}`;

type ToCome = Cover['plan'][number];
type Wait = ToCome['for'][number];

const UNITS = { minute: 'minute', hour: 'hour', day: 'day' } as const;
const laterWords = ({ delay }: Wait): string =>
  delay ? `${count(delay.amount, UNITS[delay.unit])} after ` : '';

const WHOSE = { all: 'everyone', class: 'everyone in your class', group: 'everyone in your group' } as const;

/** What is waited for, as the end of a sentence. */
function waitWords(wait: Wait): string {
  const whose = WHOSE[wait.scope ?? 'all'];
  const event: Readonly<Record<Wait['for'], readonly [plain: string, delayed: string]>> = {
    handedIn: ['as soon as you hand in', 'you hand in'],
    closed: ['when your teacher closes the quiz', 'the quiz closes for you'],
    allClosed: [`when the quiz has closed for ${whose}`, `the quiz has closed for ${whose}`],
    allDone: [
      `when ${whose} has handed in or the time is over`,
      `${whose} has handed in or the time is over`,
    ],
    date: ['at a set time', 'a set time'],
    marked: ['when everything is marked', 'everything is marked'],
    lastAttempt: ['after your last attempt', 'your last attempt'],
    byTeacher: ['when your teacher shows it', 'your teacher shows it'],
    takenBack: ['when your teacher shows it again', 'your teacher shows it again'],
  };
  const [plain, delayed] = event[wait.for];
  return wait.delay ? `${laterWords(wait)}${delayed}` : plain;
}

/** When an aspect comes: at a time that is known, else by what it waits for. */
function whenWords({ for: waits, until }: ToCome): string {
  const own = waits.filter((wait) => wait.for !== 'handedIn' || wait.delay !== null);
  if (own.length === 0) return 'as soon as you hand in';
  const open = own.filter((wait) => wait.until === null);
  const back = open.find((wait) => wait.for === 'takenBack');
  if (back) return waitWords(back);
  if (open.length > 0) return list(open.map(waitWords));
  const known = until ?? Math.max(...own.map((wait) => wait.until ?? 0));
  const isClosing = own.every(
    ({ for: what, delay }) => (what === 'closed' || what === 'allClosed') && !delay,
  );
  const closed = own.find((wait) => wait.for === 'allClosed');
  const closing = closed ? waitWords(closed) : 'when the quiz has closed';
  const isAtLatest = own.some((wait) => wait.for === 'allDone' || wait.for === 'lastAttempt');
  return `on ${dayAndTime(known)}${isClosing ? `, ${closing}` : ''}${isAtLatest ? ' at the latest' : ''}`;
}

/** Aspects that come at the same time, together. */
function byTime(all: readonly ToCome[], says: string): string[] {
  const together = new Map<string, Aspect[]>();
  for (const one of all) {
    const when = whenWords(one);
    together.set(when, [...(together.get(when) ?? []), one.aspect]);
  }
  return [...together].map(([when, aspects]) => `${sentence(names(aspects))}${says} ${when}.`);
}

/** How many see some of their result, and how many scores may still change, in whole sentences. */
export function handedBackWords(work: {
  readonly seeing: number;
  readonly all: number;
  readonly provisional: number;
}): string {
  const { seeing, all, provisional } = work;
  const shown = `Some results are shown to ${seeing} of ${count(all, 'student')}.`;
  if (provisional === 0) return shown;
  return `${shown} ${count(provisional, 'score')} may change: answers are not marked yet.`;
}

/** When results come, in sentences, before anything is handed in. */
export const whenResultsCome = ({ plan }: Pick<Cover, 'plan'>): string[] => byTime(plan, ':');

/** The parts of the slip still to come, and what they wait for. */
export const stillToCome = (toCome: Slip['toCome']): string[] => byTime(toCome, ' will come');
