import { z } from '../zod';

/** As what a student is given what there is to answer with: how it is called is said in the student's language. */
export const GivenAs = z.enum(['choices', 'rows', 'order', 'boxes', 'pairs', 'picture', 'text']);
export type GivenAs = z.infer<typeof GivenAs>;
