import type { SceneGreys, ToneId } from '@/core/densitometry/scene';
import { classes } from '@/ui/classes';

/** The hut under its mountains, as shapes from back to front, each in one tone. */
const shapes: readonly (readonly [tone: ToneId, path: string])[] = [
  ['sky', 'M0 0H240V120H0Z'],
  ['cloud', 'M22 26A12 9 0 0 1 44 18 15 11 0 0 1 72 24 10 8 0 0 1 76 38H24A9 7 0 0 1 22 26Z'],
  ['cloud', 'M150 20A10 7 0 0 1 168 14 13 9 0 0 1 192 20 9 7 0 0 1 194 31H152A8 6 0 0 1 150 20Z'],
  ['farMountain', 'M0 74 34 44 62 66 96 32 134 68 166 42 204 70 240 50V92H0Z'],
  ['snow', 'M96 32 84 44 92 47 97 42 105 48 110 45Z'],
  ['snow', 'M34 44 26 51 33 54 38 50 43 51Z'],
  ['snow', 'M166 42 157 50 165 53 172 49 175 49Z'],
  ['forest', 'M0 80 18 72 36 80 58 73 84 82 120 76 240 84V100H0Z'],
  ['meadow', 'M0 88H240V120H0Z'],
  ['path', 'M108 120 96 98H104L132 120Z'],
  ['wall', 'M64 68H98V98H64Z'],
  ['shadedWall', 'M98 68H120V94L98 98Z'],
  ['roof', 'M58 70 80 52 126 52 124 68 100 70 82 56Z'],
  ['roof', 'M58 70 81 52 104 70Z'],
  ['doorway', 'M76 80H86V98H76Z'],
  ['doorway', 'M104 76H113V84L104 85Z'],
  ['snow', 'M66 76H72V83H66Z'],
  ['doorway', 'M184 40H187V106H184Z'],
  ['doorway', 'M185 46 168 104H169.4L185.5 49Z'],
  ['doorway', 'M186 46 203 104H201.6L185.5 49Z'],
  ['rock', 'M200 108 208 100 222 101 228 110 218 114 204 113Z'],
  ['rock', 'M20 112 30 104 42 108 40 114 26 116Z'],
];

interface ScenePictureProps {
  greys: SceneGreys;
  /** What the picture shows, in words; empty where words stand beside it. */
  label?: string;
  className?: string;
  /** Grey of the rim around the frame: base and fog. */
  rim?: number;
}

/** The scene in given greys. Greys are what they are: no light of the bench changes them, save that Safe takes all but red. */
export function ScenePicture({ greys, label = '', className, rim }: ScenePictureProps) {
  const grey = (value: number): string => `rgb(${value} ${value} ${value})`;
  return (
    <svg
      viewBox={rim === undefined ? '0 0 240 120' : '-8 -8 256 136'}
      className={classes('block w-full', className)}
      role={label === '' ? undefined : 'img'}
      aria-label={label === '' ? undefined : label}
      aria-hidden={label === '' ? true : undefined}
    >
      {rim !== undefined && <rect x="-8" y="-8" width="256" height="136" fill={grey(rim)} />}
      {shapes.map(([tone, path]) => (
        <path key={path} d={path} fill={grey(greys[tone])} />
      ))}
    </svg>
  );
}
