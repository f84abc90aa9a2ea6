import {
  controls as controlWords,
  demandKinds,
  dirts,
  driveHousings,
  driveLocations,
  errands,
  houseRules,
  machines as machineWords,
  methodNames,
  methods as methodWords,
  mountings as mountingWords,
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
});
export const sources = said(supplyKinds, {
  transformer: 'transformer',
  generator: 'generator',
  'fault-level': 'known fault current',
  stiff: 'stiff',
});
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
