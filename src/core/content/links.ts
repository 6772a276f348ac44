/** Only addresses that a browser opens without running anything: http, https and mailto. */
export function isSafeAddress(address: string): boolean {
  return /^(https?:\/\/[^\s/]|mailto:[^\s@]+@[^\s@])[^\s]*$/i.test(address.trim());
}

/** An address as people type it, made whole: `www.rivers.example` gets https://, an e-mail address mailto:. */
export function completeAddress(typed: string): string {
  const address = typed.trim();
  if (isSafeAddress(address) || /^[a-z][a-z0-9+.-]*:/i.test(address)) return address;
  if (/^[^\s@/:]+@[^\s@/]+\.[^\s@/]+$/.test(address)) return `mailto:${address}`;
  return /^[^\s/@:]+\.[^\s/@:]{2,}(?::\d+)?(?:[/?#]\S*)?$/.test(address) ? `https://${address}` : address;
}

/** What the student is to do at a remedial link. */
export const LINK_KINDS = { read: 'Read', watch: 'Watch', practise: 'Practise' } as const;
