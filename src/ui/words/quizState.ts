import type { QuizRecord } from '@/store/records/db';

/**
 * Changes whenever something takes effect at once on what students see or what counts: the standing, the plan,
 * the rule for unfinished work; and, while nobody has handed in, everything written.
 */
export const quizState = ({ standing, content, firstHandInAt, changeSeq }: QuizRecord): string =>
  JSON.stringify([
    standing,
    content.plan,
    content.unfinished,
    content.missing,
    content.attempts.most,
    content.timeLimit,
    content.comingBack,
    content.zone,
    firstHandInAt === null ? changeSeq : 0,
  ]);
