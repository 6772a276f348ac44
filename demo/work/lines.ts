/** Lines of answers, parted by `|`. */
export const lines = (text: string): readonly (readonly string[])[] =>
  text
    .trim()
    .split('\n')
    .map((line) => line.split('|'));
