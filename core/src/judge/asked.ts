import type { MotorColumns } from '../catalogue';
import type { Outcome } from '../case';
import type { Method } from '../contract';
import { lessonIds } from '../nameplate';

/** What is asked of the motor itself. */
const motorRequirements = [
  'power',
  'peak-torque',
  'voltage',
  'frequency',
  'speed',
  'enclosure',
  'construction',
  'frame',
  'interchange',
  'shaft',
  'bearings',
  'efficiency-floor',
  'noise',
] as const;

/** What is asked of how it is started and fed. */
export const methodRequirements = [
  'speed-control',
  'supply',
  'starting-torque',
  'run-up',
  'leads',
  'turndown',
  'winding',
  'insulation',
  'service-factor',
] as const;

/** What is asked of a motor with its starter, and what the old one's failure taught. */
export const requirements = [...motorRequirements, ...methodRequirements, ...lessonIds] as const;
export type Requirement = (typeof requirements)[number];

/** Outcome codes in the columns; `none` where a requirement does not apply. */
export const code = { none: -1, pass: 0, caution: 1, fail: 2 } as const;

/** How many columns an entry has. */
export const R = requirements.length;
const at = new Map<Requirement, number>(requirements.map((r, i) => [r, i]));
/** Column of a requirement within an entry. */
export const columnOf = (r: Requirement): number => at.get(r) ?? 0;

/** Columns by name, so that the loop over candidates looks nothing up. */
export const col = {
  power: columnOf('power'),
  peakTorque: columnOf('peak-torque'),
  voltage: columnOf('voltage'),
  frequency: columnOf('frequency'),
  speed: columnOf('speed'),
  enclosure: columnOf('enclosure'),
  construction: columnOf('construction'),
  frame: columnOf('frame'),
  interchange: columnOf('interchange'),
  shaft: columnOf('shaft'),
  bearings: columnOf('bearings'),
  efficiencyFloor: columnOf('efficiency-floor'),
  noise: columnOf('noise'),
  speedControl: columnOf('speed-control'),
  supply: columnOf('supply'),
  startingTorque: columnOf('starting-torque'),
  runUp: columnOf('run-up'),
  leads: columnOf('leads'),
  turndown: columnOf('turndown'),
  winding: columnOf('winding'),
  insulation: columnOf('insulation'),
  serviceFactor: columnOf('service-factor'),
} as const;

const most = 1e6;

/** Where the outcomes and margins of one entry are written; moved on from entry to entry. */
export class Slate {
  offset = 0;
  constructor(
    readonly outcomes: Int8Array,
    readonly margins: Float64Array,
  ) {}
  set(column: number, outcome: number, margin: number): void {
    this.outcomes[this.offset + column] = outcome;
    // A margin is a share left over: beyond a millionfold it says no more, and where it is none the sums have overflowed.
    this.margins[this.offset + column] = margin > most ? most : margin >= -most ? margin : -most;
  }
}

/** All outcomes and margins as columns: entry (motor × methods + method) × requirements + requirement. */
export interface Judged {
  readonly columns: MotorColumns;
  readonly methods: readonly Method[];
  readonly outcomes: Int8Array;
  readonly margins: Float64Array;
  /** Worst outcome of each motor × method, waived requirements left out. */
  readonly worst: Int8Array;
  readonly lifeCycle: Float64Array;
  /** What entries of the same outcome are ranked by, least first; for failing ones, how far they are off. */
  readonly rank: Float64Array;
  /** The best entry (motor × methods + method) of each motor, best first. */
  readonly order: Int32Array;
}

/** Where no standard draws a line: common practice, written in docs/decisions.md. */
export const lines = {
  /** Speed off the wanted one on the line: passes within, cautioned within. */
  speedOff: 0.05,
  speedOffCaution: 0.1,
  /** Starting torque over breakaway below which a pass is only a caution. */
  startReserve: 0.1,
  /** Speed on a drive as a share of rated, outside which motor and frequency hardly fit each other. */
  driveFrom: 0.7,
  driveTo: 1.06,
  driveNever: 2,
  /** Some suppliers limit starting current from about here, W. */
  unlimitedStart: 4000,
  /** Pull-up torque short of the load by more than this stalls: standards' least lies at most about a third under usual cages. */
  pullUpNever: -0.33,
  /** Breakdown torque over the highest torque below which a pass is only a caution. */
  peakReserve: 0.25,
  /** Belts above this power want a roller bearing at the drive end, W. */
  rollerBearing: 45_000,
  /** At and above this line voltage an unknown pulse rating is never assumed good, V. */
  pulsesNeverAssumed: 550,
} as const;

export const outcomeOf = (n: number): Outcome => (n >= code.fail ? 'fail' : n === code.caution ? 'caution' : 'pass');

/** Outcome and margin of one requirement for an entry; undefined where it does not apply. */
export function entryVerdict(
  judged: Judged,
  entry: number,
  requirement: Requirement,
): { readonly outcome: Outcome; readonly margin: number } | undefined {
  const index = entry * R + columnOf(requirement);
  const outcome = judged.outcomes[index] ?? code.none;
  return outcome === code.none ? undefined : { outcome: outcomeOf(outcome), margin: judged.margins[index] ?? 0 };
}
