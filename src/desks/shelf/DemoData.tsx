import { useState } from 'react';
import { removeDemo, resetDemo } from '@/store/quiz/shelf';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { DialogFoot } from '@/ui/widgets/dialogs/DialogFoot';
import { notify } from '@/ui/widgets/press/notices';
import { usePress } from '@/ui/widgets/press/press';

/** The made-up school can be put back as it was, or taken away to start empty. */
export function DemoData() {
  const [asking, setAsking] = useState<'reset' | 'empty' | null>(null);
  const act = usePress(async () => {
    if (asking === 'reset') await resetDemo();
    else await removeDemo();
    notify(
      asking === 'reset' ? 'The demo school is as it was on the first day' : 'The demo school is removed',
    );
    setAsking(null);
  });
  return (
    <p>
      The quizzes marked “Demo” and their students are made up.{' '}
      <button type="button" className="link-text cursor-pointer" onClick={() => setAsking('reset')}>
        Reset demo
      </button>
      {' · '}
      <button type="button" className="link-text cursor-pointer" onClick={() => setAsking('empty')}>
        Remove demo
      </button>
      {asking && (
        <Dialog
          title={asking === 'reset' ? 'Reset the demo school?' : 'Remove the demo school?'}
          onClose={() => setAsking(null)}
        >
          <p>
            {asking === 'reset'
              ? 'The demo quizzes, their two classes and all work in them become as they were on the first visit. Your changes to them will be lost; your own quizzes are kept.'
              : 'The demo quizzes with all work in them are removed, and their classes too, except students who have work in your own quizzes. Those are kept.'}
          </p>
          <DialogFoot
            label={asking === 'reset' ? 'Reset it' : 'Remove it'}
            onGo={act.start}
            onLeave={() => setAsking(null)}
            disabled={act.busy}
            error={act.error}
          />
        </Dialog>
      )}
    </p>
  );
}
