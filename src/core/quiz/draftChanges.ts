import type { Placed } from './placement';
import type { Paper } from './quiz';
import { same } from '../figures/deepEqual';
import { placedIn } from './paper';

/** One difference between what is written and what counts. */
export interface DraftChange {
  readonly kind:
    'added' | 'removed' | 'changed' | 'order' | 'points' | 'language' | 'rules' | 'comparing' | 'texts';
  readonly questionId: string | null;
}

/** Rules of the whole quiz, and what students read besides the questions. */
const RULES = ['late', 'zone', 'scoring', 'decimalSign', 'penalty', 'negativeCredit'] as const;
const TEXTS = [
  'title', 'instructions', 'mustAnswer', 'shuffled', 'shuffledOptions', 'sections', 'pages', 'bands', 'bandsOnCover',
] as const; // prettier-ignore

const fieldsOf = (content: Paper['content'], fields: readonly (keyof Paper['content'])[]) =>
  fields.map((field) => content[field]);
const rulesOf = (content: Paper['content']) => [content.attempts.counts, ...fieldsOf(content, RULES)];

/** What of a question counts for students; checks and look-alikes are for the teacher alone. */
const counting = ({ question, placement: { checks: _, lookAlikes: __, ...placement } }: Placed) => ({
  question,
  placement,
});

/** What the draft holds that the live revision does not. Plan, closing rule and number of attempts take effect at once. */
export function draftChanges(draft: Paper, live: Paper): DraftChange[] {
  const liveById = new Map(placedIn(live).map((one) => [one.question.id, one]));
  const draftIds = new Set(draft.questions.map((question) => question.id));
  const found: DraftChange[] = [];
  for (const placed of placedIn(draft)) {
    const questionId = placed.question.id;
    const before = liveById.get(questionId);
    if (!before) found.push({ kind: 'added', questionId });
    else if (!same(counting(before), counting(placed))) found.push({ kind: 'changed', questionId });
  }
  for (const question of live.questions) {
    if (!draftIds.has(question.id)) found.push({ kind: 'removed', questionId: question.id });
  }
  const kept = (paper: Paper, other: Set<string>) =>
    paper.questions.map((q) => q.id).filter((id) => other.has(id));
  const liveIds = new Set(liveById.keys());
  if (!same(kept(draft, liveIds), kept(live, draftIds))) found.push({ kind: 'order', questionId: null });
  const [a, b] = [draft.content, live.content];
  if (!same(a.defaultPoints, b.defaultPoints)) found.push({ kind: 'points', questionId: null });
  if (a.language !== b.language) found.push({ kind: 'language', questionId: null });
  if (a.comparing !== b.comparing) found.push({ kind: 'comparing', questionId: null });
  if (!same(rulesOf(a), rulesOf(b))) found.push({ kind: 'rules', questionId: null });
  if (!same(fieldsOf(a, TEXTS), fieldsOf(b, TEXTS))) found.push({ kind: 'texts', questionId: null });
  return found;
}
