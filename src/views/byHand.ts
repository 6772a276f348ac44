import { valueAt } from '@/core/figures/valueAt';
import type { RichText } from '@/core/content/richText';
import type { ShownAnswer } from '@/core/content/shownAnswer';
import { kindOf, shownBesideRight, type Question } from '@/core/kinds';
import { ideasIn, type Criterion, type FoundIdea, type HandMarked } from '@/core/kinds/handMarked';
import { ownContextOf } from '@/core/scoring/context';
import { verdictOfScore, type QuestionScore } from '@/core/scoring/scoreQuestion';
import { liveClass, workOf } from './papers';

/** An answer that waits for the teacher, or was marked by hand. */
export interface HandAnswer {
  readonly attemptId: string;
  readonly shown: ShownAnswer;
  /** Where in its text the ideas stand that are looked for. */
  readonly ideas: readonly FoundIdea[];
  /** The levels that were given; null for points. */
  readonly levels: Readonly<Record<string, string>> | null;
}

/** What a teacher needs to mark a question's answers one after the other. */
export interface HandQuestion {
  readonly text: RichText;
  readonly formulas: Question['formulas'];
  /** null: by points. */
  readonly rubric: readonly Criterion[] | null;
  readonly ideas: readonly string[];
  readonly answers: readonly HandAnswer[];
}

const BY_POINTS: HandMarked = { ideas: [], rubric: null };

/** The answers to a question that are marked by hand, those that were among them; null for a question that is not there. */
export async function handQuestion(quizId: string, questionId: string): Promise<HandQuestion | null> {
  const live = await liveClass(quizId);
  const index = live.paper.questions.findIndex(({ id }) => id === questionId);
  const question = live.paper.questions[index];
  if (!question) return null;
  const { ideas, rubric } = kindOf(question).handMarked(question) ?? BY_POINTS;
  const { language } = ownContextOf(live.paper, question);
  const answers = workOf(live).flatMap(({ sheets }) =>
    sheets.flatMap(({ attempt, notCounted, scores }): HandAnswer[] => {
      const score = scores[index] as QuestionScore;
      const answer = valueAt(attempt.answers, questionId);
      const isByHand = score.override ? score.override.gave === null : verdictOfScore(score) === 'waits';
      if (notCounted !== null || !answer || !isByHand) return [];
      const text = 'text' in answer ? answer.text : '';
      return [
        {
          attemptId: attempt.id,
          shown: shownBesideRight(question, answer),
          ideas: ideasIn(text, ideas, language),
          levels: score.override?.levels ?? null,
        },
      ];
    }),
  );
  return { text: question.text, formulas: question.formulas, rubric, ideas, answers };
}
