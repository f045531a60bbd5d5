import { CONTINUOUS, STAND_LN_SD, bursts, movementRate, sameMovement, seconds, turns, type Movement } from './movement';

/** A known way of agitating: how fast it makes development, and when the hands move. */
export interface AgitationSchool {
  name: string;
  rateFactor: number;
  /** Spread of ln(rate factor). */
  rateLnSd: number;
  movement: Movement;
}

/** Spread of ln(rate) between hands that follow the same school. Source: our estimate. */
const HANDS_LN_SD = 0.03;

const school = (name: string, rateFactor: number, rateLnSd: number, movement: Movement): AgitationSchool => ({
  name,
  rateFactor,
  rateLnSd,
  movement,
});

/** Agitation schools. Patterns: common practice, no source. Rate factors: our estimate. */
export const agitationSchools = {
  'ten-each-minute': school(
    'First 30 s, then 10 s each minute',
    1,
    HANDS_LN_SD,
    bursts(seconds(30), [60, 'start', seconds(10)]),
  ),
  'last-ten-each-minute': school(
    'First 30 s, then the last 10 s of each minute',
    1,
    HANDS_LN_SD,
    bursts(seconds(30), [60, 'end', seconds(10)]),
  ),
  'four-each-minute': school(
    '4 inversions at the top of each minute',
    1,
    HANDS_LN_SD,
    bursts(turns(4), [60, 'start', turns(4)]),
  ),
  'ten-then-three': school(
    'First minute 10 inversions, then 3 a minute',
    1,
    HANDS_LN_SD,
    bursts(turns(10), [60, 'start', turns(3)]),
  ),
  'minute-then-four': school(
    'Whole first minute, then 4 a minute',
    1,
    HANDS_LN_SD,
    bursts(seconds(60), [60, 'start', turns(4)]),
  ),
  'five-each-half-minute': school(
    '5 inversions every 30 s',
    1.06,
    HANDS_LN_SD,
    bursts(turns(5), [30, 'start', turns(5)]),
  ),
  'five-seconds-each-half-minute': school(
    '5 s every 30 s, none at the start',
    1.06,
    HANDS_LN_SD,
    bursts(null, [30, 'start', seconds(5)]),
  ),
  twirl: school(
    'Spindle twirl each minute',
    0.97,
    HANDS_LN_SD,
    bursts(seconds(30), [60, 'start', seconds(10)], { gesture: 'twirl' }),
  ),
  'every-three-minutes': school(
    'First 30 s, then 10 s every 3 minutes',
    0.85,
    0.08,
    bursts(seconds(30), [180, 'start', seconds(10)]),
  ),
  continuous: school('Continuous rotation', 1.18, HANDS_LN_SD, CONTINUOUS),
  gentle: school(
    'Gentle only: 2 slow inversions each minute',
    0.95,
    0.05,
    bursts(turns(2), [60, 'start', turns(2)], { gesture: 'invert-slowly' }),
  ),
  stand: school(
    'Stand, one wake-up at half time',
    0.36,
    STAND_LN_SD,
    bursts(seconds(30), null, { gesture: 'invert-slowly', wakeUp: { atMin: null, amount: seconds(10) } }),
  ),
} as const satisfies Record<string, AgitationSchool>;

/**
 * How fast a movement makes development: as its school does where it is one, else by the share of time in motion.
 * @param movement how the tank is moved
 */
export function rateOfMovement(movement: Movement): Pick<AgitationSchool, 'rateFactor' | 'rateLnSd'> {
  const same = Object.values(agitationSchools).find(({ movement: of }) => sameMovement(of, movement));
  return same ?? movementRate(movement);
}

export type AgitationSchoolId = keyof typeof agitationSchools;
export const agitationSchoolIds = Object.keys(agitationSchools) as [AgitationSchoolId, ...AgitationSchoolId[]];
