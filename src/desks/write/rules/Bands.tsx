import { SILENCE } from '@/core/content/silence';
import type { Band } from '@/core/quiz/quiz';
import { inBandOrder } from '@/core/scoring/band';
import { Another } from '@/kinds/shared/Another';
import { KeyLine } from '@/kinds/shared/KeyLine';
import { SwitchPart } from '@/kinds/shared/parts/ChoicePart';
import { newId } from '@/device/ids';
import { FeedbackField } from '@/ui/editing/FeedbackField';
import { useContentField } from '@/ui/teacher/useContentField';
import { PercentField } from '@/ui/widgets/fields/PercentField';

const MOST = 20;

/** The share at which one more band begins: below the lowest there is. */
function nextFrom(bands: readonly Band[]): Band['from'] {
  const lowest = inBandOrder(bands).at(-1)?.from;
  if (!lowest) return { n: 4, d: 5 };
  return { n: Math.max(0, Math.round((lowest.n / lowest.d) * 100) - 20), d: 100 };
}

interface RowProps {
  readonly band: Band;
  readonly number: number;
  readonly onChange: (band: Band) => void;
  readonly onRemove: () => void;
}

/** Where a band begins, and what is read in it. */
const BandRow = ({ band, number, onChange, onRemove }: RowProps) => (
  <KeyLine name={`score level ${number}`} mark={null} onRemove={onRemove}>
    <div className="flex items-baseline gap-2">
      <span className="text-[14px] whitespace-nowrap">
        {'from '}
        <PercentField
          className="sentence-part"
          label={`Where score level ${number} begins`}
          value={band.from}
          onChange={(from) => onChange({ ...band, from })}
        />
      </span>
      <FeedbackField
        value={band.feedback}
        about={`score level ${number}`}
        placeholder="What does this score say to the student?"
        onChange={(feedback) => onChange({ ...band, feedback })}
      />
    </div>
  </KeyLine>
);

/** What a student reads of the whole score, by how much of it was reached. */
export function Bands() {
  const bands = useContentField('bands', 'Change the feedback on the score');
  const onCover = useContentField('bandsOnCover', 'Change what the first page tells');
  const list = bands.value;
  const put = (band: Band) => bands.edit(list.map((one) => (one.id === band.id ? band : one)));
  return (
    <div className={list.length > 0 ? 'mt-2' : undefined}>
      {list.length > 0 && (
        <>
          <p className="label-small">
            Feedback on the whole score (students read the highest level they reach)
          </p>
          <ul className="key-markless">
            {list.map((band, at) => (
              <BandRow
                key={band.id}
                band={band}
                number={at + 1}
                onChange={put}
                onRemove={() => bands.edit(list.filter((one) => one !== band))}
              />
            ))}
          </ul>
        </>
      )}
      {list.length > 0 && (
        <p className="mt-1 text-[14px]">
          {'The first page '}
          <SwitchPart
            label="Whether the first page shows what is expected"
            value={onCover.value}
            words={{ false: 'does not show these', true: 'shows these as what is expected' }}
            onChange={onCover.edit}
          />
          .
        </p>
      )}
      {list.length < MOST && (
        <Another
          quiet={list.length === 0}
          to='textarea[aria-label^="Feedback for score level"]'
          onPress={() => bands.edit([...list, { id: newId(), from: nextFrom(list), feedback: SILENCE }])}
        >
          {list.length === 0 ? 'Feedback on the whole score' : 'Another score level'}
        </Another>
      )}
    </div>
  );
}
