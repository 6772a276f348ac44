import type { ShownThing } from '../content/shownAnswer';
import type { Fraction } from '../figures/fraction';
import { isAnswerTo, kindOf, type Answer, type Question } from '../kinds';
import type { GivenPart } from '../kinds/givenPart';
import type { ClassFace, ClassSpot, LineBand, Worth } from '../kinds/classFace';
import type { MarkingContext } from '../marks/mark';
import type { ScoreVerdict } from '../scoring/scoreQuestion';
import { thirdsIn } from '../statistics/ends';
import { inUnits } from '../statistics/units';

/** A paper that counts, and what it gave to the question that is looked at. */
export interface PictureOf {
  readonly attemptId: string;
  readonly answer: Answer | null;
  readonly verdict: ScoreVerdict;
  /** What it earned in the questions that count; null while something in it waits. */
  readonly total: Fraction | null;
}

/** Which share of some papers gave an answer, 0 … 1; null where there are no thirds. */
export interface Shares {
  readonly all: number;
  readonly thirds: { readonly upper: number; readonly middle: number; readonly lower: number } | null;
}

/** One choice, and who made it. */
export interface PickedChoice {
  readonly thing: ShownThing;
  readonly worth: Worth;
  /** By what it is keyed alone; null where an answer is keyed as a whole. */
  readonly part: GivenPart | null;
  readonly shares: Shares;
  readonly who: readonly string[];
}

/** One thing put to one place, and who put it there. */
export interface PutThere {
  readonly isRight: boolean;
  readonly part: GivenPart | null;
  readonly who: readonly string[];
}

export interface ValueOnLine {
  readonly value: number;
  /** As most wrote it. */
  readonly text: string;
  readonly verdict: ScoreVerdict;
  readonly who: readonly string[];
}

/** Everybody's answers to one question at once, in the form that its kind has for that. */
export type ClassPicture =
  | {
      readonly form: 'shares';
      readonly groups: readonly { readonly title: string; readonly choices: readonly PickedChoice[] }[];
      /** Papers by whose totals the thirds are made: those in which nothing waits. */
      readonly inThirds: number;
    }
  | {
      readonly form: 'places';
      readonly things: readonly ShownThing[];
      readonly places: readonly ShownThing[];
      /** A row for each thing, with an entry for each place. */
      readonly cells: readonly (readonly PutThere[])[];
    }
  | { readonly form: 'spots'; readonly spots: readonly (ClassSpot & { readonly attemptId: string })[] }
  | {
      readonly form: 'line';
      readonly bands: readonly LineBand[];
      readonly values: readonly ValueOnLine[];
      readonly unit: string;
      /** How many answers are no number. */
      readonly others: number;
    };

type Face<Form extends ClassFace<Answer>['form']> = Extract<ClassFace<Answer>, { form: Form }>;
interface Given {
  readonly paper: PictureOf;
  readonly answer: Answer;
}

/** Ids to those who are listed under them. */
class Lists {
  readonly #who = new Map<string, string[]>();
  add(id: string, attemptId: string): void {
    const known = this.#who.get(id);
    if (known) known.push(attemptId);
    else this.#who.set(id, [attemptId]);
  }
  of = (id: string): readonly string[] => this.#who.get(id) ?? [];
}

function shares(face: Face<'shares'>, given: readonly Given[], papers: readonly PictureOf[]): ClassPicture {
  const lists = new Lists();
  for (const { paper, answer } of given)
    for (const id of new Set(face.picked(answer))) lists.add(id, paper.attemptId);
  const complete = papers.flatMap(({ attemptId, total }) => (total ? [{ attemptId, total }] : []));
  const [totals = []] = inUnits([complete.map(({ total }) => total)]).rows;
  const thirds = thirdsIn(totals);
  const inThirds = new Map(complete.map(({ attemptId }, at) => [attemptId, thirds?.[at]]));
  const third = (who: Iterable<string>, name: 'upper' | 'middle' | 'lower'): number => {
    let sum = 0;
    for (const attemptId of who) sum += inThirds.get(attemptId)?.[name] ?? 0;
    return sum;
  };
  const sizes = thirds && {
    upper: third(inThirds.keys(), 'upper'),
    middle: third(inThirds.keys(), 'middle'),
    lower: third(inThirds.keys(), 'lower'),
  };
  const sharesOf = (who: readonly string[]): Shares => ({
    all: papers.length === 0 ? 0 : who.length / papers.length,
    thirds: sizes && {
      upper: third(who, 'upper') / sizes.upper,
      middle: third(who, 'middle') / sizes.middle,
      lower: third(who, 'lower') / sizes.lower,
    },
  });
  return {
    form: 'shares',
    inThirds: complete.length,
    groups: face.groups.map(({ title, choices }) => ({
      title,
      choices: choices.map(({ id, thing, worth, part }) => ({
        thing,
        worth,
        part: part ?? null,
        shares: sharesOf(lists.of(id)),
        who: lists.of(id),
      })),
    })),
  };
}

function places(face: Face<'places'>, given: readonly Given[]): ClassPicture {
  const lists = new Lists();
  for (const { paper, answer } of given)
    for (const [thing, place] of face.put(answer)) lists.add(`${thing}\n${place}`, paper.attemptId);
  return {
    form: 'places',
    things: face.things.map(({ thing }) => thing),
    places: face.places.map(({ thing }) => thing),
    cells: face.things.map((thing) =>
      face.places.map((place) => ({
        isRight: face.isRight(thing.id, place.id),
        part: face.judged ? { part: thing.id, given: place.id } : null,
        who: lists.of(`${thing.id}\n${place.id}`),
      })),
    ),
  };
}

function line(face: Face<'line'>, given: readonly Given[]): ClassPicture {
  const byValue = new Map<string, { value: number; texts: string[]; verdict: ScoreVerdict; who: string[] }>();
  let others = 0;
  for (const { paper, answer } of given) {
    const value = face.value(answer);
    if (value === null) {
      others++;
      continue;
    }
    const key = `${value} ${paper.verdict}`;
    const known = byValue.get(key) ?? { value, texts: [], verdict: paper.verdict, who: [] };
    byValue.set(key, known);
    known.who.push(paper.attemptId);
    known.texts.push('text' in answer ? answer.text.trim() : '');
  }
  const values = [...byValue.values()].map(({ texts, ...one }) => ({ ...one, text: mostFrequent(texts) }));
  return {
    form: 'line',
    bands: face.bands,
    unit: face.unit,
    others,
    values: values.sort((a, b) => a.value - b.value),
  };
}

function mostFrequent(texts: readonly string[]): string {
  const times = new Map<string, number>();
  for (const text of texts) times.set(text, (times.get(text) ?? 0) + 1);
  let best = '';
  for (const [text, count] of times) if (count > (times.get(best) ?? 0)) best = text;
  return best;
}

/**
 * Everybody's answers to a question at once; null for a kind whose answers side by side say it all. The share of a choice is
 * over all papers; that of a third over the papers in it, each weighted by how much of it is in that third.
 */
export function classPicture(
  question: Question,
  context: MarkingContext,
  papers: readonly PictureOf[],
): ClassPicture | null {
  const face = kindOf(question).classFace(question, context);
  if (!face) return null;
  const given = papers.flatMap((paper): Given[] =>
    paper.answer && isAnswerTo(question, paper.answer) ? [{ paper, answer: paper.answer }] : [],
  );
  switch (face.form) {
    case 'shares':
      return shares(face, given, papers);
    case 'places':
      return places(face, given);
    case 'spots':
      return {
        form: 'spots',
        spots: given.flatMap(({ paper: { attemptId }, answer }) =>
          face.spots(answer).map((spot) => ({ ...spot, attemptId })),
        ),
      };
    case 'line':
      return line(face, given);
  }
}
