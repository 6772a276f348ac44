import { Archive, ArchiveRestore, Copy, FileDown, MoreHorizontal, Trash2 } from '@/ui/widgets/icons';
import { useId, useRef, useState } from 'react';
import type { QuizRecord } from '@/store/records/db';
import { duplicateQuiz, setArchived, setDeleted } from '@/store/quiz/shelf';
import { SHELF } from '@/store/records/scopes';
import { undoStep } from '@/store/undo/undo';
import { arrowKeys } from '@/ui/widgets/press/arrowKeys';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { SaveFile } from '@/ui/teacher/SaveFile';
import { usePlaced } from '@/ui/widgets/layout/usePlaced';

const undoing = (step: number) => ({ label: 'Undo', run: () => run(() => undoStep(SHELF, step)) });

async function archive(quiz: QuizRecord): Promise<void> {
  const away = quiz.archivedAt === null;
  const step = await setArchived(quiz.id, away ? 'away' : 'back');
  notify(away ? 'Archived' : 'Back on the Shelf', undoing(step));
}

async function remove(quiz: QuizRecord): Promise<void> {
  const step = await setDeleted(quiz.id, 'deleted');
  notify(`“${quiz.content.title}” is deleted; it can be restored for 30 days`, undoing(step));
}

async function duplicate(quiz: QuizRecord): Promise<void> {
  const { step } = await duplicateQuiz(quiz.id);
  notify('A copy without any student work is now at the top', undoing(step));
}

/** What can be done with a quiz as a whole. */
export function ShelfMenu({ quiz }: { readonly quiz: QuizRecord }) {
  const id = useId();
  const menu = useRef<HTMLDivElement>(null);
  const [saving, setSaving] = useState(false);
  const title = quiz.content.title || 'Untitled quiz';
  const actions = [
    { label: 'Duplicate', Icon: Copy, act: duplicate },
    { label: 'Save as a file', Icon: FileDown, act: async () => setSaving(true) },
    quiz.archivedAt === null
      ? { label: 'Archive', Icon: Archive, act: archive }
      : { label: 'Return to Shelf', Icon: ArchiveRestore, act: archive },
    { label: 'Delete', Icon: Trash2, act: remove },
  ];
  const opener = useRef<HTMLButtonElement>(null);
  usePlaced(menu, opener);
  return (
    <>
      <button
        ref={opener}
        type="button"
        className="icon-button"
        popoverTarget={id}
        aria-label={`More for ${title}`}
        title="More"
      >
        <MoreHorizontal size={17} aria-hidden />
      </button>
      <div
        ref={menu}
        id={id}
        popover="auto"
        className="menu-sheet"
        role="group"
        aria-label={`More for ${title}`}
        onKeyDown={arrowKeys}
        onToggle={({ newState }) => {
          if (newState === 'open') menu.current?.querySelector('button')?.focus();
        }}
      >
        {actions.map(({ label, Icon, act }) => (
          <button
            key={label}
            type="button"

            className="flex w-full cursor-pointer items-center gap-3 px-4 py-2 text-left hover:bg-base-200"
            onClick={() => {
              menu.current?.hidePopover();
              run(() => act(quiz));
            }}
          >
            <Icon size={15} aria-hidden /> {label}
          </button>
        ))}
      </div>
      {saving && <SaveFile quiz={quiz} onClose={() => setSaving(false)} />}
    </>
  );
}
