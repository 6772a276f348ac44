import { placeWords } from '../../content/shownLine';
import type { ShownAnswer } from '../../content/shownAnswer';
import { hitsOf } from './mark';
import type { Point, SpotAnswer, SpotFace, SpotQuestion } from './schema';

/** The spots that were set, on the picture. */
export const shown = ({ picture }: SpotQuestion, { spots }: SpotAnswer): ShownAnswer =>
  picture
    ? { form: 'onPicture', picture, spots, areas: [] }
    : { form: 'text', text: spots.map(placeWords).join('; ') };

/** The areas that earn everything, on the picture. */
export function shownRight({ picture, areas }: SpotQuestion): ShownAnswer[] {
  const right = areas.filter(({ credit }) => credit.n === credit.d);
  if (right.length === 0) return [];
  return picture
    ? [{ form: 'onPicture', picture, spots: [], areas: right.map(({ name, shape }) => ({ name, shape })) }]
    : right.map(({ name }) => ({ form: 'text', text: name }));
}

/** A spot by the area that it lies in, as the teacher reads it. */
function areaWords(question: SpotQuestion, spot: Point): string {
  const { values, near } = hitsOf(question, spot);
  const inside = values.findIndex((value, at) => value !== null && !near[at]);
  const at = inside >= 0 ? inside : values.findIndex((value) => value !== null);
  if (at < 0) return 'outside every area';
  return `${near[at] ? 'near' : 'in'} “${question.areas[at]?.name.trim() || `area ${at + 1}`}”`;
}

/** Where the spots lie, for the teacher alone; where no area is drawn yet, by their places. */
export const called = (question: SpotQuestion, { spots }: SpotAnswer): string =>
  spots
    .slice(0, question.asked)
    .map((spot) => (question.areas.length > 0 ? areaWords(question, spot) : placeWords(spot)))
    .join('; ');

/** The picture. */
export const given = ({ picture }: SpotFace): ShownAnswer[] =>
  picture ? [{ form: 'things', things: [{ text: '', picture }] }] : [];
