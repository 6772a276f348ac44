import type { ScoredSheet, StudentWork } from '../checking/classWork';
import { kindOf } from '../kinds';
import { toDecimalText, type Fraction } from '../figures/fraction';
import { contextOf } from '../marking/markAttempt';
import { rulesOf, shareOfScore, traceQuestion, verdictOfScore } from '../marking/scoreQuestion';
import { traceTotal } from '../marking/total';
import { traceJoin } from '../marking/traceJoin';
import { traceWords } from '../marking/words';
import { outOfPaper, pointsOf } from '../quiz/points';
import type { Paper } from '../quiz/quiz';
import { finishedAt } from '../quiz/window';
import type { MarkedWork, Named } from './handedIn';
import { scoreRowOf, zoneTime, type ScoreRow } from './scoresFile';

/** An exact number: as a decimal of at most 6 places, and exactly as a fraction. */
const figure = (value: Fraction) => ({ about: Number(toDecimalText(value, 6)), exact: value.d === 1 ? `${value.n}` : `${value.n}/${value.d}` }); // prettier-ignore

function marksOf(paper: Paper, { attempt, scores }: ScoredSheet, traces: 'with' | 'without') {
  const context = contextOf(paper);
  return paper.questions.map((question, index) => {
    const score = scores[index];
    if (!score) throw new Error('A score for each question');
    const { mark, earned, possible, waiting, override } = score;
    const answer = attempt.answers[question.id] ?? null;
    const trace = () => [
      ...kindOf(question).explain(question, answer, context),
      ...traceQuestion(mark, rulesOf(question, pointsOf(question, paper.content)), override),
    ];
    return {
      question: question.id,
      verdict: verdictOfScore(score),
      credit: figure(shareOfScore(score)),
      points: figure(earned),
      possible: figure(possible),
      waiting: figure(waiting),
      rule: mark.rule,
      typingErrors: mark.errors,
      nearMiss: mark.nearMiss,
      ownScore: override ? override.reason : null,
      feedback: mark.feedback,
      ...(traces === 'with' ? { trace: trace().map(traceWords) } : {}),
    };
  });
}

/** One student as the answer of marking tells it: what is recorded, and each attempt with its marks. */
export function studentJson(
  work: StudentWork,
  named: Named | undefined,
  paper: Paper,
  traces: 'with' | 'without',
) {
  const { recorded, sheets, counted } = work;
  const { counts } = paper.content.attempts;
  const joined = sheets.length > 1 ? traceJoin(sheets, recorded, counts) : [];
  return {
    student: named?.name ?? work.studentId,
    number: named?.number ?? '',
    recorded: recorded && {
      score: figure(recorded.score),
      outOf: figure(recorded.outOf),
      waiting: figure(recorded.waiting),
      provisional: recorded.provisional,
      attempt: counted?.number ?? null,
    },
    attempts: sheets.map((sheet) => ({
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
      marks: marksOf(paper, sheet, traces),
      ...(traces === 'with'
        ? { trace: [...traceTotal(sheet.scores, sheet.path), ...joined].map(traceWords) }
        : {}),
    })),
  };
}

/** What stands before the students in the answer of marking. */
export const quizJson = (paper: Paper) => ({
  title: paper.content.title,
  outOf: figure(outOfPaper(paper)),
  questions: paper.questions.map(({ id, kind }) => ({ id, kind })),
});

/** The rows of a scores file: everyone with work, by name. */
export function scoreRows({ marked, named }: MarkedWork): ScoreRow[] {
  const collator = new Intl.Collator('en');
  const { paper } = marked;
  return marked
    .students()
    .map((work) => {
      const who = named.get(work.studentId) ?? { name: work.studentId, number: '', groups: [] };
      const at = work.counted ? finishedAt(work.counted, marked.work.opening) : 0;
      return scoreRowOf(work, who, paper, {
        comment: '',
        handedIn: at > 0 ? zoneTime(at, paper.content.zone) : null,
      });
    })
    .sort((a, b) => collator.compare(a.name, b.name));
}
