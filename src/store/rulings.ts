import type { Ruling } from '@/core/quiz/attempt';
import { db } from './db';
import { editing, record } from './history';

/** The teacher's rulings over a quiz's attempts, by attempt. */
export async function rulingsOf(quizId: string): Promise<ReadonlyMap<string, Ruling>> {
  const all = await db.rulings
    .where('[quizId+attemptId]')
    .between([quizId, ''], [quizId, '\uffff'])
    .toArray();
  return new Map(all.map((ruling) => [ruling.attemptId, ruling]));
}

/** What the teacher has ruled over one attempt. */
export const rulingOf = async (quizId: string, attemptId: string): Promise<Ruling> =>
  (await db.rulings.get([quizId, attemptId])) ?? noRuling(quizId, attemptId);

/** The ruling over an attempt of which the teacher has said nothing. */
export const noRuling = (quizId: string, attemptId: string): Ruling => ({
  quizId, attemptId, standing: 'asRules', lateness: 'counts', note: '',
}); // prettier-ignore

const isNone = ({ standing, lateness, note }: Ruling): boolean =>
  standing === 'asRules' && lateness === 'counts' && note === '';

const LABELS = {
  standing: 'Change whether an attempt counts',
  lateness: 'Change whether being late costs',
  note: 'Write a note',
} as const;

/** Rules over one attempt; what is not named stays. It can be undone. */
export const rule = (
  quizId: string,
  attemptId: string,
  patch: Partial<Pick<Ruling, 'standing' | 'lateness' | 'note'>>,
): Promise<void> =>
  editing(async () => {
    const before = (await db.rulings.get([quizId, attemptId])) ?? null;
    const ruling = { ...(before ?? noRuling(quizId, attemptId)), ...patch };
    const after = isNone(ruling) ? null : ruling;
    const [field = 'note'] = Object.keys(patch) as (keyof typeof LABELS)[];
    await record(quizId, [{ kind: 'ruling', attemptId, before, after }], {
      label: LABELS[field],
      field: `ruling:${attemptId}:${field}`,
    });
  });
