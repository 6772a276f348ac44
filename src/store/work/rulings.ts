import type { Ruling } from '@/core/quiz/work/attempt';
import { noRuling } from '@/core/quiz/work/noRuling';
import { now } from '@/device/clock';
import { db, type RecordChange } from '../records/db';
import { editing, record } from '../records/steps';
import { ofQuiz } from '../records/ofQuiz';

/** The teacher's rulings over a quiz's attempts, by attempt. */
export async function rulingsOf(quizId: string): Promise<ReadonlyMap<string, Ruling>> {
  const all = await ofQuiz.rulings(quizId).toArray();
  return new Map(all.map((ruling) => [ruling.attemptId, ruling]));
}

/** What the teacher has ruled over one attempt. */
export const rulingOf = async (quizId: string, attemptId: string): Promise<Ruling> =>
  (await db.rulings.get([quizId, attemptId])) ?? noRuling(quizId, attemptId);

const isNone = ({ standing, lateness, note, markedAt }: Ruling): boolean =>
  markedAt === undefined && standing === 'asRules' && lateness === 'counts' && note === '';

const LABELS = {
  standing: 'Change whether an attempt counts',
  lateness: 'Change whether being late costs',
  note: 'Write a note',
} as const;

type Patch = Partial<Pick<Ruling, 'standing' | 'lateness' | 'note'>>;

/** A ruling with what is ruled now: of work that is taken in, when. */
function ruled(before: Ruling, patch: Patch): Ruling {
  if (patch.standing === undefined) return { ...before, ...patch };
  const { takenInAt: _, ...rest } = before;
  return { ...rest, ...patch, ...(patch.standing === 'takenIn' ? { takenInAt: now() } : {}) };
}

/** As changes of one step: since when nothing waited in attempts is kept. */
export async function keptMarked(
  quizId: string,
  marked: readonly { readonly attemptId: string; readonly at: number }[],
): Promise<RecordChange[]> {
  const rulings = await db.rulings.bulkGet(
    marked.map(({ attemptId }): [string, string] => [quizId, attemptId]),
  );
  return marked.map(({ attemptId, at }, index) => {
    const before = rulings[index] ?? null;
    const after = { ...(before ?? noRuling(quizId, attemptId)), markedAt: at };
    return { kind: 'ruling', attemptId, before, after };
  });
}

/** Rules over attempts, all of them or none; what is not named stays. It can be undone, as one step. */
export const ruleAll = (quizId: string, attemptIds: readonly string[], patch: Patch): Promise<number> =>
  editing(async () => {
    const kept = await db.rulings.bulkGet(attemptIds.map((id) => [quizId, id] as [string, string]));
    const changes = attemptIds.map((attemptId, index) => {
      const before = kept[index] ?? null;
      const ruling = ruled(before ?? noRuling(quizId, attemptId), patch);
      return { kind: 'ruling' as const, attemptId, before, after: isNone(ruling) ? null : ruling };
    });
    const [field = 'note'] = Object.keys(patch) as (keyof typeof LABELS)[];
    return record(quizId, changes, {
      label: LABELS[field],
      field: `ruling:${attemptIds.join()}:${field}`,
    });
  });

/** Rules over one attempt; what is not named stays. It can be undone. */
export const rule = (quizId: string, attemptId: string, patch: Patch): Promise<number> =>
  ruleAll(quizId, [attemptId], patch);
