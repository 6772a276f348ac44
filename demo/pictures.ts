/** Where the school's drawings are: one for each of `pictures/pictures.json`. */
export const PICTURES = {
  cycle: new URL('./pictures/cycle.webp', import.meta.url),
  deltas: new URL('./pictures/deltas.webp', import.meta.url),
  hydrograph: new URL('./pictures/hydrograph.webp', import.meta.url),
  journey: new URL('./pictures/journey.webp', import.meta.url),
  section: new URL('./pictures/section.webp', import.meta.url),
  valley: new URL('./pictures/valley.webp', import.meta.url),
} as const;
