import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { caseSchema, readCase, solve, type CaseText, type Result } from '@pilgrim/core';
import { conveyor, ordinaryPlate } from './cases';

/** Cases with nearly everything said, one for each way of asking. */
const example = JSON.parse(readFileSync('demo/example.case.json', 'utf8')) as CaseText;
const pump: CaseText = {
  format: 'pilgrim.case/1',
  practice: 'iec',
  supply: {
    voltage: '400 V',
    frequency: '50 Hz',
    phases: 3,
    source: { kind: 'generator', rating: '400 kVA', subtransientReactance: 0.15 },
  },
  plate: {
    power: '22 kW',
    voltage: '400/690 V',
    current: '41/24 A',
    speed: '1470 rpm',
    frequency: '50 Hz',
    frame: '180L',
    protection: 'IP55',
    designLetter: 'N',
    efficiency: 0.93,
    powerFactor: 0.84,
  },
  load: {
    machine: 'centrifugal-pump',
    demand: {
      kind: 'pump',
      flow: '150 m3/h',
      head: '30 m',
      staticHead: '8 m',
      efficiency: 0.75,
      density: '1000 kg/m3',
      viscosity: '30 cSt',
      speed: '1450 rpm',
    },
    train: { kind: 'direct' },
    inertia: '0.4 kg.m2',
    startsPerHour: 4,
    maxStartTime: '8 s',
  },
  place: {
    ambient: '45 degC',
    ambientMin: '-20 degC',
    ambientNight: '5 degC',
    altitude: '1500 m',
    dirt: 'dusty',
    water: 'outdoor',
    sun: true,
    vibration: true,
    cable: { length: '70 m' },
    driveLocation: 'outdoor',
  },
  speed: {
    need: 'variable',
    min: 0.5,
    max: 1,
    control: 'throttle-valve',
    profile: [
      { hours: 3000, flow: 1 },
      { hours: 2000, flow: 0.6 },
    ],
  },
  money: { energyPrice: 0.14, installedCost: 4000, carbon: 0.3, years: 10, discountRate: 0.06 },
};
const belt: CaseText = {
  ...conveyor,
  measured: {
    voltage: '460 V',
    noLoadCurrent: '9 A',
    windingResistance: '0.4 ohm',
    speed: '1765 rpm',
    shaftHeight: '160 mm',
  },
  load: {
    machine: 'conveyor',
    demand: {
      kind: 'conveyor',
      massFlow: '200 t/h',
      length: '90 m',
      lift: '12 m',
      movingMass: '40 kg/m',
      friction: 0.03,
      speed: '1.6 m/s',
      drumDiameter: '0.5 m',
      secondary: 1.8,
    },
    train: {
      stages: [
        { kind: 'belt', ratio: 2, efficiency: 0.95 },
        { kind: 'gearbox', ratio: 14, efficiency: 0.93, inertia: '0.02 kg.m2' },
      ],
      sheave: '0.2 m',
    },
    breakaway: 1.6,
    cycle: [
      { duration: '300 s', ratio: 1 },
      { duration: '120 s', ratio: 0.4 },
    ],
  },
  method: 'soft-starter',
  start: { softStarter: { limit: 3.5, ramp: 'torque', time: '8 s', bypass: true } },
};
const running: CaseText = {
  ...conveyor,
  plate: { ...ordinaryPlate, efficiency: 0.93, powerFactor: 0.85, serviceFactor: 1.15, codeLetter: 'G' },
  load: {
    machine: 'centrifugal-fan',
    demand: { kind: 'measured', voltage: '462 V', current: '19 A', power: '11 kW', speed: '1772 rpm' },
  },
  replacement: { plate: { ...ordinaryPlate, current: '48/24 A', speed: '1775 rpm', efficiency: 0.936 } },
  history: {
    installed: '2019-03',
    failed: '2023-06',
    hours: 20000,
    method: 'drive',
    causes: ['fluted-race', 'overheated'],
  },
};
const cases = { example, pump, belt, running };

/** Every place of a case that holds a value, as path. */
function leaves(value: unknown, at: readonly (string | number)[] = []): (readonly (string | number)[])[] {
  if (typeof value !== 'object' || value === null) return [at];
  return Object.entries(value).flatMap(([k, v]) => leaves(v, [...at, Array.isArray(value) ? Number(k) : k]));
}

function without(text: unknown, path: readonly (string | number)[]): unknown {
  const copy = structuredClone(text) as Record<string | number, unknown>;
  let at = copy;
  for (const key of path.slice(0, -1)) at = at[key] as Record<string | number, unknown>;
  Reflect.deleteProperty(at, path.at(-1) ?? '');
  return copy;
}

const sections = new Set(Object.keys(caseSchema.shape));
const opens = (path: string): boolean => sections.has(/^\w+/.exec(path)?.[0] ?? '');

/** What every answer owes its reader, whatever was asked. */
function traceable(result: Result, about: string): void {
  expect(
    result.findings.filter((f) => f.id === 'case.gap').map((f) => f.text),
    about,
  ).toEqual([]);
  for (const f of result.findings)
    for (const path of f.fields) expect(opens(path), `${about}: ${f.id} sends to ${path}`).toBe(true);
  for (const [id, figure] of Object.entries(result.figures)) {
    expect(Number.isFinite(figure.value), `${about}: ${id}`).toBe(true);
    expect(figure.symbol, `${about}: ${id}`).not.toBe('');
    for (const [symbol, input] of Object.entries(figure.inputs)) {
      if (typeof input === 'string') expect(result.figures[input], `${about}: ${id} rests on ${input}`).toBeDefined();
      else {
        const { field, rule, source, text = '' } = figure.origins[symbol] ?? {};
        // Words will do ("standstill"); its own number again will not.
        const from = field ?? rule ?? source?.title ?? /^\p{L}.*/u.exec(text)?.[0];
        expect(from, `${about}: ${id} does not say where ${symbol} is from`).toBeTruthy();
      }
    }
  }
}

describe.each(Object.entries(cases))('%s', (name, text) => {
  const whole = readCase(text);
  it('is a valid case', () => expect(whole).toMatchObject({ ok: true }));
  it('with any one value left out: an answer or an error at a field, and everything said can be traced', () => {
    let answered = 0;
    for (const path of leaves(text)) {
      const about = `${name} without ${path.join('.')}`;
      const reading = readCase(without(text, path));
      if (!reading.ok)
        expect(
          reading.errors.every((e) => e.path !== '' && e.message !== ''),
          about,
        ).toBe(true);
      else {
        answered++;
        traceable(solve(reading.value), about);
      }
    }
    expect(answered).toBeGreaterThan(0.6 * leaves(text).length);
  });
});
