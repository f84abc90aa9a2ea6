import { definition } from '../../contract';
import { law, notNegative, positive } from '../../law';

const lines = definition('Transmission-line theory', 'a steep pulse doubles at an open end');

/** Crest at the motor when a drive's pulse is fully reflected. */
export const doubledPulse = law({
  name: 'Fully reflected pulse at the motor',
  symbol: 'U_pk',
  unit: 'V',
  takes: { U: 'V' },
  formula: '2 * sqrt(2) * U',
  source: lines,
  range: { U: notNegative },
  example: { of: { U: 480 }, gives: 1357.6, from: 'by hand; the 1.36 kV that guides print for a 480 V drive' },
  of: ({ U }) => 2 * Math.SQRT2 * U,
});

/** Cable beyond which a pulse is fully reflected before its edge has risen: half the way it travels in that time. */
export const criticalLength = law({
  name: 'Cable beyond which pulses double in full',
  symbol: 'l_c',
  unit: 'm',
  takes: { v: 'm/s', t_r: 's' },
  formula: 'v * t_r / 2',
  source: lines,
  range: { v: notNegative, t_r: notNegative },
  example: { of: { v: 150e6, t_r: 1e-7 }, gives: 7.5, from: 'by hand; guides print 7.5 m for 0.1 µs' },
  of: ({ v, t_r }) => (v * t_r) / 2,
});

/** What stands between drive and cable. H, F, Ω. */
export interface PulseFilter {
  readonly inductance: number;
  /** What the core loses at these frequencies, as a resistance beside the coil. */
  readonly beside: number;
  /** To earth behind the coil, with a resistance in series; 0 where there is none. */
  readonly capacitance: number;
  readonly damping: number;
}

/** A pulse on a motor cable. V, s, m, m/s, Ω. */
export interface PulseSpec {
  /** What the drive switches: its DC bus. */
  readonly step: number;
  /** Of its edge, a straight ramp; above 0. */
  readonly riseTime: number;
  readonly length: number;
  readonly speed: number;
  /** Surge impedance of the cable. */
  readonly surge: number;
  /** What the motor reflects, 0 to 1; 1 is an open end. */
  readonly reflection: number;
  readonly filter?: PulseFilter | undefined;
}

/** An edge of unit height that rises in t_r. */
const edge = (t: number, riseTime: number): number => Math.min(1, Math.max(0, t / riseTime));

/**
 * Highest voltage in V at the motor's terminals after one edge, by the lattice of reflections: the motor returns its
 * share, the drive returns everything turned. Between the corners of a lattice of ramps the voltage is straight, so the
 * corners alone are looked at; with a filter the waves are followed in time (Bergeron's method: the cable is a delay
 * between two surge impedances, the filter is stepped before it).
 */
export function pulsePeak(spec: PulseSpec): number {
  if (spec.length <= 0) return spec.step;
  return spec.filter ? filteredPeak(spec, spec.filter) : latticePeak(spec);
}

function latticePeak({ step, riseTime, length, speed, reflection }: PulseSpec): number {
  const delay = length / speed;
  // An edge much slower than the cable only just overshoots: by no more than the part of it that one return takes.
  const returns = riseTime / (2 * delay);
  if (returns > 60) return step * (1 + 1 / returns);
  // After the first edge has levelled the pattern only repeats, and fades.
  const corners = Math.ceil(returns) + 4;
  const at = (t: number): number => {
    let sum = 0;
    for (let k = 0, share = 1; (2 * k + 1) * delay < t; k++, share *= -reflection)
      sum += share * edge(t - (2 * k + 1) * delay, riseTime);
    return (1 + reflection) * step * sum;
  };
  let peak = step;
  for (let k = 0; k <= corners; k++) peak = Math.max(peak, at((2 * k + 1) * delay), at((2 * k + 1) * delay + riseTime));
  return peak;
}

function filteredPeak({ step, riseTime, length, speed, surge, reflection }: PulseSpec, filter: PulseFilter): number {
  const delay = length / speed;
  const ring = Math.sqrt(filter.inductance * (filter.capacitance + length / (speed * surge)));
  const time = 2 * Math.PI * ring + 4 * delay + riseTime;
  const h = Math.min(
    delay / 4,
    ring / 40,
    filter.capacitance > 0 ? (filter.capacitance * filter.damping) / 4 : Infinity,
  );
  const back = Math.max(1, Math.round((2 * delay) / h));
  const sent = new Float64Array(back);
  let [coil, held, peak] = [0, 0, 0];
  const shunt = filter.capacitance > 0 ? 1 / filter.damping : 0;
  const through = 1 / filter.beside + 1 / surge + shunt;
  const most = Math.min(40_000, Math.ceil(time / h));
  for (let n = 0; n < most; n++) {
    const drive = step * edge(n * h, riseTime);
    // The wave that the motor returned reaches the filter two delays after it left.
    const left = sent[n % back] ?? 0;
    const returned = reflection * left;
    const node = (coil + drive / filter.beside + (2 * returned) / surge + held * shunt) / through;
    coil += ((drive - node) / filter.inductance) * h;
    if (shunt > 0) held += (((node - held) * shunt) / filter.capacitance) * h;
    sent[n % back] = node - returned;
    peak = Math.max(peak, (1 + reflection) * left);
  }
  return Math.max(step, peak);
}

/** A cable of one drive that branches to several motors. V, s, m, m/s. */
export interface BranchedSpec {
  readonly step: number;
  readonly riseTime: number;
  /** From the drive to where it branches, and from there to each motor; above 0. */
  readonly trunk: number;
  readonly branch: number;
  readonly speed: number;
  /** 1 or more. */
  readonly motors: number;
}

/**
 * Highest voltage in V at the motors of a cable that branches, one surge impedance throughout, open ends and no loss:
 * waves followed in time over the first four of their returns. Branches from the drive's own terminals do not meet:
 * it holds its voltage.
 */
export function branchedPeak({ step, riseTime, trunk, branch, speed, motors }: BranchedSpec): number {
  const h = Math.min(trunk / speed, branch / speed, Math.max(riseTime, trunk / speed / 50)) / 16;
  const [far, near] = [Math.max(1, Math.round(trunk / speed / h)), Math.max(1, Math.round(branch / speed / h))];
  const steps = Math.min(60_000, 8 * (far + near) + Math.ceil(riseTime / h));
  // Waves under way: to the junction and back, to a motor and back.
  const [out, home, to, from] = [
    new Float64Array(far),
    new Float64Array(far),
    new Float64Array(near),
    new Float64Array(near),
  ];
  let peak = step;
  for (let n = 0; n < steps; n++) {
    const [i, j] = [n % far, n % near];
    const [arriving, returned, atMotor, back] = [out[i] ?? 0, home[i] ?? 0, to[j] ?? 0, from[j] ?? 0];
    const junction = (2 * (arriving + motors * back)) / (1 + motors);
    peak = Math.max(peak, 2 * atMotor);
    out[i] = step * edge(n * h, riseTime) - returned;
    home[i] = junction - arriving;
    to[j] = junction - back;
    from[j] = atMotor;
  }
  return peak;
}

/**
 * Crest at the open end of a bare cable, by the lattice of reflections. Never less than a slower edge gives:
 * how steep a
 * drive switches is known as a limit only.
 */
export const terminalPulse = law({
  name: 'Pulse at the end of the cable',
  symbol: 'U_pk',
  unit: 'V',
  takes: { U: 'V', l: 'm', v: 'm/s', t_r: 's' },
  formula:
    'reflections of an edge of √2 U that rises in t_r, added up by their lattice; never less than slower edges give',
  source: lines,
  method: true,
  range: { U: notNegative, l: notNegative, v: notNegative, t_r: notNegative },
  example: {
    of: { U: 480, l: 30, v: 150e6, t_r: 1e-7 },
    gives: 1357.6,
    from: 'twice the bus, for the cable is four times the critical length',
  },
  of: ({ U, l, v, t_r }) => {
    const at = (riseTime: number): number =>
      pulsePeak({ step: Math.SQRT2 * U, riseTime, length: l, speed: v, surge: 1, reflection: 1 });
    // Overshoots are highest where an edge takes an odd number of returns: the next slower of these gives most.
    const twice = (2 * l) / v;
    const odd = 2 * Math.ceil((t_r / twice - 1) / 2) + 1;
    return odd > 1 ? Math.max(at(t_r), at(odd * twice)) : at(t_r);
  },
});

/** Rise time from which on a cable's reflections stay within what the winding bears. */
export const slowestEdge = law({
  name: 'Rise time from which the winding bears it bare',
  symbol: 't_r,min',
  unit: 's',
  takes: { U: 'V', l: 'm', v: 'm/s', U_w: 'V' },
  formula: '4 * sqrt(2) * U * l / (v * U_w)',
  source: lines,
  range: { U: notNegative, l: notNegative, v: notNegative, U_w: notNegative },
  example: { of: { U: 480, l: 30, v: 150e6, U_w: 1000 }, gives: 5.43e-7, from: 'by hand: 2 · 679 V · 0.4 µs ÷ 1000 V' },
  of: ({ U, l, v, U_w }) => (4 * Math.SQRT2 * U * l) / (v * U_w),
});

/** What edges charge a cable with: each sends a wave there and back, at two edges a period of the carrier. */
export const chargingCurrent = law({
  name: 'Charging current of the motor cable',
  symbol: 'I_ch',
  unit: 'A',
  takes: { U: 'V', l: 'm', v: 'm/s', Z_0: 'ohm', f_c: 'Hz' },
  formula: 'sqrt(2) * U / Z_0 * sqrt(min(1, 4 * l * f_c / v))',
  source: lines,
  estimate: { basis: 'a cable whose end is open and whose waves have died out before the next edge', band: [0.5, 1.5] },
  range: { U: notNegative, l: notNegative, v: positive, Z_0: positive, f_c: notNegative },
  example: {
    of: { U: 400, l: 100, v: 150e6, Z_0: 80, f_c: 4000 },
    gives: 0.7303,
    from: 'by hand: 7.071 A for 1.33 µs at 8000 edges a second, √0.01067 of the time',
  },
  of: ({ U, l, v, Z_0, f_c }) => ((Math.SQRT2 * U) / Z_0) * Math.sqrt(Math.min(1, (4 * l * f_c) / v)),
});
