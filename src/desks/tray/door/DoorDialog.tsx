import { useState } from 'react';
import { useDoor } from '@/ui/teacher/door';
import { useQuiz } from '@/ui/teacher/quizContext';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { DialogFoot } from '@/ui/widgets/dialogs/DialogFoot';
import { notify } from '@/ui/widgets/press/notices';
import { usePress } from '@/ui/widgets/press/press';
import { typedAddress, useStudentsAddress } from '@/ui/teacher/useStudentsAddress';
import { classWorker } from '@/workers/clients';

/** What is known of the way from students' devices to this server. */
export function WayWords({ address }: { readonly address: string | null | undefined }) {
  if (address === null)
    return (
      <p className="mt-2 text-[14px]">
        This server answers this machine alone. For students’ devices, start Yentrel with{' '}
        <span className="figures">HOST=0.0.0.0</span>.
      </p>
    );
  if (!address?.startsWith('http:')) return null;
  return (
    <p className="mt-2 text-[14px]">
      This is plain http: whoever is in between can read along. Use it only in a network you trust.
    </p>
  );
}

/** Opens a door: what leaves this browser, and for how long. */
export function DoorDialog({ onClose }: { readonly onClose: () => void }) {
  const { quiz } = useQuiz();
  const { look } = useDoor();
  const [code, setCode] = useState('');
  const address = useStudentsAddress();
  const open = usePress(async () => {
    await classWorker().openDoor(quiz.id, code.trim());
    notify('The door is open: students can use their tickets now');
    onClose();
    await look();
  });
  const [set] = quiz.standing.setTo;
  return (
    <Dialog title="Open a door for students’ devices" onClose={onClose} first="heading">
      <p>
        Students open <strong className="figures">{typedAddress(address ?? location.origin)}</strong> on their
        own devices, type their tickets, and take this quiz there. Their answers come into this Tray by
        themselves, also those they give while your browser is closed.
      </p>
      <p className="mt-2">
        For that, the server {location.host} keeps a sealed copy of this quiz with its key, the names and
        tickets of those it is set for, and their answers, until you close the door or for 90 days.
      </p>
      <WayWords address={address} />
      <label className="mt-4 block text-[14px]" htmlFor="door-code">
        Door code, if this server asks for one
      </label>
      <input
        id="door-code"
        className="input mt-1 h-9 w-56"
        type="text"
        autoComplete="off"
        spellCheck={false}
        maxLength={200}
        value={code}
        onChange={(event) => setCode(event.target.value)}
      />
      {set && (
        <p className="mt-3 text-[14px]">
          <a className="link-text" href={`/tickets/?class=${encodeURIComponent(set.classId)}`}>
            Print the tickets
          </a>
        </p>
      )}
      <DialogFoot
        label={open.busy ? 'Opening…' : 'Open the door'}
        onGo={open.start}
        onLeave={onClose}
        disabled={open.busy || quiz.content.order.length === 0}
        error={open.error}
      />
    </Dialog>
  );
}

/** Closes it: what is on the server is deleted there, once everything is here. */
export function CloseDoorDialog({ onClose }: { readonly onClose: () => void }) {
  const { quiz } = useQuiz();
  const { look } = useDoor();
  const close = usePress(async () => {
    await classWorker().closeDoor(quiz.id);
    notify('The door is closed, and nothing of it is left on the server');
    onClose();
    await look();
  });
  return (
    <Dialog title="Close the door?" onClose={onClose} first="heading">
      <p>
        Everything that has come is fetched first. Then the server deletes its copy: students’ tickets open
        nothing there any more, and who is working now cannot go on. Results they have not looked at yet, they
        get from you.
      </p>
      <DialogFoot
        label={close.busy ? 'Closing…' : 'Close the door'}
        onGo={close.start}
        onLeave={onClose}
        disabled={close.busy}
        error={close.error}
      />
    </Dialog>
  );
}
