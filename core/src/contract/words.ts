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
export const shapes = ['constant', 'linear', 'quadratic', 'constant-power'] as const;
export const controls = ['none', 'outlet-damper', 'inlet-vane', 'throttle-valve', 'bypass', 'on-off'] as const;
export const mountings = ['floor', 'wall', 'ceiling', 'shaft-up', 'shaft-down', 'flange'] as const;
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

export type Machine = (typeof machines)[number];
