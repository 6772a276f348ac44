/** Control characters but white space, and those that turn the direction of the text after them. */
const DISTURBING = /[\u0000-\u0008\u000E-\u001F\u007F-\u0084\u0086-\u009F\u202A-\u202E\u2066-\u2069]/g;

/** A text without what could hide or turn round the other texts of a screen, a page or a file; line breaks stay. */
export const shownText = (text: string): string =>
  text.replace(/\r\n?|[\u000B\u000C\u0085]/g, '\n').replace(DISTURBING, '');

/** A name, number or heading: shown text on one line. */
export const lineText = (text: string): string => shownText(text).replace(/\s+/g, ' ').trim();
