import { calledOf } from '@/core/quiz/numbers';
import { equal, ONE, type Fraction } from '@/core/figures/fraction';
import { same } from '@/core/figures/deepEqual';
import { keyAnswer, keyPart, calledAnswer, type Answer, type Question } from '@/core/kinds';
import type { GivenPart } from '@/core/kinds/givenPart';
import { readingOf } from '@/core/scoring/context';
import type { Feedback } from '@/core/content/feedback';
import { SILENCE } from '@/core/content/silence';
import { saveQuestion } from '@/store/quiz/edits';
import { keyField } from '@/store/records/steps';
import { undoStep } from '@/store/undo/undo';
import { newId } from '@/device/ids';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { useQuiz } from '@/ui/teacher/quizContext';
import { percent } from '@/ui/words/figures';
import { ALONE, type Judged } from '../judged';

/** An answer in a few words, with quotation marks. */
function answerWords(question: Question, answer: Answer | null): string {
  const line = answer ? calledAnswer(question, answer) : '';
  return `“${line.length > 80 ? `${line.slice(0, 78)} …` : line}”`;
}

/** What the press is called in the history, and in the list of what waits. */
function labelOf(words: string, credit: Fraction): string {
  if (credit.n <= 0) return `Expect ${words} as wrong`;
  return equal(credit, ONE) ? `Accept ${words}` : `Accept ${words} for ${percent(credit)}`;
}

/** All that is keyed by one press, the answer or part at hand first. */
const givenIn = (answer: Answer | null, judged: Judged): readonly (Answer | GivenPart)[] => {
  if (judged.what === 'part') return judged.parts;
  return answer === null ? [] : [answer, ...judged.alike.filter((one) => !same(one, answer))];
};

interface Accept {
  /** Why the answer cannot be added to the key; null where it can. */
  readonly cannot: string | null;
  /** Keys the answer in the draft; its effect on everyone shows at the foot before it is applied. */
  readonly accept: (credit: Fraction, feedback?: Feedback) => Promise<void>;
}

/** Takes an answer of the class into the key of the draft. */
export function useAccept(
  questionId: string,
  answer: Answer | null,
  /** What is judged: the answer with those that differ from it only in form, or a part of it. */
  judged: Judged = ALONE,
): Accept {
  const { quiz, questions } = useQuiz();
  const record = questions.find((one) => one.id === questionId);
  const given = givenIn(answer, judged);
  const [first] = given;
  const keyed = (question: Question, one: Answer | GivenPart, credit: Fraction, feedback: Feedback) => {
    const as = { credit, feedback };
    const reading = readingOf(question, quiz.content);
    return 'part' in one
      ? keyPart(question, one, as, newId, reading)
      : keyAnswer(question, one, as, newId, reading);
  };
  const probe = record && first ? keyed(record.question, first, ONE, SILENCE) : null;
  const cannot = probe === null ? 'There is no answer to add to the key' : probe.ok ? null : probe.reason;
  const accept = async (credit: Fraction, feedback: Feedback = SILENCE) => {
    if (!record || !first) return;
    let next = keyed(record.question, first, credit, feedback);
    // One form for each that the settings tell apart; what they do not tell apart is there already.
    for (const other of given.slice(1)) {
      const more = next.ok ? keyed(next.question, other, credit, feedback) : next;
      if (more.ok) next = more;
    }
    if (!next.ok) {
      notify(`${next.reason}. You can mark it by hand.`);
      return;
    }
    const words = labelOf(
      judged.what === 'part' ? judged.words : answerWords(record.question, answer),
      credit,
    );
    const saved = await saveQuestion(
      quiz.id,
      { question: next.question, placement: record.placement },
      record.rev,
      {
        label: `${words}, ${calledOf(
          questions.map((one) => one.question),
          questionId,
        )}`,
        field: keyField(questionId, first),
      },
    );
    if (!saved.ok) {
      notify('The question was changed in another tab just now: look again');
      return;
    }
    notify('Added to the key. The bar below shows whose score would change.', {
      label: 'Undo',
      run: () => run(() => undoStep(quiz.id, saved.rev)),
    });
  };
  return { cannot, accept };
}
