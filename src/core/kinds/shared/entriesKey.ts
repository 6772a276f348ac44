import { valueAt } from '../../figures/valueAt';
/**
 * A key that is the same for the same entries in the same order, made without sorting or quoting: it serves memos, for
 * which two keys of one answer do no harm. Lengths stand before the values, so that no two answers share a key.
 */
export function keyOfEntries(entries: Readonly<Record<string, string>>): string {
  let key = '';
  for (const id in entries) {
    const value = valueAt(entries, id) as string;
    key += `${id}=${value.length}:${value};`;
  }
  return key;
}
