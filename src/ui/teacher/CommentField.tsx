import { useLiveQuery } from 'dexie-react-hooks';
import { commentOn, saveComment } from '@/store/work/comments';
import { useQuiz } from '@/ui/teacher/quizContext';
import { useTextDraft } from '@/ui/editing/useTextDraft';

interface Props {
  readonly attemptId: string;
  /** Empty for a comment on the whole attempt. */
  readonly questionId: string;
  readonly label: string;
  readonly placeholder?: string;
  /** Without a line below, for a field in every row. */
  readonly quiet?: boolean;
}

function Field({ attemptId, questionId, label, placeholder = label, quiet = false }: Props) {
  const { quiz } = useQuiz();
  const stored = useLiveQuery(
    () => commentOn(quiz.id, attemptId, questionId),
    [quiz.id, attemptId, questionId],
  );
  const [text, edit] = useTextDraft({
    name: `comment:${attemptId}:${questionId}`,
    stored: stored ?? '',
    save: (next) => saveComment(quiz.id, attemptId, questionId, next),
    normal: (plain) => (plain.trim() === '' ? '' : plain),
  });
  return (
    <textarea
      className={`${quiet ? 'plain-field' : 'lined-field'} block resize-none field-sizing-content`}
      rows={1}
      maxLength={5000}
      aria-label={label}
      placeholder={placeholder}
      // The field is there at once, so that keys meant for it never go elsewhere; it is written in once it is read.
      readOnly={stored === undefined}
      value={text}
      onChange={(event) => edit(event.target.value)}
    />
  );
}

/** The teacher's words to the student, saved as they are typed. */
export const CommentField = (props: Props) => (
  <Field key={`${props.attemptId}:${props.questionId}`} {...props} />
);
