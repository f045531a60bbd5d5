'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useLayoutEffect, useRef, useState, type ReactNode } from 'react';

interface VirtualRowsProps<Row> {
  rows: readonly Row[];
  /** Height that a row has about, px: the first one drawn says it better. */
  rowPx: number;
  /** Height of the window that scrolls, as CSS. */
  height: string;
  keyOf: (row: Row) => string;
  /** What the region is called. */
  label: string;
  children: (row: Row) => ReactNode;
}

/** Up to this many rows are drawn whole, in the page's own flow. */
const DRAWN_WHOLE = 60;

/** Rows of a list of any length: only those in view are drawn. Assistive technology hears how many there are. */
export function VirtualRows<Row>({ rows, rowPx, height, keyOf, label, children }: VirtualRowsProps<Row>) {
  if (rows.length <= DRAWN_WHOLE) {
    return (
      <ul aria-label={label}>
        {rows.map((row) => (
          <li key={keyOf(row)}>{children(row)}</li>
        ))}
      </ul>
    );
  }
  return (
    <Windowed rows={rows} rowPx={rowPx} height={height} keyOf={keyOf} label={label}>
      {children}
    </Windowed>
  );
}

interface DrawnProps<Row> {
  row: Row;
  children: (row: Row) => ReactNode;
}

/** A row that stays in view is not drawn again while others come and go. */
const Drawn = memo(function Drawn<Row>({ row, children }: DrawnProps<Row>) {
  return children(row);
}) as <Row>(props: DrawnProps<Row>) => ReactNode;

function Windowed<Row>({ rows, rowPx, height, keyOf, label, children }: VirtualRowsProps<Row>) {
  'use no memo';
  const scroller = useRef<HTMLDivElement>(null);
  const [usualPx, setUsualPx] = useState(rowPx);
  // The package keeps its measurements outside of React, which is what makes it quick.
  // eslint-disable-next-line react-hooks/incompatible-library
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => usualPx,
    overscan: 2,
    // A scroll that draws at once would lay the page out twice: once to draw, once to measure.
    useFlushSync: false,
    getItemKey: (index) => keyOf(rows[index] as Row),
  });
  // Where rows are as high as was thought, nothing moves while they come into view.
  useLayoutEffect(() => {
    const first = scroller.current?.querySelector('li');
    if (first != null) setUsualPx(Math.round(first.getBoundingClientRect().height));
  }, []);
  useLayoutEffect(() => virtual.measure(), [virtual, usualPx]);
  return (
    <div
      ref={scroller}
      className="overflow-y-auto contain-content"
      style={{ height }}
      role="region"
      aria-label={label}
      tabIndex={0}
    >
      <ul className="relative" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map((item) => (
          <li
            key={item.key}
            ref={virtual.measureElement}
            data-index={item.index}
            aria-setsize={rows.length}
            aria-posinset={item.index + 1}
            className="absolute inset-x-0 top-0 contain-layout contain-style"
            style={{ transform: `translateY(${item.start}px)` }}
          >
            <Drawn row={rows[item.index] as Row}>{children}</Drawn>
          </li>
        ))}
      </ul>
    </div>
  );
}
