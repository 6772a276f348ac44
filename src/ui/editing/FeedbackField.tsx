import { Link2, Pencil, X } from '@/ui/widgets/icons';
import { useEffect, useId, useRef, useState } from 'react';
import { completeAddress, isSafeAddress, LINK_KINDS } from '@/core/content/links';
import type { Feedback, RemedialLink } from '@/core/content/feedback';
import { notify } from '../widgets/press/notices';
import { ProseField } from './ProseField';

interface Props {
  readonly value: Feedback;
  /** What the feedback is for, as in “oxbow lake”. */
  readonly about: string;
  readonly placeholder?: string;
  readonly onChange: (value: Feedback) => void;
}

interface LinkProps {
  readonly link: RemedialLink | null;
  readonly about: string;
  /** null takes the link away. */
  readonly onChange: (link: RemedialLink | null) => void;
  readonly onClose: () => void;
}

/** A link that is left before it is whole is not stored: that is said, never left to be noticed later. */
function useUnfinished(link: RemedialLink | null): void {
  const latest = useRef(link);
  useEffect(() => {
    latest.current = link;
  });
  useEffect(
    () => () => {
      const left = latest.current;
      if (!left) return;
      const named = left.title.trim() || left.address.trim();
      notify(
        left.address.trim() === ''
          ? `The link “${named}” was not saved: it has no address`
          : `The link “${named}” was not saved: “${left.address.trim()}” is not a web address`,
      );
    },
    [],
  );
}

/** The address is taken once it is one that a browser may open; until then it stays in the field, named as wrong. */
function LinkFields({ link, about, onChange, onClose }: LinkProps) {
  const [typed, setTyped] = useState<RemedialLink>(link ?? { kind: 'read', title: '', address: '' });
  const hint = useId();
  const whole = completeAddress(typed.address);
  const safe = isSafeAddress(whole);
  const empty = typed.address.trim() === '';
  const wrong = !empty && !safe;
  const change = (patch: Partial<RemedialLink>) => {
    const next = { ...typed, ...patch };
    setTyped(next);
    const address = completeAddress(next.address);
    if (isSafeAddress(address)) onChange({ ...next, address });
    else if (next.address.trim() === '') onChange(null);
  };
  useUnfinished(wrong || (empty && typed.title.trim() !== '') ? typed : null);
  return (
    <div
      className="mt-1 flex flex-wrap items-center gap-x-2 text-[13.5px]"
      onBlur={(event) => {
        const left = !event.currentTarget.contains(event.relatedTarget);
        if (left && (safe || (empty && typed.title.trim() === ''))) onClose();
      }}
    >
      <select
        className="sentence-part"
        aria-label={`What the link for ${about} is for`}
        value={typed.kind}
        onChange={(event) => change({ kind: event.target.value as RemedialLink['kind'] })}
      >
        {Object.entries(LINK_KINDS).map(([kind, words]) => (
          <option key={kind} value={kind}>
            {words}
          </option>
        ))}
      </select>
      <input
        className="lined-field !w-36 flex-1"
        autoFocus
        aria-label={`Link title for ${about}`}
        placeholder="Name of the page"
        maxLength={300}
        value={typed.title}
        onChange={(event) => change({ title: event.target.value })}
      />
      <input
        className="lined-field !w-44 flex-1"
        aria-label={`Link address for ${about}`}
        aria-invalid={wrong}
        aria-describedby={wrong ? hint : undefined}
        placeholder="https://…"
        inputMode="url"
        maxLength={2000}
        value={typed.address}
        onChange={(event) => change({ address: event.target.value })}
      />
      <button
        type="button"
        className="icon-button"
        aria-label={`Remove the link for ${about}`}
        onClick={() => {
          setTyped({ ...typed, title: '', address: '' });
          onChange(null);
          onClose();
        }}
      >
        <X size={15} aria-hidden />
      </button>
      {safe && whole !== typed.address.trim() && <p className="caption basis-full">Saved as {whole}</p>}
      {wrong && (
        <p id={hint} className="basis-full text-saffron-text">
          A link begins with http://, https:// or mailto:
        </p>
      )}
    </div>
  );
}

interface LineProps {
  readonly link: RemedialLink;
  readonly about: string;
  readonly onEdit: () => void;
}

/** A link that stands, with the press that changes it. */
function LinkLine({ link, about, onEdit }: LineProps) {
  return (
    <p className="flex items-center gap-1 text-[14px]">
      <span className="text-soft">{LINK_KINDS[link.kind]}:</span>
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

const MOST_LINKS = 20;

/** Feedback written in place: the words, and the remedial links that unfold. */
export function FeedbackField({ value, about, placeholder = 'Feedback', onChange }: Props) {
  // Which link is being written; one past the last is a new one.
  const [open, setOpen] = useState<number | null>(null);
  const { links } = value;
  const put = (at: number) => (link: RemedialLink | null) => {
    const next = [...links];
    if (link) next[at] = link;
    else next.splice(at, 1);
    onChange({ ...value, links: next });
  };
  const close = (at: number) => () => setOpen((now) => (now === at ? null : now));
  return (
    <div className="min-w-0 flex-1">
      <div className="flex items-start gap-1">
        <ProseField
          label={`Feedback for ${about}`}
          format={`Format what is said of ${about}`}
          placeholder={placeholder}
          value={value.text}
          onChange={(text) => onChange({ ...value, text })}
        />
        {open === null && links.length < MOST_LINKS && (
          <button
            type="button"
            className="icon-button"
            aria-label={`Add ${links.length === 0 ? 'a' : 'another'} link for ${about}`}
            title={links.length === 0 ? 'Add a link' : 'Add another link'}
            onClick={() => setOpen(links.length)}
          >
            <Link2 size={15} aria-hidden />
          </button>
        )}
      </div>
      {links.map((link, at) =>
        at === open ? (
          <LinkFields key={at} link={link} about={about} onChange={put(at)} onClose={close(at)} />
        ) : (
          <LinkLine key={at} link={link} about={about} onEdit={() => setOpen(at)} />
        ),
      )}
      {open !== null && open >= links.length && (
        <LinkFields key={open} link={null} about={about} onChange={put(open)} onClose={close(open)} />
      )}
    </div>
  );
}
