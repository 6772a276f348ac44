import { pointsOfPaper } from '@/core/quiz/points';
import type { ScoreRules } from '@/core/quiz/rules';
import { ChoicePart, SwitchPart } from '@/kinds/shared/parts/ChoicePart';
import { usePaper } from '@/ui/teacher/quizContext';
import { useContentField } from '@/ui/teacher/useContentField';
import { DecimalField } from '@/ui/widgets/fields/DecimalField';
import { PercentField } from '@/ui/widgets/fields/PercentField';
import { pointsWord } from '@/ui/words/figures';

/** By the steps to a point. */
const ROUNDING = {
  none: 'is not rounded',
  '100': 'is rounded to hundredths',
  '10': 'is rounded to tenths',
  '2': 'is rounded to halves',
  '1': 'is rounded to whole points',
} as const;
type Rounding = keyof typeof ROUNDING;

interface PartProps {
  readonly rules: ScoreRules;
  readonly onChange: (patch: Partial<ScoreRules>) => void;
}

/** Out of how many points scores are given. */
function ScalePart({ rules, onChange }: PartProps) {
  const own = pointsOfPaper(usePaper());
  return (
    <>
      <SwitchPart
        label="What the score is out of"
        value={rules.outOf === null}
        words={{ true: `is out of the quiz’s own ${pointsWord(own)}`, false: 'is given out of' }}
        onChange={(its) => onChange({ outOf: its ? null : { n: 100, d: 1 } })}
      />
      {rules.outOf && (
        <>
          {' '}
          <DecimalField
            className="sentence-part text-center"
            label="Score out of"
            value={rules.outOf}
            least={0.001}
            most={1000}
            onChange={(outOf) => onChange({ outOf })}
          />
        </>
      )}
    </>
  );
}

/** What each attempt after the first loses. */
function RepeatPart({ rules: { repeat }, onChange }: PartProps) {
  return (
    <>
      {' Each attempt after the first '}
      <SwitchPart
        label="What a repeated attempt loses"
        value={repeat === null}
        words={{ true: 'loses nothing', false: 'loses' }}
        onChange={(nothing) =>
          onChange({ repeat: nothing ? null : { price: { n: 1, d: 10 }, least: { n: 1, d: 2 } } })
        }
      />
      {repeat && (
        <>
          {' '}
          <PercentField
            className="sentence-part"
            label="What each repeat loses"
            value={repeat.price}
            onChange={(price) => onChange({ repeat: { ...repeat, price } })}
          />
          {' more of its score, and keeps at least '}
          <PercentField
            className="sentence-part"
            label="What a repeat keeps at least"
            value={repeat.least}
            onChange={(least) => onChange({ repeat: { ...repeat, least } })}
          />
        </>
      )}
      {'.'}
    </>
  );
}

/** How the sum of a paper becomes its score, as a sentence. */
export function ScoreSentence() {
  const scoring = useContentField('scoring', 'Change how scores are made');
  const { content, placements } = usePaper();
  const rules = scoring.value;
  const change = (patch: Partial<ScoreRules>) => scoring.edit({ ...rules, ...patch });
  const hasBonus = placements.some(({ standing }) => standing === 'bonus');
  return (
    <p className="leading-loose">
      {'A score '}
      <ScalePart rules={rules} onChange={change} />
      {', '}
      <ChoicePart<Rounding>
        label="How scores are rounded"
        value={rules.rounding === null ? 'none' : (String(rules.rounding) as Rounding)}
        words={ROUNDING}
        onChange={(next) =>
          change({ rounding: next === 'none' ? null : (Number(next) as ScoreRules['rounding']) })
        }
      />
      {' and '}
      <SwitchPart
        label="Scores below 0"
        value={rules.floor}
        words={{ true: 'never falls below 0', false: 'may fall below 0' }}
        onChange={(floor) => change({ floor })}
      />
      {'.'}
      {(hasBonus || rules.bonusLifts) && (
        <>
          {' Bonus points '}
          <SwitchPart
            label="What bonus points can do"
            value={rules.bonusLifts}
            words={{ false: 'count up to the maximum', true: 'may lift it above the maximum' }}
            onChange={(bonusLifts) => change({ bonusLifts })}
          />
          {'.'}
        </>
      )}
      {(content.attempts.most !== 1 || rules.repeat) && <RepeatPart rules={rules} onChange={change} />}
    </p>
  );
}
