import { useState } from 'react';
import { setToWords } from '../words/setToWords';
import { useQuiz } from './quizContext';
import { SetToDialog } from './SetToDialog';
import { useClasses } from './useClasses';

/** Whom the quiz is set to, and the way to change it. */
export function SetToLine() {
  const { quiz } = useQuiz();
  const classes = useClasses();
  const [choosing, setChoosing] = useState(false);
  if (!classes) return null;
  const words = setToWords(quiz.standing.setTo, classes);
  return (
    <>
      {words === '' ? (
        <strong className="text-saffron-text">Set for no class yet.</strong>
      ) : (
        <>
          Set for <strong>{words}</strong>.
        </>
      )}{' '}
      <button type="button" className="link-text cursor-pointer" onClick={() => setChoosing(true)}>
        {words === '' ? 'Choose who takes it' : 'Change'}
        <span className="sr-only">{words === '' ? '' : ' who takes this quiz'}</span>
      </button>
      {choosing && <SetToDialog quiz={quiz} onClose={() => setChoosing(false)} />}
    </>
  );
}
