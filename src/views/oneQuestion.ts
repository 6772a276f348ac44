import { valueAt } from '@/core/figures/valueAt';
import { nearTo as nearToForm } from '@/core/checking/nearTo';
import { lookAlikes } from '@/core/checking/lookAlikes/lookAlikes';
import type { GivenText, LookReading } from '@/core/checking/lookAlikes/classes';
import type { Fraction } from '@/core/figures/fraction';
import { isAnswerTo, kindOf, calledAnswer, type Answer, type Question } from '@/core/kinds';
import type { GivenPart } from '@/core/kinds/givenPart';
import { verdictOf, type NearMiss, type PartMark } from '@/core/marks/mark';
import { contextOf, wordsFor } from '@/core/scoring/context';
import {
  shareOfScore,
  verdictOfScore,
  type QuestionScore,
  type ScoreVerdict,
} from '@/core/scoring/scoreQuestion';
import { alikeDecisions } from '@/store/quiz/lookAlikes';
import { carriesPoints, type AlikeDecision } from '@/core/quiz/placement';
import { liveClass, namesakes, disambiguator, workOf } from './papers';

/** What an answer earned, as a bundle of look-alikes has it in common. */
export interface BundleMark {
  readonly verdict: ScoreVerdict;
  /** Share of the points of the question, or of the gap. */
  readonly credit: Fraction;
  readonly nearMiss: NearMiss | null;
  readonly errors: number;
  /** True for a wrong answer that the key expects. */
  readonly expected: boolean;
}

/** Somebody who gave an answer. */
export interface Giver {
  readonly attemptId: string;
  readonly name: string;
  readonly apart: string;
}

/** Answers that compare equal, in a bundle. */
export interface BundleClass {
  /** As most wrote it. */
  readonly text: string;
  readonly times: number;
  readonly mark: BundleMark;
}

/** Answers that differ only in form. */
export interface ShownBundle {
  /** What the class that leads it earned; others that were joined by hand may have earned something else. */
  readonly mark: BundleMark;
  /** The form of the key that it is near to; null for no near miss, and where none is. */
  readonly nearTo: string | null;
  /** The class that leads it first. */
  readonly classes: readonly BundleClass[];
  /** As most wrote it; empty where nothing was given. */
  readonly text: string;
  /** The other ways in which it was written, the most frequent first. */
  readonly others: readonly string[];
  /** The same for one gap: what was typed in each way, or what was picked; empty for a question as a whole. */
  readonly parts: readonly GivenPart[];
  /** All ways as answers that can be keyed together; empty where an answer has parts, or is the same or another. */
  readonly answers: readonly Answer[];
  /** Those who gave it in the way of `text` first. */
  readonly who: readonly Giver[];
}

/** The look-alikes of a question, or of each of its typed gaps. */
export interface BundleGroup {
  /** `Gap 2`; empty for a question as a whole. */
  readonly part: string;
  /** The gap's id; null for a question as a whole. */
  readonly id: string | null;
  /** Whether it is typed: what is picked is the same or another. */
  readonly typed: boolean;
  readonly bundles: readonly ShownBundle[];
}

interface Said {
  readonly text: string;
  /** Where the whole of it was typed. */
  readonly answer: Answer | null;
  /** Where it is what was given in a gap. */
  readonly part: GivenPart | null;
  readonly mark: BundleMark;
  readonly giver: Giver;
}

const markOfScore = (score: QuestionScore): BundleMark => ({
  verdict: verdictOfScore(score),
  credit: shareOfScore(score),
  nearMiss: score.override || !carriesPoints(score) ? null : score.mark.nearMiss,
  errors: score.mark.errors,
  expected: score.mark.rule !== null,
});

/** Part marks wait, are blank, or are right by their key's credit. */
function markOfPart(part: PartMark): BundleMark {
  const { credit, nearMiss, errors, rule } = part;
  return { verdict: verdictOf(part), credit, nearMiss, errors, expected: rule !== null };
}

const markKey = ({ verdict, credit, nearMiss, expected }: BundleMark): string =>
  `${verdict} ${credit.n}/${credit.d} ${nearMiss ?? ''} ${expected ? 'x' : ''}`;

/** So many near misses are told what they are near to: more than anyone reads at once. */
const MOST_TOLD = 200;

/** Bundles by how they may differ: in form where that is told, else only where they are the same. */
function bundlesOf(
  said: readonly Said[],
  reading: LookReading,
  byHand: readonly AlikeDecision[],
  nearTo: (text: string, reason: NearMiss) => string | null,
): ShownBundle[] {
  let told = 0;
  const byText = new Map<string, Said[]>();
  const blank: Said[] = [];
  for (const one of said) {
    if (one.mark.verdict === 'blank') {
      blank.push(one);
      continue;
    }
    const key = `${markKey(one.mark)}\n${one.text}`;
    const known = byText.get(key);
    if (known) known.push(one);
    else byText.set(key, [one]);
  }
  const given: GivenText[] = [...byText.values()].map((all) => ({
    text: all[0]?.text ?? '',
    times: all.length,
    mark: markKey((all[0] as Said).mark),
  }));
  const bundles = lookAlikes(given, reading, byHand).map(({ classes }): ShownBundle => {
    const texts = classes.flatMap((one) => one.texts);
    const all = texts.flatMap(({ text, mark }) => byText.get(`${mark}\n${text}`) ?? []);
    const { mark: made } = all[0] as Said;
    const text = classes[0]?.text ?? '';
    const near = made.nearMiss !== null && told++ < MOST_TOLD ? nearTo(text, made.nearMiss) : null;
    return {
      mark: made,
      nearTo: near,
      classes: classes.map(({ text, times, mark, texts: [first] }) => ({
        text,
        times,
        mark: (byText.get(`${mark}\n${first?.text}`)?.[0] as Said).mark,
      })),
      text,
      others: [...new Set(texts.map(({ text }) => text))].slice(1),
      parts: texts.flatMap(({ text, mark }) => byText.get(`${mark}\n${text}`)?.[0]?.part ?? []),
      answers: texts.flatMap(({ text, mark }) => byText.get(`${mark}\n${text}`)?.[0]?.answer ?? []),
      who: all.map(({ giver }) => giver),
    };
  });
  const nothing: ShownBundle[] =
    blank.length > 0
      ? [
          {
            mark: (blank[0] as Said).mark,
            nearTo: null,
            classes: [],
            text: '',
            others: [],
            parts: [],
            answers: [],
            who: blank.map(({ giver }) => giver),
          },
        ]
      : [];
  return [...bundles, ...nothing];
}

const textOf = (question: Question, answer: Answer | undefined): string => {
  if (!answer) return '';
  const typed = 'text' in answer && isAnswerTo(question, answer) ? answer.text : null;
  return typed ?? calledAnswer(question, answer);
};

/** Everyone's answers to a question, side by side as look-alikes; null for a question that is not there. */
export async function openQuestion(quizId: string, questionId: string): Promise<BundleGroup[] | null> {
  const live = await liveClass(quizId);
  const index = live.paper.questions.findIndex(({ id }) => id === questionId);
  const question = live.paper.questions[index];
  if (!question) return null;
  const twice = namesakes(live.students.values());
  const papers = workOf(live).flatMap(({ sheets, student }) =>
    sheets
      .filter(({ notCounted }) => notCounted === null)
      .map(({ attempt, scores }) => ({
        attempt,
        score: scores[index] as QuestionScore,
        giver: {
          attemptId: attempt.id,
          name: student?.name ?? 'Removed student',
          apart: disambiguator(student, twice),
        },
      })),
  );
  const { language, decimalSign, words } = wordsFor(live.paper, question);
  const decisions = await alikeDecisions(quizId, questionId);
  const context = contextOf(live.paper, question);
  return kindOf(question)
    .sideBySide(question)
    .map(({ id, title, key, given }): BundleGroup => {
      const number = key && 'number' in key ? key.number : null;
      const typed = key && 'text' in key ? key.text : null;
      // Choices, orders and the like are the same or not: nothing in them is spelt.
      const reading: LookReading = { language, decimalSign, words, number, asWritten: key === null };
      const said = papers.map(({ attempt, score, giver }): Said => {
        const answer = valueAt(attempt.answers, questionId);
        if (id === null || !given)
          return {
            text: textOf(question, answer),
            answer: key === null ? (answer ?? null) : null,
            part: null,
            mark: markOfScore(score),
            giver,
          };
        const { stored, read } = given(answer && isAnswerTo(question, answer) ? answer : null);
        const part = score.mark.parts.find((one) => one.id === id);
        return {
          text: read,
          answer: null,
          part: { part: id, given: stored },
          mark: !carriesPoints(score) ? markOfScore(score) : part ? markOfPart(part) : BLANK_MARK,
          giver,
        };
      });
      const near = (text: string, reason: NearMiss) => typed && nearToForm(typed, text, reason, context);
      const byHand = decisions.filter(({ part }) => part === id);
      return { part: title, id, typed: key !== null, bundles: bundlesOf(said, reading, byHand, near) };
    });
}

const BLANK_MARK: BundleMark = {
  verdict: 'blank',
  credit: { n: 0, d: 1 },
  nearMiss: null,
  errors: 0,
  expected: false,
};
