import type { OptionOrder } from '@/core/kinds/kind';
import { ChoicePart } from './ChoicePart';
import { MoveTools, Tool } from '../RowTools';
import type { Clip } from '@/core/content/clip';
import { ClipTool, PictureTool, type Thing } from '../ThingField';
import type { Rows } from '../useRows';

/** In which order things are shown. */
export const ORDER_WORDS = {
  shuffled: 'shuffled for each student',
  written: 'in this order',
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
      words={{ asQuiz: `${ORDER_WORDS[quiz]} (quiz default)`, ...ORDER_WORDS }}
      onChange={(chosen) => onChange(chosen === 'asQuiz' ? null : chosen === 'shuffled')}
    />
    {'. '}
  </>
);

interface OptionToolsProps<One extends { readonly keepsPlace: boolean }> {
  readonly option: One;
  readonly about: string;
  /** What its field is called: “Option 2”. */
  readonly place: string;
  readonly shuffled: boolean;
  readonly rows: Pick<Rows<One & { readonly id: string }>, 'replace' | 'moveBy'>;
  readonly onClip: (clip: Clip | null) => void;
}

/** What can be done with an option: given a picture or a sound, kept in its place where options are shuffled, and moved. */
export const OptionTools = <One extends Thing & { readonly keepsPlace: boolean }>({
  option,
  about,
  place,
  shuffled,
  rows,
  onClip,
}: OptionToolsProps<One>) => (
  <>
    <PictureTool thing={option} place={place} onPicture={(picture) => rows.replace({ ...option, picture })} />
    <ClipTool clip={option.clip} place={place} onClip={onClip} />
    {shuffled && (
      <Tool
        words={option.keepsPlace ? 'Keeps its place' : 'Keep in place'}
        to={about}
        pressed={option.keepsPlace}
        onPress={() => rows.replace({ ...option, keepsPlace: !option.keepsPlace })}
      />
    )}
    <MoveTools name={about} onMove={(by) => rows.moveBy(option, by)} />
  </>
);
