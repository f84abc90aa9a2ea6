import fc from 'fast-check';
import { expect, it, vi } from 'vitest';
import { readCase, solve, type Case, type Result } from '@pilgrim/core';
import { everyStation } from './randomCases';

/** How many cases are tried; PILGRIM_RUNS tries another number, PILGRIM_SEED others. */
const runs = Number(process.env.PILGRIM_RUNS ?? 2000);
const seed = Number(process.env.PILGRIM_SEED ?? 36);
vi.setConfig({ testTimeout: 60_000 + runs * 1000 });

type Points = readonly (readonly [number, number])[];

const most = (values: readonly number[]): number => values.reduce((a, b) => Math.max(a, b), -Infinity);
const least = (values: readonly number[]): number => values.reduce((a, b) => Math.min(a, b), Infinity);
const total = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);

/** What two neighbouring points of a curve have between them at x; undefined beyond its ends. */
function between(curve: Points, x: number): readonly [low: number, high: number] | undefined {
  const i = curve.findIndex(([to]) => to >= x);
  const [a, b] = [curve[Math.max(0, i - 1)], curve[i]];
  return i < 0 || !a || !b || a[0] > x ? undefined : [Math.min(a[1], b[1]), Math.max(a[1], b[1])];
}

/** Two tell one thing: they differ by no more than a share of the larger, or by `grain`, to which one is rounded. */
function same(what: string, a: number | null | undefined, b: number | null | undefined, share: number, grain = 1e-9) {
  if (a === undefined || b === undefined || a === null || b === null) return;
  const apart = Math.abs(a - b);
  if (apart <= grain || apart <= share * Math.max(Math.abs(a), Math.abs(b))) return;
  expect.fail(`${what}: ${a} and ${b}`);
}

function startAgrees(r: Result, figure: (id: string) => number | undefined, input: Case): void {
  for (const { method, run } of r.start?.rows ?? []) {
    if (!run) continue;
    same(`peak of ${method}`, figure(`start.${method}.peakCurrent`), run.peakCurrent, 1e-6);
    same(`dip of ${method}`, figure(`start.${method}.voltageDip`), run.dip, 1e-6);
    same(`time of ${method}`, figure(`start.${method}.time`), run.time, 1e-6);
    same(`heat of ${method}`, figure(`start.${method}.thermalUse`), run.thermalUse, 1e-6);
    same(`torque to spare of ${method}`, figure(`start.${method}.torqueMargin`), run.margin, 1e-6);
  }
  const curves = r.curves.start;
  const run = r.start?.rows.find((row) => row.method === curves?.method)?.run;
  if (!curves || !run) return;
  const { method } = curves;
  same(`peak drawn, ${method}`, most(curves.line), run.peakCurrent, 0.025, 0.01);
  same(`heat drawn, ${method}`, most(curves.heat), run.thermalUse, 0.02, 0.002);
  // Time to speed is counted to 95 % of it; what is drawn ends thereafter.
  if (run.time !== null) expect(curves.time.at(-1), method).toBeGreaterThan(0.99 * run.time - 0.02);
  same(`speed drawn, ${method}`, curves.speed.at(-1), run.endSpeed, 0.06, 1);
  if (run.dip !== null) {
    const drawn = 1 - least(curves.bus);
    // A set's dip is told by its transient reactance, from the first moment on.
    if (input.supply?.source?.kind === 'generator') expect(run.dip).toBeGreaterThan(drawn - 0.003);
    else same(`dip drawn, ${method}`, drawn, run.dip, 0.03, 0.003);
  }
  if (r.subject?.method === method) {
    const lost = figure('guard.startVoltageDrop');
    if (r.figures['guard.startVoltageDrop']?.estimate === false)
      same(`lost on the cable, ${method}`, lost, figure(`start.${method}.cableDrop`), 1e-6);
  }
  const straight = curves.methods.find((m) => m.method === 'direct');
  const met = r.start?.machine.met.find((m) => m.label.startsWith('Breakdown'));
  const rated = figure('start.ratedTorque');
  const voltage = input.supply?.voltage?.value;
  if (!straight || !met || !r.start || rated === undefined || voltage === undefined) return;
  const there = met.got * (met.unit === 'N·m' ? 1 : rated) * (voltage / r.start.machine.voltage) ** 2;
  const drawn = most(straight.torque);
  // Source and cable take of it, and nothing adds to it.
  expect(drawn, 'breakdown drawn').toBeLessThan(1.01 * there + 0.01);
  if (run.dip === null && input.place?.cable?.length === undefined) same('breakdown drawn', drawn, there, 0.03, 0.01);
}

function driveAgrees(r: Result, figure: (id: string) => number | undefined, input: Case): void {
  const curves = r.curves.drive;
  if (!curves) return;
  const { stop, envelope, pulses, spectrum } = curves;
  const [end, speed] = stop?.speed.at(-1) ?? [];
  // A ramp may end 5 % later than it was asked, by its rounded ends.
  if (speed !== undefined && speed < 1) same('stop drawn', figure('drive.stopTime'), end, 0.055, 0.02);
  // What the motor loses on the way never reaches the resistor.
  const power = figure('drive.brakingPower');
  if (stop && power !== undefined && input.drive?.braking?.kind === 'chopper')
    expect(most(stop.resistor.map(([, w]) => w)), 'resistor').toBeLessThan(1.05 * power + 1);
  if (stop?.fault === 'none') expect(most(stop.bus.map(([, v]) => v)), 'bus').toBeLessThan(stop.trip + 1);
  const rated = figure(r.subject?.kind === 'plate' ? 'plate.ratedSpeed' : 'choice.ratedSpeed');
  const slow = figure('drive.minSpeed');
  if (envelope && slow !== undefined && rated !== undefined) {
    // By its heat, where no maker's ratio overrules; from 0.9 of its speed on a motor is sized by its power.
    const judged = envelope.ratio === null && slow > 0 && slow < 0.899 * rated;
    const [has, asked] = [between(envelope.continuous, slow), between(envelope.load, slow)];
    if (judged && has && asked) expect(has[1], 'carries its load at its least speed').toBeGreaterThan(0.99 * asked[0]);
    const left = figure('drive.torqueLeast');
    const drawn = between(envelope.continuous, envelope.least);
    if (left !== undefined && drawn && envelope.least > 20) {
      expect(left, 'torque at least speed').toBeGreaterThan(0.98 * drawn[0] - 0.1);
      expect(left, 'torque at least speed').toBeLessThan(1.02 * drawn[1] + 0.1);
    }
  }
  if (pulses) {
    same('pulses permitted', pulses.permitted, figure('drive.peakPermitted'), 5e-4);
    const drawn = pulses.length === null ? undefined : between(pulses.filtered ?? pulses.bare, pulses.length);
    if (drawn) same('pulse at its length', drawn[1], figure('drive.peakVoltage'), 0.03, 1);
  }
  const first = spectrum?.find(([order]) => order === 1)?.[1];
  if (spectrum && first !== undefined && first > 0) {
    const rest = Math.sqrt(total(spectrum.filter(([order]) => order > 1).map(([, a]) => a * a)));
    same('distortion drawn', rest / first, figure('drive.currentDistortion'), 0.03, 0.005);
  }
}

function moneyAgrees(r: Result, figure: (id: string) => number | undefined): void {
  const { money, flow } = r.curves;
  const net = figure('cost.netPresentValue');
  if (money) {
    same('net present value drawn', money.usual, net, 1e-6, 0.5);
    same('after its years', money.years.at(-1)?.[1], net, 1e-6, 0.5);
    for (const t of money.tornado) {
      expect(Math.min(t.low, t.high), t.input).toBeLessThan(money.usual + 1);
      expect(Math.max(t.low, t.high), t.input).toBeGreaterThan(money.usual - 1);
    }
    // Outliers are beyond the chart.
    expect(total(money.bars.map(([, share]) => share))).toBeGreaterThan(0.94);
    const back = figure('cost.discountedPayback');
    const crosses = money.years.findIndex(([, sum], i) => sum >= 0 && (money.years[i - 1]?.[1] ?? 0) < 0);
    const last = money.years.at(-1)?.[0] ?? 0;
    if (back !== undefined && back <= last) {
      expect(back, 'discounted payback').toBeGreaterThan((money.years[crosses - 1]?.[0] ?? NaN) - 1e-6);
      expect(back, 'discounted payback').toBeLessThan((money.years[crosses]?.[0] ?? NaN) + 1e-6);
    } else expect(crosses, 'discounted payback').toBe(-1);
  }
  const [cost, benefit] = [figure('cost.investment'), figure('cost.benefit')];
  if (cost !== undefined && benefit !== undefined && benefit > 0)
    same('payback', figure('cost.payback'), (cost + (figure('cost.once') ?? 0)) / benefit, 1e-3);
  const [old, now] = [figure('cost.oldEnergy'), figure('cost.newEnergy')];
  if (old !== undefined && now !== undefined) same('saved', figure('cost.savedEnergy'), old - now, 1e-6, 0.5);
  if (r.cost) {
    const paid = r.cost.account.filter((row) => row.beside !== true);
    same('account of today', total(paid.map((row) => row.old)), old, 1e-3, 1);
    same('account of the new year', total(paid.map((row) => row.new)), now, 1e-3, 1);
    const [first] = r.cost.options;
    if (first?.kind === 'keep') {
      same('energy kept', first.energy, old, 1e-3, 1);
      const chosen = r.cost.options.find((o) => o.motor === r.subject?.name && o.method === r.subject.method);
      if (chosen && chosen.kind !== 'keep') {
        same('worth of what is chosen', chosen.netPresentValue, net, 1e-6, 1);
        same('payback of what is chosen', chosen.payback, figure('cost.payback'), 1e-3, 0.01);
        same('energy of what is chosen', chosen.energy, now, 1e-3, 1);
      }
    }
  }
  if (!flow) return;
  same('hours', total(flow.rows.map((row) => row.hours)), figure('speed.hours'), 1e-6);
  same('rows of today', total(flow.rows.map((row) => row.hours * row.oldInput)), old, 1e-3, 1);
  same('rows of the new year', total(flow.rows.map((row) => row.hours * row.newInput)), now, 1e-3, 1);
  const running = flow.rows.filter((row) => row.hours > 0);
  same('peak of today', most(running.map((row) => row.oldInput)), figure('cost.oldPeak'), 1e-3, 0.01);
  same('peak of the new year', most(running.map((row) => row.newInput)), figure('cost.newPeak'), 1e-3, 0.01);
}

/** Sections of the electrical code, which look like numbers. */
const sections = /\b(110|2[1-5]\d|3[19]\d|4[0-6]\d|50\d)\.\d{1,3}\b/g;
/** A number as no one says it: more than four figures, with decimals among them. */
const unrounded = (text: string): boolean =>
  [...text.replaceAll(sections, '').matchAll(/\d+\.\d{2,}/g)].some(
    ([n]) => n.replace('.', '').replace(/^0+/, '').length > 4,
  );

function sentencesAreRounded(r: Result): void {
  const said = [
    ...r.findings.map((f) => f.text),
    ...r.facts.map((f) => f.text),
    ...r.candidates.flatMap((c) => [c.change ?? '', ...c.verdicts.map((v) => v.text)]),
    ...r.candidates.flatMap((c) => c.verdicts.map((v) => v.condition?.text ?? '')),
    ...(r.choice?.reasons ?? []),
    ...(r.choice?.buying ?? []).map((line) => line.text),
    ...r.open.map((o) => o.text),
    ...Object.values(r.stations).map((s) => s.key),
    ...(r.start?.rows ?? []).map((row) => row.text),
    ...(r.guard?.crossings ?? []).map((c) => c.text),
    ...(r.guard?.parts ?? []).flatMap((p) => [p.rating, p.range, p.margin, p.below]),
    ...(r.drive?.remedies ?? []).map((x) => x.text),
    ...(r.cost?.options ?? []).map((o) => o.text),
  ];
  expect(said.filter(unrounded)).toEqual([]);
}

it('wherever a figure and a curve of one result tell one thing they agree, and sentences are rounded', () => {
  fc.assert(
    fc.property(everyStation, (text) => {
      const read = readCase(text);
      if (!read.ok) throw new Error(read.errors.map((e) => `${e.path}: ${e.message}`).join('\n'));
      const r = solve(read.value);
      const figure = (id: string): number | undefined => r.figures[id]?.value;
      startAgrees(r, figure, read.value);
      driveAgrees(r, figure, read.value);
      moneyAgrees(r, figure);
      sentencesAreRounded(r);
      const { dial } = r.guard ?? {};
      // On the relay's own scale inside the delta, in the line on the chart.
      const inDelta = r.guard?.scheme === 'star-delta' ? [1, Math.sqrt(3)] : [1];
      if (r.curves.guard && dial && figure('guard.dialSet') === undefined) {
        const drawn = r.curves.guard.dial;
        expect(inDelta.some((k) => Math.abs(drawn / (k * dial.proposed) - 1) < 0.01)).toBe(true);
      }
    }),
    { numRuns: runs, seed },
  );
});
