import { Suspense, useEffect, useRef, useState } from 'react';
import { progressOfAnswer, type Progress } from '@/core/kinds/progress';
import type { Cover, StudentQuestion, Working } from '@/core/reveal/packets';
import type { PaperAddress, StudentPort } from '@/core/sitting/port';
import { sitFace } from '@/kinds/sit';
import { dayAndTime, pointsWord } from '@/ui/words/figures';
import { WithFormulas } from '@/ui/widgets/Formula';
import { RichText } from '@/ui/widgets/RichText';
import { LastPage } from './LastPage';
import { KeepLine } from './KeepLine';
import { run } from './run';
import { useAnswers } from './useAnswers';

interface Props {
  readonly port: StudentPort;
  readonly address: PaperAddress;
  readonly cover: Cover;
  readonly working: Working;
  readonly onDone: () => Promise<void>;
}

interface TopProps {
  readonly cover: Cover;
  readonly at: number;
  /** How far each question is answered, in their order. */
  readonly done: readonly Progress[];
}

const DONE: Readonly<Record<Progress, string>> = {
  none: 'bg-line',
  some: 'bg-[linear-gradient(to_right,var(--ink)_50%,var(--line)_50%)]',
  all: 'bg-ink',
};

const MUST: Readonly<Record<StudentQuestion['mustAnswer'], string>> = {
  no: '',
  any: ' · must be answered',
  every: ' · every part must be answered',
};

/** What the quiz is, until when, and how far one has come. */
function Top({ cover, at, done }: TopProps) {
  return (
    <>
      <header className="flex items-baseline justify-between gap-3 border-b border-line px-[18px] py-3">
        <p className="truncate font-semibold">{cover.title}</p>
        {(cover.due ?? cover.until) !== null && (
          <p
            className={`caption figures whitespace-nowrap ${cover.overdue ? '!text-saffron-text font-semibold' : ''}`}
          >
            {cover.due === null ? 'until' : cover.overdue ? 'late since' : 'due'}{' '}
            {dayAndTime(cover.due ?? cover.until ?? 0)}
          </p>
        )}
      </header>
      <div className="flex gap-1 px-[18px] pt-2.5" aria-hidden>
        {done.map((progress, index) => (
          <span
            key={index}
            className={`h-[5px] flex-1 rounded-full ${index === at ? 'bg-saffron' : DONE[progress]}`}
          />
        ))}
      </div>
    </>
  );
}

interface WaysProps {
  readonly at: number;
  readonly last: number;
  readonly onGo: (to: number) => void;
}

function Ways({ at, last, onGo }: WaysProps) {
  return (
    <nav
      aria-label="Questions"
      className="sticky bottom-0 flex justify-between border-t border-line bg-paper px-[18px] py-3"
    >
      <button
        type="button"
        className="btn btn-outline h-11 px-5 text-[15px]"
        disabled={at === 0}
        onClick={() => onGo(at - 1)}
      >
        Back
      </button>
      {at <= last && (
        <button type="button" className="btn btn-primary h-11 px-6 text-[15px]" onClick={() => onGo(at + 1)}>
          {at === last ? 'Review and hand in' : 'Next'}
        </button>
      )}
    </nav>
  );
}

/** The first question that is not answered in all its parts, with the notes before it; behind the last where there is none. */
function firstOpen({ questions, answers }: Working): number {
  const first = questions.findIndex(({ id, face }) => progressOfAnswer(face, answers[id] ?? null) !== 'all');
  if (first < 0) return questions.length;
  let at = first;
  while (questions[at - 1]?.face.kind === 'note') at--;
  return at;
}

/** One question after the other, then the last page before handing in. */
export function WorkPages({ port, address, cover, working, onDone }: Props) {
  const { questions } = working;
  const { answers, keep, give, settled } = useAnswers(port, address, working);
  const [at, setAt] = useState(() => firstOpen(working));
  const heading = useRef<HTMLHeadingElement>(null);
  const moved = useRef(false);
  useEffect(() => {
    if (moved.current) heading.current?.focus();
  }, [at]);
  const go = (to: number) => {
    moved.current = true;
    setAt(to);
  };
  const question = questions[at];
  const Face = question ? sitFace(question.face.kind) : null;
  const done = questions.map(({ id, face }) => progressOfAnswer(face, answers[id] ?? null));
  const isNote = question?.face.kind === 'note';
  const titleId = `question-${at + 1}`;
  return (
    <div className="mx-auto flex min-h-dvh max-w-[640px] flex-col bg-paper">
      <Top cover={cover} at={at} done={done} />
      <main className="flex-1 px-[18px] pt-4 pb-8">
        <WithFormulas formulas={working.formulas}>
          {question && Face ? (
            <>
              <p className="caption figures">
                {isNote
                  ? `${at + 1} of ${questions.length} · to read, nothing to answer`
                  : `Question ${at + 1} of ${questions.length} · ${pointsWord(question.points)}`}
                {MUST[question.mustAnswer]}
              </p>
              <h1 ref={heading} id={titleId} tabIndex={-1} className="mt-1 mb-4 outline-none">
                <RichText
                  text={question.text}
                  className={isNote ? '!text-[17px] !font-normal' : '!text-[19px] leading-snug font-semibold'}
                />
              </h1>
              <Suspense fallback={<p className="text-soft">…</p>}>
                <Face
                  key={question.id}
                  face={question.face}
                  answer={answers[question.id] ?? null}
                  labelledBy={titleId}
                  language={question.language}
                  onAnswer={(answer) => give(question.id, answer)}
                />
              </Suspense>
              {!isNote && <KeepLine keep={keep} />}
              {keep.state === 'trouble' && (keep.reason === 'closed' || keep.reason === 'handedIn') && (
                <button
                  type="button"
                  className="btn btn-outline mt-3 h-11 text-[15px]"
                  onClick={() => run(onDone)}
                >
                  Check whether my paper was handed in
                </button>
              )}
            </>
          ) : (
            <LastPage
              headingRef={heading}
              questions={questions}
              onceOnly={cover.attempts.most === 1}
              done={done}
              keep={keep}
              onGo={go}
              onHandIn={async () => {
                if (!(await settled())) throw new Error('An answer is not saved');
                const receipt = await port.handIn(address, working.attemptId);
                // Another tab may have handed it in, or the quiz closed: the page then shows where it stands.
                const stands =
                  receipt.state === 'kept' || receipt.reason === 'handedIn' || receipt.reason === 'closed';
                if (!stands) throw new Error('Not handed in');
                await onDone();
              }}
            />
          )}
        </WithFormulas>
      </main>
      <Ways at={at} last={questions.length - 1} onGo={go} />
    </div>
  );
}
