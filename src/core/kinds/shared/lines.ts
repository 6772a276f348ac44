import { quoted, type LineWords } from '../../marks/lineWords';

/** The words of the lines that several kinds write. */
export const SHARED_LINES: LineWords = {
  earns: (_, line, say) => `It earns ${say.share(line.after)}`,
  blank: () => 'No answer: 0 points, nothing to mark',
  picked: (v) => `Picked ${quoted(v['text'])}`,
  unread: (v) => `${quoted(v['text'])} cannot be read as an answer to this question`,
  noKey: () => 'The question has no key, so the answer is for you to mark',
  waits: () => 'It is for you to mark',
  optionCredit: (v, _, say) => `${quoted(v['text'])} earns ${say.share(v['credit'])}`,
  rightOption: (v) => `The right answer is ${quoted(v['text'])}`,
  unmatchedWrong: () => 'Matches nothing in the key, so it is wrong',
  unmatchedWaits: () => 'Matches nothing in the key, so it is for you to mark',
  pairRight: (v) => `${quoted(v['left'])} with ${quoted(v['right'])}: right`,
  pairWrong: (v) =>
    `${quoted(v['left'])} with ${quoted(v['right'])}: wrong${v['partner'] ? `, it belongs with ${quoted(v['partner'])}` : ', it has no match'}`,
  pairOpen: (v) => `${quoted(v['left'])} is left unmatched`,
  creditFloor: (_, line, say) => `Not below 0: ${say.share(line.after)} instead of ${say.share(line.before)}`,
  creditCap: (_, line, say) =>
    `Capped at full points: ${say.share(line.after)} instead of ${say.share(line.before)}`,
};
