import { X } from '@/ui/widgets/icons';
import { useEffect, useId, useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import { same } from '@/core/figures/deepEqual';
import { completeAddress, isSafeAddress, LINK_KINDS } from '@/core/content/links';
import type { Feedback, RemedialLink } from '@/core/content/feedback';
import { notify } from '../widgets/press/notices';
import { ProseField } from './ProseField';

interface Props {
  readonly value: Feedback;
  /** What the feedback is for, as in “oxbow lake”. */
  readonly about: string;
  readonly placeholder?: string | undefined;
  /** Whether it has just been asked for, and takes the focus. */
  readonly autoFocus?: boolean;
  readonly onChange: (value: Feedback) => void;
}

interface LinkProps {
  readonly link: RemedialLink | null;
  readonly about: string;
  /** null takes the link away. */
  readonly onChange: (link: RemedialLink | null) => void;
  /** `byKey`: the focus goes on from the link that is there then. */
  readonly onClose: (how: 'byKey' | 'left') => void;
}

const NOTHING: RemedialLink = { kind: 'read', title: '', address: '' };

/** True for a title that is an address: it was typed or pasted into the first field at hand. */
const isAddress = (title: string): boolean =>
  /^(?:https?:\/\/|mailto:|www\.)\S+$/i.test(title.trim()) && isSafeAddress(completeAddress(title));

/** A link as it would be stored; null while it has no address that a browser may open. */
function wholeLink(typed: RemedialLink): RemedialLink | null {
  const { title, ...rest } = typed;
  const moved = rest.address.trim() === '' && isAddress(title) ? { title: '', address: title } : { title };
  const link = { ...rest, ...moved };
  const address = completeAddress(link.address);
  return isSafeAddress(address) ? { ...link, address } : null;
}

/** What is left in the fields when they go: stored where it is whole, and said where it is not. */
function useWhatIsLeft(typed: RemedialLink, stored: RemedialLink | null, put: LinkProps['onChange']): void {
  const latest = useRef({ typed, stored, put });
  useEffect(() => {
    latest.current = { typed, stored, put };
  });
  useEffect(
    () => () => {
      const left = latest.current;
      const { title, address } = left.typed;
      const whole = wholeLink(left.typed);
      if (whole && !same(whole, left.stored)) left.put(whole);
      if (whole || (title.trim() === '' && address.trim() === '')) return;
      const named = title.trim() || address.trim();
      notify(
        address.trim() === ''
          ? `The link “${named}” was not saved: it has no address`
          : `The link “${named}” was not saved: “${address.trim()}” is not a web address`,
      );
    },
    [],
  );
}

/**
 * The address is taken when its field is left, on Enter, or when it is pasted: never while it is typed, as its beginning is an
 * address too. Until it is one it stays in the field, named as wrong.
 */
function LinkFields({ link, about, onChange, onClose }: LinkProps) {
  const [typed, setTyped] = useState<RemedialLink>(link ?? NOTHING);
  const [isLeft, setLeft] = useState(false);
  const hint = useId();
  const whole = wholeLink(typed);
  const isEmpty = typed.address.trim() === '' && typed.title.trim() === '';
  const isWrong = isLeft && typed.address.trim() !== '' && !whole;
  const take = (next: RemedialLink): RemedialLink | null => {
    const made = wholeLink(next);
    setTyped(made ?? next);
    setLeft(true);
    if (made) onChange(made);
    else if (link && next.address.trim() === '') onChange(null);
    return made;
  };
  // A link that stands is changed as its name and its purpose are; its address waits until it is whole again.
  const change = (patch: Partial<Pick<RemedialLink, 'title' | 'kind'>>) => {
    setTyped({ ...typed, ...patch });
    if (link) onChange({ ...link, ...patch });
  };
  const keys = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    if (take(typed)) onClose('byKey');
  };
  const paste = (field: 'title' | 'address') => (event: ClipboardEvent<HTMLInputElement>) => {
    const text = event.clipboardData.getData('text/plain').trim();
    if (!isAddress(text) || (field === 'title' && typed.address.trim() !== '')) return;
    event.preventDefault();
    take({ ...typed, address: text });
  };
  useWhatIsLeft(typed, link, onChange);
  return (
    <div
      className="mt-1 flex flex-wrap items-center gap-x-2 text-[13.5px]"
      onBlur={(event) => {
        if (event.currentTarget.contains(event.relatedTarget)) return;
        if (take(typed) || isEmpty) onClose('left');
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
        onBlur={() => isAddress(typed.title) && typed.address.trim() === '' && take(typed)}
        onPaste={paste('title')}
        onKeyDown={keys}
      />
      <input
        className="lined-field !w-44 flex-1"
        aria-label={`Link address for ${about}`}
        aria-invalid={isWrong}
        aria-describedby={isWrong ? hint : undefined}
        placeholder="https://…"
        inputMode="url"
        maxLength={2000}
        value={typed.address}
        onChange={(event) => setTyped({ ...typed, address: event.target.value })}
        onBlur={() => take(typed)}
        onPaste={paste('address')}
        onKeyDown={keys}
      />
      <button
        type="button"
        className="icon-button"
        aria-label={`Remove the link for ${about}`}
        onClick={() => {
          setTyped(NOTHING);
          onChange(null);
          onClose('left');
        }}
      >
        <X size={15} aria-hidden />
      </button>
      {isWrong && (
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
  /** Whether the focus comes to it, from the fields in which it was written. */
  readonly isNext: boolean;
  readonly onEdit: () => void;
}

/** A link that stands, with the press that changes it. */
function LinkLine({ link, about, isNext, onEdit }: LineProps) {
  return (
    <p className="flex min-h-[26px] items-center gap-1 text-[14px]">
      <span className="text-soft">{LINK_KINDS[link.kind]}:</span>
      <a
        className="link-text inline-block min-h-6 truncate leading-6"
        href={link.address}
        target="_blank"
        rel="noopener noreferrer"
      >
        {link.title || link.address}
      </a>
      <button type="button" className="row-tool when-near" autoFocus={isNext} onClick={onEdit}>
        Change<span className="sr-only"> the link for {about}</span>
      </button>
    </p>
  );
}

const MOST_LINKS = 20;

/** Feedback written in place: the words, and the remedial links that unfold. */
export function FeedbackField({ value, about, placeholder = 'Feedback', autoFocus, onChange }: Props) {
  // Which link is being written; one past the last is a new one.
  const [open, setOpen] = useState<number | null>(null);
  const { links } = value;
  const put = (at: number) => (link: RemedialLink | null) => {
    const next = [...links];
    if (link) next[at] = link;
    else next.splice(at, 1);
    onChange({ ...value, links: next });
  };
  // The link whose fields were closed by a key: the focus goes on from it.
  const [next, setNext] = useState<number | null>(null);
  const close = (at: number) => (how: 'byKey' | 'left') => {
    setNext(how === 'byKey' ? at : null);
    setOpen((now) => (now === at ? null : now));
  };
  // One that is being written stands behind the others from its first letter on, so that its fields stay the same ones.
  const rows: (RemedialLink | null)[] = open !== null && open >= links.length ? [...links, null] : [...links];
  return (
    <div className="near min-w-0 flex-1">
      <div className="flex items-baseline gap-1 max-sm:block">
        <ProseField
          autoFocus={autoFocus}
          label={`Feedback for ${about}`}
          format={`Format what is said of ${about}`}
          placeholder={placeholder}
          value={value.text}
          onChange={(text) => onChange({ ...value, text })}
        />
        {open === null && links.length < MOST_LINKS && (
          <button type="button" className="row-tool when-near" onClick={() => setOpen(links.length)}>
            {links.length === 0 ? 'Add a link' : 'Add another link'}
            <span className="sr-only"> for {about}</span>
          </button>
        )}
      </div>
      {rows.map((link, at) =>
        at === open || link === null ? (
          <LinkFields key={at} link={link} about={about} onChange={put(at)} onClose={close(at)} />
        ) : (
          <LinkLine key={at} link={link} about={about} isNext={at === next} onEdit={() => setOpen(at)} />
        ),
      )}
    </div>
  );
}
