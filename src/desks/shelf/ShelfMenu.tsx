import { Archive, ArchiveRestore, Copy, FileDown, MoreHorizontal, Trash2 } from 'lucide-react';
import { useEffect, useId, useRef, useState } from 'react';
import type { QuizRecord } from '@/store/db';
import { duplicateQuiz, setArchived, setDeleted } from '@/store/shelf';
import { notify } from '@/ui/notices';
import { SaveFile } from '@/ui/SaveFile';

async function archive(quiz: QuizRecord): Promise<void> {
  const away = quiz.archivedAt === null;
  await setArchived(quiz.id, away ? 'away' : 'back');
  notify(away ? 'Put away' : 'Back on the Shelf', {
    label: 'Undo',
    run: () => void setArchived(quiz.id, away ? 'back' : 'away'),
  });
}

async function remove(quiz: QuizRecord): Promise<void> {
  await setDeleted(quiz.id, 'deleted');
  notify(`“${quiz.content.title}” is deleted; it can be brought back for 30 days`, {
    label: 'Undo',
    run: () => void setDeleted(quiz.id, 'back'),
  });
}

async function duplicate(quiz: QuizRecord): Promise<void> {
  const copy = await duplicateQuiz(quiz.id);
  notify('A copy without anybody’s work is on top', {
    label: 'Undo',
    run: () => void setDeleted(copy, 'deleted'),
  });
}

/** What can be done with a quiz as a whole. */
export function ShelfMenu({ quiz }: { readonly quiz: QuizRecord }) {
  const id = useId();
  const menu = useRef<HTMLDivElement>(null);
  const [saving, setSaving] = useState(false);
  const title = quiz.content.title || 'Untitled quiz';
  const actions = [
    { label: 'Duplicate', Icon: Copy, run: duplicate },
    { label: 'Save as a file', Icon: FileDown, run: () => setSaving(true) },
    quiz.archivedAt === null
      ? { label: 'Put away', Icon: Archive, run: archive }
      : { label: 'Back on the Shelf', Icon: ArchiveRestore, run: archive },
    { label: 'Delete', Icon: Trash2, run: remove },
  ];
  useEffect(() => {
    const element = menu.current;
    const place = () => {
      const button = document.querySelector(`[popovertarget="${id}"]`)?.getBoundingClientRect();
      if (!button || !element) return;
      element.style.top = `${button.bottom + 4}px`;
      element.style.left = `${button.right - 190}px`;
    };
    element?.addEventListener('beforetoggle', place);
    return () => element?.removeEventListener('beforetoggle', place);
  }, [id]);
  return (
    <>
      <button
        type="button"
        className="icon-button"
        popoverTarget={id}
        aria-label={`More for ${title}`}
        title="More"
      >
        <MoreHorizontal size={17} aria-hidden />
      </button>
      <div ref={menu} id={id} popover="auto" className="menu-sheet" aria-label={`More for ${title}`}>
        {actions.map(({ label, Icon, run }) => (
          <button
            key={label}
            type="button"
            className="flex w-full cursor-pointer items-center gap-3 px-4 py-2 text-left hover:bg-base-200"
            onClick={() => {
              menu.current?.hidePopover();
              void run(quiz);
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
