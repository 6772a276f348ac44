import { useState } from 'react';
import { addClass, isDemo, type ListedClass } from '@/store/class/classes';
import { usePress } from '@/ui/widgets/press/press';
import { Failed } from '@/ui/widgets/press/Failed';

interface Props {
  readonly classes: readonly ListedClass[];
  readonly at: string | null;
  /** `fresh`: the class was made just now, and waits for its name. */
  readonly onGo: (classId: string, fresh?: true) => void;
}

interface TabProps {
  readonly one: ListedClass;
  readonly at: string | null;
  readonly onGo: (classId: string) => void;
}

const Tab = ({ one, at, onGo }: TabProps) => (
  <button
    type="button"
    className={`min-h-9 cursor-pointer border-b-2 px-1 text-[15px] ${
      one.id === at ? 'border-ink font-semibold' : 'border-transparent text-soft hover:text-ink'
    }`}
    aria-current={one.id === at ? 'page' : undefined}
    onClick={() => onGo(one.id)}
  >
    {one.name}
    {isDemo(one) && <span className="caption"> demo</span>}
  </button>
);

/** All classes: the one at hand, the others, those that were put away, and a new one. */
export function ClassBar({ classes, at, onGo }: Props) {
  const [shown, setShown] = useState(false);
  const present = classes.filter(({ archivedAt }) => archivedAt === null);
  const away = classes.filter(({ archivedAt }) => archivedAt !== null);
  const add = usePress(async () => onGo(await addClass('New class'), true));
  return (
    <nav aria-label="Classes" className="mb-3 flex flex-wrap items-baseline gap-x-5 gap-y-1">
      {present.map((one) => (
        <Tab key={one.id} one={one} at={at} onGo={onGo} />
      ))}
      <button
        type="button"
        className="min-h-9 cursor-pointer text-[14px] font-semibold text-petrol hover:underline"
        disabled={add.busy}
        onClick={add.start}
      >
        New class
      </button>
      {away.length > 0 && (
        <button
          type="button"
          className="link-text ml-auto min-h-9 cursor-pointer text-[14px]"
          aria-expanded={shown}
          onClick={() => setShown(!shown)}
        >
          Archived ({away.length})
        </button>
      )}
      {shown && away.map((one) => <Tab key={one.id} one={one} at={at} onGo={onGo} />)}
      {add.error && <Failed text={add.error} onAgain={add.start} />}
    </nav>
  );
}
