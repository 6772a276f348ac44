import { isShortTicket, ticketShown } from '@/core/quiz/people/ticket';
import { QrCode } from '@/ui/widgets/paper/QrCode';
import { typedAddress } from '@/ui/teacher/useStudentsAddress';
import { ticketAddress } from '@/ui/words/ticketAddress';
import type { Holder } from './ticketTable';

interface Props {
  readonly holder: Holder;
  readonly isBusy: boolean;
  /** Where students open it on their own devices; null where nowhere. */
  readonly address: string | null;
  readonly onReplace: () => void;
}

/** One student's ticket as it is printed and cut out. */
export function Slip({ holder: { student, code }, isBusy, address, onReplace }: Props) {
  return (
    <li className="flex break-inside-avoid items-center gap-4 border-r border-b border-dashed border-[var(--field)] px-4 py-3">
      <div className="min-w-0 flex-1">
        <p className="font-semibold wrap-anywhere" dir="auto">
          {student.name}
        </p>
        <p
          className={`figures mt-0.5 ${isShortTicket(code) ? 'text-[22px] tracking-wider' : 'text-[13px] break-all'}`}
        >
          {ticketShown(code)}
        </p>
        {address !== null && <p className="caption wrap-anywhere">{typedAddress(address)}</p>}
        <button
          type="button"
          className="link-text min-h-9 cursor-pointer text-[14px] print:hidden"
          aria-label={`New ticket for ${student.name}`}
          aria-disabled={isBusy}
          onClick={onReplace}
        >
          New ticket
        </button>
      </div>
      <QrCode
        className="size-[24mm] shrink-0"
        text={address !== null ? ticketAddress(address, code) : ticketShown(code)}
        label={`QR code of the ticket of ${student.name}`}
      />
    </li>
  );
}
