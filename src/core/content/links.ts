/** Only addresses that a browser opens without running anything: http, https and mailto. */
export function isSafeAddress(address: string): boolean {
  return /^(https?:\/\/[^\s/]|mailto:[^\s@]+@[^\s@])[^\s]*$/i.test(address.trim());
}

/** An address as people type it, made whole: `www.rivers.example` gets https://, an email address mailto:. */
export function completeAddress(typed: string): string {
  const address = typed.trim();
  if (isSafeAddress(address) || /^[a-z][a-z0-9+.-]*:/i.test(address)) return address;
  if (/^[^\s@/:]+@[^\s@/]+\.[^\s@/]+$/.test(address)) return `mailto:${address}`;
  return /^[^\s/@:]+\.[^\s/@:]{2,}(?::\d+)?(?:[/?#]\S*)?$/.test(address) ? `https://${address}` : address;
}

/** What the student is to do at a remedial link. */
export const LINK_KINDS = { read: 'Read', watch: 'Watch', practise: 'Practise' } as const;

/** A stretch of text, with the address that it is, where it is one. */
export interface LinkedPart {
  readonly text: string;
  readonly address: string | null;
}

const ADDRESS = /(?<![\p{L}\p{N}_@])(?:https?:\/\/|www\.)[^\s<>"“”„«»]+/giu;
const CLOSES: Readonly<Record<string, string>> = { ')': '(', ']': '[', '}': '{' };

const timesIn = (text: string, sign: string): number => text.split(sign).length - 1;

/** An address without what closes the sentence that it stands in: a full stop, a bracket that it does not open itself. */
function withoutEnd(found: string): string {
  // By how many each bracket is closed more often than it is opened.
  const unopened = new Map(
    Object.entries(CLOSES).map(([close, open]) => [close, timesIn(found, close) - timesIn(found, open)]),
  );
  let end = found.length;
  for (; end > 0; end--) {
    const last = found[end - 1] ?? '';
    const over = unopened.get(last) ?? 0;
    if (over > 0) unopened.set(last, over - 1);
    else if (!/[.,;:!?'’…*_]/.test(last)) break;
  }
  return found.slice(0, end);
}

/** Text with the addresses of pages that were typed in it: those with http://, https:// or www. in front. */
export function linkedParts(text: string): LinkedPart[] {
  const parts: LinkedPart[] = [];
  let from = 0;
  for (const { index, 0: found } of text.matchAll(ADDRESS)) {
    const typed = withoutEnd(found);
    const address = /^www\./i.test(typed) ? `https://${typed}` : typed;
    if (!/\/\/[^/.]+\.[^/.]|\/\/localhost/i.test(address) || !isSafeAddress(address)) continue;
    if (index > from) parts.push({ text: text.slice(from, index), address: null });
    parts.push({ text: typed, address });
    from = index + typed.length;
  }
  if (from < text.length || parts.length === 0) parts.push({ text: text.slice(from), address: null });
  return parts;
}
