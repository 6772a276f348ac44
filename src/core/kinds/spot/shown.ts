import type { ShownAnswer } from '../../content/shownAnswer';
import { inWords } from '../../content/shownLine';
import { spotText } from './cells';
import type { SpotAnswer, SpotFace, SpotQuestion } from './schema';

/** The spots that were set, by their place on the picture. */
export const shown = (_: SpotQuestion, { spots }: SpotAnswer): ShownAnswer => ({
  form: 'things',
  things: spots.map((spot) => inWords(spotText(spot))),
});

/** The names of the areas that earn everything. */
export const shownRight = ({ areas }: SpotQuestion): ShownAnswer[] =>
  areas.filter(({ credit }) => credit.n === credit.d).map(({ name }) => ({ form: 'text', text: name }));

/** The picture. */
export const given = ({ picture }: SpotFace): ShownAnswer[] =>
  picture ? [{ form: 'things', things: [{ text: '', picture }] }] : [];
