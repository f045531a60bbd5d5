'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useSyncExternalStore } from 'react';
import { benchName, chooseBench } from '@/data/benchName';
import { useSettings } from '@/data/queries';
import { classes } from '@/ui/classes';
import { lights, setLight, useLight, type Light } from '@/ui/light';

const places = [
  { href: '/', name: 'Bench', match: /^\/$/ },
  { href: '/rolls', name: 'Rolls', match: /^\/rolls/ },
  { href: '/brews', name: 'Brews', match: /^\/brews/ },
  { href: '/exposure', name: 'Exposure', match: /^\/exposure/ },
  { href: '/log', name: 'Log', match: /^\/(?:log|trials|prints)/ },
  { href: '/handbook', name: 'Handbook', match: /^\/handbook/ },
  { href: '/records', name: 'Records', match: /^\/records/ },
];

/** The way around, the light and the units. */
export function Rail() {
  const path = usePathname();
  return (
    <header className="border-b border-hair">
      <DemoMark />
      <div className="mx-auto flex frame flex-wrap items-baseline gap-x-6 gap-y-1 px-4 py-1 sm:px-10">
        <Link href="/" className="num text-[20px] font-[640] text-ink no-underline sm:me-3">
          Aetas
        </Link>
        <nav
          aria-label="Places"
          className="order-last flex w-full justify-between gap-x-1.5 overflow-x-auto text-[13px] sm:order-none sm:w-auto sm:justify-start sm:gap-x-6 sm:text-[length:inherit]"
        >
          {places.map(({ href, name, match }) => (
            <Link
              key={href}
              href={href}
              aria-current={match.test(path) ? 'page' : undefined}
              className={classes(
                'inline-flex min-h-11 items-center no-underline',
                match.test(path) ? 'border-b-2 border-ink text-ink' : 'text-ink2 hover:text-ink',
              )}
            >
              {name}
            </Link>
          ))}
        </nav>
        <div className="ms-auto flex items-baseline gap-4 text-[13px]">
          <LightSwitch />
          <UnitSwitch />
        </div>
      </div>
    </header>
  );
}

/** Says on every page of the demo bench that it is one. */
function DemoMark() {
  const demo = useSyncExternalStore(never, () => benchName() === 'demo', notYet);
  if (!demo) return null;
  return (
    <div className="border-b-4 border-double border-heat text-heat" data-testid="demo-bench">
      <div className="mx-auto flex frame flex-wrap items-baseline gap-x-4 px-4 py-1 text-[13px] sm:px-10">
        <b>Demo bench</b>
        <span className="hidden sm:inline">Invented rolls from a weather hut: try anything.</span>
        <button
          type="button"
          className="ms-auto min-h-7 underline underline-offset-3"
          onClick={() => chooseBench('own')}
        >
          Go to my own bench
        </button>
      </div>
    </div>
  );
}

const never = () => () => undefined;
const notYet = () => false;

function LightSwitch() {
  const light = useLight();
  return (
    <div role="group" aria-label="Light" className="flex items-baseline gap-2">
      <span aria-hidden className="hidden text-ink2 sm:inline">
        Light:
      </span>
      {(Object.keys(lights) as Light[]).map((id) => (
        <button
          key={id}
          type="button"
          aria-pressed={light === id}
          className={classes(
            'min-h-11 min-w-9 py-1',
            light === id ? 'border-b-2 border-ink text-ink' : 'text-ink2 hover:text-ink',
          )}
          onClick={() => setLight(id)}
        >
          {lights[id]}
        </button>
      ))}
    </div>
  );
}

function UnitSwitch() {
  const { temperature, volume } = useSettings();
  const metric = temperature === 'C' && volume === 'ml';
  return (
    <button
      type="button"
      className="min-h-11 py-1 text-ink2 hover:text-ink"
      aria-label={`${metric ? '°C · ml' : '°F · fl oz'}: units. Switch to ${metric ? '°F and fl oz' : '°C and ml'}.`}
      onClick={() =>
        void import('@/data/settings').then(({ changeSettings }) =>
          changeSettings(metric ? { temperature: 'F', volume: 'floz' } : { temperature: 'C', volume: 'ml' }),
        )
      }
    >
      {metric ? '°C · ml' : '°F · fl oz'}
    </button>
  );
}
