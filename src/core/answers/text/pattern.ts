import { RE2JS } from 're2js';
import type { TextSettings } from './settings';
import { dropAccents } from './accents';
import { unify } from './unify';

/** Longest pattern that is taken, in characters. */
const LONGEST_PATTERN = 200;

/** A pattern that an answer can be tried on; the engine takes time linear in the answer. */
export interface Pattern {
  matches(answer: string): boolean;
}

/**
 * Reads a regular expression for the whole answer. Capitals and accents settings act as flags; the
 * pattern itself is never altered. Gives null where it cannot be read.
 */
export function readPattern(source: string, settings: TextSettings, language: string): Pattern | null {
  if (source === '' || source.length > LONGEST_PATTERN) return null;
  try {
    const flags = settings.ignoreCapitals ? RE2JS.CASE_INSENSITIVE : 0;
    const compiled = RE2JS.compile(source, flags);
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
