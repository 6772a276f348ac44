import { knownWords, type KnownWords } from '../answers/text/words/otherWords';
import { listFor } from '../answers/text/words/wordLists';
import { kindOf, type Question } from '../kinds';
import { refusesOthers, wordsOfKey } from '../kinds/shared/textKey/keyWords';
import { paperFrom, placedIn } from '../quiz/paper';
import type { Placed } from '../quiz/placement';
import type { Paper, QuizContent } from '../quiz/quiz';
import type { MarkingContext } from '../marks/mark';

/** What of a quiz marking one of its questions may ask for. */

/** What says how answers are read: a quiz, or a question for its own answers, where null is as the quiz has it. */
type Reading = Pick<QuizContent, 'language' | 'decimalSign' | 'negativeCredit' | 'comparing'>;
type OwnReading = Pick<Question, 'kind' | 'language' | 'decimalSign'>;

/** How answers to a question are read in a quiz, without its other questions and the words of their keys. */
export const readingOf = (question: OwnReading, content: Reading): MarkingContext => ({
  language: question.language ?? content.language,
  decimalSign: question.decimalSign ?? content.decimalSign,
  negativeCredit: content.negativeCredit,
  ...(kindOf(question).reads.length > 0 ? { comparing: content.comparing } : {}),
});

const textKeysOf = (question: Question) => kindOf(question).textKeys(question);

/** Made once for each question and language: questions never change. */
const wordsOf = new WeakMap<Question, Map<string, readonly string[]>>();

function wordsOfQuestion(question: Question, language: string): readonly string[] {
  const byLanguage = wordsOf.get(question) ?? new Map<string, readonly string[]>();
  wordsOf.set(question, byLanguage);
  const known = byLanguage.get(language);
  if (known) return known;
  const made = textKeysOf(question).flatMap((key) => wordsOfKey(key, language));
  byLanguage.set(language, made);
  return made;
}

const asking = new WeakMap<Question, boolean>();

/** True where answers to a question may pass that are misspelt, but not those that are other words. */
function asksForWords(question: Question): boolean {
  const known = asking.get(question);
  if (known !== undefined) return known;
  const asks = textKeysOf(question).some(refusesOthers);
  asking.set(question, asks);
  return asks;
}

/** By paper, which never changes: the words that count as such in a language. */
const quizWords = new WeakMap<Paper, Map<string, KnownWords | null>>();

function wordsIn(paper: Paper, language: string): KnownWords | null {
  const byLanguage = quizWords.get(paper) ?? new Map<string, KnownWords | null>();
  quizWords.set(paper, byLanguage);
  const known = byLanguage.get(language);
  if (known !== undefined) return known;
  const list = listFor(language, paper.content.comparing);
  const words = (): string[] =>
    paper.questions.flatMap((question) =>
      wordsOfQuestion(question, question.language ?? paper.content.language),
    );
  const made = list && knownWords(list.name, language, words());
  byLanguage.set(language, made);
  return made;
}

/** How answers to a question are read by its own key: all that its marks depend on besides question and answer. */
export function ownContextOf(paper: Paper, question: Question): MarkingContext {
  const reading = readingOf(question, paper.content);
  const words = asksForWords(question) ? wordsIn(paper, reading.language) : null;
  return words ? { ...reading, words } : reading;
}

/** The same with the words of its language and of the quiz, whether its key asks for them or not; null without a list. */
export function wordsFor(
  paper: Paper,
  question: Question,
): Omit<MarkingContext, 'words'> & { readonly words: KnownWords | null } {
  const reading = readingOf(question, paper.content);
  return { ...reading, words: wordsIn(paper, reading.language) };
}

const othersOf = new WeakMap<Paper, readonly Question[]>();

/** The questions of a paper with whose keys answers that match nothing are tried. */
function othersIn(paper: Paper): readonly Question[] {
  const known = othersOf.get(paper);
  if (known) return known;
  const others = paper.questions.filter((question) => kindOf(question).isReadByOthers);
  othersOf.set(paper, others);
  return others;
}

function madeContext(paper: Paper, question: Question): MarkingContext {
  const reading = readingOf(question, paper.content);
  const others = othersIn(paper);
  const asked =
    asksForWords(question) || (kindOf(question).readsOthers && others.some((one) => asksForWords(one)));
  const words = asked ? wordsIn(paper, reading.language) : null;
  return words ? { ...reading, words, others } : { ...reading, others };
}

const contexts = new WeakMap<Paper, WeakMap<Question, MarkingContext>>();

/** Everything of a quiz that marking one of its questions may ask for. */
export function contextOf(paper: Paper, question: Question): MarkingContext {
  const byQuestion = contexts.get(paper) ?? new WeakMap<Question, MarkingContext>();
  contexts.set(paper, byQuestion);
  const known = byQuestion.get(question);
  if (known) return known;
  const made = madeContext(paper, question);
  byQuestion.set(question, made);
  return made;
}

/**
 * What of a paper is asked for when one of its questions is marked: that question as it is given here, which may be newer
 * than the paper's, those whose keys are tried too, and those whose keys' words count as such.
 */
export function paperAround(paper: Paper, placed: Placed): Paper {
  const { question } = placed;
  const { readsOthers } = kindOf(question);
  const asks = asksForWords(question);
  const others = placedIn(paper).filter(
    ({ question: one }) =>
      one.id !== question.id &&
      ((readsOthers && kindOf(one).isReadByOthers) || (asks && textKeysOf(one).length > 0)),
  );
  return paperFrom(paper.content, [placed, ...others]);
}

/** The word lists that marking a paper may ask for, by name. */
export const listsFor = (paper: Paper): string[] => [
  ...new Set(paper.questions.flatMap((question) => contextOf(paper, question).words?.list ?? [])),
];

/** The first rules of comparing had no version: what was marked by them is found under a key that names none. */
const rulesOf = ({ comparing = 1 }: MarkingContext): string => (comparing > 1 ? ` rules ${comparing}` : '');

/** The same for contexts in which every answer is marked alike. */
export function contextKey(context: MarkingContext): string {
  const { language, decimalSign, negativeCredit, words } = context;
  return `${language} ${decimalSign}${negativeCredit ? ' below 0' : ''}${rulesOf(context)}${words ? ` ${words.id}` : ''}`;
}
