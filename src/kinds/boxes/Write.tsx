import { X } from '@/ui/widgets/icons';
import { useState } from 'react';
import {
  itemsIn,
  newItem,
  withItemsIn,
  withoutBox,
  withShared,
  type BoxItem,
  type Place,
} from '@/core/kinds/boxes/edit';
import type { BoxesQuestion } from '@/core/kinds/boxes/schema';
import { newId } from '@/device/ids';
import { FeedbackField } from '@/ui/editing/FeedbackField';
import type { Faces } from '../faces';
import { Another } from '../shared/Another';
import { FoldedThing } from '../shared/FoldedKey';
import { NewEntry } from '../shared/NewEntry';
import { isUnnamed } from '../shared/openRows';
import { ThingField } from '../shared/ThingField';
import { useRows } from '../shared/useRows';
import { useSpokenName } from '../shared/PickLabel';

interface ColumnProps {
  readonly question: BoxesQuestion;
  readonly place: Place;
  /** What the box is called. */
  readonly name: string;
  readonly onChange: (question: BoxesQuestion) => void;
}

/** What belongs in one box, typed into it. */
function BoxItems({ question, place, name, onChange }: ColumnProps) {
  const spokenName = useSpokenName();
  const items = itemsIn(question, place);
  const rows = useRows<BoxItem>({
    rows: items,
    onRows: (next) => onChange(withItemsIn(question, place, next)),
    blank: (text = '') => newItem(newId(), text, place),
    isEmpty: isUnnamed,
    fill: (item, text) => ({ ...item, text }),
    most: 100 - question.items.length + items.length,
  });
  const share = () => {
    const shared = withShared(question);
    if (shared !== question) onChange(shared);
  };
  return (
    <>
      <ul ref={rows.list}>
        {items.map((item, at) => {
          const label = `Item ${at + 1} in ${name}`;
          const also = question.boxes.filter(({ id }) => id !== place && item.boxes.includes(id));
          return (
            <li key={item.id} className="border-b border-dotted border-line py-1">
              <div className="flex items-start">
                <div className="min-w-0 flex-1">
                  <ThingField
                    thing={item}
                    place={label}
                    empty={`item ${at + 1}`}
                    rows={rows}
                    onLeave={share}
                  />
                </div>
                <button
                  type="button"
                  className="icon-button"
                  aria-label={`Take ${spokenName(item) || label} out of ${name}`}
                  onClick={() => rows.remove(item)}
                >
                  <X size={14} aria-hidden />
                </button>
              </div>
              {also.length > 0 && <p className="caption">or in {also.map(({ text }) => text).join(', ')}</p>}
              {!isUnnamed(item) && (
                <div className="text-[14px]">
                  <FeedbackField
                    value={item.feedback}
                    about={spokenName(item)}
                    placeholder="What would help here?"
                    onChange={(feedback) => rows.replace({ ...item, feedback })}
                  />
                </div>
              )}
            </li>
          );
        })}
      </ul>
      <div className="mt-2">
        <NewEntry
          most={2000}
          label={`Another item in ${name}`}
          placeholder="another item"
          onAdd={(text) =>
            onChange(withShared(withItemsIn(question, place, [...items, newItem(newId(), text, place)])))
          }
          onLines={(lines) =>
            onChange(
              withShared(
                withItemsIn(question, place, [
                  ...items,
                  ...lines.map((text) => newItem(newId(), text, place)),
                ]),
              ),
            )
          }
        />
      </div>
    </>
  );
}

export const Write: Faces<BoxesQuestion>['Write'] = ({ question, onChange }) => {
  const { boxes } = question;
  // The place of what belongs nowhere is there once it is asked for, or needed.
  const [asked, setAsked] = useState(false);
  const nowhere = asked || itemsIn(question, null).some((item) => !isUnnamed(item));
  return (
    <div>
      <p className="label-small mt-3">
        Boxes, with what belongs in each; what may go in either of two is typed into both
      </p>
      <div className="mt-2 grid grid-cols-[repeat(auto-fit,minmax(180px,1fr))] items-start gap-3">
        {boxes.map((box, at) => {
          const name = box.text.trim() || `box ${at + 1}`;
          return (
            <section
              key={box.id}
              aria-label={name}
              className="rounded border border-[var(--field)] px-3 pt-1 pb-3"
            >
              <div className="flex items-center border-b border-line">
                <input
                  className="plain-field font-semibold"
                  aria-label={`Name of box ${at + 1}`}
                  placeholder={`Box ${at + 1}`}
                  maxLength={2000}
                  value={box.text}
                  onChange={(event) =>
                    onChange({
                      ...question,
                      boxes: boxes.map((one) => (one === box ? { ...box, text: event.target.value } : one)),
                    })
                  }
                />
                {boxes.length > 1 && (
                  <button
                    type="button"
                    className="icon-button"
                    aria-label={`Delete ${name}`}
                    onClick={() => onChange(withoutBox(question, box.id))}
                  >
                    <X size={15} aria-hidden />
                  </button>
                )}
              </div>
              <BoxItems question={question} place={box.id} name={name} onChange={onChange} />
            </section>
          );
        })}
        {nowhere && (
          <section
            aria-label="belongs in none"
            className="rounded border border-dashed border-[var(--field)] px-3 pt-1 pb-3"
          >
            <p className="border-b border-line py-1 font-semibold">Belongs in none</p>
            <BoxItems question={question} place={null} name="none of the boxes" onChange={onChange} />
          </section>
        )}
      </div>
      <div className="flex flex-wrap gap-x-5">
        {boxes.length < 30 && (
          <Another
            to='input[aria-label^="Name of box"]'
            onPress={() => onChange({ ...question, boxes: [...boxes, { id: newId(), text: '' }] })}
          >
            Another box
          </Another>
        )}
        {!nowhere && <Another onPress={() => setAsked(true)}>Something that belongs in none</Another>}
      </div>
    </div>
  );
};

/** Each box with what belongs in it. */
export const Folded: Faces<BoxesQuestion>['Folded'] = ({ question }) => {
  const places: (readonly [Place, string])[] = [
    ...question.boxes.map(({ id, text }) => [id, text || 'box without a name'] as const),
    [null, 'belongs in none'],
  ];
  return (
    <ul className="mt-1.5 space-y-1">
      {places.map(([place, name]) => {
        const items = itemsIn(question, place).filter((item) => !isUnnamed(item));
        return (
          (place !== null || items.length > 0) && (
            <li key={place}>
              <span className="text-soft">{name}:</span>{' '}
              {items.map((item, at) => (
                <span key={item.id} className={place === null ? '' : 'font-semibold'}>
                  {at > 0 && ' · '}
                  <FoldedThing {...item} empty="" />
                </span>
              ))}
            </li>
          )
        );
      })}
    </ul>
  );
};
