import type { ColumnUse } from '@/core/formats/answerColumns';
import type { Table } from '@/core/formats/table';
import { asksFor } from '@/core/kinds/progress';
import { calledBy } from '@/core/content/plainText';
import { lineText } from '@/core/content/shownText';
import { useQuiz } from '@/ui/teacher/quizContext';

interface Props {
  readonly table: Table;
  readonly columns: readonly ColumnUse[];
  readonly onChange: (columns: ColumnUse[]) => void;
}

const SIMPLE: readonly [string, ColumnUse, string][] = [
  ['ignored', { use: 'ignored' }, 'is ignored'],
  ['student', { use: 'student' }, 'student’s name'],
  ['firstName', { use: 'firstName' }, 'student’s first name'],
  ['lastName', { use: 'lastName' }, 'student’s last name'],
  ['number', { use: 'number' }, 'student’s number'],
  ['email', { use: 'email' }, 'student’s email address'],
  ['time:dayFirst', { use: 'time', order: 'dayFirst' }, 'time of hand-in (day before month)'],
  ['time:monthFirst', { use: 'time', order: 'monthFirst' }, 'time of hand-in (month before day)'],
  ['attempt', { use: 'attempt' }, 'which attempt it is'],
  ['note', { use: 'note' }, 'a private note'],
];

function keyOf(use: ColumnUse): string {
  if ('questionId' in use) return `${use.use}:${use.questionId}`;
  return use.use === 'time' ? `time:${use.order}` : use.use;
}

function columnUse(key: string): ColumnUse {
  const simple = SIMPLE.find(([name]) => name === key);
  if (simple) return simple[1];
  const [use, questionId = ''] = key.split(/:(.*)/s);
  return { use: use === 'points' || use === 'hints' ? use : 'question', questionId };
}

interface SelectProps {
  readonly label: string;
  readonly value: string;
  /** The questions, by their ids. */
  readonly titles: readonly (readonly [id: string, title: string])[];
  /** Those that have hints. */
  readonly hinted: readonly (readonly [id: string, title: string])[];
  readonly onChoose: (key: string) => void;
}

const UseSelect = ({ label, value, titles, hinted, onChoose }: SelectProps) => (
  <select
    className="lined-field !w-72 truncate max-sm:!w-48"
    aria-label={label}
    value={value}
    onChange={(event) => onChoose(event.target.value)}
  >
    {SIMPLE.map(([key, , words]) => (
      <option key={key} value={key}>
        {words}
      </option>
    ))}
    <optgroup label="Answers to">
      {titles.map(([id, title]) => (
        <option key={id} value={`question:${id}`}>
          {title}
        </option>
      ))}
    </optgroup>
    {hinted.length > 0 && (
      <optgroup label="Hints shown for">
        {hinted.map(([id, title]) => (
          <option key={id} value={`hints:${id}`}>
            Hints for {title}
          </option>
        ))}
      </optgroup>
    )}
    <optgroup label="Points given by hand for">
      {titles.map(([id, title]) => (
        <option key={id} value={`points:${id}`}>
          Points for {title}
        </option>
      ))}
    </optgroup>
  </select>
);

/** What each column holds, with the first rows to see it by. A use that another column had goes to the one chosen. */
export function ColumnUses({ table, columns, onChange }: Props) {
  const { questions } = useQuiz();
  const choose = (at: number, key: string) =>
    onChange(
      columns.map((column, index): ColumnUse => {
        if (index === at) return columnUse(key);
        return keyOf(column) === key ? { use: 'ignored' } : column;
      }),
    );
  const asked = questions.filter(({ question }) => asksFor(question));
  const titles = asked.map(
    (record, at) => [record.id, `${at + 1}. ${calledBy(record.question).slice(0, 60)}`] as const,
  );
  const hinted = titles.filter((_, at) => (asked[at]?.question.hints.length ?? 0) > 0);
  return (
    <div className="max-h-[34vh] overflow-auto max-sm:max-w-full">
      <table className="w-full text-left text-[14px]">
        <thead>
          <tr className="label-small border-b border-line">
            <th className="pb-1 font-semibold">Heading</th>
            <th className="pb-1 font-semibold">Holds</th>
            <th className="pb-1 font-semibold">First rows</th>
          </tr>
        </thead>
        <tbody>
          {table.header.map((heading, index) => (
            <tr key={index} className="border-b border-hair">
              <th scope="row" className="max-w-56 truncate py-1.5 pr-4 font-semibold">
                {heading || `Column ${index + 1}`}
              </th>
              <td className="py-1 pr-4">
                <UseSelect
                  label={`Column ${heading || index + 1}`}
                  value={keyOf(columns[index] ?? { use: 'ignored' })}
                  titles={titles}
                  hinted={hinted}
                  onChoose={(key) => choose(index, key)}
                />
              </td>
              <td className="max-w-72 truncate py-1.5 text-soft">
                {table.rows
                  .slice(0, 3)
                  .map((row) => lineText(row.cells[index] ?? ''))
                  .filter(Boolean)
                  .join(' · ')}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
