import { NEWEST_EDITION } from '../answers/text/words/wordLists';
import { valueAt } from '../figures/valueAt';
import type { StudentWork } from '../checking/classWork';
import type { ScoredSheet } from '../scoring/scoredSheet';
import { explainAnswer, type Question } from '../kinds';
import type { Feedback } from '../content/feedback';
import { plainProse } from '../content/prose';
import { feedbackTold } from '../marks/feedbackTold';
import { toDecimalText, type Fraction } from '../figures/fraction';
import { contextOf } from '../scoring/context';
import { rulesIn } from '../scoring/markAttempt';
import { shareOfScore, traceQuestion, verdictOfScore, type QuestionScore } from '../scoring/scoreQuestion';
import { traceTotal } from '../scoring/total';
import { traceJoin } from '../scoring/traceJoin';
import { traceWords } from '../scoring/words';
import type { Attempt } from '../quiz/work/attempt';
import type { StudentDetails } from '../quiz/people/school';
import { outOfPaper } from '../quiz/points';
import { carriesPoints } from '../quiz/placement';
import type { Paper } from '../quiz/quiz';
import { finishedAt } from '../quiz/times/window';
import type { MarkedWork } from './handedIn';
import {
  questionHeadings,
  SCORE_COLUMNS,
  scoreRowOf,
  writeScores,
  zoneTime,
  type ScoreRow,
} from './scoresFile';

interface Figure {
  readonly about: number;
  readonly exact: string;
}

const figures = new Map<string, Figure>();
const MOST_FIGURES = 10_000;

/** An exact number: as a decimal of at most 6 places, and exactly as a fraction. */
function figure(value: Fraction): Figure {
  const exact = value.d === 1 ? `${value.n}` : `${value.n}/${value.d}`;
  let known = figures.get(exact);
  if (!known) {
    known = { about: Number(toDecimalText(value, 6)), exact };
    if (figures.size < MOST_FIGURES) figures.set(exact, known);
  }
  return known;
}

/** Feedback without its formats. */
const plainFeedback = ({ text, links }: Feedback) => ({ text: plainProse(text), links });

function markJson(question: Question, score: QuestionScore) {
  const { mark, earned, possible, waiting, override } = score;
  return {
    question: question.id,
    verdict: verdictOfScore(score),
    credit: figure(shareOfScore(score)),
    points: figure(earned),
    possible: figure(possible),
    waiting: figure(waiting),
    rule: mark.rule,
    typingErrors: mark.errors,
    nearMiss: carriesPoints(score) ? mark.nearMiss : null,
    ownScore: override ? override.reason : null,
    hintsCost: figure(score.hintsCost),
    feedback: plainFeedback(feedbackTold(mark)),
  };
}

/** Scores are shared by all who gave the same answer: each is written once. */
const written = new WeakMap<QuestionScore, string>();

function markText(question: Question, score: QuestionScore): string {
  const known = written.get(score);
  if (known !== undefined) return known;
  const text = JSON.stringify(markJson(question, score));
  written.set(score, text);
  return text;
}

function traced(paper: Paper, question: Question, attempt: Attempt, score: QuestionScore): string[] {
  const answer = valueAt(attempt.answers, question.id) ?? null;
  return [
    ...(carriesPoints(score) ? explainAnswer(question, answer, contextOf(paper, question)) : []),
    ...traceQuestion(
      score.mark,
      rulesIn(paper, question, valueAt(attempt.hints, question.id)),
      score.override,
    ),
  ].map(traceWords);
}

function markTexts(paper: Paper, { attempt, scores }: ScoredSheet, traces: 'with' | 'without'): string[] {
  return paper.questions.map((question, index) => {
    const score = scores[index];
    if (!score) throw new Error('A score for each question');
    if (traces === 'without') return markText(question, score);
    return JSON.stringify({ ...markJson(question, score), trace: traced(paper, question, attempt, score) });
  });
}

/** One student as the answer of marking tells it, as JSON: what is recorded, and each attempt with its marks. */
export function studentJson(
  work: StudentWork,
  named: StudentDetails | undefined,
  paper: Paper,
  traces: 'with' | 'without',
): string {
  const { recorded, sheets, counted } = work;
  const { counts } = paper.content.attempts;
  const joined = sheets.length > 1 ? traceJoin(sheets, recorded, counts, paper.content.scoring.rounding) : [];
  const head = JSON.stringify({
    student: named?.name ?? work.studentId,
    number: named?.number ?? '',
    recorded: recorded && {
      score: figure(recorded.score),
      outOf: figure(recorded.outOf),
      waiting: figure(recorded.waiting),
      provisional: recorded.provisional,
      attempt: counted?.number ?? null,
    },
  });
  const attempts = sheets.map((sheet) => {
    const own = JSON.stringify({
      attempt: sheet.attempt.number,
      notCounted: sheet.notCounted,
      late: sheet.late && {
        started: sheet.late.started,
        unit: sheet.late.unit,
        share: figure(sheet.late.share),
      },
      score: figure(sheet.total.score),
      outOf: figure(sheet.total.outOf),
      waiting: figure(sheet.total.waiting),
      ...(traces === 'with'
        ? { trace: [...traceTotal(sheet.scores, sheet.path), ...joined].map(traceWords) }
        : {}),
    });
    return `${own.slice(0, -1)},"marks":[${markTexts(paper, sheet, traces).join(',')}]}`;
  });
  return `${head.slice(0, -1)},"attempts":[${attempts.join(',')}]}`;
}

/** What stands before the students in the answer of marking. */
export const quizJson = (paper: Paper) => ({
  title: paper.content.title,
  outOf: figure(outOfPaper(paper)),
  comparing: NEWEST_EDITION,
  questions: paper.questions.map(({ id, kind }) => ({ id, kind })),
});

/** The scores of everyone with work as a scores file; there are no comments in it. */
export function scoresCsv(work: MarkedWork): string {
  return writeScores(
    scoreRows(work),
    questionHeadings(work.marked.paper),
    SCORE_COLUMNS.filter((column) => column !== 'comment'),
  );
}

/** The rows of a scores file: everyone with work, by name. */
function scoreRows({ marked, named }: MarkedWork): ScoreRow[] {
  const collator = new Intl.Collator('en');
  const { paper } = marked;
  return marked
    .students()
    .map((work) => {
      const who = named.get(work.studentId) ?? { name: work.studentId, number: '', email: '', groups: [] };
      const at = work.counted?.timeKnown ? finishedAt(work.counted, marked.work.windowOf(work.studentId)) : 0;
      return scoreRowOf(work, who, paper, {
        comment: '',
        handedIn: at > 0 ? zoneTime(at, paper.content.zone) : null,
      });
    })
    .sort((a, b) => collator.compare(a.name, b.name));
}
