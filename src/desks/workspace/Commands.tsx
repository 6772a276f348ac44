import { Keyboard } from 'lucide-react';
import { useEffect, useState } from 'react';
import { ON_SCREEN, KINDS } from '@/core/kinds';
import { isOpen } from '@/core/quiz/window';
import { ASPECTS } from '@/core/reveal/plan';
import { addQuestion } from '@/store/edits';
import { now } from '@/store/clock';
import { redo, undo } from '@/store/history';
import { showAspects } from '@/store/standing';
import { download, fileName } from '@/ui/download';
import { useQuiz } from '@/ui/quizContext';
import { SaveFile } from '@/ui/SaveFile';
import { saveAnswers } from '@/ui/saveAnswers';
import { switchTheme } from '@/ui/ThemeSwitch';
import { classWorker } from '@/workers/clients';
import { KeyList } from './KeyList';
import { Palette, type PaletteAction } from './Palette';
import { STATIONS } from './stations';

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.isContentEditable || target.matches('input, textarea, select'));

interface Openers {
  readonly opening: () => void;
  readonly keys: () => void;
  readonly saving: () => void;
}

function useActions({ opening, keys, saving }: Openers): PaletteAction[] {
  const { quiz } = useQuiz();
  const { id, content, standing } = quiz;
  const byHand = ASPECTS.filter((aspect) => content.plan[aspect] === 'byTeacher');
  const go = (address: string) => location.assign(address);
  const print = (right: string) => window.open(`/print/?${new URLSearchParams({ quiz: id, right }).toString()}`, '_blank', 'noopener'); // prettier-ignore
  const scores = async () =>
    download(`${fileName(content.title)}-scores.csv`, await classWorker().scoresFile(id), 'text/csv;charset=utf-8'); // prettier-ignore
  return [
    ...STATIONS.map(({ name, title }, index) => ({ name: `Go to ${title}`, keys: `Alt ${index + 1}`, run: () => go(`#${name}`) })),
    ...ON_SCREEN.map((kind) => ({
      name: `New question: ${KINDS[kind].title.toLowerCase()}`,
      run: () => void addQuestion(id, kind, null).then(() => go('#write')),
    })),
    { name: isOpen(standing.opening, now()) ? 'Change or end the opening' : 'Open this quiz', run: opening },
    ...(byHand.length > 0
      ? [
          { name: 'Show results to all', run: () => void showAspects(id, byHand, 'show') },
          { name: 'Take results back from all', run: () => void showAspects(id, byHand, 'takeBack') },
        ]
      : []),
    { name: 'Save the scores as CSV', run: () => void scores() },
    { name: 'Save all answers as CSV', run: () => void saveAnswers(id, content.title, 'csv') },
    { name: 'Save all answers as a spreadsheet', run: () => void saveAnswers(id, content.title, 'xlsx') },
    { name: 'Save this quiz as a file', run: saving },
    { name: 'Print slips with right answers', run: () => print('with') },
    { name: 'Print slips without right answers', run: () => print('without') },
    { name: 'Undo', keys: 'Ctrl Z', run: () => void undo(id) },
    { name: 'Do again', keys: 'Ctrl Shift Z', run: () => void redo(id) },
    { name: 'Go to the Shelf', run: () => go('/') },
    { name: 'Go to the class list', run: () => go('/class/') },
    { name: 'Light or dark', run: switchTheme },
    { name: 'List of keys', keys: '?', run: keys },
  ]; // prettier-ignore
}

/** The palette of actions and the list of keys, with the keys that open them and go to stations. */
export function Commands({ onOpening }: { readonly onOpening: () => void }) {
  const [open, setOpen] = useState<'palette' | 'keys' | 'saving' | null>(null);
  const { quiz } = useQuiz();
  const close = () => setOpen(null);
  const actions = useActions({
    opening: onOpening,
    keys: () => setOpen('keys'),
    saving: () => setOpen('saving'),
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      const station = event.altKey && !event.shiftKey ? STATIONS[Number(event.key) - 1] : undefined;
      if ((event.ctrlKey || event.metaKey) && key === 'k') setOpen('palette');
      else if (key === '?' && !isTyping(event.target)) setOpen('keys');
      else if (station) location.assign(`#${station.name}`);
      else return;
      event.preventDefault();
    };
    addEventListener('keydown', listen);
    return () => removeEventListener('keydown', listen);
  }, []);
  return (
    <>
      <button
        type="button"
        className="icon-button"
        aria-label="Actions"
        title="Actions (Ctrl K)"
        onClick={() => setOpen('palette')}
      >
        <Keyboard size={17} aria-hidden />
      </button>
      {open === 'palette' && <Palette actions={actions} onClose={close} />}
      {open === 'keys' && <KeyList onClose={close} />}
      {open === 'saving' && <SaveFile quiz={quiz} onClose={close} />}
    </>
  );
}
