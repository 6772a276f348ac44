import { useState } from 'react';
import type { QuizRecord } from '@/store/db';
import { classWorker } from '@/workers/clients';
import { Dialog } from './Dialog';
import { downloadBytes, fileName } from './download';
import { notify } from './notices';

/** A quiz as a file: for a colleague, without students, or to move it with everyone’s work. */
export function SaveFile({ quiz, onClose }: { readonly quiz: QuizRecord; readonly onClose: () => void }) {
  const [students, setStudents] = useState<'with' | 'without'>('without');
  const [author, setAuthor] = useState('');
  const [note, setNote] = useState('');
  const [busy, setBusy] = useState(false);
  const save = async () => {
    setBusy(true);
    const bytes = await classWorker().saveQuizFile(quiz.id, { students, author, note });
    if (bytes) {
      downloadBytes(`${fileName(quiz.content.title)}.yentrel`, bytes);
      notify(
        students === 'with' ? 'Saved with everyone’s work: keep the file safe' : 'Saved without students',
      );
    }
    onClose();
  };
  return (
    <Dialog title={`“${quiz.content.title || 'Untitled quiz'}” as a file`} onClose={onClose}>
      <fieldset className="space-y-2">
        <legend className="caption mb-1">What goes into it</legend>
        <label className="flex items-start gap-2">
          <input
            type="radio"
            name="students"
            className="mt-1.5 accent-[var(--petrol)]"
            checked={students === 'without'}
            onChange={() => setStudents('without')}
          />
          <span>
            The quiz alone, for a colleague
            <span className="block text-[13.5px] text-soft">
              Questions, keys, feedback, rules, plan and pictures; no student and no work.
            </span>
          </span>
        </label>
        <label className="flex items-start gap-2">
          <input
            type="radio"
            name="students"
            className="mt-1.5 accent-[var(--petrol)]"
            checked={students === 'with'}
            onChange={() => setStudents('with')}
          />
          <span>
            The quiz with students and their work
            <span className="block text-[13.5px] text-soft">
              Class list, answers, your own scores, comments and every revision of the key, to move it.
            </span>
          </span>
        </label>
      </fieldset>
      {students === 'without' && (
        <div className="mt-4 space-y-3">
          <label className="block">
            <span className="caption">From</span>
            <input
              className="lined-field"
              maxLength={200}
              placeholder="Your name, if you like"
              value={author}
              onChange={(event) => setAuthor(event.target.value)}
            />
          </label>
          <label className="block">
            <span className="caption">A note for whoever opens it</span>
            <textarea
              className="lined-field min-h-20"
              maxLength={5000}
              value={note}
              onChange={(event) => setNote(event.target.value)}
            />
          </label>
        </div>
      )}
      <div className="mt-6 flex justify-end gap-3">
        <button type="button" className="btn btn-ghost" onClick={onClose}>
          Leave it
        </button>
        <button type="button" className="btn btn-primary" disabled={busy} onClick={() => void save()}>
          Save the file
        </button>
      </div>
    </Dialog>
  );
}
