import { commonPractice, remembered, type DriveDuty } from '../../contract';

/** Overload for a minute every ten that a drive of a duty gives, and for three seconds. */
export const dutyOverload = {
  normal: { minute: 1.1, seconds: 1.5 },
  heavy: { minute: 1.5, seconds: 1.8 },
  source: commonPractice(
    'Normal duty 110 % and heavy duty 150 % for 60 s every 10 min; 150 and 180 % for 3 s; the heavy duty ' +
      'of a size is the normal duty of the one below',
  ),
} as const satisfies Record<DriveDuty, unknown> & { source: unknown };

/** Line voltages up to which a class of drives reaches, the voltage at which its chopper works, and its highest bus. */
const classes = [
  { to: 250, name: '208–240 V', chopper: 390, trip: 410 },
  { to: 505, name: '380–480 V', chopper: 780, trip: 820 },
  { to: 620, name: '525–600 V', chopper: 975, trip: 1030 },
  { to: 760, name: '690 V', chopper: 1120, trip: 1180 },
] as const;

/** Class of drives for a line voltage in V; undefined where none of low voltage reaches. */
export const driveClass = (line: number) => classes.find((c) => line <= c.to);
export const driveClassSource = commonPractice(
  'Drives by voltage class; a chopper works at about 390, 780, 975 and 1120 V of the DC bus; it trips 20 to 60 V above',
);

/** Choke a generic drive brings, as an equivalent share at its input, by its motor's power in W. */
export const usualChoke = (power: number): number => (power > 7600 ? 0.045 : 0);
/** An input reactor that a house rule buys with every drive, as a share. */
export const houseReactor = 0.03;
export const usualChokeSource = commonPractice(
  'To about 7.5 kW (10 hp) without a choke, beyond one of 4 to 5 % built in',
);

/**
 * DC capacitor of a generic drive: F for each W of its motor's power on a line of 400 V, else in inverse proportion to
 * the square of the voltage.
 */
export const usualCapacitance = (power: number, line: number): number => ((40e-6 * power) / 1000) * (400 / line) ** 2;
export const capacitanceSource = commonPractice('About 40 µF for each kW at 400 V; 15 to 75 as drives are made');

/** s: an edge of today's transistors where nobody says. */
export const usualEdge = { value: 1e-7, source: commonPractice('Edges of today’s drives rise in 0.05 to 0.2 µs') };
/** m/s of a wave on a motor cable, and Ω of its surge impedance. */
export const cableWave = {
  speed: 150e6,
  surge: 80,
  source: commonPractice('Waves travel at about 150 m/µs on motor cables; surge impedance 50 to 100 Ω'),
};
/** Ω beside a coil by which its core damps fast waves (common practice: some hundred to some thousand). */
export const coreDamping = 1000;
/** Shares of rated impedance of the coils of output filters; s of a dV/dt filter's own edge. */
export const filterCoils = { reactor: 0.03, 'dv-dt': 0.01, edge: 2e-6 } as const;
/** Crest behind a sine filter ÷ crest of the line voltage. */
export const sineCrest = 1.1;
export const filterSource = commonPractice(
  'Output reactor 3 %, dV/dt filter 1 % with a capacitor for an edge of 2 µs, sine filter 10 % of ripple',
);

/** Share of what passes that a filter behind a drive loses (common practice). */
export const filterLoss = { none: 0, reactor: 0.005, 'dv-dt': 0.005, sine: 0.01 } as const;
/** Volts lost in an output filter at rated load, as a share. */
export const filterDrop = { none: 0, reactor: 0.02, 'dv-dt': 0.01, sine: 0.08 } as const;

/** K by which air through a panel may warm. */
export const panelRise = 10;

/** What is left of a three-phase drive's rating on one phase. */
export const singlePhaseShare = {
  value: 0.5,
  source: commonPractice('A three-phase drive fed by one phase carries about half: its rectifier and capacitor heat'),
};

/** Drive current ÷ motor current beyond which its protection of the motor is too coarse. */
export const farOversize = {
  value: 3,
  source: commonPractice('A drive of more than about three times the motor’s current cannot be set to guard it'),
};

/** Braking ÷ motor torque that the losses of motor and drive take without a resistor, as a share of rated power. */
export const lossBraking = {
  value: 0.12,
  source: commonPractice('Without a chopper a drive brakes with about 10 to 15 % of rated power: losses take it'),
};

/**
 * Shaft height in mm from which an insulated bearing is usual besides a ring (a frame size earlier where it turns at
 * `fast` r/min or more), and from which also a choke; r/min below which the grease film hardly parts ball and race.
 */
export const bearingSteps = {
  insulated: 280,
  insulatedFast: 250,
  choke: 355,
  fast: 2800,
  slow: 100,
  source: remembered('standard', 'IEC TS 60034-25', '2022', 'bearing currents: measures by frame, from memory'),
};

/** Harmonic currents of an active front end behind its filter, ÷ fundamental. */
export const activeSpectrum: readonly (readonly [order: number, share: number])[] = [
  [5, 0.022],
  [7, 0.018],
  [11, 0.012],
  [13, 0.01],
  [17, 0.008],
  [19, 0.007],
  [23, 0.005],
  [25, 0.005],
];
export const activeSource = commonPractice('An active front end behind its filter: 3 to 5 % in all');

/**
 * Reactance of the transformer of a twelve- or eighteen-pulse rectifier, and by how much the voltages of its bridges
 * differ.
 */
export const multiPulse = {
  transformer: 0.03,
  unbalance: { 'twelve-pulse': 0.015, 'eighteen-pulse': 0.005 },
  source: commonPractice('Twelve- and eighteen-pulse: 3 % transformer, bridges 1.5 and 0.5 % apart'),
} as const;

/** Torque of bearings and seals at any speed ÷ rated torque. */
export const bearingDrag = {
  value: 0.01,
  source: commonPractice('Bearings and seals hold back with 1 % of rated torque'),
};

/** Carrier of a generic drive where nobody says, Hz: quiet enough, and its rating holds (common practice). */
export const usualCarrier = 4000;

/** Share of its rating a drive keeps at a carrier in Hz: whole to 4 kHz, then 4 % less for each kHz, at least half. */
export const carrierShare = (carrier: number): number =>
  Math.max(0.5, Math.min(1, 1 - (0.04 * (carrier - usualCarrier)) / 1000));
export const carrierSource = commonPractice('Beyond a carrier of 4 kHz a drive loses about 4 % of its rating a kHz');
