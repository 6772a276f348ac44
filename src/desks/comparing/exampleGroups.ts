import type { Tried } from '@/core/checking/compared';
import { DEFAULT_SETTINGS, withPreset, type Preset, type WayOfMatching } from '@/core/answers/text/settings';

/** Examples of what is compared as the same and what is not: each can be taken and changed. */
export interface ExampleGroup {
  readonly title: string;
  readonly about: string;
  readonly rows: readonly Example[];
}
export interface Example {
  readonly tried: Tried;
  readonly answer: string;
}

const words = (
  right: string,
  answer: string,
  preset: Preset = 'spellingCounts',
  more: { readonly language?: string; readonly match?: WayOfMatching } = {},
): Example => ({
  tried: {
    reads: 'words',
    right,
    language: more.language ?? 'en',
    decimalSign: 'point',
    settings: withPreset(DEFAULT_SETTINGS, preset),
    match: more.match ?? 'whole',
    unit: '',
  },
  answer,
});

const numbers = (right: string, answer: string, unit = ''): Example => ({
  tried: { reads: 'numbers', right, language: 'en', decimalSign: 'point', settings: DEFAULT_SETTINGS, match: 'whole', unit }, // prettier-ignore
  answer,
});

export const EXAMPLES: readonly ExampleGroup[] = [
  {
    title: 'Signs of a formula',
    about:
      'Punctuation is ignored, but not a sign that stands beside a figure, a single letter or a bracket.',
    rows: [
      words('2x-3', '2x − 3'),
      words('2x-3', '2x 3'),
      words('discharge = width × depth × speed', 'Discharge = width · depth · speed'),
      words('(3, -4)', '(3,-4)'),
      words('(3, -4)', '(3,4)'),
      words('x⁻¹', 'x^-1'),
      words('ox-bow', 'ox bow'),
    ],
  },
  {
    title: 'Chemistry',
    about: 'Raised and lowered figures, arrows and charges are the same however they are typed.',
    rows: [
      words('Ca(OH)2', 'Ca(OH)₂'),
      words('Ca(OH)2', 'CaOH2'),
      words('NO3-', 'NO₃⁻'),
      words('NO3-', 'NO3'),
      words('2H2 + O2 → 2H2O', '2 H2 + O2 -> 2 H2O'),
    ],
  },
  {
    title: 'Numbers',
    about: 'What stands behind a number may multiply it, count something, or make it another number.',
    rows: [
      numbers('1500000', '1.5 million'),
      numbers('2', '2 tributaries'),
      numbers('2', '2x'),
      numbers('2', '2 or more'),
      numbers('24', '24 hours', 'h'),
      numbers('9.81', '9.81 m s⁻²', 'm/s²'),
      numbers('90', '90 kilometres per hour', 'km/h'),
    ],
  },
  {
    title: 'Other words',
    about: 'A typing error passes where you let it; a word of its own does not.',
    rows: [
      words('erosion', 'errosion', 'smallErrorsPass'),
      words('glacier', 'glazier', 'smallErrorsPass'),
      words('sulphate', 'sulphite', 'smallErrorsPass'),
      words('permeable', 'impermeable', 'smallErrorsPass'),
      words('colour', 'color', 'smallErrorsPass'),
    ],
  },
  {
    title: 'One and many',
    about: 'Singular and plural are one thing where only the meaning counts.',
    rows: [
      words('levee', 'levees', 'smallErrorsPass'),
      words('levee', 'levees', 'onlyTheSense'),
      words('delta', 'deltas', 'onlyTheSense'),
      words('valley', 'valleys', 'onlyTheSense'),
    ],
  },
  {
    title: 'French',
    about: 'A missing accent passes, unless what is left is another word.',
    rows: [
      words('érosion', 'erosion', 'smallErrorsPass', { language: 'fr' }),
      words('mangé', 'mange', 'smallErrorsPass', { language: 'fr' }),
      words('où', 'ou', 'smallErrorsPass', { language: 'fr' }),
      words('maître', 'maitre', 'smallErrorsPass', { language: 'fr' }),
    ],
  },
  {
    title: 'German',
    about: 'ß and ss are the same; umlauts may be typed as ae, oe, ue.',
    rows: [
      words('Überschwemmung', 'Ueberschwemung', 'smallErrorsPass', { language: 'de' }),
      words('den Fluss', 'dem Fluss', 'smallErrorsPass', { language: 'de' }),
      words('Fluss', 'Fluß', 'spellingCounts', { language: 'de' }),
      words('Hochwasserschutz', 'Hochwasserschatz', 'smallErrorsPass', { language: 'de' }),
    ],
  },
  {
    title: 'A phrase that is denied',
    about: 'Looked for anywhere in the answer, it does not count behind a word that denies it.',
    rows: [
      words('permeable', 'the rock is permeable', 'spellingCounts', { match: 'phrase' }),
      words('permeable', 'it is not very permeable', 'spellingCounts', { match: 'phrase' }),
      words('permeable', 'non-permeable', 'spellingCounts', { match: 'phrase' }),
    ],
  },
  {
    title: 'Written otherwise',
    about: 'Not the same, but shown to you as a near miss.',
    rows: [
      words('√2', 'sqrt 2'),
      words('World War II', 'World War 2'),
      words('9:30', '09:30'),
      words('10 km', '10 kilometres'),
      words('twenty-one', '21'),
    ],
  },
];
