import type { MarkingContext } from '../../marks/mark';
import { asRead, unreadable, type ReadCell } from '../kind';
import { splitPair, splitParts } from '../shared/answerCells';
import { namedSo } from '../shared/pick/optionName';
import type { Row, RowsAnswer, RowsQuestion } from './schema';

const withoutPicture = <One extends { text: string }>(list: readonly One[]) =>
  list.map((one) => ({ ...one, picture: null }));

/** The options that words name, joined by plus signs; an option may hold such signs itself. */
function optionsIn(row: Row, words: string, language: string): string[] | string {
  const options = withoutPicture(row.options);
  const whole = namedSo(options, words, language);
  if (whole) return [whole.id];
  const parts = words.split(' + ');
  const ids: string[] = [];
  while (parts.length > 0) {
    // The longest run of parts that is the name of an option.
    let found: string | undefined;
    let length = parts.length;
    for (; length > 0 && found === undefined; length--)
      found = namedSo(options, parts.slice(0, length).join(' + '), language)?.id;
    if (found === undefined) return parts[0] ?? words;
    ids.push(found);
    parts.splice(0, length + 1);
  }
  return ids;
}

export function readAnswer(
  question: RowsQuestion,
  text: string,
  { language }: MarkingContext,
): ReadCell<RowsAnswer> {
  const picked: [string, string[]][] = [];
  const rowNamed = (words: string) => {
    const named = namedSo(withoutPicture(question.rows), words, language);
    return question.rows.find(({ id }) => id === named?.id);
  };
  for (const part of splitParts(text).filter(Boolean)) {
    const ways = splitPair(part);
    const [first = [part, ''] as const] = ways;
    const read = ways.flatMap(([left, right]) => {
      const row = rowNamed(left);
      return row ? [{ row, options: optionsIn(row, right, language) }] : [];
    });
    const found = read.find(({ options }) => typeof options !== 'string') ?? read[0];
    if (!found) return unreadable(`“${first[0]}” is not one of the rows`);
    const { row, options } = found;
    if (typeof options === 'string') return unreadable(`“${options}” is not an option of “${row.text}”`);
    picked.push([row.id, options]);
  }
  return asRead(picked.length === 0 ? null : { kind: 'rows', picked: Object.fromEntries(picked) });
}
