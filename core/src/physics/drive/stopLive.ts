import { LiveDrive, type DrivenMachine, type DriveFault, type DriveProgram } from './live';

/** A stop followed in time: columns in s, r/min, N·m, A, V at the motor, V, W, and the fault that ended it. */
export interface SimulatedStop {
  readonly time: Float64Array;
  readonly speed: Float64Array;
  readonly torque: Float64Array;
  readonly current: Float64Array;
  readonly voltage: Float64Array;
  readonly bus: Float64Array;
  readonly resistor: Float64Array;
  readonly fault: DriveFault;
  /** s until it stands, tripped or not; undefined where it still turns after ten minutes. */
  readonly stands: number | undefined;
  /** The same where it stands as it was programmed; undefined where it trips. */
  readonly stopped: number | undefined;
}

const rows = 160;
const longestStop = 600;

/**
 * Stops a machine that runs at n r/min, as it is programmed, with `load` × its load. `about`: s that it will take, for
 * the chart's rows.
 */
export function stopOnDrive(
  machine: DrivenMachine,
  program: DriveProgram,
  n: number,
  about: number,
  load = 1,
): SimulatedStop {
  const drive = new LiveDrive(machine);
  drive.take({ ...program, flyingStart: true, linkLost: 0, restarts: 0 });
  drive.turning(n);
  drive.spoil({ load });
  const f = (n * machine.circuit.frequency) / machine.circuit.ratedSpeed;
  const range = program.greatestFrequency - program.leastFrequency;
  drive.order({ run: true, reference: range > 0 ? (f - program.leastFrequency) / range : 1 });
  drive.turning(n, true);
  drive.advance(0.01);
  const from = drive.reading.time;
  drive.order({ run: false });
  const columns = Array.from({ length: 7 }, () => new Float64Array(3 * rows));
  const h = Math.max(0.005, about / rows);
  let row = 0;
  let stopped: number | undefined;
  while (row < 3 * rows) {
    const r = drive.reading;
    for (const [k, value] of [r.time - from, r.speed, r.torque, r.current, r.voltage, r.bus, r.resistor].entries())
      columns[k]?.fill(value, row, row + 1);
    row++;
    if (stopped !== undefined || r.time - from > longestStop) break;
    drive.advance(h, h);
    if (drive.reading.state === 'ready' || drive.reading.speed <= 0) stopped = drive.reading.time - from;
  }
  const [time, speed, torque, current, voltage, bus, resistor] = columns.map((c) => c.slice(0, row));
  const none = new Float64Array(0);
  const { fault } = drive.reading;
  return {
    time: time ?? none,
    speed: speed ?? none,
    torque: torque ?? none,
    current: current ?? none,
    voltage: voltage ?? none,
    bus: bus ?? none,
    resistor: resistor ?? none,
    fault,
    stopped: fault === 'none' ? stopped : undefined,
    stands: stopped,
  };
}
