import type { DriveSetting } from '../../case';
import { commonPractice, filterNames } from '../../contract';
import { numberOf, type Needs, type Subject, type Walk } from '../../needs';
import { isVariableTorque } from '../../physics';
import { lossBraking } from '../../practice';
import { q, writeQuantity } from '../../quantity';
import { triedOf } from '../../runs';

/** Every setting in generic words: its name, and what goes wrong where it is set otherwise. */
const settings = {
  'motor-voltage': ['Motor voltage', 'wrong flux: it saturates and heats, or has no torque'],
  'motor-frequency': ['Motor frequency', 'volts per hertz off: too much flux, or too little'],
  'motor-current': ['Motor current', 'set to the drive’s own current the motor is not guarded'],
  'motor-speed': ['Motor speed', 'speed sags under load, or vector control hunts'],
  'motor-power': ['Motor power', 'its model of the motor is another motor'],
  'overload-current': ['Overload reference', 'higher: it burns at low speed; lower: it trips at load'],
  'overload-class': ['Overload class', 'a slow class burns a stalled motor'],
  'current-limit': ['Current limit', 'at the plate current every acceleration trips or hangs'],
  'ramp-up': ['Ramp up', 'shorter: it hangs at its limit; longer: waits for nothing'],
  'ramp-down': ['Ramp down', 'shorter: the bus trips on overvoltage'],
  jerk: ['S-curve', 'belts slip, loads swing'],
  'least-speed': ['Least speed', 'lower: it overheats, or does not move what it should'],
  'greatest-speed': ['Greatest speed', 'higher: power with the cube on a fan, and a burst wheel'],
  carrier: ['Carrier', 'higher: the drive derates and cables charge; lower: it sings'],
  filter: ['Output filter', 'a sine filter not told to the drive trips it or swings'],
  control: ['Control', 'several motors on vector, or a hoist on volts per hertz, do not hold'],
  boost: ['Boost', 'more: it heats at standstill; less: it does not break away'],
  skip: ['Skip bands', 'it is torn apart slowly'],
  'flying-start': ['Flying start', 'caught turning, the drive trips on overcurrent or overvoltage'],
  'ride-through': ['Ride through', 'every dip stops the plant'],
  restart: ['Restart', 'somebody is hurt'],
  command: ['Commanded by', 'it starts from where nobody looks'],
  reference: ['Reference', 'a dead zero looks like “stop” or runs on'],
  'reference-lost': ['Reference lost', 'it runs away, or stops the plant at once'],
  'link-lost': ['Link lost', 'it runs on with nobody at the wheel'],
  'set-point': ['Set-point control', 'by hand nobody turns it down'],
  sleep: ['Sleep', 'it cooks the water, or hunts'],
  flux: ['Energy-saving flux', 'with quick loads it stalls'],
  'phase-loss': ['Phase loss', 'the rectifier burns on two lines'],
  sensor: ['Winding sensor', 'a motor with little air burns unseen'],
} as const;

/** What a setting is here, why, and where that comes from; common practice where nothing is said. */
type Valued = readonly [id: keyof typeof settings, value: string, why: string, source?: string];

const usual = commonPractice('Commissioning of drives').title;

/** Carrier of a generic drive where nobody says, kHz: quiet enough, and its rating holds (common practice). */
const usualCarrier = 4;

/** What to program: each value with its reason, where it comes from, and what goes wrong otherwise. */
export function programOf(walk: Walk, needs: Needs, subject: Subject): readonly DriveSetting[] {
  const rows = [
    ...ofMotor(walk, subject),
    ...ofLimits(walk, needs, subject),
    ...ofSpeed(walk, needs, subject),
    ...ofBehaviour(walk, needs),
    ...ofCommand(walk),
  ];
  return rows.flatMap(([id, value, why, source = usual]) => {
    const [name, otherwise] = settings[id];
    return value === '' ? [] : [{ id, name, value, why, otherwise, source }];
  });
}

const frequencyOf = ({ input }: Walk, { motor }: Subject): number | undefined =>
  motor?.frequency ?? input.plate?.frequency?.value ?? input.supply?.frequency?.value;

function ofMotor(walk: Walk, subject: Subject): readonly Valued[] {
  const { w, practice } = walk;
  const said = (value: number | undefined, unit: 'V' | 'A' | 'rpm'): string =>
    value === undefined ? '' : writeQuantity(value, unit);
  const frequency = frequencyOf(walk, subject);
  const power = numberOf(w, subject.power);
  return [
    ['motor-voltage', said(numberOf(w, subject.voltage), 'V'), 'from the plate, as it is connected', 'plate'],
    ['motor-frequency', frequency === undefined ? '' : `${frequency} Hz`, 'from the plate', 'plate'],
    ['motor-current', said(numberOf(w, subject.current), 'A'), 'overload and limits count by it', 'plate'],
    ['motor-speed', said(numberOf(w, subject.speed), 'rpm'), 'gives the slip', 'plate'],
    [
      'motor-power',
      power === undefined ? '' : writeQuantity(q(power, 'W'), 'W', practice.words.units),
      'from the plate',
      'plate',
    ],
    [
      'overload-current',
      w.figures.get('guard.overloadDial')?.text ?? said(numberOf(w, subject.current), 'A'),
      'the plate current; less air at low speed counted',
    ],
    ['overload-class', '10', 'no starting surge has to pass'],
  ];
}

function ofLimits({ input, w }: Walk, needs: Needs, { motor }: Subject): readonly Valued[] {
  const run = motor ? (triedOf(needs, motor, 'drive')?.planned.settings ?? []) : [];
  const planned = (path: string): string | undefined => run.find((s) => s.path === path)?.text;
  const variable = isVariableTorque(needs.load.shape);
  const closed = input.drive?.encoder === true;
  const coasts = input.drive?.braking?.kind === 'coast';
  const swings = hangs(input) || /conveyor|elevator/.test(input.load?.machine ?? '');
  const vector = closed ? 'vector with encoder' : variable ? 'volts per hertz' : 'vector, no encoder';
  return [
    [
      'current-limit',
      planned('start.drive.limit') ?? `${w.figures.get('drive.overload')?.text ?? '1.5'} × plate`,
      'above the overload, below what drive and motor bear',
      'simulated start',
    ],
    ['ramp-up', planned('start.drive.ramp') ?? '', 'within the limit, as simulated', 'simulated start'],
    coasts
      ? ['ramp-down', 'none: it coasts', 'as asked', 'case']
      : [
          'ramp-down',
          w.figures.get('drive.stopTime')?.text ?? '',
          'the quickest its bus bears, or as asked',
          lossBraking.source.title,
        ],
    ['jerk', swings ? '20 %' : '0 %', swings ? 'what hangs or lies on it must not jerk' : 'nothing minds a corner'],
    [
      'carrier',
      input.drive?.carrier?.text ?? `${usualCarrier} kHz (not said)`,
      input.drive?.carrier ? 'as asked; its rating is derated for it' : 'its rating holds there',
    ],
    ['filter', filterNames[input.drive?.filter ?? 'none'], 'as the cable asks', 'case'],
    [
      'control',
      (needs.drive?.motors ?? 1) > 1 ? 'volts per hertz' : (planned('start.drive.control') ?? vector),
      closed ? 'an encoder is there' : 'the torque at low speed it must give',
    ],
    [
      'boost',
      planned('start.drive.boost') ?? (variable ? '2 %' : 'automatic'),
      'volts lost in the winding at low frequency',
    ],
  ];
}

function ofSpeed(walk: Walk, { speed, load }: Needs, subject: Subject): readonly Valued[] {
  const { input, w } = walk;
  const frequency = frequencyOf(walk, subject);
  const rated = numberOf(w, subject.speed);
  const hertz = (n: number): string =>
    frequency === undefined || rated === undefined ? '' : `${((frequency * n) / rated).toFixed(1)} Hz`;
  const least = speed.variable ? speed.min * load.speed : load.speed;
  const rows: Valued[] = [
    ['least-speed', hertz(least), speed.variable ? 'as asked; the motor bears it' : 'it runs at one speed', 'case'],
    ['greatest-speed', hertz(Math.max(1, speed.max) * load.speed), 'within what motor and machine bear', 'case'],
    ['skip', 'set while it runs: where it sings or shakes, ± 1 Hz', 'resonances are found, not computed'],
  ];
  if (!isFluid(input) || !speed.variable) return rows;
  return [
    ...rows,
    ['set-point', 'PI, slow: pressure or flow', 'speed follows the need'],
    ['sleep', `below ${hertz(least)} for 60 s, wake at 95 % of the set point`, 'at no flow it only churns'],
  ];
}

const isFluid = (input: Walk['input']): boolean => /fan|pump|blower/.test(input.load?.machine ?? '');
const hangs = (input: Walk['input']): boolean => input.load?.demand?.kind === 'hoist';

function ofBehaviour({ input }: Walk, { load, speed }: Needs): readonly Valued[] {
  const fluid = isFluid(input);
  const hoist = hangs(input);
  const alone = input.guard?.restart === 'automatic';
  const spares = isVariableTorque(load.shape) && speed.variable;
  return [
    [
      'flying-start',
      fluid ? 'on' : 'off',
      fluid ? 'a fan windmills, a pump runs backwards before it starts' : 'it stands before it starts',
    ],
    [
      'ride-through',
      hoist ? 'off' : 'on, kinetic',
      hoist ? 'a load that hangs must not go on by itself' : 'a dip need not stop it: what turns feeds the bus',
    ],
    [
      'restart',
      alone ? 'by itself, three times an hour' : 'by hand',
      alone ? 'as decided at Guard' : 'it must not move by itself',
    ],
    ['flux', spares ? 'on' : 'off', spares ? 'a light load needs less flux' : 'torque may be asked at once'],
    ['phase-loss', 'trip', 'in and out'],
    ['sensor', input.guard?.watch?.windingSensor ? 'trip' : '', 'decided at Guard', 'case'],
  ];
}

function ofCommand({ input }: Walk): readonly Valued[] {
  const command = input.drive?.command ?? [];
  const words = { keypad: 'keypad', contacts: 'contacts', analogue: 'analogue signal', network: 'network' } as const;
  const said = command.length === 0 ? 'contacts (not said)' : command.map((c) => words[c]).join(', ');
  const rows: Valued[] = [['command', said, 'decides inputs, outputs and wires to buy', 'case']];
  if (command.includes('analogue'))
    rows.push(
      ['reference', '4 to 20 mA, 4 mA least, 20 mA greatest speed', 'its live zero tells a broken wire'],
      ['reference-lost', 'below 3 mA: hold the speed, alarm, stop after 30 s', 'a broken wire is seen'],
    );
  if (command.includes('network'))
    rows.push(['link-lost', 'after 3 s: stop by ramp, alarm', 'nobody can stop it by the link any more']);
  return rows;
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
