import { useState } from 'react';
import { studentsSetTo } from '@/store/class/roster';
import { beginTypedPaper } from '@/store/work/typedPapers';
import { useQuiz } from '@/ui/teacher/quizContext';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { Failed } from '@/ui/widgets/press/Failed';
import { FindField } from '@/ui/widgets/fields/Find';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { readingFailed } from '@/ui/words/failureWords';
import type { CheckTable } from '@/workers/classDesk';

interface Props {
  readonly table: CheckTable;
  readonly onBegun: (attemptId: string) => void;
  readonly onClose: () => void;
}

/** Whose paper is typed in: those who have handed nothing in yet come first. */
export function TypeIn({ table, onBegun, onClose }: Props) {
  const { quiz } = useQuiz();
  const [search, setSearch] = useState('');
  const { value, failure, again } = useQuery(() => studentsSetTo(quiz.standing.setTo), [quiz.standing.setTo]);
  const withWork = new Set(table.rows.map(({ studentId }) => studentId));
  const wanted = search.trim().toLocaleLowerCase();
  const students = (value ?? [])
    .filter(({ name, removedAt }) => removedAt === null && name.toLocaleLowerCase().includes(wanted))
    .sort((a, b) => Number(withWork.has(a.id)) - Number(withWork.has(b.id)) || a.name.localeCompare(b.name));
  const begin = (studentId: string, name: string) =>
    run(async () => {
      const attemptId = await beginTypedPaper(quiz.id, studentId);
      notify(`The paper of ${name} is open: type what was written`);
      onBegun(attemptId);
    });
  return (
    <Dialog title="Type in a paper" onClose={onClose}>
      <p className="mb-3">
        For a student who worked on paper. The answers are marked as you type them; Ctrl Z takes them back.
      </p>
      <FindField label="Find whose paper it is" value={search} onChange={setSearch} />
      {failure && <Failed className="mt-3" text={readingFailed(failure)} onAgain={again} />}
      <ul className="mt-3 max-h-80 overflow-auto" aria-label="Students">
        {students.map(({ id, name }) => (
          <li key={id} className="border-b border-hair">
            <button
              type="button"
              className="flex min-h-10 w-full cursor-pointer items-baseline gap-3 px-1 text-left hover:bg-hair"
              onClick={() => begin(id, name)}
            >
              <span className="flex-1 font-medium">{name}</span>
              <span className="caption">{withWork.has(id) ? 'one more attempt' : 'nothing handed in'}</span>
            </button>
          </li>
        ))}
        {value && students.length === 0 && (
          <li className="py-4 text-soft">Nobody of that name takes this quiz.</li>
        )}
      </ul>
      <div className="mt-4 flex justify-end">
        <button type="button" className="btn btn-outline" onClick={onClose}>
          Cancel
        </button>
      </div>
    </Dialog>
  );
}
