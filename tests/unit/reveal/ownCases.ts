import type { GivenScene } from '../support/scenes';
import type { RevealCase } from './cases.test';

/** A time of November 2026 in Berlin: `24 16:00`. */
const t = (text: string): string => {
  const [day = '', clock = ''] = text.split(' ');
  return `2026-11-${day}T${clock}:00+01:00`;
};

const ONE_DAY = { from: t('23 08:00'), until: t('24 16:00') };
const three = [
  { id: 'Ada', class: '8C' },
  { id: 'Bo', class: '8C' },
  { id: 'Cleo', class: '8C' },
];
const GROUPS = { blue: ONE_DAY, green: { from: t('25 08:00'), until: t('26 16:00') } };
const grouped = [
  { id: 'Ada', class: '8C', groups: ['blue'] },
  { id: 'Bo', class: '8C', groups: ['blue'] },
  { id: 'Cleo', class: '8C', groups: ['green'] },
  { id: 'Dan', class: '8C', groups: ['green'] },
];
const sat = (student: string, begun: string, handedIn: string | null, number = 1, more: object = {}) => ({
  student, number, begun: t(begun), handedIn: handedIn === null ? null : t(handedIn), ...more,
}); // prettier-ignore
const ada = sat('Ada', '23 09:00', '23 09:30');
const base: GivenScene = { quiz: ONE_DAY, students: three, attempts: [ada], ask: { student: 'Ada' } };
const groups: GivenScene = { groups: GROUPS, students: grouped, attempts: [ada], ask: { student: 'Ada' } };
type Rows = [given: GivenScene, expect: RevealCase['expect']][];

/** One case of several rows, each laid over what they share. */
const rows = (title: string, given: GivenScene, all: Rows): RevealCase => ({
  title,
  given: { ...given, each: all.map(([row]) => row) },
  expect: { each: all.map(([, expect]) => expect) },
});
const waits = (forWhat: string[], until: string | null) => ({ for: forWhat, until: until === null ? null : t(until) }); // prettier-ignore

export const OWN_CASES: readonly RevealCase[] = [
  rows('a delay after the hand-in, in minutes and in days', base, [
    [{ plan: { score: ['handedIn + 90 minutes'] }, now: t('23 10:59') }, { waits: { score: waits(['handedIn'], '23 11:00') } }],
    [{ plan: { score: ['handedIn + 90 minutes'] }, now: t('23 11:00') }, { shown: { score: t('23 11:00') } }],
    [{ plan: { score: ['handedIn + 2 days'] }, now: t('25 09:29') }, { waits: { score: waits(['handedIn'], '25 09:30') } }],
    [{ plan: { score: ['handedIn + 2 days'] }, now: t('25 09:30') }, { shown: { score: t('25 09:30') } }],
  ]),
  rows('a day is a day on the wall when the clocks go back: 25 hours', {
    quiz: { from: '2026-10-23T08:00:00+02:00', until: null }, students: [{ id: 'Ada', class: '8C' }],
    plan: { feedback: ['handedIn + 1 day'] }, ask: { student: 'Ada' },
    attempts: [{ student: 'Ada', number: 1, begun: '2026-10-24T11:00:00+02:00', handedIn: '2026-10-24T12:00:00+02:00' }],
  }, [
    [{ now: '2026-10-25T10:59:00+01:00' }, { waits: { feedback: { for: ['handedIn'], until: '2026-10-25T12:00:00+01:00' } } }],
    [{ now: '2026-10-25T12:00:00+01:00' }, { shown: { feedback: '2026-10-25T12:00:00+01:00' } }],
  ]),
  rows('hours elapse when the clocks go back', {
    quiz: { from: '2026-10-23T08:00:00+02:00', until: null }, students: [{ id: 'Ada', class: '8C' }],
    plan: { feedback: ['handedIn + 24 hours'] }, ask: { student: 'Ada' },
    attempts: [{ student: 'Ada', number: 1, begun: '2026-10-24T11:00:00+02:00', handedIn: '2026-10-24T12:00:00+02:00' }],
  }, [[{ now: '2026-10-25T11:00:00+01:00' }, { shown: { feedback: '2026-10-25T11:00:00+01:00' } }]]),
  rows('unfinished work', { ...base, attempts: [sat('Ada', '24 15:00', null)], plan: { score: ['handedIn'], comments: ['handedIn'] } }, [
    [{ now: t('24 15:59') }, { waits: { score: waits(['handedIn'], '24 16:00') }, attempt: {} }],
    [{ now: t('24 16:00') }, { shown: { score: t('24 16:00') } }],
    [{ now: t('24 15:59'), quiz: { ...ONE_DAY, unfinished: 'notCounted' } }, { waits: { score: { for: ['handedIn'] } } }],
    [{ now: t('24 16:00'), quiz: { ...ONE_DAY, unfinished: 'notCounted' } }, { shown: { score: t('24 16:00'), comments: t('24 16:00') }, nothing: { questions: 'noAttempt' } }],
    [{ now: t('24 16:00'), quiz: { ...ONE_DAY, unfinished: 'notCounted' }, missing: 'empty' }, { nothing: { score: 'noAttempt' } }],
  ]),
  rows('a time limit ends an attempt before its window does', { ...base, quiz: { ...ONE_DAY, timeLimit: 40 }, plan: { score: ['handedIn'] } }, [
    [{ attempts: [sat('Ada', '23 09:00', null, 1, { limit: 40 })], now: t('23 09:39') }, { waits: { score: waits(['handedIn'], '23 09:40') } }],
    [{ attempts: [sat('Ada', '23 09:00', null, 1, { limit: 40 })], now: t('23 09:40') }, { shown: { score: t('23 09:40') }, attempt: { left: 0, canBegin: false } }],
    [{ attempts: [sat('Ada', '24 15:50', null, 1, { limit: 40 })], now: t('24 16:00') }, { shown: { score: t('24 16:00') } }],
    [{ attempts: [sat('Ada', '23 09:00', null, 1, { limit: 40 })], pauses: [{ from: t('23 09:10'), to: t('23 09:25') }], now: t('23 09:54') }, { waits: { score: waits(['handedIn'], '23 09:55') } }],
    [{ attempts: [sat('Ada', '23 09:00', null, 1, { limit: 40 })], pauses: [{ from: t('23 09:10'), to: null }], now: t('23 11:00') }, { waits: { score: waits(['handedIn'], '24 16:00') } }],
    [{ attempts: [sat('Ada', '23 09:00', null, 1, { limit: 60 })], now: t('23 09:59') }, { waits: { score: waits(['handedIn'], '23 10:00') } }],
  ]),
  rows('more time', { ...base, quiz: { ...ONE_DAY, timeLimit: 45 }, now: t('23 09:00') }, [
    [{ students: [{ id: 'Ada', class: '8C', moreTime: { kind: 'factor', factor: { n: 5, d: 4 } } }] }, { window: { timeLimit: 57 } }],
    [{ students: [{ id: 'Ada', class: '8C', moreTime: { kind: 'minutes', minutes: 20 } }] }, { window: { timeLimit: 65 } }],
    [{ students: [{ id: 'Ada', class: '8C', moreTime: { kind: 'minutes', minutes: 20 }, window: { timeLimit: 50 } }] }, { window: { timeLimit: 50 } }],
    [{ quiz: ONE_DAY, students: [{ id: 'Ada', class: '8C', moreTime: { kind: 'minutes', minutes: 20 } }] }, { window: { timeLimit: null } }],
  ]),
  rows('windows: what is nearer counts, none is a value', { ...base, classes: { '8C': { due: t('24 12:00'), grace: 5 } }, now: t('23 09:00') }, [
    [{}, { window: { due: t('24 12:00'), grace: 5, until: t('24 16:00') } }],
    [{ students: [{ id: 'Ada', class: '8C', window: { due: null } }] }, { window: { due: null, grace: 5 } }],
    [{ students: [{ id: 'Ada', class: '8C', window: { until: null } }], plan: { score: ['closed'] } }, { window: { until: null }, waits: { score: waits(['handedIn', 'closed'], null) } }],
  ]),
  rows('a window that is not open, or ends before it begins, lets nobody begin', { ...base, attempts: [] }, [
    [{ quiz: {}, now: t('23 09:00') }, { attempt: { canBegin: false } }],
    [{ quiz: { from: t('24 08:00'), until: t('23 08:00') }, now: t('24 09:00') }, { attempt: { canBegin: false } }],
    [{ pauses: [{ from: t('23 08:30'), to: t('23 09:30') }], now: t('23 09:00') }, { attempt: { canBegin: false } }],
    [{ pauses: [{ from: t('23 08:30'), to: t('23 09:30') }], now: t('23 09:30') }, { attempt: { canBegin: true } }],
  ]),
  rows('attempts left: allowed and granted without those begun', { ...base, quiz: { ...ONE_DAY, attempts: 2 }, now: t('23 10:00') }, [
    [{}, { attempt: { left: 1, canBegin: true } }],
    [{ attempts: [ada, sat('Ada', '23 09:50', null, 2)] }, { attempt: { left: 0, canBegin: false } }],
    [{ students: [{ id: 'Ada', class: '8C', granted: 2 }] }, { attempt: { left: 3 } }],
    [{ quiz: { ...ONE_DAY, attempts: null } }, { attempt: { left: null, canBegin: true } }],
  ]),
  rows('my class, and all', { quiz: ONE_DAY, students: [...three, { id: 'Eve', class: '8D', window: { until: t('27 16:00') } }], attempts: [ada], ask: { student: 'Ada' }, plan: { score: ['allClosed class'], feedback: ['allClosed all'] } }, [
    [{ now: t('24 16:00') }, { shown: { score: t('24 16:00') }, waits: { feedback: waits(['allClosed all'], '27 16:00') } }],
    [{ now: t('27 16:00') }, { shown: { feedback: t('27 16:00') } }],
  ]),
  rows('my group: who is in none belongs with those of the class in none', { ...groups, students: [...grouped, { id: 'Eve', class: '8C', window: { from: t('23 08:00'), until: t('23 18:00') } }, { id: 'Flo', class: '8C', window: { from: t('23 08:00'), until: t('25 18:00') } }], attempts: [sat('Eve', '23 09:00', '23 10:00')], plan: { score: ['allClosed group'] }, ask: { student: 'Eve' } }, [
    [{ now: t('25 17:59') }, { waits: { score: waits(['allClosed group'], '25 18:00') } }],
    [{ now: t('25 18:00') }, { shown: { score: t('25 18:00') } }],
  ]),
  rows('everyone handed in or closed', { ...base, attempts: [ada, sat('Bo', '23 10:00', '23 10:30')], plan: { score: ['allDone all'] } }, [
    [{ now: t('23 12:00') }, { waits: { score: waits(['allDone all'], '24 16:00') } }],
    [{ now: t('24 16:00') }, { shown: { score: t('24 16:00') } }],
    [{ students: [...three.slice(0, 2), { id: 'Cleo', class: '8C', takenOff: t('23 11:00') }], now: t('23 12:00') }, { shown: { score: t('23 11:00') } }],
    [{ attempts: [ada, sat('Bo', '23 10:00', '23 10:30', 1, { voided: true }), sat('Cleo', '23 10:00', '23 11:00')], quiz: { ...ONE_DAY, attempts: 2 }, now: t('23 12:00') }, { waits: { score: waits(['allDone all'], '24 16:00') } }],
    [{ attempts: [ada, sat('Bo', '23 10:00', '23 10:30', 1, { voided: true }), sat('Cleo', '23 10:00', '23 11:00')], now: t('23 12:00') }, { shown: { score: t('23 11:00') } }],
  ]),
  rows('who comes later counts with the window they have', { ...base, plan: { score: ['allClosed all'] } }, [
    [{ students: [...three, { id: 'New', class: '8C', window: { until: t('30 16:00') } }], now: t('24 17:00') }, { waits: { score: waits(['allClosed all'], '30 16:00') } }],
  ]),
  rows('taken off: closed from then', { ...base, students: [...three.slice(0, 2), { id: 'Cleo', class: '8C', window: { until: null }, takenOff: t('25 09:00') }], plan: { score: ['allClosed all'] } }, [
    [{ now: t('25 08:59') }, { waits: { score: waits(['allClosed all'], null) } }],
    [{ now: t('25 09:00') }, { shown: { score: t('25 09:00') } }],
  ]),
  rows('everything marked', { ...base, plan: { comments: ['marked'], score: ['handedIn'] }, whileWaiting: 'heldBack' }, [
    [{ attempts: [sat('Ada', '23 09:00', '23 09:30', 1, { marked: null })], now: t('25 09:00') }, { waits: { comments: waits(['marked'], null), score: waits(['marked'], null) } }],
    [{ attempts: [sat('Ada', '23 09:00', '23 09:30', 1, { marked: t('25 10:00') })], now: t('25 09:59') }, { waits: { score: waits(['marked'], null) } }],
    [{ attempts: [sat('Ada', '23 09:00', '23 09:30', 1, { marked: t('25 10:00') })], now: t('25 10:00') }, { shown: { comments: t('25 10:00'), score: t('25 10:00') } }],
    [{ plan: { comments: ['marked + 1 day'] }, attempts: [sat('Ada', '23 09:00', '23 09:30', 1, { marked: t('25 10:00') })], now: t('25 12:00') }, { waits: { comments: waits(['marked'], '26 10:00') } }],
  ]),
  rows('last attempt used, without a limit: the window has closed', { ...base, quiz: { ...ONE_DAY, attempts: null }, plan: { rightAnswers: ['lastAttempt'] } }, [
    [{ now: t('24 15:59') }, { waits: { rightAnswers: waits(['lastAttempt'], '24 16:00') } }],
    [{ now: t('24 16:00') }, { shown: { rightAnswers: t('24 16:00') } }],
  ]),
  rows('shown by the teacher', { ...base, plan: { score: ['byTeacher'], comments: ['byTeacher', 'closed'] }, now: t('23 12:00') }, [
    [{}, { waits: { score: waits(['byTeacher'], null) } }],
    [{ acts: [{ act: 'show', at: t('23 11:00'), to: 'class 8C', aspects: ['score'] }] }, { shown: { score: t('23 11:00') } }],
    [{ acts: [{ act: 'show', at: t('23 11:00'), to: 'class 9A', aspects: ['score'] }] }, { waits: { score: waits(['byTeacher'], null) } }],
    [{ acts: [{ act: 'show', at: t('23 11:00'), to: 'student Ada', aspects: ['score', 'comments'] }] }, { shown: { score: t('23 11:00') }, waits: { comments: waits(['closed'], '24 16:00') } }],
    [{ acts: [{ act: 'show', at: t('23 10:00'), to: 'all', aspects: ['score'] }, { act: 'takeBack', at: t('23 11:00'), to: 'student Ada', aspects: ['score'] }] }, { waits: { score: waits(['byTeacher', 'takenBack'], null) } }],
    [{ acts: [{ act: 'show', at: t('23 10:00'), to: 'all', aspects: ['score'] }, { act: 'takeBack', at: t('23 11:00'), to: 'student Ada', aspects: ['score'] }], attempts: [ada, sat('Bo', '23 09:00', '23 09:40')], ask: { student: 'Bo' } }, { shown: { score: t('23 10:00') } }],
    [{ acts: [{ act: 'show', at: t('23 10:00'), to: 'all', aspects: ['score'] }, { act: 'show', at: t('23 11:00'), to: 'student Ada', aspects: ['score'] }] }, { shown: { score: t('23 10:00') } }],
  ]),
  rows('never stays never, shown or not', { ...base, plan: { score: 'never', questions: 'never', feedback: ['handedIn'] }, now: t('23 12:00') }, [
    [{ acts: [{ act: 'show', at: t('23 11:00'), to: 'all', aspects: ['score', 'questions', 'feedback'] }] }, { never: ['score', 'questions', 'feedback'] }],
  ]),
  rows('what an aspect needs holds it back, taken back too', { ...base, plan: { questions: ['handedIn'], feedback: ['handedIn'], rightWrong: ['handedIn'] }, now: t('23 12:00') }, [
    [{ acts: [{ act: 'takeBack', at: t('23 11:00'), to: 'all', aspects: ['questions'] }] }, { waits: { questions: waits(['takenBack'], null), feedback: waits(['takenBack'], null) }, shown: { rightWrong: t('23 09:30') } }],
    [{ plan: { questions: ['allClosed all'], feedback: ['closed + 1 hour'] } }, { waits: { feedback: waits(['closed', 'allClosed all'], '24 17:00') } }],
  ]),
  rows('the questions of an aspect: its own filter, and that of the aspect it needs', { ...base, marks: { 1: 'right', 2: 'partly', 3: 'blank', 4: 'waits' }, plan: { questions: ['handedIn'], feedback: ['handedIn'], rightAnswers: ['handedIn'], rightWrong: ['handedIn'] }, now: t('23 12:00') }, [
    [{ only: { questions: 'notFullyRight' } }, { questionsIn: { feedback: [2, 3], rightWrong: [1, 2, 3, 4] } }],
    [{ only: { rightWrong: 'notFullyRight' } }, { questionsIn: { feedback: [1, 2, 3, 4], rightWrong: [2, 3] } }],
  ]),
  rows('plans of two groups: the conditions of both, never wins', { ...groups, students: [{ id: 'Ada', class: '8C', groups: ['blue', 'green'] }], ownPlans: { 'group blue': { score: ['handedIn'], comments: 'never' }, 'group green': { score: ['byTeacher'], comments: ['handedIn'] } }, plan: { score: ['closed'], comments: ['handedIn'] }, now: t('23 12:00') }, [
    [{}, { waits: { score: waits(['byTeacher'], null) }, never: ['comments'] }],
    [{ ownPlans: { 'group blue': { score: ['handedIn'] }, 'student Ada': { score: ['marked'] } } }, { shown: { score: t('23 09:30') } }],
    [{ ownPlans: { 'class 8C': { score: ['byTeacher'] }, 'group blue': { score: ['handedIn'] } } }, { shown: { score: t('23 09:30') } }],
  ]),
  rows('too late, taken in later', { ...base, attempts: [{ student: 'Ada', number: 1, handedIn: t('24 16:01') }], plan: { score: ['handedIn'], feedback: ['handedIn'] } }, [
    [{ attempts: [{ student: 'Ada', number: 1, handedIn: '2026-11-24T16:00:59+01:00' }], now: t('25 09:00') }, { shown: { score: '2026-11-24T16:00:59+01:00' } }],
    [{ now: t('25 09:00') }, { nothing: { score: 'tooLate' }, shown: { feedback: t('24 16:01') } }],
    [{ attempts: [{ student: 'Ada', number: 1, handedIn: t('24 16:01'), takenIn: t('25 10:00') }], now: t('25 09:59') }, { nothing: { score: 'tooLate' } }],
    [{ attempts: [{ student: 'Ada', number: 1, handedIn: t('24 16:01'), takenIn: t('25 10:00') }], now: t('25 10:00') }, { shown: { score: t('25 10:00') } }],
    [{ attempts: [{ student: 'Ada', number: 1, handedIn: null, imported: t('26 10:00') }], now: t('26 10:00') }, { shown: { score: t('26 10:00') } }],
  ]),
  rows('given back: it hides, runs on with the minutes left, and is taken at its end whatever the rule', { ...base, quiz: { ...ONE_DAY, unfinished: 'notCounted', timeLimit: 40 }, plan: { score: ['handedIn'] }, attempts: [sat('Ada', '23 09:00', null, 1, { limit: 40, reopened: { at: t('23 11:00'), minutesLeft: 10 } })] }, [
    [{ now: t('23 11:09') }, { waits: { score: waits(['handedIn'], '23 11:10') } }],
    [{ now: t('23 11:10') }, { shown: { score: t('23 11:10') } }],
  ]),
  rows('what was shown stays shown for those who can hand in no more', { ...base, students: [{ id: 'Ada', class: '8C' }, { id: 'Bo', class: '8C', window: { until: t('27 16:00') } }], attempts: [ada], plan: { score: ['allDone all + 1 hour'] }, now: t('25 09:00') }, [
    [{ kept: [{ when: 'allDone', scope: 'all', since: t('24 16:00') }] }, { shown: { score: t('24 17:00') } }],
    [{ kept: [{ when: 'allDone', scope: 'class', since: t('24 16:00') }] }, { waits: { score: waits(['allDone all'], '27 17:00') } }],
    [{ kept: [{ when: 'allDone', scope: 'all', since: t('25 10:00') }] }, { waits: { score: waits(['allDone all'], '27 17:00') } }],
  ]),
  rows('how the class did: from five papers on', { ...base, plan: { classDid: ['handedIn'] }, now: t('23 12:00') }, [
    [{ completePapers: 4 }, { nothing: { classDid: 'fewPapers' } }],
    [{ completePapers: 5 }, { shown: { classDid: t('23 09:30') } }],
    [{ completePapers: 4, plan: { classDid: ['closed'] } }, { waits: { classDid: waits(['closed'], '24 16:00') } }],
  ]),
  rows('leaks', { ...groups, attempts: [], plan: { questions: 'never' }, now: t('23 07:00') }, [
    [{ plan: { questions: 'never', rightWrong: ['closed'] } }, { leaks: [{ aspect: 'rightWrong', tellers: ['Ada', 'Bo'], hearers: ['Cleo', 'Dan'], from: t('24 16:00'), until: t('26 16:00') }] }],
    [{ plan: { questions: 'never', rightWrong: ['allClosed group'] } }, { leaks: [{ aspect: 'rightWrong', tellers: ['Ada', 'Bo'], hearers: ['Cleo', 'Dan'], from: t('24 16:00'), until: t('26 16:00') }] }],
    [{ plan: { questions: 'never', rightWrong: [`date ${t('25 12:00')}`] } }, { leaks: [
      { aspect: 'rightWrong', tellers: ['Ada', 'Bo'], hearers: ['Cleo', 'Dan'], from: t('25 12:00'), until: t('26 16:00') },
      { aspect: 'rightWrong', tellers: ['Cleo', 'Dan'], hearers: ['Cleo', 'Dan'], from: t('25 12:00'), until: t('26 16:00') },
    ] }],
    [{ plan: { questions: 'never', rightWrong: ['byTeacher'] } }, { leaks: [] }],
    [{ plan: { questions: 'never', rightWrong: ['closed'] }, now: t('26 16:00') }, { leaks: [] }],
    [{ plan: { questions: 'never', rightWrong: ['closed'] }, now: t('25 09:00') }, { leaks: [] }],
    [{ plan: { questions: 'never', rightWrong: ['closed'] }, attempts: [ada], now: t('25 09:00') }, { leaks: [{ aspect: 'rightWrong', tellers: ['Ada', 'Bo'], hearers: ['Cleo', 'Dan'], from: t('24 16:00'), until: t('26 16:00') }] }],
    [{ plan: { questions: ['closed'] } }, { leaks: [{ aspect: 'questions', tellers: ['Ada', 'Bo'], hearers: ['Cleo', 'Dan'], from: t('24 16:00'), until: t('26 16:00') }] }],
    [{ plan: { questions: ['closed'], feedback: ['handedIn'] } }, { leaks: [
      { aspect: 'feedback', tellers: ['Ada', 'Bo'], hearers: ['Cleo', 'Dan'], from: t('24 16:00'), until: t('26 16:00') },
      { aspect: 'questions', tellers: ['Ada', 'Bo'], hearers: ['Cleo', 'Dan'], from: t('24 16:00'), until: t('26 16:00') },
    ] }],
    [{ groups: { ...GROUPS, green: { from: null, until: null } }, plan: { questions: 'never', rightWrong: ['closed'] } }, { leaks: [{ aspect: 'rightWrong', tellers: ['Ada', 'Bo'], hearers: ['Cleo', 'Dan'], from: t('24 16:00'), until: null }] }],
    [{ plan: { questions: ['allClosed all'], rightAnswers: ['handedIn'] } }, { leaks: [] }],
  ]),
  rows('a filtered aspect says what was right', { ...groups, attempts: [], now: t('23 07:00'), plan: { questions: ['closed'], feedback: ['closed'] }, only: { feedback: 'notFullyRight' } }, [
    [{ students: [grouped[0], grouped[2]] as GivenScene['students'] }, { leaks: [
      { aspect: 'feedback', tellers: ['Ada'], hearers: ['Cleo'], from: t('24 16:00'), until: t('26 16:00') },
      { aspect: 'rightWrong', tellers: ['Ada'], hearers: ['Cleo'], from: t('24 16:00'), until: t('26 16:00') },
      { aspect: 'questions', tellers: ['Ada'], hearers: ['Cleo'], from: t('24 16:00'), until: t('26 16:00') },
    ] }],
  ]),
  rows('under everyone handed in or closed only who has another attempt can use it', { ...base, attempts: [], students: three.slice(0, 2), plan: { questions: 'never', rightWrong: ['allDone all'] }, now: t('23 07:00') }, [
    [{}, { leaks: [] }],
    [{ quiz: { ...ONE_DAY, attempts: 2 } }, { leaks: [{ aspect: 'rightWrong', tellers: ['Ada', 'Bo'], hearers: ['Ada', 'Bo'], from: t('23 08:00'), until: t('24 16:00') }] }],
  ]),
  rows('the next attempt given away, and its remedy', { ...base, attempts: [], students: three.slice(0, 1), quiz: { ...ONE_DAY, attempts: 2 }, now: t('23 07:00') }, [
    [{ plan: { rightAnswers: ['handedIn'] } }, { leaks: [{ aspect: 'rightAnswers', self: ['Ada'], from: t('23 08:00'), until: t('24 16:00') }] }],
    [{ plan: { rightAnswers: ['handedIn', 'lastAttempt'] } }, { leaks: [] }],
    [{ plan: { rightAnswers: ['handedIn'] }, attempts: [sat('Ada', '23 08:10', '23 08:20'), sat('Ada', '23 08:30', '23 08:40', 2)], now: t('23 09:00') }, { leaks: [] }],
  ]),
  rows('silence', { ...base, now: t('23 09:00') }, [
    [{ quiz: { from: t('23 08:00') }, plan: { score: ['closed'], feedback: ['allClosed all'], comments: ['handedIn'] } }, { silence: { waitForClose: ['score', 'feedback'] } }],
    [{ plan: { score: 'never', feedback: ['handedIn'], rightAnswers: ['closed'] } }, { silence: { texts: ['bands'], waitForClose: [] } }],
    [{ ownPlans: { 'student Ada': { score: ['handedIn'] } }, plan: { score: 'never', feedback: ['handedIn'], rightAnswers: ['closed'], comments: ['closed'], rightWrong: ['closed'], ownAnswers: ['closed'], classDid: ['closed'] } }, { silence: { never: [], texts: [] } }],
  ]),
  {
    title: 'silence: what needs the questions is never seen where these never are',
    given: {
      zone: 'Europe/Berlin',
      quiz: { from: '2026-11-23T08:00:00+01:00', until: '2026-11-24T16:00:00+01:00', attempts: 1, unfinished: 'taken' },
      students: [{ id: 'Ada', class: '8C' }],
      plan: { score: ['handedIn'], questions: 'never', feedback: ['handedIn'], rightAnswers: ['handedIn'], ownAnswers: ['handedIn'] },
      now: '2026-11-23T09:00:00+01:00',
    },
    expect: {
      silence: {
        never: ['questions', 'ownAnswers', 'feedback', 'rightAnswers'],
        texts: ['feedbackForRight', 'explanations', 'ifMissed', 'bands'],
      },
    },
  },
]; // prettier-ignore
