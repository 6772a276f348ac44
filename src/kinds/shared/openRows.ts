import { optionName } from '@/core/kinds/shared/pick/optionName';
import type { Clip } from '@/core/content/clip';
import type { Picture } from '@/core/content/picture';

interface Option {
  readonly id: string;
  readonly text: string;
  readonly picture: Picture | null;
  readonly clip?: Clip | undefined;
  readonly gone: boolean;
}

/** A thing of which nothing is written yet. */
export const isUnnamed = (thing: Pick<Option, 'text' | 'picture' | 'clip'>): boolean =>
  optionName(thing) === '';

/** Options as they are edited: those that are there, while those that are gone stay behind for old answers. */
export function openRows<One extends Option>(options: readonly One[]) {
  const open = options.filter(({ gone }) => !gone);
  const gone = options.filter((option) => option.gone);
  return {
    open,
    /** What a list of rows needs to know. `seen`: what is taken away is kept for answers that students gave. */
    editing: (put: (options: One[]) => void, seen: boolean) => ({
      rows: open,
      onRows: (rows: One[]) => put([...rows, ...gone]),
      isEmpty: isUnnamed,
      fill: (row: One, text: string): One => ({ ...row, text }),
      ...(seen && {
        onRemove: (row: One) =>
          put(options.map((option) => (option === row ? { ...option, gone: true } : option))),
      }),
    }),
  };
}
