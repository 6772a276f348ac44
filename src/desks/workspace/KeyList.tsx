import { Dialog } from '@/ui/widgets/dialogs/Dialog';

const KEYS: readonly { where: string; keys: readonly [string, string][] }[] = [
  {
    where: 'Everywhere',
    keys: [
      ['Ctrl K', 'every action by its name'],
      ['?', 'this list'],
      ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
      ['Alt 1 to Alt 5', 'go to Write, Plan, Tray, Check or Hand back'],
      ['Escape', 'close the dialog in front'],
    ],
  },
  {
    where: 'Write',
    keys: [
      ['Alt ↑, Alt ↓', 'the question before or after'],
      ['Alt Shift ↑, Alt Shift ↓, in the question', 'move it'],
      ['Alt Shift N', 'a new question: its kind by its first letters'],
      ['Alt Shift D, in the question', 'duplicate it'],
      ['Alt Shift Delete, in the question', 'delete it'],
      ['Ctrl G, in the text of a question with gaps', 'make a gap of what is selected'],
      ['Ctrl M, in any text', 'put in a formula, or change the one at the caret'],
      ['Enter in an option, item or row', 'another one below it'],
      ['Backspace in an empty one', 'remove it'],
    ],
  },
  {
    where: 'Check, among the papers',
    keys: [
      ['1 to 5', 'all papers, one question, one paper, by hand, figures'],
      ['← ↑ ↓ →', 'from cell to cell; in one paper from question to question, and from paper to paper'],
      ['N, B', 'the next or previous answer that is wrong or not marked yet'],
      ['A', 'accept as right, for everyone'],
      ['P', 'accept for part of the points'],
      ['W', 'add to the key as a wrong answer, with feedback'],
      ['E', 'what applying the changes would do, and back to the answer'],
      ['H', 'mark just this one by hand'],
      ['C', 'comment on it'],
    ],
  },
];

/** Which keys do what. */
export function KeyList({ onClose }: { readonly onClose: () => void }) {
  return (
    <Dialog title="Keys" onClose={onClose}>
      {KEYS.map(({ where, keys }) => (
        <section key={where} className="mb-4">
          <h3 className="text-[15px]">{where}</h3>
          <dl className="mt-1">
            {keys.map(([key, words]) => (
              <div key={key} className="flex gap-4 border-b border-hair py-1">
                <dt className="w-56 font-semibold">{key}</dt>
                <dd>{words}</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
      <div className="flex justify-end">
        <button type="button" className="btn btn-primary" onClick={onClose}>
          Close
        </button>
      </div>
    </Dialog>
  );
}
