import { numberOf } from '@/core/quiz/section';
import { ONE, type Fraction } from '@/core/figures/fraction';
import { keyAnswer, type Answer, type Question } from '@/core/kinds';
import { readingOf } from '@/core/scoring/context';
import type { Feedback } from '@/core/content/feedback';
import { SILENCE } from '@/core/content/silence';
import { saveQuestion } from '@/store/quiz/edits';
import { keyField, undoStep } from '@/store/records/history';
import { newId } from '@/store/records/ids';
import { notify } from '@/ui/widgets/notices';
import { run } from '@/ui/widgets/press';
import { useQuiz } from '@/ui/teacher/quizContext';

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
  /** The other answers that are judged with it: those that differ from it only in form. */
  alike: readonly Answer[] = [],
): Accept {
  const { quiz, questions } = useQuiz();
  const record = questions.find((one) => one.id === questionId);
  const keyed = (question: Question, given: Answer, credit: Fraction, feedback: Feedback) =>
    keyAnswer(question, given, { credit, feedback }, newId, readingOf(question, quiz.content));
  const probe = record && answer ? keyed(record.question, answer, ONE, SILENCE) : null;
  const cannot = probe === null ? 'There is no answer to add to the key' : probe.ok ? null : probe.reason;
  const accept = async (credit: Fraction, feedback: Feedback = SILENCE) => {
    if (!record || !answer) return;
    let next = keyed(record.question, answer, credit, feedback);
    // One form for each that the settings tell apart; what they do not tell apart is there already.
    for (const other of alike) {
      const more = next.ok ? keyed(next.question, other, credit, feedback) : next;
      if (more.ok) next = more;
    }
    if (!next.ok) {
      notify(`${next.reason}. You can mark it by hand.`);
      return;
    }
    const number = numberOf(quiz.content, questionId);
    const saved = await saveQuestion(
      quiz.id,
      { question: next.question, placement: record.placement },
      record.rev,
      {
        label: `Add an answer to the key of question ${number}`,
        field: keyField(questionId, answer),
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
