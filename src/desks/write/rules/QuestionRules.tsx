import { kindOf, type Question } from '@/core/kinds';
import { carriesPoints, type MustAnswer, type Placed, type Placement } from '@/core/quiz/placement';
import { pointsOfPlaced } from '@/core/quiz/points';
import { readingOf } from '@/core/scoring/context';
import { ChoicePart, SwitchPart } from '@/kinds/shared/parts/ChoicePart';
import { useFaces } from '@/kinds/write';
import { useUnfolded } from '@/ui/editing/unfolded';
import type { Draft } from '@/ui/editing/useDraft';
import { useQuiz } from '@/ui/teacher/quizContext';
import { DecimalField } from '@/ui/widgets/fields/DecimalField';
import { count, points, pointsWord, pointWord } from '@/ui/words/figures';
import { languageName, LANGUAGES } from '@/ui/words/languages';
import { MUST_WORDS } from '@/ui/words/mustWords';
import { BELOW_0 } from '@/ui/words/costWords';
import { STANDING_WORDS, STANDINGS_BEFORE } from '@/ui/words/standingWords';
import { Differs } from './Differs';
import { PenaltyPart } from './PenaltyPart';
import { QuietLine } from './QuietLine';
import { ownRules, worthRules } from './ruleWords';
import { WhatItEarns } from '../margin/WhatItEarns';

interface PointsProps {
  readonly placed: Placed;
  readonly onPlace: (patch: Partial<Placement>) => void;
}

/** Whether the points are for all of it, or for each of its parts; then what they come to. */
function PartsPart({ placed, onPlace }: PointsProps) {
  const { quiz } = useQuiz();
  const { question, placement } = placed;
  const { partsOf, partName } = kindOf(question);
  const parts = partsOf(question);
  if (parts === null) return null;
  return (
    <>
      {' '}
      <SwitchPart
        label="What the points are for"
        value={placement.perPart}
        words={{ false: 'in all', true: `for each ${partName}` }}
        onChange={(perPart) => onPlace({ perPart })}
      />
      {placement.perPart && (
        <span className="figures">
          {' '}
          = {pointsWord(pointsOfPlaced(placed, quiz.content))} for {count(parts, partName)}
        </span>
      )}
    </>
  );
}

/** What the question is worth here: its own points, or the quiz's. */
function PointsPart({ placed, onPlace }: PointsProps) {
  const { quiz } = useQuiz();
  const { points: own } = placed.placement;
  const value = own ?? quiz.content.defaultPoints;
  const onPoints = (next: Placement['points']) => onPlace({ points: next });
  const byDefault = points(quiz.content.defaultPoints);
  return (
    <>
      <DecimalField
        className="sentence-part text-center"
        label="Points"
        value={own}
        most={1000}
        fallback={byDefault}
        onEmpty={() => onPoints(null)}
        onChange={onPoints}
      />{' '}
      {pointWord(value)}
      <PartsPart placed={placed} onPlace={onPlace} />
      {own === null ? (
        <span className="text-soft"> (quiz default)</span>
      ) : (
        <>
          {' ('}
          <button
            type="button"
            className="cursor-pointer text-[13.5px] text-petrol underline underline-offset-2"
            onClick={() => onPoints(null)}
          >
            use the quiz’s default ({byDefault})
          </button>
          {')'}
        </>
      )}
    </>
  );
}

interface PlaceProps {
  readonly placement: Placement;
  readonly onPlace: (patch: Partial<Placement>) => void;
}

/** Whether it counts, must be answered, and keeps its place. */
function PlaceParts({ placement, onPlace }: PlaceProps) {
  const { quiz } = useQuiz();
  const { standing, mustAnswer, staysInPlace } = placement;
  const standings = [...new Set([...STANDINGS_BEFORE, standing])];
  return (
    <>
      {'It '}
      <ChoicePart
        label="How it counts"
        value={standing}
        words={
          Object.fromEntries(standings.map((one) => [one, STANDING_WORDS[one]])) as typeof STANDING_WORDS
        }
        onChange={(next) => onPlace({ standing: next })}
      />
      {quiz.content.shuffled ? ', ' : ' and '}
      <ChoicePart<MustAnswer | 'asQuiz'>
        label="Must it be answered"
        quiet={mustAnswer === null}
        value={mustAnswer ?? 'asQuiz'}
        words={{ asQuiz: `${MUST_WORDS[quiz.content.mustAnswer]} (quiz default)`, ...MUST_WORDS }}
        onChange={(next) => onPlace({ mustAnswer: next === 'asQuiz' ? null : next })}
      />
      {quiz.content.pages === 'breaks' && (
        <>
          {', it '}
          <SwitchPart
            label="Where its page begins"
            value={placement.startsPage}
            words={{ false: 'goes on the same page', true: 'begins a new page' }}
            onChange={(startsPage) => onPlace({ startsPage })}
          />
        </>
      )}
      {quiz.content.shuffled && (
        <>
          {' and '}
          <SwitchPart
            label="Its place where questions are shuffled"
            value={staysInPlace}
            words={{ false: 'is shuffled with the others', true: 'stays in its place' }}
            onChange={(stays) => onPlace({ staysInPlace: stays })}
          />
        </>
      )}
    </>
  );
}

interface CostProps {
  readonly question: Question;
  readonly onChange: (question: Question) => void;
}

/** What an answer loses in which nothing is right, and whether the question can take points from the rest of the paper. */
function CostParts({ question, onChange }: CostProps) {
  const { quiz } = useQuiz();
  const { penalty, negativeCredit } = question;
  return (
    <>
      {'A wrong answer costs '}
      <PenaltyPart
        value={penalty}
        quiz={quiz.content.penalty}
        guessable={kindOf(question).choicesShown(question) !== null}
        onChange={(next) => onChange({ ...question, penalty: next })}
      />
      {'; a question that ends below 0 '}
      <ChoicePart
        label="Below 0"
        quiet={negativeCredit === null}
        value={negativeCredit === null ? 'asQuiz' : negativeCredit ? 'true' : 'false'}
        words={{
          asQuiz: `${BELOW_0[quiz.content.negativeCredit ? 'true' : 'false']} (quiz default)`,
          ...BELOW_0,
        }}
        onChange={(next) =>
          onChange({ ...question, negativeCredit: next === 'asQuiz' ? null : next === 'true' })
        }
      />
      {'. '}
    </>
  );
}

const SIGNS = { point: 'point', comma: 'comma' } as const;

/** In which language and with which decimal sign its answers are read, where that is typed. */
function ReadingParts({ question, onChange }: CostProps) {
  const { quiz } = useQuiz();
  const { language, decimalSign } = quiz.content;
  const { reads } = kindOf(question);
  return (
    <>
      {reads.includes('words') && (
        <>
          {'Answers are in '}
          <ChoicePart<string>
            label="Language of its answers"
            value={question.language ?? 'asQuiz'}
            quiet={question.language === null}
            words={{
              asQuiz: `${languageName(language)} (quiz default)`,
              ...Object.fromEntries(LANGUAGES),
            }}
            onChange={(next) => onChange({ ...question, language: next === 'asQuiz' ? null : next })}
          />
          {'. '}
        </>
      )}
      {reads.includes('numbers') && (
        <>
          {'Numbers have a decimal '}
          <ChoicePart
            label="Decimal sign of its answers"
            value={question.decimalSign ?? 'asQuiz'}
            quiet={question.decimalSign === null}
            words={{ asQuiz: `${SIGNS[decimalSign]} (quiz default)`, ...SIGNS }}
            onChange={(next) => onChange({ ...question, decimalSign: next === 'asQuiz' ? null : next })}
          />
          {'. '}
        </>
      )}
    </>
  );
}

/** The rules of the question: at rest a quiet line of what holds, unfolded one sentence after the other, and what they come to. */
export function QuestionRules({ draft }: { readonly draft: Draft<Placed> }) {
  const { quiz } = useQuiz();
  const { question, placement } = draft.value;
  const [open, setOpen] = useUnfolded(`rules of ${question.id}`);
  const place = (patch: Partial<Placement>) =>
    draft.edit({ question, placement: { ...placement, ...patch } });
  const change = (next: Question) => draft.edit({ question: next, placement });
  const marked = carriesPoints(placement);
  const { Rules: KindRules, ruled } = useFaces(question.kind);
  const optionOrder = quiz.content.shuffledOptions ? 'shuffled' : 'written';
  return (
    <div className="mt-3">
      <QuietLine
        rules={[
          ...worthRules(draft.value, quiz.content),
          ...ruled(question, { optionOrder, marked }),
          ...ownRules(draft.value, quiz.content),
        ]}
        press="Rules of this question"
        open={open}
        onOpen={setOpen}
      />
      {open && (
        <div className="mt-1 border-l-2 border-line pl-4 leading-loose">
          {marked && (
            <>
              <PointsPart placed={draft.value} onPlace={place} />
              {'. '}
            </>
          )}
          <PlaceParts placement={placement} onPlace={place} />
          {'. '}
          <KindRules
            question={question}
            onChange={change}
            context={readingOf(question, quiz.content)}
            optionOrder={optionOrder}
            marked={marked}
          />
          {marked && <ReadingParts question={question} onChange={change} />}
          {marked && kindOf(question).about.marks === 'itself' && (
            <CostParts question={question} onChange={change} />
          )}
          <Differs placed={draft.value} onReset={draft.edit} />
          {marked && <WhatItEarns placed={draft.value} />}
        </div>
      )}
    </div>
  );
}
