import assert from 'node:assert/strict';
import { MarkedClass } from '@/core/checking/classWork';
import type { Attempt } from '@/core/quiz/work/attempt';
import type { Paper } from '@/core/quiz/quiz';
import type { ScoredSheet } from '@/core/scoring/scoredSheet';
import { windowOf } from './shown';

/** A paper that was handed in with these answers, marked. */
export function sheetOf(paper: Paper, answers: Attempt['answers']): ScoredSheet {
  const attempt: Attempt = {
    id: 'a', quizId: 'q', studentId: 's', number: 1, revision: 1, openedAt: 1, savedAt: 2, handedInAt: 3, timeKnown: true,
    source: 'sat', seed: 0, saves: {}, hints: {}, answers, seq: 1,
  }; // prettier-ignore
  const work = {
    attempts: [attempt],
    windowOf: () => windowOf(null),
    unfinished: 'taken' as const,
    overrides: new Map(),
    rulings: new Map(),
    at: 10,
  };
  const [sheet] = new MarkedClass(paper, work).students()[0]?.sheets ?? [];
  assert.ok(sheet);
  return sheet;
}
