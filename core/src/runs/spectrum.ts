import type { RectifierKind } from '../contract';
import { runRectifier, runSinglePhase, type Harmonics, type RectifierRun } from '../physics';
import { activeSpectrum, multiPulse } from '../practice';

/** How a rectifier draws its power, per unit of P ÷ (√3 U), on one phase of P ÷ U; the waveform over a period. */
export interface Drawn {
  readonly fundamental: number;
  /** Harmonic currents ÷ fundamental. */
  readonly shares: Harmonics;
  readonly distortion: number;
  /** Degrees of the fifth against the phase voltage; undefined where no bridge was simulated. */
  readonly fifth: number | undefined;
  readonly powerFactor: number;
  readonly wave: readonly number[];
}

const bridgesOf = { 'six-pulse': 1, 'twelve-pulse': 2, 'eighteen-pulse': 3 } as const;
/** A simulated per-unit bridge: any voltage, frequency and power give the same. */
const [voltage, frequency, power] = [400, 50, 10_000];

/**
 * A rectifier by the reactance of its source and its choke (Ω · P ÷ U²) and its capacitor's susceptance (ω C U² ÷ P),
 * all at the power it draws. A choke counts in the lines, wherever it sits. Simulated once for each; values
 * within half a percent of each other count as one. Undefined where
 * it has no steady state.
 */
export function drawnBy(
  kind: RectifierKind | 'single-phase',
  reactance: number,
  choke: number,
  capacitor: number,
): Drawn | undefined {
  if (kind === 'active') return active();
  const [x, c] = [rounded(Math.max(leastReactance, reactance + choke)), rounded(capacitor)];
  const key = `${kind} ${x} ${c}`;
  const there = known.get(key);
  if (there !== undefined) return there ?? undefined;
  const found = simulated(kind, x, c);
  if (known.size > 400) known.clear();
  known.set(key, found ?? null);
  return found;
}

/** Wires and busbars alone: no supply is stiffer. */
const leastReactance = 0.001;
const known = new Map<string, Drawn | null>();

/** To half a percent. */
const rounded = (v: number): number => Number(Math.exp(Math.round(Math.log(v) * 100) / 100).toPrecision(6));

function simulated(kind: Exclude<RectifierKind, 'active'> | 'single-phase', x: number, c: number): Drawn | undefined {
  if (kind === 'single-phase') return simulatedSingle(x, c);
  const n = bridgesOf[kind];
  const omega = 2 * Math.PI * frequency;
  const base = (voltage * voltage) / power;
  const unbalance = kind === 'six-pulse' ? 0 : multiPulse.unbalance[kind];
  const own = x + (n > 1 ? multiPulse.transformer : 0);
  const run = runRectifier({
    voltage,
    frequency,
    power,
    inductance: (n * own * base) / omega,
    dcInductance: 0,
    capacitance: c / base / omega,
    bridges: Array.from({ length: n }, (_, i) => ({
      shift: ((i - (n - 1) / 2) * Math.PI) / 3 / n,
      emf: 1 + unbalance * (i - (n - 1) / 2),
    })),
  });
  const fifth = (((run.angles[4] ?? NaN) * 180) / Math.PI + 360) % 360;
  return run.settled && Number.isFinite(run.distortion) ? { ...perUnit(run), fifth } : undefined;
}

/** Both lines of the loop have the reactance of one. */
function simulatedSingle(x: number, c: number): Drawn | undefined {
  const omega = 2 * Math.PI * frequency;
  const base = (voltage * voltage) / power;
  const run = runSinglePhase({
    ...{ voltage, frequency, power },
    inductance: (2 * x * base) / omega,
    capacitance: c / base / omega,
  });
  return run.settled && Number.isFinite(run.distortion)
    ? { ...perUnit(run, power / voltage), fifth: undefined }
    : undefined;
}

function perUnit(
  { crests, fundamental, distortion, powerFactor, wave }: Of,
  base = power / (Math.sqrt(3) * voltage),
): Omit<Drawn, 'fifth'> {
  const first = crests[0] ?? 1;
  const shares = crests.flatMap((crest, i): [number, number][] =>
    i > 0 && crest > 1e-4 * first ? [[i + 1, crest / first]] : [],
  );
  return { fundamental: fundamental / base, shares, distortion, powerFactor, wave: wave.map((i) => i / base) };
}

type Of = Pick<RectifierRun, 'crests' | 'fundamental' | 'distortion' | 'powerFactor' | 'wave'>;

/** As its filter leaves it: common practice, no simulation of its transistors. */
function active(): Drawn {
  const distortion = Math.hypot(...activeSpectrum.map(([, share]) => share));
  const wave = Array.from({ length: 288 }, (_, k) => {
    const angle = (2 * Math.PI * k) / 288;
    const harmonics = activeSpectrum.reduce((sum, [h, share]) => sum + share * Math.cos(h * angle + h), 0);
    return Math.SQRT2 * (Math.cos(angle) + harmonics);
  });
  return {
    ...{ fundamental: 1, shares: activeSpectrum, distortion, fifth: undefined, wave },
    powerFactor: 1 / Math.hypot(1, distortion),
  };
}
