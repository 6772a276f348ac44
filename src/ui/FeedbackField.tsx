import { Link2, Pencil, X } from 'lucide-react';
import { useId, useState } from 'react';
import { isSafeAddress } from '@/core/quiz/silence';
import type { Feedback } from '@/core/quiz/feedback';

interface Props {
  readonly value: Feedback;
  /** What the feedback is for, as in “oxbow lake”. */
  readonly about: string;
  readonly placeholder?: string;
  readonly onChange: (value: Feedback) => void;
}

interface LinkProps extends Props {
  readonly onClose: () => void;
}

/** The address is taken once it is one that a browser may open; until then it stays in the field, named as wrong. */
function LinkFields({ value, about, onChange, onClose }: LinkProps) {
  const link = value.links[0];
  const [title, setTitle] = useState(link?.title ?? '');
  const [address, setAddress] = useState(link?.address ?? '');
  const hint = useId();
  const safe = isSafeAddress(address);
  const wrong = address.trim() !== '' && !safe;
  const change = (nextTitle: string, nextAddress: string) => {
    setTitle(nextTitle);
    setAddress(nextAddress);
    if (isSafeAddress(nextAddress))
      onChange({ ...value, links: [{ title: nextTitle, address: nextAddress.trim() }] });
    else if (nextAddress.trim() === '') onChange({ ...value, links: [] });
  };
  return (
    <div
      className="mt-1 flex flex-wrap items-center gap-x-2 text-[13.5px]"
      onBlur={(event) => {
        const left = !event.currentTarget.contains(event.relatedTarget);
        if (left && (safe || (address.trim() === '' && title.trim() === ''))) onClose();
      }}
    >
      <input
        className="lined-field !w-36 flex-1"
        autoFocus
        aria-label={`Link title for ${about}`}
        placeholder="What to read next"
        value={title}
        onChange={(event) => change(event.target.value, address)}
      />
      <input
        className="lined-field !w-44 flex-1"
        aria-label={`Link address for ${about}`}
        aria-invalid={wrong}
        aria-describedby={wrong ? hint : undefined}
        placeholder="https://…"
        inputMode="url"
        value={address}
        onChange={(event) => change(title, event.target.value)}
      />
      <button
        type="button"
        className="icon-button"
        aria-label={`Remove the link for ${about}`}
        onClick={() => {
          onChange({ ...value, links: [] });
          onClose();
        }}
      >
        <X size={15} aria-hidden />
      </button>
      {wrong && (
        <p id={hint} className="basis-full text-saffron-text">
          A link begins with http://, https:// or mailto:
        </p>
      )}
    </div>
  );
}

/** A link that stands, with the press that changes it. */
function LinkLine({
  value,
  about,
  onEdit,
}: Pick<Props, 'value' | 'about'> & { readonly onEdit: () => void }) {
  const link = value.links[0];
  if (!link) return null;
  return (
    <p className="flex items-center gap-1 text-[14px]">
      <a className="link-text truncate" href={link.address} target="_blank" rel="noopener noreferrer">
        {link.title || link.address}
      </a>
      <button
        type="button"
        className="icon-button"
        aria-label={`Change the link for ${about}`}
        title="Change the link"
        onClick={onEdit}
      >
        <Pencil size={13} aria-hidden />
      </button>
    </p>
  );
}

/** Feedback written in place: the words, and one remedial link that unfolds. */
export function FeedbackField(props: Props) {
  const { value, about, placeholder = 'Feedback', onChange } = props;
  const [open, setOpen] = useState(false);
  const linked = value.links.length > 0;
  return (
    <div className="min-w-0 flex-1">
      <div className="flex items-start gap-1">
        <textarea
          className="plain-field resize-none field-sizing-content"
          rows={1}
          maxLength={5000}
          aria-label={`Feedback for ${about}`}
          placeholder={placeholder}
          value={value.text}
          onChange={(event) => onChange({ ...value, text: event.target.value })}
        />
        {!open && !linked && (
          <button
            type="button"
            className="icon-button"
            aria-label={`Add a link for ${about}`}
            title="Add a link"
            onClick={() => setOpen(true)}
          >
            <Link2 size={15} aria-hidden />
          </button>
        )}
      </div>
      {open && <LinkFields {...props} onClose={() => setOpen(false)} />}
      {linked && !open && <LinkLine value={value} about={about} onEdit={() => setOpen(true)} />}
    </div>
  );
}
