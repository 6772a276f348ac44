import { kindOf, KINDS, type KindName, type Question } from '../kinds';
import { SILENCE } from '../quiz/silence';
import { sum, type Fraction } from '../figures/fraction';
import type { Paper, QuizContent } from './quiz';

/** Points of a question: its own, else the quiz's default. */
export const pointsOf = (question: Question, content: QuizContent): Fraction =>
  question.points ?? content.defaultPoints;

/** All points of the paper. */
export const pointsOfPaper = (paper: Paper): Fraction =>
  sum(paper.questions.map((question) => pointsOf(question, paper.content)));

/** A new question of a kind. After one of the same kind it takes that one's points and rules. */
export function newQuestion(kind: KindName, last: Question | undefined, newId: () => string): Question {
  const alike = last?.kind === kind ? last : undefined;
  const body = alike ? kindOf(alike).next(alike, newId) : KINDS[kind].create(newId);
  const shared = {
    id: newId(),
    text: [],
    points: last?.points ?? null,
    right: SILENCE,
    wrong: SILENCE,
    explanation: '',
  };
  return { ...shared, ...body } as unknown as Question;
}

/** The order with `id` put behind `after`; at the end where that is null or unknown. */
export function insertAfter(order: readonly string[], id: string, after: string | null): string[] {
  const at = after === null ? -1 : order.indexOf(after);
  return at < 0 ? [...order, id] : [...order.slice(0, at + 1), id, ...order.slice(at + 1)];
}

/** The order with the item at `from` moved to `to`; unchanged where either lies outside. */
export function move(order: readonly string[], from: number, to: number): string[] {
  const moved = [...order];
  if (to < 0 || to >= order.length) return moved;
  const [id] = moved.splice(from, 1);
  if (id === undefined) return [...order];
  moved.splice(to, 0, id);
  return moved;
}

/** The questions of the paper in its order; ids without a question are passed over. */
export function inOrder(order: readonly string[], questions: readonly Question[]): Question[] {
  const byId = new Map(questions.map((question) => [question.id, question]));
  return order.flatMap((id) => byId.get(id) ?? []);
}

/** Canonical text of plain data: equal for equal content, whatever the order of its fields. */
export function canonical(value: unknown): string {
  return JSON.stringify(value, (_, inner: unknown) =>
    inner !== null && typeof inner === 'object' && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  );
}

export const same = (a: unknown, b: unknown): boolean => a === b || canonical(a) === canonical(b);

/** One difference between what is written and what counts. */
export interface DraftChange {
  readonly kind: 'added' | 'removed' | 'changed' | 'order' | 'points' | 'language' | 'texts';
  readonly questionId: string | null;
}

/** What the draft holds that the live revision does not. Plan and closing rule take effect at once. */
export function draftChanges(draft: Paper, live: Paper): DraftChange[] {
  const liveById = new Map(live.questions.map((question) => [question.id, question]));
  const draftIds = new Set(draft.questions.map((question) => question.id));
  const found: DraftChange[] = [];
  for (const question of draft.questions) {
    const before = liveById.get(question.id);
    if (!before) found.push({ kind: 'added', questionId: question.id });
    else if (!same(before, question)) found.push({ kind: 'changed', questionId: question.id });
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
  if (!same([a.title, a.instructions], [b.title, b.instructions]))
    found.push({ kind: 'texts', questionId: null });
  return found;
}
