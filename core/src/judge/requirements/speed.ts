import { percent, settledSpeed } from '../../needs';
import { writeQuantity } from '../../quantity';
import { code } from '../code';
import { remedied, requirement } from '../requirement';

/** Speed off the wanted one on the line: passes within, cautioned within (common practice). */
const off = { pass: 0.05, caution: 0.1 };
/** Speed on a drive as a share of rated, outside which motor and frequency hardly fit each other; never beyond. */
const onDrive = { from: 0.7, to: 1.06, never: 2 };

export const speed = requirement({
  id: 'speed',
  of: 'line',
  told: true,
  fields: ['load.demand.speed', 'load.train.ratio'],
  figures: ['load.motorSpeed'],
  judge({ needs, c, build }, e) {
    if (!e.drive) {
      const away = Math.abs(e.n / needs.load.speed - 1);
      e.margin = 1 - away / off.caution;
      if (away <= off.pass) return code.pass;
      if (away > off.caution) return code.fail;
      return needs.load.belt ? remedied(e, 'sheave') : code.caution;
    }
    const share = e.n / (c.speed[e.i] ?? 0);
    const most = build.maxSpeed[e.i] ?? 0;
    e.margin = most / e.n - 1;
    if (e.n > most || share > onDrive.never) return code.fail;
    return share <= onDrive.to && share >= onDrive.from ? code.pass : code.caution;
  },
  sentence({ motor, method, direct, needs }) {
    const n = settledSpeed(needs, method, direct);
    const away = `${((n / needs.load.speed - 1) * 100).toFixed(1)} %`;
    if (method !== 'drive')
      return (
        `Runs at ${writeQuantity(n, 'rpm')} with this load; ` +
        `${writeQuantity(needs.load.speed, 'rpm')} is wanted (${away}).`
      );
    return (
      `${writeQuantity(n, 'rpm')} is ${percent(n / motor.speed)} of its rated speed on ` +
      `a drive; it may turn ${writeQuantity(motor.maxSpeed, 'rpm')}.`
    );
  },
  remedied: ({ motor, needs: { load } }) =>
    `a sheave for a ratio of ${((load.ratio * motor.speed) / load.speed).toPrecision(3)}`,
  cure({ motor, method, needs: { load } }) {
    if (method === 'drive') return `at most ${writeQuantity(motor.maxSpeed, 'rpm')} at the motor`;
    return (
      `a ratio of ${((load.ratio * motor.speed) / load.speed).toPrecision(3)} ` +
      `instead of ${load.ratio.toPrecision(3)}`
    );
  },
});
