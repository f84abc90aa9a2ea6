import { describe, expect, it } from 'vitest';
import {
  genericMotors,
  motorById,
  readCase,
  runs,
  solveWith,
  type CaseText,
  type Motor,
  type Needs,
} from '@pilgrim/core';
import { conveyor, figure, findingIds } from './cases';

/** The case's needs and the motor it speaks of, with its result. */
function asked(text: CaseText): { needs: Needs; motor: Motor; result: ReturnType<typeof solveWith>['result'] } {
  const reading = readCase(text);
  if (!reading.ok) expect.fail(JSON.stringify(reading.errors));
  const { result, screening } = solveWith(reading.value);
  const motor = motorById(result.choice?.motor.id ?? '');
  if (!screening || !motor) expect.fail('nothing was judged or chosen');
  return { needs: screening.needs, motor, result };
}

const fan = {
  ...conveyor,
  load: {
    machine: 'centrifugal-fan',
    demand: { kind: 'power', power: '30 hp', speed: '1760 rpm' },
    inertia: '3 kg.m2',
  },
  guard: { cable: { ambient: '30 degC' } },
  place: { ...conveyor.place, cable: { length: '80 m' } },
} as const satisfies CaseText;

describe('a start prepared from what the case needs', () => {
  it('has the inertia, cable, heat and current that the station narrates', () => {
    const { needs, motor, result } = asked(fan);
    const bench = runs.benchFor(needs, motor, 'direct');
    if (!bench) expect.fail('no bench');
    expect(bench.inertia).toBeCloseTo(3 + motor.inertia, 10);
    expect(bench.inertia).toBe(figure(result, 'start.inertia'));
    // As Guard sizes it: 6 AWG in steel conduit, 0.49 and 0.064 Ω a 1000 ft (Chapter 9, Table 9).
    expect(result.figures['guard.conductorArea']?.text).toBe('6 AWG');
    expect(bench.feed.cable.resistance).toBeCloseTo((0.49 * 80) / 304.8, 10);
    expect(bench.feed.cable.resistance).toBeCloseTo(figure(result, 'start.cableResistance'), 12);
    expect(bench.feed.cable.reactance).toBeCloseTo((0.064 * 80) / 304.8, 10);
    expect(bench.stallTime).toBe(figure(result, 'start.stallTime'));
    expect(bench.ratedCurrent).toBe(figure(result, 'choice.ratedCurrent'));
    expect(bench.feed.voltage).toBe(480);
    expect(bench.permitted).toBe(Infinity);
  });
  it('takes what is usual for the machine where no inertia is given, and the case’s own limits', () => {
    const { needs, motor } = asked({
      ...fan,
      load: { machine: 'centrifugal-fan', demand: fan.load.demand, maxStartTime: '12 s' },
      start: { stallTime: '17 s' },
    });
    const bench = runs.benchFor(needs, motor);
    // Ten times the rotor's of a motor of the fan's own size, whatever motor is tried.
    expect(bench?.inertia).toBeCloseTo(motor.inertia + 10 * (needs.start.sizeInertia ?? NaN), 10);
    expect(needs.start.sizeInertia).toBeLessThan(motor.inertia);
    expect(bench?.permitted).toBe(12);
    expect(bench?.stallTime).toBe(17);
  });
  it('is not to be had without the supply’s voltage', () => {
    const { needs, motor } = asked({ ...fan, supply: { frequency: '60 Hz', phases: 3 } });
    expect(runs.benchFor(needs, motor)).toBeUndefined();
    expect(runs.triedOf(needs, motor, 'direct')).toBeUndefined();
  });
  it('is made once, and run once for each method', () => {
    const { needs, motor } = asked(fan);
    expect(runs.benchFor(needs, motor)).toBe(runs.benchFor(needs, motor));
    expect(runs.triedOf(needs, motor, 'direct')).toBe(runs.triedOf(needs, motor, 'direct'));
    expect(runs.triedOf(needs, motor, 'direct')).not.toBe(runs.triedOf(needs, motor, 'soft-starter'));
  });
  it('a traced run has the figures of the plain one, and its course besides', () => {
    const { needs, motor } = asked(fan);
    const [plain, traced] = [false, true].map((t) => runs.triedOf(needs, motor, 'direct', t)?.run);
    expect(traced?.peakLine).toBe(plain?.peakLine);
    expect({ ...traced, trace: undefined }).toEqual({ ...plain, trace: undefined });
    expect(traced?.trace?.time.length).toBeGreaterThan(50);
    expect(plain?.trace).toBeUndefined();
  });
});

describe('what a run gives is what the station narrates', () => {
  it.each(['direct', 'autotransformer', 'soft-starter', 'drive'] as const)('%s', (method) => {
    const { needs, motor, result } = asked(fan);
    const run = runs.triedOf(needs, motor, method)?.run;
    expect(run?.peakLine).toBe(figure(result, `start.${method}.peakCurrent`));
    expect(run?.dip).toBe(figure(result, `start.${method}.voltageDip`));
    expect(Math.abs((run?.time ?? 0) / figure(result, `start.${method}.time`) - 1)).toBeLessThan(1e-3);
  });
  it('any motor of the catalogue can be started, not only the chosen one', () => {
    const { needs } = asked(fan);
    const others = genericMotors().filter((m) => m.practice === 'north-america' && m.power > 20e3 && m.power < 40e3);
    expect(others.length).toBeGreaterThan(10);
    for (const motor of others.slice(0, 10)) {
      const run = runs.triedOf(needs, motor, 'direct')?.run;
      expect(run?.peakLine).toBeGreaterThan(2 * (runs.benchFor(needs, motor)?.ratedCurrent ?? Infinity));
    }
  });
});

describe('star-delta', () => {
  const iec = (voltage: string): CaseText => ({
    ...fan,
    practice: 'iec',
    supply: { voltage, frequency: '50 Hz', phases: 3 },
    load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '18 kW', speed: '1470 rpm' } },
    method: 'star-delta',
  });
  it('runs where delta voltage is the line’s', () => {
    const { needs, motor } = asked(iec('400 V'));
    expect(motor.deltaVoltage).toBe(400);
    expect(runs.triedOf(needs, motor, 'star-delta')?.run?.outcome).toBe('running');
  });
  it('does not where the motor would burn in delta, and the station says so', () => {
    const { needs } = asked({ ...iec('400 V'), method: undefined });
    const small = genericMotors().find((m) => m.practice === 'iec' && m.deltaVoltage === 230);
    if (!small) expect.fail('no motor for 230 V delta');
    expect(runs.triedOf(needs, small, 'star-delta')?.run).toBeUndefined();
    expect(runs.triedOf(needs, small, 'direct')?.run).toBeDefined();
    const pinned = solveWith(read({ ...iec('400 V'), motor: { catalogue: small.id } })).result;
    expect(findingIds(pinned)).toContain('start.six-leads');
  });
});

function read(text: CaseText) {
  const reading = readCase(text);
  if (!reading.ok) expect.fail(JSON.stringify(reading.errors));
  return reading.value;
}
