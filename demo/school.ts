import type { Target } from '@/core/quiz/people/target';
import type { QuizStanding } from '@/core/quiz/quiz';
import { CLASS_7B, CLASS_8C, MEMBERS } from './classes';
import { CYCLE_QUIZ } from './quizzes/cycle';
import { DELTAS } from './quizzes/deltas';
import { FLOODS } from './quizzes/floods';
import { FLOW } from './quizzes/flow';
import { JOURNEY } from './quizzes/journey';
import { MAPS } from './quizzes/maps';
import { RIVERS } from './quizzes/rivers';
import { idOf, type DemoQuiz } from './words';
import { CYCLE_WRITTEN } from './work/cycle';
import { FLOW_WRITTEN } from './work/flow';
import { FLOODS_WRITTEN } from './work/floods';
import { JOURNEY_WRITTEN } from './work/journey';
import { MAPS_WRITTEN } from './work/maps';
import { RIVERS_WRITTEN } from './work/rivers';

/** The demo school: its quizzes with where each stands on the day of the first visit, and the work in them. */

/** A moment: so many days after the first visit (before it where negative), at a full hour of the day there. */
export interface Moment {
  readonly days: number;
  readonly hour: number;
  /** On a Saturday or Sunday, the Monday after. */
  readonly schoolDay?: true;
}

const on = (days: number, hour: number): Moment => ({ days, hour });
const onSchoolDay = (days: number, hour: number): Moment => ({ days, hour, schoolDay: true });

export interface DemoPaper {
  readonly studentId: string;
  /** One answer per question, in their order, as it was typed. */
  readonly written: readonly string[];
  /** Minutes after the opening. */
  readonly begun: number;
  /** Minutes of work; `handedIn` tells whether they ended with handing in. */
  readonly minutes: number;
  readonly handedIn: boolean;
  /** When it could be begun, where that is not the quiz's own opening. */
  readonly opened?: Moment;
  /** Which attempt of the student it is; the first where nothing is said. */
  readonly number?: number;
}

/** When a group or a student can sit. */
interface DemoWindow {
  readonly for: Target;
  readonly from?: Moment;
  readonly due?: Moment;
  readonly until: Moment;
}

export interface DemoWork {
  readonly quiz: DemoQuiz;
  readonly setTo: QuizStanding['setTo'];
  /** Days before the first visit on which it was written. */
  readonly age: number;
  /** null: never opened. */
  readonly opening: { readonly from: Moment; readonly due: Moment | null; readonly until: Moment } | null;
  /** Times of their own for groups and students. */
  readonly windows?: readonly DemoWindow[];
  /** Attempts given to single students. */
  readonly granted?: Readonly<Record<string, number>>;
  readonly papers: readonly DemoPaper[];
  /** When the teacher showed everything; null: not yet, or by the plan alone. */
  readonly shown: Moment | null;
  /** Scores that the teacher set, by the place of the paper. */
  readonly ownScores: readonly {
    readonly paper: number;
    readonly questionId: string;
    readonly points: number;
    readonly gave: number;
    readonly reason: string;
  }[];
  /** Words to a student about a whole paper. */
  readonly comments: readonly { readonly paper: number; readonly text: string }[];
}

const DAY = 24 * 60;
const idsOf = (classId: string, group: string | null = null): string[] =>
  MEMBERS.filter((one) => one.classId === classId && (group === null || one.groups.includes(group))).map(
    ({ studentId }) => studentId,
  );
const NO_WORK = { papers: [], shown: null, ownScores: [], comments: [] };
const took = (at: number): number => 9 + ((at * 5) % 14);

/** Papers begun on one of some evenings, all handed in. */
const overEvenings = (
  ids: readonly string[],
  written: readonly (readonly string[])[],
  evenings: number,
): DemoPaper[] =>
  ids.map((studentId, at) => ({
    studentId,
    written: written[at % written.length] ?? [],
    begun: (at % evenings) * DAY + 12 + Math.floor(at / evenings) * 11,
    minutes: took(at),
    handedIn: true,
  }));

const riversPapers = RIVERS_WRITTEN.map((written, at): DemoPaper => ({
  studentId: idsOf(CLASS_8C.id)[at] ?? '',
  written,
  begun: 12 + (at < 15 ? at * 21 : DAY + (at - 15) * 31),
  minutes: took(at),
  handedIn: true,
}));

/** Four evenings; the last three are begun after the due time, and the very last is never handed in. */
const floodsPapers = overEvenings(idsOf(CLASS_7B.id).slice(0, FLOODS_WRITTEN.length), FLOODS_WRITTEN, 4).map(
  (paper, at, { length }): DemoPaper =>
    at < length - 3 ? paper : { ...paper, begun: 4 * DAY + 95 + at, handedIn: at < length - 1 },
);

const FIELD_DAYS = { first: on(-6, 8), second: on(-1, 8), third: onSchoolDay(3, 8) };
const fieldGroup = (number: 1 | 2 | 3): Target => ({
  kind: 'group',
  classId: CLASS_7B.id,
  group: `field group ${number}`,
});
const [LONGER = '', AGAIN = ''] = [
  idsOf(CLASS_7B.id, 'field group 2').at(-1),
  idsOf(CLASS_7B.id, 'field group 1')[3],
];

/** The first group has sat, one of it late, one twice, one not at all; the second is sitting; the third will. */
const flowPapers: readonly DemoPaper[] = [
  ...idsOf(CLASS_7B.id, 'field group 1')
    .slice(0, 7)
    .map((studentId, at): DemoPaper => ({
      studentId,
      written: FLOW_WRITTEN[at] ?? [],
      opened: FIELD_DAYS.first,
      begun: at === 6 ? 2 * DAY + 40 : 35 + at * 90,
      minutes: took(at),
      handedIn: true,
    })),
  {
    studentId: AGAIN,
    written: FLOW_WRITTEN[7] ?? [],
    opened: FIELD_DAYS.first,
    begun: 4 * DAY + 45,
    minutes: 14,
    handedIn: true,
    number: 2,
  },
  ...idsOf(CLASS_7B.id, 'field group 2')
    .slice(0, 4)
    .map((studentId, at): DemoPaper => ({
      studentId,
      written: FLOW_WRITTEN[at + 8] ?? [],
      opened: FIELD_DAYS.second,
      begun: 20 + at * 70,
      minutes: took(at),
      handedIn: at < 3,
    })),
];

const absent = new Set(['demo-13', 'demo-7b-8']);
const both = [...idsOf(CLASS_8C.id), ...idsOf(CLASS_7B.id)].filter((id) => !absent.has(id));

export const SCHOOL: readonly DemoWork[] = [
  {
    ...NO_WORK,
    quiz: DELTAS,
    setTo: [{ classId: CLASS_8C.id, group: null }],
    age: 1,
    opening: null,
  },
  {
    ...NO_WORK,
    quiz: FLOW,
    setTo: [{ classId: CLASS_7B.id, group: null }],
    papers: flowPapers,
    granted: { [AGAIN]: 1 },
    age: 7,
    opening: { from: onSchoolDay(3, 8), due: null, until: onSchoolDay(11, 18) },
    windows: [
      { for: fieldGroup(1), from: FIELD_DAYS.first, due: on(-4, 8), until: on(-3, 16) },
      { for: fieldGroup(2), from: FIELD_DAYS.second, until: onSchoolDay(1, 16) },
      { for: fieldGroup(3), from: FIELD_DAYS.third, until: onSchoolDay(5, 16) },
      { for: { kind: 'student', studentId: LONGER }, until: onSchoolDay(4, 16) },
      { for: { kind: 'student', studentId: AGAIN }, due: on(0, 22), until: on(0, 23) },
    ],
  },
  {
    ...NO_WORK,
    quiz: RIVERS,
    setTo: [{ classId: CLASS_8C.id, group: null }],
    age: 5,
    opening: { from: on(-3, 15), due: null, until: on(2, 16) },
    papers: riversPapers,
  },
  {
    ...NO_WORK,
    quiz: FLOODS,
    setTo: [{ classId: CLASS_7B.id, group: null }],
    age: 8,
    opening: { from: on(-6, 15), due: on(-2, 16), until: on(-1, 16) },
    papers: floodsPapers,
  },
  {
    ...NO_WORK,
    quiz: JOURNEY,
    setTo: [{ classId: CLASS_7B.id, group: null }],
    age: 12,
    opening: { from: on(-11, 15), due: null, until: on(-7, 16) },
    papers: overEvenings(idsOf(CLASS_7B.id), JOURNEY_WRITTEN, 3),
  },
  {
    quiz: MAPS,
    setTo: [{ classId: CLASS_8C.id, group: 'blue' }],
    age: 15,
    opening: { from: on(-14, 15), due: null, until: on(-9, 16) },
    papers: overEvenings(idsOf(CLASS_8C.id, 'blue'), MAPS_WRITTEN, 3),
    shown: on(-8, 17),
    ownScores: [
      {
        paper: 5,
        questionId: idOf('q-ridge'),
        points: 1,
        gave: 0,
        reason: 'You describe it well; the word for it is watershed.',
      },
    ],
    comments: [
      { paper: 0, text: 'Faultless. Well read!' },
      { paper: 12, text: 'See me about contour lines: we will read one map together.' },
    ],
  },
  {
    ...NO_WORK,
    quiz: CYCLE_QUIZ,
    setTo: [
      { classId: CLASS_8C.id, group: null },
      { classId: CLASS_7B.id, group: null },
    ],
    age: 31,
    opening: { from: on(-30, 15), due: null, until: on(-25, 16) },
    papers: overEvenings(both, CYCLE_WRITTEN, 4),
  },
];
