import { ArrowDown, ArrowUp, Image, X } from 'lucide-react';
import { useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import { ONE, ZERO } from '@/core/figures/fraction';
import type { Option, PickOneQuestion } from '@/core/kinds/pickOne/schema';
import { optionName } from '@/core/kinds/pickOne/name';
import { move } from '@/core/quiz/order';
import { SILENCE } from '@/core/quiz/silence';
import { newId } from '@/store/ids';
import { CreditPie } from '@/ui/CreditPie';
import { Picture } from '@/ui/Picture';
import { PictureDialog } from '@/ui/PictureDialog';
import { FeedbackField } from '@/ui/FeedbackField';
import { PercentField } from '@/ui/PercentField';
import { isPictureFile } from '@/ui/pictureFile';
import type { WriteFaces } from '../faces';

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
  return (
    <li className="grid grid-cols-[28px_minmax(0,5fr)_64px_minmax(0,6fr)_auto] items-start gap-x-2 border-b border-dotted border-line py-1.5">
      <button
        type="button"
        className="icon-button"
        aria-pressed={right}
        aria-label={`${about} is right`}
        title={right ? 'Mark as wrong' : 'Mark as right'}
        onClick={() => onChange({ ...option, credit: right ? ZERO : ONE })}
      >
        <CreditPie credit={option.credit} label="" />
      </button>
      <div className="flex flex-wrap items-start gap-1">
        {option.picture && (
          <button
            type="button"
            className="cursor-pointer"
            aria-label={`Change the picture of ${place}`}
            onClick={() => setPicturing('choose')}
          >
            <Picture picture={option.picture} small />
          </button>
        )}
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
        {!option.picture && (
          <button
            type="button"
            className="icon-button"
            aria-label={`Add a picture to ${place}`}
            title="Add a picture"
            onClick={() => setPicturing('choose')}
          >
            <Image size={15} aria-hidden />
          </button>
        )}
        {picturing && (
          <PictureDialog
            picture={option.picture}
            file={picturing === 'choose' ? null : picturing}
            onClose={() => setPicturing(null)}
            onRemove={
              option.picture
                ? () => {
                    setPicturing(null);
                    onChange({ ...option, picture: null });
                  }
                : undefined
            }
            onSave={(picture) => {
              setPicturing(null);
              onChange({ ...option, picture });
            }}
          />
        )}
      </div>
      <PercentField
        value={option.credit}
        label={`Credit for ${about}`}
        className="plain-field !w-10 font-semibold"
        onChange={(credit) => onChange({ ...option, credit })}
      />
      <FeedbackField
        value={option.feedback}
        about={about}
        onChange={(feedback) => onChange({ ...option, feedback })}
      />
      <div className="flex">
        <button
          type="button"
          className="icon-button"
          aria-label={`Move ${about} up`}
          onClick={() => onMove(-1)}
        >
          <ArrowUp size={14} aria-hidden />
        </button>
        <button
          type="button"
          className="icon-button"
          aria-label={`Move ${about} down`}
          onClick={() => onMove(1)}
        >
          <ArrowDown size={14} aria-hidden />
        </button>
        <button type="button" className="icon-button" aria-label={`Delete ${about}`} onClick={onRemove}>
          <X size={15} aria-hidden />
        </button>
      </div>
    </li>
  );
}

const Key: WriteFaces<PickOneQuestion>['Key'] = ({ question, onChange, seen }) => {
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
    const lines = event.clipboardData.getData('text').split(/\r?\n/).map((line) => line.trim()).filter(Boolean); // prettier-ignore
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

const Folded: WriteFaces<PickOneQuestion>['Folded'] = ({ question }) => (
  <ul className="mt-1.5 flex flex-wrap gap-x-5 gap-y-1">
    {question.options
      .filter((option) => !option.gone)
      .map((option) => (
        <li key={option.id} className={option.credit.n > 0 ? 'font-semibold' : 'text-soft'}>
          <CreditPie credit={option.credit} size={11} label={option.credit.n > 0 ? 'right:' : ''} />{' '}
          {option.picture && <Picture picture={option.picture} small />}
          {option.text || (option.picture ? '' : 'empty option')}
        </li>
      ))}
  </ul>
);

const Try: WriteFaces<PickOneQuestion>['Try'] = ({ question, value, onChange }) => (
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

export const pickOneFaces: WriteFaces<PickOneQuestion> = { Key, Folded, Rules: () => null, Try };
