import type { LateRule } from '@/core/quiz/rules';
import { percent } from './figures';

/** What being late costs, in one sentence. */
export function lateRuleWords(rule: LateRule): string {
  if (rule.kind === 'free') return 'Being late costs nothing.';
  const of = `of the ${rule.of} points`;
  if (rule.kind === 'steps') {
    const cap = rule.cap === null ? '' : `, at most ${percent(rule.cap)}`;
    return `Each started ${rule.step} late costs ${percent(rule.share)} ${of}${cap}.`;
  }
  const rows = rule.rows.map(
    ({ days, share }) => `up to ${days} ${days === 1 ? 'day' : 'days'} ${percent(share)}`,
  );
  return `Being late costs a share ${of}: ${rows.join(', ')}, and as much after that.`;
}
