import { useLiveQuery } from 'dexie-react-hooks';
import { useLayoutEffect, useRef, useState, type KeyboardEvent } from 'react';
import { isEmptyProse, treeOf, type Prose } from '@/core/content/prose';
import { commentOn, earlierComments, saveComment } from '@/store/work/comments';
import { useQuiz } from '@/ui/teacher/quizContext';
import { ProseField } from '@/ui/editing/ProseField';
import { useTextDraft } from '@/ui/editing/useDraft';
import { run } from '@/ui/widgets/press/press';

interface Props {
  readonly attemptId: string;
  /** Empty for a comment on the whole attempt. */
  readonly questionId: string;
  readonly label: string;
  readonly placeholder?: string;
  /** Without a line below, for a field in every row. */
  readonly quiet?: boolean;
}

const FEWEST_LETTERS = 2;
const MOST_OFFERED = 4;

/** Comments written before that begin with these letters, the newest first; none for what is one already. */
function beginningWith(typed: string, earlier: readonly string[]): string[] {
  const letters = typed.trimStart().toLowerCase();
  if (letters.length < FEWEST_LETTERS) return [];
  return earlier
    .filter((text) => text.toLowerCase().startsWith(letters) && text.length > letters.length)
    .slice(0, MOST_OFFERED);
}

/** Two texts one behind the other. */
function joined(first: Prose, second: Prose): Prose {
  if (isEmptyProse(first)) return second;
  if (isEmptyProse(second)) return first;
  if (typeof first === 'string' && typeof second === 'string') return `${first} ${second}`;
  return [...treeOf(first), ...treeOf(second)];
}

interface OfferProps {
  readonly texts: readonly string[];
  readonly onTake: (text: string) => void;
}

/** Arrow down goes from the field into the list, and on; arrow up goes back. */
function walk(event: KeyboardEvent<HTMLDivElement>): void {
  const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
  const places = [...event.currentTarget.querySelectorAll<HTMLElement>('textarea, [data-offer]')];
  const at = places.indexOf(document.activeElement as HTMLElement);
  const next = by === undefined || places.length < 2 ? undefined : places[at + by];
  // Within the words of several lines the arrows stay in the field.
  if (!next || (at === 0 && (document.activeElement as HTMLTextAreaElement).value.includes('\n'))) return;
  event.preventDefault();
  next.focus();
}

/** What was written before and begins alike: one press takes it. */
const Offers = ({ texts, onTake }: OfferProps) => (
  <ul aria-label="Earlier comments that begin like this" className="border-x border-b border-line bg-paper">
    {texts.map((text) => (
      <li key={text}>
        <button
          type="button"
          data-offer
          className="block w-full cursor-pointer truncate px-2 py-1 text-left text-[14px] hover:bg-hair focus:bg-hair"
          title={text}
          onClick={() => onTake(text)}
        >
          {text}
        </button>
      </li>
    ))}
  </ul>
);

function Field({ attemptId, questionId, label, placeholder = label, quiet = false }: Props) {
  const { quiz } = useQuiz();
  const stored = useLiveQuery(
    () => commentOn(quiz.id, attemptId, questionId),
    [quiz.id, attemptId, questionId],
  );
  const [text, edit] = useTextDraft<Prose>({
    name: `comment:${attemptId}:${questionId}`,
    stored: stored ?? '',
    save: (next) => saveComment(quiz.id, attemptId, questionId, next),
    normal: (words) => (isEmptyProse(words) ? '' : words),
  });
  // The field is there at once; what is typed before its text is read is put behind that.
  const [early, setEarly] = useState<Prose | null>(null);
  useLayoutEffect(() => {
    if (stored === undefined || early === null) return;
    setEarly(null);
    edit(joined(stored, early));
  }, [stored, early, edit]);
  const box = useRef<HTMLDivElement>(null);
  const [earlier, setEarlier] = useState<readonly string[]>([]);
  const [typing, setTyping] = useState(false);
  const offered = typing && typeof text === 'string' ? beginningWith(text, earlier) : [];
  return (
    <div
      ref={box}
      onKeyDown={(event) => {
        if (event.key === 'Escape' && offered.length > 0) {
          event.stopPropagation();
          setTyping(false);
        } else if (offered.length > 0) walk(event);
      }}
      onFocus={() => earlier.length === 0 && run(async () => setEarlier(await earlierComments()))}
      onBlur={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget)) setTyping(false);
      }}
    >
      <ProseField
        className={`${quiet ? 'plain-field' : 'lined-field'} block`}
        label={label}
        format="Format these words"
        placeholder={placeholder}
        value={early ?? text}
        onChange={(next) => {
          setTyping(true);
          if (stored === undefined) setEarly(next);
          else edit(next);
        }}
      />
      {offered.length > 0 && (
        <Offers
          texts={offered}
          onTake={(taken) => {
            setTyping(false);
            edit(taken);
            box.current?.querySelector('textarea')?.focus();
          }}
        />
      )}
    </div>
  );
}

/** The teacher's words to the student, saved as they are typed. */
export const CommentField = (props: Props) => (
  <Field key={`${props.attemptId}:${props.questionId}`} {...props} />
);
