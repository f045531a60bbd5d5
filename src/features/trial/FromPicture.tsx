import { readingOfKept } from '@/core/records/keptStrip';
import type { StripRecord, Trial } from '@/core/records/records';
import type { TrialStrip } from '@/core/trial/trial';
import { stripOfPicture, type StripOfPicture } from '@/core/trial/trialCurves';
import { dateLocale } from '@/core/units/language';
import { useLatestReadings } from '@/data/readings';
import { Choice } from '@/ui/Choice';

interface FromPictureProps {
  trial: Trial;
  strip: TrialStrip;
  onTake: (found: StripOfPicture, readingId: string) => void;
}

const NONE = 'none';

/** Takes a strip that was read from a picture or by a densitometer: one whose name holds the code stands first. */
export function FromPicture({ trial, strip, onTake }: FromPictureProps) {
  const latest = useLatestReadings();
  if (latest === undefined) return null;
  if (latest.length === 0)
    return (
      <p className="max-w-[62ch] text-[14px] text-ink2">
        Photographed strips are read on the page of their roll, under Test. Keep this one there as “{strip.code}”: its
        curve can be taken over here.
      </p>
    );
  const named = (one: StripRecord): boolean => one.name.toUpperCase().includes(strip.code);
  const offered = [...latest].sort((a, b) => Number(named(b)) - Number(named(a)));
  const options = [
    { value: NONE, name: 'None' },
    ...offered.map(({ id, name, createdMs }) => ({
      value: id,
      name,
      hint: new Date(createdMs).toLocaleDateString(dateLocale),
    })),
  ];
  return (
    <Choice
      id="from-picture"
      label="From a strip that was measured"
      value={NONE}
      options={options}
      onChange={(id) => {
        const record = latest.find((one) => one.id === id);
        const found = record === undefined ? null : stripOfPicture(readingOfKept(record), trial, record.doubt);
        if (found !== null) onTake(found, id);
      }}
    />
  );
}
