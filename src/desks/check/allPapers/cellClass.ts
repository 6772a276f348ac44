/** What a cell of the table looks like that can be pressed. */
export const cellClass = (here: boolean): string =>
  `flex h-9 w-full cursor-pointer items-center justify-center ${here ? 'bg-wash outline-2 -outline-offset-2 outline-saffron' : 'hover:bg-base-200'}`;
