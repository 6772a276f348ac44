import { asksFor, hasParts } from '@/core/kinds/progress';
import { Suspense, useState, type RefObject } from 'react';
import { aroundWords, questionTitle } from '@/core/content/plainText';
import type { Answer } from '@/core/kinds';
import type { StudentQuestion } from '@/core/reveal/packets';
import { sitFace } from '@/kinds/sit';
import { TextsIn, useTold } from '@/ui/told/useTold';
import { RichText } from '@/ui/widgets/paper/RichText';
import { Hints } from './Hints';

interface Props {
  readonly question: StudentQuestion;
  /** Its place on the paper, notes counted, the first being 0. */
  readonly at: number;
  /** Which of how many questions it is; null for a note. */
  readonly number: number | null;
  readonly of: number;
  readonly answer: Answer | null;
  readonly hints: StudentQuestion['hints'];
  /** Whether it is the only one on its page. */
  readonly alone: boolean;
  /** Takes the focus when its page is turned to; null where another one does. */
  readonly headingRef: RefObject<HTMLHeadingElement | null> | null;
  /** What stands beside it, where it is the first one there; null for nothing new. */
  readonly newBeside: string | null;
  readonly onAnswer: (answer: Answer | null) => void;
  readonly onHint: (hintId: string) => Promise<void>;
}

/** One question with what is needed to answer it. */
export function QuestionHere(props: Props) {
  const { question, at, number, of, answer, hints, alone, headingRef, newBeside, onAnswer, onHint } = props;
  const Heading = alone ? 'h1' : 'h2';
  // Kept: another component for the same question would lose what is half done.
  const [Face] = useState(() => sitFace(question.face.kind));
  const isNote = !asksFor(question.face);
  const titleId = `question-${at + 1}`;
  const { before, words, after } = aroundWords(question.text);
  const { work } = useTold();
  const must = question.mustAnswer === 'every' && !hasParts(question.face) ? 'any' : question.mustAnswer;
  const facts = [
    ...(isNote ? [work.toRead] : [work.question(number ?? 0, of), work.worth(question.points)]),
    ...(must === 'no' ? [] : [must === 'any' ? work.mustAny : work.mustEvery]),
  ];
  return (
    <TextsIn value={question.language}>
      {before.length > 0 && <RichText text={before} />}
      <Heading ref={headingRef} tabIndex={-1} className="mb-4 outline-none">
        <span className="caption figures mb-1 block font-sans font-normal">{facts.join(' · ')}</span>
        {newBeside !== null && <span className="sr-only">{work.newBeside(newBeside)} </span>}
        <span id={titleId}>
          <RichText
            text={words}
            className={isNote ? '!text-[17px] !font-normal' : '!text-[19px] leading-snug font-semibold'}
          />
          {words.length === 0 && <span className="sr-only">{questionTitle(question.text)}</span>}
        </span>
      </Heading>
      {after.length > 0 && <RichText text={after} className="mb-4" />}
      <Suspense fallback={<p className="text-soft">…</p>}>
        <Face
          key={question.id}
          face={question.face}
          answer={answer}
          labelledBy={titleId}
          language={question.language}
          marked={question.points.n > 0}
          onAnswer={onAnswer}
        />
      </Suspense>
      <Hints hints={hints} onAsk={onHint} />
    </TextsIn>
  );
}
