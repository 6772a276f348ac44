import { useLiveQuery } from 'dexie-react-hooks';
import { commentOn, saveComment } from '@/store/comments';
import { useQuiz } from '@/ui/quizContext';
import { useTextDraft } from '@/ui/useTextDraft';

interface Props {
  readonly attemptId: string;
  /** Empty for a comment on the whole attempt. */
  readonly questionId: string;
  readonly label: string;
  readonly placeholder?: string;
  /** Without a line below, for a field in every row. */
  readonly quiet?: boolean;
}

interface LoadedProps extends Props {
  readonly quizId: string;
  readonly stored: string;
}

function Loaded({
  quizId,
  attemptId,
  questionId,
  label,
  placeholder = label,
  quiet = false,
  stored,
}: LoadedProps) {
  const [text, edit] = useTextDraft({
    name: `comment:${attemptId}:${questionId}`,
    stored,
    save: (next) => saveComment(quizId, attemptId, questionId, next),
    normal: (plain) => (plain.trim() === '' ? '' : plain),
  });
  return (
    <textarea
      className={`${quiet ? 'plain-field' : 'lined-field'} block resize-none field-sizing-content`}
      rows={1}
      maxLength={5000}
      aria-label={label}
      placeholder={placeholder}
      value={text}
      onChange={(event) => edit(event.target.value)}
    />
  );
}

/** The teacher's words to the student, saved as they are typed. */
export function CommentField(props: Props) {
  const { quiz } = useQuiz();
  const { attemptId, questionId } = props;
  const stored = useLiveQuery(
    () => commentOn(quiz.id, attemptId, questionId),
    [quiz.id, attemptId, questionId],
  );
  if (stored === undefined) return null;
  return <Loaded key={`${attemptId}:${questionId}`} {...props} quizId={quiz.id} stored={stored} />;
}
