import { draftChanges } from '../../quiz/draftChanges';
import { placedIn } from '../../quiz/paper';
import type { Placed } from '../../quiz/placement';
import type { Paper } from '../../quiz/quiz';
import { questionTitle } from '../../content/plainText';
import { canonical, same } from '../../figures/deepEqual';
import type { Person } from '../../quiz/people/school';
import type { BackedQuiz, WrittenQuiz } from './schema';

/**
 * How a copy of a quiz stands to the one that is here: `same`; `newer` or `older` where one holds all that the other does
 * and more; `conflict` where each has something that the other lacks.
 */
export type Standing = 'same' | 'newer' | 'older' | 'conflict';

/** What happened to a quiz, each thing by a key of its own. */
function happened({ class: part, history }: BackedQuiz): Set<string> {
  return new Set([
    ...history.map((step) => `step ${step.at} ${step.tab} ${step.seq} ${step.undone}`),
    ...part.revisions.map(({ rev, at }) => `revision ${rev} ${at}`),
  ]);
}

/** Holds every attempt of the other one, as it is there or later. */
function holdsWork(one: BackedQuiz, other: BackedQuiz): boolean {
  const own = new Map(one.class.attempts.map((attempt) => [attempt.id, attempt.savedAt]));
  return other.class.attempts.every(({ id, savedAt }) => (own.get(id) ?? -1) >= savedAt);
}

function holds(one: BackedQuiz, other: BackedQuiz): boolean {
  const own = happened(one);
  return holdsWork(one, other) && [...happened(other)].every((key) => own.has(key));
}

/** All that counts of a quiz: not its place on the Shelf, nor the numbers that only order changes. */
const essence = ({ quiz, class: part }: BackedQuiz): string =>
  canonical({
    content: quiz.content,
    placed: placedIn(quiz).sort((a, b) => (a.question.id < b.question.id ? -1 : 1)),
    part: {
      ...part,
      students: [],
      classes: [],
      members: [],
      attempts: part.attempts.map(({ seq: _, ...attempt }) => attempt).sort((a, b) => (a.id < b.id ? -1 : 1)),
    },
  });

/** How `theirs` stands to `mine`. */
export function compareCopies(mine: BackedQuiz, theirs: BackedQuiz): Standing {
  if (essence(mine) === essence(theirs)) return 'same';
  const [more, less] = [holds(theirs, mine), holds(mine, theirs)];
  if (more && less) return theirs.quiz.changedAt >= mine.quiz.changedAt ? 'newer' : 'older';
  return more ? 'newer' : less ? 'older' : 'conflict';
}

const SETTINGS: Readonly<Record<string, string>> = {
  title: 'the title', topic: 'the topic', instructions: 'the instructions', language: 'the language',
  defaultPoints: 'the points of a question', mustAnswer: 'whether questions must be answered', plan: 'the plan', strict: 'whether hints are warned of',
  unfinished: 'what happens to unfinished work', attempts: 'the rule for attempts', late: 'the rule for late work',
  scoring: 'the rules of the score', penalty: 'what wrong answers cost', negativeCredit: 'what happens below 0', sections: 'the sections',
  pages: 'the pages', bands: 'the feedback on the score', bandsOnCover: 'what the first page tells', shuffled: 'whether the questions are shuffled', shuffledOptions: 'whether the options are shuffled', decimalSign: 'the decimal sign', comparing: 'the rules of comparing', zone: 'the time zone',
}; // prettier-ignore

/** Fields that every question has; all others are its key. */
const FIELDS: Readonly<Record<string, string>> = {
  name: 'the short name', topics: 'the topics', shuffled: 'the order of the options', text: 'the wording', formulas: 'the wording', right: 'the feedback', partly: 'the feedback', wrong: 'the feedback',
  explanation: 'the explanation', negativeCredit: 'what happens below 0', penalty: 'the penalty', hints: 'the hints',
  kind: 'the kind', settings: 'how answers are compared', unmatched: 'what happens to other answers',
  language: 'the language of its answers', decimalSign: 'its decimal sign',
}; // prettier-ignore

/** Fields of a placement. */
const PLACED: Readonly<Record<string, string>> = {
  points: 'the points', mustAnswer: 'whether it must be answered', standing: 'whether it counts',
  staysInPlace: 'whether it keeps its place', perPart: 'what its points are for', startsPage: 'where its page begins',
  checks: 'its test answers',
}; // prettier-ignore

/** The names of the fields in which two records differ. */
function differing(mine: object, theirs: object): string[] {
  const [a, b] = [mine, theirs] as readonly Readonly<Record<string, unknown>>[];
  return [...new Set([...Object.keys(mine), ...Object.keys(theirs)])].filter(
    (name) => !same(a?.[name], b?.[name]),
  );
}

/** What differs between two versions of a question, in words. */
function questionChanges(mine: Placed, theirs: Placed): string {
  const words = [
    ...differing(mine.question, theirs.question).map((name) => FIELDS[name] ?? 'the key'),
    ...differing(mine.placement, theirs.placement).map((name) => PLACED[name] ?? 'its place in the quiz'),
  ];
  return [...new Set(words)].join(', ');
}

/** What a later copy of a quiz changes, line by line; empty where nothing differs. */
export function copyChanges(mine: Paper, theirs: Paper): string[] {
  const titles = new Map(
    [...mine.questions, ...theirs.questions].map(({ id, text, formulas }) => [
      id,
      questionTitle(text, formulas),
    ]),
  );
  const words = { added: 'new', removed: 'gone', changed: 'changed' } as const;
  const questions = draftChanges(theirs, mine).flatMap(({ kind, questionId }) => {
    if (kind === 'order') return ['The questions are in a different order'];
    if (questionId === null || !(kind in words)) return [];
    const [before, after] = [mine, theirs].map((paper) =>
      placedIn(paper).find(({ question }) => question.id === questionId),
    );
    const what = before && after ? `: ${questionChanges(before, after)}` : '';
    const { order } = kind === 'removed' ? mine.content : theirs.content;
    return [
      `Question ${order.indexOf(questionId) + 1}, “${titles.get(questionId) ?? ''}”, is ${words[kind as keyof typeof words]}${what}`,
    ];
  });
  const settings = (Object.keys(SETTINGS) as (keyof WrittenQuiz['content'])[])
    .filter((name) => !same(mine.content[name], theirs.content[name]))
    .map((name) => `Changed: ${SETTINGS[name] ?? name}`);
  return [...questions, ...settings];
}

/** Students of a file beside those who are here: who is new, and who is written differently. */
export function compareStudents(
  mine: readonly Person[],
  theirs: readonly Person[],
): { readonly added: Person[]; readonly differ: Person[] } {
  const own = new Map(mine.map((student) => [student.id, student]));
  return {
    added: theirs.filter(({ id }) => !own.has(id)),
    differ: theirs.filter((student) => own.has(student.id) && !same(own.get(student.id), student)),
  };
}
