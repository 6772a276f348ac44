import type { WorkEffect } from '@/core/checking/effect';
import { count } from './figures';

/** What other times would do to the scores that are recorded; null while it is worked out. */
export function workEffectWords(effect: WorkEffect | null): string {
  if (!effect) return 'Working out what these times change…';
  const parts = [
    effect.changed > 0 ? `${count(effect.changed, 'score')} would change` : '',
    effect.lost > 0 ? `${count(effect.lost, 'student')} would no longer have a score` : '',
    effect.gained > 0 ? `${count(effect.gained, 'student')} would get a score` : '',
  ];
  return `${parts.filter(Boolean).join('; ') || 'No score would change'}.`;
}
