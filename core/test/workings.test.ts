import { beforeEach, describe, expect, it } from 'vitest';
import {
  any,
  assumed,
  byRule,
  cite,
  commonPractice,
  field,
  isFigureId,
  law,
  positive,
  prescribed,
  q,
  remembered,
  Workings,
} from '@pilgrim/core';

const source = commonPractice('a test');
const product = law({
  name: 'Torque from a force and an arm',
  symbol: 'T',
  unit: 'N.m',
  takes: { F: 'N', r: 'm' },
  formula: 'F * r',
  source,
  range: { F: any, r: [0, 10] },
  of: ({ F, r }) => F * r,
});
const through = law({
  name: 'Torque behind a ratio',
  symbol: 'T_m',
  unit: 'N.m',
  takes: { T: 'N.m', i: '1' },
  formula: 'T / i',
  source,
  range: { T: any, i: positive },
  estimate: { basis: 'a test', band: [0.9, 1.2] },
  of: ({ T, i }) => T / i,
});

describe('workings', () => {
  let w: Workings;
  beforeEach(() => {
    w = new Workings();
    w.enter('load');
  });

  it('record a figure with its inputs, where they came from, and its station', () => {
    w.figure('load.torque', product, {
      F: field('load.demand.force', q(100, 'N'), '100 N'),
      r: field('load.demand.radius', q(0.5, 'm')),
    });
    expect(w.figures.get('load.torque')).toMatchObject({
      value: 50,
      unit: 'N.m',
      formula: 'F * r',
      inputs: { F: 100, r: 0.5 },
      origins: {
        F: { field: 'load.demand.force', text: '100 N' },
        r: { field: 'load.demand.radius', text: '0.500 m (1.64 ft)' },
      },
      estimate: false,
      band: null,
      assumed: [],
      station: 'load',
    });
  });
  it('a missing input makes no figure, and its field is wanted at this station only', () => {
    const made = w.figure('load.torque', product, {
      F: field<'N'>('load.demand.force', undefined),
      r: field('load.demand.radius', q(1, 'm')),
    });
    expect(made).toBeUndefined();
    expect(w.figures.size).toBe(0);
    expect(w.wanted('load')).toEqual(['load.demand.force']);
    expect(w.wanted('plate')).toEqual([]);
  });
  it('a figure built on one that was never asked for is a gap with both names', () => {
    const i = field('load.train.ratio', q(2, '1'));
    expect(w.figure('load.motorTorque', through, { T: 'load.torque', i })).toBeUndefined();
    expect(w.wanted('load')).toEqual([]);
    expect(w.findings.map((f) => [f.id, f.level, f.text])).toEqual([
      ['case.gap', 'note', 'Torque at the motor is not computed: nothing gives torque at the machine.'],
    ]);
  });
  it('one that was asked for, or told to be missing, makes no gap', () => {
    const i = field('load.train.ratio', q(2, '1'));
    w.figure('load.torque', product, { F: field<'N'>('load.demand.force', undefined), r: field('r', q(1, 'm')) });
    w.without('plate.ratedTorque');
    expect(w.figure('load.motorTorque', through, { T: 'load.torque', i })).toBeUndefined();
    expect(w.figure('load.motorTorque', through, { T: 'plate.ratedTorque', i })).toBeUndefined();
    expect(w.findings).toEqual([]);
  });
  it('an input beyond what the law holds for makes the figure, and a note once', () => {
    const F = field('load.demand.force', q(1, 'N'));
    w.figure('load.torque', product, { F, r: field('load.demand.radius', q(10, 'm')) });
    expect(w.findings).toEqual([]);
    w.figure('load.torque', product, { F, r: field('load.demand.radius', q(10.1, 'm')) });
    w.figure('load.motorTorque', product, { F, r: field('load.demand.radius', q(10.1, 'm')) });
    expect(w.value('load.torque')).toBe(10.1);
    expect(w.findings.map((f) => [f.id, f.level, f.fields])).toEqual([
      ['case.beyond-law', 'note', ['load.demand.radius']],
    ]);
    expect(w.findings[0]?.text).toBe(
      'Torque from a force and an arm holds for r 0 m (0 ft) to 10.0 m (32.8 ft); here it is 10.1 m (33.1 ft).',
    );
  });
  it('what is assumed follows into everything built on it, once', () => {
    w.figure('load.torque', product, {
      F: assumed('load.demand.force', q(10, 'N'), 'nobody measured'),
      r: field('r', q(1, 'm')),
    });
    w.figure('load.motorTorque', through, { T: 'load.torque', i: field('load.train.ratio', q(2, '1')) });
    w.figure('load.breakawayTorque', through, {
      T: 'load.motorTorque',
      i: assumed('load.breakaway', q(1, '1'), 'usual'),
    });
    expect(w.figures.get('load.breakawayTorque')?.assumed).toEqual([
      { field: 'load.demand.force', value: 10, why: 'nobody measured' },
      { field: 'load.breakaway', value: 1, why: 'usual' },
    ]);
  });
  it('an estimate carries its band, and what rests on an estimate is one', () => {
    w.figure('load.torque', product, { F: field('a', q(10, 'N')), r: field('b', q(1, 'm')) });
    w.figure('load.motorTorque', through, { T: 'load.torque', i: field('c', q(2, '1')) });
    expect(w.figures.get('load.motorTorque')).toMatchObject({ estimate: true, band: [4.5, 6] });
    const exact = law({ ...through, estimate: undefined, method: undefined, of: ({ T, i }) => T / i });
    w.figure('load.breakawayTorque', exact, { T: 'load.motorTorque', i: field('d', q(1, '1')) });
    expect(w.figures.get('load.breakawayTorque')).toMatchObject({ estimate: true, band: null });
  });
  it('what has no finite answer becomes a finding with its fields, not a number', () => {
    w.figure('load.torque', product, { F: field('a', q(10, 'N')), r: field('b', q(1, 'm')) });
    expect(
      w.figure('load.motorTorque', through, { T: 'load.torque', i: field('load.train.ratio', q(0, '1')) }),
    ).toBeUndefined();
    expect(w.findings).toMatchObject([
      { id: 'case.impossible', level: 'caution', fields: ['load.train.ratio'], station: 'load' },
    ]);
  });
  it('house rules and tables are named as origins', () => {
    const table = remembered('code', 'A code', '2023', 'Table 1');
    w.figure('load.motorTorque', through, { T: prescribed(q(10, 'N.m'), table), i: byRule('sizingMargin', q(2, '1')) });
    expect(w.figures.get('load.motorTorque')?.origins).toMatchObject({
      T: { source: table },
      i: { rule: 'sizingMargin' },
    });
    expect(cite(table)).toBe('A code, 2023, Table 1 (from memory)');
  });
  it('what was given is marked so', () => {
    w.given('load.power', 'W', 'load.demand.power', q(1000, 'W'));
    expect(w.figures.get('load.power')).toMatchObject({
      formula: 'given',
      source: { kind: 'given' },
      origins: { value: { field: 'load.demand.power' } },
    });
    expect(w.given('load.speed', 'rpm', 'load.demand.speed', undefined)).toBeUndefined();
    expect(w.wanted('load')).toEqual(['load.demand.speed']);
  });
});

describe('figure ids', () => {
  it('are known, those of each starting method included', () => {
    for (const id of ['load.torque', 'start.direct.peakCurrent', 'start.soft-starter.voltageDip'])
      expect(isFigureId(id)).toBe(true);
    for (const id of ['load.torq', 'start.sideways.peakCurrent', 'start.direct.nothing', 'start', ''])
      expect(isFigureId(id)).toBe(false);
  });
});
