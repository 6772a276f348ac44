import { isRecord, type Json } from './records';
import type { FormStep } from './walk';

/**
 * Records of the form whose plan knew three conditions and one window for everybody, brought to the one with a plan and a window
 * for each class, group and student. Nobody is shown anything at another time than before.
 */

const CONDITIONS: Readonly<Record<string, string>> = {
  handedIn: 'handedIn',
  closed: 'closed',
  byTeacher: 'byTeacher',
};

/** The earliest first. */
const ORDER = ['handedIn', 'closed', 'byTeacher', 'never'];
const OF_QUESTIONS = ['ownAnswers', 'feedback', 'rightAnswers'];
const ASPECTS = [
  'score',
  'rightWrong',
  'questions',
  'ownAnswers',
  'feedback',
  'rightAnswers',
  'comments',
  'classDid',
];

const planOf = (when: unknown): Json => {
  const condition = CONDITIONS[String(when)];
  return {
    when: condition === undefined ? 'never' : [{ when: condition, delay: null }],
    only: 'all',
  };
};

/** The plan by aspects; the questions come with the first of what stands on them. */
function revealPlan(plan: unknown): unknown {
  if (!isRecord(plan) || 'aspects' in plan) return plan;
  const questions = ORDER.find((when) => OF_QUESTIONS.some((aspect) => plan[aspect] === when)) ?? 'never';
  const all: Json = { ...plan, questions, classDid: 'never' };
  return {
    aspects: Object.fromEntries(ASPECTS.map((aspect) => [aspect, planOf(all[aspect])])),
    whileWaiting: 'soFar',
  };
}

const content = (old: unknown): unknown =>
  isRecord(old)
    ? { timeLimit: null, goingBack: true, comingBack: true, ...old, plan: revealPlan(old['plan']) }
    : old;

const withQuestions = (aspects: readonly string[]): string[] =>
  ASPECTS.filter(
    (aspect) =>
      aspects.includes(aspect) ||
      (aspect === 'questions' && OF_QUESTIONS.some((one) => aspects.includes(one))),
  );

/** What was shown by hand, as acts: of an aspect to everyone, of everything to one student. */
function actsOf(shown: unknown, shownTo: unknown): Json[] {
  const byTime = new Map<number, string[]>();
  for (const [aspect, at] of Object.entries(isRecord(shown) ? shown : {}))
    byTime.set(Number(at), [...(byTime.get(Number(at)) ?? []), aspect]);
  const toAll = [...byTime].map(([at, aspects]) => ({
    id: `shown-${at}`,
    at,
    act: 'show',
    aspects: withQuestions(aspects),
    to: { kind: 'all' },
  }));
  const toOne = Object.entries(isRecord(shownTo) ? shownTo : {}).map(([studentId, at]) => ({
    id: `shown-to-${studentId}`,
    at,
    act: 'show',
    aspects: ASPECTS,
    to: { kind: 'student', studentId },
  }));
  return [...toAll, ...toOne].sort((a, b) => Number(a.at) - Number(b.at));
}

function standing(old: unknown): unknown {
  if (!isRecord(old) || !('shown' in old)) return old;
  const { shown, shownTo, ...rest } = old;
  return { windows: [], plans: [], acts: actsOf(shown, shownTo), kept: [], pauses: [], granted: {}, ...rest };
}

export const form9: FormStep = { to: 9, rescueTo: 9, content, standing };
