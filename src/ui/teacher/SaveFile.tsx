import { useState } from 'react';
import type { QuizRecord } from '@/store/records/db';
import { StoreError } from '@/device/failure';
import { classWorker } from '@/workers/clients';
import { Choice } from '../widgets/fields/Choice';
import { Dialog } from '../widgets/dialogs/Dialog';
import { DialogFoot } from '../widgets/dialogs/DialogFoot';
import { downloadBytes, fileName } from '../widgets/download';
import { notify } from '../widgets/press/notices';
import { usePress } from '../widgets/press/press';

interface GreetingProps {
  readonly value: { readonly author: string; readonly note: string };
  readonly onChange: (value: { author: string; note: string }) => void;
}

/** From whom the file is, and what whoever opens it should know. */
const Greeting = ({ value, onChange }: GreetingProps) => (
  <div className="mt-4 space-y-3">
    <label className="block">
      <span className="caption">From</span>
      <input
        className="lined-field"
        maxLength={200}
        placeholder="Your name, if you like"
        value={value.author}
        onChange={(event) => onChange({ ...value, author: event.target.value })}
      />
    </label>
    <label className="block">
      <span className="caption">A note for whoever opens it</span>
      <textarea
        className="lined-field min-h-20"
        maxLength={5000}
        value={value.note}
        onChange={(event) => onChange({ ...value, note: event.target.value })}
      />
    </label>
  </div>
);

/** A quiz as a file: for a colleague, without students, or to move it with everyone’s work. */
export function SaveFile({ quiz, onClose }: { readonly quiz: QuizRecord; readonly onClose: () => void }) {
  const [students, setStudents] = useState<'with' | 'without'>('without');
  const [greeting, setGreeting] = useState({ author: '', note: '' });
  const save = usePress(async () => {
    const bytes = await classWorker().saveQuizFile(quiz.id, { students, ...greeting });
    if (!bytes) throw new StoreError('gone', 'The quiz is not here any more');
    downloadBytes(`${fileName(quiz.content.title)}.yentrel`, bytes);
    notify(students === 'with' ? 'Saved with everyone’s work: keep the file safe' : 'Saved without students');
    onClose();
  });
  return (
    <Dialog title={`“${quiz.content.title || 'Untitled quiz'}” as a file`} onClose={onClose}>
      <fieldset className="space-y-2">
        <legend className="caption mb-1">What goes into it</legend>
        <Choice
          name="students"
          label="The quiz alone, for a colleague"
          hint="Questions, keys, feedback, rules, plan and pictures; no student and no work."
          checked={students === 'without'}
          onChoose={() => setStudents('without')}
        />
        <Choice
          name="students"
          label="The quiz with students and their work"
          hint="Class list, answers, your own scores, comments and every version of the key, to move it."
          checked={students === 'with'}
          onChoose={() => setStudents('with')}
        />
      </fieldset>
      {students === 'without' && <Greeting value={greeting} onChange={setGreeting} />}
      <DialogFoot
        label={save.busy ? 'Saving…' : 'Save the file'}
        onGo={save.start}
        onLeave={onClose}
        disabled={save.busy}
        error={save.error}
      />
    </Dialog>
  );
}
