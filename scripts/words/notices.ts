import { LISTS, read } from './lists';

const intro = `# Notices

Yentrel tells other words from misspelt ones by lists of words, which are made from the dictionaries below when it is set up
(\`scripts/words\`). Each list holds the words of its dictionaries in small letters, with all that their rules of inflection
make of them, as an automaton; nothing else of them is shipped. Their sources are the npm packages named here, unchanged. The
licences are theirs, as they come with the packages.

There is no list for Italian: those that could be found may only be passed on under the GNU General Public License, or do not
say clearly under which licence their words are.
`;

/** The licences of everything that the word lists are made from, as a document. */
export function notices(): string {
  /** Where a licence was written out first: the same words are not written twice. */
  const first = new Map<string, string>();
  const parts = LISTS.flatMap(({ name, title, sources }) => [
    `\n## ${title} (\`${name}\`)\n`,
    ...sources.map(({ packageName, licence, text }) => {
      const { version } = JSON.parse(read(`${packageName}/package.json`)) as { version: string };
      const heading = `\n### ${packageName} ${version}, under ${licence}\n\n`;
      const words = read(text).trim();
      const before = first.get(words);
      if (before !== undefined) return `${heading}The licence is that of ${before}, above.\n`;
      first.set(words, packageName);
      const lines = words.split(/\r?\n/);
      return `${heading}${lines.map((line) => `    ${line.replace(/\t/g, '  ')}`.trimEnd()).join('\n')}\n`;
    }),
  ]);
  return intro + parts.join('');
}
