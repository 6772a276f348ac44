import type { ClassFace } from '../classFace';
import { hitsOf } from './mark';
import { placeOf } from './places';
import type { SpotAnswer, SpotQuestion } from './schema';

/** Where on the picture spots were set; those beyond the number asked for count for nothing and are not shown. */
export const classFace = (question: SpotQuestion): ClassFace<SpotAnswer> => ({
  form: 'spots',
  spots: (answer) =>
    answer.spots.slice(0, question.asked).map((spot) => {
      const hit = hitsOf(question, spot).values.findIndex((value) => value !== null);
      return { ...placeOf(spot), area: question.areas[hit]?.id ?? null };
    }),
});
