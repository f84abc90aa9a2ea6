import {
  type demandBases,
  cableArrangements,
  cableInsulations,
  cableMethods,
  cableTemperatures,
  conductorMaterials,
  conduits,
  boardMountings,
  capacitorPlaces,
  coordinations,
  earthings,
  guardRoles,
  relayKinds,
  restarts,
  undervoltages,
  deviceNames,
  protectiveDevices,
  raceways,
  wires,
  controls as controlWords,
  demandKinds,
  dirts,
  brakingKinds,
  brakingNames,
  driveCommands,
  driveCoolings,
  driveDuties,
  driveHousings,
  driveInputs,
  filterNames,
  outputFilters,
  rectifierNames,
  rectifiers,
  driveLocations,
  errands,
  houseRules,
  machines as machineWords,
  methodNames,
  methods as methodWords,
  brakePlaces,
  mountings as mountingWords,
  rotations as rotationWords,
  plateConditions,
  practiceIds,
  rankings as rankingWords,
  shapes as shapeWords,
  supplyKinds,
  speedNeeds,
  trainKinds,
  waters,
  type RuleId,
} from '@pilgrim/core/vocabulary';
import type { Json } from '$lib/desk/paths';

/**
 * The words of the open formats as a person chooses among them: which there are stands in core, how they read stands
 * here.
 */
type Options = readonly (readonly [Json, string])[];

const spoken = (word: string): string => word.replaceAll('-', ' ');
const plain = (words: readonly string[]): Options => words.map((w) => [w, spoken(w)]);
const said = <const W extends string>(words: readonly W[], names: Readonly<Record<W, string>>): Options =>
  words.map((w) => [w, names[w]]);
/** Inside a sentence a method is no heading. */
const lower = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);

export const errandWords = said(errands, {
  failed: 'a motor failed: what to buy',
  new: 'a new machine',
  overloaded: 'a motor runs hot or trips',
  wasteful: 'it runs, but wastes energy',
  read: 'only to read a plate',
  control: 'a starter or drive for the motor that is there',
});
export const practices = said(practiceIds, { 'north-america': 'North America', iec: 'IEC' });
/** A legible plate is what is taken where nothing is said. */
export const conditions = plain(plateConditions.filter((c) => c !== 'legible'));
export const machines = plain(machineWords);
export const shapes = said(shapeWords, {
  constant: 'constant torque',
  linear: 'torque with speed',
  quadratic: 'torque with the square of speed',
  'constant-power': 'constant power',
});
export const demands = said(demandKinds, {
  power: 'power is known',
  torque: 'torque is known',
  pull: 'pull at a radius',
  pump: 'pump: flow and head',
  fan: 'fan: flow and pressure',
  conveyor: 'conveyor: material moved',
  hoist: 'hoist: mass and speed',
  measured: 'read at the running motor',
});
export const trains = plain(trainKinds);
export const dirt = plain(dirts);
export const water = plain(waters);
export const yesNo: Options = [
  [true, 'yes'],
  [false, 'no'],
];
export const mountings = said(mountingWords, {
  floor: 'on its feet',
  wall: 'on a wall',
  ceiling: 'from the ceiling',
  'shaft-up': 'shaft up',
  'shaft-down': 'shaft down',
  flange: 'on its flange',
});
export const rotations = said(rotationWords, {
  either: 'either way',
  clockwise: 'clockwise',
  anticlockwise: 'anticlockwise',
});
export const brakes = said(brakePlaces, {
  none: 'no brake is needed',
  motor: 'a brake on the motor',
  machine: 'a brake on the machine',
});
export const housings = said(driveHousings, { wall: 'on the wall', cabinet: 'in a cabinet' });
export const hangs = plain(driveLocations);
export const needs = said(speedNeeds, { fixed: 'always full speed', variable: 'speed varies' });
export const controls = said(controlWords, {
  none: 'not controlled',
  'outlet-damper': 'outlet damper',
  'inlet-vane': 'inlet vanes',
  'throttle-valve': 'throttling valve',
  bypass: 'bypass',
  'on-off': 'switched on and off',
  'two-speed': 'two speeds',
});
export const bases = [
  ['kW', 'the kilowatt'],
  ['kVA', 'the kilovolt-ampere'],
] as const satisfies readonly (readonly [(typeof demandBases)[number], string])[];
export const tariffDays = [
  ['all', 'every day'],
  ['weekdays', 'Monday to Friday'],
  ['weekend', 'Saturday and Sunday'],
] as const;
export const sources = said(supplyKinds, {
  transformer: 'transformer',
  generator: 'generator',
  'fault-level': 'known fault current',
  stiff: 'stiff',
});
/** The devices of a practice: the first four are North America's. */
export const devicesOf = (practice: unknown): Options =>
  (practice === 'north-america' ? protectiveDevices.slice(0, 4) : protectiveDevices.slice(4)).map((d) => [
    d,
    deviceNames[d],
  ]);
export const coordination = said(coordinations, {
  'type-1': 'type 1: contactor and relay may be ruined',
  'type-2': 'type 2: back in service at once',
  total: 'total: emergency duty',
  none: 'none',
});
export const earthing = said(earthings, {
  solid: 'earthed solidly',
  'high-resistance': 'earthed through a resistor',
  isolated: 'not earthed',
  corner: 'a corner of the delta earthed',
  unknown: 'not known',
});
export const capacitorPlace = said(capacitorPlaces, { motor: 'at the motor', board: 'at the board' });
export const guardRole = said(guardRoles, {
  general: 'general purpose',
  process: 'a process that must be back at once',
  emergency: 'emergency or life safety',
});
export const boardMounting = said(boardMountings, { fixed: 'fixed', withdrawable: 'withdrawable' });
export const driveDuty = said(driveDuties, {
  normal: 'normal: 110 % for a minute',
  heavy: 'heavy: 150 % for a minute',
});
export const rectifier = said(rectifiers, rectifierNames);
export const outputFilter = said(outputFilters, { ...filterNames, none: 'none' });
export const driveCooling = said(driveCoolings, {
  self: 'the fan on its shaft',
  blower: 'a blower of its own',
  none: 'no fan: rated without',
});
export const brakingKind = said(brakingKinds, brakingNames);
export const driveInput = said(driveInputs, { 'three-phase': 'three phases', 'single-phase': 'one phase' });
export const driveCommand = said(driveCommands, {
  keypad: 'keypad',
  contacts: 'contacts',
  analogue: 'analogue signal',
  network: 'network',
});
export const relayKind = plain(relayKinds);
export const restart = said(restarts, { manual: 'by hand', automatic: 'by itself' });
export const undervoltage = said(undervoltages, {
  release: 'it drops out and stays off',
  'ride-through': 'it rides through',
});
export const conductorMaterial = plain(conductorMaterials);
export const raceway = said(raceways, {
  'conduit-steel': 'in steel conduit',
  'conduit-pvc': 'in PVC conduit',
  tray: 'in a tray',
  'free-air': 'single, in free air',
  buried: 'in the ground',
});
export const cableInsulation = said(cableInsulations, { pvc: 'PVC, 70 °C', xlpe: 'XLPE, 90 °C' });
export const layings = said(cableMethods, {
  A1: 'A1: cores in conduit in an insulating wall',
  A2: 'A2: cable in conduit in an insulating wall',
  B1: 'B1: cores in conduit on a wall',
  B2: 'B2: cable in conduit on a wall',
  C: 'C: clipped to a wall',
  D1: 'D1: in a duct in the ground',
  D2: 'D2: in the ground',
  E: 'E: on a tray, in free air',
  F: 'F: single cores on a tray',
});
export const arrangements = said(cableArrangements, {
  bunched: 'bunched',
  'single-layer': 'side by side, touching',
  spaced: 'a diameter apart',
});
export const temperatures = said(cableTemperatures, { '60 degC': '60 °C', '75 degC': '75 °C', '90 degC': '90 °C' });
export const wire: Options = wires.map((w) => [w, w]);
export const conduit = said(conduits, { emt: 'EMT', rmc: 'RMC', pvc: 'PVC' });
export const methods: Options = methodWords.map((m) => [m, lower(methodNames[m])]);
export const rankings = said(rankingWords, {
  'life-cycle': 'life-cycle cost',
  price: 'price',
  efficiency: 'efficiency',
  shelf: 'delivery: own shelf first',
  margin: 'margin',
});

/** What a house rule may be, and what holds where the case says nothing. */
export const houseRule = (id: RuleId): { readonly options: Options; readonly none: string } => ({
  options: houseRules[id].alternatives.map((value) => [value, String(value)]),
  none: String(houseRules[id].value),
});
