import { Id } from '../../content/questionBase';
import { Instant } from '../../figures/instant';
import { z } from '../../zod';

/** That a student has seen the first page of a quiz, before any attempt: when that was so first, ms since 1970. */
export const Look = z.strictObject({ quizId: Id, studentId: Id, at: Instant });
export type Look = z.infer<typeof Look>;
