import { reels, type EveningForm, type ReelId } from '@/core/evening/eveningForm';
import { useSettings } from '@/data/queries';
import { Choice } from '@/ui/Choice';
import { Quantity } from '@/ui/Quantity';

const reelOptions = (Object.keys(reels) as ReelId[]).map((value) => ({ value, name: reels[value].name }));

type TankForm = Pick<EveningForm, 'tanks' | 'reel'>;

/** Tanks of an evening, and the reels that dry between two films. */
export function TankFields({
  form,
  change,
  error,
}: {
  form: TankForm;
  change: (part: Partial<TankForm>) => void;
  error: string | undefined;
}) {
  const units = useSettings();
  return (
    <>
      <Quantity
        id="tanks"
        label="Tanks"
        kind="count"
        units={units}
        value={form.tanks}
        onChange={(tanks) => change({ tanks })}
        error={error}
      />
      <Choice id="reel" label="Reels" value={form.reel} options={reelOptions} onChange={(reel) => change({ reel })} />
    </>
  );
}
