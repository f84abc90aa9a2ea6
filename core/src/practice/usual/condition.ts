import { commonPractice, remembered, type Support } from '../../contract';

/** Upper ends of zones A, B and C of vibration velocity, mm/s RMS: above the last is zone D. */
export type Zones = readonly [a: number, b: number, c: number];

const iso20816 = remembered('standard', 'ISO 20816-3', '2022', 'Annex A, zone limits, velocity on bearing housings');
const small = remembered('standard', 'ISO 10816-1', '1995', 'Annex B, class I: small machines up to 15 kW');

/** Zones for a machine of a rating in W on its support; a rating nobody knows is taken as medium. */
export function vibrationZones(power: number | undefined, support: Support) {
  if (power !== undefined && power <= 15_000)
    return { zones: [0.71, 1.8, 4.5] satisfies Zones, machine: 'up to 15 kW', source: small };
  const rigid = support === 'rigid';
  return power !== undefined && power > 300_000
    ? { zones: (rigid ? [2.3, 4.5, 7.1] : [3.5, 7.1, 11]) satisfies Zones, machine: 'above 300 kW', source: iso20816 }
    : {
        zones: (rigid ? [1.4, 2.8, 4.5] : [2.3, 4.5, 7.1]) satisfies Zones,
        machine: 'of 15 to 300 kW',
        source: iso20816,
      };
}

/** Least insulation resistance at 40 °C of a low-voltage winding, ohm; what an index means nothing above, ohm. */
export const leastInsulation = {
  ohm: 5e6,
  indexless: 5e9,
  index: 2,
  /** Of a winding of class A, which leaks more from the first. */
  indexOfA: 1.5,
  source: remembered(
    'standard',
    'IEEE 43',
    '2013',
    'least resistance 5 MΩ to 1 kV, index 2 (class A 1.5), without meaning over 5 GΩ',
  ),
  /** Fall against an earlier test, both at 40 °C, that is a trend and not a damp morning. */
  fall: 0.5,
  fallSource: commonPractice('Insulation at 40 °C fallen to half of an earlier test: find out why'),
  /** W below which a random-wound motor's polarisation index is seldom worth its ten minutes. */
  smallWinding: 75_000,
} as const;

/** Shares of unbalance of voltages and currents at which it is looked into, and beyond which a motor is not run. */
export const unbalanceLimits = {
  voltage: { look: 0.01, stop: 0.05 },
  voltageSource: remembered('standard', 'NEMA MG 1', '2016', '14.36: derate above 1 %, do not run above 5 %'),
  current: 0.1,
  currentSource: commonPractice('Currents more than 10 % apart: supply or winding; move the leads on to tell'),
  /** A phase below this share of the mean is dead: the motor runs on two. */
  dead: 0.1,
} as const;

/** How far a voltage may be off the plate's, as a share. */
export const voltageLimit = {
  off: 0.1,
  source: remembered('standard', 'NEMA MG 1 and IEC 60034-1', '2016 and 2022', '12.44 and 7.3: ±10 %, zone B'),
} as const;

/** A clamp's own error, and how much above a plate an overload relay lets a motor run for ever. */
export const currentLimit = { meter: 0.03, relay: 1.25 } as const;

/** Bearing housing in °C, its rise against an earlier round at the same air in K, and noise in dB above the first. */
export const bearingLimits = {
  hot: 80,
  tooHot: 95,
  rise: 10,
  noise: { grease: 8, damage: 16 },
  source: commonPractice('Bearing housing to 80 °C, not above 95 °C; 10 K or 8 dB above earlier rounds is looked into'),
} as const;

/** Months between checks while nothing is wrong; of vibration by its zone. */
export const checkMonths = {
  electrical: 6,
  insulation: 12,
  insulationFalling: 3,
  vibration: { A: 6, B: 3, C: 1 },
  source: commonPractice(
    'Rounds: vibration half-yearly to monthly by its zone, insulation yearly, currents half-yearly',
  ),
} as const;

/** K of the relubrication interval, and what shortens it. */
export const greaseHabit = {
  ball: 10,
  roller: 5,
  /** Housing in °C from which every `halving` K halves the interval. */
  warm: 70,
  halving: 15,
  upright: 0.5,
  dirty: 0.5,
  /** Hours after which grease is old whatever ran: two years. */
  oldest: 17_500,
  source: commonPractice(
    'Greasing: half the time upright, half in dirt, half for each 15 K of the housing above 70 °C',
  ),
} as const;
