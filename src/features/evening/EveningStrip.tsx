import type { Evening, EveningItem } from '@/core/evening/evening';
import { classes } from '@/ui/classes';
import { eveningLayout, type PlacedItem } from './eveningLayout';

interface EveningStripProps {
  evening: Evening;
  lanes: readonly { lane: EveningItem['lane']; name: string }[];
  nowMin: number;
  /** A minute of the evening on the clock on the wall. */
  clock: (minutes: number) => string;
}

/** The evening drawn to scale, minutes downward: the kitchen first, a column for each roll, words beside their bars. */
export function EveningStrip({ evening, lanes, nowMin, clock }: EveningStripProps) {
  const { firstMin, lastMin, pxPerMin, heightPx, marks, columns } = eveningLayout(evening.items, lanes);
  const topOf = (minute: number): number => (minute - firstMin) * pxPerMin;
  return (
    <div data-testid="evening-strip" className="measure">
      <div aria-hidden className="flex ps-[52px] text-[14px] font-[620]">
        {lanes.map(({ lane, name }) => (
          <span key={lane} className="min-w-0 flex-1 truncate pe-2">
            {name}
          </span>
        ))}
      </div>
      <div aria-hidden className="relative mt-1 border-t border-ink" style={{ height: heightPx }}>
        {marks.map((minute) => (
          <div key={minute} className="absolute inset-x-0 border-t border-hair" style={{ top: topOf(minute) }}>
            <span className="num text-[13px] text-ink2">{clock(minute)}</span>
          </div>
        ))}
        {nowMin >= firstMin && nowMin <= lastMin && (
          <div
            className="absolute inset-x-0 z-10 border-t-[3px] border-dashed border-heat text-end text-[12px] leading-none text-heat"
            style={{ top: topOf(nowMin) }}
          >
            now
          </div>
        )}
        <div className="absolute inset-y-0 end-0 start-[52px] flex">
          {columns.map(({ lane, items }) => (
            <div key={lane} className="relative min-w-0 flex-1 border-s border-hair">
              {items.map((placed) => (
                <Item key={placed.item.id} placed={placed} clock={clock} />
              ))}
            </div>
          ))}
        </div>
      </div>
    </div>
  );
}

function Item({
  placed: { item, topPx, heightPx, deep, wordsPx },
  clock,
}: {
  placed: PlacedItem;
  clock: (minutes: number) => string;
}) {
  return (
    <>
      <div
        className={classes(
          'absolute w-2 border [print-color-adjust:exact]',
          item.kind === 'develop' ? 'border-ink bg-ink' : 'border-edge bg-band',
          item.kind === 'hang' && 'bg-transparent',
        )}
        style={{ top: topPx, height: heightPx, left: 3 + deep * 10 }}
      />
      <span
        title={`${clock(item.startMin)} ${item.what}`}
        className="absolute end-1 truncate text-[12px] leading-[16px]"
        style={{ top: wordsPx, left: 36 }}
      >
        {item.what}
      </span>
    </>
  );
}
