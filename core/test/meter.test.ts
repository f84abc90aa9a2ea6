import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { physics, readCase, solveWith } from '@pilgrim/core';

const reading = readCase({
  format: 'pilgrim.case/1',
  practice: 'iec',
  supply: { voltage: '400 V', frequency: '50 Hz' },
  load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '9 kW', speed: '1450 rpm' } },
  speed: { need: 'variable', min: 0.3 },
  method: 'drive',
});
if (!reading.ok) throw new Error('no case');
const { driven } = solveWith(reading.value);
if (!driven) throw new Error('nothing to run');
const machine = driven;
const drive = new physics.LiveDrive(machine);
const sound = drive.spoiling;
const at = (share: number) => ({ ...drive.reading, input: share * machine.power });

describe('a power meter at a drive’s input', () => {
  const meter = new physics.LiveMeter(machine);
  it('power is the line’s voltage and current times the power factor it shows', () => {
    for (const share of [0.02, 0.1, 0.4, 0.8, 1.1]) {
      const m = meter.show(at(share), sound);
      const volts = (m.voltage12 + m.voltage23 + m.voltage31) / 3;
      const amperes = (m.current1 + m.current2 + m.current3) / 3;
      expect(m.power).toBe(share * machine.power);
      expect(m.apparent * m.powerFactor).toBeCloseTo(m.power, 6);
      expect((Math.sqrt(3) * volts * amperes) / m.apparent).toBeCloseTo(1, 3);
    }
  });
  it('a six-pulse input behind a choke: about .93 and a third at full load, worse the less it carries', () => {
    const full = meter.show(at(1), sound);
    // Textbook figures of a rectifier behind 5 to 6 % reactance.
    expect(full.powerFactor).toBeGreaterThan(0.88);
    expect(full.powerFactor).toBeLessThan(0.97);
    expect(full.distortion).toBeGreaterThan(0.25);
    expect(full.distortion).toBeLessThan(0.45);
    const steps = [1, 0.75, 0.5, 0.25, 0.1].map((s) => meter.show(at(s), sound));
    for (const [i, step] of steps.slice(1).entries()) {
      expect(step.distortion).toBeGreaterThan(steps[i]?.distortion ?? 0);
      expect(step.powerFactor).toBeLessThan(steps[i]?.powerFactor ?? 0);
    }
  });
  it('counts what is drawn, not what is fed back', () => {
    const counter = new physics.LiveMeter(machine);
    counter.advance(3600, at(0.5));
    expect(counter.show(at(0.5), sound).energy).toBeCloseTo((0.5 * machine.power) / 1000, 9);
    counter.advance(3600, at(-0.5));
    const back = counter.show(at(-0.5), sound);
    expect(back.energy).toBeCloseTo((0.5 * machine.power) / 1000, 9);
    expect(back.power).toBeLessThan(0);
    expect(back.current1).toBeGreaterThan(0);
  });
  it('with a line gone its current is none and the others carry more', () => {
    const [whole, lone] = [meter.show(at(0.6), sound), meter.show(at(0.6), { ...sound, phases: 2 })];
    expect(lone.current3).toBe(0);
    expect(lone.current1).toBeGreaterThan(1.5 * whole.current1);
    expect(lone.voltage23).toBeLessThan(0.6 * lone.voltage12);
  });
  it('a dead line shows noughts, not what is no number', () => {
    for (const value of Object.values(meter.show(at(0), { ...sound, supply: 0 }))) expect(value).not.toBeNaN();
  });
});

describe('docs/power-meter.md', () => {
  const text = readFileSync(new URL('../../docs/power-meter.md', import.meta.url), 'utf8');
  it('has every register of the map, with its address and unit', () => {
    for (const [id, { address, unit, says }] of Object.entries(physics.meterShows))
      expect(text).toContain(`| ${address} | \`${id}\` | ${unit} | ${says} |`);
  });
  it('no two share a register', () => {
    const shown = Object.values(physics.meterShows).map((r) => r.address);
    expect(shown).toEqual(shown.map((_, i) => 2 * i));
    expect(physics.meterLength).toBe(2 * shown.length);
  });
});
