import { judgeText } from '../kinds/shared/textKey/judge';
import type { TextKey } from '../kinds/shared/textKey/schema';
import type { MarkingContext, NearMiss } from '../marks/mark';

/**
 * The form of a key that a near miss is near to, by the reason for which it is one: the first that gives the same reason alone.
 * null where it is near to no single form, such as one that is right for another question.
 */
export function nearTo(key: TextKey, text: string, reason: NearMiss, context: MarkingContext): string | null {
  const alone = { ...context, others: [] };
  for (const variant of key.variants) {
    if (variant.credit.n <= 0 || variant.match === 'pattern') continue;
    for (const form of variant.forms) {
      const only: TextKey = { settings: key.settings, variants: [{ ...variant, forms: [form] }] };
      if (judgeText(only, text, '', alone).nearMiss === reason) return form;
    }
  }
  return null;
}
