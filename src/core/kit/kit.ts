/** Spoons of different countries. Source: NIST Handbook 44 for the US spoon; metric and Australian are common practice. */
export const spoonSets = {
  us: { name: 'US', teaspoonMl: 4.93, tablespoonMl: 14.79 },
  metric: { name: 'Metric', teaspoonMl: 5, tablespoonMl: 15 },
  australian: { name: 'Australian', teaspoonMl: 5, tablespoonMl: 20 },
} as const;

export type SpoonSetId = keyof typeof spoonSets;
export const spoonSetIds = Object.keys(spoonSets) as [SpoonSetId, ...SpoonSetId[]];

/** How a spoon of instant coffee is filled. */
export const coffeeSpoons = {
  level: { name: 'Level, powder' },
  rounded: { name: 'Rounded' },
  heaped: { name: 'Heaped granules' },
} as const;
export type CoffeeSpoonId = keyof typeof coffeeSpoons;
export const coffeeSpoonIds = Object.keys(coffeeSpoons) as [CoffeeSpoonId, ...CoffeeSpoonId[]];

/** Where readings come from: typed by hand, or the stand-in that ships with the app. */
export const instrumentIds = ['none', 'simulated'] as const;
export type InstrumentId = (typeof instrumentIds)[number];

/** The user's measuring things, with what they can show; see kitSchema for ranges. */
export interface Kit {
  scaleStepG: number;
  scaleMostG: number;
  cylinderStepMl: number;
  thermometerStepC: number;
  thermometerLowC: number;
  thermometerHighC: number;
  spoons: SpoonSetId;
  /** Left out where it was not said. */
  coffeeSpoon?: CoffeeSpoonId | undefined;
  scale: InstrumentId;
  probe: InstrumentId;
  /** What a level teaspoon of the user's own holds, g, by substance; left out where none was weighed. */
  teaspoons?: Record<string, number> | undefined;
  /** Left out where nobody has one. */
  densitometer?: InstrumentId | undefined;
}

/** An ordinary kitchen: a scale to the gram, a measuring jug, a jam thermometer. */
export const ordinaryKit: Kit = {
  scaleStepG: 1,
  scaleMostG: 5000,
  cylinderStepMl: 5,
  thermometerStepC: 0.5,
  thermometerLowC: 0,
  thermometerHighC: 100,
  spoons: 'metric',
  scale: 'none',
  probe: 'none',
};
