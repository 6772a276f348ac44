import { MODELS } from '@/core/kinds/gaps/models';
import type { GapsQuestion } from '@/core/kinds/gaps/schema';
import type { Faces } from '../faces';
import { ChoicePart } from '../shared/parts/ChoicePart';
import { ModelPart } from '../shared/parts/ModelPart';
import { ORDER_WORDS } from '../shared/parts/ShufflePart';
import { ruleOf } from '../shared/ruled';

const picks = ({ gaps }: GapsQuestion): boolean =>
  gaps.some(({ type }) => type === 'list' || type === 'bank');

/** How gaps become part of the points, and in which order lists and the bank come. */
export const Rules: Faces<GapsQuestion>['Rules'] = ({ question, onChange, marked }) => (
  <>
    {marked && (
      <ModelPart
        model={question.model}
        words={MODELS}
        onModel={(model) => onChange({ ...question, model })}
      />
    )}
    {picks(question) && (
      <>
        {'Lists and the bank come '}
        <ChoicePart
          label="Order of lists and of the bank"
          value={question.keepsOrder ? 'written' : 'shuffled'}
          words={ORDER_WORDS}
          onChange={(order) => {
            const { keepsOrder: _, ...rest } = question;
            onChange(order === 'written' ? { ...rest, keepsOrder: true } : rest);
          }}
        />
        {'. '}
      </>
    )}
  </>
);

export const ruled: Faces<GapsQuestion>['ruled'] = (question, { marked }) => [
  ...(marked ? [ruleOf(question, 'model', MODELS[question.model])] : []),
  ...(picks(question)
    ? [
        {
          words: `lists and word bank ${question.keepsOrder ? 'in this order' : 'shuffled'}`,
          own: question.keepsOrder === true,
        },
      ]
    : []),
];
