import { beforeEach, describe, expect, it } from 'vitest';
import { genericMotors, type CaseText, type Result } from '@pilgrim/core';
import { horsepower, solved } from './cases';
import { misread, misreadCase } from './plates/misread';
import { sound } from './plates/sound';

const soundCase = (s: (typeof sound)[number]): CaseText => ({
  format: 'pilgrim.case/1',
  practice: s.practice,
  supply: s.supply,
  plate: s.plate,
});

it('there are at least forty plates over both traditions, twelve of them misread', () => {
  expect(sound.length + misread.length).toBeGreaterThanOrEqual(40);
  expect(misread.length).toBeGreaterThanOrEqual(12);
  for (const practice of ['north-america', 'iec'])
    expect(sound.filter((s) => s.practice === practice).length).toBeGreaterThanOrEqual(12);
});

describe.each(sound.map((s) => [s.name, s] as const))('sound: %s', (_, given) => {
  let r: Result;
  beforeEach(() => {
    r = solved(soundCase(given));
  });
  const { plate, reads } = given;
  const value = (id: string): number => r.figures[id]?.value ?? NaN;
  it('raises no doubt', () => {
    expect(r.findings.filter((f) => f.doubt).map((f) => f.text)).toEqual([]);
    expect(r.findings.filter((f) => f.level === 'stop').map((f) => f.text)).toEqual([]);
  });
  it('connects its own pair', () => {
    // A range of usable voltages connects the one nearest the supply.
    expect(Math.abs(value('plate.connectedVoltage') / reads.volts - 1)).toBeLessThan(0.06);
    if (reads.amps !== undefined) expect(value('plate.connectedCurrent')).toBe(reads.amps);
  });
  it('has the poles, synchronous speed, slip and torque of first principles', () => {
    const block = r.figures['plate.ratedSpeed']?.source.title.includes('alternate') ? plate.alternate : plate;
    const hertz = Number.parseFloat(block?.frequency ?? '');
    const rpm = Number.parseFloat(block?.speed ?? '');
    const power =
      Number.parseFloat((block?.power ?? '').replace('3/4', '0.75').replace('1 1/2', '1.5')) *
      (block?.power?.includes('hp') ? horsepower : 1000);
    expect(value('plate.poles')).toBe(reads.poles);
    expect(value('plate.synchronousSpeed')).toBe((120 * hertz) / (reads.poles ?? NaN));
    expect(value('plate.slip')).toBeCloseTo(1 - (rpm * (reads.poles ?? NaN)) / (120 * hertz), 10);
    expect(value('plate.ratedTorque') / ((power * 60) / (2 * Math.PI * rpm))).toBeCloseTo(1, 10);
  });
  it('takes √3 U I, and its power factor and efficiency close the balance', () => {
    const apparent = Math.sqrt(3) * value('plate.connectedVoltage') * value('plate.connectedCurrent');
    if (reads.amps === undefined) return;
    expect(value('plate.apparentPower')).toBeCloseTo(apparent, 6);
    if (plate.efficiency === undefined && plate.powerFactor === undefined) return;
    const product = value('plate.efficiency') * value('plate.powerFactor') * apparent;
    expect(Math.abs(product / value('plate.ratedPower') - 1)).toBeLessThan(0.06);
    expect(value('plate.inputPower') * value('plate.efficiency')).toBeCloseTo(value('plate.ratedPower'), 4);
  });
  it('says how to connect it, and what its frame fixes', () => {
    const facts = new Map(r.facts.map((f) => [f.id, f]));
    expect(facts.get('plate.connection')?.text).toMatch(/lid decides/);
    if (plate.frame) expect(value('plate.shaftHeight')).toBeGreaterThan(40);
    for (const f of r.facts) expect(f.source.title.length).toBeGreaterThan(3);
  });
});

describe.each(misread.map((m) => [m.name, m] as const))('misread: %s', (_, given) => {
  it(`is found as ${given.finding}, and the right value is offered for the field`, () => {
    const found = solved(misreadCase(given)).findings.filter((f) => f.id === given.finding);
    expect(found).not.toEqual([]);
    const offered = found.flatMap((f) => f.suggestions).filter((s) => s.field === given.field);
    expect(offered.map((s) => s.value)).toContain(given.value);
    expect(found.map((f) => f.text).join(' ')).toContain('Misread?');
  });
});

describe('the generic catalogue, each motor stamped on a plate', () => {
  it('raises no doubt: its values come out of the standards', { timeout: 60_000 }, () => {
    // The place ends the choosing, which is not asked here.
    const doubted = genericMotors().flatMap((m) => {
      const iec = m.practice === 'iec';
      const amps = m.connections.map((c) => Number(c.current.toPrecision(3)));
      const low = amps.length === 3;
      const plate: CaseText['plate'] = {
        power: m.powerText,
        voltage: low ? '208-230/460 V' : `${m.connections.map((c) => c.voltage).join('/')} V`,
        current: low ? `${amps[0]}-${amps[1]}/${amps[2]} A` : `${amps.join('/')} A`,
        speed: `${m.speed} rpm`,
        frequency: `${m.frequency} Hz`,
        ...(m.frame === null ? {} : { frame: m.frame }),
        enclosure: m.enclosureText,
        efficiency: m.efficiency,
        efficiencyClass: m.efficiencyClass,
        powerFactor: Number(m.powerFactor.toFixed(2)),
        serviceFactor: m.serviceFactor,
        year: 2018,
      };
      const r = solved({
        format: 'pilgrim.case/1',
        practice: m.practice,
        supply: {
          voltage: iec ? '400 V' : m.voltageText === '575 V' ? '600 V' : '480 V',
          frequency: `${m.frequency} Hz`,
        },
        plate,
        place: { hazardous: true },
      });
      return r.findings.filter((f) => f.doubt).map((f) => `${m.name}: ${f.text}`);
    });
    expect(doubted).toEqual([]);
  });
});
