import { useState } from 'react';
import { NEW_TITLE } from '@/store/quiz/quizzes';
import { land } from '@/ui/editing/heldKeys';
import { Conflict } from '@/ui/editing/Conflict';
import RichTextEditor from '@/ui/editing/RichTextEditor';
import { useContentField } from '@/ui/teacher/useContentField';
import { RowsToTake } from '@/kinds/shared/handRow';
import { Bands } from './rules/Bands';
import { QuizRules } from './rules/QuizRules';
import { useQuiz } from '@/ui/teacher/quizContext';

/** Selects the title of a new quiz, so that typing gives it its own, and gives it what was typed on the way here: once, when the field comes. */
function select(field: HTMLInputElement | null): void {
  field?.select();
  if (field) land(field);
}

/** Title, instructions, and what holds for the whole quiz. */
export function Heading() {
  const title = useContentField('title', 'Change the title');
  const instructions = useContentField('instructions', 'Change the instructions');
  const { quiz, questions } = useQuiz();
  const [isNew] = useState(() => quiz.content.title === NEW_TITLE && questions.length === 0);
  return (
    <div className="border-b border-line px-9 pt-7 pb-4 max-sm:px-4 max-sm:pt-4">
      <h1>
        <input
          className="plain-field font-title text-[26px] font-semibold max-sm:text-[21px]"
          aria-label="Title of the quiz"
          placeholder="Title of the quiz"
          maxLength={300}
          ref={isNew ? select : undefined}
          value={title.value}
          onChange={(event) => title.edit(event.target.value)}
        />
      </h1>
      <Conflict draft={title} show={(value) => value} what="The title" />
      <div className="mt-1">
        <RichTextEditor
          value={instructions.value}
          label="Instructions"
          placeholder="Instructions for the students"
          onChange={instructions.edit}
        />
      </div>
      <QuizRules />
      <RowsToTake>
        <Bands />
      </RowsToTake>
    </div>
  );
}
