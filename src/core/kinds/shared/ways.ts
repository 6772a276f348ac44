import type { Way } from '../kind';

/** Each model that a kind has as a way of giving part of the points: what it is called, and the question with it. */
export function waysFrom<Question extends { readonly model: unknown }, Model extends string>(
  words: Readonly<Record<Model, string>>,
  now: Model,
  withModel: (model: Model) => Question,
): Way<Question>[] {
  return (Object.entries(words) as [Model, string][]).map(([model, text]) => ({
    words: text,
    question: withModel(model),
    isNow: model === now,
  }));
}
