import * as z from 'zod';

/** A field that holds a number once it reads as one, and until then what was typed. */
export const typed = z.union([z.number(), z.string()]);
