import { deviceNames, type FigureId, type ProtectiveDevice } from '../../contract';
import { assumed, field, prescribed, reaches } from '../../law';
import { isEfficientB, nextRating, numberOf, type Subject, type Walk } from '../../needs';
import { boardFactor, conductorCurrent, deviceCeiling, overloadDial, type DeviceRule } from '../../practice';
import { q, writeQuantity } from '../../quantity';
import type { Circuit } from './cable';
import type { DeviceTaken } from './chart';

/** Where the rating of each kind of device stands; a setting has none. */
export const ratingOf: Partial<Record<ProtectiveDevice, FigureId & `guard.${string}`>> = {
  'inverse-time-breaker': 'guard.breakerRating',
  breaker: 'guard.breakerRating',
  'dual-element-fuse': 'guard.fuseRatingDual',
  'single-element-fuse': 'guard.fuseRatingSingle',
  'fuse-am': 'guard.fuseRatingDual',
  'fuse-gg': 'guard.fuseRatingSingle',
};

/**
 * By which figure a feeder counts a branch device of each kind: an instantaneous breaker as the breaker it might have
 * been (NFPA 70, 430.62(A) Exception No. 1).
 */
export const countedBy: typeof ratingOf = { ...ratingOf, 'instantaneous-breaker': 'guard.breakerRating' };

/** The device of the circuit as it was told: its rating, or its magnetic setting. */
export function deviceTaken({ input, practice, w }: Walk): DeviceTaken | undefined {
  const kind = input.guard?.device ?? practice.usualDevice;
  const id = ratingOf[kind] ?? 'guard.instantaneousTrip';
  const rating = w.figures.get(id)?.value;
  return rating === undefined ? undefined : { kind, rating };
}

/** Short-circuit device, disconnect, contactor, starter size, earth conductor and conduit of the circuit. */
export function tellDevices(walk: Walk, subject: Subject, circuit: Circuit | undefined): void {
  const { input, practice, w } = walk;
  const counted = w.figures.get('guard.tableCurrent') ? 'guard.tableCurrent' : subject.current;
  const current = numberOf(w, counted) ?? 0;
  const next = (kind: ProtectiveDevice, amperes: number): number | undefined => nextRating(practice, kind, amperes);
  const efficientB = isEfficientB(walk, subject);
  const rules = practice.devices(current, { efficientB });
  for (const { kind, share, setting, source } of rules) {
    const id = ratingOf[kind];
    const rating = setting ? undefined : next(kind, current * share);
    if (id !== undefined && rating !== undefined)
      w.stated(id as 'guard.breakerRating', 'A', q(rating, 'A'), source, {
        text:
          writeQuantity(rating, 'A') +
          (share === 1 ? '' : ` (${Math.round(100 * share)} % of ${writeQuantity(current, 'A')})`),
        symbol: 'I_n',
      });
    if (setting) {
      w.figure('guard.instantaneousTrip', conductorCurrent, factorOf(share, source, counted), { source });
    }
  }
  const chosen = input.guard?.device ?? practice.usualDevice;
  const rule = rules.find((r) => r.kind === chosen);
  if (!rule)
    w.finding(
      'guard.device-elsewhere',
      'caution',
      `A ${deviceNames[chosen]} is not of ${practice.words.name} practice: ` +
        `${rules.map((r) => deviceNames[r.kind]).join(', ')}.`,
      { fields: ['guard.device'] },
    );
  tellCeilings(walk, rules, rule, counted, current);
  if (practice.disconnectFactor) {
    const { value, source } = practice.disconnectFactor;
    w.figure('guard.disconnectCurrent', conductorCurrent, factorOf(value, source, counted), { source });
  }
  tellContactors(walk, subject);
  if (!circuit) return;
  // Behind a device without a rating the earth goes by the time-delay fuse that would be permitted (250.122(D)(2)).
  const rated = rule?.setting === false ? rule : rules.find((r) => r.kind === 'dual-element-fuse');
  const device = rated && next(rated.kind, current * rated.share);
  const { size, count } = circuit.conductors;
  const material = input.guard?.cable?.material ?? 'copper';
  const earth = practice.earthConductor(device ?? current, size, material, circuit.larger);
  const refuse = (what: string): void =>
    void w.finding('guard.beyond-tables', 'caution', `${what}: have it worked out.`, {
      fields: ['guard.device', 'guard.cable'],
      figures: ['guard.conductorArea'],
    });
  if (!earth) return refuse(`The tables end below a device of ${writeQuantity(device ?? current, 'A')} for the earth`);
  w.stated('guard.earthArea', 'mm2', q(earth.value.area, 'mm2'), earth.source, {
    text: earth.value.name,
    symbol: 'S_PE',
  });
  const raceway = input.guard?.cable?.raceway ?? 'conduit-steel';
  if (!practice.conduit || !raceway.startsWith('conduit') || size.insulated === undefined) return;
  const earthLaid = circuit.laid.sizes.find((s) => s.name === earth.value.name) ?? size;
  const kind = input.guard?.cable?.conduit ?? (raceway === 'conduit-pvc' ? 'pvc' : 'emt');
  const fill = practice.conduit(
    [
      { area: size.insulated, count: 3 },
      { area: earthLaid.insulated ?? size.insulated, count: 1 },
    ],
    kind,
  );
  const each = count > 1 ? `, one of ${count}` : '';
  if (!fill) return refuse(`No conduit of the tables takes three ${size.name} and the earth conductor`);
  w.stated('guard.conduitFill', '1', q(fill.value.share, '1'), fill.source, {
    text:
      `${Math.round(fill.value.share * permittedFill * 100)} % of ${permittedFill * 100} %, ` +
      `${fill.value.size} ${kind.toUpperCase()}${each}`,
    symbol: 'f_c',
    ...(input.guard?.cable?.conduit === undefined && {
      field: 'guard.cable.conduit',
      holds: kind,
      assumed: `not given: ${kind.toUpperCase()}`,
    }),
  });
}

/** Share of a conduit's inside that more than two conductors may fill (NFPA 70, Chapter 9, Table 1). */
const permittedFill = 0.4;

const factorOf = (k: number, source: DeviceRule['source'], I: Subject['current']) => ({
  k: prescribed(q(k, '1'), source),
  I,
});

function tellCeilings(
  { practice, w }: Walk,
  rules: readonly DeviceRule[],
  rule: DeviceRule | undefined,
  counted: Subject['current'],
  current: number,
): void {
  const magnetic = rules.find((r) => r.setting);
  if (magnetic && magnetic.most > magnetic.share)
    w.figure('guard.instantaneousCeiling', conductorCurrent, factorOf(magnetic.most, magnetic.exceptions, counted), {
      source: magnetic.exceptions,
    });
  if (!rule || rule.setting || rule.most <= rule.share) return;
  const { source } = practice.deviceRatings(rule.kind);
  const usual = nextRating(practice, rule.kind, current * rule.share) ?? 0;
  w.figure(
    'guard.deviceCeiling',
    deviceCeiling,
    { c: prescribed(q(rule.most, '1'), rule.exceptions), I: counted, I_r: prescribed(q(usual, 'A'), source) },
    { source: rule.exceptions },
  );
}

/** What the board leaves its parts, where it is warm, tight or withdrawable; 1 where nobody says. */
export function tellBoard({ input, w }: Walk): number {
  const board = input.guard?.board;
  if (!board || (board.ambient === undefined && board.protection === undefined && board.mounting === undefined))
    return 1;
  const tight = /^IP\s?[5-6]/i.test(board.protection ?? '');
  const t = board.ambient
    ? field('guard.board.ambient', board.ambient.value, board.ambient.text)
    : assumed('guard.board.ambient', q(35, 'degC'), 'not given: the usual limit of a board');
  w.figure('guard.boardFactor', boardFactor, {
    t,
    rise: {
      ...prescribed(q(tight ? 10 : 5, 'K'), boardFactor.source),
      text: tight ? '10 K inside a tight one' : '5 K',
    },
    m: prescribed(q(board.mounting === 'withdrawable' ? 0.95 : 1, '1'), boardFactor.source),
  });
  return w.figures.get('guard.boardFactor')?.value ?? 1;
}

function tellContactors(walk: Walk, subject: Subject): void {
  const { practice, w } = walk;
  const power = numberOf(w, subject.power);
  const voltage = numberOf(w, subject.voltage);
  const current = numberOf(w, subject.current);
  if (power === undefined || voltage === undefined || current === undefined) return;
  const { value: ratings, source } = practice.contactorRatings;
  const asked = current / tellBoard(walk);
  const starter = practice.starterSize(power, voltage, asked);
  if (starter)
    w.stated('guard.starterSize', '1', q(starter.value, '1'), starter.source, {
      text: starter.value < 0 ? '00' : `${starter.value}`,
      symbol: 'size',
    });
  const rating = ratings.find(
    (r) => reaches(r, asked) && (starter === undefined || r >= (ratings[starter.value + 1] ?? 0)),
  );
  if (rating !== undefined)
    w.stated('guard.contactorRating', 'A', q(rating, 'A'), starter?.source ?? source, { symbol: 'I_e' });
  if (subject.method !== 'star-delta') return;
  const inside = 1 / Math.sqrt(3);
  const shares = [
    ['guard.contactorLine', inside, 'in the line of the winding: 1/√3'],
    ['guard.contactorDelta', inside, 'closes the delta: 1/√3'],
    ['guard.contactorStar', 1 / 3, 'makes the star point at a third of the current'],
  ] as const;
  for (const [id, share, why] of shares)
    w.figure(id, overloadDial, {
      c: { value: q(share, '1'), source, text: `${share.toFixed(2)}: ${why}` },
      I_n: subject.current,
    });
}
