import { toDecimalText } from '../../figures/fraction';
import { type Problem } from '../kind';
import type { WrittenQuestion } from './schema';
import { text, quoted, type LineWords } from '../../marks/lineWords';

export function describe({ rubric }: WrittenQuestion): string[] {
  if (!rubric) return ['You mark it by a number of points.'];
  return rubric.map(
    ({ text, levels }) =>
      `${text}: ${levels.map((level) => `${level.text} ${toDecimalText(level.points)}`).join(', ')}.`,
  );
}

export const problems = ({ rubric }: WrittenQuestion): Problem[] =>
  rubric?.every(({ levels }) => levels.every(({ points }) => points.n === 0))
    ? [{ code: 'noKey', text: 'no level of the rubric is worth anything' }]
    : [];

/** The words of the lines that only this kind writes. */
export const lines: LineWords = {
  writtenWaits: () => 'A written answer: it is for you to mark',
  level: (v, _, say) =>
    `${text(v['criterion'])}: ${quoted(v['text'] ?? v['level'])}, ${say.points(v['points'])}`,
  rubric: (v, _, say) => `The rubric gives ${say.share(v['credit'])}`,
};
