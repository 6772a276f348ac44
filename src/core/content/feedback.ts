import { z } from '../zod';
import { isSafeAddress } from './links';
import { Prose } from './proseSchema';

/** A remedial link: what to read, watch or practise next. */
export const RemedialLink = z.strictObject({
  title: z.string().max(300),
  /** What the student is to do there. */
  kind: z.enum(['read', 'watch', 'practise']),
  address: z.string().max(2000).refine(isSafeAddress, 'A link begins with http://, https:// or mailto:'),
});
export type RemedialLink = z.infer<typeof RemedialLink>;

/** What a student reads for one answer; empty text and no links mean silence. */
export const Feedback = z.strictObject({
  text: Prose,
  links: z.array(RemedialLink).max(20),
});
export type Feedback = z.infer<typeof Feedback>;
