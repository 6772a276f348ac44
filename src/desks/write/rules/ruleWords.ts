import { same } from '@/core/figures/deepEqual';
import { equal } from '@/core/figures/fraction';
import { kindOf } from '@/core/kinds';
import { emptyContent } from '@/core/quiz/newQuiz';
import { carriesPoints, type Placed } from '@/core/quiz/placement';
import type { Pages, QuizContent } from '@/core/quiz/quiz';
import type { RuleWords } from '@/kinds/faces';
import { BELOW_0, penaltyWords } from '@/ui/words/costWords';
import { percent, points, pointsWord } from '@/ui/words/figures';
import { languageName } from '@/ui/words/languages';
import { MUST_WORDS } from '@/ui/words/mustWords';
import { STANDING_WORDS } from '@/ui/words/standingWords';
import type { Fraction } from '@/core/figures/fraction';

const own = (words: string): RuleWords => ({ words, own: true });
const usual = (words: string): RuleWords => ({ words, own: false });

/** What a question is worth, and that it does not just count where it does not. */
export function worthRules({ question, placement }: Placed, content: QuizContent): RuleWords[] {
  const standing = placement.standing === 'counts' ? [] : [own(STANDING_WORDS[placement.standing])];
  if (!carriesPoints(placement)) return standing;
  const worth = pointsWord(placement.points ?? content.defaultPoints);
  const forParts = placement.perPart ? ` for each ${kindOf(question).partName}` : '';
  const its =
    placement.points === null && !placement.perPart ? usual(`${worth}, as the quiz`) : own(worth + forParts);
  return [its, ...standing];
}

/** What a question has of its own beside its points, where the quiz has a rule for all. */
export function ownRules({ question, placement }: Placed, content: QuizContent): RuleWords[] {
  const marked = carriesPoints(placement);
  const itself = marked && kindOf(question).about.marks === 'itself';
  const { penalty, negativeCredit, language, decimalSign } = question;
  return [
    placement.mustAnswer !== null && MUST_WORDS[placement.mustAnswer],
    itself && penalty !== null && `a wrong answer costs ${penaltyWords(penalty)}`,
    itself && negativeCredit !== null && `below 0 it ${BELOW_0[negativeCredit ? 'true' : 'false']}`,
    marked && language !== null && `answers in ${languageName(language)}`,
    marked && decimalSign !== null && `decimal ${decimalSign}`,
    content.pages === 'breaks' && placement.startsPage && 'begins a new page',
    content.shuffled && placement.staysInPlace && 'stays in its place',
  ]
    .filter((words) => words !== false)
    .map(own);
}

const PAGES: Readonly<Record<Pages, string>> = {
  each: 'one question per page',
  breaks: 'pages as set below',
  one: 'all on one page',
};

const ROUNDING = { '1': 'whole points', '2': 'halves', '10': 'tenths', '100': 'hundredths' } as const;

/** Out of how many points scores are, and to what they are rounded; `total` is what the questions come to. */
function scoreWords({ outOf, rounding }: QuizContent['scoring'], total: Fraction): string {
  const rounded = rounding === null ? 'not rounded' : `to ${ROUNDING[rounding]}`;
  return `out of ${points(outOf ?? total)}, ${rounded}`;
}

/** The rules of a quiz in a few words each: the usual ones that say most, and all that are not usual. */
export function quizRules(content: QuizContent, total: Fraction): RuleWords[] {
  const fresh = emptyContent('');
  const { scoring } = content;
  const differs = (field: keyof QuizContent): boolean => !same(content[field], fresh[field]);
  const scored = !same(scoring.outOf, fresh.scoring.outOf) || scoring.rounding !== fresh.scoring.rounding;
  const { repeat } = scoring;
  return [
    {
      words: `${pointsWord(content.defaultPoints)} each`,
      own: !equal(content.defaultPoints, fresh.defaultPoints),
    },
    { words: PAGES[content.pages], own: differs('pages') },
    { words: languageName(content.language), own: false },
    { words: scoreWords(scoring, total), own: scored },
    ...[
      differs('mustAnswer') && `each question ${MUST_WORDS[content.mustAnswer]}`,
      differs('penalty') && `a wrong answer costs ${penaltyWords(content.penalty)}`,
      differs('negativeCredit') && `a question below 0 ${BELOW_0.true}`,
      differs('shuffled') && 'questions shuffled for each student',
      differs('shuffledOptions') && 'options shuffled for each student',
      differs('decimalSign') && `decimal ${content.decimalSign}`,
      !scoring.floor && 'a score may fall below 0',
      scoring.bonusLifts && 'bonus points may lift it above the maximum',
      repeat && `each repeat loses ${percent(repeat.price)}`,
    ]
      .filter((words) => typeof words === 'string')
      .map(own),
    ...(content.topic.trim() ? [usual(content.topic.trim())] : []),
  ];
}
