import type { Input } from '../law';
import { percent } from '../needs';
import { currentUnbalance, meanCurrent, meanVoltage, overPlate, voltageShare, voltageUnbalance } from '../physics';
import { currentLimit, unbalanceLimits, voltageLimit } from '../practice';
import { q, writeQuantity } from '../quantity';
import { judgeWays, tellShare, type Way } from '../stations';
import { currents, mean, onDriveAt, read, taken, voltages, type Round } from './round';

/** What current, voltage, power and speed say of the load and the supply; the load by the way that is taken. */
export function tellElectrical(round: Round): Way | undefined {
  tellVoltages(round);
  tellCurrents(round);
  // On two phases neither a mean nor a share of the rating means anything.
  const dead = round.walk.w.findings.some((f) => f.id === 'condition.single-phase');
  return dead ? undefined : tellLoad(round);
}

function tellVoltages(round: Round): void {
  const { w } = round.walk;
  const found = taken(round.reading, voltages);
  if (found.length === 0) return;
  w.figure('condition.voltage', meanVoltage, {
    S: {
      value: q(
        found.reduce((a, b) => a + b, 0),
        'V',
      ),
      field: 'reading.voltage12',
    },
    k: { value: q(found.length, '1') },
  });
  if (found.length === 3) {
    const [a, b, c] = [read(round, 'voltage12', 'V'), read(round, 'voltage23', 'V'), read(round, 'voltage31', 'V')];
    const u = w.figure('condition.voltageUnbalance', voltageUnbalance, { a, b, c }, { say: (v) => percent(v, 1) }) ?? 0;
    const { look, stop } = unbalanceLimits.voltage;
    if (u > look)
      w.finding(
        'condition.voltage-unbalance',
        u > stop ? 'stop' : 'caution',
        `The voltages are ${percent(u, 1)} apart, which makes some six to ten times as much between the currents ` +
          'and heats the rotor. ' +
          (u > stop
            ? 'Above 5 % a motor is not run: look for a blown fuse, a burnt contact or an open phase upstream.'
            : 'Measure again at the board: alike there, it is a joint or contact in between; unlike, single-phase ' +
              'loads or the supply.'),
        { figures: ['condition.voltageUnbalance'], source: unbalanceLimits.voltageSource },
      );
  }
  // Behind a drive the voltage follows the frequency.
  if (!w.figures.has('plate.connectedVoltage') || onDriveAt(round, round.reading)) return;
  const share = w.figure(
    'condition.voltageShare',
    voltageShare,
    {
      U: 'condition.voltage',
      U_n: 'plate.connectedVoltage',
    },
    { say: (v) => percent(v) },
  );
  if (share === undefined || Math.abs(share - 1) <= voltageLimit.off) return;
  w.finding(
    'condition.voltage-off',
    'caution',
    `${w.text('condition.voltage')} is ${percent(share)} of the plate’s ${w.text('plate.connectedVoltage')}, beyond ` +
      `the 10 % a motor is made for: ` +
      (share < 1
        ? 'current rises as the voltage falls, torque falls with its square. Look at the tap and the cable.'
        : 'its iron saturates and the magnetising current climbs. Look at the tap, and at capacitors left on.'),
    { figures: ['condition.voltageShare'], source: voltageLimit.source },
  );
}

function tellCurrents(round: Round): void {
  const { w } = round.walk;
  const found = taken(round.reading, currents);
  if (found.length === 0) return;
  w.figure('condition.current', meanCurrent, {
    S: {
      value: q(
        found.reduce((a, b) => a + b, 0),
        'A',
      ),
      field: 'reading.current1',
    },
    k: { value: q(found.length, '1') },
  });
  const dead = found.length === 3 && isSinglePhasing(found);
  if (found.length === 3) {
    const [a, b, c] = [read(round, 'current1', 'A'), read(round, 'current2', 'A'), read(round, 'current3', 'A')];
    const u = w.figure('condition.currentUnbalance', currentUnbalance, { a, b, c }, { say: (v) => percent(v, 1) }) ?? 0;
    if (dead)
      w.finding(
        'condition.single-phase',
        'stop',
        `One phase carries ${writeQuantity(Math.min(...found), 'A')} where the others carry ` +
          `${writeQuantity(Math.max(...found), 'A')}: it runs on two phases and burns out within minutes at load. ` +
          'Stop it; find the blown fuse, open contact or broken lead before it is started again, and why its ' +
          'relay let it run.',
        { figures: ['condition.currentUnbalance'], source: unbalanceLimits.currentSource },
      );
    else if (u > unbalanceLimits.current)
      w.finding(
        'condition.current-unbalance',
        'caution',
        `The currents are ${percent(u)} apart, more than the 10 % that is let pass. Voltages alike? Then move all ` +
          'three leads on by one: where the high phase stays with the line it is the supply, where it goes along ' +
          'with its lead it is the winding.',
        { figures: ['condition.currentUnbalance'], source: unbalanceLimits.currentSource },
      );
  }
  if (!dead && w.figures.has('plate.connectedCurrent')) tellOverPlate(round, Math.max(...found));
}

/** Whether one of three phases is dead while the others carry. */
const isSinglePhasing = (three: readonly number[]): boolean =>
  mean(three) > 0 && Math.min(...three) < unbalanceLimits.dead * mean(three);

function tellOverPlate(round: Round, highest: number): void {
  const { walk, plate } = round;
  const { w } = walk;
  const x = w.figure(
    'condition.currentShare',
    overPlate,
    {
      I: { value: q(highest, 'A'), field: 'reading.current1' },
      I_n: 'plate.connectedCurrent',
    },
    { say: (v) => percent(v) },
  );
  if (x === undefined || x <= 1) return;
  const reads = `${writeQuantity(highest, 'A')} is ${percent(x)} of the plate’s ${w.text('plate.connectedCurrent')}`;
  if (x <= 1 + currentLimit.meter) {
    w.finding('condition.over-plate', 'note', `${reads}: within what a clamp is off.`, {
      figures: ['condition.currentShare'],
    });
    return;
  }
  const own = w.value('plate.serviceFactorCurrent');
  const factor = plate.serviceFactor ?? 1;
  const within = own === undefined ? x <= factor : highest <= own;
  w.finding(
    'condition.over-plate',
    'caution',
    `${reads}: the copper heats ${(x * x).toPrecision(3)} times as much, and about every 10 K halve what the ` +
      'insulation lives. ' +
      (factor > 1 && within
        ? `The plate’s service factor of ${factor} allows it for short; it is hotter and no place to stay. `
        : 'Do not leave it so. ') +
      (x > currentLimit.relay
        ? 'An overload relay set to the plate trips here within minutes: where it does not, it is set too high.'
        : 'An overload relay set to the plate trips within two hours above 120 %, and not below 105 %.') +
      ' What to measure next stands below.',
    { figures: ['condition.currentShare'], fields: ['plate.current'] },
  );
}

function tellLoad(round: Round): Way | undefined {
  const { walk, reading, plate } = round;
  const { w } = walk;
  if (plate.power === undefined) {
    w.finding(
      'condition.no-plate',
      'note',
      'The plate’s power, voltage, current and speed are not in this case: what the readings say of the load needs ' +
        'them.',
      { fields: ['plate.power'] },
    );
    return undefined;
  }
  if (onDriveAt(round, round.reading)) {
    w.finding(
      'condition.on-drive',
      'note',
      `At ${reading.frequency} Hz it runs on a drive: the current tells the torque, and is judged against the plate; ` +
        'slip and input power tell the load of another speed and are left out.',
      { fields: ['reading.frequency'] },
    );
    return undefined;
  }
  const amperes = taken(reading, currents);
  const volts = taken(reading, voltages);
  const quantity = <U extends 'V' | 'A' | 'W' | 'rpm'>(value: number, unit: U) => ({
    value: q(value, unit),
    text: writeQuantity(value, unit),
  });
  const demand = {
    kind: 'measured' as const,
    ...(volts.length > 0 && { voltage: quantity(mean(volts), 'V') }),
    ...(amperes.length > 0 && { current: quantity(mean(amperes), 'A') }),
    ...(reading.power !== undefined && { power: quantity(1000 * reading.power, 'W') }),
    ...(reading.speed !== undefined && { speed: quantity(reading.speed, 'rpm') }),
  };
  const U: Input<'V'> = volts.length > 0 ? 'condition.voltage' : { value: undefined, field: 'reading.voltage12' };
  const I: Input<'A'> = amperes.length > 0 ? 'condition.current' : { value: undefined, field: 'reading.current1' };
  const [n, P] = [read(round, 'speed', 'rpm'), read(round, 'power', 'W', 1000)];
  const { ways, best } = tellShare(walk, demand, { U, I, n, P }, plate);
  judgeWays(walk, ways, best);
  return best;
}
