import { Instant } from '../../figures/instant';
import { Id } from '../../content/questionBase';
import { MoreTime } from '../people/school';
import { z } from '../../zod';
import { isMeantBy, NEAREST_FIRST, Target, type Belonging } from '../people/target';

/** Minutes for one attempt; null: as long as the window. */
export const TimeLimit = z.number().int().min(1).max(100_000).nullable();

/** Everything that says when and how a quiz may be sat. */
const fields = {
  /** From when; null: once the teacher opens it. */
  from: Instant.nullable(),
  /** Work handed in later is late; null: never. */
  due: Instant.nullable(),
  /** Minutes after the due time in which work is not late yet. */
  grace: z.number().int().min(0).max(100_000),
  /** The last moment; null: it stays open until the teacher closes it. */
  until: Instant.nullable(),
  timeLimit: TimeLimit,
  /** How often; null: as often as the window allows. */
  attempts: z.number().int().min(1).max(50).nullable(),
  /** Whether a student may go back to a question. */
  goingBack: z.boolean(),
  /** Whether a student may leave the page and come back. */
  comingBack: z.boolean(),
};

/** The window of a quiz, or what a student's comes to. */
export const WindowFields = z.strictObject(fields);
export type WindowFields = z.infer<typeof WindowFields>;
export type WindowField = keyof WindowFields;
export const WINDOW_FIELDS = Object.keys(fields) as readonly WindowField[];

/** When the quiz was taken back, and until when: nobody sits and nobody's clock runs; null: it still is. */
export const Pause = z.strictObject({ from: Instant, to: Instant.nullable() });
export type Pause = z.infer<typeof Pause>;

/** What is set for a class, a group or a student; a field that is missing is as for the others. */
export const OwnWindow = z.strictObject({
  id: Id,
  for: Target,
  set: z.strictObject(fields).partial().extend({
    /** More time in this quiz than the usual one of the class list; null: none. For a student alone. */
    moreTime: MoreTime.nullable().optional(),
  }),
});
export type OwnWindow = z.infer<typeof OwnWindow>;

/** Where a field of a student's window comes from. */
export type Source = 'quiz' | 'class' | 'group' | 'student';

/** A student's window: each field with where it comes from, and the sources that it beat. */
export interface StudentWindow extends WindowFields {
  readonly sources: Readonly<Record<WindowField, Source>>;
  /** Fields of which two groups, or two classes, of the student say different things: the more generous one counts. */
  readonly torn: readonly WindowField[];
  /** When nobody's clock runs. */
  readonly pauses: readonly Pause[];
}

const latest = (a: number | null, b: number | null): number | null =>
  a === null || b === null ? null : Math.max(a, b);

/** Of two values of a field the one that gives the student more. */
const MORE: {
  readonly [Field in WindowField]: (a: WindowFields[Field], b: WindowFields[Field]) => WindowFields[Field];
} = {
  from: (a, b) => (a === null ? b : b === null ? a : Math.min(a, b)),
  due: latest,
  grace: Math.max,
  until: latest,
  timeLimit: latest,
  attempts: latest,
  goingBack: (a, b) => a || b,
  comingBack: (a, b) => a || b,
};

interface Found {
  readonly value: WindowFields[WindowField];
  readonly source: Source;
  readonly torn: boolean;
}

function nearest(field: WindowField, own: readonly OwnWindow[]): Found | null {
  for (const source of NEAREST_FIRST) {
    const values = own
      .filter((one) => one.for.kind === source)
      .map(({ set }) => set[field])
      .filter((value) => value !== undefined);
    const [first, ...others] = values;
    if (first === undefined) continue;
    const more = MORE[field] as (a: unknown, b: unknown) => WindowFields[WindowField];
    const value = others.reduce<WindowFields[WindowField]>((best, one) => more(best, one), first);
    return { value, source, torn: others.some((one) => one !== first) };
  }
  return null;
}

/** A time limit with more time: so many times as long, up to the full minute, and so many minutes longer. */
export const longerLimit = (minutes: number, more: MoreTime | null): number => {
  if (!more) return minutes;
  if (more.kind === 'minutes') return minutes + more.minutes;
  return Math.ceil((minutes * more.factor.n) / more.factor.d);
};

/**
 * The window of one student: of each field the nearest value counts, the student's own, the group's, the class's, the
 * quiz's. Of two groups, or two classes, the more generous one does. A time limit is lengthened by the student's more time,
 * unless it was typed for this student.
 */
export function windowFor(
  quiz: WindowFields,
  own: readonly OwnWindow[],
  pauses: readonly Pause[],
  who: Belonging & { readonly moreTime: MoreTime | null },
): StudentWindow {
  const meant = own.filter((one) => isMeantBy(one.for, who));
  if (meant.length === 0 && who.moreTime === null)
    return { ...quiz, sources: FROM_QUIZ, torn: NOTHING, pauses };
  const result: Record<string, unknown> = {};
  const sources: Partial<Record<WindowField, Source>> = {};
  const torn: WindowField[] = [];
  for (const field of WINDOW_FIELDS) {
    const found = nearest(field, meant);
    result[field] = found ? found.value : quiz[field];
    sources[field] = found?.source ?? 'quiz';
    if (found?.torn) torn.push(field);
  }
  const window = {
    ...(result as WindowFields),
    sources: sources as Record<WindowField, Source>,
    torn,
    pauses,
  };
  const ownTime = meant.find((one) => one.for.kind === 'student')?.set.moreTime;
  const more = ownTime === undefined ? who.moreTime : ownTime;
  return window.timeLimit === null || sources.timeLimit === 'student'
    ? window
    : { ...window, timeLimit: longerLimit(window.timeLimit, more) };
}

const FROM_QUIZ = Object.fromEntries(WINDOW_FIELDS.map((field) => [field, 'quiz'])) as Record<
  WindowField,
  Source
>;
const NOTHING: readonly WindowField[] = [];

/** A window that is the same for everyone. */
export const sameForAll = (quiz: WindowFields, pauses: readonly Pause[] = []): StudentWindow => ({
  ...quiz,
  sources: FROM_QUIZ,
  torn: NOTHING,
  pauses,
});
