import { rollerBearing } from '../../practice';
import { code } from '../code';
import { remedied, requirement } from '../requirement';

export const bearings = requirement({
  id: 'bearings',
  of: 'motor',
  figures: ['load.beltPull'],
  applies: ({ load }) => load.belt,
  judge({ c }, e) {
    e.margin = 0;
    return (c.power[e.i] ?? 0) > rollerBearing.above ? remedied(e, 'roller-bearing') : code.pass;
  },
  sentence: ({ motor }) =>
    motor.power <= rollerBearing.above
      ? 'A ball bearing at the drive end carries the belt.'
      : 'A belt at this size: order it with a roller bearing at the drive end.',
  remedied: () => 'a roller bearing at the drive end',
});
