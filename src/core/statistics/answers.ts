import type { StudentWork } from '../checking/classWork';
import { valueAt } from '../figures/valueAt';
import { calledAnswer, isAnswerTo, kindOf, type Answer } from '../kinds';
import type { Paper } from '../quiz/quiz';
import { shareOfScore, verdictOfScore, type ScoreVerdict } from '../scoring/scoreQuestion';
import { classPapers } from './classPapers';
import { thirdsIn } from './ends';
import { completePapers } from './questions';

/** One answer to a question, and how many of the class gave it. */
export interface AnswerFigures {
  /** As people read it; empty where nothing was given. */
  readonly text: string;
  readonly verdict: ScoreVerdict;
  /** Share of the points that it earned, in doubles. */
  readonly credit: number;
  readonly papers: number;
  /** Of all papers, and of each third of the complete ones, 0 … 1; null where there are no thirds. */
  readonly share: number;
  readonly thirds: { readonly upper: number; readonly middle: number; readonly lower: number } | null;
}

/** Answers that read alike, whatever their capitals and spaces, are one where they earned the same. */
const keyOf = (question: Paper['questions'][number], answer: Answer | null): string =>
  answer === null
    ? ''
    : isAnswerTo(question, answer)
      ? 'text' in answer
        ? answer.text.normalize('NFC').toLowerCase().replace(/\s+/g, ' ').trim()
        : kindOf(question).answerKey(answer)
      : JSON.stringify(answer);

interface Counted {
  readonly text: string;
  readonly verdict: ScoreVerdict;
  readonly credit: number;
  papers: number;
  upper: number;
  middle: number;
  lower: number;
}

/**
 * Every answer to a question with its share of all papers and of each third, the most frequent first. Of a student whose attempts
 * count by their mean, each attempt is an equal part of the paper.
 */
export function answerFigures(
  paper: Paper,
  work: readonly StudentWork[],
  questionId: string,
): AnswerFigures[] {
  const index = paper.questions.findIndex(({ id }) => id === questionId);
  const question = paper.questions[index];
  if (!question) return [];
  const all = classPapers(paper, work);
  const { papers } = all;
  const complete = papers.filter(({ isComplete }) => isComplete);
  const thirds = thirdsIn(completePapers(all).totals);
  const thirdOf = new Map(complete.map(({ studentId }, at) => [studentId, thirds?.[at]]));
  const sizes = { upper: 0, middle: 0, lower: 0 };
  for (const third of thirds ?? [])
    for (const name of ['upper', 'middle', 'lower'] as const) sizes[name] += third[name];
  const sheets = new Map(
    work.flatMap((one) => one.sheets.map((sheet) => [sheet.attempt.id, sheet] as const)),
  );
  const counted = new Map<string, Counted>();
  for (const { studentId, attemptIds } of papers)
    for (const id of attemptIds) {
      const sheet = sheets.get(id);
      const score = sheet?.scores[index];
      if (!sheet || !score) continue;
      const answer = valueAt(sheet.attempt.answers, questionId) ?? null;
      const verdict = verdictOfScore(score);
      const credit = shareOfScore(score);
      const key = `${keyOf(question, answer)}\n${verdict} ${credit.n}/${credit.d}`;
      const known = counted.get(key) ?? {
        text: answer ? calledAnswer(question, answer) : '',
        verdict,
        credit: credit.n / credit.d,
        papers: 0,
        upper: 0,
        middle: 0,
        lower: 0,
      };
      counted.set(key, known);
      const part = 1 / attemptIds.length;
      const third = thirdOf.get(studentId);
      known.papers += part;
      known.upper += part * (third?.upper ?? 0);
      known.middle += part * (third?.middle ?? 0);
      known.lower += part * (third?.lower ?? 0);
    }
  return [...counted.values()]
    .map(({ upper, middle, lower, ...one }) => ({
      ...one,
      share: one.papers / papers.length,
      thirds: thirds && {
        upper: upper / sizes.upper,
        middle: middle / sizes.middle,
        lower: lower / sizes.lower,
      },
    }))
    .sort((a, b) => b.papers - a.papers || (a.text < b.text ? -1 : 1));
}
