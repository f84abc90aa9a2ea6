import { code } from '../code';
import { passIf, requirement } from '../requirement';

export const serviceFactor = requirement({
  id: 'service-factor',
  of: 'method',
  judge({ needs, build }, e) {
    const wanted = needs.practice.driveServiceFactor;
    if (!e.drive || wanted === undefined) return code.none;
    e.margin = 0;
    return passIf((build.serviceFactor[e.i] ?? 1) >= wanted, code.caution);
  },
  sentence: ({ outcome, motor, needs: { practice } }) =>
    outcome === 'pass'
      ? `Service factor ${motor.serviceFactor}: a well-cooled motor; on the drive it counts as 1.0.`
      : `Service factor ${motor.serviceFactor}: ${practice.driveServiceFactor ?? 1.15} ` +
        `is wanted on a drive, as a sign of better cooling.`,
});
