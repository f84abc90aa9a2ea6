import type { Case, Result } from '../case';
import type { Motor } from '../catalogue';
import { commonPractice, methodNames, type FigureId, type Source } from '../contract';
import { simulate } from '../physics';
import { faultWithMotors, fullSource, practiceById, runningMotorsAdd, type FeederMotor } from '../practice';
import { q, writeQuantity } from '../quantity';
import { planFor } from '../runs';
import { countedBy, sourceRating, type Starting } from '../stations';
import { solveWith } from './solve';

/** A position whose case says that it hangs on the board. */
export interface BoardMember {
  readonly id: string;
  readonly tag: string;
  readonly name: string;
  readonly input: Case;
}

/** One motor of a board, as its own case was answered. A; null where that is not known. */
export interface BoardMotor {
  readonly id: string;
  readonly tag: string;
  readonly name: string;
  readonly motor: string;
  readonly method: string;
  readonly current: number;
  readonly device: number | null;
  readonly starting: number | null;
}

/** A board with all that hangs on it. A, shares. */
export interface Board {
  readonly motors: readonly BoardMotor[];
  /** Positions without an answer yet. */
  readonly open: readonly { readonly id: string; readonly tag: string; readonly name: string }[];
  readonly feeder: { readonly value: number; readonly source: Source } | null;
  /** Null where a branch device is not known, which the code counts by. */
  readonly device: { readonly value: number; readonly source: Source } | null;
  readonly fault: number | null;
  readonly faultWithMotors: number | null;
  /** The largest start while the others run: dip of the bus against its voltage with nothing running, simulated. */
  readonly largest: {
    readonly tag: string;
    readonly peak: number;
    readonly dip: number;
    /** The dip it makes with nothing else running. */
    readonly alone: number;
    readonly comesUp: boolean;
  } | null;
  /** What the source still bears: its rated current, less all that runs; null where it has no rating. */
  readonly spare: number | null;
  readonly remarks: readonly string[];
}

/** Power factor of motors that run, together: common practice. */
export const runningPowerFactor = { value: 0.85, source: commonPractice('Motors running together, 0.8 to 0.9') };

/**
 * Adds up what hangs on one board. Each case is solved; the largest start is simulated on the source with the others'
 * impedance beside it.
 */
export function boardOf(members: readonly BoardMember[], shelf: readonly Motor[] = []): Board {
  const solved = members.map((m) => ({ member: m, ...solveWith(m.input, shelf, 1) }));
  const motors = solved.flatMap(({ member, result, starting }) => {
    const motor = motorOf(member, result);
    return motor ? [{ ...motor, result, start: starting }] : [];
  });
  const there = new Set(motors.map((m) => m.id));
  const open = members.filter((m) => !there.has(m.id)).map(({ id, tag, name }) => ({ id, tag, name }));
  const remarks: string[] = [];
  const practices = new Set(members.map((m) => m.input.practice));
  if (practices.size > 1) remarks.push('Positions of both practices hang on it: it is added up by the first one’s.');
  const voltages = new Set(members.flatMap((m) => m.input.supply?.voltage?.value ?? []));
  if (voltages.size > 1) remarks.push('Its positions do not say the same voltage: see which of them is wrong.');
  const sources = new Set(
    members.flatMap((m) => (m.input.supply?.source ? [JSON.stringify(m.input.supply.source)] : [])),
  );
  if (sources.size > 1) remarks.push('Its positions do not describe the same source: the first one’s is taken.');
  const practice = practiceById(members[0]?.input.practice ?? 'iec');
  const fed = motors.find((m) => m.result.figures['start.faultCurrent']);
  const fault = fed?.result.figures['start.faultCurrent']?.value ?? null;
  const sum = motors.reduce((all, m) => all + m.current, 0);
  const list = motors.map((m): FeederMotor => ({
    current: m.current,
    ...(m.device === null ? {} : { device: m.device }),
  }));
  const feeder = motors.length > 0 ? practice.feeder(list, 0) : undefined;
  const source = members.find((m) => m.input.supply?.source)?.input.supply;
  const rating = sourceRating(source?.source);
  const bears = rating !== undefined && source?.voltage ? rating / (Math.sqrt(3) * source.voltage.value) : undefined;
  const spare = bears === undefined ? null : bears - sum;
  // By the same share as one position's own: a board's sum is the board's to tell.
  if (bears !== undefined && sum > fullSource * bears)
    remarks.push(
      `Running together its motors take ${writeQuantity(q(sum, 'A'), 'A')} of the ` +
        `${writeQuantity(q(bears, 'A'), 'A')} that its source gives: ` +
        (sum > bears ? 'a larger one, or fewer at once.' : 'little is left for whatever else hangs there.'),
    );
  return {
    motors: motors.map(({ result: _result, start: _start, ...told }) => told),
    open,
    feeder: feeder ? { value: feeder.current, source: feeder.source } : null,
    device: feeder?.device === undefined ? null : { value: feeder.device, source: feeder.deviceSource },
    fault,
    faultWithMotors:
      fault === null
        ? null
        : faultWithMotors.of({ I_k: q(fault, 'A'), k: q(runningMotorsAdd.value, '1'), I_M: q(sum, 'A') }),
    largest: largestOf(motors, fed?.result.figures['start.sourceImpedance']?.value),
    spare,
    remarks,
  };
}

function motorOf({ id, tag, name, input }: BoardMember, { figures, subject }: Result): BoardMotor | undefined {
  const value = (figure: FigureId): number | undefined => figures[figure]?.value;
  const current = value('guard.tableCurrent') ?? value('guard.overloadDial');
  if (!subject || current === undefined) return undefined;
  const { method } = subject;
  const kind = input.guard?.device ?? practiceById(input.practice).usualDevice;
  const rating = countedBy[kind];
  const device = method === 'drive' || rating === undefined ? undefined : value(rating);
  return {
    ...{ id, tag, name, motor: subject.name, current },
    method: method === null ? 'not chosen' : methodNames[method],
    device: device ?? null,
    starting: method === null ? null : (value(`start.${method}.peakCurrent`) ?? null),
  };
}

/** A motor of the board with its own start, ready to be simulated on another source. */
type Startable = BoardMotor & { readonly start: Starting | null };

/** The largest start on the line, with the others' impedance beside the source. */
function largestOf(motors: readonly Startable[], reactance: number | undefined): Board['largest'] {
  let worst: Board['largest'] = null;
  for (const m of motors) {
    if (!m.start || m.start.method === 'drive' || reactance === undefined) continue;
    const { bench, aim, settings, usual, method } = m.start;
    const { plan } = planFor(settings, method, bench, aim, usual);
    const { voltage } = bench.feed;
    const others = motors.reduce((all, o) => all + (o === m ? 0 : o.current), 0);
    const before = beside(voltage, reactance, others);
    const alone = simulate({ ...bench, feed: { ...bench.feed, resistance: 0, reactance } }, plan);
    const run = simulate({ ...bench, feed: { ...bench.feed, ...before } }, plan);
    const dip = 1 - (1 - run.dip) * (before.voltage / voltage);
    if (worst === null || run.peakLine > worst.peak)
      worst = { tag: m.tag, peak: run.peakLine, dip, alone: alone.dip, comesUp: run.outcome === 'running' };
  }
  return worst;
}

/** The source as a motor sees it that starts while others draw I A: voltage V, and Ω a phase. */
export function beside(
  voltage: number,
  reactance: number,
  current: number,
): { readonly voltage: number; readonly resistance: number; readonly reactance: number } {
  if (current <= 0) return { voltage, resistance: 0, reactance };
  const z = voltage / (Math.sqrt(3) * current);
  const [r, x] = [z * runningPowerFactor.value, z * Math.sqrt(1 - runningPowerFactor.value ** 2)];
  // jX beside r + jx: jX·(r + jx) ÷ (r + j(x + X)).
  const square = r * r + (x + reactance) ** 2;
  return {
    voltage: (voltage * z) / Math.sqrt(square),
    resistance: (reactance * reactance * r) / square,
    reactance: (reactance * (r * r + x * (x + reactance))) / square,
  };
}
