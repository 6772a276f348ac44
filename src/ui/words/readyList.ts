import '@/core/answers/text/patternEngine';
import { tellingMedia } from '@/core/checking/tellingMedia';
import { texIn } from '@/core/content/formulaText';
import { kindOf, type Question } from '@/core/kinds';
import type { Problem } from '@/core/kinds/kind';
import { carriesPoints } from '@/core/quiz/placement';
import { placementIn } from '@/core/quiz/paper';
import { contextOf } from '@/core/scoring/context';
import { bestPossible } from '@/core/scoring/possible';
import { asBegun, namesOf } from '@/core/quiz/numbers';
import type { Paper, QuizContent } from '@/core/quiz/quiz';

const UNREACHABLE: readonly string[] = ['no answer earns all of its points'];

/** Formulas in a question that could not be set: students would read them as they were typed. */
const unsetIn = (question: Question): string[] =>
  texIn(question)
    .filter((tex) => !question.formulas?.some((formula) => formula.tex === tex))
    .map(
      (tex) => `the formula ${tex.length > 30 ? `${tex.slice(0, 30)}…` : tex} cannot be shown: correct it`,
    );

const TOLD = {
  picture: 'the description of its picture',
  title: 'the title of a sound or video beside it',
} as const;

/** Where what stands beside a question says what is right: students read it, or their page holds it. */
function toldIn(question: Question, paper: Paper): string[] {
  const telling = tellingMedia(question, paper);
  return telling === null
    ? []
    : [`${TOLD[telling.by]} says “${telling.word}”, which is right: students can read it`];
}

/** What matters only where answers are marked. */
const OF_THE_KEY: readonly Problem['code'][] = ['noKey', 'emptyForm', 'badPattern', 'noWeight'];

/** What is wrong with a question is worked out once, as long as it is the same one in a quiz of the same content, and counts as before. */
const known = new WeakMap<
  Question,
  { readonly content: QuizContent; readonly marked: boolean; readonly texts: readonly string[] }
>();

function problemsOf(question: Question, paper: Paper): readonly string[] {
  const before = known.get(question);
  const marked = carriesPoints(placementIn(paper, question.id));
  if (before?.content === paper.content && before.marked === marked) return before.texts;
  const problems = kindOf(question)
    .problems(question, contextOf(paper, question))
    .filter(({ code }) => marked || !OF_THE_KEY.includes(code));
  const texts = [
    ...problems.map(({ text }) => text),
    ...unsetIn(question),
    ...(marked ? toldIn(question, paper) : []),
  ];
  known.set(question, { content: paper.content, marked, texts });
  return texts;
}

/** What should be looked at in each question before students see it, by its id; nothing for those that are ready. */
export function readyByQuestion(paper: Paper): ReadonlyMap<string, readonly string[]> {
  const unreachable = new Set(bestPossible(paper).missing);
  return new Map(
    paper.questions.flatMap((question): [string, readonly string[]][] => {
      const texts = problemsOf(question, paper);
      if (texts.length > 0) return [[question.id, texts]];
      return unreachable.has(question.id) ? [[question.id, UNREACHABLE]] : [];
    }),
  );
}

/** What should be looked at before students see a paper, one line each; empty where nothing is. */
export function readyList(paper: Paper): string[] {
  if (paper.questions.length === 0) return ['This quiz has no questions yet.'];
  const ready = readyByQuestion(paper);
  const names = namesOf(paper.questions);
  return paper.questions.flatMap(({ id }) =>
    (ready.get(id) ?? []).map((text) => `${asBegun(names.get(id) ?? '')}: ${text}.`),
  );
}
