import { definition } from '../../contract';
import { prescribed, type Given } from '../../law';
import { conductorCurrent, overloadDial, overloadTrip } from '../../practice';
import { q, writeQuantity } from '../../quantity';
import { numberOf, type Needs, type Subject, type Walk } from '../../needs';
import { tellCable } from './cable';
import { tellDevices } from './devices';
import { tellFault } from './fault';
import { tellFeeder } from './feeder';
import { tellRelay } from './relay';

/** Overload dial and trip from plate current, table current, and the least ampacity of the conductors. */
export function tellGuard(walk: Walk, subject: Subject, needs?: Needs): void {
  const { input, practice, rules, w } = walk;
  w.enter('guard');
  const power = numberOf(w, subject.power);
  const voltage = numberOf(w, subject.voltage);
  const current = numberOf(w, subject.current);
  if (power === undefined || voltage === undefined || current === undefined) return;
  const table = practice.tableCurrent(power, voltage, current, input.supply?.voltage?.value);
  if (table) w.stated('guard.tableCurrent', 'A', q(table.value, 'A'), table.source, { symbol: 'I_t' });
  else {
    w.finding(
      'guard.no-table-current',
      'caution',
      `The code’s table has no current for ${writeQuantity(power, 'W')} at ${writeQuantity(voltage, 'V')}: ` +
        `the plate current is used, and a licensed electrician decides.`,
      {},
    );
  }
  const basis = rules.conductorBasis === 'practice' ? practice.conductorBasis : rules.conductorBasis;
  const speed = numberOf(w, subject.speed);
  const low = practice.lowSpeed;
  const slow =
    basis === 'table' &&
    table !== undefined &&
    low !== undefined &&
    speed !== undefined &&
    speed < low.value &&
    current > table.value;
  if (slow)
    w.finding(
      'guard.low-speed',
      'note',
      `A motor of less than ${writeQuantity(low.value, 'rpm')} may draw more than the table says: its plate ` +
        `current of ${writeQuantity(current, 'A')} stands for the table’s ${writeQuantity(table.value, 'A')}.`,
      { figures: ['guard.tableCurrent', 'guard.conductorCurrent'], source: low.source },
    );
  w.figure(
    'guard.conductorCurrent',
    conductorCurrent,
    {
      k: prescribed(q(practice.conductorFactor.value, '1'), practice.conductorFactor.source),
      I: basis === 'table' && table && !slow ? 'guard.tableCurrent' : subject.current,
    },
    { source: practice.conductorFactor.source },
  );

  const insideDelta = subject.method === 'star-delta' && input.guard?.relay?.at !== 'line';
  w.figure('guard.overloadDial', overloadDial, {
    c: prescribed(
      q(insideDelta ? 1 / Math.sqrt(3) : 1, '1'),
      definition('Overload relay', insideDelta ? 'inside the delta: 1/√3 = 0.58' : 'in the line'),
    ),
    I_n: subject.current,
  });
  const rule = practice.overload(subject.serviceFactor.value, subject.temperatureRise);
  const I = 'guard.overloadDial';
  const factor = (k: number): Given<'1'> => ({
    ...subject.serviceFactor,
    value: q(k, '1'),
    source: rule.source,
    text: `${k} for ${rule.because}`,
  });
  w.figure('guard.overloadTrip', overloadTrip, { k: factor(rule.trip), I }, { source: rule.source });
  if (rule.maximum !== undefined) {
    w.figure('guard.overloadMaximum', overloadTrip, { k: factor(rule.maximum), I }, { source: rule.source });
  }
  w.finding(
    'guard.dial',
    'note',
    rule.maximum === undefined
      ? 'Dial the relay at the plate current; its trip factor is built in.'
      : 'Many relays have the factor built in and are dialled at the plate current: dialling 125 % on such a one ' +
          'permits about 150 %. The higher maximum is only for a motor that cannot otherwise start.',
    { figures: ['guard.overloadDial', 'guard.overloadTrip'], source: rule.source },
  );
  const needed = numberOf(w, 'guard.conductorCurrent');
  const circuit = needed === undefined ? undefined : tellCable(walk, subject, needed, current);
  tellRelay(walk, needs, subject);
  tellDevices(walk, subject, circuit);
  tellFault(walk, circuit);
  tellFeeder(walk, subject);
  tellCoordination(walk, subject);
}

function tellCoordination({ input, w }: Walk, subject: Subject): void {
  const asked = input.guard?.coordination;
  const figures = w.figures.has('guard.availableFault') ? (['guard.availableFault'] as const) : [];
  if (asked === 'none')
    w.finding(
      'guard.no-coordination',
      'stop',
      'Nothing coordinated is never permitted: after a fault contactor and relay may burn, weld or fail to open. Ask ' +
        'for type 1 at least, type 2 where it must be back at once.',
      { fields: ['guard.coordination'], figures },
    );
  else
    w.finding(
      'guard.no-coordination',
      'note',
      asked === 'total'
        ? 'Total coordination is named for emergency duty: whoever answers for that duty decides it, not this sheet.'
        : 'Coordination (type 1 or 2) is never inferred from ratings: take a combination tested ' +
            'together at this voltage, and ask for the available fault current first.',
      { fields: ['supply.source'], figures },
    );
  if (subject.method === 'drive')
    w.finding(
      'guard.drive-device',
      'note',
      'Its maker names the device before a drive, and its rated input current sizes the conductors there ' +
        '(125 % of it in North America): ask for both. These figures are the motor’s side and a bypass.',
      { fields: ['method'] },
    );
}

export function guardKey({ w }: Walk): string {
  const dial = w.figures.get('guard.overloadDial');
  return dial ? `dial ${dial.text}` : 'nothing to guard';
}
