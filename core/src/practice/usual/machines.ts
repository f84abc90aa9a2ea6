import { commonPractice, type Machine, type Source } from '../../contract';

interface MachineFacts {
  readonly shape: 'constant' | 'linear' | 'quadratic' | 'constant-power';
  readonly breakaway: number;
  /** Inertia of the load seen from the motor ÷ the motor's own. */
  readonly inertia: number;
  /** Seconds within which it must be at speed, where the machine itself asks for it. */
  readonly startTime?: number;
  /** What the catalogue has not, or what is to be said when such a machine's motor is bought. */
  readonly ask?: string;
}

/** Where shapes and breakaways of machines come from. */
export const machineSource: Source = commonPractice('Torque shape and breakaway usual for the machine');

const constant = (breakaway: number, inertia: number): MachineFacts => ({ shape: 'constant', breakaway, inertia });
const quadratic = (breakaway: number, inertia: number): MachineFacts => ({ shape: 'quadratic', breakaway, inertia });

const machineFacts: Readonly<Record<Machine, MachineFacts>> = {
  conveyor: constant(1.5, 2),
  'screw-conveyor': constant(1.6, 0.5),
  'bucket-elevator': constant(1.5, 2),
  hoist: {
    ...constant(1.2, 0.3),
    ask:
      'A hoist wants a brake motor that holds the load when power goes; switched on the line it is rated S4 for its ' +
      'starts, on a drive it lowers into a braking resistor. Lifting persons is for a competent person under the ' +
      'lift rules, not for this sheet.',
  },
  'centrifugal-pump': quadratic(0.2, 0.3),
  // Its thrust bearing has no water film before it turns.
  'deep-well-pump': {
    ...quadratic(0.3, 0.2),
    startTime: 4,
    ask:
      'A line-shaft pump stands under a vertical hollow-shaft motor with a thrust bearing and a ratchet against ' +
      'turning back: state the thrust. A submersible is its own kind: thrust, at speed within 3 to 4 s, a sine ' +
      'filter on a drive; take it from its maker.',
  },
  'displacement-pump': constant(1.4, 0.3),
  'centrifugal-fan': quadratic(0.15, 10),
  blower: quadratic(0.15, 8),
  compressor: {
    ...constant(1.3, 1.5),
    ask: 'A compressor starts unloaded: see that the unloader works, or give its breakaway loaded.',
  },
  mixer: constant(1.4, 1),
  crusher: {
    ...constant(1.5, 6),
    ask: 'A crusher is overloaded by habit: give overload ratio and time, for they size motor and drive.',
  },
  mill: constant(1.4, 6),
  // They start idling: spindle and reel break away long before they work.
  'machine-tool': { shape: 'constant-power', breakaway: 0.3, inertia: 1 },
  winder: { shape: 'constant-power', breakaway: 0.3, inertia: 1 },
  other: constant(1.5, 1),
};

/** Shape and breakaway usual for a machine; of an unnamed one, constant torque. */
export const factsOf = (machine: Machine | undefined): MachineFacts => machineFacts[machine ?? 'other'];
