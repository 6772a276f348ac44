import { toDecimalText } from '../../figures/fraction';
import { KINDS } from '../../kinds';
import { FractionData } from '../../figures/schema';
import type { z } from '../../zod';
import { lineText } from '../../content/shownText';

type Issue = z.core.$ZodIssue;
type Path = readonly PropertyKey[];

/** What one entry of a list is called; of the lists inside a question, each kind says it. */
const ENTRIES: Readonly<Record<string, string>> = {
  ...Object.assign({}, ...KINDS.map(({ places }) => places)),
  questions: 'question', placements: 'settings of question', hints: 'hint', links: 'link', students: 'student', classes: 'class', members: 'class list entry', groups: 'group', attempts: 'attempt', overrides: 'own score',
  rulings: 'ruling', comments: 'comment', looks: 'look', revisions: 'revision', questionRevisions: 'question revision',
  history: 'step', steps: 'step', changes: 'change', quizzes: 'quiz', order: 'place in the order', sections: 'section', clips: 'file', bands: 'band', checks: 'check', runs: 'piece of text',
}; // prettier-ignore

/** Levels of the file that say nothing to a reader. */
const SILENT = new Set(['quiz', 'class', 'content']);
const spaced = (name: string): string => name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

/** A path in the file in a reader's words: `question 4, variant 2: credit`. */
export function placeWords(path: Path): string {
  const places: string[] = [];
  let field = '';
  path.forEach((step, at) => {
    if (typeof step === 'number') {
      const list = String(path[at - 1] ?? '');
      places.push(`${ENTRIES[list] ?? spaced(list)} ${step + 1}`);
      field = '';
    } else if (!SILENT.has(String(step)) && typeof path[at + 1] !== 'number') {
      if (field !== '') places.push(field);
      field = spaced(lineText(String(step)).slice(0, 60));
    }
  });
  return [places.join(', '), field].filter(Boolean).join(': ') || 'the file';
}

function valueAt(data: unknown, path: Path): unknown {
  let value = data;
  for (const step of path) {
    if (typeof value !== 'object' || value === null || !Object.hasOwn(value, step)) return undefined;
    value = (value as Record<PropertyKey, unknown>)[step];
  }
  return value;
}

/** A value in few words; a fraction as a decimal. */
function shown(value: unknown): string {
  const part = FractionData.safeParse(value);
  if (part.success) return toDecimalText(part.data, 6);
  if (value === undefined) return 'missing';
  if (value === null) return 'empty';
  if (typeof value === 'string') return `“${lineText(value).slice(0, 40)}”`;
  if (typeof value === 'number' || typeof value === 'boolean') return String(value);
  return Array.isArray(value) ? 'a list' : 'a record';
}

const NEEDED: Readonly<Record<string, string>> = {
  string: 'a text', number: 'a number', int: 'a whole number', boolean: 'yes or no', array: 'a list', object: 'a record',
  record: 'a record', null: 'nothing',
}; // prettier-ignore

const unit = (origin: string): string =>
  origin === 'string' ? ' characters' : origin === 'array' ? ' entries' : '';

/** What is wrong with the value, after “is …”. */
function trouble(issue: Issue): string {
  switch (issue.code) {
    case 'too_big':
      return `at most ${String(issue.maximum)}${unit(issue.origin)}`;
    case 'too_small':
      return `at least ${String(issue.minimum)}${unit(issue.origin)}`;
    case 'invalid_type':
      return `${NEEDED[issue.expected] ?? issue.expected} is needed`;
    case 'unrecognized_keys':
      return `unknown field “${lineText(issue.keys[0] ?? '').slice(0, 40)}”`;
    case 'invalid_value':
      return `it can be ${issue.values.slice(0, 8).map(String).join(', ')}`;
    case 'invalid_union':
      return 'unknown type';
    case 'invalid_format':
      return 'wrong format';
    default:
      return issue.message.slice(0, 1).toLowerCase() + issue.message.slice(1);
  }
}

/** The most telling issue inside a choice of forms: the one that lies deepest. */
function deepest(issue: Issue): Issue {
  if (issue.code !== 'invalid_union') return issue;
  const inner = issue.errors
    .flat()
    .map((one) => deepest({ ...one, path: [...issue.path, ...one.path] } as Issue));
  return inner.sort((a, b) => b.path.length - a.path.length)[0] ?? issue;
}

/** What a schema found, with its place and the value found there: `question 4, variant 2: credit is 1.5, at most 1`. */
export function problemWords(found: Issue, data: unknown): string {
  const issue = deepest(found);
  const place = placeWords(issue.path);
  if (issue.code === 'unrecognized_keys') return `${place}: ${trouble(issue)}`;
  return `${place} is ${shown(valueAt(data, issue.path))}, ${trouble(issue)}`;
}
