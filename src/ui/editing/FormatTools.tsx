import { useEditorState, type Editor } from '@tiptap/react';
import { useRef, type KeyboardEvent } from 'react';
import { flushSync } from 'react-dom';
import {
  AudioLines,
  Bold,
  Image,
  Italic,
  Link2,
  List,
  ListOrdered,
  Radical,
  Subscript as Sub,
  Superscript as Sup,
} from '@/ui/widgets/icons';
import { useUnfolded } from './unfolded';

const TOOLS = [
  { name: 'bold', label: 'Bold', Icon: Bold, run: (editor: Editor) => editor.chain().focus().toggleBold().run() },
  { name: 'italic', label: 'Italic', Icon: Italic, run: (editor: Editor) => editor.chain().focus().toggleItalic().run() },
  { name: 'subscript', label: 'Subscript', Icon: Sub, run: (editor: Editor) => editor.chain().focus().toggleSubscript().run() },
  { name: 'superscript', label: 'Superscript', Icon: Sup, run: (editor: Editor) => editor.chain().focus().toggleSuperscript().run() },
  { name: 'bulletList', label: 'List', Icon: List, run: (editor: Editor) => editor.chain().focus().toggleBulletList().run() },
  { name: 'orderedList', label: 'Numbered list', Icon: ListOrdered, run: (editor: Editor) => editor.chain().focus().toggleOrderedList().run() },
] as const; // prettier-ignore

interface ToolsProps {
  readonly editor: Editor;
  readonly onLink: () => void;
  readonly onPicture: () => void;
  readonly onClip: () => void;
  readonly onFormula: () => void;
}

interface PutProps {
  readonly label: string;
  readonly keys?: string;
  readonly Icon: typeof Image;
  readonly onPress: () => void;
}

/** A tool that puts something in where the caret is: the text keeps the focus. */
const Put = ({ label, keys = '', Icon, onPress }: PutProps) => (
  <button
    type="button"
    className="icon-button"
    tabIndex={-1}
    aria-label={label}
    title={`${label}${keys}`}
    onMouseDown={(event) => event.preventDefault()}
    onClick={onPress}
  >
    <Icon size={15} aria-hidden />
  </button>
);

/** What formats the text, folded to one press until it is asked for or something is selected. Its room is kept. */
export function FormatTools({ editor, onLink, onPicture, onClip, onFormula }: ToolsProps) {
  const active = useEditorState({
    editor,
    selector: ({ editor: current }) => TOOLS.map(({ name }) => current.isActive(name)),
  });
  const selects = useEditorState({
    editor,
    selector: ({ editor: current }) => !current.state.selection.empty,
  });
  const [open, setOpen] = useUnfolded('text format');
  const first = useRef<HTMLButtonElement>(null);
  if (!open && !selects)
    return (
      <div className="row-tools invisible group-focus-within:visible">
        <button
          type="button"
          className="row-tool"
          aria-expanded={false}
          title="Bold, lists, links, formulas, pictures, sounds, videos"
          onMouseDown={(event) => event.preventDefault()}
          onClick={(event) => {
            // By key the focus goes on to the first tool; by press it stays in the text.
            const byKey = event.detail === 0;
            flushSync(() => setOpen(true));
            if (byKey) first.current?.focus();
          }}
        >
          Format<span className="sr-only"> the text</span>
        </button>
      </div>
    );
  return (
    <div
      role="toolbar"
      aria-label="Text format"
      className="invisible -ml-1 flex gap-0.5 group-focus-within:visible"
      onKeyDown={walk}
    >
      {TOOLS.map(({ name, label, Icon, run }, index) => (
        <button
          key={name}
          ref={index === 0 ? first : undefined}
          type="button"
          className={`icon-button ${active[index] ? 'bg-hair text-ink' : ''}`}
          tabIndex={index === 0 ? 0 : -1}
          aria-pressed={active[index] ?? false}
          aria-label={label}
          title={label}
          onMouseDown={(event) => event.preventDefault()}
          onClick={() => run(editor)}
        >
          <Icon size={15} aria-hidden />
        </button>
      ))}
      <Put label="Link" Icon={Link2} onPress={onLink} />
      <Put label="Formula" keys=" (Ctrl M)" Icon={Radical} onPress={onFormula} />
      <Put label="Picture" Icon={Image} onPress={onPicture} />
      <Put label="Sound or video" Icon={AudioLines} onPress={onClip} />
    </div>
  );
}

/** A toolbar is one stop of the Tab key; the arrow keys go from button to button. */
function walk(event: KeyboardEvent<HTMLDivElement>): void {
  const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
  if (!by) return;
  const buttons = [...event.currentTarget.querySelectorAll('button')];
  const at = buttons.findIndex((button) => button === document.activeElement);
  event.preventDefault();
  buttons[(at + by + buttons.length) % buttons.length]?.focus();
}
