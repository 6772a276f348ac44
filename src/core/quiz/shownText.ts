/** Control characters but tab and line feed, and those that turn the direction of the text after them. */
const DISTURBING = /[\u0000-\u0008\u000B-\u001F\u007F-\u009F\u202A-\u202E\u2066-\u2069]/g;

/** A text without what could hide or turn round the other texts of a screen, a page or a file; line breaks stay. */
export const shownText = (text: string): string => text.replace(/\r\n?/g, '\n').replace(DISTURBING, '');

/** A name, number or heading: shown text on one line. */
export const lineText = (text: string): string => shownText(text).replace(/\s+/g, ' ').trim();
