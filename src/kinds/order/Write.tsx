import type { OrderQuestion } from '@/core/kinds/order/schema';
import { newId } from '@/device/ids';
import type { Faces } from '../faces';
import { Another } from '../shared/Another';
import { FoldedThing } from '../shared/FoldedKey';
import { KeyLine } from '../shared/KeyLine';
import { isUnnamed } from '../shared/openRows';
import { MoveTools } from '../shared/RowTools';
import { PictureTool, ThingField } from '../shared/ThingField';
import { useRows } from '../shared/useRows';
import { useSpokenName } from '../shared/PickLabel';

type Item = OrderQuestion['items'][number];

export const Write: Faces<OrderQuestion>['Write'] = ({ question, onChange }) => {
  const spokenName = useSpokenName();
  const { items } = question;
  const rows = useRows<Item>({
    rows: items,
    onRows: (next) => onChange({ ...question, items: next }),
    blank: (text = '') => ({ id: newId(), text, picture: null }),
    isEmpty: isUnnamed,
    fill: (item, text) => ({ ...item, text }),
    most: 60,
  });
  return (
    <div>
      <p className="label-small mt-3">Items in their right order; students get them shuffled</p>
      <ol ref={rows.list} className="mt-1">
        {items.map((item, at) => {
          const about = spokenName(item) || `Item ${at + 1}`;
          return (
            <KeyLine
              key={item.id}
              name={about}
              mark={<span className="figures pt-1 text-center font-semibold">{at + 1}</span>}
              tools={
                <>
                  <PictureTool
                    thing={item}
                    place={`Item ${at + 1}`}
                    onPicture={(picture) => rows.replace({ ...item, picture })}
                  />
                  <MoveTools name={about} onMove={(by) => rows.moveBy(item, by)} />
                </>
              }
              onRemove={() => rows.remove(item)}
            >
              <ThingField thing={item} place={`Item ${at + 1}`} rows={rows} />
            </KeyLine>
          );
        })}
      </ol>
      <Another onPress={() => rows.add()}>Another item</Another>
    </div>
  );
};

/** The items in a line, numbered. */
export const Folded: Faces<OrderQuestion>['Folded'] = ({ question }) => (
  <ol className="mt-1.5 flex flex-wrap gap-x-5 gap-y-1">
    {question.items
      .filter((item) => !isUnnamed(item))
      .map((item, at) => (
        <li key={item.id}>
          <span className="figures font-semibold">{at + 1}</span> <FoldedThing {...item} empty="" />
        </li>
      ))}
  </ol>
);
