import { passIf, requirement } from '../requirement';

export const noise = requirement({
  id: 'noise',
  of: 'motor',
  told: true,
  fields: ['place.noiseLimit'],
  applies: ({ place }) => place.noiseLimit !== undefined,
  judge({ needs, build }, e) {
    const limit = needs.place.noiseLimit ?? Infinity;
    e.margin = (limit - (build.sound[e.i] ?? 0)) / limit;
    return passIf(e.margin >= 0);
  },
  sentence: ({ outcome, motor, needs }) =>
    `${motor.sound} dB(A) at no load by the standard’s limit; ${needs.place.noiseLimit} ` +
    `dB(A) is allowed${outcome === 'fail' ? ': more poles, or a hood' : ''}.`,
  cure: ({ motor }) => `${motor.sound} dB(A) allowed`,
});
