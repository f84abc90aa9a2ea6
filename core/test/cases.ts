import { expect } from 'vitest';
import { readCase, solve, type CaseText, type Result } from '@pilgrim/core';

/**
 * Solves a case as a file would hold it; fails the test where the case is not valid, or a figure was never asked for.
 */
export function solved(text: CaseText): Result {
  const reading = readCase(text);
  if (!reading.ok) expect.fail(reading.errors.map((e) => `${e.path}: ${e.message}`).join('\n'));
  const result = solve(reading.value);
  expect(result.findings.filter((f) => f.id === 'case.gap').map((f) => f.text)).toEqual([]);
  everyOneOpens(result.findings);
  return result;
}

/** Whatever is told opens to a field or a figure. */
export function everyOneOpens(findings: Result['findings']): void {
  expect(findings.filter((f) => f.fields.length + f.figures.length === 0).map((f) => `${f.id}: ${f.text}`)).toEqual([]);
}

/** Value of a figure that must be there. */
export function figure(result: Result, id: string): number {
  const found = result.figures[id];
  if (!found) expect.fail(`no figure ${id}; findings: ${result.findings.map((f) => f.id).join(', ')}`);
  return found.value;
}

/** The first candidate's verdict on one requirement; undefined where it is not asked. */
export const verdictOf = (result: Result, requirement: string) =>
  result.candidates[0]?.verdicts.find((v) => v.requirement === requirement);

/** What would make the first candidate pass; empty where nothing would. */
export const changeOf = (result: Result): string => result.candidates[0]?.change ?? '';

/** Case of one motor of the catalogue with a mixer, as solved; it must be the one that is judged. */
export function mixerOn(catalogue: string, power: string, over: Partial<CaseText> = {}): Result {
  const load = { machine: 'mixer', demand: { kind: 'power', power, speed: '1760 rpm' } } as const;
  const result = solved({ ...conveyor, load, motor: { catalogue }, ...over });
  if (over.motor === undefined) expect(result.candidates[0]?.motor.id).toBe(catalogue);
  return result;
}

export const findingIds = (result: Result): string[] => result.findings.map((f) => f.id);

export const horsepower = 745.6998715822702;

/** A sound North-American case of an invented screw conveyor, to vary. */
export const conveyor = {
  format: 'pilgrim.case/1',
  practice: 'north-america',
  supply: {
    voltage: '480 V',
    frequency: '60 Hz',
    phases: 3,
    source: { kind: 'transformer', rating: '500 kVA', impedance: 0.05 },
  },
  load: {
    machine: 'screw-conveyor',
    demand: { kind: 'pull', force: '160 lbf', radius: '1.25 ft', speed: '70 rpm' },
    train: { kind: 'gearbox', ratio: 25, efficiency: 0.9 },
  },
  place: { ambient: '35 degC', altitude: '100 m', dirt: 'clean', water: 'dry' },
  speed: { need: 'fixed', profile: [{ hours: 4000, flow: 1 }] },
} as const satisfies CaseText;

/** What an ordinary fan motor has stamped on it. */
export const ordinaryPlate = {
  power: '20 hp',
  voltage: '230/460 V',
  current: '50/25 A',
  speed: '1760 rpm',
  frequency: '60 Hz',
  frame: '256T',
  enclosure: 'TEFC',
} as const satisfies CaseText['plate'];
