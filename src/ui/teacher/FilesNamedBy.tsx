import type { NamedBy } from '@/workers/classDesk';

interface Props {
  readonly by: NamedBy;
  readonly onChange: (by: NamedBy) => void;
  readonly className?: string;
}

/** What each student's file in a zip is named by. */
export const FilesNamedBy = ({ by, onChange, className }: Props) => (
  <p className={className}>
    The files are named by{' '}
    <select
      className="sentence-part"
      aria-label="What the files are named by"
      value={by}
      onChange={(event) => onChange(event.target.value as NamedBy)}
    >
      <option value="number">number</option>
      <option value="name">name</option>
    </select>
    .
  </p>
);
