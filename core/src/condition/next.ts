import type { Machine } from '../contract';
import { noLoadShare } from '../nameplate';
import { percent } from '../needs';
import { currentLimit, unbalanceLimits, voltageLimit } from '../practice';
import { writeQuantity } from '../quantity';
import type { Way } from '../stations';
import { currents, voltages, type Round } from './round';

/** What to measure next, what each result would say, and which of them the round holds already. */
export interface Step {
  readonly measure: string;
  /** Fields of the round that answer it; empty where it is looked at and not read. */
  readonly fields: readonly string[];
  readonly results: readonly { readonly when: string; readonly means: string }[];
  /** Place in `results` of what was read; null while it is open. */
  readonly found: number | null;
}

const drivenSide: Partial<Record<Machine, string>> = {
  'centrifugal-pump':
    'valve wide open or a burst pipe (a centrifugal pump takes most at most flow), thicker or heavier liquid',
  'centrifugal-fan': 'damper wide open, a door or duct open, cold (heavy) air, belt ratio changed',
  'displacement-pump': 'pressure above the usual: a valve nearly shut, a filter, the relief valve set higher',
  conveyor: 'more or wetter product, a scraper or skirt that binds, a seized idler, belt too tight',
};

/**
 * The order of looking into a motor that draws more than its plate: without stopping it first, cheap before dear.
 * Empty where it does not.
 */
export function nextSteps(round: Round, way: Way | undefined): readonly Step[] {
  const { w } = round.walk;
  const x = w.value('condition.currentShare');
  if (x === undefined || x <= 1 + currentLimit.meter) return [];
  return [
    phases(round),
    volts(round, x),
    plateItself(round),
    power(round),
    speed(round, way),
    driven(round),
    alone(round),
  ];
}

function phases(round: Round): Step {
  const u = round.walk.w.value('condition.currentUnbalance');
  const dead = round.walk.w.findings.some((f) => f.id === 'condition.single-phase');
  return {
    measure: 'Current of all three phases, with a true-RMS clamp closed fully, while it runs as it did',
    fields: [...currents].map((key) => `reading.${key}`),
    results: [
      { when: 'alike within 10 %', means: 'no phase is at fault: supply, plate or load' },
      {
        when: 'one apart by more than 10 %',
        means: 'supply or winding: move all three leads on by one; what stays with the line is the supply’s',
      },
      { when: 'one near nought', means: 'it runs on two phases: stop it, find the fuse, contact or lead' },
    ],
    found: u === undefined ? null : dead ? 2 : u > unbalanceLimits.current ? 1 : 0,
  };
}

function volts(round: Round, x: number): Step {
  const { w } = round.walk;
  const share = w.value('condition.voltageShare');
  const u = w.value('condition.voltageUnbalance');
  const { off } = voltageLimit;
  const lowAt = share !== undefined && share < 0.98 ? `; ${percent(share)} alone makes ${percent(1 / share)}` : '';
  const low = share !== undefined && share < 1 && (share < 1 - off || 1 / share > 1 + (x - 1) / 2);
  return {
    measure: 'Voltage between all three lines at the motor’s terminals, running',
    fields: [...voltages].map((key) => `reading.${key}`),
    results: [
      { when: 'near the plate’s and alike', means: 'not the supply' },
      { when: 'low', means: `a full load draws more amperes in proportion${lowAt}: tap, cable, joints` },
      { when: `more than ${percent(off)} high`, means: 'the iron saturates: the tap, or capacitors left on' },
      { when: 'more than 1 % apart', means: 'makes 6 to 10 % between the currents for each 1 %: fuse, joint, contact' },
    ],
    found:
      share === undefined
        ? null
        : u !== undefined && u > unbalanceLimits.voltage.look
          ? 3
          : low
            ? 1
            : share > 1 + off
              ? 2
              : 0,
  };
}

function plateItself({ walk, plate }: Round): Step {
  const factor = plate.serviceFactor ?? 1;
  const own = walk.w.figures.get('plate.serviceFactorCurrent')?.text ?? `${factor} times the current`;
  return {
    measure: 'The plate again, and the links in the terminal box',
    fields: [],
    results: [
      {
        when: 'another column holds at this voltage or connection',
        means: 'the current was read against the wrong column; look at delta and star, high and low',
      },
      {
        when: 'star where delta belongs',
        means:
          'it carries a third of its torque: it slips, heats and draws too much; correct the links, standing still',
      },
      {
        when:
          factor > 1 ? `the service factor’s amperes (${factor})` : 'rewound, or another motor than the records say',
        means:
          factor > 1
            ? `up to ${own} for short`
            : 'the plate may no longer be this winding’s: ask for the rewinder’s sheet',
      },
    ],
    found: null,
  };
}

function power({ walk: { w } }: Round): Step {
  const share = w.value('load.shareByPower');
  return {
    measure: 'Input power, and with it the power factor',
    fields: ['reading.power'],
    results: [
      { when: 'above the full-load input', means: 'the driven machine asks for more than the rating: see below' },
      {
        when: 'below it',
        means: 'not the load: magnetising current from high voltage, wrong links or a rewind, or harmonics',
      },
    ],
    found: share === undefined ? null : share > 1 ? 0 : 1,
  };
}

function speed({ walk: { w }, reading }: Round, way: Way | undefined): Step {
  const rated = w.value('plate.ratedSpeed');
  const said = rated === undefined ? 'the plate’s speed' : writeQuantity(rated, 'rpm');
  const found = reading.speed === undefined || rated === undefined ? null : reading.speed < rated ? 0 : 1;
  return {
    measure: 'Speed, by strobe or tachometer to 1 r/min',
    fields: ['reading.speed'],
    results: [
      { when: `below ${said}`, means: 'it is overloaded, or the voltage is low' },
      { when: `${said} or above`, means: 'it is not overloaded, whatever the amperes say: voltage, links or winding' },
    ],
    // Slip that disagrees with the way that was taken is said by its own finding.
    found: way === undefined && found === 0 ? null : found,
  };
}

function driven({ walk: { input } }: Round): Step {
  const machine = input.load?.machine;
  const own = machine === undefined ? undefined : drivenSide[machine];
  return {
    measure: 'The driven machine: what is other than when it drew less',
    fields: [],
    results: [
      { when: own ?? 'more flow, product, pressure or tension than usual', means: 'the load: put that right first' },
      { when: 'a hot bearing, a belt too tight, a rubbing part', means: 'friction: stop it and free it' },
      { when: 'nothing; the duty simply grew', means: 'the motor is too small for it: choose one (Load, Choice)' },
    ],
    found: null,
  };
}

function alone({ plate }: Round): Step {
  const k = noLoadShare(plate.poles ?? 4);
  return {
    measure: 'Uncoupled, at a stop that is planned: current of all three phases at no load',
    fields: [],
    results: [
      {
        when: `${percent(0.75 * k)} to ${percent(1.25 * k)} of the plate, alike`,
        means: 'the motor is sound: it is the load',
      },
      { when: 'well above', means: 'the motor: wrong links, a rewind with too few turns, or shorted turns' },
      { when: 'apart', means: 'winding or supply: move the leads on by one to tell' },
    ],
    found: null,
  };
}
