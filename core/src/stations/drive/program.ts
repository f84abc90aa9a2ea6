import type { DriveSetting, StartSetting } from '../../case';
import { brakingKinds, brakingNames, commonPractice, filterNames } from '../../contract';
import {
  isHoist,
  motorsOn,
  restartsAlone,
  ridesThrough,
  numberOf,
  percent,
  type Needs,
  type Output,
  type Subject,
  type Walk,
  filterOf,
} from '../../needs';
import { driveSettings, isVariableTorque, type DriveSettingId } from '../../physics';
import { lossBraking, usualCarrier } from '../../practice';
import { q, writeQuantity } from '../../quantity';
import { triedOf } from '../../runs';
import type { Stopping } from './stopping';

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
  stop: ['Stopping', 'it runs out for minutes, or its bus trips'],
  resistor: ['Braking resistor', 'of more ohms: the bus trips; of fewer: the chopper burns'],
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
  'brake-logic': ['Holding brake', 'opened before torque is there, or closed after it is gone, the load drops'],
  'travel-limits': ['Limits', 'the hook runs into the drum, or more is lifted than it holds'],
} as const;

/** What a setting is in words, and as a number in the unit of its register. */
interface Set {
  readonly text: string;
  readonly number: number;
}
/** What a setting is here, why, and where that comes from; common practice where nothing is said. */
type Valued = readonly [id: keyof typeof settings, value: string | Set, why: string, source?: string];

const set = (text: string, number: number | undefined): string | Set =>
  number === undefined || text === '' ? text : { text, number };
const isRegister = (id: string): id is DriveSettingId => id in driveSettings;

const usual = commonPractice('Commissioning of drives').title;

/** What to program: each value with its reason, where it comes from, and what goes wrong otherwise. */
export function programOf(
  walk: Walk,
  needs: Needs,
  subject: Subject,
  stopping: Stopping | undefined,
  output: Output | undefined,
): readonly DriveSetting[] {
  const rows = [
    ...ofMotor(walk, needs, subject),
    ...ofLimits(walk, needs, subject, output),
    ...ofStopping(walk, stopping),
    ...ofSpeed(walk, needs, subject),
    ...ofBehaviour(walk, needs),
    ...ofCommand(walk),
  ];
  return rows.flatMap(([id, value, why, source = usual]) => {
    const [name, otherwise] = settings[id];
    const { text, number } = typeof value === 'string' ? { text: value, number: null } : value;
    const register = number !== null && isRegister(id) ? driveSettings[id] : undefined;
    const at = { register: register?.address ?? null, number: register ? number : null, unit: register?.unit ?? '' };
    return text === '' ? [] : [{ id, name, value: text, ...at, why, otherwise, source }];
  });
}

const frequencyOf = ({ input }: Walk, { motor }: Subject): number | undefined =>
  motor?.frequency ?? input.plate?.frequency?.value ?? input.supply?.frequency?.value;

function ofMotor(walk: Walk, needs: Needs, subject: Subject): readonly Valued[] {
  const { w, practice } = walk;
  const count = motorsOn(needs);
  const times = (value: number | undefined): number | undefined => value && count * value;
  const all = count === 1 ? '' : `of all ${count} together: `;
  const said = (value: number | undefined, unit: 'V' | 'A' | 'rpm'): string | Set =>
    value === undefined ? '' : set(writeQuantity(value, unit), value);
  const frequency = frequencyOf(walk, subject);
  const power = numberOf(w, subject.power);
  return [
    ['motor-voltage', said(numberOf(w, subject.voltage), 'V'), 'from the plate, as it is connected', 'plate'],
    ['motor-frequency', frequency === undefined ? '' : set(`${frequency} Hz`, frequency), 'from the plate', 'plate'],
    [
      'motor-current',
      said(times(numberOf(w, subject.current)), 'A'),
      `${all}overload and limits count by it`,
      count === 1 ? 'plate' : 'plates',
    ],
    ['motor-speed', said(numberOf(w, subject.speed), 'rpm'), 'gives the slip', 'plate'],
    [
      'motor-power',
      power === undefined ? '' : set(writeQuantity(q(power, 'W'), 'W', practice.words.units), power),
      'from the plate',
      'plate',
    ],
    [
      'overload-current',
      said(times(w.value('guard.overloadDial') ?? numberOf(w, subject.current)), 'A'),
      count === 1
        ? 'the plate current; less air at low speed counted'
        : `${all}it guards none of them, each has a relay of its own`,
    ],
    ['overload-class', set('10', 10), 'no starting surge has to pass'],
  ];
}

function ofLimits(
  { input, w }: Walk,
  needs: Needs,
  { motor, ...subject }: Subject,
  output: Output | undefined,
): readonly Valued[] {
  const run = motor ? (triedOf(needs, motor, 'drive')?.planned.settings ?? []) : [];
  const planned = (path: string): StartSetting | undefined => run.find((s) => s.path === path);
  const closed = input.drive?.encoder === true;
  const swings = isHoist(input) || /conveyor|elevator/.test(input.load?.machine ?? '');
  const vector = closed ? 'vector with encoder' : 'vector, no encoder';
  const ramp = planned('start.drive.ramp');
  const boost = planned('start.drive.boost');
  const limit = numeric(planned('start.drive.limit')) ?? w.value('drive.overload') ?? 1.5;
  const current = numberOf(w, subject.current);
  const scalar = motorsOn(needs) > 1 || planned('start.drive.control')?.value === 'scalar';
  const control = scalar ? 'volts per hertz' : vector;
  const amperes = current === undefined ? undefined : limit * current * motorsOn(needs);
  return [
    [
      'current-limit',
      set(`${amperes === undefined ? '' : `${writeQuantity(amperes, 'A')}, `}${limit} × rated`, amperes),
      motorsOn(needs) === 1
        ? 'above the overload, below what drive and motor bear'
        : `of all ${motorsOn(needs)} together: above their overload, below what the drive bears`,
      'simulated start',
    ],
    ['ramp-up', set(ramp?.text ?? '', numeric(ramp)), 'within the limit, as simulated', 'simulated start'],
    [
      'jerk',
      swings ? set('20 %', 0.2) : set('0 %', 0),
      swings ? 'what hangs or lies on it must not jerk' : 'nothing minds a corner',
    ],
    [
      'carrier',
      set(
        input.drive?.carrier?.text ?? `${usualCarrier / 1000} kHz (not said)`,
        input.drive?.carrier?.value ?? usualCarrier,
      ),
      input.drive?.carrier ? 'as asked; its rating is derated for it' : 'its rating holds there',
    ],
    [
      'filter',
      filterNames[filterOf(input, output)],
      output?.by === 'asked' ? 'as winding and cable ask' : 'as said, or nothing asks for one',
      output?.by === 'case' ? 'case' : usual,
    ],
    ['control', set(control, scalar ? 0 : 1), closed ? 'an encoder is there' : 'the torque at low speed it must give'],
    [
      'boost',
      boost ? set(boost.text, numeric(boost)) : scalar ? set('2 %', 0.02) : 'automatic',
      'volts lost in the winding at low frequency',
    ],
  ];
}

const numeric = (s: StartSetting | undefined): number | undefined =>
  typeof s?.value === 'number' ? s.value : undefined;

function ofStopping(walk: Walk, stopping: Stopping | undefined): readonly Valued[] {
  if (!stopping) return [];
  const { kind, time, speed } = stopping;
  const { frequency, poles } = stopping.machine.circuit;
  // From rated frequency, as the ramp up is told.
  const ramp = time === undefined ? undefined : (time * 120 * frequency) / poles / speed;
  const ohms = walk.w.figures.get('drive.brakingResistance');
  return [
    ['stop', set(brakingNames[kind], brakingKinds.indexOf(kind)), 'as asked, or as the load wants it'],
    kind === 'coast'
      ? ['ramp-down', 'none: it coasts', 'as asked', 'case']
      : [
          'ramp-down',
          ramp === undefined ? '' : set(writeQuantity(ramp, 's'), ramp),
          'as asked, or as it goes up where its bus bears that',
          lossBraking.source.title,
        ],
    [
      'resistor',
      kind === 'chopper' && ohms ? set(`${ohms.text} at most`, ohms.value) : '',
      'takes the power of the stop at the chopper’s voltage',
    ],
  ];
}

function ofSpeed(walk: Walk, { speed, load, rules }: Needs, subject: Subject): readonly Valued[] {
  const { input, w } = walk;
  const frequency = frequencyOf(walk, subject);
  const rated = numberOf(w, subject.speed);
  const hertz = (n: number): string =>
    frequency === undefined || rated === undefined ? '' : `${((frequency * n) / rated).toFixed(1)} Hz`;
  const setTo = (n: number): string | Set =>
    set(hertz(n), frequency === undefined || rated === undefined ? undefined : (frequency * n) / rated);
  const asked = speed.variable ? speed.min * load.speed : load.speed;
  // Below its shut-off speed a pump moves nothing: the setting lies a margin above it, whatever is asked.
  const lifts = (w.value('speed.leastLift') ?? 0) * (1 + rules.liftMargin) * load.speed;
  const least = Math.max(asked, speed.variable ? Math.min(lifts, load.speed) : 0);
  const rows: Valued[] = [
    [
      'least-speed',
      setTo(least),
      least > asked
        ? `above the speed at which it moves nothing, with a margin of ${percent(rules.liftMargin)}`
        : speed.variable
          ? 'as asked; the motor bears it'
          : 'it runs at one speed',
      'case',
    ],
    ['greatest-speed', setTo(Math.max(1, speed.max) * load.speed), 'within what motor and machine bear', 'case'],
    ['skip', 'set while it runs: where it sings or shakes, ± 1 Hz', 'resonances are found, not computed'],
  ];
  if (!isFluid(input) || !speed.variable) return rows;
  return [
    ...rows,
    ['set-point', 'PI, slow: pressure or flow', 'speed follows the need'],
    [
      'sleep',
      `at no flow, or the pressure held at ${hertz(least)} for 60 s; wake at 95 % of the set point`,
      'by flow or pressure: hertz alone do not tell that nothing is drawn',
    ],
  ];
}

const isFluid = (input: Walk['input']): boolean => /fan|pump|blower/.test(input.load?.machine ?? '');

function ofBehaviour({ input }: Walk, { load, speed, onePhase }: Needs): readonly Valued[] {
  const fluid = isFluid(input);
  const hoist = isHoist(input);
  // One decision with Guard's: what may not move by itself rides through nothing and starts by hand.
  const alone = restartsAlone(input);
  const held = !ridesThrough(input, 'drive');
  const decided = input.guard?.undervoltage !== undefined;
  const spares = isVariableTorque(load.shape) && speed.variable;
  return [
    [
      'flying-start',
      fluid ? set('on', 1) : set('off', 0),
      fluid ? 'a fan windmills, a pump runs backwards before it starts' : 'it stands before it starts',
    ],
    [
      'ride-through',
      held ? 'off' : 'on, kinetic',
      hoist
        ? 'a load that hangs must not go on by itself'
        : held
          ? `${decided ? 'decided' : 'proposed'} at Guard: it stays off when the voltage goes`
          : 'a dip need not stop it: what turns feeds the bus',
    ],
    [
      'restart',
      alone ? set('by itself, three times an hour', 3) : set('by hand', 0),
      alone ? 'as decided at Guard' : 'it must not move by itself',
    ],
    ['flux', spares ? 'on' : 'off', spares ? 'a light load needs less flux' : 'torque may be asked at once'],
    onePhase
      ? ['phase-loss', 'trip on the motor’s side; at its input as its maker sets it for one phase', 'fed by one phase']
      : ['phase-loss', 'trip', 'in and out'],
    ...(hoist
      ? ([
          [
            'brake-logic',
            'opens when current proves the torque of the load; closes at zero speed with torque still on; a fault ' +
              'of it stops and alarms',
            'the load never hangs on current alone',
          ],
          [
            'travel-limits',
            'slow-down and end switches up and down; load limiter blocks lifting, not lowering',
            'wired to inputs that act without the network',
          ],
        ] as const)
      : []),
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
      ['reference-lost', set('below 3 mA: hold the speed, alarm, stop after 30 s', 3), 'a broken wire is seen'],
    );
  if (command.includes('network'))
    rows.push(['link-lost', set('after 3 s: stop by ramp, alarm', 3), 'nobody can stop it by the link any more']);
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
