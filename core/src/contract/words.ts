import type { StationName } from './stations';

/** Words of the open formats for what stands at a position. */
export const machines = [
  'conveyor',
  'screw-conveyor',
  'bucket-elevator',
  'hoist',
  'centrifugal-pump',
  'deep-well-pump',
  'displacement-pump',
  'centrifugal-fan',
  'blower',
  'compressor',
  'mixer',
  'crusher',
  'mill',
  'machine-tool',
  'winder',
  'other',
] as const;
/** Machines that do harm, or little work, turned the wrong way; a hoist and a machine tool turn both ways. */
export const rotates = (machine: Machine | undefined): boolean =>
  machine !== undefined && !['hoist', 'machine-tool', 'winder', 'other'].includes(machine);

export const shapes = ['constant', 'linear', 'quadratic', 'constant-power'] as const;
export const controls = [
  'none',
  'outlet-damper',
  'inlet-vane',
  'throttle-valve',
  'bypass',
  'on-off',
  'two-speed',
] as const;
/** What demand is billed by. */
export const demandBases = ['kW', 'kVA'] as const;
export type FlowControl = (typeof controls)[number];
export const mountings = ['floor', 'wall', 'ceiling', 'shaft-up', 'shaft-down', 'flange'] as const;
/** Which way the machine must turn, seen from the motor's drive end. */
export const rotations = ['either', 'clockwise', 'anticlockwise'] as const;
/** Where a brake holds the machine. */
export const brakePlaces = ['none', 'motor', 'machine'] as const;
export type BrakePlace = (typeof brakePlaces)[number];
export const trainKinds = ['direct', 'belt', 'gearbox', 'chain'] as const;
export const causes = [
  'overheated',
  'phase-burnt',
  'drive-end-bearing',
  'opposite-end-bearing',
  'fluted-race',
  'water',
  'dust',
  'shaft-broken',
  'insulation-punctured',
  'unknown',
] as const;

/** What brings an engineer here; `control`: a starter or drive for the motor that is there. */
export const errands = ['failed', 'new', 'overloaded', 'wasteful', 'read', 'control'] as const;
export type Errand = (typeof errands)[number];

const plateAsks = ['plate.power', 'plate.voltage', 'plate.current', 'plate.speed', 'plate.frequency'] as const;
/** What is asked first for each errand, in its order; never what is true. */
export const errandAsks: Readonly<Record<Errand, readonly string[]>> = {
  failed: [...plateAsks, 'plate.frame', 'plate.enclosure', 'supply.voltage', 'history.causes', 'load.machine'],
  new: ['load.machine', 'load.demand', 'supply.voltage', 'speed.need', 'load.inertia', 'place.dirt', 'place.water'],
  overloaded: [...plateAsks, 'supply.voltage', 'load.demand', 'history.causes', 'place.ambient', 'load.startsPerHour'],
  wasteful: [...plateAsks, 'load.demand', 'speed.control', 'speed.profile', 'money.energyPrice', 'supply.voltage'],
  read: [...plateAsks, 'supply.voltage', 'supply.frequency'],
  control: [...plateAsks, 'supply.voltage', 'load.machine', 'speed.need', 'load.overload', 'place.cable.length'],
};

/** The stops that matter for each errand, in the order they are walked; the others can be visited all the same. */
export const errandStops: Readonly<Record<Errand, readonly StationName[]>> = {
  failed: ['plate', 'place', 'load', 'choice', 'start', 'guard', 'sheet'],
  new: ['load', 'place', 'speed', 'choice', 'start', 'guard', 'drive', 'cost', 'sheet'],
  overloaded: ['plate', 'load', 'place', 'start'],
  wasteful: ['plate', 'load', 'speed', 'choice', 'cost', 'drive', 'sheet'],
  read: ['plate'],
  control: ['plate', 'load', 'speed', 'place', 'choice', 'start', 'guard', 'drive', 'sheet'],
};

/** Who can answer: whoever sells or makes the motor, who supplies the power, or who stands at the machine. */
export const askedOf = ['maker', 'power', 'site'] as const;

export const practiceIds = ['north-america', 'iec'] as const;
/** The system each practice writes in. */
export const practiceUnits = { 'north-america': 'us', iec: 'si' } as const;
export const plateConditions = ['legible', 'missing', 'burnt'] as const;
export const dirts = ['clean', 'dusty', 'dirty'] as const;
export const waters = ['dry', 'drips', 'splash', 'washdown', 'outdoor'] as const;
export const driveLocations = ['indoor-clean', 'at-the-motor', 'outdoor'] as const;
export const driveHousings = ['wall', 'cabinet'] as const;

/** Short-circuit devices: the first four of North America, the others of IEC. */
const deviceWords = {
  'inverse-time-breaker': 'inverse-time breaker',
  'instantaneous-breaker': 'instantaneous breaker',
  'dual-element-fuse': 'time-delay fuse',
  'single-element-fuse': 'non-time-delay fuse',
  breaker: 'circuit-breaker',
  'motor-breaker': 'motor circuit-breaker',
  'fuse-gg': 'fuse gG',
  'fuse-am': 'fuse aM',
} as const;
export type ProtectiveDevice = keyof typeof deviceWords;
export const deviceNames: Readonly<Record<ProtectiveDevice, string>> = deviceWords;
export const protectiveDevices = Object.keys(deviceWords) as [ProtectiveDevice, ...ProtectiveDevice[]];
/** What hangs on the motor: by it the coordination after a fault is proposed. */
export const guardRoles = ['general', 'process', 'emergency'] as const;
export const boardMountings = ['fixed', 'withdrawable'] as const;
export const relayKinds = ['thermal', 'electronic'] as const;
/** How the source's star point is held. */
export const earthings = ['solid', 'high-resistance', 'isolated', 'corner', 'unknown'] as const;
export type Earthing = (typeof earthings)[number];
/** Where a power-factor capacitor sits. */
export const capacitorPlaces = ['motor', 'board'] as const;
export const driveDuties = ['normal', 'heavy'] as const;
export type DriveDuty = (typeof driveDuties)[number];
export const rectifiers = ['six-pulse', 'twelve-pulse', 'eighteen-pulse', 'active'] as const;
export type RectifierKind = (typeof rectifiers)[number];
export const rectifierNames = {
  'six-pulse': 'six-pulse bridge',
  'twelve-pulse': 'twelve-pulse bridge',
  'eighteen-pulse': 'eighteen-pulse bridge',
  active: 'active front end',
} as const satisfies Record<RectifierKind, string>;
/** How a machine stands: stiffer or softer than it is heavy (ISO 20816-3's rigid and flexible support). */
export const supports = ['rigid', 'flexible'] as const;
export type Support = (typeof supports)[number];

/** What a winding's insulation is made with; its resistance falls with temperature accordingly. */
export const insulationKinds = ['thermosetting', 'thermoplastic'] as const;
export type InsulationKind = (typeof insulationKinds)[number];

export const outputFilters = ['none', 'reactor', 'dv-dt', 'sine'] as const;
export type OutputFilter = (typeof outputFilters)[number];
export const filterNames = {
  none: 'bare output',
  reactor: 'output reactor',
  'dv-dt': 'dV/dt filter',
  sine: 'sine filter',
} as const satisfies Record<OutputFilter, string>;
export const driveCoolings = ['self', 'blower', 'none'] as const;
export const brakingKinds = ['coast', 'ramp', 'dc', 'chopper', 'regenerative'] as const;
export type BrakingKind = (typeof brakingKinds)[number];
export const brakingNames: Readonly<Record<BrakingKind, string>> = {
  coast: 'by itself',
  ramp: 'by a ramp',
  dc: 'by direct current',
  chopper: 'by chopper and resistor',
  regenerative: 'back into the supply',
};
export const driveInputs = ['three-phase', 'single-phase'] as const;
export const driveCommands = ['keypad', 'contacts', 'analogue', 'network'] as const;
export const restarts = ['manual', 'automatic'] as const;
export const undervoltages = ['release', 'ride-through'] as const;
/** What else may watch over a motor, each proposed with its reason and kept as decided. */
export const watches = {
  phaseLoss: 'Phase loss and unbalance',
  jam: 'Jam',
  underload: 'Underload',
  windingSensor: 'Winding sensor and its relay',
  spaceHeater: 'Space heater',
  earthFault: 'Earth fault',
  emergencyStop: 'Emergency stop',
  safeTorqueOff: 'Safe torque off',
} as const;
export type Watch = keyof typeof watches;
export const coordinations = ['type-1', 'type-2', 'total', 'none'] as const;
export const relayPlaces = ['line', 'delta'] as const;
export const conductorMaterials = ['copper', 'aluminium'] as const;
export const raceways = ['conduit-steel', 'conduit-pvc', 'tray', 'free-air', 'buried'] as const;
export const cableInsulations = ['pvc', 'xlpe'] as const;
export const cableMethods = ['A1', 'A2', 'B1', 'B2', 'C', 'D1', 'D2', 'E', 'F'] as const;
export const cableArrangements = ['bunched', 'single-layer', 'spaced'] as const;
export const cableTemperatures = ['60 degC', '75 degC', '90 degC'] as const;
export const wires = ['THHN', 'THWN', 'THWN-2', 'XHHW', 'XHHW-2'] as const;
export const conduits = ['emt', 'rmc', 'pvc'] as const;
export const speedNeeds = ['fixed', 'variable'] as const;
export const demandKinds = ['power', 'torque', 'pull', 'pump', 'fan', 'conveyor', 'hoist', 'measured'] as const;
export const supplyKinds = ['transformer', 'generator', 'fault-level', 'stiff'] as const;
export const rankings = ['life-cycle', 'price', 'efficiency', 'shelf', 'margin'] as const;

export type Machine = (typeof machines)[number];
