import temml from 'temml';
import type { Formula } from '@/core/content/formula';
import { LONGEST_FORMULA } from '@/core/content/formulaText';
import { spoken } from './spoken';

/** Why a formula cannot be set, in words, and from which of its signs on, counted from 0; null where that is not known. */
export interface Fault {
  readonly problem: string;
  readonly at: number | null;
}

export type Typeset = { readonly ok: true; readonly formula: Formula } | ({ readonly ok: false } & Fault);

/** As large as the MathML of a formula may become. */
const LARGEST = 60_000;

const REASONS: readonly (readonly [RegExp, (found: string) => string])[] = [
  [/^Unsupported function name: (\\\S+)/, (name) => `There is no command ${name}`],
  [/^Function "(.+?)" is not trusted/, (name) => `${name} cannot be used here`],
  [/expected '\}'|Expected '\}'/, () => 'A closing brace } is missing'],
  [/^(?:Extra \}|Expected 'EOF', got '\}')/, () => 'There is one closing brace } too many'],
  [/^(?:Double superscript)/, () => 'Two powers follow each other: put braces around one of them'],
  [/^(?:Double subscript)/, () => 'Two indices follow each other: put braces around one of them'],
  [/^Expected 'EOF', got '&'/, () => 'The sign & is used in tables only: write \\& for the sign itself'],
  [/^Expected '\\right'/, () => 'To \\left belongs a \\right'],
  [/^Too many expansions/, () => 'It refers to itself'],
  [/can be used only in display mode/, () => 'This arrangement cannot stand in a line: use aligned or array'],
  [/Undefined control sequence: (\\\S+)/, (name) => `There is no command ${name}`],
];

/** What the typesetter says of a formula it cannot read, in words. */
function reasonOf(message: string): string {
  for (const [says, words] of REASONS) {
    const found = says.exec(message);
    if (found) return words(found[1] ?? '');
  }
  return 'This is not a formula that can be set';
}

function faultOf(error: unknown): Fault {
  const { message, position } = error as { message?: unknown; position?: unknown };
  return {
    problem: reasonOf(String(message ?? '').trim()),
    at: typeof position === 'number' ? position : null,
  };
}

/**
 * Sets a formula that was typed in TeX: as MathML, and in words. Nothing in it can run, load or define anything beyond
 * itself. Never throws: what cannot be set says why.
 */
export async function typeset(tex: string): Promise<Typeset> {
  if (tex.length > LONGEST_FORMULA)
    return { ok: false, problem: `A formula has at most ${LONGEST_FORMULA} signs`, at: LONGEST_FORMULA };
  try {
    const set = temml.renderToString(tex, {
      throwOnError: true,
      annotate: false,
      trust: false,
      strict: false,
      maxExpand: 100,
      maxSize: [10, 10],
      macros: {},
      wrap: 'none',
    });
    // Empty spaces are left by some commands.
    const mathml = set.replaceAll('<mspace></mspace>', '');
    if (mathml.replace(/<[^>]*>/g, '').trim() === '')
      return { ok: false, problem: 'There is nothing to see in this formula', at: null };
    if (mathml.length > LARGEST) return { ok: false, problem: 'This formula is too large', at: null };
    return { ok: true, formula: { tex, words: await spoken(mathml), mathml } };
  } catch (error) {
    return { ok: false, ...faultOf(error) };
  }
}
