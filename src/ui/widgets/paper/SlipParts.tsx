import type { RecordedScore, Slip, SlipPart } from '@/core/reveal/packets';
import type { Feedback } from '@/core/content/feedback';
import { isEmptyProse, type Prose } from '@/core/content/prose';
import { isSilent } from '@/core/content/silence';
import { Fragment } from 'react';
import type { Section } from '@/core/quiz/section';
import { ClipView } from './ClipView';
import { CreditPie } from './CreditPie';
import { FeedbackView } from './FeedbackView';
import { WithFormulas } from './Formula';
import { ProseView } from './ProseView';
import { count, percent, points, pointsWord } from '../../words/figures';
import { ShownAnswer, ShownAnswers, type BesideEntry } from './ShownAnswer';
import { RichText } from './RichText';
import { countsWords } from '../../words/attemptWords';

const VERDICTS = {
  right: 'Right',
  partly: 'Partly right',
  wrong: 'Not right',
  waits: 'Not marked yet',
  blank: 'No answer',
  unmarked: '',
};

/** How a question counts where that decides, beside what the answer was. */
const STANDINGS = {
  notMarked: 'carries no points',
  leftOut: 'excluded, carries no points',
  given: 'full points for everyone',
  givenToAnswered: 'full points for every answer',
  bonus: 'bonus',
};

/** What the answer was and how it counts, as one phrase. */
function verdictLine({ verdict, standing }: NonNullable<SlipPart['result']>): string {
  const said = standing === 'notMarked' ? '' : VERDICTS[verdict];
  const line = [said, standing && STANDINGS[standing]].filter(Boolean).join(', ');
  return line.charAt(0).toUpperCase() + line.slice(1);
}

/** What was earned of the question's points; nothing where none are carried. */
function earnedLine({ result, points: possible }: SlipPart): string {
  if (!result || possible.n === 0 || result.standing === 'leftOut') return '';
  return result.verdict === 'waits'
    ? `${points(possible)} not marked yet`
    : `${points(result.earned)} of ${points(possible)}`;
}

function Result({ part }: { readonly part: SlipPart }) {
  const { result } = part;
  if (!result) return null;
  return (
    <>
      <CreditPie credit={result.credit} verdict={result.verdict} label="" />
      <span className="flex-1 font-semibold">
        {verdictLine(result)}
        {result.hintsCost.n > 0 && (
          <span className="font-normal">, with {pointsWord(result.hintsCost)} off for hints</span>
        )}
        {result.errors > 0 && (
          <span className="font-normal">, with points off for {count(result.errors, 'typing error')}</span>
        )}
      </span>
      <span className="figures">{earnedLine(part)}</span>
    </>
  );
}

/** The teacher's own words. */
export function TeacherWords({ text }: { readonly text: Prose }) {
  return (
    <div className="mt-2 border-l-2 border-petrol pl-3 break-words">
      <span className="label-small">Your teacher </span>
      <ProseView text={text} />
    </div>
  );
}

/** Feedback, where something is said. */
const Told = ({ feedback }: { readonly feedback: Feedback | null }) =>
  feedback && !isSilent(feedback) ? (
    <div className="mt-2 border-l-2 border-saffron pl-3">
      <FeedbackView feedback={feedback} />
    </div>
  ) : null;

/** The hints that were asked for. */
const HintsTaken = ({ hints }: { readonly hints: readonly Prose[] }) =>
  hints.map((text, at) => (
    <div key={at} className="mt-2">
      <span className="label-small">{hints.length === 1 ? 'Your hint ' : `Hint ${at + 1} `}</span>
      <ProseView text={text} />
    </div>
  ));

const figure = new Intl.NumberFormat(undefined, { maximumFractionDigits: 2 });

/** How the class did: figures of those scores that are final. */
export function SlipClass({ did }: { readonly did: NonNullable<Slip['classDid']> }) {
  const [lower, median, upper] = did.quartiles;
  return (
    <p className="mt-2 text-[14px]">
      The class, {count(did.papers, 'paper')}: average {figure.format(did.mean)}, median{' '}
      {figure.format(median)}, half the class scored {figure.format(lower)} to {figure.format(upper)} of{' '}
      {points(did.outOf)}.
    </p>
  );
}

/** What is said of the whole score, and the teacher's words on the whole paper. */
export const SlipWords = ({ slip }: { readonly slip: Slip }) => (
  <WithFormulas formulas={slip.formulas}>
    <Told feedback={slip.band} />
    {slip.comment !== null && <TeacherWords text={slip.comment} />}
  </WithFormulas>
);

/** What there was to answer with, as the student met it; on paper there is no room for it. */
const Given = ({ given, title }: { readonly given: SlipPart['given']; readonly title: string }) => (
  <div className="print:hidden">
    <div className="slip-line mt-1.5 text-soft [&_.font-semibold]:font-normal">
      <span className="label-small">{title} </span>
      <ul>
        {given.map((one, at) => (
          <li key={at}>
            <ShownAnswer answer={one} />
          </li>
        ))}
      </ul>
    </div>
  </div>
);

const CREDITS = { right: { n: 1, d: 1 }, partly: { n: 1, d: 2 }, wrong: { n: 0, d: 1 }, waits: { n: 0, d: 1 }, blank: { n: 0, d: 1 } }; // prettier-ignore

/** How one entry of the answer came out, and what would help with it. */
const besideEntry = ({ verdict, feedback }: SlipPart['entries'][number]): BesideEntry => ({
  before: verdict && (
    <span className="relative -top-px mr-1">
      <CreditPie credit={CREDITS[verdict]} verdict={verdict} size={12} label={VERDICTS[verdict]} />
    </span>
  ),
  behind: feedback && (
    <div className="mb-1 ml-5 border-l-2 border-saffron pl-3 font-normal">
      <FeedbackView feedback={feedback} />
    </div>
  ),
});

/** One question of a slip: exactly what is shown of it. */
function SlipQuestion({ part }: { readonly part: SlipPart }) {
  const { text, given, givenTitle, ownAnswer, entries, hints, feedback, right, comment } = part;
  return (
    <li className="break-inside-avoid border-b border-line py-4 print:py-1.5">
      <div className="flex items-baseline gap-2.5">
        <span className="figures font-title font-semibold">{part.number}</span>
        {part.met !== null && <span className="caption figures">your question {part.met}</span>}
        <Result part={part} />
      </div>
      {text && <RichText text={text} className="mt-1.5" />}
      {/* Where the answer stands on its picture, that is there already. */}
      {given.length > 0 && ownAnswer?.form !== 'onPicture' && <Given given={given} title={givenTitle} />}
      {text && ownAnswer !== null && (
        <div className="slip-line mt-1.5">
          <span className="label-small">Your answer </span>
          <ShownAnswer answer={ownAnswer} beside={entries.map(besideEntry)} />
        </div>
      )}
      {hints && <HintsTaken hints={hints} />}
      {right && right.answers.length > 0 && (
        <div className="slip-line mt-2">
          <span className="label-small">Right answer </span>
          <ShownAnswers answers={right.answers} />
        </div>
      )}
      <Told feedback={feedback} />
      <Told feedback={right?.missed ?? null} />
      {comment !== null && <TeacherWords text={comment} />}
      {right && !isEmptyProse(right.explanation) && (
        <div className="mt-1 text-soft">
          <ProseView text={right.explanation} />
        </div>
      )}
    </li>
  );
}

/** How what stood beside questions is shown: folded below its heading, or all of it, as paper needs it. */
type Sections = 'folded' | 'open';

/** What stood beside the questions below it, to be looked at again. */
function SlipSection({ section, shown }: { readonly section: Section; readonly shown: Sections }) {
  const heading = <h2 className="inline text-[17px]">{section.heading || 'For the next questions'}</h2>;
  const empty = section.text.length === 0 && section.clips.length === 0;
  return (
    <li className="border-b border-line py-3">
      {empty ? (
        heading
      ) : (
        <details open={shown === 'open'}>
          <summary className="cursor-pointer">{heading}</summary>
          <RichText text={section.text} className="mt-1" />
          {section.clips.map((clip) => (
            <ClipView key={clip.hash} clip={clip} />
          ))}
        </details>
      )}
    </li>
  );
}

/** The questions of a slip, in the order of the paper. */
export const SlipQuestions = ({
  slip,
  className,
  sections = 'folded',
}: {
  readonly slip: Slip;
  readonly className: string;
  readonly sections?: Sections;
}) => (
  <WithFormulas formulas={slip.formulas}>
    <ol className={`border-t border-line ${className}`}>
      {slip.parts.map((part, at) => {
        const begins = part.section !== null && part.section !== slip.parts[at - 1]?.section;
        const section = begins ? slip.sections.find(({ id }) => id === part.section) : undefined;
        return (
          <Fragment key={part.number}>
            {section && <SlipSection section={section} shown={sections} />}
            <SlipQuestion part={part} />
          </Fragment>
        );
      })}
    </ol>
  </WithFormulas>
);

/** What several attempts come to together. */
export function SlipRecorded({ recorded }: { readonly recorded: RecordedScore }) {
  return (
    <p className="mt-2">
      Recorded:{' '}
      <span className="figures font-semibold">
        {points(recorded.score)} of {points(recorded.outOf)}
      </span>
      {recorded.waiting.n > 0 && ` so far (${points(recorded.waiting)} not marked yet)`}, as{' '}
      {countsWords(recorded)}.
    </p>
  );
}

/** The score of the attempt, what still waits, and what being late took off. */
export function SlipScore({ score }: { readonly score: NonNullable<Slip['score']> }) {
  const { earned, outOf, waiting, late } = score;
  return (
    <div className="figures mt-5 font-title text-[30px] leading-tight font-semibold print:mt-3 print:text-[24px]">
      {points(earned)} of {points(outOf)}
      {waiting.n > 0 && (
        <span className="block font-sans text-[16px] text-saffron-text">
          so far, {points(waiting)} not marked yet
        </span>
      )}
      {late && (
        <span className="block font-sans text-[15px] font-normal">
          {points(late.before)}, minus {percent(late.share)} of the points{' '}
          {late.of === 'earned' ? 'earned' : 'possible'} for handing in late
        </span>
      )}
    </div>
  );
}
