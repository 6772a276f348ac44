import type { StudentWork } from '../checking/classWork';
import type { Paper } from '../quiz/quiz';
import { classPapers, type ClassPapers } from './classPapers';
import { completePapers, questionFigures, type QuestionFigures } from './questions';
import { scoreFigures, type ScoreFigures } from './scores';
import { medianOf } from './spread';
import { wholeFigures, type WholeFigures } from './whole';

/** How the questions of one topic came out together. */
export interface TopicFigures {
  readonly topic: string;
  readonly questionIds: readonly string[];
  /** Σ earned / Σ possible over the marked answers to its questions that count; null without any. */
  readonly facility: number | null;
}

/** All figures of a class under one key. */
export interface Figures {
  readonly scores: ScoreFigures;
  readonly questions: readonly QuestionFigures[];
  readonly topics: readonly TopicFigures[];
  readonly whole: WholeFigures;
  /** The median of how long papers were worked at, in ms, and of how many that is known; null where of none. */
  readonly worked: { readonly median: number; readonly papers: number } | null;
}

function topicFigures(paper: Paper, { questions, papers }: ClassPapers): TopicFigures[] {
  const topicsOf = new Map(paper.questions.map(({ id, topics }) => [id, topics]));
  const names = [...new Set(paper.questions.flatMap(({ topics }) => topics))].sort();
  return names.map((topic) => {
    let [earned, possible] = [0, 0];
    const own = questions.flatMap((question, at) =>
      question.standing === 'counts' && topicsOf.get(question.id)?.includes(topic) ? [{ question, at }] : [],
    );
    for (const { points } of papers)
      for (const { question, at } of own) {
        const value = points[at];
        if (!value) continue;
        earned += value.n / value.d;
        possible += question.possible.n / question.possible.d;
      }
    const questionIds = own.map(({ question }) => question.id);
    return { topic, questionIds, facility: possible === 0 ? null : earned / possible };
  });
}

/** How long each paper was worked at: of several attempts, all of them together. */
function workedIn(work: readonly StudentWork[], papers: ClassPapers): Figures['worked'] {
  const standing = new Set(papers.papers.flatMap(({ attemptIds }) => attemptIds));
  const times = work.flatMap(({ sheets }) => {
    const own = sheets.flatMap(({ attempt }) => (standing.has(attempt.id) ? (attempt.worked ?? []) : []));
    return own.length === 0 ? [] : own.reduce((sum, ms) => sum + ms, 0);
  });
  const median = medianOf(times);
  return median === null ? null : { median, papers: times.length };
}

/** The figures of some students' work under a key. */
export function figuresOf(paper: Paper, work: readonly StudentWork[]): Figures {
  const papers = classPapers(paper, work);
  const complete = completePapers(papers);
  return {
    scores: scoreFigures(work),
    questions: questionFigures(papers, complete),
    topics: topicFigures(paper, papers),
    whole: wholeFigures(complete),
    worked: workedIn(work, papers),
  };
}
