import type { MarkingContext } from '../../marks/mark';
import { asRead, unreadable, type ReadCell } from '../kind';
import { splitPair, splitParts } from '../shared/answerCells';
import { namedSo } from '../shared/optionName';
import type { RowsAnswer, RowsQuestion } from './schema';

const withoutPicture = <One extends { text: string }>(list: readonly One[]) =>
  list.map((one) => ({ ...one, picture: null }));

export function readAnswer(
  question: RowsQuestion,
  text: string,
  { language }: MarkingContext,
): ReadCell<RowsAnswer> {
  const picked: [string, string[]][] = [];
  for (const part of splitParts(text).filter(Boolean)) {
    const [left, right] = splitPair(part) ?? [part, ''];
    const row = namedSo(withoutPicture(question.rows), left, language);
    if (!row) return unreadable(`“${left}” is not one of the rows`);
    const ids: string[] = [];
    for (const name of right.split(' + ')) {
      const option = namedSo(withoutPicture(row.options), name, language);
      if (!option) return unreadable(`“${name}” is not an option of “${row.text}”`);
      ids.push(option.id);
    }
    picked.push([row.id, ids]);
  }
  return asRead(picked.length === 0 ? null : { kind: 'rows', picked: Object.fromEntries(picked) });
}
