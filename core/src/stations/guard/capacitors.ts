import { commonPractice, model } from '../../contract';
import { prescribed, exceeds } from '../../law';
import { numberOf, type Needs, type Subject, type Walk } from '../../needs';
import { capacitorAsked, capacitorMost } from '../../practice';
import { q, writeQuantity } from '../../quantity';
import { triedOf } from '../../runs';

const wished = prescribed(q(0.95, '1'), commonPractice('Power factor that suppliers of power ask, 0.9 to 0.95'));
const noLoadSource = commonPractice(
  'At the terminals at most 90 % of the no-load reactive power: beyond it the motor excites itself',
);
const ofNoLoad = prescribed(q(0.9, '1'), noLoadSource);

const circuitSource = model('Its equivalent circuit', 'magnetising current at the circuit’s voltage');

/** What capacitors would raise the motor's power factor, where they may sit, and where they must not. */
export function tellCapacitors({ input, w }: Walk, subject: Subject, needs: Needs | undefined): void {
  const at = input.guard?.capacitor;
  const { method, motor } = subject;
  const fields = ['guard.capacitor'];
  if (method === 'drive' || method === 'soft-starter') {
    if (at === 'motor')
      w.finding(
        'guard.capacitor',
        'stop',
        `A capacitor at the motor sits behind the ${method.replace('-', ' ')}: it draws its surge through the ` +
          'semiconductors and destroys them. Take it out, or to the board.',
        { fields, source: wished.source },
      );
    else if (method === 'drive' && at === 'board')
      w.finding(
        'guard.capacitor',
        'note',
        'A drive draws its current nearly in phase: the capacitor for this motor can come out, and harmonics would ' +
          'load it.',
        { fields, source: wished.source },
      );
    return;
  }
  if (method === 'star-delta' && at === 'motor') {
    w.finding(
      'guard.capacitor',
      'stop',
      'A capacitor at a star-delta motor is switched onto a winding that turns open: the changeover charges it ' +
        'against the line. To the board, or on a contactor of its own that closes after delta, discharged.',
      { fields, source: wished.source },
    );
    return;
  }
  const bench = needs && motor ? triedOf(needs, motor, method ?? 'direct')?.bench : undefined;
  const U = numberOf(w, subject.voltage);
  if (!bench || U === undefined || !w.figures.has('motor.powerFactor') || !w.figures.has('motor.inputPower')) return;
  const { statorReactance, magnetisingReactance, voltage } = bench.circuit;
  const I_0 = voltage / Math.sqrt(3) / (statorReactance + magnetisingReactance);
  // One that is better already asks none.
  if ((w.value('motor.powerFactor') ?? 1) >= (wished.value ?? 1)) return;
  w.figure('guard.capacitorAsked', capacitorAsked, { P: 'motor.inputPower', c: 'motor.powerFactor', c_w: wished });
  w.figure('guard.capacitorMost', capacitorMost, {
    f: ofNoLoad,
    U: prescribed(q(voltage, 'V'), circuitSource),
    I_0: prescribed(q(I_0, 'A'), circuitSource),
  });
  const [asked, most] = [w.value('guard.capacitorAsked'), w.value('guard.capacitorMost')];
  if (at !== 'motor' || asked === undefined || most === undefined) return;
  const sized = input.guard?.capacitorPower;
  if (sized && exceeds(sized.value, most))
    w.finding(
      'guard.capacitor',
      'caution',
      `${sized.text} at the motor is more than ${writeQuantity(most, 'var')}: switched off it excites itself, ` +
        'and its voltage rises. Smaller, or at the board.',
      { fields: [...fields, 'guard.capacitorPower'], figures: ['guard.capacitorMost'], source: ofNoLoad.source },
    );
  w.finding(
    'guard.capacitor',
    'note',
    'A capacitor behind the overload relay lowers what it sees: dial the relay lower by as much, or join the ' +
      'capacitor before it.',
    { fields, figures: ['guard.capacitorAsked'], source: ofNoLoad.source },
  );
}
