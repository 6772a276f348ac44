import type { Aspect, AspectPlan, Condition, Delay } from '@/core/quiz/plan/plan';
import { count } from '@/ui/words/figures';
import { dayAndTimeIn } from '@/ui/words/zoneTime';

/** How a sentence about each aspect begins. */
export const SUBJECTS: Readonly<Record<Aspect, string>> = {
  score: 'The score appears',
  rightWrong: 'What was right and wrong, with points for each question, appears',
  questions: 'The questions appear',
  ownAnswers: 'The student’s own answers appear',
  feedback: 'Feedback with its links appears',
  rightAnswers: 'The right answers and explanations appear',
  comments: 'My comments appear',
  classDid: 'The class’s results appear',
};

/** The same of what never comes. */
export const NEVER_SHOWN: Readonly<Record<Aspect, string>> = {
  score: 'The score is',
  rightWrong: 'What was right and wrong, with points for each question, is',
  questions: 'The questions are',
  ownAnswers: 'The student’s own answers are',
  feedback: 'Feedback with its links is',
  rightAnswers: 'The right answers and explanations are',
  comments: 'My comments are',
  classDid: 'The class’s results are',
};

/** What can be chosen: a condition by its name and scope. */
export const CHOICES = {
  handedIn: 'when the student has handed in',
  closed: 'when the quiz has closed for the student',
  'allClosed all': 'when it has closed for everyone',
  'allClosed class': 'when it has closed for the whole class',
  'allClosed group': 'when it has closed for the whole group',
  'allDone all': 'when everyone has handed in or it has closed for them',
  'allDone class': 'when the class has handed in or it has closed for them',
  'allDone group': 'when the group has handed in or it has closed for them',
  date: 'on a date',
  marked: 'when I have marked everything',
  lastAttempt: 'when the student has no attempt left',
  byTeacher: 'when I show it',
} as const;
export type Choice = keyof typeof CHOICES;

export const choiceOf = (condition: Condition): Choice =>
  condition.when === 'allClosed' || condition.when === 'allDone'
    ? `${condition.when} ${condition.scope}`
    : condition.when;

/** The condition that was chosen, with the delay that stood there; a date begins as `date`. */
export function conditionOf(choice: Choice, delay: Delay | null, date: number): Condition {
  const [when, scope] = choice.split(' ') as [Condition['when'], 'all' | 'class' | 'group' | undefined];
  if (when === 'date') return { when, at: date };
  if (when === 'allClosed' || when === 'allDone') return { when, scope: scope ?? 'all', delay };
  return { when, delay };
}

/** The delays that can be chosen. */
export const DELAYS: readonly (Delay | null)[] = [
  null,
  { amount: 10, unit: 'minute' },
  { amount: 30, unit: 'minute' },
  { amount: 1, unit: 'hour' },
  { amount: 2, unit: 'hour' },
  { amount: 12, unit: 'hour' },
  { amount: 1, unit: 'day' },
  { amount: 2, unit: 'day' },
  { amount: 3, unit: 'day' },
  { amount: 7, unit: 'day' },
];

export const delayWords = (delay: Delay | null): string =>
  delay ? `${count(delay.amount, delay.unit)} later` : 'at once';

export const ONLY: Readonly<Record<AspectPlan['only'], string>> = {
  all: 'all questions',
  notFullyRight: 'questions that were not fully right',
};

/** A condition as it stands in a sentence. */
export function conditionWords(condition: Condition, zone: string): string {
  if (condition.when === 'date') return `on ${dayAndTimeIn(condition.at, zone)}`;
  const words = CHOICES[choiceOf(condition)];
  return condition.delay ? `${words}, ${delayWords(condition.delay)}` : words;
}

/** A whole sentence about an aspect, as it is read where two versions are compared. */
export function sentenceOf(aspect: Aspect, { when, only }: AspectPlan, zone: string): string {
  if (when === 'never') return `${NEVER_SHOWN[aspect]} never shown.`;
  const all = when.map((one) => conditionWords(one, zone)).join(' and ');
  return `${SUBJECTS[aspect]} ${all}${only === 'all' ? '' : `, for ${ONLY[only]}`}.`;
}
