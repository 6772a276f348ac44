import { ArrowDown, ArrowUp, Image } from 'lucide-react';
import { useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import { ONE, ZERO } from '@/core/figures/fraction';
import type { Option } from '@/core/kinds/shared/option';
import type { PickOneQuestion } from '@/core/kinds/pickOne/schema';
import { optionName } from '@/core/kinds/shared/optionName';
import { move } from '@/core/quiz/order';
import { SILENCE } from '@/core/content/silence';
import { newId } from '@/store/records/ids';
import { Picture } from '@/ui/widgets/Picture';
import { PictureDialog } from '@/ui/editing/PictureDialog';
import { isPictureFile } from '@/ui/editing/pictureFile';
import type { Faces } from '../faces';
import { FoldedEntry, FoldedKey } from '../shared/FoldedKey';
import { KeyRow } from '../shared/KeyRow';

const blank = (text = ''): Option => ({
  id: newId(),
  text,
  picture: null,
  credit: ZERO,
  feedback: SILENCE,
  gone: false,
});

/** Lines put into the options from a place on: empty ones that are there are filled first, more are added behind. */
function filledWith(options: readonly Option[], from: number, lines: readonly string[]): Option[] {
  const left = [...lines];
  let last = from;
  const filled = options.map((option, at) => {
    if (at < from || option.gone || optionName(option) !== '' || left.length === 0) return option;
    last = at;
    return { ...option, text: left.shift() ?? '' };
  });
  return [...filled.slice(0, last + 1), ...left.map((text) => blank(text)), ...filled.slice(last + 1)];
}

interface PictureProps {
  readonly option: Option;
  /** A picture that was pasted; null to choose one. */
  readonly file: File | null;
  readonly onChange: (option: Option) => void;
  readonly onClose: () => void;
}

function OptionPicture({ option, file, onChange, onClose }: PictureProps) {
  const put = (picture: Option['picture']) => {
    onClose();
    onChange({ ...option, picture });
  };
  return (
    <PictureDialog
      picture={option.picture}
      file={file}
      onClose={onClose}
      onRemove={option.picture ? () => put(null) : undefined}
      onSave={put}
    />
  );
}

const MoveButtons = ({
  about,
  onMove,
}: {
  readonly about: string;
  readonly onMove: (by: -1 | 1) => void;
}) => (
  <>
    <button type="button" className="icon-button" aria-label={`Move ${about} up`} onClick={() => onMove(-1)}>
      <ArrowUp size={14} aria-hidden />
    </button>
    <button type="button" className="icon-button" aria-label={`Move ${about} down`} onClick={() => onMove(1)}>
      <ArrowDown size={14} aria-hidden />
    </button>
  </>
);

interface PictureButtonProps {
  readonly picture: Option['picture'];
  readonly place: string;
  readonly onPress: () => void;
}

/** The option's picture, to be changed; or a sign that one can be added. */
const PictureButton = ({ picture, place, onPress }: PictureButtonProps) =>
  picture ? (
    <button
      type="button"
      className="cursor-pointer"
      aria-label={`Change the picture of ${place}`}
      onClick={onPress}
    >
      <Picture picture={picture} small />
    </button>
  ) : (
    <button
      type="button"
      className="icon-button"
      aria-label={`Add a picture to ${place}`}
      title="Add a picture"
      onClick={onPress}
    >
      <Image size={15} aria-hidden />
    </button>
  );

interface RowProps {
  readonly option: Option;
  readonly place: string;
  readonly onChange: (option: Option) => void;
  readonly onKey: (event: KeyboardEvent<HTMLInputElement>) => void;
  readonly onPaste: (event: ClipboardEvent<HTMLInputElement>) => void;
  readonly onMove: (by: -1 | 1) => void;
  readonly onRemove: () => void;
}

function OptionRow({ option, place, onChange, onKey, onPaste, onMove, onRemove }: RowProps) {
  const about = optionName(option) || place;
  const [picturing, setPicturing] = useState<'choose' | File | null>(null);
  const right = option.credit.n > 0;
  const choose = (
    <PictureButton picture={option.picture} place={place} onPress={() => setPicturing('choose')} />
  );
  return (
    <KeyRow
      entry={option}
      name={about}
      onChange={onChange}
      onRemove={onRemove}
      onToggle={() => onChange({ ...option, credit: right ? ZERO : ONE })}
      buttons={<MoveButtons about={about} onMove={onMove} />}
    >
      <div className="flex flex-wrap items-start gap-1">
        {option.picture && choose}
        <input
          className={`plain-field !w-auto min-w-24 flex-1 ${right ? 'font-semibold' : ''}`}
          data-option
          aria-label={place}
          placeholder={place}
          maxLength={2000}
          value={option.text}
          onChange={(event) => onChange({ ...option, text: event.target.value })}
          onKeyDown={onKey}
          onPaste={(event) => {
            const file = [...event.clipboardData.files].find(isPictureFile);
            if (!file) return onPaste(event);
            event.preventDefault();
            setPicturing(file);
          }}
        />
        {!option.picture && choose}
        {picturing && (
          <OptionPicture
            option={option}
            file={picturing === 'choose' ? null : picturing}
            onChange={onChange}
            onClose={() => setPicturing(null)}
          />
        )}
      </div>
    </KeyRow>
  );
}

export const Write: Faces<PickOneQuestion>['Write'] = ({ question, onChange, seen }) => {
  const list = useRef<HTMLUListElement>(null);
  const shown = question.options.filter((option) => !option.gone);
  const put = (options: Option[]) => onChange({ ...question, options });
  const focusRow = (index: number) =>
    setTimeout(() => list.current?.querySelectorAll<HTMLInputElement>('[data-option]')[index]?.focus());
  const replace = (id: string, change: Option) =>
    put(question.options.map((o) => (o.id === id ? change : o)));
  const insert = (after: Option, added: Option[]) => {
    const at = question.options.indexOf(after) + 1;
    put([...question.options.slice(0, at), ...added, ...question.options.slice(at)]);
  };
  const remove = (option: Option) =>
    put(
      seen
        ? question.options.map((o) => (o === option ? { ...o, gone: true } : o))
        : question.options.filter((o) => o !== option),
    );
  const moveBy = (option: Option, by: -1 | 1) => {
    const ids = shown.map((o) => o.id);
    const at = ids.indexOf(option.id);
    const order = move(ids, at, at + by);
    const rest = question.options.filter((o) => o.gone);
    put([...order.flatMap((id) => question.options.find((o) => o.id === id) ?? []), ...rest]);
  };
  const keys = (option: Option, index: number) => (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') {
      event.preventDefault();
      const empty = shown.findIndex((other, at) => at > index && optionName(other) === '');
      if (empty < 0) insert(option, [blank()]);
      focusRow(empty < 0 ? index + 1 : empty);
    } else if (event.key === 'Backspace' && option.text === '' && shown.length > 1) {
      event.preventDefault();
      remove(option);
      focusRow(Math.max(0, index - 1));
    }
  };
  const paste = (option: Option) => (event: ClipboardEvent<HTMLInputElement>) => {
    const lines = event.clipboardData
      .getData('text')
      .split(/\r?\n/)
      .map((line) => line.trim())
      .filter(Boolean);
    if (lines.length < 2 || option.text !== '') return;
    event.preventDefault();
    put(filledWith(question.options, question.options.indexOf(option), lines.slice(0, 100)));
  };
  return (
    <div>
      <p className="label-small mt-3">Options (click the disc to mark one right)</p>
      <ul ref={list} className="mt-1">
        {shown.map((option, index) => (
          <OptionRow
            key={option.id}
            option={option}
            place={`Option ${index + 1}`}
            onChange={(changed) => replace(option.id, changed)}
            onKey={keys(option, index)}
            onPaste={paste(option)}
            onMove={(by) => moveBy(option, by)}
            onRemove={() => remove(option)}
          />
        ))}
      </ul>
      <button
        type="button"
        className="mt-2 cursor-pointer text-[14px] font-semibold text-petrol hover:underline"
        onClick={() => {
          put([...question.options, blank()]);
          focusRow(shown.length);
        }}
      >
        Another option
      </button>
    </div>
  );
};

export const Folded: Faces<PickOneQuestion>['Folded'] = ({ question }) => (
  <FoldedKey>
    {question.options
      .filter((option) => !option.gone)
      .map((option) => (
        <FoldedEntry key={option.id} credit={option.credit}>
          {option.picture && <Picture picture={option.picture} small />}
          {option.text || (option.picture ? '' : 'empty option')}
        </FoldedEntry>
      ))}
  </FoldedKey>
);

export const Try: Faces<PickOneQuestion>['Try'] = ({ question, value, onChange }) => (
  <select
    className="lined-field"
    aria-label="Try an answer"
    value={value?.kind === 'pickOne' ? value.option : ''}
    onChange={(event) =>
      onChange(event.target.value ? { kind: 'pickOne', option: event.target.value } : null)
    }
  >
    <option value="">Pick one …</option>
    {question.options
      .filter((option) => !option.gone)
      .map((option) => (
        <option key={option.id} value={option.id}>
          {optionName(option) || 'empty option'}
        </option>
      ))}
  </select>
);
