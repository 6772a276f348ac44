import { fraction } from '@/core/figures/fraction';
import type { SpotQuestion } from '@/core/kinds/spot/schema';
import { PercentField } from '@/ui/widgets/fields/PercentField';
import type { Faces } from '../faces';
import { PricePart, SwitchPart } from '../shared/parts/ChoicePart';
import { CountField } from '../shared/numberKey/CountField';
import { count } from '@/ui/words/figures';
import { ruleOf, whereOwn } from '../shared/ruled';

const NEAR = { width: fraction(1, 20), share: fraction(1, 2) };

/** How many spots are asked for, what one astray costs, and what one near an area earns. */
export const Rules: Faces<SpotQuestion>['Rules'] = ({ question, onChange, marked }) => {
  const { asked, lambda, rim } = question;
  return (
    <>
      <CountField
        label="Spots asked for"
        value={asked}
        least={1}
        onChange={(next) => onChange({ ...question, asked: next })}
      />
      {asked === 1 ? ' spot is asked for' : ' spots are asked for'}
      {marked && (
        <>
          {'; '}
          <PricePart
            wrong="one outside every area"
            right="a right one"
            value={lambda}
            onChange={(next) => onChange({ ...question, lambda: next })}
          />
          {'. A spot near an area '}
          <SwitchPart
            label="A spot near an area"
            value={rim !== null}
            words={{ true: 'earns a part', false: 'earns nothing' }}
            onChange={(near) => onChange({ ...question, rim: near ? NEAR : null })}
          />
          {rim && (
            <>
              {': '}
              <PercentField
                value={rim.share}
                label="Share for a spot near an area"
                className="sentence-part"
                onChange={(share) => onChange({ ...question, rim: { ...rim, share } })}
              />
              {' of its points, within '}
              <PercentField
                value={rim.width}
                label="Width of the rim"
                className="sentence-part"
                onChange={(width) => onChange({ ...question, rim: { ...rim, width } })}
              />
              {' of the picture’s shorter side'}
            </>
          )}
        </>
      )}
      {'. '}
    </>
  );
};

export const ruled: Faces<SpotQuestion>['ruled'] = (question, { marked }) => [
  ruleOf(
    question,
    'asked',
    question.asked === 1 ? '1 spot is asked for' : `${count(question.asked, 'spot')} are asked for`,
  ),
  ...(marked
    ? whereOwn([
        ruleOf(question, 'lambda', 'a spot outside every area costs something else'),
        ruleOf(question, 'rim', 'a spot near an area earns a part'),
      ])
    : []),
];
