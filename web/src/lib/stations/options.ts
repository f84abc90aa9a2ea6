import type { Json } from '$lib/position/paths';

type Options = readonly (readonly [Json, string])[];
const same = (...values: readonly string[]): Options => values.map((v) => [v, v.replaceAll('-', ' ')]);

export const practices: Options = [
  ['north-america', 'North America'],
  ['iec', 'IEC'],
];
export const conditions = same('missing', 'burnt');
export const machines = same(
  'conveyor', 'screw-conveyor', 'bucket-elevator', 'hoist', 'centrifugal-pump', 'deep-well-pump', 'displacement-pump',
  'centrifugal-fan', 'blower', 'compressor', 'mixer', 'crusher', 'mill', 'machine-tool', 'winder', 'other',
); // prettier-ignore
export const shapes: Options = [
  ['constant', 'constant torque'],
  ['linear', 'torque with speed'],
  ['quadratic', 'torque with the square of speed'],
  ['constant-power', 'constant power'],
];
export const demands: Options = [
  ['power', 'power is known'],
  ['torque', 'torque is known'],
  ['pull', 'pull at a radius'],
  ['pump', 'pump: flow and head'],
  ['fan', 'fan: flow and pressure'],
  ['conveyor', 'conveyor: material moved'],
  ['hoist', 'hoist: mass and speed'],
  ['measured', 'read at the running motor'],
];
export const trains = same('direct', 'belt', 'gearbox', 'chain');
export const dirt = same('clean', 'dusty', 'dirty');
export const water = same('dry', 'drips', 'splash', 'washdown', 'outdoor');
export const yesNo: Options = [
  [true, 'yes'],
  [false, 'no'],
];
export const mountings: Options = [
  ['floor', 'on its feet'],
  ['wall', 'on a wall'],
  ['ceiling', 'from the ceiling'],
  ['shaft-up', 'shaft up'],
  ['shaft-down', 'shaft down'],
  ['flange', 'on its flange'],
];
export const housings: Options = [
  ['wall', 'on the wall'],
  ['cabinet', 'in a cabinet'],
];
export const hangs = same('indoor-clean', 'at-the-motor', 'outdoor');
export const needs: Options = [
  ['fixed', 'always full speed'],
  ['variable', 'speed varies'],
];
export const controls: Options = [
  ['none', 'not controlled'],
  ['outlet-damper', 'outlet damper'],
  ['inlet-vane', 'inlet vanes'],
  ['throttle-valve', 'throttling valve'],
  ['bypass', 'bypass'],
  ['on-off', 'switched on and off'],
];
export const sources: Options = [
  ['transformer', 'transformer'],
  ['generator', 'generator'],
  ['fault-level', 'known fault current'],
  ['stiff', 'stiff'],
];
export const methods: Options = [
  ['direct', 'direct on line'],
  ['star-delta', 'star-delta'],
  ['soft-starter', 'soft starter'],
  ['drive', 'drive'],
  ['autotransformer', 'autotransformer'],
  ['primary-reactor', 'primary reactor'],
];
export const rankings: Options = [
  ['life-cycle', 'life-cycle cost'],
  ['price', 'price'],
  ['efficiency', 'efficiency'],
  ['shelf', 'delivery: own shelf first'],
  ['margin', 'margin'],
];
