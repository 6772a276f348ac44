import { readFileSync } from 'node:fs';
import type { Fraction } from '@/core/figures/fraction';
import { KINDS, kindOf, type Answer, type KindName, type Question } from '@/core/kinds';
import { verdictOf, type MarkingContext, type NearMiss } from '@/core/marks/mark';
import { emptyContent } from '@/core/quiz/newQuiz';
import { paperFrom } from '@/core/quiz/paper';
import { newPlacement } from '@/core/quiz/newPlacement';
import { contextOf } from '@/core/scoring/context';
import { markAnswer } from '@/core/scoring/markAttempt';
import './unit/support/everywhere';
import { nearMissWords } from '@/core/marks/nearMissWords';
import { filledQuestion } from './unit/support/filled';
import { written } from './unit/support/support';

/** One worked case of marking, as it stands in `tests/cases/marks.json`. */
export interface MarkCase {
  title: string;
  kind: KindName;
  context: MarkingContext;
  others?: object[];
  points?: Fraction;
  question: object;
  answer: Answer | null;
  expect: {
    credit?: Fraction;
    verdict?: string;
    near?: NearMiss | null;
    nearOneOf?: NearMiss[];
    errors?: number;
    matched?: string | null | (string | null)[];
    reason?: string;
  };
}

export const readCases = <Row>(name: string): Row[] =>
  JSON.parse(readFileSync(`tests/cases/${name}.json`, 'utf8')) as Row[];

/** Cases leave texts of options and items out: their ids stand for them. */
function namedParts(question: Question): Question {
  const named = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(named);
    if (typeof value !== 'object' || value === null) return value;
    const made = Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, named(inner)]));
    if (made['text'] === '' && typeof made['id'] === 'string') made['text'] = made['id'];
    return made;
  };
  return named(question) as Question;
}

/** The question, the context and the mark of a case. */
export function worked(one: MarkCase) {
  const question = namedParts(filledQuestion(one.kind, one.question));
  const others = (one.others ?? []).map((other, at) =>
    filledQuestion('phrase', { id: `other-${at}`, ...other }),
  );
  const { language, decimalSign } = one.context;
  const content = { ...emptyContent(one.title), language, decimalSign };
  const placed = [question, ...others].map((each) => ({ question: each, placement: newPlacement(each.id) }));
  const order = placed.map(({ question: { id } }) => id);
  const paper = paperFrom({ ...content, order }, placed);
  const context = { ...contextOf(paper, question), ...one.context };
  return { question, context, mark: markAnswer(question, one.answer, context) };
}

const WORDS = { right: 'right', partly: 'partly right', wrong: 'wrong', waits: 'waits', blank: 'blank' };

/** Text in a cell of a table, as it is typed: nothing in it is markup. */
const cell = (text: string): string =>
  text.replace(/[\\`*_[\]<>|#~]/g, (sign) => `&#${sign.codePointAt(0) ?? 0};`).replace(/\s+/g, ' ');

function resultOf(one: MarkCase): string {
  const { mark } = worked(one);
  const verdict = verdictOf(mark);
  const credit = verdict === 'partly' || mark.credit.n < 0 ? `: ${written(mark.credit)}` : '';
  const price = verdict === 'right' && mark.credit.n !== mark.credit.d ? `: ${written(mark.credit)}` : '';
  const errors =
    mark.errors > 0 ? `, ${mark.errors} ${mark.errors === 1 ? 'typing error' : 'typing errors'}` : '';
  const near = mark.nearMiss ? `; near miss: ${nearMissWords(mark.nearMiss)}` : '';
  return `${WORDS[verdict]}${credit}${price}${errors}${near}`;
}

function row(one: MarkCase): string {
  const { question } = worked(one);
  const given = one.answer ? kindOf(question).answerText(question, one.answer) : '';
  const title = one.title.replace(/^[A-Za-z]+-\d+( \d+)?: /, '');
  const reading = `${one.context.language}${one.context.decimalSign === 'comma' ? ', decimal comma' : ''}`;
  const quiz = reading === 'en' ? '' : ` (${reading})`;
  return `| ${[title + quiz, kindOf(question).describe(question, one.context).join(' '), given || '(nothing)', resultOf(one)].map(cell).join(' | ')} |`;
}

/** `docs/marking-cases.md`: every worked case of marking, described in the words of the application. */
export function casesPage(): string {
  const cases = readCases<MarkCase>('marks');
  const sections = KINDS.flatMap(({ name, title }) => {
    const own = cases.filter(({ kind }) => kind === name);
    if (own.length === 0) return [];
    return [
      `\n## ${title}\n\n| what it shows | the key | answer | result |\n|---|---|---|---|\n${own.map(row).join('\n')}\n`,
    ];
  });
  return `# Worked cases of marking

Every case here is a unit test; this page is written from them (\`npm run docs\`) and checked against them by \`npm test\`.
The rules stand in [marking.md](marking.md).
${sections.join('')}`;
}
