import { Bench } from 'tinybench';
import { motorById, physics, readCase, solveWith, type Result } from '@pilgrim/core';
import { isFigureId } from '../core/src/contract';
import { Workings } from '../core/src/law';
import { subjectOf } from '../core/src/needs';
import { tellDrive } from '../core/src/stations';
import { rectifierByPackage } from '../core/test/rectifierByPackage';

/** The drive: its rectifier beside a general ODE package, and all that the station tells. */
const [voltage, frequency, power] = [400, 50, 22_000];
const base = (voltage * voltage) / power;
const omega = 2 * Math.PI * frequency;
const spec = (x: number): physics.RectifierSpec => ({
  ...{ voltage, frequency, power, dcInductance: 0 },
  inductance: (x * base) / omega,
  capacitance: (40e-6 * power) / 1000,
  bridges: [{ shift: 0, emf: 1 }],
});
const steady = physics.runRectifier(spec(0.03));
const third = steady.wave.length / 3;
const from = [steady.wave[0] ?? 0, steady.wave[2 * third] ?? 0, steady.wave[third] ?? 0, steady.dcFirst] as const;

const asked = (choke: number | undefined) => {
  const reading = readCase({
    format: 'pilgrim.case/1',
    practice: 'iec',
    supply: { voltage: '400 V', frequency: '50 Hz', source: { kind: 'fault-level', current: '18 kA' } },
    load: { machine: 'centrifugal-pump', demand: { kind: 'power', power: '18 kW', speed: '1475 rpm' } },
    speed: { need: 'variable', min: 0.5, max: 1 },
    place: { cable: { length: '80 m' } },
    method: 'drive',
    drive: { input: choke === undefined ? 'single-phase' : 'three-phase', choke: choke ?? 0.03 },
  });
  if (!reading.ok) throw new Error('the case of the drive is not valid');
  return reading.value;
};
const whole = solveWith(asked(0.03));
const motor = whole.result.choice && motorById(whole.result.choice.motor.id);
const found = whole.screening;
if (!motor || !found) throw new Error('the case of the drive has no choice');
const { needs } = found;

const subject = motor;

/** Everything Drive tells, told again over the figures of the other stations. */
function tell(input: ReturnType<typeof asked>): void {
  const w = new Workings();
  const figures: Result['figures'] = whole.result.figures;
  for (const [id, figure] of Object.entries(figures))
    if (!id.startsWith('drive.') && isFigureId(id)) w.figures.set(id, figure);
  const walk = { input, practice: needs.practice, rules: needs.rules, w, combinations: [] };
  tellDrive(walk, { ...needs, drive: input.drive }, subjectOf(walk, subject, 'drive', 'choice'));
}

const own = 'a rectifier in its steady state, by its own integration';
const theirs = 'one period of it by odex 2.0.4';
const bench = new Bench({ time: 1500, warmupTime: 500 });
let n = 0;
bench.add(own, () => void physics.runRectifier(spec(0.03)));
bench.add(theirs, () => void rectifierByPackage(spec(0.03), 288, from));
const [without, seen] = [asked(undefined), asked(0.03)];
bench.add('tell Drive without harmonics', () => tell(without));
bench.add('tell Drive with a rectifier that was simulated before', () => tell(seen));
const fresh = Array.from({ length: 4000 }, (_, i) => asked(0.02 + 0.00002 * i));
bench.add('tell Drive with a rectifier of its own each time', () => {
  n = (n + 157) % fresh.length;
  tell(fresh[n] ?? seen);
});
await bench.run();
const medians = new Map<string, number>();
for (const task of bench.tasks) {
  const result = task.result;
  if (!('latency' in result)) continue;
  medians.set(task.name, result.latency.p50);
  process.stdout.write(
    `${task.name}: median ${result.latency.p50.toFixed(2)} ms, 99th percentile ${result.latency.p99.toFixed(2)} ms\n`,
  );
}
process.stdout.write(
  `its steady state (some thirty sixths of a period) takes ` +
    `${((medians.get(own) ?? NaN) / (medians.get(theirs) ?? NaN)).toFixed(2)} times what one period takes by odex\n`,
);
