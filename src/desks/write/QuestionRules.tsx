import { kindOf, type Question } from '@/core/kinds';
import type { MustAnswer, Placed, Placement } from '@/core/quiz/placement';
import { pointsOfPlaced } from '@/core/quiz/points';
import { readingOf } from '@/core/scoring/markAttempt';
import { ChoicePart, SwitchPart } from '@/kinds/shared/ChoicePart';
import { useFaces } from '@/kinds/write';
import type { Draft } from '@/ui/editing/useDraft';
import { useQuiz } from '@/ui/teacher/quizContext';
import { DecimalField } from '@/ui/widgets/DecimalField';
import { PercentField } from '@/ui/widgets/PercentField';
import { points, pointWord } from '@/ui/words/figures';
import { MUST_WORDS } from '@/ui/words/mustWords';
import { STANDING_WORDS, STANDINGS_BEFORE } from '@/ui/words/standingWords';
import { WhatItEarns } from './WhatItEarns';

interface PointsProps {
  readonly placed: Placed;
  readonly onPoints: (points: Placement['points']) => void;
}

/** What the question is worth here: its own points, or the quiz's. */
function PointsPart({ placed, onPoints }: PointsProps) {
  const { quiz } = useQuiz();
  const { points: own } = placed.placement;
  const value = pointsOfPlaced(placed, quiz.content);
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
      {'. It '}
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
        value={mustAnswer ?? 'asQuiz'}
        words={{ asQuiz: `${MUST_WORDS[quiz.content.mustAnswer]}, as the quiz sets`, ...MUST_WORDS }}
        onChange={(next) => onPlace({ mustAnswer: next === 'asQuiz' ? null : next })}
      />
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

type Penalty = Question['penalty'];

const PENALTIES: Readonly<Record<Penalty['kind'], string>> = {
  none: 'nothing',
  share: 'a share of the points',
  points: 'points',
  guessing: 'what guessing would gain',
};

/** A penalty of another kind, as it is at first. */
const penaltyOf = (kind: Penalty['kind']): Penalty => {
  if (kind === 'share') return { kind, share: { n: 1, d: 4 } };
  if (kind === 'points') return { kind, points: { n: 1, d: 2 } };
  return { kind };
};

interface CostProps {
  readonly question: Question;
  readonly onChange: (question: Question) => void;
}

/** What an answer loses in which nothing is right, and whether the question can take points from the rest of the paper. */
function CostParts({ question, onChange }: CostProps) {
  const { penalty, negativeCredit } = question;
  const kind = kindOf(question);
  const onPenalty = (next: Penalty) => onChange({ ...question, penalty: next });
  const guessable = kind.choicesShown(question) !== null || penalty.kind === 'guessing';
  const { guessing, ...typed } = PENALTIES;
  return (
    <>
      {'An answer with nothing right costs '}
      <ChoicePart
        label="What a wrong answer costs"
        value={penalty.kind}
        words={(guessable ? { ...typed, guessing } : typed) as typeof PENALTIES}
        onChange={(next) => onPenalty(penaltyOf(next))}
      />
      {penalty.kind === 'share' && (
        <>
          {': '}
          <PercentField
            className="sentence-part"
            label="Share that a wrong answer costs"
            value={penalty.share}
            onChange={(share) => onPenalty({ kind: 'share', share })}
          />
        </>
      )}
      {penalty.kind === 'points' && (
        <>
          {': '}
          <DecimalField
            className="sentence-part text-center"
            label="Points that a wrong answer costs"
            value={penalty.points}
            most={1000}
            onChange={(lost) => onPenalty({ kind: 'points', points: lost })}
          />
        </>
      )}
      {'. A credit below 0 '}
      <SwitchPart
        label="Credits below 0"
        value={negativeCredit}
        words={{ false: 'counts as 0', true: 'takes points away' }}
        onChange={(negative) => onChange({ ...question, negativeCredit: negative })}
      />
      {'. '}
    </>
  );
}

/** The rules of the question as one sentence after the other, and what they come to. */
export function QuestionRules({ draft }: { readonly draft: Draft<Placed> }) {
  const { quiz } = useQuiz();
  const { question, placement } = draft.value;
  const place = (patch: Partial<Placement>) =>
    draft.edit({ question, placement: { ...placement, ...patch } });
  const change = (next: Question) => draft.edit({ question: next, placement });
  const { Rules: KindRules } = useFaces(question.kind);
  return (
    <div className="mt-4 leading-loose">
      <PointsPart placed={draft.value} onPoints={(own) => place({ points: own })} />
      <PlaceParts placement={placement} onPlace={place} />
      {'. '}
      <KindRules
        question={question}
        onChange={change}
        context={readingOf(question, quiz.content)}
        optionOrder={quiz.content.shuffledOptions ? 'shuffled' : 'written'}
      />
      {kindOf(question).about.marks === 'itself' && <CostParts question={question} onChange={change} />}
      <WhatItEarns placed={draft.value} />
    </div>
  );
}
