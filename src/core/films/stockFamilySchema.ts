import * as z from 'zod';

/** What a class of film is expected to do before anything is known about the roll itself. */
export const stockFamilySchema = z.object({
  name: z.string(),
  /** One line that tells a user whether this is their film. */
  hint: z.string(),
  /** Largest average gradient that long development reaches, Ḡ per log10 H; fresh film. */
  maximumGradient: z.number().positive(),
  /** Minutes to the scan gradient in a metol–hydroquinone borax developer, stock strength, 20 °C. */
  referenceTimeMin: z.number().positive(),
  /** Base + fog density of fresh film, D. */
  freshBaseFogD: z.number().positive(),
  /** Largest density of the fresh film, D. */
  maximumDensityD: z.number().positive(),
  /** Speed lost per room-year, stops. */
  speedLossStopsPerYear: z.number().nonnegative(),
  /** Fog gained per room-year while it is small, D. */
  fogDPerYear: z.number().nonnegative(),
  /** Loss of ln(maximum gradient) per room-year. */
  gradientLossPerYear: z.number().nonnegative(),
  /** Nominal speed offered when a user has none to give, ISO. */
  usualIso: z.number().positive(),
  /** Black carbon backing that must come off in the run. */
  remJet: z.boolean(),
  /**
   * How much wider than one family this is, where the family is not known: sd of ln(time), of ln(maximum gradient), of ln of the
   * ageing rates, and of the fresh base + fog, D. All 0 for a family.
   */
  doubt: z.object({
    timeLnSd: z.number().nonnegative(),
    gradientLnSd: z.number().nonnegative(),
    ageingLnSd: z.number().nonnegative(),
    freshFogSdD: z.number().nonnegative(),
  }),
});

export type StockFamily = z.infer<typeof stockFamilySchema>;
