import { everyRow, withHeading, type Table } from '@/core/formats/table';
import { lineText } from '@/core/content/shownText';

interface Props {
  readonly table: Table;
  readonly onTable: (table: Table) => void;
}

/** Which line of a file holds the headings: chosen where the guess is wrong, also that there are none. */
export function HeadingLine({ table, onTable }: Props) {
  const choose = (value: string) => {
    const read = withHeading(everyRow(table), value === 'none' ? null : Number(value));
    if (read.ok) onTable(read.table);
  };
  return (
    <p className="mb-3 text-[14px]">
      The headings are{' '}
      <select
        className="sentence-part max-w-full"
        aria-label="Line with the headings"
        value={table.headingLine ?? 'none'}
        onChange={(event) => choose(event.target.value)}
      >
        {table.top.map(({ line, cells }) => (
          <option key={line} value={line}>
            line {line}: {lineText(cells.filter(Boolean).slice(0, 4).join(', ')).slice(0, 60)}
          </option>
        ))}
        <option value="none">none: the first line is already a student</option>
      </select>
      .
    </p>
  );
}
