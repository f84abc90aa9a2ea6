import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { CaseText, Result } from '@pilgrim/core';
import { solved } from './cases';

type Json = Record<string, unknown>;
const isObject = (x: unknown): x is Json => typeof x === 'object' && x !== null && !Array.isArray(x);
const merged = (a: Json, b: Json): Json => ({
  ...a,
  ...Object.fromEntries(
    Object.entries(b).map(([k, v]) => {
      const there = a[k];
      return [k, isObject(v) && isObject(there) ? merged(there, v) : v];
    }),
  ),
});

const demo = (file: string): CaseText =>
  (JSON.parse(readFileSync(`demo/positions/${file}.json`, 'utf8')) as { case: CaseText }).case;
const typed = (file: string, more: Json): Result =>
  solved(merged(demo(file) as unknown as Json, more) as unknown as CaseText);

const cleared = { hazardous: false, hazardousBy: 'safety engineer' };
const accept = (finding: string, reason: string) => ({ finding, reason });

/** What each demo position lacks, as somebody who knows the machine would type it. */
const lacking: readonly (readonly [file: string, more: Json])[] = [
  ['01-in-110', { place: cleared, load: { rotation: 'clockwise' } }],
  ['03-st-210', { place: cleared, load: { rotation: 'anticlockwise' } }],
  ['04-st-230', { place: { ...cleared, mounting: 'shaft-down' }, load: { rotation: 'clockwise' } }],
  [
    '05-ge-310',
    {
      place: { ...cleared, driveAmbient: '30 degC' },
      load: {
        rotation: 'clockwise',
        demand: { uncertainty: 0.04 },
        train: { sheave: '224 mm', permittedPull: '4000 N' },
      },
    },
  ],
  ['06-ge-340', { place: cleared, load: { rotation: 'either' } }],
  [
    '07-kn-410',
    { place: cleared, load: { rotation: 'clockwise', demand: { uncertainty: 0.04 }, train: { sheave: '220 mm' } } },
  ],
  ['08-kn-430', { place: cleared, load: { rotation: 'either', train: { sheave: '160 mm' } } }],
  [
    '09-ut-510',
    {
      place: cleared,
      load: { rotation: 'clockwise' },
      accepted: [accept('guard.no-combination', 'asked of the panel builder, offer of 12 November')],
    },
  ],
];

describe('green is reachable: what a demo position lacks is typed, and choice and sheet are ready', () => {
  it.each(lacking)('%s', (file, more) => {
    const r = typed(file, more);
    expect(r.stations.choice).toMatchObject({ state: 'enough' });
    expect(r.stations.sheet).toMatchObject({ state: 'enough', key: 'ready' });
    expect(r.choice?.outcome).toBe('pass');
  });
  it.each(lacking)('%s, as it lies there, is not ready', (file) => {
    expect(solved(demo(file)).stations.sheet.state).not.toBe('enough');
  });
  it('the elevator in dust is stopped throughout, and the empty position says nothing', () => {
    const stopped = solved(demo('02-in-120'));
    for (const id of ['choice', 'start', 'guard', 'drive', 'cost', 'sheet'] as const)
      expect(stopped.stations[id]).toMatchObject({ state: 'stop', because: ['place.hazardous'] });
    expect(stopped.choice).toBeNull();
  });
  it('the screw asks whether its dust explodes', () => {
    const r = solved(demo('01-in-110'));
    expect(r.open[0]?.field).toBe('place.hazardous');
    expect(r.findings.find((f) => f.id === 'place.hazard-words')?.level).toBe('caution');
    expect(r.choice?.outcome).toBe('caution');
  });
  it('a plain fan is green once what it lacks is typed', () => {
    const fan = (more: Json): Result =>
      solved(
        merged(
          {
            format: 'pilgrim.case/1',
            practice: 'iec',
            supply: {
              voltage: '400 V',
              frequency: '50 Hz',
              source: { kind: 'transformer', rating: '630 kVA', impedance: 0.05 },
            },
            load: {
              machine: 'centrifugal-fan',
              demand: { kind: 'power', power: '13 kW', speed: '1470 rpm' },
              inertia: '1.2 kg·m²',
            },
            speed: { need: 'fixed', profile: [{ hours: 4000, flow: 1 }] },
            place: { ambient: '30 degC', dirt: 'clean', water: 'dry', cable: { length: '30 m' } },
          },
          more,
        ) as unknown as CaseText,
      );
    expect(fan({}).stations.choice.state).toBe('enough');
    expect(fan({}).stations.sheet).toMatchObject({ state: 'condition', because: ['place.hazardous', 'load.rotation'] });
    expect(fan({ place: cleared, load: { rotation: 'clockwise' } }).stations.sheet.state).toBe('enough');
  });
});
