import { Circle, Pentagon, RectangleHorizontal } from '@/ui/widgets/icons';
import { useState } from 'react';
import { boxOf, newArea, shapeBetween } from '@/core/kinds/spot/edit';
import { inThousandths, shareOf } from '@/core/kinds/spot/places';
import type { Area, Shape, SpotQuestion } from '@/core/kinds/spot/schema';
import { fraction, multiply } from '@/core/figures/fraction';
import { newId } from '@/device/ids';
import { PictureDialog } from '@/ui/editing/media/PictureDialog';
import { DecimalField } from '@/ui/widgets/fields/DecimalField';
import { Picture } from '@/ui/widgets/paper/Picture';
import type { Faces } from '../faces';
import { FoldedEntry, FoldedKey } from '../shared/FoldedKey';
import { KeyRow } from '../shared/KeyRow';
import { AreaShape } from '@/ui/widgets/paper/AreaShape';
import { areaName, AreasOnPicture } from './AreasOnPicture';

const TOOLS = [
  ['rectangle', 'Rectangle', RectangleHorizontal],
  ['ellipse', 'Ellipse', Circle],
  ['polygon', 'Polygon', Pentagon],
] as const;

const SIDES = [
  ['left', 'from the left', 'Left edge'],
  ['top', 'from the top', 'Upper edge'],
  ['right', 'to', 'Right edge'],
  ['bottom', 'down to', 'Lower edge'],
] as const;

interface NumbersProps {
  readonly name: string;
  readonly shape: Exclude<Shape, { kind: 'polygon' }>;
  readonly onShape: (shape: Shape) => void;
}

/** The place of an area in figures, in per cent of the picture. */
function Numbers({ name, shape, onShape }: NumbersProps) {
  const box = boxOf(shape);
  const set = (side: keyof typeof box, value: number) => {
    const next = { ...box, [side]: value };
    onShape(shapeBetween(shape.kind, { x: next.left, y: next.top }, { x: next.right, y: next.bottom }));
  };
  return (
    <p className="caption mt-1 flex flex-wrap gap-x-3">
      {SIDES.map(([side, words, edge]) => (
        <span key={side} className="whitespace-nowrap">
          {words}{' '}
          <DecimalField
            value={multiply(shareOf(box[side]), fraction(100))}
            label={`${edge} of ${name}, %`}
            most={100}
            className="sentence-part figures text-center"
            onChange={(percent) => set(side, inThousandths(multiply(percent, fraction(1, 100))))}
          />
          %
        </span>
      ))}
    </p>
  );
}

interface AreaRowProps {
  readonly area: Area;
  readonly at: number;
  readonly inHand: boolean;
  readonly onHand: () => void;
  readonly onChange: (area: Area) => void;
  readonly onRemove: () => void;
}

function AreaRow({ area, at, inHand, onHand, onChange, onRemove }: AreaRowProps) {
  const name = areaName(area, at);
  return (
    <KeyRow
      entry={area}
      name={name}
      placeholder={area.credit.n > 0 ? 'Feedback' : 'What would help here?'}
      onChange={onChange}
      onRemove={onRemove}
    >
      <div onFocus={onHand}>
        <span className="flex items-baseline gap-1.5">
          <span className="figures font-semibold">{at + 1}</span>
          <input
            className="plain-field"
            aria-label={`Name of area ${at + 1}`}
            placeholder="what is there"
            maxLength={300}
            value={area.name}
            onChange={(event) => onChange({ ...area, name: event.target.value })}
          />
        </span>
        {inHand && area.shape.kind !== 'polygon' && (
          <Numbers name={name} shape={area.shape} onShape={(shape) => onChange({ ...area, shape })} />
        )}
        {inHand && area.shape.kind === 'polygon' && (
          <p className="caption mt-1">{area.shape.corners.length} corners; Delete on one takes it away.</p>
        )}
      </div>
    </KeyRow>
  );
}

interface ToolsProps {
  readonly tool: Shape['kind'];
  readonly onTool: (tool: Shape['kind']) => void;
  readonly onPicture: () => void;
}

const Tools = ({ tool, onTool, onPicture }: ToolsProps) => (
  <div className="mt-3 mb-1.5 flex flex-wrap items-center gap-x-3 gap-y-1">
    <span className="label-small" id="area-tools">
      Areas, drawn on the picture as
    </span>
    {TOOLS.map(([kind, words, Icon]) => (
      <button
        key={kind}
        type="button"
        className={`btn btn-xs ${tool === kind ? 'btn-primary' : 'btn-outline'}`}
        aria-pressed={tool === kind}
        aria-describedby="area-tools"
        onClick={() => onTool(kind)}
      >
        <Icon size={13} aria-hidden /> {words}
      </button>
    ))}
    <button type="button" className="link-text ml-auto cursor-pointer text-[14px]" onClick={onPicture}>
      Change the picture
    </button>
  </div>
);

export const Write: Faces<SpotQuestion>['Write'] = ({ question, onChange }) => {
  const { picture, areas, rim } = question;
  const [tool, setTool] = useState<Shape['kind']>('rectangle');
  const [hand, setHand] = useState<string | null>(null);
  const [choosing, setChoosing] = useState(false);
  const put = (next: Area[]) => onChange({ ...question, areas: next });
  const set = (area: Area) => put(areas.map((one) => (one.id === area.id ? area : one)));
  const add = (shape: Shape) => {
    if (areas.length >= 50) return;
    const area = newArea(newId(), shape);
    put([...areas, area]);
    setHand(area.id);
  };
  const addInTheMiddle = () => {
    // Each new one a little further, so that none lies hidden below another.
    const at = 350 + 40 * (areas.length % 6);
    add(shapeBetween(tool, { x: at, y: at }, { x: at + 200, y: at + 200 }));
  };
  const remove = (area: Area) => put(areas.filter(({ id }) => id !== area.id));
  const dialog = choosing && (
    <PictureDialog
      picture={picture}
      onClose={() => setChoosing(false)}
      onSave={(chosen) => {
        setChoosing(false);
        onChange({ ...question, picture: { ...chosen, share: 100 } });
      }}
    />
  );
  if (!picture)
    return (
      <div className="mt-3">
        <button type="button" className="btn btn-outline" onClick={() => setChoosing(true)}>
          Choose the picture
        </button>
        {dialog}
      </div>
    );
  return (
    <div>
      <Tools tool={tool} onTool={setTool} onPicture={() => setChoosing(true)} />
      <AreasOnPicture
        picture={picture}
        areas={areas}
        rim={rim?.width ?? null}
        tool={tool}
        hand={hand}
        onHand={setHand}
        onShape={(area, shape) => set({ ...area, shape })}
        onDraw={add}
        onRemove={remove}
      />
      <p className="caption mt-1">
        Drag on the picture to draw one, or{' '}
        <button type="button" className="link-text cursor-pointer" onClick={addInTheMiddle}>
          put one in the middle
        </button>
        ; drag an area or its corners to change it. Arrow keys move what has the focus.
      </p>
      <ul className="mt-1">
        {areas.map((area, at) => (
          <AreaRow
            key={area.id}
            area={area}
            at={at}
            inHand={hand === area.id}
            onHand={() => setHand(area.id)}
            onChange={set}
            onRemove={() => remove(area)}
          />
        ))}
      </ul>
      {dialog}
    </div>
  );
};

/** The picture with its areas, and their names. */
export const Folded: Faces<SpotQuestion>['Folded'] = ({ question: { picture, areas } }) => (
  <>
    {picture && (
      <div className="spot-picture mt-1.5 max-w-72">
        <Picture picture={picture} fills />
        <svg
          className="absolute inset-0 size-full"
          viewBox={`0 0 ${picture.width} ${picture.height}`}
          preserveAspectRatio="none"
          aria-hidden
        >
          {areas.map(({ id, shape }) => (
            <AreaShape key={id} shape={shape} size={picture} className="area-outline" />
          ))}
        </svg>
      </div>
    )}
    <FoldedKey>
      {areas.map((area, at) => (
        <FoldedEntry key={area.id} credit={area.credit}>
          {areaName(area, at)}
        </FoldedEntry>
      ))}
    </FoldedKey>
  </>
);
