import { useCallback, useState } from 'react';
import { KIND_NAMES, kindOf } from '@/core/kinds';
import { isOpen, wholeSpan } from '@/core/quiz/times/window';
import { aspectsByHand } from '@/core/reveal/byHand';
import { addQuestion } from '@/store/quiz/edits';
import { now } from '@/device/clock';
import { redo, undo } from '@/store/undo/undo';
import { showAspects } from '@/store/quiz/standing';
import { Commands as Palette } from '@/ui/teacher/Commands';
import type { PaletteAction } from '@/ui/widgets/dialogs/Palette';
import { run } from '@/ui/widgets/press/press';
import { holdKeys } from '@/ui/editing/heldKeys';
import { askWrite } from '@/ui/teacher/askedOfWrite';
import { useQuiz } from '@/ui/teacher/quizContext';
import { SaveFile } from '@/ui/teacher/SaveFile';
import { saveAnswers, saveScores } from '@/ui/teacher/saveAnswers';
import { switchTheme } from '@/ui/widgets/layout/ThemeSwitch';
import { KeyList } from './KeyList';
import { STATIONS } from './stations';

interface Openers {
  readonly opening: () => void;
  readonly keys: () => void;
  readonly saving: () => void;
}

function useActions({ opening, keys, saving }: Openers): PaletteAction[] {
  const { quiz } = useQuiz();
  const { id, content, standing } = quiz;
  const byHand = aspectsByHand(content.plan, standing.plans);
  const go = (address: string) => location.assign(address);
  const print = (right: string) =>
    window.open(`/print/?${new URLSearchParams({ quiz: id, right }).toString()}`, '_blank', 'noopener');
  const act = (press: () => Promise<unknown>) => () => run(press);
  return [
    ...STATIONS.map(({ name, title }, index) => ({
      name: `Go to ${title}`,
      keys: `Alt ${index + 1}`,
      run: () => go(`#${name}`),
    })),
    {
      name: 'New question: choose its kind by its first letters',
      keys: 'Alt Shift N',
      run: () => askWrite({ what: 'kinds' }),
    },
    ...KIND_NAMES.map((kind) => ({
      name: `New question: ${kindOf({ kind }).title.toLowerCase()}`,
      run: act(async () => {
        holdKeys('Text of the new question');
        askWrite({ what: 'question', id: await addQuestion(id, kind, null) });
      }),
    })),
    {
      name: isOpen(wholeSpan(standing), now()) ? 'Change the times, or close the quiz' : 'Open to students',
      run: opening,
    },
    ...(byHand.length > 0
      ? [
          { name: 'Show results to all', run: act(() => showAspects(id, byHand, 'show')) },
          { name: 'Hide results from all', run: act(() => showAspects(id, byHand, 'takeBack')) },
        ]
      : []),
    { name: 'Save the scores as CSV', run: act(() => saveScores(id, content.title)) },
    { name: 'Save all answers as CSV', run: act(() => saveAnswers(id, content.title, 'csv')) },
    { name: 'Save all answers as a spreadsheet', run: act(() => saveAnswers(id, content.title, 'xlsx')) },
    { name: 'Save this quiz as a file', run: saving },
    { name: 'Dry run: take the quiz as a student', run: () => window.open(`/try/?quiz=${id}`) },
    { name: 'Print results with right answers', run: () => print('with') },
    { name: 'Print results without right answers', run: () => print('without') },
    { name: 'Undo', keys: 'Ctrl Z', run: act(() => undo(id)) },
    { name: 'Redo', keys: 'Ctrl Shift Z', run: act(() => redo(id)) },
    { name: 'Go to the Shelf', run: () => go('/') },
    { name: 'Go to the classes', run: () => go('/class/') },
    { name: 'Try how answers are compared', run: () => go('/comparing/') },
    { name: 'Light or dark', run: switchTheme },
    { name: 'List of keys', keys: '?', run: keys },
  ];
}

/** Alt and a digit go to Write, Plan, Tray, Check or Hand back: by the key's place, as Alt changes what it writes on some keyboards. */
function stationKey(event: KeyboardEvent): boolean {
  const digit = /^(?:Digit|Numpad)([1-9])$/.exec(event.code)?.[1];
  const station = event.altKey && !event.shiftKey && !event.ctrlKey ? STATIONS[Number(digit) - 1] : undefined;
  if (station) location.assign(`#${station.name}`);
  return station !== undefined;
}

/** The palette of actions and the list of keys, with the keys that open them and go to stations. */
export function Commands({ onOpening }: { readonly onOpening: () => void }) {
  const [open, setOpen] = useState<'keys' | 'saving' | null>(null);
  const { quiz } = useQuiz();
  const close = () => setOpen(null);
  const keys = useCallback(() => setOpen('keys'), []);
  const actions = useActions({ opening: onOpening, keys, saving: () => setOpen('saving') });
  return (
    <>
      <Palette actions={actions} onKeys={keys} onKey={stationKey} />
      {open === 'keys' && <KeyList onClose={close} />}
      {open === 'saving' && <SaveFile quiz={quiz} onClose={close} />}
    </>
  );
}
