import type { DriveSetting } from '../../case';
import { commonPractice, filterNames } from '../../contract';
import { numberOf, type Needs, type Subject, type Walk } from '../../needs';
import { isVariableTorque } from '../../physics';
import { lossBraking } from '../../practice';
import { q, writeQuantity } from '../../quantity';
import { triedOf } from '../../runs';

/** Carrier of a generic drive where nobody says, Hz: quiet enough, and its rating holds (common practice). */
const usualCarrier = 4000;

const usual = commonPractice('Commissioning of drives').title;

/**
 * What to program, in generic words: each value with its reason, where it comes from, and what goes wrong otherwise.
 */
export function programOf(walk: Walk, needs: Needs, subject: Subject): readonly DriveSetting[] {
  const { input, w } = walk;
  const text = (id: Parameters<typeof w.figures.get>[0]): string => w.figures.get(id)?.text ?? '';
  const frequency = needs.supply.frequency;
  const rated = numberOf(w, subject.speed);
  const current = numberOf(w, subject.current);
  const voltage = numberOf(w, subject.voltage);
  const power = numberOf(w, subject.power);
  if (rated === undefined || current === undefined || voltage === undefined || power === undefined) return [];
  const hertz = (speed: number): string => `${((frequency * speed) / rated).toFixed(1)} Hz`;
  const { speed, load } = needs;
  const machine = input.load?.machine ?? '';
  const fluid = /fan|pump|blower/.test(machine);
  const hoist = input.load?.demand?.kind === 'hoist';
  const rows: DriveSetting[] = [];
  const add = (id: string, name: string, value: string, why: string, otherwise: string, source = usual): void => {
    if (value !== '') rows.push({ id, name, value, why, otherwise, source });
  };
  add(
    'motor-voltage',
    'Motor voltage',
    writeQuantity(q(voltage, 'V'), 'V'),
    'from the plate, as it is connected',
    'wrong flux: it saturates and heats, or has no torque',
    'plate',
  );
  add(
    'motor-frequency',
    'Motor frequency',
    `${subject.motor?.frequency ?? input.plate?.frequency?.value ?? frequency} Hz`,
    'from the plate',
    'volts per hertz off: too much flux, or too little',
    'plate',
  );
  add(
    'motor-current',
    'Motor current',
    writeQuantity(q(current, 'A'), 'A'),
    'from the plate: overload and limits count by it',
    'set to the drive’s own current the motor is not guarded',
    'plate',
  );
  add(
    'motor-speed',
    'Motor speed',
    writeQuantity(q(rated, 'rpm'), 'rpm'),
    'from the plate: gives the slip',
    'speed sags under load, or vector control hunts',
    'plate',
  );
  add(
    'motor-power',
    'Motor power',
    writeQuantity(q(power, 'W'), 'W', walk.practice.words.units),
    'from the plate',
    'its model of the motor is another motor',
    'plate',
  );
  add(
    'overload-current',
    'Overload reference',
    text('guard.overloadDial') || writeQuantity(q(current, 'A'), 'A'),
    'the plate current; less air at low speed counted',
    'higher: it burns at low speed; lower: it trips at load',
  );
  add('overload-class', 'Overload class', '10', 'no starting surge has to pass', 'a slow class burns a stalled motor');
  const settings = subject.motor ? (triedOf(needs, subject.motor, 'drive')?.planned.settings ?? []) : [];
  const planned = (path: string): { readonly text: string } | undefined => settings.find((s) => s.path === path);
  add(
    'current-limit',
    'Current limit',
    planned('start.drive.limit')?.text ?? `${text('drive.overload')} × plate`,
    'above the overload, below what drive and motor bear',
    'at the plate current every acceleration trips or hangs',
    'simulated start',
  );
  add(
    'ramp-up',
    'Ramp up',
    planned('start.drive.ramp')?.text ?? '',
    'from the simulated start: within the limit',
    'shorter: it hangs at its limit; longer: waits for nothing',
    'simulated start',
  );
  const stop = input.drive?.braking?.kind === 'coast' ? 'coast' : text('drive.stopTime');
  add(
    'ramp-down',
    stop === 'coast' ? 'Stop' : 'Ramp down',
    stop,
    stop === 'coast' ? 'as asked' : 'the quickest its bus bears, or as asked',
    'shorter: the bus trips on overvoltage',
    lossBraking.source.title,
  );
  add(
    'jerk',
    'S-curve',
    hoist || /conveyor|elevator/.test(machine) ? '20 %' : '0 %',
    hoist || /conveyor|elevator/.test(machine)
      ? 'what hangs or lies on it must not jerk'
      : 'nothing here minds a corner',
    'belts slip, loads swing',
  );
  add(
    'least-speed',
    'Least speed',
    hertz(speed.variable ? speed.min * load.speed : load.speed),
    speed.variable ? 'as asked; the motor bears it' : 'it runs at one speed',
    'lower: it overheats, or does not move what it should',
    'case',
  );
  add(
    'greatest-speed',
    'Greatest speed',
    hertz(Math.max(1, speed.max) * load.speed),
    'as asked, within what motor and machine bear',
    'higher: power with the cube on a fan, and a burst wheel',
    'case',
  );
  add(
    'carrier',
    'Carrier',
    input.drive?.carrier?.text ?? `${usualCarrier / 1000} kHz (not said)`,
    'its rating holds there',
    'higher: the drive derates and cables charge; lower: it sings',
  );
  add(
    'filter',
    'Output filter',
    filterNames[input.drive?.filter ?? 'none'],
    'as the cable asks',
    'a sine filter not told to the drive trips it or swings',
    'case',
  );
  const closed = input.drive?.encoder === true;
  add(
    'control',
    'Control',
    (needs.drive?.motors ?? 1) > 1
      ? 'volts per hertz'
      : (planned('start.drive.control')?.text ??
          (closed ? 'vector with encoder' : isVariableTorque(load.shape) ? 'volts per hertz' : 'vector, no encoder')),
    closed ? 'an encoder is there' : 'the torque at low speed it must give',
    'several motors on vector, or a hoist on volts per hertz, do not hold',
  );
  add(
    'boost',
    'Boost',
    planned('start.drive.boost')?.text ?? (isVariableTorque(load.shape) ? '2 %' : 'automatic'),
    'volts lost in the winding at low frequency',
    'more: it heats at standstill; less: it does not break away',
  );
  add(
    'skip',
    'Skip bands',
    'set while it runs: where it sings or shakes, ± 1 Hz',
    'resonances are found, not computed',
    'it is torn apart slowly',
  );
  add(
    'flying-start',
    'Flying start',
    fluid ? 'on' : 'off',
    fluid ? 'a fan windmills, a pump runs backwards before it starts' : 'it stands before it starts',
    'caught turning, the drive trips on overcurrent or overvoltage',
  );
  add(
    'ride-through',
    'Ride through',
    hoist ? 'off' : 'on, kinetic',
    hoist ? 'a load that hangs must not go on by itself' : 'a dip need not stop it: what turns feeds the bus',
    'every dip stops the plant',
  );
  add(
    'restart',
    'Restart',
    input.guard?.restart === 'automatic' ? 'by itself, three times an hour' : 'by hand',
    input.guard?.restart === 'automatic' ? 'as decided at Guard' : 'it must not move by itself',
    'somebody is hurt',
  );
  tellReference(input, add);
  if (fluid && speed.variable) {
    add(
      'set-point',
      'Set-point control',
      'PI, slow: pressure or flow',
      'speed follows the need',
      'by hand nobody turns it down',
    );
    add(
      'sleep',
      'Sleep',
      `below ${hertz(speed.min * load.speed)} for 60 s, wake at 95 % of the set point`,
      'at no flow it only churns',
      'it cooks the water, or hunts',
    );
  }
  add(
    'flux',
    'Energy-saving flux',
    isVariableTorque(load.shape) && speed.variable ? 'on' : 'off',
    isVariableTorque(load.shape) ? 'a light load needs less flux' : 'torque may be asked at once',
    'with quick loads it stalls',
  );
  add('phase-loss', 'Phase loss', 'trip', 'in and out', 'the rectifier burns on two lines');
  if (input.guard?.watch?.windingSensor)
    add('sensor', 'Winding sensor', 'trip', 'decided at Guard', 'a motor with little air burns unseen', 'case');
  return rows;
}

function tellReference(
  input: Walk['input'],
  add: (id: string, name: string, value: string, why: string, otherwise: string, source?: string) => void,
): void {
  const command = input.drive?.command ?? [];
  const words = { keypad: 'keypad', contacts: 'contacts', analogue: 'analogue signal', network: 'network' } as const;
  add(
    'command',
    'Commanded by',
    command.length === 0 ? 'contacts (not said)' : command.map((c) => words[c]).join(', '),
    'decides inputs, outputs and wires to buy',
    'it starts from where nobody looks',
    'case',
  );
  if (command.includes('analogue')) {
    add(
      'reference',
      'Reference',
      '4 to 20 mA, 4 mA least, 20 mA greatest speed',
      'its live zero tells a broken wire',
      'a dead zero looks like “stop” or runs on',
    );
    add(
      'reference-lost',
      'Reference lost',
      'below 3 mA: hold the speed, alarm, stop after 30 s',
      'a broken wire is seen',
      'it runs away, or stops the plant at once',
    );
  }
  if (command.includes('network'))
    add(
      'link-lost',
      'Link lost',
      'after 3 s: stop by ramp, alarm',
      'nobody can stop it by the link any more',
      'it runs on with nobody at the wheel',
    );
}

/** Inputs and outputs that the way of command asks for, as a buying line. */
export function commandLine(input: Walk['input']): string {
  const command = input.drive?.command ?? [];
  const parts = [
    command.includes('contacts') && '4 digital inputs (run, direction, reset, release), 2 relays (ready, fault)',
    command.includes('analogue') && '1 analogue input and 1 output, 4–20 mA',
    command.includes('network') && 'a port for the plant’s network',
    command.includes('keypad') && 'a keypad, in the door',
    input.drive?.safeTorqueOff === true && 'safe torque off, two channels',
    input.drive?.encoder === true && 'an encoder input',
  ].filter(Boolean);
  return parts.join('; ');
}
