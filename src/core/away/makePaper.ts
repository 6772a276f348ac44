import type { Paper } from '../quiz/quiz';
import { same } from '../figures/deepEqual';
import { pageSizes } from '../quiz/pages';
import { sectionOf } from '../quiz/section';
import { PaperPacket, type Cover, type StudentQuestion } from '../reveal/packets';
import { formulasShown, questionsForStudent } from '../reveal/slip';
import type { Order, PaperData } from './paperData';
import { rearrangementOf } from './rearranged';

/** What a paper's file is made of. */
export interface PaperParts {
  readonly quizId: string;
  readonly revision: number;
  readonly paper: Paper;
  readonly cover: Cover;
  readonly opensAt: number | null;
  readonly madeAt: number;
  /** One for each order in which students may meet everything: the first is that of the file. */
  readonly seeds: readonly [string, ...string[]];
  readonly ticket: string | null;
}

const NONE = {};

/** The questions as a student of a seed meets them, without their hints: those are counted alone. */
const questionsBy = (paper: Paper, seed: string): StudentQuestion[] =>
  questionsForStudent(paper, { seed, hints: NONE }).map((question) => ({ ...question, hints: [] }));

/** How a seed's order comes of that of the file; null where it is more than an order. */
function orderBy(base: readonly StudentQuestion[], paper: Paper, seed: string): Order | null {
  const places = new Map(base.map(({ id }, at) => [id, at]));
  const met = questionsBy(paper, seed);
  const faces: Record<string, Order['faces'][string]> = {};
  for (const { id, face } of met) {
    const orders = rearrangementOf(base[places.get(id) ?? -1]?.face, face);
    if (!orders) return null;
    if (orders.length > 0) faces[id] = orders;
  }
  return { seed, questions: met.map(({ id }) => places.get(id) ?? 0), faces };
}

/** Orders of which each is another one: the first seed of several that give the same one. */
const distinct = (orders: readonly Order[]): Order[] =>
  orders.filter(
    (one, at) => orders.findIndex((other) => same({ ...other, seed: '' }, { ...one, seed: '' })) === at,
  );

/**
 * What a paper's file holds, without its pictures: only what a packet for a student may hold while it is worked at, checked by
 * the same strict schema.
 */
export function makePaper(parts: PaperParts): Omit<PaperData, 'media'> {
  const { quizId, revision, paper, opensAt, madeAt, seeds, ticket } = parts;
  const questions = questionsBy(paper, seeds[0]);
  const sections = [...new Set(sectionOf(paper.content).values())];
  const packet = PaperPacket.parse({
    state: 'working',
    cover: { ...parts.cover, student: '', plan: [] },
    working: {
      sections,
      attemptId: 'paper',
      pages: pageSizes(paper),
      questions,
      formulas: formulasShown(paper, { questions, sections }),
      answers: {},
      savedAt: null,
      reached: null,
      earlier: [],
      endsAt: null,
      now: madeAt,
    },
  });
  if (packet.state !== 'working') throw new Error('A paper is worked at');
  const orders = seeds.flatMap((seed) => orderBy(questions, paper, seed) ?? []);
  const hints = questionsForStudent(paper, { seed: seeds[0], hints: NONE });
  return {
    format: 'yentrel-paper',
    version: 1,
    quizId,
    revision,
    madeAt,
    opensAt,
    cover: packet.cover,
    questions: packet.working.questions,
    pages: packet.working.pages,
    sections: packet.working.sections,
    formulas: packet.working.formulas,
    orders: distinct(orders),
    hints: hints.reduce((sum, question) => sum + question.hints.length, 0),
    ticket,
  };
}
