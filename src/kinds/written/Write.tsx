import { newCriterion } from '@/core/kinds/written/edit';
import type { WrittenQuestion } from '@/core/kinds/written/schema';
import { newId } from '@/device/ids';
import { points } from '@/ui/words/figures';
import type { Faces } from '../faces';
import { SwitchPart } from '../shared/parts/ChoicePart';
import { NewEntry } from '../shared/NewEntry';
import { RemoveChip } from '../shared/RemoveChip';
import { Rubric } from './Rubric';

/** Ideas to look for in an answer. */
function Ideas({
  question,
  onChange,
}: Pick<Parameters<Faces<WrittenQuestion>['Write']>[0], 'question' | 'onChange'>) {
  const { ideas } = question;
  const put = (next: string[]) => onChange({ ...question, ideas: next });
  return (
    <div className="mt-3">
      <p className="label-small">Ideas to look for, underlined while you mark; they give no points</p>
      <div className="mt-1 flex flex-wrap items-center gap-1.5">
        {ideas.map((idea, at) => (
          <span key={at} className="chip">
            <input
              aria-label={`Idea ${at + 1}`}
              maxLength={300}
              size={Math.max(2, idea.length)}
              value={idea}
              onChange={(event) => put(ideas.map((one, index) => (index === at ? event.target.value : one)))}
              onBlur={() => idea.trim() === '' && put(ideas.filter((_, index) => index !== at))}
            />
            <RemoveChip
              label={`Remove the idea ${idea || at + 1}`}
              onPress={() => put(ideas.filter((_, index) => index !== at))}
            />
          </span>
        ))}
        {ideas.length < 50 && (
          <NewEntry
            most={300}
            label="Another idea"
            placeholder="an idea"
            onAdd={(text) => put([...ideas, text])}
            onLines={(lines) => put([...ideas, ...lines.map((line) => line.slice(0, 300))].slice(0, 50))}
          />
        )}
      </div>
    </div>
  );
}

export const Write: Faces<WrittenQuestion>['Write'] = ({ question, onChange, marked }) =>
  marked && (
    <div>
      <p className="mt-3">
        {'You mark it '}
        <SwitchPart
          label="How you mark it"
          value={question.rubric !== null}
          words={{ true: 'by criteria and levels', false: 'by a number of points' }}
          onChange={(rubric) =>
            onChange({ ...question, rubric: rubric ? [newCriterion(newId, '', undefined)] : null })
          }
        />
        {'; until then its points are not marked yet.'}
      </p>
      {question.rubric && (
        <Rubric rubric={question.rubric} onChange={(rubric) => onChange({ ...question, rubric })} />
      )}
      <Ideas question={question} onChange={onChange} />
    </div>
  );

/** By what it is marked, and what is looked for. */
export const Folded: Faces<WrittenQuestion>['Folded'] = ({ question: { rubric, ideas }, marked }) => (
  <p className="mt-1.5 text-soft">
    {!marked
      ? 'an answer in their own words'
      : rubric
        ? rubric
            .map(
              ({ text, levels }) =>
                `${text || 'criterion'}: ${levels.map((level) => points(level.points)).join(' · ')}`,
            )
            .join('; ')
        : 'marked by hand'}
    {marked && ideas.length > 0 && `; look for: ${ideas.join(' · ')}`}
  </p>
);
