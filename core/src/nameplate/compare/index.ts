import type { Likeness, ReplacementLine } from '../../case';
import { writeQuantity } from '../../quantity';
import { frame } from './frames';
import type { Identity, Setting } from './identity';
import { line, missing } from './line';

/** Line by line: can the new motor stand where the old one stood, and what adapting needs. */
export function compareMotors(old: Identity, next: Identity, setting: Setting): ReplacementLine[] {
  return [
    voltage(old, next, setting),
    power(old, next, setting),
    speed(old, next, setting),
    ...frame(old, next, setting),
    mounting(old, next),
    enclosure(old, next, setting),
    serviceFactor(old, next),
    ...(setting.drive ? [] : [inrush(old, next, setting)]),
    design(old, next),
    insulation(old, next),
    bearings(old, next, setting),
    efficiency(old, next),
    leads(old, next, setting),
  ].filter((l) => l !== undefined);
}

const order: readonly Likeness[] = ['same', 'better', 'unknown', 'adaptable', 'impossible'];

/** The worst of the lines. */
export const overall = (lines: readonly ReplacementLine[]): Likeness =>
  lines.reduce<Likeness>((worst, l) => (order.indexOf(l.likeness) > order.indexOf(worst) ? l.likeness : worst), 'same');
function voltage(old: Identity, next: Identity, { practice, supplyVoltage }: Setting): ReplacementLine {
  const say = (l: Likeness, text: string): ReplacementLine =>
    line('voltage', l, old.voltageText, next.voltageText, text);
  if (next.pairs.length === 0) return missing('voltage', old.voltageText, undefined);
  if (supplyVoltage === undefined) {
    const common = old.pairs.some((a) => next.pairs.some((b) => Math.abs(b.voltage / a.voltage - 1) < 0.025));
    return common
      ? say('same', 'A voltage in common; the supply is not known.')
      : say('impossible', 'No voltage in common.');
  }
  const best = next.pairs
    .map((p) => ({ p, fit: practice.voltageFit(supplyVoltage, p.voltage) }))
    .reduce((a, b) => (Math.abs(b.fit.deviation) < Math.abs(a.fit.deviation) ? b : a));
  const at = `${writeQuantity(best.p.voltage, 'V')} on ${writeQuantity(supplyVoltage, 'V')}`;
  if (best.fit.outcome === 'fail') return say('impossible', `${at} is ${(best.fit.deviation * 100).toFixed(1)} % off.`);
  if (best.fit.outcome === 'caution')
    return say(
      'adaptable',
      `${at}: permitted, with more current, torque by the square of voltage and service factor 1.0.`,
    );
  return say('same', `${at}.`);
}

function power(old: Identity, next: Identity, { required, practice }: Setting): ReplacementLine {
  if (old.power === undefined || next.power === undefined) return missing('power', old.powerText, next.powerText);
  const say = (l: Likeness, text: string): ReplacementLine => line('power', l, old.powerText, next.powerText, text);
  const share = next.power / old.power;
  if (share < 0.985) {
    return required !== undefined && next.power >= required
      ? say(
          'adaptable',
          `Smaller, yet enough for the load with its margin, ` +
            `${writeQuantity(required, 'W', practice.words.powerUnit === 'hp' ? 'us' : 'si')}.`,
        )
      : say('impossible', 'Smaller, and nothing shows that the load is.');
  }
  if (share <= 1.03) return say('same', 'The same rating.');
  return share <= 1.35
    ? say('better', 'More power in hand; overload and table current change.')
    : say('adaptable', 'Much larger: overload, short-circuit device, cable and power factor need looking at.');
}

function speed(old: Identity, next: Identity, { belt, direct }: Setting): ReplacementLine {
  const text = (i: Identity): string | undefined => (i.speed === undefined ? undefined : writeQuantity(i.speed, 'rpm'));
  if (old.speed === undefined || next.speed === undefined) return missing('speed', text(old), text(next));
  const off = next.speed / old.speed - 1;
  const percent = `${off >= 0 ? '+' : ''}${(off * 100).toFixed(1)} %`;
  if (Math.abs(off) < 0.002) return line('speed', 'same', text(old), text(next), 'The same full-load speed.');
  if (Math.abs(off) < 0.05)
    return line('speed', 'same', text(old), text(next), `${percent}: see what the load makes of it.`);
  return direct || !belt
    ? line(
        'speed',
        direct ? 'impossible' : 'adaptable',
        text(old),
        text(next),
        `${percent}: another number of poles; ` +
          `${
            direct ? 'coupled directly, the machine would turn at the wrong speed.' : 'the ratio must change with it.'
          }`,
      )
    : line('speed', 'adaptable', text(old), text(next), `${percent}: other sheaves keep the machine's speed.`);
}
function mounting(old: Identity, next: Identity): ReplacementLine | undefined {
  if (old.mounting === undefined) return undefined;
  if (next.mounting === undefined)
    return line('mounting', 'unknown', old.mounting, undefined, 'Order it for this mounting.');
  const plain = (t: string): string => t.toUpperCase().replace(/[\s-]|IM/g, '');
  if (plain(old.mounting) === plain(next.mounting))
    return line('mounting', 'same', old.mounting, next.mounting, 'The same mounting.');
  const boxSide = /^F[123]$/.test(plain(old.mounting)) && /^F[123]$/.test(plain(next.mounting));
  return boxSide
    ? line(
        'mounting',
        'adaptable',
        old.mounting,
        next.mounting,
        'Terminal box on another side: many can be turned or changed over.',
      )
    : line('mounting', 'impossible', old.mounting, next.mounting, 'Made for another way of mounting.');
}

const classes = ['open', 'enclosed', 'severe-duty', 'washdown'];

function enclosure(old: Identity, next: Identity, { enclosures }: Setting): ReplacementLine {
  const [a, b] = [classes.indexOf(old.enclosureClass ?? ''), classes.indexOf(next.enclosureClass ?? '')];
  if (a < 0 || b < 0) return missing('enclosure', old.enclosure, next.enclosure);
  const suits = enclosures.length === 0 || enclosures.includes(next.enclosureClass ?? '');
  if (!suits)
    return line(
      'enclosure',
      'impossible',
      old.enclosure,
      next.enclosure,
      `It does not suit the place, which wants ${enclosures[0]} or better.`,
    );
  if (b < a)
    return line(
      'enclosure',
      'adaptable',
      old.enclosure,
      next.enclosure,
      'Less protected than the old one, yet it suits the place as described.',
    );
  return b === a
    ? line('enclosure', 'same', old.enclosure, next.enclosure, 'The same kind.')
    : line('enclosure', 'better', old.enclosure, next.enclosure, 'Better protected.');
}

function serviceFactor(old: Identity, next: Identity): ReplacementLine {
  const text = (i: Identity): string | undefined => i.serviceFactor?.toString();
  const [a, b] = [old.serviceFactor, next.serviceFactor];
  if (a === undefined || b === undefined) return missing('service factor', text(old), text(next));
  if (b < a - 0.001)
    return line(
      'service factor',
      'adaptable',
      text(old),
      text(next),
      'Less in hand for overloads, and in North America an overload trip of 115 ' +
        'instead of 125 % below 1.15: check the load against the rating.',
    );
  return b > a + 0.001
    ? line('service factor', 'better', text(old), text(next), 'More in hand for overloads.')
    : line('service factor', 'same', text(old), text(next), 'The same.');
}

/** Inrush against what breaker, controller and overload were set for. */
function inrush(old: Identity, next: Identity, { supplyVoltage }: Setting): ReplacementLine {
  const [a, b] = [old.lockedRotor, next.lockedRotor];
  const volts = supplyVoltage ?? next.pairs.at(-1)?.voltage;
  const text = (i: Identity): string | undefined => {
    const range = i.lockedRotor;
    if (!range || volts === undefined) return i.codeText;
    const [from, to] = range.map((kva) => ((kva * 1000) / (Math.sqrt(3) * volts)).toPrecision(3));
    return `${i.codeText ? `${i.codeText}, ` : ''}${from === to ? from : `${from} to ${to}`} A at ${volts} V`;
  };
  if (!a || !b) return missing('code letter and inrush', text(old), text(next));
  const rise = b[1] / a[1] - 1;
  const percent = `${Math.abs(rise * 100).toFixed(0)} %`;
  if (rise > 0.03)
    return line(
      'code letter and inrush',
      'adaptable',
      text(old),
      text(next),
      `${percent} more inrush at most: raise the instantaneous trip within its limit or the breaker trips at ` +
        `start; a reduced-voltage controller must bear it; the bus dips ` +
        `more; the overload's class must outlast the start.`,
    );
  return rise < -0.03
    ? line(
        'code letter and inrush',
        'better',
        text(old),
        text(next),
        `${percent} less inrush at most; starting torque may be less too.`,
      )
    : line(
        'code letter and inrush',
        'same',
        text(old),
        text(next),
        'Breaker, controller and overload see the same start.',
      );
}

function design(old: Identity, next: Identity): ReplacementLine | undefined {
  if (old.designLetter === undefined && next.designLetter === undefined) return undefined;
  const [a, b] = [old.designLetter, next.designLetter ?? 'B, as the catalogue has them'];
  if (a === undefined) return missing('design letter', a, b);
  if (a === next.designLetter || (a === 'B' && next.designLetter === undefined))
    return line('design letter', 'same', a, b, 'The same design.');
  if (a === 'C' || a === 'D')
    return line(
      'design letter',
      'adaptable',
      a,
      b,
      `The load was given ${a === 'C' ? 'high starting torque' : 'high slip and starting torque'}: show ` +
        `that the new motor breaks it away${a === 'D' ? ' and bears the shocks' : ''}.`,
    );
  return line(
    'design letter',
    next.designLetter === 'C' || next.designLetter === 'B' ? 'better' : 'adaptable',
    a,
    b,
    'Another design: compare starting torque and current.',
  );
}

function insulation(old: Identity, next: Identity): ReplacementLine | undefined {
  if (old.insulation === undefined) return undefined;
  const rank = 'AEBFHN';
  if (next.insulation === undefined)
    return line('insulation', 'unknown', old.insulation, undefined, 'Ask for it: F is the common one today.');
  const off = rank.indexOf(next.insulation) - rank.indexOf(old.insulation);
  if (off < 0)
    return line(
      'insulation',
      'adaptable',
      old.insulation,
      next.insulation,
      'A lower class: only where it runs cooler.',
    );
  return line(
    'insulation',
    off > 0 ? 'better' : 'same',
    old.insulation,
    next.insulation,
    off > 0 ? 'A higher class: more life at the same heat.' : 'The same class.',
  );
}

const isRoller = (bearing: string): boolean => /^\s*N[UJP]?/i.test(bearing);

function bearings(old: Identity, next: Identity, { belt }: Setting): ReplacementLine | undefined {
  const [a, b] = [old.driveEndBearing, next.driveEndBearing];
  if (a === undefined && !belt) return undefined;
  if (b === undefined)
    return line(
      'drive-end bearing',
      'unknown',
      a,
      undefined,
      belt ? 'A belt pulls sideways: ask which bearing it has, a roller bearing for the larger ones.' : 'Ask for it.',
    );
  if (a !== undefined && isRoller(a) && !isRoller(b))
    return line(
      'drive-end bearing',
      belt ? 'impossible' : 'adaptable',
      a,
      b,
      belt
        ? 'The old one had a roller bearing for the belt; a ball bearing would not last.'
        : 'A ball bearing does for a coupling; a roller bearing without side pull even wears.',
    );
  if (a !== undefined && a.replace(/\W.*$/, '') === b.replace(/\W.*$/, ''))
    return line('drive-end bearing', 'same', a, b, 'The same bearing.');
  return line(
    'drive-end bearing',
    isRoller(b) && belt ? 'better' : 'adaptable',
    a,
    b,
    belt && !isRoller(b) ? 'Check its permitted belt pull.' : 'Another bearing: keep the right spare.',
  );
}

function efficiency(old: Identity, next: Identity): ReplacementLine {
  const text = (i: Identity): string | undefined =>
    i.efficiencyMinimum === undefined
      ? undefined
      : `${(i.efficiencyMinimum * 100).toFixed(1)} % ` +
        `guaranteed${i.efficiency === undefined ? '' : ` (${(i.efficiency * 100).toFixed(1)} % nominal)`}`;
  const [a, b] = [old.efficiencyMinimum, next.efficiencyMinimum];
  if (a === undefined || b === undefined) return missing('efficiency', text(old), text(next));
  if (Math.abs(a - b) < 0.001) return line('efficiency', 'same', text(old), text(next), 'The same.');
  return b > a
    ? line('efficiency', 'better', text(old), text(next), 'It wastes less; it may run a little faster.')
    : line('efficiency', 'adaptable', text(old), text(next), 'It wastes more: count what that costs.');
}

function leads(old: Identity, next: Identity, { starDelta }: Setting): ReplacementLine | undefined {
  if (!starDelta && old.leads === undefined) return undefined;
  const text = (i: Identity): string | undefined => i.leads?.toString();
  if (next.leads === undefined || (old.leads === undefined && !starDelta))
    return missing('leads', text(old), text(next));
  if (starDelta && next.leads !== 6 && next.leads !== 12)
    return line(
      'leads',
      'impossible',
      text(old),
      text(next),
      'The star-delta starter wants six leads with delta on this line, or twelve.',
    );
  return old.leads === undefined || next.leads === old.leads
    ? line('leads', 'same', text(old), text(next), 'As many as before.')
    : line('leads', 'adaptable', text(old), text(next), 'Connected another way: follow the new diagram.');
}

export * from './identity';
