import { placeWords } from '../../content/shownLine';
import type { ShownAnswer } from '../../content/shownAnswer';
import { isInside } from './geometry';
import { hitsOf } from './mark';
import type { Area, Point, SpotAnswer, SpotFace, SpotQuestion } from './schema';

/** The areas that earn everything. */
const rightAreas = ({ areas }: SpotQuestion): Area[] => areas.filter(({ credit }) => credit.n === credit.d);

const outlineOf = ({ name, shape }: Area) => ({ name, shape });

/** The spots that were set, on the picture. */
export const shown = ({ picture }: SpotQuestion, { spots }: SpotAnswer): ShownAnswer =>
  picture
    ? { form: 'onPicture', picture, spots, areas: [], inside: [] }
    : { form: 'text', text: spots.map(placeWords).join('; ') };

/** The spots among the areas that earn everything, each with the one that it lies in. */
export function shownBesideRight(question: SpotQuestion, answer: SpotAnswer): ShownAnswer {
  const { picture } = question;
  if (!picture) return shown(question, answer);
  const right = rightAreas(question);
  const inside = answer.spots.map(
    (spot) => right.find(({ shape }) => isInside(spot, shape, picture))?.name.trim() || null,
  );
  return { form: 'onPicture', picture, spots: answer.spots, areas: right.map(outlineOf), inside };
}

/** The areas that earn everything, on the picture. */
export function shownRight(question: SpotQuestion): ShownAnswer[] {
  const { picture } = question;
  const right = rightAreas(question);
  if (right.length === 0) return [];
  return picture
    ? [{ form: 'onPicture', picture, spots: [], areas: right.map(outlineOf), inside: [] }]
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
