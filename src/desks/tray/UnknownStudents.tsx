import { plural } from '@/core/figures/plural';
import { useLiveQuery } from 'dexie-react-hooks';
import type { ReadChoices, Unknown } from '@/core/formats/answerFile';
import { listedStudents } from '@/store/class/roster';
import { useQuiz } from '@/ui/teacher/quizContext';
import { count } from '@/ui/words/figures';

interface Props {
  readonly unknown: readonly Unknown[];
  readonly choices: ReadChoices;
  readonly onChange: (choices: ReadChoices) => void;
}

const MOST = 200;

interface RowProps {
  readonly unknown: Unknown;
  readonly listed: readonly { readonly id: string; readonly name: string; readonly number: string }[];
  readonly onChoose: (choice: string) => void;
}

function Row({ unknown, listed, onChoose }: RowProps) {
  const { name, number, email, line, likely, choice } = unknown;
  const probable = new Set(likely.map(({ id }) => id));
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 border-b border-hair py-1">
      <span className="w-48 truncate font-semibold" title={name}>
        {name || 'without a name'}
      </span>
      <span className="figures w-32 truncate text-soft" title={number || email}>
        {number || email}
      </span>
      <span className="caption w-16">line {line}</span>
      <select
        className="sentence-part"
        aria-label={`What to do with ${name || number || email}`}
        value={choice}
        onChange={(event) => onChoose(event.target.value)}
      >
        <option value="out">leave out</option>
        {likely.map(({ id, name: other }) => (
          <option key={id} value={id}>
            is {other}
          </option>
        ))}
        <option value="add" disabled={name === ''}>
          {name === '' ? 'cannot be added without a name' : 'add to the class list'}
        </option>
        <optgroup label="somebody else on the list">
          {listed
            .filter(({ id }) => !probable.has(id))
            .map((student) => (
              <option key={student.id} value={student.id}>
                is {student.name} {student.number}
              </option>
            ))}
        </optgroup>
      </select>
      {probable.has(choice) && <span className="caption">probably the same person: please check</span>}
    </li>
  );
}

function addWords(rest: number, all: number): string {
  if (rest === all) return 'Add all';
  return plural(rest, 'Add the one who matches nobody', `Add the ${rest} who match nobody`);
}

/** Those in the file who are not on the class list: somebody likely is proposed; else they are left out until added. */
export function UnknownStudents({ unknown, choices, onChange }: Props) {
  const { setTo } = useQuiz().quiz.standing;
  const students = useLiveQuery(() => listedStudents(setTo), [setTo], []);
  if (unknown.length === 0) return null;
  const listed = [...students].sort((a, b) => a.name.localeCompare(b.name));
  const put = (keys: readonly string[], choice: string) =>
    onChange({
      ...choices,
      unknown: { ...choices.unknown, ...Object.fromEntries(keys.map((key) => [key, choice])) },
    });
  const rest = unknown.filter(({ likely, name }) => likely.length === 0 && name !== '').map(({ key }) => key);
  const all = unknown.map(({ key }) => key);
  return (
    <div className="mt-3">
      <p>
        <span className="font-semibold">
          {count(unknown.length, 'student')} in the file {plural(unknown.length, 'is', 'are')} not on the
          class list.
        </span>{' '}
        {rest.length > 0 && (
          <>
            <button type="button" className="link-text cursor-pointer" onClick={() => put(rest, 'add')}>
              {addWords(rest.length, all.length)}
            </button>
            {' · '}
          </>
        )}
        <button type="button" className="link-text cursor-pointer" onClick={() => put(all, 'out')}>
          Leave all out
        </button>
      </p>
      <ul className="max-h-40 overflow-y-auto text-[14px]">
        {unknown.slice(0, MOST).map((one) => (
          <Row key={one.key} unknown={one} listed={listed} onChoose={(choice) => put([one.key], choice)} />
        ))}
      </ul>
    </div>
  );
}
