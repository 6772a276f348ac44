import type { ClipboardEvent, KeyboardEvent } from 'react';
import { SILENCE } from '@/core/content/silence';
import { equal, ONE } from '@/core/figures/fraction';
import {
  extraPartners,
  partnerOf,
  withLines,
  withoutItem,
  withPair,
  withPartner,
  withShared,
  type MatchItem,
  type Partner,
} from '@/core/kinds/match/edit';
import type { MatchQuestion } from '@/core/kinds/match/schema';
import { newId } from '@/device/ids';
import { DecimalField } from '@/ui/widgets/fields/DecimalField';
import { Picture } from '@/ui/widgets/paper/Picture';
import { points } from '@/ui/words/figures';
import type { Faces } from '../faces';
import { Another } from '../shared/Another';
import { FoldedThing } from '../shared/FoldedKey';
import { KeyLine } from '../shared/KeyLine';
import { NewEntry } from '../shared/NewEntry';
import { RemoveChip } from '../shared/RemoveChip';
import { isUnnamed } from '../shared/openRows';
import { MoveTools } from '../shared/RowTools';
import { PictureTool, ThingField } from '../shared/ThingField';
import { pastedLines, useRows, type RowField } from '../shared/useRows';
import { useSpokenName } from '../shared/PickLabel';

interface Editing {
  readonly question: MatchQuestion;
  readonly onChange: (question: MatchQuestion) => void;
}

type Keys = KeyboardEvent<RowField>;
type Paste = ClipboardEvent<RowField>;

/** Pairs typed side by side: Enter goes from the left to the right, and from there to the next pair. */
function usePairs({ question, onChange }: Editing) {
  const { items } = question;
  const rows = useRows<MatchItem>({
    rows: items,
    onRows: (next) => onChange({ ...question, items: next }),
    blank: (text = '') => ({
      id: newId(),
      text,
      picture: null,
      partner: null,
      weight: ONE,
      feedback: SILENCE,
    }),
    isEmpty: isUnnamed,
    fill: (item, text) => ({ ...item, text }),
    onRemove: (item) => onChange(withoutItem(question, item)),
  });
  /** The fields stand in turn: left, right, left, right. */
  const fieldOf = (item: MatchItem, side: 'left' | 'right') =>
    2 * items.indexOf(item) + (side === 'left' ? 0 : 1);
  const add = () => rows.goTo(2 * items.length, () => onChange(withPair(question, '', '', newId)));
  const remove = (item: MatchItem) =>
    rows.goTo(Math.max(0, fieldOf(item, 'left') - 1), () => rows.remove(item));
  const paste = (item: MatchItem, side: 'left' | 'right') => (event: Paste) => {
    const lines = pastedLines(event.clipboardData);
    const empty = event.currentTarget.value === '';
    if (!empty || (lines.length < 2 && !lines[0]?.includes('\t'))) return;
    event.preventDefault();
    onChange(withShared(withLines(question, item, side, lines.slice(0, 100), newId)));
  };
  const left = {
    replace: rows.replace,
    keys: (item: MatchItem) => (event: Keys) => {
      if (event.key === 'Enter') {
        event.preventDefault();
        rows.goTo(fieldOf(item, 'right'));
      } else if (event.key === 'Backspace' && event.currentTarget.value === '' && items.length > 1) {
        if (!isUnnamed(partnerOf(question, item) ?? { text: '', picture: null })) return;
        event.preventDefault();
        remove(item);
      }
    },
    paste: (item: MatchItem) => paste(item, 'left'),
  };
  const right = (item: MatchItem) => ({
    replace: (partner: Partner) => onChange(withPartner(question, item, partner, newId)),
    keys: () => (event: Keys) => {
      if (event.key !== 'Enter') return;
      event.preventDefault();
      const next = items[items.indexOf(item) + 1];
      if (next) rows.goTo(fieldOf(next, 'left'));
      else add();
    },
    paste: () => paste(item, 'right'),
  });
  return { rows, add, left, right };
}

/** Partners that belong to no item. */
function Extra({ question, onChange }: Editing) {
  const spokenName = useSpokenName();
  const put = (partners: Partner[]) => onChange({ ...question, partners });
  const extra = extraPartners(question);
  return (
    <div className="mt-4">
      <p className="label-small">Extra ones on the right, which match nothing</p>
      <div className="mt-1 flex flex-wrap items-center gap-1.5">
        {extra.map((partner, at) => (
          <span key={partner.id} className="chip">
            {partner.picture && <Picture picture={partner.picture} small />}
            <input
              aria-label={`Extra one ${at + 1}`}
              maxLength={2000}
              size={Math.max(2, partner.text.length)}
              value={partner.text}
              onChange={(event) =>
                put(
                  question.partners.map((one) =>
                    one.id === partner.id ? { ...one, text: event.target.value } : one,
                  ),
                )
              }
            />
            <RemoveChip
              label={`Delete the extra one ${spokenName(partner) || at + 1}`}
              onPress={() => put(question.partners.filter(({ id }) => id !== partner.id))}
            />
          </span>
        ))}
        <NewEntry
          most={2000}
          label="Another extra one"
          placeholder="an extra one"
          onAdd={(text) => put([...question.partners, { id: newId(), text, picture: null }])}
        />
      </div>
    </div>
  );
}

export const Write: Faces<MatchQuestion>['Write'] = ({ question, onChange }) => {
  const spokenName = useSpokenName();
  const { rows, add, left, right } = usePairs({ question, onChange });
  const share = () => {
    const shared = withShared(question);
    if (shared !== question) onChange(shared);
  };
  const weighs = question.model === 'pairWeights';
  return (
    <div>
      <p className="label-small mt-3">Pairs, side by side; students get the right side shuffled</p>
      <ul ref={rows.list} className="key-pairs mt-1">
        {question.items.map((item, at) => {
          const about = spokenName(item) || `Item ${at + 1}`;
          const partner = partnerOf(question, item) ?? { id: `${item.id}-none`, text: '', picture: null };
          return (
            <KeyLine
              key={item.id}
              name={about}
              mark={<span />}
              figure={weighs && !equal(item.weight, ONE) && `× ${points(item.weight)}`}
              worth={
                weighs && (
                  <span className="whitespace-nowrap">
                    {'counts '}
                    <DecimalField
                      value={item.weight}
                      label={`Weight of ${about}`}
                      most={1000}
                      className="sentence-part figures text-center font-semibold"
                      onChange={(weight) => rows.replace({ ...item, weight })}
                    />
                    {item.weight.n === item.weight.d ? ' time' : ' times'}
                  </span>
                )
              }
              feedback={item.feedback}
              onFeedback={(feedback) => rows.replace({ ...item, feedback })}
              placeholder="What would help here?"
              tools={
                <>
                  <PictureTool
                    thing={item}
                    place={`Item ${at + 1}`}
                    onPicture={(picture) => rows.replace({ ...item, picture })}
                  />
                  <PictureTool
                    words="Picture on the right"
                    thing={partner}
                    place={`Partner of item ${at + 1}`}
                    onPicture={(picture) => right(item).replace({ ...partner, picture })}
                  />
                  <MoveTools name={about} onMove={(by) => rows.moveBy(item, by)} />
                </>
              }
              onRemove={() => rows.remove(item)}
            >
              <div className="grid grid-cols-[minmax(0,1fr)_auto_minmax(0,1fr)] items-start gap-x-2 max-sm:grid-cols-1">
                <ThingField thing={item} place={`Item ${at + 1}`} rows={left} />
                <span className="pt-1 text-soft max-sm:hidden" aria-hidden>
                  —
                </span>
                <ThingField
                  thing={partner}
                  place={`Partner of item ${at + 1}`}
                  empty="has no match"
                  strong
                  rows={right(item)}
                  onLeave={share}
                />
              </div>
            </KeyLine>
          );
        })}
      </ul>
      <Another onPress={add}>Another pair</Another>
      <Extra question={question} onChange={onChange} />
    </div>
  );
};

/** The pairs below each other, and what belongs to none. */
export const Folded: Faces<MatchQuestion>['Folded'] = ({ question }) => {
  const extra = extraPartners(question).filter((partner) => !isUnnamed(partner));
  return (
    <>
      <ul className="mt-1.5 grid gap-x-6 gap-y-1 sm:grid-cols-2">
        {question.items
          .filter((item) => !isUnnamed(item))
          .map((item) => {
            const partner = partnerOf(question, item);
            return (
              <li key={item.id}>
                <FoldedThing {...item} empty="" /> <span className="text-soft">—</span>{' '}
                {partner && !isUnnamed(partner) ? (
                  <span className="font-semibold">
                    <FoldedThing {...partner} empty="" />
                  </span>
                ) : (
                  <span className="text-soft">has no match</span>
                )}
              </li>
            );
          })}
      </ul>
      {extra.length > 0 && (
        <p className="caption mt-1">
          extra:{' '}
          {extra.map((one, at) => (
            <span key={one.id}>
              {at > 0 && ' · '}
              <FoldedThing {...one} empty="" />
            </span>
          ))}
        </p>
      )}
    </>
  );
};
