import type { RecordedScore, Slip, SlipPart } from '@/core/reveal/packets';
import type { ShownAnswer as ShownAnswerData } from '@/core/content/shownAnswer';
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
import type { Told } from '../../told/en';
import { TextsIn, useText, useTold } from '../../told/useTold';
import { ShownAnswer, ShownAnswers, type BesideEntry } from './ShownAnswer';
import { RichText } from './RichText';

/** What the answer was and how it counts, as one phrase. */
function verdictLine({ results }: Told, { verdict, standing }: NonNullable<SlipPart['result']>): string {
  const said = standing === 'notMarked' ? '' : results.verdicts[verdict];
  const line = [said, standing && results.standings[standing]].filter(Boolean).join(', ');
  return line.charAt(0).toUpperCase() + line.slice(1);
}

/** What was earned of the question's points; nothing where none are carried. */
function earnedLine({ results }: Told, { result, points: possible }: SlipPart): string {
  if (!result || possible.n === 0 || result.standing === 'leftOut') return '';
  return result.verdict === 'waits' ? results.waiting(possible) : results.score(result.earned, possible);
}

function Result({ part }: { readonly part: SlipPart }) {
  const told = useTold();
  const { result } = part;
  if (!result) return null;
  return (
    <>
      <CreditPie credit={result.credit} verdict={result.verdict} label="" />
      <span className="flex-1 font-semibold">
        {verdictLine(told, result)}
        {result.hintsCost.n > 0 && (
          <span className="font-normal">{told.results.hintsCost(result.hintsCost)}</span>
        )}
        {result.errors > 0 && <span className="font-normal">{told.results.errors(result.errors)}</span>}
      </span>
      <span className="figures">{earnedLine(told, part)}</span>
    </>
  );
}

/** The teacher's own words. */
export function TeacherWords({ text }: { readonly text: Prose }) {
  const { teacher } = useTold().results;
  return (
    <div className="mt-2 border-l-2 border-petrol pl-3 wrap-anywhere">
      <span className="label-small">{teacher} </span>
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
function HintsTaken({ hints }: { readonly hints: readonly Prose[] }) {
  const told = useTold();
  return hints.map((text, at) => (
    <div key={at} className="mt-2">
      <span className="label-small">
        {hints.length === 1 ? told.results.yourHint : told.hints.numbered(at + 1)}{' '}
      </span>
      <ProseView text={text} />
    </div>
  ));
}

/** How the class did: figures of those scores that are final. */
export function SlipClass({ did }: { readonly did: NonNullable<Slip['classDid']> }) {
  const { results } = useTold();
  return (
    <p className="mt-2 text-[14px]">
      {results.classDid(did.papers, [did.mean, ...did.quartiles], did.outOf)}
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
const besideEntry = ({ results }: Told, { verdict, feedback }: SlipPart['entries'][number]): BesideEntry => ({
  before: verdict && (
    <span className="relative -top-px mr-1">
      <CreditPie credit={CREDITS[verdict]} verdict={verdict} size={12} label={results.verdicts[verdict]} />
    </span>
  ),
  behind: feedback && (
    <div className="mb-1 ml-5 border-l-2 border-saffron pl-3 font-normal">
      <FeedbackView feedback={feedback} />
    </div>
  ),
});

/** Areas by their names alone, where the picture of the student's answer has their outlines. */
const byName = (right: ShownAnswerData): ShownAnswerData =>
  right.form === 'onPicture'
    ? { form: 'things', things: right.areas.map(({ name }) => ({ text: name, picture: null })) }
    : right;

/** One question of a slip: exactly what is shown of it. */
function SlipQuestion({ part }: { readonly part: SlipPart }) {
  const told = useTold();
  const { results } = told;
  const { text, given, givenAs, ownAnswer, entries, hints, feedback, right, comment } = part;
  const outlined = ownAnswer?.form === 'onPicture' && ownAnswer.areas.length > 0;
  return (
    <li className="break-inside-avoid border-b border-line py-4 print:py-1.5">
      <div className="flex items-baseline gap-2.5">
        <h2 className="figures text-[15px]">
          <span className="sr-only">{results.question(part.number)}</span>
          <span aria-hidden>{part.number}</span>
        </h2>
        {part.met !== null && <span className="caption figures">{results.met(part.met)}</span>}
        <Result part={part} />
      </div>
      {text && <RichText text={text} className="mt-1.5" />}
      {/* Where the answer stands on its picture, that is there already. */}
      {given.length > 0 && ownAnswer?.form !== 'onPicture' && (
        <Given given={given} title={results.given[givenAs]} />
      )}
      {text && ownAnswer !== null && (
        <div className="slip-line mt-1.5">
          <span className="label-small">{results.yourAnswer} </span>
          <ShownAnswer answer={ownAnswer} beside={entries.map((entry) => besideEntry(told, entry))} />
        </div>
      )}
      {hints && <HintsTaken hints={hints} />}
      {right && right.answers.length > 0 && (
        <div className="slip-line mt-2">
          <span className="label-small">{results.rightAnswer} </span>
          <ShownAnswers answers={outlined ? right.answers.map(byName) : right.answers} />
        </div>
      )}
      <Told feedback={feedback} />
      <Told feedback={right?.missed ?? null} />
      {comment !== null && <TeacherWords text={comment} />}
      {right && !isEmptyProse(right.explanation) && (
        <div className="mt-1 text-soft">
          <ProseView text={right.explanation} alone />
        </div>
      )}
    </li>
  );
}

/** How what stood beside questions is shown: folded below its heading, or all of it, as paper needs it. */
type Sections = 'folded' | 'open';

/** What stood beside the questions below it, to be looked at again. */
function SlipSection({ section, shown }: { readonly section: Section; readonly shown: Sections }) {
  const { besides } = useTold().work;
  const text = useText();
  const heading = (
    <h2 {...text} className="inline text-[17px] wrap-anywhere">
      {section.heading || besides}
    </h2>
  );
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
            <TextsIn value={part.language}>
              <SlipQuestion part={part} />
            </TextsIn>
          </Fragment>
        );
      })}
    </ol>
  </WithFormulas>
);

/** What several attempts come to together. */
export function SlipRecorded({ recorded }: { readonly recorded: RecordedScore }) {
  const { results } = useTold();
  return (
    <p className="figures mt-2">
      {results.recorded(recorded.score, recorded.outOf, recorded.waiting, recorded.counts)}
    </p>
  );
}

/** The score of the attempt, what still waits, and what being late took off. */
export function SlipScore({ score }: { readonly score: NonNullable<Slip['score']> }) {
  const { results } = useTold();
  const { earned, outOf, waiting, late } = score;
  return (
    <div className="figures mt-5 font-title text-[30px] leading-tight font-semibold print:mt-3 print:text-[24px]">
      {results.score(earned, outOf)}
      {waiting.n > 0 && (
        <span className="block font-sans text-[16px] text-saffron-text">{results.soFar(waiting)}</span>
      )}
      {late && (
        <span className="block font-sans text-[15px] font-normal">
          {results.late(late.before, late.share, late.of)}
        </span>
      )}
    </div>
  );
}
