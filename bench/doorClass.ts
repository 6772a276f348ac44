import type { OpenDoor } from '@/core/door/schema';
import { madeUpClass } from '@/core/madeUp/class';
import { placedIn } from '@/core/quiz/paper';
import { NEW_STANDING } from '@/core/quiz/newQuiz';
import { ticketFrom } from '@/core/quiz/people/ticket';
import { at as once, planOf, waitsFor } from '@/core/quiz/plan/plan';
import type { Answer } from '@/core/kinds';
import { below, randomFrom } from '@/core/figures/random';
import { PAPER, PAPER_CONTENT, PAPER_QUESTIONS } from './paper';

/** A door with a made-up class behind it, as large as wanted. */

export const QUIZ_ID = 'bench';
export const TOKEN = 'ab'.repeat(32);

export interface ClassMember {
  readonly studentId: string;
  readonly ticket: string;
  /** What they will answer, question by question. */
  readonly answers: readonly (readonly [questionId: string, answer: Answer])[];
}

/** So many students, each with a ticket and with answers. */
export function membersOf(students: number, seed = 5): ClassMember[] {
  const random = randomFrom(seed);
  const plan = { seed: 11, students, neverStart: 0, repeat: 0 };
  const all: ClassMember[] = [];
  for (const { number, answers } of madeUpClass(PAPER_QUESTIONS, plan)) {
    if (number !== 1) continue;
    all.push({
      studentId: `s${all.length}`,
      ticket: ticketFrom((most) => below(random, most)),
      answers: Object.entries(answers),
    });
  }
  return all;
}

export function doorFor(members: readonly ClassMember[], id = 'benchdoor001'): OpenDoor {
  const now = Date.now();
  const content = { ...PAPER_CONTENT, plan: planOf(waitsFor(once('handedIn'))) };
  return {
    id,
    token: TOKEN,
    code: '',
    content: {
      format: 'yentrel-door',
      version: 1,
      quizId: QUIZ_ID,
      content,
      standing: {
        ...NEW_STANDING,
        opening: { from: now - 60_000, due: null, grace: 0, until: null },
        live: 1,
        setTo: [{ classId: 'c1', group: null }],
      },
      revisions: [
        {
          rev: 1,
          parent: null,
          at: now,
          why: 'opened',
          content,
          questionRevs: Object.fromEntries(PAPER_QUESTIONS.map(({ id: question }) => [question, 1])),
        },
      ],
      questionRevisions: placedIn(PAPER).map((placed) => ({
        questionId: placed.question.id,
        rev: 1,
        ...placed,
      })),
      people: members.map(({ studentId }, at) => ({
        id: studentId,
        name: `Student ${at + 1}`,
        number: '',
        email: '',
        moreTime: null,
      })),
      members: members.map(({ studentId }) => ({
        classId: 'c1',
        studentId,
        groups: [],
        removedAt: null,
      })),
      overrides: [],
      rulings: [],
      comments: [],
    },
    tickets: members.map(({ studentId, ticket }) => ({ studentId, code: ticket })),
    attempts: [],
    firstHandInAt: null,
  };
}
