import { useRef, type ClipboardEvent, type KeyboardEvent, type RefObject } from 'react';
import { flushSync } from 'react-dom';
import { move } from '@/core/quiz/order';

/** One of several rows that are typed one below the other. */
interface Row {
  readonly id: string;
}

interface Editing<One extends Row> {
  readonly rows: readonly One[];
  readonly onRows: (rows: One[]) => void;
  /** A new row with these words. */
  readonly blank: (text: string) => One;
  readonly isEmpty: (row: One) => boolean;
  /** An empty row with these words put into it. */
  readonly fill: (row: One, text: string) => One;
  /** Where a row that is taken away leaves something behind. By default it is just gone. */
  readonly onRemove?: (row: One) => void;
  /** As many as there may be. */
  readonly most?: number;
}

/** What the field of a row needs of its list. */
export type RowOf<One extends Row> = Pick<Rows<One>, 'replace' | 'keys' | 'paste'>;

/** The field of a row: of one line, or as high as its words. */
export type RowField = HTMLInputElement | HTMLTextAreaElement;

/** What a list of typed rows can do; `list` goes onto the element that holds the fields, each marked `data-row`. */
export interface Rows<One extends Row> {
  readonly list: RefObject<(HTMLUListElement & HTMLOListElement) | null>;
  readonly replace: (row: One) => void;
  readonly remove: (row: One) => void;
  readonly moveBy: (row: One, by: -1 | 1) => void;
  /** Does something to the rows, and goes to the field at a place in the list. */
  readonly goTo: (index: number, act?: () => void) => void;
  /** One more row at the end, with these words; it takes the focus. */
  readonly add: (text?: string) => void;
  /** Enter goes to the next empty row, or makes one; Backspace in an empty row takes it away. */
  readonly keys: (row: One) => (event: KeyboardEvent<RowField>) => void;
  /** Several lines pasted into an empty row fill the empty ones from there on, and make as many more as are needed. */
  readonly paste: (row: One) => (event: ClipboardEvent<RowField>) => void;
}

/** The lines of a pasted text, without empty ones. */
export const pastedLines = (data: DataTransfer): string[] =>
  data
    .getData('text')
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter(Boolean);

/** Lines put into rows from a place on: empty ones that are there are filled first, more are added behind. */
function filledWith<One extends Row>(
  { rows, blank, isEmpty, fill }: Editing<One>,
  from: number,
  lines: readonly string[],
): One[] {
  const left = [...lines];
  let last = from;
  const filled = rows.map((row, at) => {
    if (at < from || !isEmpty(row) || left.length === 0) return row;
    last = at;
    return fill(row, left.shift() ?? '');
  });
  return [...filled.slice(0, last + 1), ...left.map(blank), ...filled.slice(last + 1)];
}

/** Rows that are typed one below the other: by Enter, Backspace, paste and arrows. */
export function useRows<One extends Row>(editing: Editing<One>): Rows<One> {
  const { rows, onRows, blank, isEmpty, onRemove, most = 100 } = editing;
  const list = useRef<HTMLUListElement & HTMLOListElement>(null);
  /** Does something to the rows and goes to one of them at once: no letter typed meanwhile goes elsewhere. */
  const thenFocus = (index: number, act?: () => void) => {
    if (act) flushSync(act);
    list.current?.querySelectorAll<RowField>('[data-row]')[index]?.focus();
  };
  const remove = (row: One) => (onRemove ? onRemove(row) : onRows(rows.filter((one) => one !== row)));
  const insert = (at: number, text = '') => {
    if (rows.length < most) onRows([...rows.slice(0, at), blank(text), ...rows.slice(at)]);
  };
  return {
    list,
    replace: (row) => onRows(rows.map((one) => (one.id === row.id ? row : one))),
    remove,
    moveBy: (row, by) => onRows(move(rows, rows.indexOf(row), rows.indexOf(row) + by)),
    goTo: thenFocus,
    add: (text) => thenFocus(rows.length, () => insert(rows.length, text)),
    keys: (row) => (event) => {
      const at = rows.indexOf(row);
      if (event.key === 'Enter') {
        event.preventDefault();
        const empty = rows.findIndex((other, index) => index > at && isEmpty(other));
        thenFocus(empty < 0 ? at + 1 : empty, () => {
          if (empty < 0) insert(at + 1);
        });
      } else if (event.key === 'Backspace' && event.currentTarget.value === '' && rows.length > 1) {
        event.preventDefault();
        thenFocus(Math.max(0, at - 1), () => remove(row));
      }
    },
    paste: (row) => (event) => {
      const lines = pastedLines(event.clipboardData);
      if (lines.length < 2 || event.currentTarget.value !== '') return;
      event.preventDefault();
      const room = most - rows.length + rows.filter(isEmpty).length;
      onRows(filledWith(editing, rows.indexOf(row), lines.slice(0, room)));
    },
  };
}
