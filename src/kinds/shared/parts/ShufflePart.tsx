import { Pin } from '@/ui/widgets/icons';
import type { OptionOrder } from '@/core/kinds/kind';
import { ChoicePart } from './ChoicePart';
import { MoveButtons } from '../ThingField';
import type { Rows } from '../useRows';

/** In which order things are shown. */
export const ORDER_WORDS = {
  shuffled: 'in each student’s own order',
  written: 'as they stand here',
} as const;

interface Props {
  /** null: as the quiz sets. */
  readonly shuffled: boolean | null;
  /** How the quiz has options. */
  readonly quiz: OptionOrder;
  readonly onChange: (shuffled: boolean | null) => void;
}

/** Whether options are shuffled: as the question says, else as the quiz does. */
export const isShuffled = (shuffled: boolean | null, quiz: OptionOrder): boolean =>
  shuffled ?? quiz === 'shuffled';

/** Part of a sentence: the order in which options are shown. */
export const ShufflePart = ({ shuffled, quiz, onChange }: Props) => (
  <>
    {'Options come '}
    <ChoicePart
      label="Order of options in this question"
      value={shuffled === null ? 'asQuiz' : shuffled ? 'shuffled' : 'written'}
      words={{ asQuiz: `${ORDER_WORDS[quiz]}, as the quiz sets`, ...ORDER_WORDS }}
      onChange={(chosen) => onChange(chosen === 'asQuiz' ? null : chosen === 'shuffled')}
    />
    {'. '}
  </>
);

interface OptionButtonsProps<One extends { readonly keepsPlace: boolean }> {
  readonly option: One;
  readonly about: string;
  readonly shuffled: boolean;
  readonly rows: Pick<Rows<One & { readonly id: string }>, 'replace' | 'moveBy'>;
}

/** What can be done with an option's place: kept where options are shuffled, and moved. */
export const OptionButtons = <One extends { readonly id: string; readonly keepsPlace: boolean }>({
  option,
  about,
  shuffled,
  rows,
}: OptionButtonsProps<One>) => (
  <>
    {shuffled && (
      <PinButton
        about={about}
        keepsPlace={option.keepsPlace}
        onChange={(keepsPlace) => rows.replace({ ...option, keepsPlace })}
      />
    )}
    <MoveButtons about={about} onMove={(by) => rows.moveBy(option, by)} />
  </>
);

interface PinProps {
  readonly about: string;
  readonly keepsPlace: boolean;
  readonly onChange: (keepsPlace: boolean) => void;
}

/** Keeps an option where it stands while the others are shuffled. */
const PinButton = ({ about, keepsPlace, onChange }: PinProps) => (
  <button
    type="button"
    className={`icon-button ${keepsPlace ? 'bg-hair !text-ink' : ''}`}
    aria-pressed={keepsPlace}
    aria-label={`${about} keeps its place`}
    title={keepsPlace ? 'Keeps its place' : 'Keep it in this place'}
    onClick={() => onChange(!keepsPlace)}
  >
    <Pin size={14} aria-hidden />
  </button>
);
