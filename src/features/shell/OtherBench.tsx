'use client';

import { benchName, chooseBench } from '@/data/benchName';
import { classes } from '@/ui/classes';

/** The way to the bench that this is not. */
export function OtherBench({ className }: { className?: string }) {
  const demo = benchName() === 'demo';
  return (
    <button
      type="button"
      className={classes('act-plain', className)}
      onClick={() => chooseBench(demo ? 'own' : 'demo')}
    >
      {demo ? 'Go to my own bench' : 'Look round the demo bench'}
    </button>
  );
}
