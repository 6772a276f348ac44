import { ONE, subtract } from '@/core/figures/fraction';
import type { MoreTime, Student } from '@/core/quiz/people/school';
import { saveStudent } from '@/store/class/roster';
import { percent } from '@/ui/words/figures';
import { run } from '@/ui/widgets/press/press';

const FACTORS = [
  { n: 5, d: 4 },
  { n: 3, d: 2 },
  { n: 2, d: 1 },
] as const;
const MINUTES = [5, 10, 15, 20, 30, 45, 60] as const;

/** How it reads, in few letters. */
function wordsOf(moreTime: MoreTime | null): string {
  if (moreTime === null) return 'none';
  if (moreTime.kind === 'minutes') return `${moreTime.minutes} min more`;
  return `${percent(subtract(moreTime.factor, ONE))} more`;
}

const CHOICES: readonly (readonly [string, MoreTime | null])[] = [
  null,
  ...FACTORS.map((factor): MoreTime => ({ kind: 'factor', factor: { ...factor } })),
  ...MINUTES.map((minutes): MoreTime => ({ kind: 'minutes', minutes })),
].map((moreTime) => [wordsOf(moreTime), moreTime]);

/** More time that a student usually gets. Time limits of quizzes will take it up; nothing has one yet. */
export function MoreTimeField({ student }: { readonly student: Student }) {
  const words = wordsOf(student.moreTime);
  const offered = CHOICES.some(([one]) => one === words);
  return (
    <select
      className="plain-field !text-[14px]"
      aria-label={`More time for ${student.name}`}
      value={words}
      onChange={(event) => {
        const chosen = CHOICES.find(([one]) => one === event.target.value);
        if (chosen) run(() => saveStudent(student.id, { moreTime: chosen[1] }));
      }}
    >
      {!offered && <option>{words}</option>}
      {CHOICES.map(([one]) => (
        <option key={one}>{one}</option>
      ))}
    </select>
  );
}
