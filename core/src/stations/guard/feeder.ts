import { numberOf, type Subject, type Walk } from '../../needs';
import type { FeederMotor } from '../../practice';
import { q, writeQuantity } from '../../quantity';
import { countedBy } from './devices';

/** The feeder above, where the case says what else hangs on it: current of its conductors and its largest device. */
export function tellFeeder({ input, practice, w }: Walk, subject: Subject): void {
  const given = input.guard?.feeder;
  const own = w.figures.get('guard.tableCurrent')?.value ?? numberOf(w, subject.current);
  if (!given || own === undefined) return;
  const voltage = numberOf(w, subject.voltage) ?? 0;
  const branch = countedBy[input.guard?.device ?? practice.usualDevice];
  const motors: FeederMotor[] = [{ current: own, ...deviceOf(branch && w.figures.get(branch)?.value) }];
  for (const [i, { power, current, device }] of (given.motors ?? []).entries()) {
    const tabled = power && practice.tableCurrent(power.value, voltage, current?.value ?? NaN)?.value;
    const counted = tabled !== undefined && Number.isFinite(tabled) ? tabled : current?.value;
    if (counted === undefined) {
      w.finding(
        'guard.feeder-unknown',
        'caution',
        `Motor ${i + 1} of the feeder has no current: give it${power ? `, no table has one for ${power.text}` : ''}.`,
        { fields: [`guard.feeder.motors[${i}]`] },
      );
      continue;
    }
    motors.push({ current: counted, ...deviceOf(device?.value) });
  }
  const feeder = practice.feeder(motors, given.other?.value ?? 0);
  w.stated('guard.feederCurrent', 'A', q(feeder.current, 'A'), feeder.source, {
    text: `${writeQuantity(feeder.current, 'A')} (${motors.length} motors${given.other ? ', and other load' : ''})`,
    symbol: 'I_f',
  });
  if (feeder.device !== undefined)
    w.stated('guard.feederDevice', 'A', q(feeder.device, 'A'), feeder.deviceSource, { symbol: 'I_n' });
  else
    w.finding(
      'guard.feeder-unknown',
      'caution',
      'The feeder’s device goes by the largest branch device: give the device of each motor on it.',
      { fields: ['guard.feeder'], figures: ['guard.feederCurrent'] },
    );
}

const deviceOf = (device: number | undefined): Pick<FeederMotor, 'device'> => (device === undefined ? {} : { device });
