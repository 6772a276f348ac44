import type { Brought } from '@/store/files/broughtSchool';
import { count } from '@/ui/words/figures';

const listWords = ({ name, students, isNew }: Brought['lists'][number]): string =>
  isNew
    ? `It adds the class ${name}${students > 0 ? ` with ${count(students, 'student')}` : ''}.`
    : `It adds ${count(students, 'student')} to your class ${name}.`;

/** Whom a file adds, in sentences; none where everybody in it is here. */
export const broughtWords = ({ students, lists }: Brought): string[] => {
  const words = lists.map(listWords);
  return words.length === 0 && students > 0
    ? [`It adds ${count(students, 'student')} who ${students === 1 ? 'is' : 'are'} on no class list.`]
    : words;
};

const MOST_SAID = 6;

/** What a file does to class lists, said before it is done. */
export function BroughtLines({ brought }: { readonly brought: Brought }) {
  const words = broughtWords(brought);
  if (words.length === 0) return null;
  const more = words.length - MOST_SAID;
  return (
    <ul className="mt-2" aria-label="What it adds to your classes">
      {words.slice(0, MOST_SAID).map((text) => (
        <li key={text}>{text}</li>
      ))}
      {more > 0 && <li>… and {count(more, 'more class', 'more classes')}.</li>}
    </ul>
  );
}

/** Whom it added, in a few words for a notice. */
export const addedWords = ({ students, lists }: Brought): string => {
  const names = lists.map(({ name }) => name);
  const listed = lists.reduce((sum, list) => sum + list.students, 0);
  const where = names.length === 0 ? '' : names.length === 1 ? ` to ${names[0] ?? ''}` : ' to your classes';
  return `${count(Math.max(students, listed), 'student')} added${where}`;
};
