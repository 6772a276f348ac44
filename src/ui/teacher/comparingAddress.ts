import type { Tried } from '@/core/checking/compared';
import { DEFAULT_SETTINGS, TextSettings, WayOfMatching } from '@/core/answers/text/settings';

/** Where what is tried stands in the address of the page, so that a key, and an answer to it, is a link away. */
export function comparingAddress(tried: Partial<Tried>, answer?: string): string {
  const written = Object.entries({ ...tried, ...(answer === undefined ? {} : { answer }) }).map(
    ([name, value]) => [name, typeof value === 'string' ? value : JSON.stringify(value)],
  );
  return `/comparing/?${new URLSearchParams(written).toString()}`;
}

const FIRST: Tried = {
  reads: 'words',
  right: '2x - 3',
  language: 'en',
  decimalSign: 'point',
  settings: DEFAULT_SETTINGS,
  match: 'whole',
  unit: '',
};

function settingsIn(text: string | null): TextSettings {
  try {
    const read = TextSettings.safeParse(JSON.parse(text ?? ''));
    return read.success ? read.data : DEFAULT_SETTINGS;
  } catch {
    return DEFAULT_SETTINGS;
  }
}

const MOST_TYPED = 500;

/** What the address asks for; what it does not say, or cannot be read, is as it is at first. */
export function triedIn(address: string): Tried {
  const query = new URLSearchParams(address);
  const match = WayOfMatching.safeParse(query.get('match'));
  return {
    reads: query.get('reads') === 'numbers' ? 'numbers' : 'words',
    right: (query.get('right') ?? FIRST.right).slice(0, MOST_TYPED),
    language: (query.get('language') ?? FIRST.language).slice(0, 20),
    decimalSign: query.get('decimalSign') === 'comma' ? 'comma' : 'point',
    settings: settingsIn(query.get('settings')),
    match: match.success ? match.data : FIRST.match,
    unit: (query.get('unit') ?? '').slice(0, 60),
  };
}

/** The answer that the address asks for. */
export const answerIn = (address: string): string =>
  (new URLSearchParams(address).get('answer') ?? '2x − 3').slice(0, MOST_TYPED);
