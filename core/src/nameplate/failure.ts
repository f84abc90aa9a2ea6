import type { LikelyCause } from '../case';
import type { causes as seenList, Method } from '../contract';

export type Seen = (typeof seenList)[number];

/** What the case says of the place and work in which the motor died. Undefined: nobody said. */
export interface Circumstances {
  readonly method?: Method;
  readonly belt: boolean;
  readonly variableSpeed: boolean;
  /** Load on the old motor as a share of its rating. */
  readonly loading?: number;
  /** Share of rating left after heat, height and unbalance. */
  readonly derating?: number;
  readonly unbalance?: number;
  readonly startsPerHour?: number;
  readonly cable?: number;
  readonly lowestSpeed?: number;
  readonly supplyOverPlate?: number;
  readonly open: boolean;
  readonly wet: boolean;
  readonly dirty: boolean;
  readonly jams: boolean;
  readonly years?: number;
}

export const causeIds = [
  'overload',
  'heat',
  'blocked-cooling',
  'low-voltage',
  'slow-on-drive',
  'frequent-starts',
  'single-phasing',
  'unbalance',
  'belt-pull',
  'misalignment',
  'lubrication',
  'bearing-currents',
  'contamination',
  'water-ingress',
  'pulses',
  'surge',
  'shock',
  'age',
] as const;
export type CauseId = (typeof causeIds)[number];

/** Requirements that a failure adds to the choice. */
export const lessonIds = [
  'history-reserve',
  'history-enclosure',
  'history-cooling',
  'history-starts',
  'history-phase-loss',
  'history-bearing',
  'history-shaft-current',
  'history-pulses',
  'history-shock',
] as const;
export type LessonId = (typeof lessonIds)[number];

export interface Lesson {
  readonly requirement: LessonId;
  readonly cause: CauseId;
  readonly text: string;
}

/** What each sight speaks for, as weights; the trade's own knowledge of failed motors, common practice. */
const speaksFor: Readonly<Record<Seen, Partial<Record<CauseId, number>>>> = {
  overheated: {
    overload: 3,
    heat: 2,
    'blocked-cooling': 2,
    'low-voltage': 1,
    'slow-on-drive': 1,
    'frequent-starts': 1,
    age: 1,
  },
  'phase-burnt': { 'single-phasing': 4, unbalance: 2, surge: 1 },
  'drive-end-bearing': { 'belt-pull': 2, misalignment: 2, lubrication: 2, contamination: 1, 'bearing-currents': 1 },
  'opposite-end-bearing': { lubrication: 3, contamination: 1, 'bearing-currents': 1, misalignment: 1 },
  'fluted-race': { 'bearing-currents': 5 },
  water: { 'water-ingress': 5 },
  dust: { 'blocked-cooling': 4, contamination: 2 },
  'shaft-broken': { shock: 3, misalignment: 2, 'belt-pull': 2 },
  'insulation-punctured': { pulses: 3, surge: 2 },
  unknown: {},
};

interface Knowledge {
  readonly title: string;
  readonly remedy: string;
  readonly lesson?: LessonId;
  /** What in the case speaks for it (+) or against it (−), with the reason. */
  readonly evidence: (c: Circumstances) => readonly (readonly [number, string])[];
}

const percent = (x: number): string => `${(x * 100).toFixed(0)} %`;
const when = (holds: boolean, weight: number, reason: string): readonly (readonly [number, string])[] =>
  holds ? [[weight, reason]] : [];
const fedByDrive = (c: Circumstances): readonly (readonly [number, string])[] => [
  ...when(c.method === 'drive', 2, 'It ran on a drive.'),
  ...when(c.method !== undefined && c.method !== 'drive', -6, 'It did not run on a drive.'),
];

const knowledge: Readonly<Record<CauseId, Knowledge>> = {
  overload: {
    title: 'Overload',
    remedy: 'Measure the load; take a rating that carries it, and set the overload from the plate current.',
    lesson: 'history-reserve',
    evidence: (c) => [
      ...when((c.loading ?? 0) > 1, 3, `The load is ${percent(c.loading ?? 0)} of its rating.`),
      ...when(
        c.loading !== undefined && c.loading < 0.8,
        -2,
        `The load is only ${percent(c.loading ?? 0)} of its rating.`,
      ),
      ...when(c.jams, 1, 'The machine is known to be overloaded at times.'),
    ],
  },
  heat: {
    title: 'Hot or high place',
    remedy: 'Take a rating that is enough after derating, a higher insulation class, or cooler air.',
    lesson: 'history-reserve',
    evidence: (c) => [
      ...when(
        (c.derating ?? 1) < 0.995,
        2,
        `Heat, height and unbalance leave ${percent(c.derating ?? 1)} of the rating.`,
      ),
      ...when(c.derating !== undefined && c.derating >= 0.995, -1, 'The place asks no derating.'),
    ],
  },
  'blocked-cooling': {
    title: 'Cooling blocked by dirt',
    remedy: 'An enclosure that keeps the dirt out of the winding, and a fan cover that is cleaned.',
    lesson: 'history-enclosure',
    evidence: (c) => [
      ...when(c.open && c.dirty, 3, 'An open motor stood in a dirty place.'),
      ...when(c.dirty && !c.open, 1, 'The place is dirty.'),
      ...when(!c.dirty, -1, 'The place is clean.'),
    ],
  },
  'low-voltage': {
    title: 'Voltage too low',
    remedy: 'A motor for the voltage that is there.',
    evidence: (c) => [
      ...when(
        (c.supplyOverPlate ?? 1) < 0.95,
        3,
        `The supply is ${percent(c.supplyOverPlate ?? 1)} of the plate's voltage.`,
      ),
      ...when(c.supplyOverPlate !== undefined && c.supplyOverPlate >= 0.97, -2, 'The supply has the plate’s voltage.'),
    ],
  },
  'slow-on-drive': {
    title: 'Slow running on its own fan',
    remedy: 'Inverter duty with enough turndown, a blower of its own, or another ratio.',
    lesson: 'history-cooling',
    evidence: (c) => [
      ...fedByDrive(c),
      ...when(
        c.method === 'drive' && (c.lowestSpeed ?? 1) < 0.5,
        2,
        `It was run down to ${percent(c.lowestSpeed ?? 1)} speed.`,
      ),
      ...when(!c.variableSpeed, -3, 'Its speed does not vary.'),
    ],
  },
  'frequent-starts': {
    title: 'Too many starts',
    remedy: 'Start it less often, or by a drive or soft starter.',
    lesson: 'history-starts',
    evidence: (c) => [
      ...when((c.startsPerHour ?? 0) > 6, 3, `${c.startsPerHour} starts an hour.`),
      ...when(c.startsPerHour !== undefined && c.startsPerHour <= 4, -2, `Only ${c.startsPerHour} starts an hour.`),
    ],
  },
  'single-phasing': {
    title: 'One phase lost',
    remedy: 'Find the fuse, contact or terminal that failed; protect against phase loss.',
    lesson: 'history-phase-loss',
    evidence: (c) => when(c.method === 'drive', -2, 'A drive’s output seldom loses one phase unnoticed.'),
  },
  unbalance: {
    title: 'Unbalanced voltages',
    remedy: 'Measure the three voltages at the terminals under load.',
    evidence: (c) => [
      ...when((c.unbalance ?? 0) >= 0.02, 3, `${((c.unbalance ?? 0) * 100).toFixed(1)} % unbalance.`),
      ...when(c.unbalance !== undefined && c.unbalance < 0.01, -2, 'The voltages are balanced.'),
    ],
  },
  'belt-pull': {
    title: 'Belt pulling too hard',
    remedy: 'A roller bearing at the drive end, larger sheaves, and tension by gauge.',
    lesson: 'history-bearing',
    evidence: (c) => [
      ...when(c.belt, 2, 'A belt pulls on the shaft.'),
      ...when(!c.belt, -4, 'No belt is on the shaft.'),
    ],
  },
  misalignment: {
    title: 'Misalignment or vibration',
    remedy: 'Align by dial or laser, check the base for a soft foot.',
    evidence: (c) => when(c.belt, -1, 'A belt forgives some of it.'),
  },
  lubrication: {
    title: 'Wrong, too much or too little grease',
    remedy: 'Grease as the plate says, by amount and interval.',
    evidence: (c) => when((c.years ?? 0) > 5, 1, `It ran ${(c.years ?? 0).toFixed(0)} years.`),
  },
  'bearing-currents': {
    title: 'Currents through the bearings',
    remedy: 'A shaft grounding ring; on larger motors an insulated bearing at the opposite end as well.',
    lesson: 'history-shaft-current',
    evidence: fedByDrive,
  },
  contamination: {
    title: 'Dirt or water in the bearings',
    remedy: 'Better seals, a better enclosure.',
    lesson: 'history-enclosure',
    evidence: (c) => when(c.dirty || c.wet, 1, 'The place is dirty or wet.'),
  },
  'water-ingress': {
    title: 'Water inside',
    remedy: 'An enclosure for the water that is there, drains at the lowest point, heaters where it condenses.',
    lesson: 'history-enclosure',
    evidence: (c) => [
      ...when(c.wet, 2, 'Water reaches the motor.'),
      ...when(!c.wet, 0, 'The place is said to be dry: condensation, or it is not.'),
    ],
  },
  pulses: {
    title: 'Voltage pulses of the drive',
    remedy: 'A winding made for pulses, a short cable, or a dV/dt or sine filter.',
    lesson: 'history-pulses',
    evidence: (c) => [
      ...fedByDrive(c),
      ...when(c.method === 'drive' && (c.cable ?? 0) > 15, 2, `The cable is ${c.cable} m long.`),
    ],
  },
  surge: {
    title: 'A surge, or a winding fault',
    remedy: 'Ask the repair shop where in the coil it failed; look for switching or lightning surges.',
    evidence: () => [],
  },
  shock: {
    title: 'Shock at start or in the machine',
    remedy: 'A start without a jolt; look for jams and reversals.',
    lesson: 'history-shock',
    evidence: (c) => [
      ...when(
        c.method === 'direct' || c.method === 'star-delta',
        1,
        `It was started ${c.method === 'direct' ? 'direct' : 'star-delta, and the changeover jolts'}.`,
      ),
      ...when(c.method === 'soft-starter' || c.method === 'drive', -2, 'It was started gently.'),
      ...when(c.jams, 2, 'The machine is known to be overloaded at times.'),
    ],
  },
  age: {
    title: 'Age',
    remedy: 'Nothing but a new motor.',
    evidence: (c) => [
      ...when((c.years ?? 0) >= 12, 3, `It ran ${(c.years ?? 0).toFixed(0)} years.`),
      ...when((c.years ?? 99) < 8, -3, `It ran only ${(c.years ?? 0).toFixed(1)} years.`),
    ],
  },
};

const sight: Readonly<Record<Seen, string>> = {
  overheated: 'Burnt evenly',
  'phase-burnt': 'One phase burnt',
  'drive-end-bearing': 'Bearing at the drive end failed',
  'opposite-end-bearing': 'Bearing at the opposite end failed',
  'fluted-race': 'Fluted race',
  water: 'Water inside',
  dust: 'Packed with dust',
  'shaft-broken': 'Shaft broken',
  'insulation-punctured': 'Insulation punctured in the first turns',
  unknown: 'Not known',
};

/** What of the circumstances speaks for a cause nobody saw, strongest first, each with its cause. */
export function suspects(c: Circumstances): string[] {
  return causeIds
    .flatMap((id) => knowledge[id].evidence(c).map(([weight, reason]) => ({ id, weight, reason })))
    .filter(({ weight }) => weight > 0)
    .toSorted((a, b) => b.weight - a.weight)
    .map(({ id, reason }) => `${knowledge[id].title}: ${reason}`);
}

/**
 * Likely causes, most likely first, with what speaks for and against each; and what the new choice must do
 * differently.
 */
export function learn(
  seen: readonly Seen[],
  c: Circumstances,
): { readonly causes: readonly LikelyCause[]; readonly lessons: readonly Lesson[] } {
  const scored = causeIds
    .map((id) => {
      const sights = seen.filter((s) => (speaksFor[s][id] ?? 0) > 0);
      const base = sights.reduce((sum, s) => sum + (speaksFor[s][id] ?? 0), 0);
      const evidence = knowledge[id].evidence(c);
      const score = base + evidence.reduce((sum, [weight]) => sum + weight, 0);
      return { id, base, score, sights, evidence };
    })
    .filter((x) => x.base > 0 && x.score > -2)
    .toSorted((a, b) => b.score - a.score || causeIds.indexOf(a.id) - causeIds.indexOf(b.id));
  const causes = scored.map(({ id, score, sights, evidence }): LikelyCause => {
    const { title, remedy } = knowledge[id];
    return {
      cause: id,
      title,
      likelihood: score >= 4 ? 'likely' : score >= 2 ? 'possible' : 'unlikely',
      reasons: [...sights.map((s) => `${sight[s]}.`), ...evidence.map(([, reason]) => reason)],
      remedy,
    };
  });
  const lessons = scored
    .filter((x) => x.score >= 3)
    .flatMap(({ id }): Lesson[] => {
      const { lesson, remedy, title } = knowledge[id];
      return lesson ? [{ requirement: lesson, cause: id, text: `${title}: ${remedy}` }] : [];
    });
  return { causes, lessons: [...new Map(lessons.toReversed().map((l) => [l.requirement, l])).values()].toReversed() };
}
