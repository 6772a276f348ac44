import { type Problem } from '../kind';
import { hasKey } from './mark';
import type { SpotQuestion } from './schema';
import { text, quoted, fractionText, type LineWords } from '../../marks/lineWords';

export const problems = (question: SpotQuestion): Problem[] => {
  const found: Problem[] = hasKey(question) ? [] : [{ code: 'noKey', text: 'no area' }];
  if (!question.picture) found.push({ code: 'noText', text: 'no picture' });
  return found;
};

/** The words of the lines that only this kind writes. */
export const lines: LineWords = {
  spotIn: (v, line, say) =>
    `Spot ${text(v['spot'])} is ${v['near'] ? 'near' : 'in'} ${quoted(v['area'])}: ${say.share(line.after)}`,
  spotCounted: (v) => `Spot ${text(v['spot'])} is in an area that is already counted`,
  spotAstray: (v) => `Spot ${text(v['spot'])} is not in any area`,
  spots: (v, line, say) =>
    `${fractionText(v['earned'])} earned minus ${say.points(v['lambda'])} × ${text(v['astray'])} astray, out of ${text(v['asked'])}: ${say.share(line.after)}`,
};
