import { deviceNames, remembered, type Earthing } from '../../contract';
import { field, prescribed, type Given, exceeds } from '../../law';
import { disconnectionOf, isUnearthed, numberOf, type Subject, type Walk } from '../../needs';
import { earthFaultAtEnd, faultAtEnd, faultWithMotors, runningMotorsAdd, secondFaultAtEnd } from '../../practice';
import { q, writeQuantity } from '../../quantity';
import type { Circuit } from './cable';
import type { DeviceTaken } from './chart';
import type { RelayTaken } from './relay';

/** Available fault current at the starter and at the motor's end, against what the panel is rated for. */
export function tellFault(walk: Walk, subject: Subject, circuit: Circuit | undefined): void {
  const { input, practice, w } = walk;
  const available = w.figures.get('start.faultCurrent');
  const fields = ['supply.source'];
  tellSlash(walk);
  if (!available) {
    w.finding(
      'guard.no-fault-level',
      'caution',
      'The fault current at the starter is not known: nothing here can be bought before it is. Describe the source, ' +
        'or ask the supplier of power for it.',
      { fields },
    );
    return;
  }
  const { value, source } = available;
  w.stated('guard.availableFault', 'A', q(value, 'A'), source, { symbol: 'I_k' });
  const others = (input.guard?.feeder?.motors ?? []).reduce((sum, m) => sum + (m.current?.value ?? 0), 0);
  if (others > 0)
    w.figure('guard.faultWithMotors', faultWithMotors, {
      I_k: 'guard.availableFault',
      k: prescribed(q(runningMotorsAdd.value, '1'), runningMotorsAdd.source),
      I_M: { ...field('guard.feeder.motors', q(others, 'A')), text: `${writeQuantity(others, 'A')} beside this one` },
    });
  const level = w.figures.has('guard.faultWithMotors') ? 'guard.faultWithMotors' : 'guard.availableFault';
  const flows = w.figures.get(level)?.value ?? value;
  const rated = input.guard?.assemblyRating;
  if (rated && exceeds(flows, rated.value))
    w.finding(
      'guard.fault-too-high',
      'stop',
      `${writeQuantity(flows, 'A')} may flow at a fault, the panel is rated for ${rated.text}: a panel with a higher ` +
        'rating, devices that limit the current, or more impedance before it.',
      { fields: ['guard.assemblyRating', ...fields], figures: [level] },
    );
  const power = numberOf(w, subject.power);
  const unmarked = power === undefined || subject.method === 'drive' ? undefined : practice.defaultFaultRating?.(power);
  if (unmarked) w.stated('guard.unmarkedRating', 'A', q(unmarked.value, 'A'), unmarked.source, { symbol: 'I_q' });
  const voltage = input.supply?.voltage;
  if (!circuit?.impedance || !voltage) return;
  w.figure('guard.faultAtMotor', faultAtEnd, {
    U: field('supply.voltage', voltage.value, voltage.text),
    Z_s: 'start.sourceImpedance',
    R: circuit.impedance.resistance,
    X: circuit.impedance.reactance,
  });
}

/** Where no combination is known and the panel has no rating: what its parts count as. */
export function judgeUnmarked({ input, w }: Walk): void {
  const unmarked = w.figures.get('guard.unmarkedRating');
  const level = w.figures.has('guard.faultWithMotors') ? 'guard.faultWithMotors' : 'guard.availableFault';
  const flows = w.figures.get(level);
  if (input.guard?.assemblyRating || !unmarked || !flows || !exceeds(flows.value, unmarked.value)) return;
  w.finding(
    'guard.unmarked',
    'caution',
    `A controller that is marked with no short-circuit rating counts as ${unmarked.text}; ${flows.text} may flow. ` +
      'Buy one marked for it, as a combination, and give the panel’s rating.',
    { fields: ['guard.assemblyRating'], figures: ['guard.unmarkedRating', level], source: unmarked.source },
  );
}

const heldAs: Readonly<Record<Earthing, string>> = {
  solid: 'earthed solidly',
  'high-resistance': 'earthed through a resistor',
  isolated: 'that is not earthed',
  corner: 'with a corner of its delta earthed',
  unknown: 'whose star point nobody described',
};

/** Devices marked 480Y/277 and the like, on a source whose star point is not solidly earthed. */
function tellSlash({ input, practice, w }: Walk): void {
  const supply = input.supply;
  const slash = practice.slashRated?.(supply?.voltage?.value ?? 0, supply?.earthing);
  if (slash?.value !== 'excluded') return;
  w.finding(
    'guard.slash-rated',
    'caution',
    `On a source ${heldAs[supply?.earthing ?? 'unknown']} a device marked with two voltages, such as 480Y/277, is ` +
      'not permitted: take one marked with the full voltage alone.',
    { fields: ['supply.earthing'], source: slash.source },
  );
}

/** An earth fault at the motor's end, and whether the device is off in time. */
export function tellEarthFault(
  { input, practice, w }: Walk,
  circuit: Circuit | undefined,
  device: DeviceTaken | undefined,
  relay: RelayTaken | undefined,
): void {
  const voltage = input.supply?.voltage;
  const earth = w.figures.get('guard.earthArea');
  const held = input.supply?.earthing;
  if (!practice.disconnection || !circuit?.impedance || !voltage || !device || !earth) return;
  if (!w.figures.has('guard.availableFault') || held === 'corner') return;
  const second = isUnearthed(input);
  const { resistance, reactance } = circuit.impedance;
  const share = (circuit.conductors.size.area * circuit.conductors.count) / earth.value;
  const R_PE: Given<'ohm'> = prescribed(q((resistance.value ?? 0) * share, 'ohm'), circuit.laid.impedanceSource);
  w.figure(
    'guard.earthFault',
    second ? secondFaultAtEnd : earthFaultAtEnd,
    {
      U: field('supply.voltage', voltage.value, voltage.text),
      Z_s: 'start.sourceImpedance',
      R: resistance,
      R_PE,
      X: reactance,
    },
    held === undefined
      ? {
          assumed: [
            { field: 'supply.earthing', value: 'solid', why: 'not given: an earthed star with its earth (TN)' },
          ],
        }
      : {},
  );
  const flows = w.figures.get('guard.earthFault')?.value;
  const dial = w.figures.get('guard.overloadDial')?.value ?? device.rating;
  const off = disconnectionOf(practice, voltage.value, dial, { ...device, relay });
  if (!off) return;
  const { asked, within: time, source } = off;
  w.stated('guard.earthFaultAsked', 'A', q(asked, 'A'), source, {
    symbol: 'I_a',
    text: `${writeQuantity(asked, 'A')} (off within ${time} s)`,
  });
  if (flows === undefined || flows >= asked) return;
  w.finding(
    'guard.disconnection',
    'caution',
    `${second ? 'A second earth fault, in another circuit,' : 'An earth fault at the motor'} drives ` +
      `${writeQuantity(flows, 'A')}; the device wants ${writeQuantity(asked, 'A')} to be off within ${time} s: ` +
      'a larger earth conductor, a shorter way, or a ' +
      `${second ? 'device that opens sooner' : 'residual-current device'}.`,
    { fields: ['place.cable.length', 'guard.device'], figures: ['guard.earthFault', 'guard.earthFaultAsked'], source },
  );
}

/** Behind a drive: what flows to earth in service, and what may watch it. */
export function tellLeakage({ practice, w }: Walk, subject: Subject): void {
  if (subject.method !== 'drive' || practice.id !== 'iec') return;
  w.finding(
    'guard.leakage',
    'note',
    'A drive leaks more than 3.5 mA to earth in service: an earth conductor of 10 mm² copper at least, or two; ' +
      'where a residual-current device is asked, one of type B, and none of 30 mA for its filter.',
    {
      fields: ['method'],
      source: remembered('standard', 'IEC 61800-5-1', '2007', '4.3.5.5.2; IEC 60364-5-54, 543.7'),
    },
  );
}

/** A device that is permitted in a listed combination only, where none is known that has it. */
export function judgeListed({ input, practice, w }: Walk, { method }: Subject): void {
  const kind = input.guard?.device;
  if (kind === undefined || kind !== practice.onlyListed?.value || method === 'drive') return;
  w.finding(
    'guard.only-listed',
    'caution',
    `A ${deviceNames[kind]} is permitted only as part of a combination controller listed with it and adjusted so: ` +
      'none is known here. Buy the listed combination whole, or take another kind of device.',
    { fields: ['guard.device'], source: practice.onlyListed.source },
  );
}
