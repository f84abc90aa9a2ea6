/** Cautions that stand on every sheet where work is planned. */
export const cautions: readonly string[] = [
  'Isolate, lock and prove dead before touching. Several sources may feed one panel.',
  'A drive’s capacitors stay lethal for minutes after power-off: wait the maker’s ' +
    'time and measure. A soft starter’s output is live when off.',
  'Guard rotating parts, and expect an automatic restart. Lift with the right gear; wear eye and foot protection.',
  'Pilgrim proposes; the local code, the authority and a licensed electrician decide. Area classification, ' +
    'fire pumps, lifts, medical and life-safety duty go to a competent person.',
];
