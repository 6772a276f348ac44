import { WithFormulas } from '@/ui/widgets/paper/Formula';
import { ShownAnswer } from '@/ui/widgets/paper/ShownAnswer';
import type { HandAnswer, HandQuestion } from '@/workers/classDesk';
import { Underlined } from './Underlined';

/** An answer that is marked by hand, large enough to be read, with the ideas underlined. */
export const GivenAnswer = (props: { readonly question: HandQuestion; readonly answer: HandAnswer }) => {
  const { question, answer } = props;
  return (
    <WithFormulas formulas={question.formulas}>
      {answer.shown.form === 'text' ? (
        <Underlined text={answer.shown.text} ideas={answer.ideas} names={question.ideas} />
      ) : (
        <ShownAnswer answer={answer.shown} />
      )}
    </WithFormulas>
  );
};
