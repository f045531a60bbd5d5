import type { EveningItem } from '@/core/evening/evening';

/** An item as it is drawn: its bar, and where its words stand. */
export interface PlacedItem {
  item: EveningItem;
  topPx: number;
  heightPx: number;
  /** How many bars of its column it stands beside. */
  deep: number;
  wordsPx: number;
}

/** Height that an evening is drawn in, px, and the scales that it may take, px a minute. */
const HEIGHT_PX = 760;
const PX_PER_MIN = { least: 1.2, most: 5 } as const;

/** Height of a line of words, px; and how many bars stand beside each other. */
const WORDS_PX = 16;
const MOST_DEEP = 2;

/**
 * Where everything of an evening stands when it is drawn downward.
 * @param items at least one; minutes of the evening
 * @param lanes columns from left to right
 * @returns whole half hours around the items, a mark for each, and each column with bars that do not hide each other and words that do not overlap
 */
export function eveningLayout(
  items: readonly EveningItem[],
  lanes: readonly { lane: EveningItem['lane'] }[],
): {
  firstMin: number;
  lastMin: number;
  pxPerMin: number;
  heightPx: number;
  marks: number[];
  columns: { lane: EveningItem['lane']; items: PlacedItem[] }[];
} {
  const firstMin = Math.floor(Math.min(...items.map(({ startMin }) => startMin)) / 30) * 30;
  const lastMin = Math.max(firstMin + 30, Math.ceil(Math.max(...items.map(({ endMin }) => endMin)) / 30) * 30);
  const pxPerMin = Math.min(PX_PER_MIN.most, Math.max(PX_PER_MIN.least, HEIGHT_PX / (lastMin - firstMin)));
  const everyMin = pxPerMin * 30 < 48 ? 60 : 30;
  const columns = lanes.map(({ lane }) => ({
    lane,
    items: placed(
      items.filter((item) => item.lane === lane),
      firstMin,
      pxPerMin,
    ),
  }));
  const lowestPx = Math.max(...columns.flatMap((column) => column.items.map(({ wordsPx }) => wordsPx + WORDS_PX)), 0);
  return {
    firstMin,
    lastMin,
    pxPerMin,
    heightPx: Math.ceil(Math.max((lastMin - firstMin) * pxPerMin, lowestPx)),
    marks: Array.from({ length: Math.floor((lastMin - firstMin) / everyMin) + 1 }, (_, at) => firstMin + at * everyMin),
    columns,
  };
}

function placed(items: readonly EveningItem[], firstMin: number, pxPerMin: number): PlacedItem[] {
  const ends: number[] = [];
  let freePx = 0;
  return [...items]
    .sort((a, b) => a.startMin - b.startMin)
    .map((item) => {
      const free = ends.findIndex((end) => end <= item.startMin + 1e-9);
      const deep = Math.min(MOST_DEEP, free < 0 ? ends.length : free);
      ends[deep] = item.endMin;
      const topPx = (item.startMin - firstMin) * pxPerMin;
      const wordsPx = Math.max(topPx, freePx);
      freePx = wordsPx + WORDS_PX;
      return { item, topPx, heightPx: Math.max(3, (item.endMin - item.startMin) * pxPerMin), deep, wordsPx };
    });
}
