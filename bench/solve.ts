import { readFileSync } from 'node:fs';
import { Bench } from 'tinybench';
import {
  comparedMethods,
  demoCombinations,
  genericMotors,
  isFigureId,
  judge,
  motorById,
  motorsFor,
  nameplate,
  poleOptions,
  readCase,
  screenRows,
  solve,
  solveWith,
  whatWouldChange,
  Workings,
  type Motor,
} from '@pilgrim/core';
import { bySpeed, subjectOf } from '../core/src/needs';
import { tellGuard, yearOf } from '../core/src/stations';
import { tellBand } from '../core/src/stations/cost/band';

/** Screening, full solves over the catalogue and with a large own shelf, and what a screen asks besides. */
const text = readFileSync(new URL('../demo/example.case.json', import.meta.url), 'utf8');
const reading = readCase(JSON.parse(text));
if (!reading.ok) throw new Error('the example is not a valid case');
const input = reading.value;
const all = genericMotors();
const motors = all.filter((m) => m.practice === input.practice).length;
const solved = solveWith(input);
const screening = solved.screening;
if (!screening) throw new Error('the example is not screened');
const { needs } = screening;

/** An invented store of 5,000 motors: the catalogue's plates, stamped again and again. */
const entries = Array.from({ length: 5000 }, (_, i): nameplate.ShelfEntry => {
  const m = all[i % all.length];
  if (!m) throw new Error('no motor');
  return {
    id: `shelf-${i}`,
    name: `Store ${i}`,
    plate: {
      power: m.powerText,
      voltage: m.voltageText,
      current:
        m.connections.length === 3
          ? `${m.connections[0]?.current}-${m.connections[1]?.current}/${m.connections[2]?.current} A`
          : `${m.connections.map((c) => c.current).join('/')} A`,
      speed: `${m.speed} rpm`,
      frequency: `${m.frequency} Hz`,
      enclosure: m.enclosureText,
    },
    quantity: 1,
    place: 'store',
    days: null,
    keptFor: '',
    price: null,
  };
});
const shelf: readonly Motor[] = nameplate.shelfMotors(entries, input.practice).motors;

const bench = new Bench({ time: 1000 });
bench.add('read a case', () => void readCase(JSON.parse(text)));
const own = motorsFor(needs.practice.id, [], { frequency: needs.supply.frequency, letters: [] });
bench.add(
  `screen the ${own.length} motors of the practice × ${comparedMethods.length} methods`,
  () => void judge(needs, own, comparedMethods),
);
bench.add(
  `screen the whole catalogue: ${all.length} motors × ${comparedMethods.length} methods, every verdict and margin`,
  () => void judge(needs, all, comparedMethods),
);
bench.add(`solve over ${motors} motors × 4 methods, subject told`, () => void solve(input));
bench.add(`the same with ${shelf.length} motors of the own shelf`, () => void solve(input, shelf));
bench.add(
  'all rows of the table, sorted',
  () =>
    void screenRows(screening, {
      outcomes: ['pass', 'caution', 'fail'],
      text: '',
      shelfOnly: false,
      sort: 'lifeCycle',
      descending: false,
    }),
);
bench.add('the same machine on other poles', () => void poleOptions(screening));
/** A direct start with everything Guard tells, told again over the figures of the other stations. */
const guarded = readCase({
  ...JSON.parse(text),
  method: 'direct',
  speed: { need: 'fixed' },
  place: { cable: { length: '60 m' } },
  guard: { role: 'process', feeder: { motors: [{ current: '40 A', device: '80 A' }] } },
});
if (!guarded.ok) throw new Error('the guarded case is not valid');
const whole = solveWith(guarded.value);
const subject = whole.screening?.needs && whole.result.choice && motorById(whole.result.choice.motor.id);
if (!whole.screening || !subject) throw new Error('the guarded case has no choice');
const needed = whole.screening.needs;
bench.add('tell Guard: circuit, combination, chart, parts', () => {
  const w = new Workings();
  for (const [id, figure] of Object.entries(whole.result.figures))
    if (!id.startsWith('guard.') && isFigureId(id)) w.figures.set(id, figure);
  const walk = { input: guarded.value, practice: needed.practice, rules: needed.rules, w };
  tellGuard(
    { ...walk, combinations: demoCombinations() },
    subjectOf({ ...walk, combinations: [] }, subject, 'direct', 'choice'),
    needed,
  );
});
const draws = 10_000;
/** A year's saving of the case's own profile, as Cost spreads it. */
const runner = {
  full: needs.load.power,
  rated: needs.load.power,
  eta: 0.93,
  constant: 0.4,
  billed: 1,
  wire: undefined,
};
const banded = {
  old: (k: number, l: number) => yearOf(needs, { ...runner, way: { kind: 'throttle' } }, k, l),
  new: (k: number, l: number) => yearOf(needs, { ...runner, way: bySpeed }, k, l),
  ...{ load: 0.1, demandPrice: 9, carbon: 0.02, maintenance: 100, rate: 0.07, index: true, count: draws },
  worth: { cost: 9000, benefit: 3000, years: 10, inflation: 0.02, life: 10, once: 0 },
};
bench.add(`band and tornado of the net present value, ${draws} draws`, () => {
  const w = new Workings();
  for (const [id, figure] of Object.entries(solved.result.figures))
    if (isFigureId(id) && !id.startsWith('cost.netPresentL') && !id.startsWith('cost.netPresentH'))
      w.figures.set(id, figure);
  const walk = { input, practice: needs.practice, rules: needs.rules, w, combinations: [] };
  tellBand(walk, banded);
});
bench.add('what would change the choice', () => void whatWouldChange(screening));
await bench.run();
for (const task of bench.tasks) {
  const result = task.result;
  if (!('latency' in result)) continue;
  const { p50, p99 } = result.latency;
  process.stdout.write(`${task.name}: median ${p50.toFixed(2)} ms, 99th percentile ${p99.toFixed(2)} ms\n`);
}
