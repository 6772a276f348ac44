import { valueAt } from '@/core/figures/valueAt';
import { ChevronDown } from '@/ui/widgets/icons';
import { useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import type { MatchFace } from '@/core/kinds/match/schema';
import { NONE } from '@/core/kinds/shared/none';
import type { SitProps } from '../faces';
import { useText, useTold } from '@/ui/told/useTold';
import { useSaying } from '../shared/sit/useSaying';
import { ChooseFrom } from '../shared/sit/ChooseFrom';
import { PickWords, useSpokenName } from '../shared/PickLabel';

type Item = MatchFace['items'][number];

interface RowProps {
  readonly item: Item;
  readonly partners: readonly Item[];
  readonly withNone: boolean;
  readonly chosen: string | null;
  readonly open: boolean;
  readonly onOpen: () => void;
  readonly onClose: () => void;
  readonly onChoose: (partner: string) => void;
}

/** One item, and beside it what it was matched with; a press opens what it can be matched with. */
function ItemRow({ item, partners, withNone, chosen, open, onOpen, onClose, onChoose }: RowProps) {
  const spokenName = useSpokenName();
  const name = spokenName(item);
  const partner = partners.find(({ id }) => id === chosen);
  const none = chosen === NONE;
  const { pairing } = useTold();
  const text = useText();
  const empty = none ? pairing.none : pairing.choose;
  const choices = partners.map((one) => ({
    id: one.id,
    shown: <PickWords {...one} />,
  }));
  return (
    <li className="border-b border-hair py-2.5">
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] items-center gap-3">
        <span {...text} className="wrap-anywhere">
          <PickWords {...item} />
        </span>
        <button
          type="button"
          data-item={item.id}
          className={`flex min-h-12 cursor-pointer items-center justify-between gap-2 rounded border px-3 py-1.5 text-left ${
            partner || none ? 'border-ink font-semibold' : 'border-dashed border-[var(--field)] text-soft'
          }`}
          aria-expanded={open}
          onClick={open ? onClose : onOpen}
        >
          <span className="sr-only">
            {name}: {partner ? spokenName(partner) : empty}
          </span>
          <span {...(partner ? text : {})} className="min-w-0 wrap-anywhere" aria-hidden>
            {partner ? <PickWords {...partner} /> : empty}
          </span>
          <ChevronDown size={16} className="flex-none" aria-hidden />
        </button>
      </div>
      {open && (
        <ChooseFrom
          label={pairing.which(name)}
          choices={[...choices, ...(withNone ? [{ id: NONE, shown: pairing.none }] : [])]}
          chosen={chosen}
          onChoose={onChoose}
          onClose={onClose}
        />
      )}
    </li>
  );
}

/** Each item is given its partner; one that was chosen can be taken back by choosing it again. */
export default function MatchSit({ face, answer, labelledBy, onAnswer }: SitProps) {
  const { pairing } = useTold();
  const spokenName = useSpokenName();
  const { say, said } = useSaying();
  const list = useRef<HTMLUListElement>(null);
  const [open, setOpen] = useState<string | null>(null);
  if (face.kind !== 'match') return null;
  const pairs = answer?.kind === 'match' ? answer.pairs : {};
  /** Closes what is open; the focus goes back to where it was opened. */
  const close = (item: string) => {
    flushSync(() => setOpen(null));
    list.current?.querySelector<HTMLButtonElement>(`[data-item="${item}"]`)?.focus();
  };
  const choose = (item: string, partner: string) => {
    const { [item]: before, ...rest } = pairs;
    const next = before === partner ? rest : { ...rest, [item]: partner };
    onAnswer(Object.keys(next).length === 0 ? null : { kind: 'match', pairs: next });
    close(item);
    const thing = face.items.find(({ id }) => id === item);
    if (before === partner && thing) say(pairing.taken(spokenName(thing)));
  };
  return (
    <div role="group" aria-labelledby={labelledBy}>
      <p className="caption mb-1">{face.withNone ? pairing.howNone : pairing.how}</p>
      <ul ref={list}>
        {face.items.map((item) => (
          <ItemRow
            key={item.id}
            item={item}
            partners={face.partners}
            withNone={face.withNone}
            chosen={valueAt(pairs, item.id) ?? null}
            open={open === item.id}
            onOpen={() => setOpen(item.id)}
            onClose={() => close(item.id)}
            onChoose={(partner) => choose(item.id, partner)}
          />
        ))}
      </ul>
      {said}
    </div>
  );
}
