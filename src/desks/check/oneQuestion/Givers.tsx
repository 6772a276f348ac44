import { StudentName } from '@/ui/widgets/paper/StudentName';
import type { Place } from '../rows';
import type { Rows } from './beside';

interface Props {
  readonly attemptIds: readonly string[];
  readonly rows: Rows;
  readonly place: Place;
  readonly onPlace: (place: Place) => void;
}

/** More names than anyone reads at once. */
const MOST_NAMED = 40;

/** Those who gave something, by name: a press takes their answer in hand. */
export function Givers({ attemptIds, rows, place, onPlace }: Props) {
  const named = attemptIds.slice(0, MOST_NAMED).flatMap((attemptId) => rows.get(attemptId) ?? []);
  return (
    <>
      {named.map(({ attemptId, name, apart }) => (
        <button
          key={attemptId}
          type="button"
          aria-pressed={attemptId === place.attemptId}
          className={`min-h-[26px] cursor-pointer ${attemptId === place.attemptId ? 'font-semibold' : 'text-soft hover:underline'}`}
          onClick={() => onPlace({ attemptId, column: place.column })}
        >
          <StudentName name={name} apart={apart} />
        </button>
      ))}
      {attemptIds.length > named.length && (
        <span className="text-soft">and {attemptIds.length - named.length} more</span>
      )}
    </>
  );
}
