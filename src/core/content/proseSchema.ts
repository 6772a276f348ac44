import { z } from '../zod';
import type { Prose as Data } from './prose';
import { RichText } from './richText';

/** Words that may be formatted: see {@link Data}. */
export const Prose: z.ZodType<Data> = z.union([z.string().max(5000), RichText.max(200)]);
export type Prose = Data;
