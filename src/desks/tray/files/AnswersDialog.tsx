import type { Judged, Source } from '@/core/away/takeIn';
import { useQuiz } from '@/ui/teacher/quizContext';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { DialogFoot } from '@/ui/widgets/dialogs/DialogFoot';
import { Failed } from '@/ui/widgets/press/Failed';
import { usePress } from '@/ui/widgets/press/press';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { readingFailed } from '@/ui/words/failureWords';
import { count } from '@/ui/words/figures';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import type { TakenIn } from '@/store/work/answersIn';
import { classWorker } from '@/workers/clients';
import { becomesWords, noteWords, problemWords } from './answersWords';

interface Props {
  readonly sources: readonly Source[];
  readonly onClose: () => void;
  readonly onTaken: (taken: TakenIn) => void;
}

type Holds = Exclude<Judged, { becomes: 'nothing' }>;
type Left = Extract<Judged, { becomes: 'nothing' }>;

const comesIn = ({ becomes }: Judged): boolean => becomes === 'new' || becomes === 'later';

/** Sources of which nothing is imported, with the reason of each. */
function LeftOut({ left }: { readonly left: readonly Left[] }) {
  if (left.length === 0) return null;
  return (
    <>
      <p className="mt-4 font-semibold">{count(left.length, 'file or text', 'files or texts')} left out:</p>
      <ul tabIndex={0} aria-label="Left out" className="mt-1 max-h-40 overflow-y-auto text-[14px]">
        {left.map((one, at) => (
          <li key={at} className="border-b border-hair py-1 wrap-anywhere">
            <span className="font-semibold">{one.source}</span>: {problemWords(one)}
          </li>
        ))}
      </ul>
    </>
  );
}

/** What became of whatever holds: whose, when it was saved, and what is worth a look. */
function Held({ held }: { readonly held: readonly Holds[] }) {
  const { zone } = useQuiz().quiz.content;
  if (held.length === 0) return null;
  return (
    <ul tabIndex={0} aria-label="Answers" className="mt-3 max-h-72 overflow-y-auto text-[14px]">
      {held.map((one, at) => (
        <li key={at} className="border-b border-hair py-1.5">
          <span className="flex flex-wrap justify-between gap-x-4">
            <span className="font-semibold">{one.name}</span>
            <span className={comesIn(one) ? '' : 'text-soft'}>{becomesWords(one)}</span>
          </span>
          <span className="figures block text-soft">
            {count(one.answers, 'answer')}, saved {dayAndTimeIn(one.savedAt, zone)} by the device’s clock
          </span>
          {one.notes.length > 0 && (
            <span className="block text-saffron-text">
              {one.notes.map((note) => noteWords(note, zone)).join('; ')}
            </span>
          )}
        </li>
      ))}
    </ul>
  );
}

/** What files and texts of answers would bring, before anything does; then all that holds is imported at once. */
export function AnswersDialog({ sources, onClose, onTaken }: Props) {
  const { quiz, attemptsSeq } = useQuiz();
  const { value, failure, again } = useQuery(
    () => classWorker().judgeAnswers(quiz.id, sources),
    [quiz.id, sources, attemptsSeq],
  );
  const held = value?.filter((one): one is Holds => one.becomes !== 'nothing') ?? [];
  const left = value?.filter((one): one is Left => one.becomes === 'nothing') ?? [];
  const papers = new Set(held.filter(comesIn).map(({ studentId, attempt }) => `${studentId}/${attempt}`))
    .size;
  const take = usePress(async () => onTaken(await classWorker().takeAnswers(quiz.id, sources)));
  return (
    <Dialog title="Answers from students’ files" onClose={onClose} wide="middle" first="heading">
      {failure && <Failed text={readingFailed(failure)} onAgain={again} />}
      <p role="status">
        {value === null
          ? failure
            ? ''
            : 'Reading the answers…'
          : papers === 0
            ? 'Nothing new is in them.'
            : `${count(papers, 'paper')} ready.`}
      </p>
      <Held held={held} />
      <LeftOut left={left} />
      <DialogFoot
        label={take.busy ? 'Importing…' : `Import ${count(papers, 'paper')}`}
        onGo={take.start}
        onLeave={onClose}
        disabled={take.busy || papers === 0}
        error={take.error}
      />
    </Dialog>
  );
}
