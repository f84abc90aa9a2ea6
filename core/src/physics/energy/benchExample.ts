import { tabled, type FlowBenchSpec } from './flowBench';
import { typicalMachine } from './flowMachine';

/**
 * A small blower on a motor much too large for it, 415 V and 50 Hz, four poles: it draws 0.83 A and some 130 W
 * whatever its damper does. The circuit is fitted to those no-load readings; how they split is common practice.
 */
export const smallBlower: FlowBenchSpec = {
  circuit: {
    poles: 4,
    voltage: 415,
    frequency: 50,
    statorResistance: 12,
    statorReactance: 20,
    rotorResistance: 13,
    rotorReactance: 20,
    magnetisingReactance: 268,
    coreLoss: 100,
    frictionLoss: 7,
    ratedSpeed: 1395,
  },
  inertia: 0.012,
  power: 12,
  speed: 1496,
  ...tabled(typicalMachine(0.5)),
  held: 0,
};

/** What was read there: W on the line however the damper stood; W to the motor on a drive at so many Hz, same flow. */
export const smallBlowerRead = {
  throttled: [128, 132],
  current: 0.83,
  powerFactor: 0.22,
  driven: 20,
  frequency: 28,
  /** How far the split of so small a motor's losses may be off, as a share of the watts on the drive. */
  band: 0.3,
} as const;
