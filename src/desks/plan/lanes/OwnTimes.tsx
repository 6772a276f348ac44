import { useState } from 'react';
import type { Target } from '@/core/quiz/target';
import { listedStudents } from '@/store/class/roster';
import { useQuiz } from '@/ui/teacher/quizContext';
import { useClasses } from '@/ui/teacher/useClasses';
import { useQuery } from '@/ui/widgets/useQuery';
import { WindowDialog } from './WindowDialog';

interface Named {
  readonly target: Target;
  readonly name: string;
}

const keyOf = ({ target }: Named): string => JSON.stringify(target);

/** All for whom times can be set apart: the classes and groups that take the quiz, and their students. */
function useTargets(): { readonly groups: readonly Named[]; readonly students: readonly Named[] } {
  const { quiz } = useQuiz();
  const { setTo } = quiz.standing;
  const classes = useClasses() ?? [];
  const key = JSON.stringify(setTo);
  const { value } = useQuery(() => listedStudents(setTo), [key]);
  const groups = setTo.flatMap(({ classId, group }): Named[] => {
    const known = classes.find(({ id }) => id === classId);
    if (!known) return [];
    const own = group === null ? known.groups : [group];
    return [
      ...(group === null ? [{ target: { kind: 'class', classId } as const, name: known.name }] : []),
      ...own.map((one) => ({
        target: { kind: 'group', classId, group: one } as const,
        name: `${known.name} ${one}`,
      })),
    ];
  });
  const students = (value ?? []).map(({ id, name }) => ({
    target: { kind: 'student', studentId: id } as const,
    name,
  }));
  return { groups, students };
}

/** Who has times of their own, and the way to set them for somebody else. */
export function OwnTimes() {
  const { windows } = useQuiz().quiz.standing;
  const { groups, students } = useTargets();
  const all = [...groups, ...students];
  const [open, setOpen] = useState<Named | null>(null);
  const own = windows.flatMap((one) => all.find((named) => keyOf(named) === JSON.stringify(one.for)) ?? []);
  return (
    <p className="mt-2 flex flex-wrap items-baseline gap-x-4 gap-y-1">
      {own.map((named) => (
        <button
          key={keyOf(named)}
          type="button"
          className="link-text cursor-pointer"
          onClick={() => setOpen(named)}
        >
          Times for {named.name}
        </button>
      ))}
      <label className="caption">
        Set times for{' '}
        <select
          className="sentence-part"
          aria-label="Set times for a class, a group or a student"
          value=""
          onChange={({ target }) => setOpen(all.find((named) => keyOf(named) === target.value) ?? null)}
        >
          <option value="">a group or a student …</option>
          {[groups, students].map((those, at) => (
            <optgroup key={at} label={at === 0 ? 'Classes and groups' : 'Students'}>
              {those.map((named) => (
                <option key={keyOf(named)} value={keyOf(named)}>
                  {named.name}
                </option>
              ))}
            </optgroup>
          ))}
        </select>
      </label>
      {open && (
        <WindowDialog key={keyOf(open)} target={open.target} name={open.name} onClose={() => setOpen(null)} />
      )}
    </p>
  );
}
