import type { QuizRecord } from '@/store/records/db';
import { useClasses } from '@/ui/teacher/useClasses';
import { FindField, PickLine } from '@/ui/widgets/fields/Find';

/** What is looked for on the Shelf. */
export interface Filter {
  readonly search: string;
  readonly topic: string;
  /** A class by its id; empty for any. */
  readonly classId: string;
  readonly among: 'shelf' | 'away' | 'deleted';
}

interface Props {
  readonly quizzes: readonly QuizRecord[];
  readonly filter: Filter;
  readonly onFilter: (filter: Filter) => void;
}

/** Search, topic, class, and whether to look among quizzes put away or deleted. */
export function ShelfTools({ quizzes, filter, onFilter }: Props) {
  const topics = [...new Set(quizzes.map((quiz) => quiz.content.topic.trim()).filter(Boolean))].sort();
  const away = quizzes.filter((quiz) => quiz.archivedAt !== null && quiz.deletedAt === null).length;
  const deleted = quizzes.filter((quiz) => quiz.deletedAt !== null).length;
  const set = new Set(quizzes.flatMap(({ standing }) => standing.setTo.map(({ classId }) => classId)));
  const classes = (useClasses() ?? []).filter(({ id }) => set.has(id));
  if (quizzes.length < 2 && away + deleted === 0) return null;
  return (
    <div role="search" className="mb-3 flex flex-wrap items-baseline gap-x-6 gap-y-2">
      <FindField
        label="Find a quiz"
        value={filter.search}
        onChange={(search) => onFilter({ ...filter, search })}
      />
      {topics.length > 0 && (
        <PickLine
          label="Topic"
          value={filter.topic}
          options={[['', 'any'], ...topics.map((topic) => [topic, topic] as const)]}
          onChange={(topic) => onFilter({ ...filter, topic })}
        />
      )}
      {classes.length > 1 && (
        <PickLine
          label="Class"
          value={filter.classId}
          options={[['', 'any'], ...classes.map(({ id, name }) => [id, name] as const)]}
          onChange={(classId) => onFilter({ ...filter, classId })}
        />
      )}
      {(away > 0 || deleted > 0 || filter.among !== 'shelf') && (
        <PickLine
          label="Show"
          value={filter.among}
          options={[
            ['shelf', 'on the Shelf'],
            ['away', `archived (${away})`],
            ['deleted', `deleted (${deleted})`],
          ]}
          onChange={(among) => onFilter({ ...filter, among })}
        />
      )}
    </div>
  );
}
