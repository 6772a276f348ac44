import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState, type ReactNode } from 'react';

/** Up to this many rows are drawn all at once: the browser's own search and a screen reader then find each. */
const DRAW_ALL = 100;
const OVERSCAN = 12;

interface Props<Row> {
  readonly rows: readonly Row[];
  /** The height of most rows, in pixels. */
  readonly height: number;
  readonly keyOf: (row: Row) => string;
  /** Draws a table row; `measure` goes to its `ref`, `index` to its `data-index`. */
  readonly draw: (
    row: Row,
    at: { readonly index: number; readonly measure: (element: Element | null) => void },
  ) => ReactNode;
}

const Gap = ({ height }: { readonly height: number }) =>
  height > 0 ? (
    <tr aria-hidden>
      <td style={{ height, padding: 0 }} />
    </tr>
  ) : null;

function RowsInView<Row>({ rows, height, keyOf, draw }: Props<Row>) {
  const body = useRef<HTMLTableSectionElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => {
    setTop((body.current?.getBoundingClientRect().top ?? 0) + window.scrollY);
  }, []);
  const virtual = useWindowVirtualizer({
    count: rows.length,
    estimateSize: () => height,
    overscan: OVERSCAN,
    scrollMargin: top,
    getItemKey: (index) => keyOf(rows[index] as Row),
    useFlushSync: false,
  });
  const drawn = virtual.getVirtualItems();
  const measure = (element: Element | null) => virtual.measureElement(element);
  return (
    <tbody ref={body}>
      <Gap height={(drawn[0]?.start ?? top) - top} />
      {drawn.map(({ index }) => draw(rows[index] as Row, { index, measure }))}
      <Gap height={virtual.getTotalSize() - ((drawn.at(-1)?.end ?? top) - top)} />
    </tbody>
  );
}

const unmeasured = () => undefined;

/** The rows of a long table that scrolls with the page: of a big class only those in view are drawn. */
export function LongRows<Row>(props: Props<Row>) {
  const { rows, draw } = props;
  if (rows.length > DRAW_ALL) return <RowsInView {...props} />;
  return <tbody>{rows.map((row, index) => draw(row, { index, measure: unmeasured }))}</tbody>;
}
