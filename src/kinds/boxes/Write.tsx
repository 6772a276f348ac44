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
import type { Faces } from '../faces';
import { Another } from '../shared/Another';
import { FoldedThing } from '../shared/FoldedKey';
import { useHandRow } from '../shared/handRow';
import { KeyLine } from '../shared/KeyLine';
import { NewEntry } from '../shared/NewEntry';
import { isUnnamed } from '../shared/openRows';
import { MoveTools, RowTools, Tool } from '../shared/RowTools';
import { PictureTool, ThingField } from '../shared/ThingField';
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
      <ul ref={rows.list} className="key-markless">
        {items.map((item, at) => {
          const label = `Item ${at + 1} in ${name}`;
          const also = question.boxes.filter(({ id }) => id !== place && item.boxes.includes(id));
          return (
            <KeyLine
              key={item.id}
              name={spokenName(item) || label}
              mark={null}
              feedback={isUnnamed(item) ? undefined : item.feedback}
              onFeedback={(feedback) => rows.replace({ ...item, feedback })}
              placeholder="What would help here?"
              tools={
                <>
                  <PictureTool
                    thing={item}
                    place={label}
                    onPicture={(picture) => rows.replace({ ...item, picture })}
                  />
                  <MoveTools name={spokenName(item) || label} onMove={(by) => rows.moveBy(item, by)} />
                </>
              }
              onRemove={() => rows.remove(item)}
              removeTo={`from ${name}`}
            >
              <ThingField thing={item} place={label} empty={`item ${at + 1}`} rows={rows} onLeave={share} />
              {also.length > 0 && <p className="caption">or in {also.map(({ text }) => text).join(', ')}</p>}
            </KeyLine>
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

interface NameProps {
  readonly box: BoxesQuestion['boxes'][number];
  readonly at: number;
  readonly name: string;
  readonly onChange: (box: BoxesQuestion['boxes'][number]) => void;
  readonly onRemove: (() => void) | undefined;
}

/** What a box is called, and in hand that it can be deleted. */
function BoxName({ box, at, name, onChange, onRemove }: NameProps) {
  const row = useHandRow();
  return (
    <div className="border-b border-line" {...row.taking}>
      <input
        className="plain-field font-semibold"
        aria-label={`Name of box ${at + 1}`}
        placeholder={`Box ${at + 1}`}
        maxLength={2000}
        value={box.text}
        onChange={(event) => onChange({ ...box, text: event.target.value })}
      />
      {onRemove && (
        <RowTools row={row} name={name}>
          <Tool words="Delete this box" to={name} onPress={onRemove} />
        </RowTools>
      )}
    </div>
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
              <BoxName
                box={box}
                at={at}
                name={name}
                onChange={(changed) =>
                  onChange({ ...question, boxes: boxes.map((one) => (one === box ? changed : one)) })
                }
                onRemove={boxes.length > 1 ? () => onChange(withoutBox(question, box.id)) : undefined}
              />
              <BoxItems question={question} place={box.id} name={name} onChange={onChange} />
            </section>
          );
        })}
        {nowhere && (
          <section
            aria-label="fits no box"
            className="rounded border border-dashed border-[var(--field)] px-3 pt-1 pb-3"
          >
            <p className="border-b border-line py-1 font-semibold">Fits no box</p>
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
        {!nowhere && <Another onPress={() => setAsked(true)}>Something that fits no box</Another>}
      </div>
    </div>
  );
};

/** Each box with what belongs in it. */
export const Folded: Faces<BoxesQuestion>['Folded'] = ({ question }) => {
  const places: (readonly [Place, string])[] = [
    ...question.boxes.map(({ id, text }) => [id, text || 'box without a name'] as const),
    [null, 'fits no box'],
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
