import { model, remembered } from '../../contract';
import { any, law, notNegative } from '../../law';
import type { Run } from './run';

const simulated = model(
  'Run-up simulated',
  'J dω/dt = T − T_load with the circuit in its steady state at every speed; Dormand and Prince 5(4), steps by error',
);
const heat = remembered(
  'standard',
  'IEC 60079-7',
  '2015',
  'time t_E: stall time as the measure of what a start may heat',
);

/** Laws of one simulated start: each reads off the run that these inputs led to. */
export const runLaws = (r: Run) => ({
  time: law({
    name: 'Run-up time',
    symbol: 't_a',
    unit: 's',
    takes: { J: 'kg.m2', T_L: 'N.m', U: 'V' },
    range: { J: notNegative, T_L: any, U: notNegative },
    formula: 'time to 95 % of the final speed, from J dw/dt = T(w, U) - T_load(w)',
    source: simulated,
    method: true,
    of: () => r.time ?? NaN,
  }),
  peakCurrent: law({
    name: 'Largest line current',
    symbol: 'I_pk',
    unit: 'A',
    takes: { U: 'V', Z_s: 'ohm', Z_LR: 'ohm' },
    range: { U: notNegative, Z_s: notNegative, Z_LR: notNegative },
    formula:
      'largest symmetrical line current over the run-up: source, starter, cable and circuit in series at every speed',
    source: simulated,
    method: true,
    of: () => r.peakLine,
  }),
  dip: law({
    name: 'Largest voltage dip at the bus',
    symbol: 'dip',
    unit: '1',
    takes: { U: 'V', Z_s: 'ohm', I_pk: 'A' },
    range: { U: notNegative, Z_s: notNegative, I_pk: notNegative },
    formula: '1 - least bus voltage over the run-up / U',
    source: simulated,
    method: true,
    of: () => r.dip,
  }),
  terminalDip: law({
    name: 'Largest voltage dip at the terminals',
    symbol: 'dip_m',
    unit: '1',
    takes: { U: 'V', Z_s: 'ohm' },
    range: { U: notNegative, Z_s: notNegative },
    formula: '1 - least terminal voltage on the full line / U',
    source: simulated,
    method: true,
    of: () => r.terminalDip,
  }),
  cableDrop: law({
    name: 'Largest voltage lost on the cable',
    symbol: 'du_c',
    unit: '1',
    takes: { U: 'V', Z_s: 'ohm' },
    range: { U: notNegative, Z_s: notNegative },
    formula: 'most of bus voltage - terminal voltage on the full line / U',
    source: simulated,
    method: true,
    of: () => r.cableDrop,
  }),
  margin: law({
    name: 'Least torque to spare',
    symbol: 'T_a',
    unit: 'N.m',
    takes: { T_L: 'N.m', U: 'V' },
    range: { T_L: any, U: notNegative },
    formula: 'least of motor torque - load torque up to 95 % of the final speed',
    source: simulated,
    method: true,
    of: () => r.margin,
  }),
  thermalUse: law({
    name: 'Share of the permitted heating, hot',
    symbol: 'h',
    unit: '1',
    takes: { J: 'kg.m2', t_E: 's' },
    range: { J: notNegative, t_E: notNegative },
    formula: 'the larger of integral of I^2 dt / (I_LR^2 * t_E) and rotor heat / (air-gap power at standstill * t_E)',
    source: heat,
    method: true,
    of: () => Math.max(r.statorHeat, r.rotorHeat),
  }),
});
