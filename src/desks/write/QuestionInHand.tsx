import { Trash2 } from 'lucide-react';
import { lazy, Suspense, useCallback } from 'react';
import { kindOf, type Question } from '@/core/kinds';
import { pointsOf } from '@/core/quiz/points';
import { readingOf } from '@/core/scoring/markAttempt';
import { plainText } from '@/core/content/plainText';
import { useFaces } from '@/kinds/write';
import type { QuestionRecord } from '@/store/records/db';
import { restoreQuestion, saveQuestion } from '@/store/quiz/edits';
import { Conflict } from '@/ui/editing/Conflict';
import { DecimalField } from '@/ui/widgets/DecimalField';
import { FeedbackField } from '@/ui/editing/FeedbackField';
import { points } from '@/ui/words/figures';
import { useQuiz } from '@/ui/teacher/quizContext';
import { RichText } from '@/ui/widgets/RichText';
import { useDraft, type Draft } from '@/ui/editing/useDraft';

const RichTextEditor = lazy(() => import('@/ui/editing/RichTextEditor'));
const reached = (stored: number, saved: number): boolean => stored >= saved;

/** The question being edited: every edit is saved on its own and can be undone. */
function useQuestionDraft(record: QuestionRecord, number: number): Draft<Question> {
  const { quizId, id } = record;
  const save = useCallback(
    async (question: Question, base: number) => {
      const label = { label: `Edit question ${number}`, field: `question:${id}` };
      const saved = await saveQuestion(quizId, question, base, label);
      if (saved.ok) return { ok: true as const, token: saved.rev };
      const { theirs } = saved;
      return { ok: false as const, theirs: theirs && { value: theirs.question, token: theirs.rev } };
    },
    [quizId, id, number],
  );
  const restore = useCallback(
    (question: Question) =>
      restoreQuestion(quizId, question, { label: `Restore question ${number}`, field: '' }),
    [quizId, number],
  );
  const name = `question:${id}`;
  return useDraft({ name, stored: record.question, token: record.rev, reached, save, restore });
}

/** Both versions of a question side by side, when two tabs changed it. */
function Version({ question }: { readonly question: Question }) {
  const { quiz } = useQuiz();
  const { Folded } = useFaces(question.kind);
  return (
    <>
      <p className="font-medium">{plainText(question.text) || 'Question without text'}</p>
      <Folded question={question} context={readingOf(quiz.content)} />
    </>
  );
}

interface Props {
  readonly record: QuestionRecord;
  readonly number: number;
  readonly onRemove: () => void;
}

function General({ draft }: { readonly draft: Draft<Question> }) {
  const { value: question, edit } = draft;
  const rows = [
    ['When right', 'right answers', 'right'],
    ['Partly right', 'partly right answers', 'partly'],
    ['When wrong', 'wrong answers', 'wrong'],
  ] as const;
  return (
    <div className="mt-4 space-y-1">
      {rows.map(([title, about, side]) => (
        <div key={side} className="grid grid-cols-[96px_minmax(0,1fr)] items-start gap-x-2">
          <span className="label-small pt-1.5">{title}</span>
          <FeedbackField
            value={question[side]}
            about={about}
            placeholder="Feedback where an answer has none of its own"
            onChange={(feedback) => edit({ ...question, [side]: feedback })}
          />
        </div>
      ))}
      <div className="grid grid-cols-[96px_minmax(0,1fr)] items-start gap-x-2">
        <span className="label-small pt-1.5">Explanation</span>
        <textarea
          className="plain-field resize-none field-sizing-content"
          rows={1}
          maxLength={5000}
          aria-label="Explanation"
          placeholder="Shown with the right answers"
          value={question.explanation}
          onChange={(event) => edit({ ...question, explanation: event.target.value })}
        />
      </div>
    </div>
  );
}

function Rules({ draft }: { readonly draft: Draft<Question> }) {
  const { quiz } = useQuiz();
  const { value: question, edit } = draft;
  const { Rules: KindRules } = useFaces(question.kind);
  const own = question.points !== null;
  const value = pointsOf(question, quiz.content);
  return (
    <div className="mt-4 leading-loose">
      <DecimalField
        className="sentence-part text-center"
        label="Points"
        value={question.points}
        most={1000}
        fallback={points(quiz.content.defaultPoints)}
        onEmpty={() => edit({ ...question, points: null })}
        onChange={(typed) => edit({ ...question, points: typed })}
      />{' '}
      {value.n === 1 && value.d === 1 ? 'point' : 'points'}
      {own ? (
        <>
          {' ('}
          <button
            type="button"
            className="cursor-pointer text-[13.5px] text-petrol underline underline-offset-2"
            onClick={() => edit({ ...question, points: null })}
          >
            use the quiz’s default ({points(quiz.content.defaultPoints)})
          </button>
          {')'}
        </>
      ) : (
        <span className="text-soft"> (quiz default)</span>
      )}
      {'. It '}
      <select
        className="sentence-part"
        aria-label="Must it be answered"
        value={String(question.mustAnswer)}
        onChange={(event) =>
          edit({
            ...question,
            mustAnswer: event.target.value === 'null' ? null : event.target.value === 'true',
          })
        }
      >
        <option value="null">
          {quiz.content.mustAnswer ? 'must be answered' : 'may be left out'}, as the quiz sets
        </option>
        <option value="true">must be answered</option>
        <option value="false">may be left out</option>
      </select>
      {'. '}
      <KindRules question={question} onChange={edit} context={readingOf(quiz.content)} />
    </div>
  );
}

/** The question in hand: text, key, feedback and rules, all in place. */
export function QuestionInHand({ record, number, onRemove }: Props) {
  const { quiz } = useQuiz();
  const draft = useQuestionDraft(record, number);
  const { value: question, edit } = draft;
  const { Write } = useFaces(question.kind);
  return (
    <section
      aria-label={`Question ${number} in hand`}
      className="bg-paper px-9 pt-4 pb-5 shadow-[0_0_0_1px_var(--line)] max-sm:px-4"
    >
      <Conflict
        draft={draft}
        what={`Question ${number}`}
        show={(version) => <Version question={version} />}
      />
      <div className="flex items-start justify-between gap-4">
        <p className="label-small mb-1">{kindOf(question).title}</p>
        <button
          type="button"
          className="icon-button"
          aria-label={`Delete question ${number}`}
          title="Delete the question"
          onClick={onRemove}
        >
          <Trash2 size={15} aria-hidden />
        </button>
      </div>
      <Suspense fallback={<RichText text={question.text} />}>
        <RichTextEditor
          key={question.id}
          value={question.text}
          label={`Text of question ${number}`}
          placeholder="Write or paste the question"
          autoFocus={question.text.length === 0}
          onChange={(text) => edit({ ...question, text })}
        />
      </Suspense>
      <Write
        question={question}
        onChange={edit}
        seen={quiz.firstHandInAt !== null}
        context={readingOf(quiz.content)}
      />
      <General draft={draft} />
      <Rules draft={draft} />
    </section>
  );
}
