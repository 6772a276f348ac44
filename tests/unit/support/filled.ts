import { ONE, ZERO } from '@/core/figures/fraction';
import { kindOf, type KindName, type Question } from '@/core/kinds';
import { NO_RULES } from '@/core/content/questionRules';
import { SILENCE } from '@/core/content/silence';

const credit = ZERO;
const [feedback, picture, text, gone] = [SILENCE, null, '', false] as const;
const variants = { match: 'whole', credit, feedback, decides: false, settings: {} };

/** What every entry of a list has where a case does not say, by kind and list. */
const FIELDS: Readonly<Partial<Record<KindName, Readonly<Record<string, object>>>>> = {
  pickOne: { options: { text, picture, credit, feedback, missed: feedback, gone, keepsPlace: false } },
  pickSeveral: {
    options: {
      text,
      picture,
      right: false,
      weight: ZERO,
      feedback,
      missed: feedback,
      gone,
      keepsPlace: false,
    },
  },
  trueFalse: { whenTrue: { credit, feedback }, whenFalse: { credit, feedback } },
  phrase: { variants },
  number: { expected: { credit, feedback, bands: null } },
  gaps: {
    variants,
    options: { text, credit, feedback },
    words: { credit, feedback },
    expected: { credit, feedback, bands: null },
  },
  match: { items: { text, picture, partner: null, weight: ONE, feedback }, partners: { text, picture } },
  order: { items: { text, picture } },
  boxes: { items: { text, picture, boxes: [], feedback }, boxes: { text } },
  rows: { rows: { text, several: false, feedback }, options: { text, credit, right: false } },
  spot: { areas: { name: '', credit, feedback }, picture: { hash: '0'.repeat(64), alt: '', share: 100 } },
  written: { rubric: { text }, levels: { text } },
};
/** Lists whose entries are looked into for further lists. */
const NESTED = new Set([
  'gaps',
  'ideas',
  'variants',
  'options',
  'rows',
  'rubric',
  'levels',
  'words',
  'expected',
]);

function filled(value: unknown, kind: KindName, list: string): unknown {
  if (Array.isArray(value)) return value.map((one) => filled(one, kind, list));
  if (typeof value !== 'object' || value === null) return value;
  const fields: object = FIELDS[kind]?.[list] ?? {};
  // What a case gives no words is named after its id: without a name it would count for nothing.
  const more = 'text' in fields && 'id' in value ? { ...fields, text: value.id } : fields;
  const inside = (key: string, part: unknown) =>
    FIELDS[kind]?.[key] || NESTED.has(key) ? filled(part, kind, key) : part;
  return {
    ...more,
    ...Object.fromEntries(Object.entries(value).map(([key, part]) => [key, inside(key, part)])),
  };
}

/** A whole question of a kind from what a case says of it. */
export function filledQuestion(kind: KindName, body: object): Question {
  let next = 0;
  const empty = kindOf({ kind }).create(() => `new-${next++}`);
  const shared = {
    id: 'q', text: [], right: SILENCE, partly: SILENCE, wrong: SILENCE, explanation: '', ...NO_RULES,
  }; // prettier-ignore
  return { ...shared, ...empty, ...(filled(body, kind, '') as object) } as unknown as Question;
}
