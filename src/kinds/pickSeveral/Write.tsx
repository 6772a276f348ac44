import type { Clip } from '@/core/content/clip';
import { ONE, ZERO, type Fraction } from '@/core/figures/fraction';
import { isRight } from '@/core/kinds/pickSeveral/mark';
import type { PickSeveralQuestion, SeveralOption } from '@/core/kinds/pickSeveral/schema';
import { SILENCE } from '@/core/content/silence';
import { newId } from '@/device/ids';
import { percent } from '@/ui/words/figures';
import type { Faces } from '../faces';
import { Another } from '../shared/Another';
import { FoldedOptions } from '../shared/FoldedKey';
import { creditOf, Disc, KeyLine } from '../shared/KeyLine';
import { Worth } from '../shared/KeyRow';
import { openRows } from '../shared/openRows';
import { isShuffled, OptionTools } from '../shared/parts/ShufflePart';
import { ThingField, withClip } from '../shared/ThingField';
import { useRows } from '../shared/useRows';
import { useSpokenName } from '../shared/PickLabel';

const blank = (text = ''): SeveralOption => ({
  id: newId(),
  text,
  picture: null,
  right: false,
  weight: ZERO,
  feedback: SILENCE,
  missed: SILENCE,
  gone: false,
  keepsPlace: false,
});

/** What the disc of an option shows: right or not, or its own weight where options have weights. */
const shownCredit = (question: PickSeveralQuestion, option: SeveralOption): Fraction =>
  question.model === 'ownWeights' ? option.weight : creditOf(option.right);

export const Write: Faces<PickSeveralQuestion>['Write'] = ({ question, onChange, seen, optionOrder }) => {
  const spokenName = useSpokenName();
  const put = (options: SeveralOption[]) => onChange({ ...question, options });
  const options = openRows(question.options);
  const rows = useRows({ ...options.editing(put, seen), blank });
  const weighs = question.model === 'ownWeights';
  const toggled = (option: SeveralOption): SeveralOption =>
    weighs ? { ...option, weight: option.weight.n > 0 ? ZERO : ONE } : { ...option, right: !option.right };
  return (
    <div>
      <p className="label-small mt-3">Options (press the circle of each right one)</p>
      <ul ref={rows.list} className="mt-1">
        {options.open.map((option, index) => {
          const about = spokenName(option) || `Option ${index + 1}`;
          const credit = shownCredit(question, option);
          const putClip = (clip: Clip | null) => rows.replace(withClip(option, clip));
          return (
            <KeyLine
              key={option.id}
              name={about}
              mark={<Disc credit={credit} name={about} onToggle={() => rows.replace(toggled(option))} />}
              figure={weighs && percent(option.weight)}
              worth={
                weighs && (
                  <Worth
                    label={`Weight of ${about}`}
                    value={option.weight}
                    least={-100}
                    onChange={(weight) => rows.replace({ ...option, weight })}
                  />
                )
              }
              feedback={option.feedback}
              onFeedback={(feedback) => rows.replace({ ...option, feedback })}
              placeholder="Feedback if picked"
              missed={isRight(question, option) ? option.missed : undefined}
              onMissed={(missed) => rows.replace({ ...option, missed })}
              tools={
                <OptionTools
                  option={option}
                  about={about}
                  place={`Option ${index + 1}`}
                  shuffled={isShuffled(question.shuffled, optionOrder)}
                  rows={rows}
                  onClip={putClip}
                />
              }
              onRemove={() => rows.remove(option)}
            >
              <ThingField
                thing={option}
                place={`Option ${index + 1}`}
                strong={isRight(question, option)}
                rows={rows}
                onClip={putClip}
              />
            </KeyLine>
          );
        })}
      </ul>
      <Another onPress={() => rows.add()}>Another option</Another>
    </div>
  );
};

export const Folded: Faces<PickSeveralQuestion>['Folded'] = ({ question }) => (
  <FoldedOptions options={question.options} credit={(option) => shownCredit(question, option)} />
);
