'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef, type ReactNode } from 'react';

interface VirtualRowsProps<Row> {
  rows: readonly Row[];
  /** Height of a row that was not measured yet, px. */
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

function Windowed<Row>({ rows, rowPx, height, keyOf, label, children }: VirtualRowsProps<Row>) {
  'use no memo';
  const scroller = useRef<HTMLDivElement>(null);
  // The package keeps its measurements outside of React, which is what makes it quick.
  // eslint-disable-next-line react-hooks/incompatible-library
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => rowPx,
    overscan: 4,
    getItemKey: (index) => keyOf(rows[index] as Row),
  });
  return (
    <div ref={scroller} className="overflow-y-auto" style={{ height }} role="region" aria-label={label} tabIndex={0}>
      <ul className="relative" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map((item) => (
          <li
            key={item.key}
            ref={virtual.measureElement}
            data-index={item.index}
            aria-setsize={rows.length}
            aria-posinset={item.index + 1}
            className="absolute inset-x-0 top-0"
            style={{ transform: `translateY(${item.start}px)` }}
          >
            {children(rows[item.index] as Row)}
          </li>
        ))}
      </ul>
    </div>
  );
}
