import type { Clip } from '@/core/content/clip';
import { ONE, ZERO } from '@/core/figures/fraction';
import type { Option } from '@/core/kinds/shared/pick/option';
import type { PickOneQuestion } from '@/core/kinds/pickOne/schema';
import { SILENCE } from '@/core/content/silence';
import { newId } from '@/device/ids';
import type { Faces } from '../faces';
import { Another } from '../shared/Another';
import { FoldedOptions } from '../shared/FoldedKey';
import { KeyRow } from '../shared/KeyRow';
import { openRows } from '../shared/openRows';
import { isShuffled, OptionTools } from '../shared/parts/ShufflePart';
import { ThingField, withClip } from '../shared/ThingField';
import { useRows } from '../shared/useRows';
import { useSpokenName } from '../shared/PickLabel';

const blank = (text = ''): Option => ({
  id: newId(),
  text,
  picture: null,
  credit: ZERO,
  feedback: SILENCE,
  missed: SILENCE,
  gone: false,
  keepsPlace: false,
});

export const Write: Faces<PickOneQuestion>['Write'] = ({ question, onChange, seen, optionOrder }) => {
  const spokenName = useSpokenName();
  const put = (options: Option[]) => onChange({ ...question, options });
  const options = openRows(question.options);
  const rows = useRows({ ...options.editing(put, seen), blank });
  return (
    <div>
      <p className="label-small mt-3">Options (press the circle of the right one)</p>
      <ul ref={rows.list} className="mt-1">
        {options.open.map((option, index) => {
          const about = spokenName(option) || `Option ${index + 1}`;
          const right = option.credit.n > 0;
          const putClip = (clip: Clip | null) => rows.replace(withClip(option, clip));
          return (
            <KeyRow
              key={option.id}
              entry={option}
              name={about}
              onChange={rows.replace}
              onRemove={() => rows.remove(option)}
              placeholder={right ? 'Feedback if picked' : 'What would help here?'}
              missed={option.credit.n === option.credit.d ? option.missed : undefined}
              onMissed={(missed) => rows.replace({ ...option, missed })}
              onToggle={() => rows.replace({ ...option, credit: right ? ZERO : ONE })}
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
            >
              <ThingField
                thing={option}
                place={`Option ${index + 1}`}
                strong={right}
                rows={rows}
                onClip={putClip}
              />
            </KeyRow>
          );
        })}
      </ul>
      <Another onPress={() => rows.add()}>Another option</Another>
    </div>
  );
};

export const Folded: Faces<PickOneQuestion>['Folded'] = ({ question }) => (
  <FoldedOptions options={question.options} credit={({ credit }) => credit} />
);

export const Try: Faces<PickOneQuestion>['Try'] = ({ question, value, onChange }) => {
  const spokenName = useSpokenName();
  return (
    <select
      className="lined-field"
      aria-label="Try an answer"
      value={value?.kind === 'pickOne' ? value.option : ''}
      onChange={(event) =>
        onChange(event.target.value ? { kind: 'pickOne', option: event.target.value } : null)
      }
    >
      <option value="">Pick one…</option>
      {question.options
        .filter((option) => !option.gone)
        .map((option) => (
          <option key={option.id} value={option.id}>
            {spokenName(option) || 'empty option'}
          </option>
        ))}
    </select>
  );
};
