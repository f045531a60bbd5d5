'use client';

import Link from 'next/link';
import type { ReactNode } from 'react';
import { removeHabit, useHabits } from '@/data/habits';
import { useSettings } from '@/data/queries';
import { changeSettings } from '@/data/settings';
import { Segments } from '@/ui/Segments';
import { Tick } from '@/ui/Tick';
import { followSystemLight, lights, setLight, useLight, useLightIsChosen, type Light } from '@/ui/light';

const SYSTEM = 'system';
const lightOptions = [
  ...(Object.keys(lights) as Light[]).map((value) => ({ value: value as Light | typeof SYSTEM, name: lights[value] })),
  { value: SYSTEM, name: 'As the system has it' } as const,
];

/** Everything that is set once: units, light, sound, keys, and what is kept under a name. */
export function SettingsView() {
  const settings = useSettings();
  const light = useLight();
  const isChosen = useLightIsChosen();
  const presets = useHabits() ?? [];
  return (
    <div className="measure">
      <h1 className="mb-4">Settings</h1>
      <Row title="Temperature">
        <Segments
          id="temperatureUnit"
          label="Temperature in"
          inline
          quietLabel
          value={settings.temperature}
          options={[
            { value: 'C', name: '°C' },
            { value: 'F', name: '°F' },
          ]}
          onChange={(temperature) => void changeSettings({ temperature })}
        />
      </Row>
      <Row title="Volume">
        <Segments
          id="volumeUnit"
          label="Volume in"
          inline
          quietLabel
          value={settings.volume}
          options={[
            { value: 'ml', name: 'ml' },
            { value: 'floz', name: 'US fl oz' },
          ]}
          onChange={(volume) => void changeSettings({ volume })}
        />
      </Row>
      <Row title="Light">
        <Segments
          id="lightSetting"
          label="Light"
          inline
          quietLabel
          value={isChosen ? light : SYSTEM}
          options={lightOptions}
          onChange={(value) => (value === SYSTEM ? followSystemLight() : setLight(value))}
        />
      </Row>
      <Row title="At the tank">
        <Tick
          id="soundSetting"
          label="Tones for each agitation, and before a bath ends"
          checked={settings.sound}
          onChange={(sound) => void changeSettings({ sound })}
        />
        <Tick
          id="voiceSetting"
          label="A voice that counts and says what comes next"
          checked={settings.voice === true}
          onChange={(voice) => void changeSettings({ voice })}
        />
      </Row>
      <Row title="Keys">
        <Tick
          id="keysSetting"
          label="Single letters act as keys"
          checked={settings.keys}
          onChange={(keys) => void changeSettings({ keys })}
        />
      </Row>
      <Row title="Kit">
        <Link href="/brews/kit" className="act-plain min-h-11 content-center">
          Scale, measures, spoons, thermometer and camera
        </Link>
      </Row>
      <Row title="Language">
        <p>English. A server that is started with AETAS_LANGUAGE=es has its texts in Spanish.</p>
      </Row>
      <Row title="My presets">
        {presets.length === 0 ? (
          <p className="text-ink2">
            None yet. Baths, agitation and dilutions are kept where they are made, under Run and Choose.
          </p>
        ) : (
          <ul>
            {presets.map((preset) => (
              <li key={preset.id} className="rule-row flex flex-wrap items-baseline gap-x-4">
                <span className="min-w-0 flex-1">
                  {preset.name}{' '}
                  <span className="text-[13px] text-ink2">
                    {preset.kind === 'baths' ? 'baths' : preset.kind === 'movement' ? 'agitation' : 'dilution'}
                    {preset.kind === 'baths' && preset.usual ? ', default' : ''}
                  </span>
                </span>
                <button type="button" className="act-plain min-h-11" onClick={() => void removeHabit(preset)}>
                  Delete<span className="sr-only"> {preset.name}</span>
                </button>
              </li>
            ))}
          </ul>
        )}
      </Row>
    </div>
  );
}

function Row({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="grid gap-x-6 gap-y-1 border-t border-hair py-3 sm:grid-cols-[150px_minmax(0,1fr)]">
      <h2 className="num pt-1 text-[17px] leading-tight">{title}</h2>
      <div className="min-w-0">{children}</div>
    </section>
  );
}
