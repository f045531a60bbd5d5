import type { Evening, EveningItem } from '@/core/evening/evening';
import { classes } from '@/ui/classes';
import { percentBetween } from '@/ui/rulerScale';

interface EveningStripProps {
  evening: Evening;
  lanes: readonly { lane: EveningItem['lane']; name: string }[];
  nowMin: number;
  /** A minute of the evening on the clock on the wall. */
  clock: (minutes: number) => string;
}

/** The evening drawn to scale: a strip of hours, the kitchen above, a lane for each roll. */
export function EveningStrip({ evening, lanes, nowMin, clock }: EveningStripProps) {
  const first = Math.floor(Math.min(...evening.items.map(({ startMin }) => startMin)) / 30) * 30;
  const last = Math.ceil(Math.max(...evening.items.map(({ endMin }) => endMin)) / 30) * 30;
  const percent = (minute: number): number => percentBetween(first, Math.max(first + 30, last), minute);
  const everyMin = last - first > 480 ? 120 : last - first > 200 ? 60 : 30;
  const hours = Array.from({ length: Math.floor((last - first) / everyMin) + 1 }, (_, at) => first + at * everyMin);
  return (
    <div className="overflow-x-auto" data-testid="evening-strip">
      <div aria-hidden className="relative min-w-[720px] pt-6 pb-1">
        {hours.map((minute) => (
          <div
            key={minute}
            className="absolute inset-y-0 border-l border-hair"
            style={{ left: `calc(132px + (100% - 132px) * ${percent(minute) / 100})` }}
          >
            <span className="num pl-1 text-[13px] text-ink2">{clock(minute)}</span>
          </div>
        ))}
        {lanes.map(({ lane, name }) => (
          <div key={lane} className="grid grid-cols-[132px_1fr] items-center border-t border-hair">
            <span className="truncate pr-3 text-[14px]">{name}</span>
            <div className={classes('relative', lane === 'kitchen' ? 'h-[74px]' : 'h-11')}>
              {rows(evening.items.filter((item) => item.lane === lane)).map(({ item, row }) => {
                const width = percent(item.endMin) - percent(item.startMin);
                return (
                  <div
                    key={item.id}
                    title={`${clock(item.startMin)} ${item.what}`}
                    className={classes(
                      'absolute overflow-hidden border text-[12px] leading-[20px] whitespace-nowrap',
                      item.what.startsWith('Develop') ? 'border-ink bg-ink text-ground' : 'border-edge bg-sheet',
                      item.id.endsWith(' hang') && 'border-dashed bg-transparent',
                    )}
                    style={{
                      left: `${percent(item.startMin)}%`,
                      width: `max(2px, ${width}%)`,
                      top: lane === 'kitchen' ? 2 + row * 24 : 10,
                      height: 22,
                    }}
                  >
                    {width > 2.5 && <span className="px-1">{item.what}</span>}
                  </div>
                );
              })}
            </div>
          </div>
        ))}
        {nowMin >= first && nowMin <= last && (
          <div
            className="absolute top-5 bottom-0 w-[3px] bg-heat"
            style={{ left: `calc(132px + (100% - 132px) * ${percent(nowMin) / 100})` }}
          />
        )}
      </div>
    </div>
  );
}

/** Items that overlap in one lane stand below each other, three deep at the most. */
function rows(items: readonly EveningItem[]): { item: EveningItem; row: number }[] {
  const ends: number[] = [];
  return items.map((item) => {
    const free = ends.findIndex((end) => end <= item.startMin + 1e-9);
    const row = Math.min(2, free < 0 ? ends.length : free);
    ends[row] = item.endMin;
    return { item, row };
  });
}
