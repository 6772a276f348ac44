import { X } from '@/ui/widgets/icons';
import type { Student } from '@/core/quiz/people/school';
import { saveGroups, saveStudent, setRemoved } from '@/store/class/roster';
import { CLASS_LIST } from '@/store/records/scopes';
import { undoStep } from '@/store/undo/undo';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { MoreTimeField } from './MoreTimeField';
import { useTextDraft } from '@/ui/editing/useDraft';

const groupsOf = (text: string): string[] =>
  [
    ...new Set(
      text
        .split(/[,;]/)
        .map((group) => group.trim().slice(0, 60))
        .filter(Boolean),
    ),
  ].slice(0, 20);

interface Props {
  readonly classId: string;
  readonly student: Student;
  /** Another student of the same name, if there is one. */
  readonly namesake: Student | null;
  readonly index: number;
  readonly measure: (element: Element | null) => void;
}

interface Field {
  readonly text: string;
  readonly edit: (text: string) => void;
}

const field = ([text, edit]: [string, (text: string) => void]): Field => ({ text, edit });

/** The details of a student that can be edited, each saved on its own. */
function useFields(classId: string, student: Student) {
  const { id } = student;
  const name = field(
    useTextDraft({
      name: `name:${id}`,
      stored: student.name,
      save: async (text) => text.trim() !== '' && saveStudent(id, { name: text }),
    }),
  );
  const number = field(
    useTextDraft({
      name: `number:${id}`,
      stored: student.number,
      save: (text) => saveStudent(id, { number: text.trim() }),
      normal: (text) => text.trim(),
    }),
  );
  const email = field(
    useTextDraft({
      name: `email:${id}`,
      stored: student.email,
      save: (text) => saveStudent(id, { email: text.trim() }),
      normal: (text) => text.trim(),
    }),
  );
  const groups = field(
    useTextDraft({
      name: `groups:${classId}:${id}`,
      stored: student.groups.join(', '),
      save: (text) => saveGroups(classId, id, groupsOf(text)),
      normal: (text) => groupsOf(text).join(', '),
    }),
  );
  return { name, number, email, groups };
}

/** What is said beside a name that two have. */
function Namesake({ student, other }: { readonly student: Student; readonly other: Student }) {
  const apart = (student.number || student.email) && (other.number || other.email);
  return (
    <p className="text-[13px] text-saffron-text">
      {apart
        ? `Same name as ${other.number || other.email}: told apart by that`
        : 'Two have this name: give both a number or an email address, so that files can tell them apart'}
    </p>
  );
}

interface PlainFieldProps {
  readonly field: Field;
  readonly label: string;
  /** What stands in it while it is empty. */
  readonly empty: string;
  readonly type?: 'text' | 'email';
  readonly most?: number;
  readonly figures?: true;
}

const PlainField = ({
  field: { text, edit },
  label,
  empty,
  type = 'text',
  most,
  figures,
}: PlainFieldProps) => (
  <input
    className={`plain-field ${figures ? 'figures' : ''}`}
    type={type}
    title={text}
    aria-label={label}
    placeholder={empty}
    maxLength={most}
    value={text}
    onChange={(event) => edit(event.target.value)}
  />
);

/** Takes the student off the list; the work stays. */
function Remove({ classId, student }: Pick<Props, 'classId' | 'student'>) {
  const remove = async () => {
    const step = await setRemoved(classId, student.id, 'off');
    notify(`${student.name} is removed from the class list; the work is kept`, {
      label: 'Undo',
      run: () => run(() => undoStep(CLASS_LIST, step)),
    });
  };
  return (
    <button
      type="button"
      className="icon-button"
      aria-label={`Remove ${student.name} from the list`}
      title="Remove from the list"
      onClick={() => run(remove)}
    >
      <X size={15} aria-hidden />
    </button>
  );
}

/** The fields of a student, each on its own. */
function useFace({ classId, student, namesake }: Props) {
  const { name, number, email, groups } = useFields(classId, student);
  return {
    number: (
      <PlainField field={number} label={`Number of ${student.name}`} empty="no number" most={60} figures />
    ),
    name: (
      <>
        <input
          className="plain-field font-semibold"
          aria-label={`Name of ${student.name}`}
          aria-invalid={name.text.trim() === ''}
          placeholder={student.name}
          maxLength={200}
          value={name.text}
          onChange={(event) => name.edit(event.target.value)}
        />
        {namesake && <Namesake student={student} other={namesake} />}
      </>
    ),
    email: (
      <PlainField
        field={email}
        label={`Email address of ${student.name}`}
        empty="no email"
        type="email"
        most={254}
      />
    ),
    groups: <PlainField field={groups} label={`Groups of ${student.name}`} empty="no group" />,
    moreTime: <MoreTimeField student={student} />,
    remove: <Remove classId={classId} student={student} />,
  };
}

/** One student, edited in place. An empty name is not taken: the last one stays. */
export function RosterRow(props: Props) {
  const { number, name, email, groups, moreTime, remove } = useFace(props);
  return (
    <tr ref={props.measure} data-index={props.index} className="border-b border-hair hover:bg-base-200">
      <td className="w-40 py-1 pr-3 pl-9">{number}</td>
      <td className="py-1 pr-3">{name}</td>
      <td className="py-1 pr-3">{email}</td>
      <td className="py-1 pr-3">{groups}</td>
      <td className="w-28 py-1 pr-3">{moreTime}</td>
      <td className="w-16 py-1 pr-6 text-right">{remove}</td>
    </tr>
  );
}

/** The same on a phone: name and number, and below them what else is known. */
export function RosterItem(props: Props) {
  const { number, name, email, groups, moreTime, remove } = useFace(props);
  return (
    <li
      ref={props.measure}
      data-index={props.index}
      className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_32px] gap-x-3 border-b border-hair py-1.5 pr-2 pl-4 text-[14px]"
    >
      <div className="col-span-2 text-[15.5px]">{name}</div>
      <div className="text-right">{remove}</div>
      <div>{number}</div>
      <div className="col-span-2">{groups}</div>
      <div>{email}</div>
      <div className="col-span-2 flex items-baseline gap-1.5">
        <span className="caption whitespace-nowrap" aria-hidden>
          More time
        </span>
        {moreTime}
      </div>
    </li>
  );
}
