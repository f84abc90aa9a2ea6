import { bearingDrag, driveClass, lossBraking, usualCapacitance } from '../practice';
import { driveLossAt, type DrivenMachine, type StartCase } from '../physics';

/** A motor of so many W on its bench, behind a drive of `rated` A and its overload, whose load may hang. */
export function drivenMachine(
  bench: StartCase,
  of: Readonly<Record<'power' | 'rated' | 'overload', number>> & { readonly hangs: boolean },
): DrivenMachine | undefined {
  const line = bench.feed.voltage;
  const cls = driveClass(line);
  if (!cls) return undefined;
  return {
    ...of,
    circuit: bench.circuit,
    inertia: bench.inertia,
    load: bench.load,
    ratedTorque: bench.ratedTorque,
    drag: bearingDrag.value * bench.ratedTorque,
    line,
    trip: cls.trip,
    chopper: cls.chopper,
    capacitance: usualCapacitance(of.power, line),
    lossBraking: lossBraking.value,
    idleLoss: driveLossAt(0),
  };
}
