const collator = new Intl.Collator();

/** By name, as lists of students are sorted in the reader's language. */
export const byName = (a: { name: string }, b: { name: string }): number => collator.compare(a.name, b.name);
