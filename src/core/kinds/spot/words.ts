import { type Problem } from '../kind';
import { wrongOnesCost } from '../shared/costWords';
import { hasKey } from './mark';
import type { SpotQuestion } from './schema';
import { counted, text, quoted, fractionText, type LineWords } from '../../marks/lineWords';

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
    `${fractionText(v['earned'])} of ${counted(v['asked'], 'spot')} earned${wrongOnesCost(v['astray'], v['lambda'], 'spot outside every area', 'right one')}: ${say.share(line.after)}`,
};
