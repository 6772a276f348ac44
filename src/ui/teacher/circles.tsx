import { useState } from 'react';
import { classWorker } from '@/workers/clients';
import type { Circle } from '@/workers/classDesk';
import { PickLine } from '../widgets/fields/Find';
import { useQuery } from '../widgets/press/useQuery';
import { useQuiz } from './quizContext';

/** Which class or group is looked at, by quiz: the same one at every desk, as long as the page is open. */
const chosen = new Map<string, string>();

/** The class or group that is looked at, by name; empty for everybody. */
export function useChosenCircle(): readonly [string, (name: string) => void] {
  const { id } = useQuiz().quiz;
  const [name, setName] = useState(() => chosen.get(id) ?? '');
  const choose = (next: string) => {
    chosen.set(id, next);
    setName(next);
  };
  return [name, choose];
}

interface LineProps {
  readonly circles: readonly Pick<Circle, 'name'>[];
  readonly value: string;
  readonly onChange: (name: string) => void;
}

/** Where there are several classes or groups: whose work is looked at. */
export const CircleLine = ({ circles, value, onChange }: LineProps) =>
  circles.length > 0 && (
    <PickLine
      label="Class or group"
      value={circles.some(({ name }) => name === value) ? value : ''}
      options={[['', 'everybody'] as const, ...circles.map(({ name }) => [name, name] as const)]}
      onChange={onChange}
    />
  );

/** The classes and groups of a quiz, the one that is looked at, and what class a student is in where there are several. */
export function useCircles() {
  const { quiz } = useQuiz();
  const { setTo } = quiz.standing;
  const { value } = useQuery(() => classWorker().circles(quiz.id), [quiz.id, JSON.stringify(setTo)]);
  const [name, choose] = useChosenCircle();
  const circles = value ?? [];
  const circle = circles.find((one) => one.name === name) ?? null;
  const members = circle && new Set(circle.studentIds);
  return {
    isThere: value !== null,
    circle,
    holds: (studentId: string): boolean => members?.has(studentId) ?? true,
    classOf: classesOf(circles),
    line: <CircleLine circles={circles} value={name} onChange={choose} />,
  };
}

/** The class of each student, by name; null where there is one class alone. Who is in two has both. */
export function classesOf(circles: readonly Circle[]): ReadonlyMap<string, string> | null {
  const classes = circles.filter(({ kind }) => kind === 'class');
  if (classes.length === 0) return null;
  const found = new Map<string, string>();
  for (const { name, studentIds } of classes)
    for (const id of studentIds) found.set(id, found.has(id) ? `${found.get(id)}, ${name}` : name);
  return found;
}
