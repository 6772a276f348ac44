import { kindOf } from '@/core/kinds';
import { carriesPoints, type Placed } from '@/core/quiz/placement';

interface Props {
  readonly placed: Placed;
  readonly onReset: (placed: Placed) => void;
}

/** What a question has of its own where the quiz has a rule for all, in words; empty where nothing. */
function ownRules({ question, placement }: Placed, shuffles: boolean): string[] {
  const points = carriesPoints(placement);
  const marked = points && kindOf(question).about.marks === 'itself';
  return [
    points && placement.points !== null && 'its points',
    placement.mustAnswer !== null && 'whether it must be answered',
    marked && question.penalty !== null && 'what a wrong answer costs',
    marked && question.negativeCredit !== null && 'what happens below 0',
    shuffles && 'the order of its options',
    points && question.language !== null && 'the language of its answers',
    points && question.decimalSign !== null && 'its decimal sign',
  ].filter((words) => words !== false);
}

/** The question with every rule that the quiz has for all. */
const asTheQuiz = ({ question, placement }: Placed): Placed => ({
  question: {
    ...question,
    penalty: null,
    negativeCredit: null,
    language: null,
    decimalSign: null,
    ...('shuffled' in question ? { shuffled: null } : {}),
  },
  placement: { ...placement, points: null, mustAnswer: null },
});

/** Where a question has rules of its own, said in one line, with a press that takes the quiz's for all of them. */
export function Differs({ placed, onReset }: Props) {
  const { question } = placed;
  const own = ownRules(placed, 'shuffled' in question && question.shuffled !== null);
  if (own.length === 0) return null;
  const words = new Intl.ListFormat('en').format(own);
  return (
    <p className="caption mt-1 leading-normal" role="status" aria-label="What differs from the quiz">
      Set for this question alone: {words}.{' '}
      <button
        type="button"
        className="cursor-pointer text-petrol underline underline-offset-2"
        onClick={() => onReset(asTheQuiz(placed))}
      >
        Use the quiz’s rules
      </button>
    </p>
  );
}
