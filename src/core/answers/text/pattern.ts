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
  matches(answer: string): boolean;
}

/**
 * Reads a regular expression for the whole answer. Capitals and accents settings act as flags; the
 * pattern itself is never altered. Gives null where it cannot be read; throws {@link EngineMissing} where nothing can be read yet.
 */
export function readPattern(source: string, settings: TextSettings, language: string): Pattern | null {
  if (source === '' || source.length > LONGEST_PATTERN) return null;
  if (!engine) throw new EngineMissing();
  try {
    const flags = settings.ignoreCapitals ? engine.CASE_INSENSITIVE : 0;
    const compiled = engine.compile(source, flags);
    return {
      matches(answer) {
        const text = unify(answer);
        if (compiled.matches(text)) return true;
        return settings.ignoreAccents && compiled.matches(dropAccents(text, language));
      },
    };
  } catch {
    return null;
  }
}
