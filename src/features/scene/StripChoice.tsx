'use client';

import type { ComponentProps } from 'react';
import type { SceneGreys } from '@/core/densitometry/scene';
import { PictureChoice } from './PictureChoice';
import { ScenePicture } from './ScenePicture';

interface StripOption<T extends string> {
  value: T;
  name: string;
  greys: SceneGreys;
  rim?: number;
}

type StripChoiceProps<T extends string> = Omit<ComponentProps<typeof PictureChoice<T>>, 'options'> & {
  options: readonly StripOption<T>[];
};

/** One of a few strips of the scene: the one that looks like the negative on the table. */
export function StripChoice<T extends string>({ options, ...rest }: StripChoiceProps<T>) {
  return (
    <PictureChoice
      {...rest}
      options={options.map(({ value, name, greys, rim }) => ({
        value,
        name,
        picture: <ScenePicture greys={greys} rim={rim} />,
      }))}
    />
  );
}
