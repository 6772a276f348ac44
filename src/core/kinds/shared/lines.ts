import { share, quoted, type LineWords } from '../../marks/lineWords';

/** The words of the lines that several kinds write. */
export const SHARED_LINES: LineWords = {
  earns: (_, line) => `It earns ${share(line.after)}`,
  blank: () => 'Nothing was given: 0, and nothing waits',
  picked: (v) => `Picked ${quoted(v['text'])}`,
  unread: (v) => `${quoted(v['text'])} cannot be read as an answer to this question`,
  noKey: () => 'The question has no key, so the answer waits for you',
  waits: () => 'Waits for you',
  optionCredit: (v) => `${quoted(v['text'])} earns ${share(v['credit'])}`,
  rightOption: (v) => `Right would be ${quoted(v['text'])}`,
  unmatchedWrong: () => 'Matches nothing in the key: anything else is wrong',
  unmatchedWaits: () => 'Matches nothing in the key: it waits for you',
  pairRight: (v) => `${quoted(v['left'])} with ${quoted(v['right'])}: right`,
  pairWrong: (v) =>
    `${quoted(v['left'])} with ${quoted(v['right'])}: wrong${v['partner'] ? `, it belongs to ${quoted(v['partner'])}` : ', it belongs to none'}`,
  pairOpen: (v) => `${quoted(v['left'])} is left open`,
  creditFloor: (_, line) => `Not below 0: ${share(line.after)} instead of ${share(line.before)}`,
  creditCap: (_, line) => `At most all of it: ${share(line.after)} instead of ${share(line.before)}`,
};
