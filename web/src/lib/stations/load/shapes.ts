/**
 * Torque ratio by speed ratio of a named shape, else of the one usual for a machine: for drawing only, the solver has
 * its own.
 */
export function factorOf(shape: string | undefined, machine: unknown): (x: number) => number {
  switch (shape ?? usualShape(machine)) {
    case 'linear':
      return (x) => x;
    case 'quadratic':
      return (x) => x * x;
    case 'constant-power':
      return (x) => Math.min(2, 1 / Math.max(x, 0.1));
    default:
      return () => 1;
  }
}

const usualShape = (machine: unknown): string => {
  if (typeof machine !== 'string') return 'constant';
  if (/fan|blower|centrifugal|deep-well/.test(machine)) return 'quadratic';
  return /winder|machine-tool/.test(machine) ? 'constant-power' : 'constant';
};
