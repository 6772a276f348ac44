import type { Target } from '@/core/quiz/people/target';
import { listedStudents } from '@/store/class/roster';
import { useQuiz } from './quizContext';
import { useClasses } from './useClasses';
import { useQuery } from '../widgets/press/useQuery';

/** A class, a group or a student, by name. */
export interface Named {
  readonly target: Target;
  readonly name: string;
}

/** What tells one from all others, as text. */
export const keyOf = ({ target }: Named): string => JSON.stringify(target);

/** All for whom something can be set apart: the classes and groups that take the quiz, and their students. */
export function useTargets(): { readonly groups: readonly Named[]; readonly students: readonly Named[] } {
  const { quiz } = useQuiz();
  const { setTo } = quiz.standing;
  const classes = useClasses() ?? [];
  const key = JSON.stringify(setTo);
  const { value } = useQuery(() => listedStudents(setTo), [key]);
  const groups = setTo.flatMap(({ classId, group, studentId }): Named[] => {
    const known = classes.find(({ id }) => id === classId);
    if (!known || studentId !== undefined) return [];
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

interface ChoiceProps {
  readonly label: string;
  /** What stands there while nobody is chosen. */
  readonly nobody: string;
  readonly value: string;
  readonly targets: ReturnType<typeof useTargets>;
  readonly onChoose: (named: Named | null) => void;
}

/** A choice among classes and groups, and students. */
export const TargetChoice = ({ label, nobody, value, targets, onChoose }: ChoiceProps) => (
  <select
    className="sentence-part"
    aria-label={label}
    value={value}
    onChange={({ target }) =>
      onChoose([...targets.groups, ...targets.students].find((one) => keyOf(one) === target.value) ?? null)
    }
  >
    <option value="">{nobody}</option>
    {[targets.groups, targets.students].map((those, at) => (
      <optgroup key={at} label={at === 0 ? 'Classes and groups' : 'Students'}>
        {those.map((named) => (
          <option key={keyOf(named)} value={keyOf(named)}>
            {named.name}
          </option>
        ))}
      </optgroup>
    ))}
  </select>
);
