import { htmlText } from '../formats/htmlText';
import type { PaperData } from './paperData';

/** The page of papers' files as the build makes it, without a paper. */
export interface PaperPage {
  readonly page: string;
  /** What students are told in each language but English: a script, and its hash for the page's policy. */
  readonly told: Readonly<Record<string, { readonly script: string; readonly hash: string }>>;
}

/** Data between the tags of a script: nothing in it can end them. */
const asScript = (data: unknown): string => JSON.stringify(data).replaceAll('<', '\\u003c');

/** `text` with one place in it replaced, which must be there. */
function put(text: string, place: string, by: string): string {
  const at = text.indexOf(place);
  if (at < 0) throw new Error(`The page of papers has no ${place}`);
  return text.slice(0, at) + by + text.slice(at + place.length);
}

const mainOf = (tag: string): string => tag.split('-')[0]?.toLowerCase() ?? '';

/** A paper's file: the page with a paper in it. `noScripts`: what is said where a preview of the file runs none. */
export function filledPage({ page, told }: PaperPage, data: PaperData, noScripts: string): string {
  const language = mainOf(data.cover.language);
  const own = Object.hasOwn(told, language) ? told[language] : undefined;
  let made = put(page, '<title>Quiz</title>', `<title>${htmlText(data.cover.title)}</title>`);
  made = put(made, '<html lang="en"', `<html lang="${own ? language : 'en'}"`);
  made = put(
    made,
    '<p id="noscript"></p>',
    `<p>${htmlText(data.cover.title)}</p><p>${htmlText(noScripts)}</p>`,
  );
  if (own) {
    made = put(made, 'script-src ', `script-src ${own.hash} `);
    made = put(made, '<div id="page">', `<script>${own.script}</script><div id="page">`);
  }
  return put(
    made,
    '<script id="paper" type="application/json"></script>',
    `<script id="paper" type="application/json">${asScript(data)}</script>`,
  );
}
