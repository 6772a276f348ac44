import type { Editor } from '@tiptap/core';
import { useState, type SyntheticEvent } from 'react';
import { completeAddress, isSafeAddress } from '@/core/content/links';
import { Dialog } from '../widgets/dialogs/Dialog';
import { InsertFoot } from './media/InsertFoot';

interface Props {
  readonly editor: Editor;
  readonly onClose: () => void;
}

/** An address as it is typed, and what becomes of it. */
function AddressField({
  typed,
  onType,
}: {
  readonly typed: string;
  readonly onType: (typed: string) => void;
}) {
  const address = completeAddress(typed);
  const safe = isSafeAddress(address);
  const wrong = typed.trim() !== '' && !safe;
  return (
    <>
      <label className="mt-3 block">
        <span className="label-small">Address</span>
        <input
          className="lined-field"
          inputMode="url"
          placeholder="https://…"
          maxLength={2000}
          aria-invalid={wrong}
          value={typed}
          onChange={(event) => onType(event.target.value)}
        />
      </label>
      <p className="caption mt-1" role="status">
        {wrong && 'A link begins with http://, https:// or mailto:'}
        {safe && address !== typed.trim() && `Saved as ${address}`}
      </p>
    </>
  );
}

/** Where the selected words of a text lead, or new words that are put in with their address. */
export function LinkDialog({ editor, onClose }: Props) {
  const before = String(editor.getAttributes('link')['href'] ?? '');
  const { from, to } = editor.state.selection;
  const selected = editor.state.doc.textBetween(from, to, ' ');
  const [words, setWords] = useState(selected);
  const [typed, setTyped] = useState(before);
  const address = completeAddress(typed);
  const safe = isSafeAddress(address);
  const needsWords = selected === '' && before === '';
  const save = (event: SyntheticEvent) => {
    event.preventDefault();
    if (!safe) return;
    const chain = editor.chain().focus();
    if (needsWords) {
      const marks = [{ type: 'link', attrs: { href: address } }];
      chain
        .insertContent({ type: 'text', text: words.trim() || address, marks })
        .unsetMark('link')
        .run();
    } else chain.extendMarkRange('link').setLink({ href: address }).run();
    onClose();
  };
  return (
    <Dialog title={before === '' ? 'Insert a link' : 'Change the link'} onClose={onClose}>
      <form onSubmit={save}>
        {needsWords && (
          <label className="block">
            <span className="label-small">Words that lead there</span>
            <input
              className="lined-field"
              maxLength={300}
              value={words}
              onChange={(event) => setWords(event.target.value)}
            />
          </label>
        )}
        <AddressField typed={typed} onType={setTyped} />
        <InsertFoot
          what="link"
          fresh={before === ''}
          ready={safe}
          onRemove={
            before === ''
              ? undefined
              : () => {
                  editor.chain().focus().extendMarkRange('link').unsetLink().run();
                  onClose();
                }
          }
          onClose={onClose}
        />
      </form>
    </Dialog>
  );
}
