import type { Student } from '@/core/quiz/people/school';
import { LongRows } from '@/ui/widgets/layout/LongRows';
import { useNarrow } from '@/ui/widgets/layout/useNarrow';
import { RosterItem, RosterRow } from './RosterRow';

interface StudentsProps {
  readonly classId: string;
  readonly shown: readonly Student[];
  readonly namesakes: ReadonlyMap<string, Student>;
}

const StudentTable = ({ classId, shown, namesakes }: StudentsProps) => (
  <table className="mt-4 w-full">
    <thead>
      <tr className="label-small border-b border-line text-left">
        <th className="pb-1 pl-9 font-semibold">Number</th>
        <th className="pb-1 font-semibold">Name</th>
        <th className="pb-1 font-semibold">Email</th>
        <th className="pb-1 font-semibold">Groups</th>
        <th className="pb-1 font-semibold">More time</th>
        <th className="pb-1">
          <span className="sr-only">Remove</span>
        </th>
      </tr>
    </thead>
    <LongRows
      rows={shown}
      height={42}
      keyOf={({ id }) => id}
      draw={(student, at) => (
        <RosterRow
          key={student.id}
          classId={classId}
          student={student}
          namesake={namesakes.get(student.id) ?? null}
          {...at}
        />
      )}
    />
  </table>
);

const StudentList = ({ classId, shown, namesakes }: StudentsProps) => (
  <div className="mt-3 border-t border-line">
    <LongRows
      rows={shown}
      as="list"
      height={110}
      keyOf={({ id }) => id}
      draw={(student, at) => (
        <RosterItem
          key={student.id}
          classId={classId}
          student={student}
          namesake={namesakes.get(student.id) ?? null}
          {...at}
        />
      )}
    />
  </div>
);

/** Everyone of a class, edited in place: a table, on a phone a list. */
export function Students(props: StudentsProps) {
  const View = useNarrow('phone') ? StudentList : StudentTable;
  return <View {...props} />;
}
