import { asksFor } from '@/core/kinds/progress';
import { useTold } from '@/ui/told/useTold';
import type { RefObject } from 'react';
import type { Progress } from '@/core/kinds/progress';
import type { StudentQuestion } from '@/core/reveal/packets';
import { Words } from '@/ui/widgets/paper/Formula';
import { plainText } from '@/core/content/plainText';
import { numbersIn } from './pages';
import type { KeepState } from './useAnswers';
import { KeepLine } from './KeepLine';
import { useSitPress } from '../useSitPress';
import type { Way } from '../done';

interface Props {
  readonly headingRef: RefObject<HTMLHeadingElement | null>;
  readonly questions: readonly StudentQuestion[];
  /** False where the paper can be sat again after it was handed in. */
  readonly onceOnly: boolean;
  /** How far each question is answered, in their order. */
  readonly done: readonly Progress[];
  readonly keep: KeepState;
  /** null: nobody goes back. */
  readonly onGo: ((index: number) => void) | null;
  /** How it ends: handed in, or saved as a file. */
  readonly way: Way;
  /** Fails where the paper was not handed in. */
  readonly onHandIn: () => Promise<void>;
}

interface Open {
  readonly question: StudentQuestion;
  readonly index: number;
  readonly number: number | null;
}

const isNeeded = ({ mustAnswer }: StudentQuestion): boolean => mustAnswer !== 'no';
const isNeededWhole = ({ mustAnswer }: StudentQuestion): boolean => mustAnswer === 'every';

interface MissingProps {
  readonly title: string;
  /** Whether one of them keeps the paper from being handed in. */
  readonly blocks: (question: StudentQuestion) => boolean;
  readonly missing: readonly Open[];
  readonly onGo: Props['onGo'];
}

/** Questions without an answer, or with a part of one, each a way back to it. */
function Missing({ title, blocks, missing, onGo }: MissingProps) {
  const { last, work } = useTold();
  if (missing.length === 0) return null;
  return (
    <>
      <p className="mt-3 text-[16.5px] font-semibold text-saffron-text">{title}</p>
      <ul className="mt-2 border-t border-line">
        {missing.map(({ question, index, number }) => (
          <li key={question.id} className="border-b border-hair">
            <button
              type="button"
              className="flex min-h-11 w-full gap-3 py-2.5 text-left enabled:cursor-pointer enabled:hover:bg-base-200"
              disabled={onGo === null}
              onClick={() => onGo?.(index)}
            >
              <span className="figures font-semibold">{number}</span>
              <span
                lang={question.language}
                dir="auto"
                className={`truncate ${onGo ? 'underline underline-offset-2' : ''}`}
              >
                <Words text={plainText(question.text) || last.noText} />
              </span>
              {blocks(question) && (
                <span className="ml-auto whitespace-nowrap text-saffron-text">{work.mustAny}</span>
              )}
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

/** Before handing in: what is missing is named, and one press hands in. */
export function LastPage({ headingRef, questions, onceOnly, done, keep, onGo, way, onHandIn }: Props) {
  const handIn = useSitPress(onHandIn);
  const { last, file, own } = useTold();
  // What goes over a network fails for want of one.
  const isSent = keep.state === 'kept' && (keep.where === 'door' || keep.where === 'unsent');
  const words =
    way === 'file'
      ? { ready: file.ready, after: file.asOften, go: file.save, failed: file.failed }
      : {
          ready: last.ready,
          after: onceOnly ? last.once : last.fixed,
          go: last.handIn,
          failed: isSent ? own.notHandedIn : last.failed,
        };
  const asked = questions.filter(({ face }) => asksFor(face)).length;
  const numbers = numbersIn(questions);
  const open = (progress: Progress): Open[] =>
    questions
      .map((question, index) => ({ question, index, number: numbers[index] ?? null }))
      .filter(({ index }) => done[index] === progress);
  const missing = open('none');
  const begun = open('some');
  const must =
    missing.filter(({ question }) => isNeeded(question)).length +
    begun.filter(({ question }) => isNeededWhole(question)).length;
  return (
    <>
      <h1 ref={headingRef} tabIndex={-1} className="text-[22px] outline-none">
        {words.ready}
      </h1>
      {missing.length + begun.length === 0 && <p className="mt-3 text-[16.5px]">{last.allAnswered(asked)}</p>}
      <Missing title={last.missing(missing.length)} blocks={isNeeded} missing={missing} onGo={onGo} />
      <Missing title={last.begun(begun.length)} blocks={isNeededWhole} missing={begun} onGo={onGo} />
      <KeepLine keep={keep} />
      <p className="mt-4">{must > 0 ? last.must(must) : words.after}</p>
      <button
        type="button"
        className="btn btn-primary mt-4 h-12 px-8 text-[16px]"
        disabled={must > 0}
        aria-disabled={handIn.busy}
        onClick={handIn.start}
      >
        {words.go}
      </button>
      {handIn.failed && (
        <p role="alert" className="mt-3 border-l-2 border-saffron bg-wash px-3 py-2">
          {words.failed}
        </p>
      )}
    </>
  );
}
