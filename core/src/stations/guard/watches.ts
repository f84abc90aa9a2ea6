import type { Watched } from '../../case';
import { watches, type Machine, type Watch } from '../../contract';
import { isHoist, mayNotRestart, numberOf, ridesThrough, type Subject, type Walk } from '../../needs';
import { writeQuantity } from '../../quantity';

interface Proposal {
  readonly yes: boolean;
  readonly why: string;
}

const among = (machine: Machine | undefined, ...of: readonly Machine[]): boolean =>
  machine !== undefined && of.includes(machine);

/** s that a machine may run on before its guard must be held shut (common practice; ISO 14119 goes by access time). */
const longCoast = 10;

/** Min a motor rests after it tripped, at least, and starts an hour beyond which its heat is not what bounds them. */
const [leastRest, oftenEnough] = [5, 12];

/** How long a motor rests after it tripped, in words: at the starts an hour that its heat bears. */
function coolingWords(perHour: number | undefined): string {
  if (perHour === undefined || perHour <= 0 || perHour > oftenEnough)
    return '; after an overload it cools for some minutes first';
  const minutes = Math.min(60, Math.max(leastRest, Math.ceil(60 / perHour)));
  const starts = perHour < 1 ? 'less than one start' : `${Math.floor(perHour)} starts`;
  return `; after an overload it cools ${minutes} min first, for it bears ${starts} an hour`;
}

/** What shall happen after a trip, and what else watches: proposed from machine and place, kept as decided. */
export function watchesOf(walk: Walk, subject: Subject): readonly Watched[] {
  const { input, w } = walk;
  const machine = input.load?.machine;
  const reached = mayNotRestart(machine);
  const restart: Watched = {
    id: 'restart',
    name: 'Restart after a trip or a dip',
    proposed: 'manual',
    why:
      (reached
        ? 'hands or goods may be in the machine; a jam is cleared by hand behind lock-out, never by starting again'
        : 'somebody should see why it tripped; automatic only where the process asks it and nobody can be hurt') +
      coolingWords(w.value('start.startsPerHour')),
    decided: input.guard?.restart ?? null,
  };
  const undervoltage: Watched = {
    id: 'undervoltage',
    name: 'When the voltage goes',
    proposed: ridesThrough({ ...input, guard: { ...input.guard, undervoltage: undefined } }, subject.method)
      ? 'ride-through'
      : 'release',
    why: reached
      ? 'it must not run again by itself when the voltage returns'
      : subject.method === 'drive'
        ? 'the drive feeds its bus from what turns; once tripped it stays off unless it restarts by itself'
        : 'a short dip is ridden through where it restarts by itself; else it stays off',
    decided: input.guard?.undervoltage ?? null,
  };
  if (input.guard?.restart === 'automatic' && reached)
    w.finding(
      'guard.restart',
      isHoist(input) ? 'stop' : 'caution',
      isHoist(input)
        ? 'A hoist never restarts by itself: whoever holds its button starts it, every time.'
        : 'It restarts by itself and people can reach it: guards, a warning before it moves and a risk assessment ' +
            'first, or restart by hand.',
      { fields: ['guard.restart', 'load.machine'] },
    );
  const coast = w.figures.get('drive.coastTime');
  if (coast && coast.value >= longCoast)
    w.finding(
      'guard.coasting',
      'note',
      `Switched off it runs on for ${writeQuantity(Number(coast.value.toPrecision(2)), 's')}: a guard that stays ` +
        'locked until it stands, or a brake; lock-out and standstill before anybody reaches in.',
      { fields: ['load.inertia', 'drive.braking.kind'], figures: ['drive.coastTime'] },
    );
  if (input.guard?.watch?.phaseLoss === false)
    w.finding(
      'guard.phase-loss',
      'caution',
      'Without it a motor that loses a phase burns at part load before an overload relay sees it: leave it on, or ' +
        'say what else sees it.',
      { fields: ['guard.watch.phaseLoss'] },
    );
  const proposals = proposed(walk, subject);
  // Not needed is a person's word: of an unknown machine nothing is said, and of safety nothing refused.
  const said = (yes: boolean, id: Watch): string =>
    yes
      ? 'yes'
      : id === 'emergencyStop' || id === 'safeTorqueOff'
        ? 'by the risk assessment'
        : machine === undefined
          ? 'say what it drives'
          : 'not asked here';
  return [
    restart,
    undervoltage,
    ...(Object.keys(watches) as Watch[]).map((id): Watched => {
      const own = input.guard?.watch?.[id];
      const { yes, why } = proposals[id];
      return {
        id,
        name: watches[id],
        proposed: said(yes, id),
        why,
        decided: own === undefined ? null : own ? 'yes' : 'no',
      };
    }),
  ];
}

/** Who sees a lost phase, by the kind of relay; one that nobody named is taken as the slower. */
const phaseLossBy = {
  thermal: 'on two phases a motor burns behind a slow relay: a thermal one trips late, at part load not at all',
  electronic: 'the electronic relay sees it itself, within seconds: switched on',
} as const;

function proposed({ input, practice, w }: Walk, subject: Subject): Readonly<Record<Watch, Proposal>> {
  const machine = input.load?.machine;
  const place = input.place ?? {};
  const onDrive = subject.method === 'drive';
  const power = numberOf(w, subject.power) ?? 0;
  const wet = place.water !== undefined && place.water !== 'dry';
  const damp = place.humid === true || place.water === 'outdoor' || (place.ambientMin?.value ?? 20) < 5;
  const hot = (place.ambient?.value ?? 0) > 40;
  const often = (input.load?.startsPerHour ?? 0) > 6;
  const pump = among(machine, 'centrifugal-pump', 'deep-well-pump', 'displacement-pump');
  const fan = among(machine, 'centrifugal-fan', 'blower');
  const belt = [input.load?.train, ...(input.load?.train?.stages ?? [])].some((t) => t?.kind === 'belt');
  const reached = mayNotRestart(machine);
  const stops = reached || fan;
  return {
    phaseLoss: {
      yes: true,
      why: onDrive ? 'the drive watches its output; its input too' : phaseLossBy[input.guard?.relay?.kind ?? 'thermal'],
    },
    jam: among(machine, 'conveyor', 'screw-conveyor', 'bucket-elevator', 'crusher', 'mill', 'mixer')
      ? { yes: true, why: 'it can jam while running: off within seconds, before gearbox and motor' }
      : { yes: false, why: 'such a machine seldom jams' },
    underload: pump
      ? { yes: true, why: 'a dry pump runs light and ruins its seal' }
      : fan && belt
        ? { yes: true, why: 'a broken belt shows as no load' }
        : { yes: false, why: 'running light harms nothing here' },
    windingSensor:
      onDrive || hot || often || power >= 90e3
        ? {
            yes: true,
            why: onDrive
              ? 'slow running heats what no current shows'
              : hot
                ? 'in a hot place current alone says too little'
                : often
                  ? 'many starts heat what a relay forgets'
                  : 'a large winding is worth its sensors; resistance sensors in bearings as well',
          }
        : { yes: false, why: 'the overload relay sees what heats it' },
    spaceHeater: damp
      ? { yes: true, why: 'standing in damp or cold air it draws water into the winding' }
      : { yes: false, why: 'a dry place, or it runs all day' },
    earthFault: {
      yes: wet || power >= 75e3 || input.supply?.earthing === 'high-resistance',
      why:
        input.supply?.earthing === 'high-resistance'
          ? 'an earth fault flows too little for the device: it is told, not cleared'
          : wet
            ? 'water gets in: found before it becomes a short circuit'
            : power >= 75e3
              ? 'a large winding burns at an earth fault long before its device sees it'
              : practice.id === 'iec'
                ? 'by the disconnection of the circuit'
                : 'the device clears it on an earthed supply',
    },
    emergencyStop: stops
      ? { yes: reached, why: reached ? 'people can reach moving parts' : 'where people reach the fan or its belt' }
      : { yes: false, why: machine === undefined ? 'what moves, and who reaches it?' : 'by who can reach what moves' },
    safeTorqueOff:
      onDrive && reached
        ? { yes: true, why: 'the emergency stop takes the torque away without a contactor behind the drive' }
        : { yes: false, why: onDrive ? 'where an emergency stop asks it' : 'a contactor opens the circuit' },
  };
}
