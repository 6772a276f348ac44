import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { usePrinting } from './usePrinting';

/** Up to this many rows are drawn all at once: the browser's own search and a screen reader then find each. */
const DRAW_ALL = 100;
const OVERSCAN = 12;

/** A row that is to come into view; the same one again where `times` grows. */
export interface GoTo {
  readonly index: number;
  readonly times: number;
}

interface Props<Row> {
  readonly rows: readonly Row[];
  /** Rows of a table's body, or items of a list. */
  readonly as?: 'table' | 'list';
  /** The height of most rows, in pixels. */
  readonly height: number;
  readonly keyOf: (row: Row) => string;
  readonly goTo?: GoTo | null;
  /** Draws a row; `measure` goes to its `ref`, `index` to its `data-index`. */
  readonly draw: (
    row: Row,
    at: { readonly index: number; readonly measure: (element: Element | null) => void },
  ) => ReactNode;
}

/** Where a row is drawn: in which element, and what keeps the room of those that are not. */
const KINDS = {
  table: {
    Body: 'tbody' as const,
    Gap: ({ height }: { readonly height: number }) =>
      height > 0 ? (
        <tr aria-hidden>
          <td style={{ height, padding: 0 }} />
        </tr>
      ) : null,
  },
  list: {
    Body: 'ul' as const,
    Gap: ({ height }: { readonly height: number }) =>
      height > 0 ? <li aria-hidden style={{ height }} /> : null,
  },
};

function intoView(body: HTMLElement | null, index: number): boolean {
  const row = body?.querySelector(`:scope > [data-index="${index}"]`);
  row?.scrollIntoView({ block: 'nearest' });
  return row !== undefined && row !== null;
}

function RowsInView<Row>({ rows, as = 'table', height, keyOf, goTo, draw }: Props<Row>) {
  const body = useRef<HTMLElement>(null);
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
  const list = useRef(virtual);
  list.current = virtual;
  useEffect(() => {
    if (!goTo || intoView(body.current, goTo.index)) return;
    list.current.scrollToIndex(goTo.index, { align: 'center' });
    const frame = requestAnimationFrame(() => intoView(body.current, goTo.index));
    return () => cancelAnimationFrame(frame);
  }, [goTo]);
  const drawn = virtual.getVirtualItems();
  const measure = (element: Element | null) => virtual.measureElement(element);
  const { Body, Gap } = KINDS[as];
  return (
    <Body ref={body as never}>
      <Gap height={(drawn[0]?.start ?? top) - top} />
      {drawn.map(({ index }) => draw(rows[index] as Row, { index, measure }))}
      <Gap height={virtual.getTotalSize() - ((drawn.at(-1)?.end ?? top) - top)} />
    </Body>
  );
}

const unmeasured = () => undefined;

function AllRows<Row>({ rows, as = 'table', goTo, draw }: Props<Row>) {
  const body = useRef<HTMLElement>(null);
  useEffect(() => {
    if (goTo) intoView(body.current, goTo.index);
  }, [goTo]);
  const { Body } = KINDS[as];
  return (
    <Body ref={body as never}>{rows.map((row, index) => draw(row, { index, measure: unmeasured }))}</Body>
  );
}

/** The rows of a long table or list that scrolls with the page: of a big class only those in view are drawn. */
export function LongRows<Row>(props: Props<Row>) {
  const printing = usePrinting();
  return props.rows.length > DRAW_ALL && !printing ? <RowsInView {...props} /> : <AllRows {...props} />;
}
