import type { Cover, Slip } from '@/core/reveal/packets';
import { dayAndTime } from '@/ui/words/figures';

type Aspect = Cover['plan'][number]['aspect'];

const NAMES: Readonly<Record<Aspect, string>> = {
  score: 'your score',
  rightWrong: 'what was right and wrong',
  ownAnswers: 'your answers',
  feedback: 'feedback',
  rightAnswers: 'the right answers',
  comments: 'your teacher’s comments',
};

function list(aspects: readonly Aspect[]): string {
  const names = aspects.map((aspect) => NAMES[aspect]);
  return names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}

const sentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A number of times in words: once, twice, 3 times. */
export const timesWords = (times: number): string => ['never', 'once', 'twice'][times] ?? `${times} times`;

/** How often the paper can be sat, as far as a sentence. */
export const oftenWords = ({ most }: Cover['attempts']): string =>
  `You can take this quiz ${most === null ? 'as often as you like' : timesWords(most)}`;

/** When results come, in sentences, before anything is handed in. */
export function whenResultsCome({ plan, until }: Cover): string[] {
  const of = (when: string) => list(plan.filter((part) => part.when === when).map((part) => part.aspect));
  const closing =
    until === null ? 'when your teacher closes the quiz' : `after closing, ${dayAndTime(until)}`;
  return [
    [of('handedIn'), 'at once when you hand in'],
    [of('closed'), closing],
    [of('byTeacher'), 'when your teacher shows it'],
  ].flatMap(([what, when]) => (what ? [`${sentence(what)}: ${when}.`] : []));
}

/** The parts of the slip still to come, and what it waits for. */
export function stillToCome(toCome: Slip['toCome']): string[] {
  const of = (waitsFor: string) => toCome.filter((part) => part.waitsFor === waitsFor);
  const names = (waitsFor: string) => list(of(waitsFor).map((part) => part.aspect));
  const until = of('closed')[0]?.until ?? null;
  const closed = names('closed');
  const teacher = names('byTeacher');
  return [
    ...(closed
      ? [
          `${sentence(closed)} will come ${until === null ? 'when your teacher closes the quiz or shows it' : `on ${dayAndTime(until)}, when the quiz has closed`}.`,
        ]
      : []),
    ...(teacher ? [`${sentence(teacher)} will come when your teacher shows it.`] : []),
  ];
}
