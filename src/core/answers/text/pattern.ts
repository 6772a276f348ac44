import type { RE2JS } from 're2js';
import type { TextSettings } from './settings';
import { dropAccents } from './accents';
import { unify } from './unify';

/** Longest pattern that is taken, in characters. */
const LONGEST_PATTERN = 200;

/**
 * What patterns are tried with. It is large and seldom needed, so it comes apart from the program where that is sent over
 * a line: `patternEngine.ts` hands it in.
 */
let engine: typeof RE2JS | null = null;

/** Patterns can be read from now on. */
export function handInEngine(given: typeof RE2JS): void {
  engine = given;
}

/** A pattern is to be read, and what reads it has not been handed in yet. Whoever can fetch it does so and asks again. */
export class EngineMissing extends Error {
  constructor() {
    super('The engine for patterns has not been loaded');
  }
}

/** A pattern that an answer can be tried on; the engine takes time linear in the answer. */
export interface Pattern {
  /** How much one letter of an answer can cost: steps of the engine. */
  readonly steps: number;
  matches(answer: string): boolean;
}

/** Why a pattern is none: it cannot be read, or it would take too much work, as `((a?){100}){100}` does. */
export type PatternTrouble = 'unreadable' | 'tooLarge';

/** The most steps that a pattern may have for each letter. */
const MOST_STEPS = 1000;
/** The most steps that the patterns of one key may take on one answer; beyond, it waits for the teacher. */
export const MOST_WORK = 2_000_000;

/** The repetition that stands at a place: how often at most, and its length; null where none does. */
function repetitionAt(source: string, at: number): { times: number; length: number } | null {
  const [sign] = source.slice(at, at + 1);
  if (sign === '*' || sign === '+' || sign === '?') return { times: 1, length: 1 };
  const found = /^\{(\d{1,6})(?:,(\d{0,6}))?\}/.exec(source.slice(at));
  if (!found) return null;
  const [whole, low, high] = found;
  return { times: Math.max(Number(low), Number(high || 0), 1), length: whole.length };
}

/** About how many steps a pattern is once its repetitions are written out: counted before anything is built. */
function writtenOut(source: string): number {
  const open: number[] = [];
  let size = 0;
  let last = 0;
  for (let at = 0; at < source.length; at++) {
    const sign = source[at];
    const repetition = repetitionAt(source, at);
    if (repetition) {
      size += last * (repetition.times - 1);
      last *= repetition.times;
      at += repetition.length - 1;
    } else if (sign === '(') {
      open.push(size);
      size = 0;
      last = 0;
    } else if (sign === ')') {
      last = size + 1;
      size = (open.pop() ?? 0) + last;
    } else {
      if (sign === '\\') at++;
      else if (sign === '[') at = Math.max(at, source.indexOf(']', at + 2));
      last = 1;
      size++;
    }
    if (size > MOST_STEPS * 10) return size;
  }
  return open.reduce((sum, one) => sum + one, size);
}

/**
 * Reads a regular expression for the whole answer. Capitals and accents settings act as flags; the
 * pattern itself is never altered. Throws {@link EngineMissing} where nothing can be read yet.
 */
export function readPattern(
  source: string,
  settings: TextSettings,
  language: string,
): Pattern | PatternTrouble {
  if (source === '' || source.length > LONGEST_PATTERN) return 'unreadable';
  if (writtenOut(source) > MOST_STEPS) return 'tooLarge';
  if (!engine) throw new EngineMissing();
  try {
    const flags = settings.ignoreCapitals ? engine.CASE_INSENSITIVE : 0;
    const compiled = engine.compile(source, flags);
    const steps = compiled.programSize();
    if (steps > MOST_STEPS) return 'tooLarge';
    return {
      steps,
      matches(answer) {
        const text = unify(answer);
        if (compiled.matches(text)) return true;
        return settings.ignoreAccents && compiled.matches(dropAccents(text, language));
      },
    };
  } catch {
    return 'unreadable';
  }
}
