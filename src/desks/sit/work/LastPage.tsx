import { asksFor } from '@/core/kinds/progress';
import { plural } from '@/core/figures/plural';
import type { RefObject } from 'react';
import type { Progress } from '@/core/kinds/progress';
import type { StudentQuestion } from '@/core/reveal/packets';
import { Words } from '@/ui/widgets/paper/Formula';
import { plainText } from '@/core/content/plainText';
import { numbersIn } from './pages';
import type { KeepState } from './useAnswers';
import { KeepLine } from './KeepLine';
import { useSitPress } from '../useSitPress';

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
const Missing = ({ title, blocks, missing, onGo }: MissingProps) =>
  missing.length > 0 && (
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
              <span className={`truncate ${onGo ? 'underline underline-offset-2' : ''}`}>
                <Words text={plainText(question.text) || 'Question without text'} />
              </span>
              {blocks(question) && (
                <span className="ml-auto whitespace-nowrap text-saffron-text">must be answered</span>
              )}
            </button>
          </li>
        ))}
      </ul>
    </>
  );

/** Before handing in: what is missing is named, and one press hands in. */
export function LastPage({ headingRef, questions, onceOnly, done, keep, onGo, onHandIn }: Props) {
  const handIn = useSitPress(onHandIn);
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
        Ready to hand in?
      </h1>
      {missing.length + begun.length === 0 && (
        <p className="mt-3 text-[16.5px]">
          {asked === 1 ? 'The question is answered.' : `All ${asked} questions are answered.`}
        </p>
      )}
      <Missing
        title={`${missing.length} ${plural(missing.length, 'question has', 'questions have')} no answer yet:`}
        blocks={isNeeded}
        missing={missing}
        onGo={onGo}
      />
      <Missing
        title={`${begun.length} ${plural(begun.length, 'question is', 'questions are')} answered only in part:`}
        blocks={isNeededWhole}
        missing={begun}
        onGo={onGo}
      />
      <KeepLine keep={keep} />
      <p className="mt-4">
        {must > 0
          ? `Before you can hand in, ${plural(must, 'one question', `${must} questions`)} must be answered.`
          : onceOnly
            ? 'You can hand in only once; after that nothing can be changed.'
            : 'What is handed in cannot be changed afterwards.'}
      </p>
      <button
        type="button"
        className="btn btn-primary mt-4 h-12 px-8 text-[16px]"
        disabled={handIn.busy || must > 0}
        onClick={handIn.start}
      >
        Hand in
      </button>
      {handIn.failed && (
        <p role="alert" className="mt-3 border-l-2 border-saffron bg-wash px-3 py-2">
          Not handed in: one of your answers could not be saved. Everything is still on this page. Try again.
        </p>
      )}
    </>
  );
}
