import { useLiveQuery } from 'dexie-react-hooks';
import type { ReadChoices, Unknown } from '@/core/formats/answerFile';
import { listStudents } from '@/store/roster';
import { count } from '@/ui/figures';

interface Props {
  readonly unknown: readonly Unknown[];
  readonly choices: ReadChoices;
  readonly onChange: (choices: ReadChoices) => void;
}

const MOST = 200;

/** Those in the file who are not on the class list: added, matched by hand, or left out, one by one or all. */
export function UnknownStudents({ unknown, choices, onChange }: Props) {
  const students = useLiveQuery(listStudents, [], []);
  if (unknown.length === 0) return null;
  const listed = [...students].sort((a, b) => a.name.localeCompare(b.name));
  const put = (keys: readonly string[], choice: string) =>
    onChange({
      ...choices,
      unknown: { ...choices.unknown, ...Object.fromEntries(keys.map((key) => [key, choice])) },
    });
  const all = unknown.map(({ key }) => key);
  return (
    <div className="mt-3">
      <p>
        <span className="font-semibold">
          {count(unknown.length, 'student')} of the file {unknown.length === 1 ? 'is' : 'are'} not on the
          class list.
        </span>{' '}
        <button type="button" className="link-text cursor-pointer" onClick={() => put(all, 'add')}>
          Add all
        </button>
        {' · '}
        <button type="button" className="link-text cursor-pointer" onClick={() => put(all, 'out')}>
          Leave all out
        </button>
      </p>
      <ul className="max-h-40 overflow-y-auto text-[14px]">
        {unknown.slice(0, MOST).map(({ key, name, number, line }) => (
          <li key={key} className="flex flex-wrap items-baseline gap-x-3 border-b border-hair py-1">
            <span className="w-48 truncate font-semibold">{name || 'without a name'}</span>
            <span className="figures w-20 text-soft">{number}</span>
            <span className="caption w-16">line {line}</span>
            <select
              className="sentence-part"
              aria-label={`What to do with ${name || number}`}
              value={choices.unknown[key] ?? 'add'}
              onChange={(event) => put([key], event.target.value)}
            >
              {name !== '' && <option value="add">add to the class list</option>}
              {name === '' && <option value="add">cannot be added without a name</option>}
              <option value="out">leave out</option>
              <optgroup label="is">
                {listed.map((student) => (
                  <option key={student.id} value={student.id}>
                    is {student.name} {student.number}
                  </option>
                ))}
              </optgroup>
            </select>
          </li>
        ))}
      </ul>
    </div>
  );
}
