import type { QuizRecord } from '@/store/records/db';

/** What is looked for on the Shelf. */
export interface Filter {
  readonly search: string;
  readonly topic: string;
  readonly among: 'shelf' | 'away' | 'deleted';
}

interface Props {
  readonly quizzes: readonly QuizRecord[];
  readonly filter: Filter;
  readonly onFilter: (filter: Filter) => void;
}

/** Search, topic, and whether to look among quizzes put away or deleted. */
export function ShelfTools({ quizzes, filter, onFilter }: Props) {
  const topics = [...new Set(quizzes.map((quiz) => quiz.content.topic.trim()).filter(Boolean))].sort();
  const away = quizzes.filter((quiz) => quiz.archivedAt !== null && quiz.deletedAt === null).length;
  const deleted = quizzes.filter((quiz) => quiz.deletedAt !== null).length;
  if (quizzes.length < 2 && away + deleted === 0) return null;
  return (
    <div role="search" className="mb-3 flex flex-wrap items-baseline gap-x-6 gap-y-2">
      <input
        type="search"
        className="lined-field !w-64"
        aria-label="Find a quiz"
        placeholder="Find a quiz"
        value={filter.search}
        onChange={(event) => onFilter({ ...filter, search: event.target.value })}
      />
      {topics.length > 0 && (
        <label className="text-soft">
          Topic{' '}
          <select
            className="sentence-part"
            value={filter.topic}
            onChange={(event) => onFilter({ ...filter, topic: event.target.value })}
          >
            <option value="">any</option>
            {topics.map((topic) => (
              <option key={topic}>{topic}</option>
            ))}
          </select>
        </label>
      )}
      {(away > 0 || deleted > 0 || filter.among !== 'shelf') && (
        <label className="text-soft">
          Among{' '}
          <select
            className="sentence-part"
            value={filter.among}
            onChange={(event) => onFilter({ ...filter, among: event.target.value as Filter['among'] })}
          >
            <option value="shelf">on the Shelf</option>
            <option value="away">archived ({away})</option>
            <option value="deleted">deleted ({deleted})</option>
          </select>
        </label>
      )}
    </div>
  );
}
