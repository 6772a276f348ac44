import { type Problem } from '../kind';
import { hasKey } from './mark';
import type { SpotQuestion } from './schema';
import { share, points, text, quoted, fractionText, type LineWords } from '../../marks/lineWords';

export const problems = (question: SpotQuestion): Problem[] => {
  const found: Problem[] = hasKey(question) ? [] : [{ code: 'noKey', text: 'no area' }];
  if (!question.picture) found.push({ code: 'noText', text: 'no picture' });
  return found;
};

/** The words of the lines that only this kind writes. */
export const lines: LineWords = {
  spotIn: (v, line) =>
    `Spot ${text(v['spot'])} is ${v['near'] ? 'near' : 'in'} ${quoted(v['area'])}: ${share(line.after)}`,
  spotCounted: (v) => `Spot ${text(v['spot'])} is in an area that counts already`,
  spotAstray: (v) => `Spot ${text(v['spot'])} is in no area`,
  spots: (v, line) =>
    `${fractionText(v['earned'])} earned less ${points(v['lambda'])} × ${text(v['astray'])} astray, of ${text(v['asked'])}: ${share(line.after)}`,
};
