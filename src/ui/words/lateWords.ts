import type { LateRule } from '@/core/quiz/rules';
import { count, percent } from './figures';

/** What being late costs, in one sentence. */
export function lateRuleWords(rule: LateRule): string {
  if (rule.kind === 'free') return 'Being late costs nothing.';
  const of = `of the ${rule.of} points`;
  if (rule.kind === 'steps') {
    const cap = rule.cap === null ? '' : `, ${percent(rule.cap)} at most`;
    return `Each ${rule.step} (or part of ${rule.step === 'hour' ? 'an hour' : 'a day'}) late costs ${percent(rule.share)} ${of}${cap}.`;
  }
  const rows = rule.rows.map(({ within, unit, share }) => `${percent(share)} up to ${count(within, unit)}`);
  const after = rule.rows.at(-1);
  return `Late work loses part ${of}: ${rows.join(', ')}${after ? `, ${percent(after.share)} after that` : ''}.`;
}
