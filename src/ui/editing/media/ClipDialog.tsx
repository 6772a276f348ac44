import { useState } from 'react';
import type { Clip } from '@/core/content/clip';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { ClipView } from '@/ui/widgets/paper/ClipView';
import { megabytes } from '@/ui/words/figures';
import { ClipChooser } from './ClipChooser';
import { InsertFoot } from './InsertFoot';

interface Props {
  readonly clip: Clip | null;
  /** A file that was pasted or dropped. */
  readonly file?: File | null;
  readonly onSave: (clip: Clip) => void;
  readonly onRemove?: (() => void) | undefined;
  readonly onClose: () => void;
}

/** A sound or film is chosen, given the name that students read, and put in words for those who cannot hear or see it. */
export function ClipDialog({ clip, file = null, onSave, onRemove, onClose }: Props) {
  const [taken, setTaken] = useState(clip);
  const put = (patch: Partial<Clip>) => setTaken(taken && { ...taken, ...patch });
  const named = taken !== null && taken.title.trim() !== '';
  return (
    <Dialog title={clip ? 'Sound or video' : 'Add a sound or video'} onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (named) onSave({ ...taken, title: taken.title.trim() });
        }}
      >
        {taken ? (
          <>
            <ClipView clip={{ ...taken, title: '', words: '' }} />
            <p className="caption figures">{megabytes(taken.bytes)}</p>
            <label className="mt-3 block">
              <span className="label-small">Name, which students read</span>
              <input
                className="lined-field"
                maxLength={300}
                value={taken.title}
                onChange={(event) => put({ title: event.target.value })}
              />
            </label>
            <label className="mt-4 block">
              <span className="label-small">What is said and shown, for those who cannot hear or see it</span>
              <textarea
                className="lined-field field-sizing-content resize-none"
                rows={2}
                maxLength={10_000}
                value={taken.words}
                onChange={(event) => put({ words: event.target.value })}
              />
            </label>
          </>
        ) : (
          <ClipChooser file={file} onTaken={setTaken} />
        )}
        <InsertFoot
          what="sound or video"
          fresh={clip === null}
          ready={named}
          onRemove={onRemove}
          onClose={onClose}
        />
      </form>
    </Dialog>
  );
}
