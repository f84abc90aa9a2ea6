import { starterPriceIndex } from '../../catalogue';
import type { StartRow, StartView } from '../../case';
import { methodNames, type Method } from '../../contract';
import type { Needs, Subject } from '../../needs';
import { praise, type Tried } from '../../runs';

const parts: Readonly<Record<Method, readonly [parts: string, whenOff: string]>> = {
  direct: ['contactor, overload relay', 'none'],
  'star-delta': ['three contactors, timer, overload in the phases (0.58 × rated current), six leads', 'none'],
  autotransformer: ['autotransformer, three contactors, timer', 'none'],
  'primary-reactor': ['reactor or resistor, two contactors, timer', 'none'],
  'soft-starter': [
    'soft starter, bypass; a line contactor where a dead output matters',
    'live: its semiconductors leak',
  ],
  drive: ['drive, line choke; filter as Drive says', 'live for minutes: capacitors'],
};

const eventWords = {
  opened: 'star opens',
  'changed-over': 'full line',
  'limit-left': 'current falls below the limit',
  limited: 'current limit reached',
  'at-speed': '95 % of the final speed',
  stalled: 'stalls',
  crawling: 'crawls',
  held: 'held by the load',
} as const;

/** A tried method as the comparison shows it. */
export function rowOf(needs: Needs, subject: Subject, tried: Tried): StartRow {
  const { method, run, problems, outcome, bench } = tried;
  const known = needs.supply.impedance !== undefined;
  const [needed, whenOff] = parts[method];
  return {
    method,
    outcome,
    text: problems.length > 0 ? problems.map((p) => p.text).join(' ') : praise(run, known),
    settings: tried.planned.settings,
    events: (run?.events ?? []).map((e) => ({ time: e.time, speed: e.speed, text: eventWords[e.what] })),
    run: run
      ? {
          ending: run.outcome,
          peakCurrent: run.peakLine,
          motorCurrent: run.peakMotor,
          changeoverCurrent: run.changeoverCurrent ?? null,
          dip: known ? run.dip : null,
          time: run.time ?? null,
          margin: run.margin,
          marginSpeed: run.marginSpeed,
          thermalUse: Math.max(run.statorHeat, run.rotorHeat),
          jolt: run.jolt / bench.ratedTorque,
          endSpeed: run.speed,
        }
      : null,
    leads: method === 'star-delta' ? 6 : 3,
    parts: needed,
    whenOff,
    speedControl: method === 'drive',
    costIndex: starterPriceIndex(method, subject.motor?.power ?? needs.load.power),
  };
}

/** The method chosen, else the cheapest that will do, and why not the cheaper ones; null where none does. */
export function recommend(rows: readonly StartRow[], chosen: Method | undefined): StartView['recommended'] {
  const byCost = rows.toSorted((a, b) => a.costIndex - b.costIndex);
  const best =
    rows.find((r) => r.method === chosen) ??
    byCost.find((r) => r.outcome === 'pass') ??
    byCost.find((r) => r.outcome === 'caution');
  if (!best) return null;
  const cheaper = byCost.slice(0, byCost.indexOf(best));
  return {
    method: best.method,
    reasons: [
      best.method === chosen
        ? `${methodNames[best.method]}: as chosen with the motor. ${best.text}`
        : `${methodNames[best.method]}: ` +
          `${cheaper.length === 0 ? 'the cheapest starter, and it will do' : 'the cheapest that will do'}. ` +
          `${best.text}`,
      ...cheaper.map((r) =>
        r.outcome === 'pass'
          ? `${methodNames[r.method]} would start it too, and costs less to buy: see what Choice has against it.`
          : `${methodNames[r.method]} costs less, but: ${r.text}`,
      ),
    ],
  };
}
