import { use, useCallback, useEffect, useMemo, useRef } from 'react';
import { texIn } from '@/core/content/formulaText';
import { isTypesetterHere, loadTypesetter } from '@/typeset/complete';
import { kindOf, type Question } from '@/core/kinds';
import { carriesPoints, type Placed } from '@/core/quiz/placement';
import { readingOf } from '@/core/scoring/context';
import { plainText } from '@/core/content/plainText';
import { RowsToTake } from '@/kinds/shared/handRow';
import { NegativeCredit } from '@/kinds/shared/parts/leastCredit';
import { newId } from '@/device/ids';
import { useFaces } from '@/kinds/write';
import { placedOf, type QuestionRecord } from '@/store/records/db';
import { completeFormulas, restoreQuestion, saveQuestion } from '@/store/quiz/edits';
import { Conflict } from '@/ui/editing/Conflict';
import { FormulaInFields } from '@/ui/editing/formula/FormulaInFields';
import RichTextEditor from '@/ui/editing/RichTextEditor';
import { MoreOfIt } from './MoreOfIt';
import { PaperNow } from './PaperNow';
import { QuestionRules } from './rules/QuestionRules';
import { asBegun } from '@/core/quiz/numbers';
import { useQuiz } from '@/ui/teacher/quizContext';
import { run } from '@/ui/widgets/press/press';
import { WithFormulas, Words } from '@/ui/widgets/paper/Formula';
import { useDraft, type Draft } from '@/ui/editing/useDraft';

const reached = (stored: number, saved: number): boolean => stored >= saved;

const editLabel = (called: string, id: string) => ({
  label: `Edit ${called}`,
  field: `question:${id}`,
});

/** The question being edited: every edit is saved on its own and can be undone. */
function useQuestionDraft(record: QuestionRecord, called: string): Draft<Placed> {
  const { quizId, id } = record;
  const stored = useMemo(() => placedOf(record), [record]);
  const save = useCallback(
    async (placed: Placed, base: number) => {
      const saved = await saveQuestion(quizId, placed, base, editLabel(called, id));
      if (saved.ok) return { ok: true as const, token: saved.rev };
      const { theirs } = saved;
      return { ok: false as const, theirs: theirs && { value: placedOf(theirs), token: theirs.rev } };
    },
    [quizId, id, called],
  );
  const restore = useCallback(
    (placed: Placed) => restoreQuestion(quizId, placed, { label: `Restore ${called}`, field: '' }),
    [quizId, called],
  );
  const name = `question:${id}`;
  return useDraft({ name, stored, token: record.rev, reached, save, restore });
}

/**
 * What was written before the typesetter was here is saved once more when it is, with its formulas set: from the hand, or,
 * where the hand has moved on, `behind` it.
 */
function useLateFormulas(
  { value, edit }: Draft<Placed>,
  behind: () => Promise<void>,
): (placed: Placed) => void {
  const there = useRef(true);
  const latest = useRef({ value, edit });
  useEffect(() => {
    latest.current = { value, edit };
  });
  useEffect(() => {
    there.current = true;
    return () => {
      there.current = false;
    };
  }, []);
  const waiting = useRef(false);
  return (placed) => {
    edit(placed);
    if (waiting.current || isTypesetterHere() || texIn(placed.question).length === 0) return;
    waiting.current = true;
    const again = () => {
      waiting.current = false;
      if (there.current) latest.current.edit({ ...latest.current.value });
      else run(behind);
    };
    // Where it cannot be loaded, the formula stays text, as Write says; the next key tries again.
    loadTypesetter().then(again, () => {
      waiting.current = false;
    });
  };
}

/** Both versions of a question side by side, when two tabs changed it. */
function Version({ placed: { question, placement } }: { readonly placed: Placed }) {
  const { quiz } = useQuiz();
  const { Folded } = useFaces(question.kind);
  return (
    <WithFormulas formulas={question.formulas}>
      <p className="font-medium">
        <Words text={plainText(question.text) || 'Question without text'} />
      </p>
      <Folded
        question={question}
        context={readingOf(question, quiz.content)}
        marked={carriesPoints(placement)}
      />
    </WithFormulas>
  );
}

interface Props {
  readonly record: QuestionRecord;
  /** *question 3*, or *note 1*. */
  readonly called: string;
  /** Told what is written with every key; null once the question is no longer in hand. */
  readonly onWritten: (placed: Placed | null) => void;
  readonly onRemove: () => void;
  readonly onDuplicate: () => void;
}

/** Lets the margin change the question in hand. */
function useReach(draft: Draft<Placed>): void {
  const hand = use(PaperNow)?.draft;
  useEffect(() => {
    if (!hand) return;
    hand.current = draft;
    return () => {
      hand.current = null;
    };
  });
}

/** The question in hand: text, key, feedback and rules, all in place. */
export function QuestionInHand({ record, called, onWritten, onRemove, onDuplicate }: Props) {
  const { quiz } = useQuiz();
  const stored = useQuestionDraft(record, called);
  const write = useLateFormulas(stored, () =>
    completeFormulas(quiz.id, record.id, editLabel(called, record.id)),
  );
  const draft = { ...stored, edit: write };
  const { question, placement } = draft.value;
  useEffect(() => onWritten(draft.value), [draft.value, onWritten]);
  useEffect(() => () => onWritten(null), [onWritten]);
  useReach(draft);
  const edit = (next: Question) => draft.edit({ question: next, placement });
  const { Write } = useFaces(question.kind);
  return (
    <section
      aria-label={`${asBegun(called)} in hand`}
      className="bg-paper px-9 pt-4 pb-5 shadow-[0_0_0_1px_var(--line)] max-sm:px-4"
    >
      <FormulaInFields>
        <Conflict draft={draft} what={asBegun(called)} show={(version) => <Version placed={version} />} />
        <p className="label-small mb-1">{kindOf(question).title}</p>
        <RichTextEditor
          key={question.id}
          value={question.text}
          label={`Text of ${called}`}
          placeholder="Write or paste the question"
          autoFocus={question.text.length === 0}
          onChange={(text) => edit({ ...question, text })}
          onBlock={({ question: words, options }) => {
            const filled = kindOf(question).withOptions(question, options, newId);
            if (!filled) return false;
            const text = { type: 'text' as const, text: words, marks: [] };
            edit({ ...filled, text: [{ type: 'paragraph', runs: [text] }] });
            return true;
          }}
        />
        <RowsToTake>
          <NegativeCredit value={question.negativeCredit ?? quiz.content.negativeCredit}>
            <Write
              question={question}
              onChange={edit}
              seen={quiz.firstHandInAt !== null}
              optionOrder={quiz.content.shuffledOptions ? 'shuffled' : 'written'}
              context={readingOf(question, quiz.content)}
              marked={carriesPoints(placement)}
            />
          </NegativeCredit>
          {kindOf(question).asks && <QuestionRules draft={draft} />}
          <MoreOfIt
            placed={draft.value}
            called={called}
            onChange={edit}
            onRemove={onRemove}
            onDuplicate={onDuplicate}
          />
        </RowsToTake>
      </FormulaInFields>
    </section>
  );
}
