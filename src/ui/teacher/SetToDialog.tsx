import { useState } from 'react';
import { byName } from '@/core/quiz/people/byName';
import type { SetTo } from '@/core/quiz/people/school';
import type { ListedClass } from '@/store/class/classes';
import { listedStudents } from '@/store/class/roster';
import type { QuizRecord } from '@/store/records/db';
import { undoStep } from '@/store/undo/undo';
import { setQuizTo } from '@/store/quiz/standing';
import { Dialog } from '../widgets/dialogs/Dialog';
import { DialogFoot } from '../widgets/dialogs/DialogFoot';
import { X } from '../widgets/icons';
import { notify } from '../widgets/press/notices';
import { useQuery } from '../widgets/press/useQuery';
import { run, usePress } from '../widgets/press/press';
import { count } from '../words/figures';
import { setToWords } from '../words/setToWords';
import { useClasses } from './useClasses';

interface BoxProps {
  readonly label: string;
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
}

const Box = ({ label, checked, onChange }: BoxProps) => (
  <label className="flex min-h-8 items-center gap-2">
    <input
      type="checkbox"
      className="size-4 accent-[var(--petrol)]"
      checked={checked}
      onChange={(event) => onChange(event.target.checked)}
    />
    {label}
  </label>
);

const isWhole = ({ group, studentId }: SetTo): boolean => group === null && studentId === undefined;

interface AloneProps extends Pick<ClassProps, 'chosen' | 'onChange'> {
  readonly classId: string;
  readonly name: string;
}

/** Students of a class who take the quiz alone, without a group that is made for them. */
function Alone({ classId, name, chosen, onChange }: AloneProps) {
  const { value } = useQuery(() => listedStudents([{ classId, group: null }]), [classId]);
  const students = [...(value ?? [])].sort(byName);
  const set = new Set(chosen.flatMap((one) => (one.classId === classId ? (one.studentId ?? []) : [])));
  return (
    <p className="ml-6 flex flex-wrap items-baseline gap-x-3 gap-y-1 text-[14px]">
      {students
        .filter(({ id }) => set.has(id))
        .map((student) => (
          <span key={student.id} className="chip !font-normal">
            {student.name}
            <button
              type="button"
              className="icon-button"
              aria-label={`Take ${student.name} off`}
              onClick={() => onChange(chosen.filter((one) => one.studentId !== student.id))}
            >
              <X size={13} aria-hidden />
            </button>
          </span>
        ))}
      <select
        className="sentence-part !font-normal"
        aria-label={`One student of ${name}`}
        value=""
        onChange={({ target }) => {
          if (target.value !== '') onChange([...chosen, { classId, group: null, studentId: target.value }]);
        }}
      >
        <option value="">one student alone…</option>
        {students
          .filter(({ id }) => !set.has(id))
          .map((student) => (
            <option key={student.id} value={student.id}>
              {student.name}
            </option>
          ))}
      </select>
    </p>
  );
}

interface ClassProps {
  readonly one: ListedClass;
  readonly chosen: readonly SetTo[];
  readonly onChange: (chosen: readonly SetTo[]) => void;
}

/** A class as a whole, or some of its groups. */
function ClassChoice({ one, chosen, onChange }: ClassProps) {
  const { id, name, groups, students } = one;
  const others = chosen.filter(({ classId }) => classId !== id);
  const own = chosen.filter(({ classId }) => classId === id);
  const whole = own.some(({ group, studentId }) => group === null && studentId === undefined);
  return (
    <li className="border-b border-hair py-1.5">
      <Box
        label={`${name}, ${count(students, 'student')}`}
        checked={whole}
        onChange={(checked) => onChange(checked ? [...others, { classId: id, group: null }] : others)}
      />
      {groups.length > 0 && (
        <div className="ml-6 flex flex-wrap gap-x-5" role="group" aria-label={`Groups of ${name}`}>
          {groups.map((group) => (
            <Box
              key={group}
              label={group}
              checked={own.some((set) => set.group === group)}
              onChange={(checked) =>
                onChange(
                  // A group in place of the whole class, or one more of its groups.
                  checked
                    ? [...others, ...own.filter((set) => !isWhole(set)), { classId: id, group }]
                    : chosen.filter((set) => set.classId !== id || set.group !== group),
                )
              }
            />
          ))}
        </div>
      )}
      {!whole && <Alone classId={id} name={name} chosen={chosen} onChange={onChange} />}
    </li>
  );
}

interface Props {
  readonly quiz: QuizRecord;
  readonly onClose: () => void;
}

/** Which classes, or groups of them, take the quiz. */
export function SetToDialog({ quiz, onClose }: Props) {
  const all = useClasses() ?? [];
  const [chosen, setChosen] = useState<readonly SetTo[]>(quiz.standing.setTo);
  const set = new Set(quiz.standing.setTo.map(({ classId }) => classId));
  const classes = all.filter(({ id, archivedAt }) => archivedAt === null || set.has(id));
  const save = usePress(async () => {
    const step = await setQuizTo(quiz.id, chosen);
    const words = setToWords(chosen, all);
    notify(words === '' ? 'The quiz is set for no class' : `The quiz is set for ${words}`, {
      label: 'Undo',
      run: () => run(() => undoStep(quiz.id, step)),
    });
    onClose();
  });
  return (
    <Dialog title="Who takes this quiz?" onClose={onClose}>
      <p>
        Only they can open it, and only their work counts. Other students’ work is kept, and counts again when
        the quiz is set for them.
      </p>
      {classes.length === 0 ? (
        <p className="mt-3">
          You have no classes yet.{' '}
          <a className="link-text" href="/class/">
            Make one
          </a>
          .
        </p>
      ) : (
        <ul className="mt-3 border-t border-line">
          {classes.map((one) => (
            <ClassChoice key={one.id} one={one} chosen={chosen} onChange={setChosen} />
          ))}
        </ul>
      )}
      <DialogFoot
        label="Set the quiz"
        onGo={save.start}
        onLeave={onClose}
        disabled={save.busy}
        error={save.error}
      />
    </Dialog>
  );
}
