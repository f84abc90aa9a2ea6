import { commonPractice, definition } from '../../contract';
import { writeQuantity } from '../../quantity';
import { connectionKind } from '../connection';
import { pairsIn, polesOf } from '../readings';
import { amps, efficiencyBand, percent, rating, usualBand, usualPowerFactor, type Check, type Doubt } from './check';

const balance = definition('Power balance', 'P = √3 · U · I · η · cosφ');

/** η · cosφ against P, V, I; where one of the two is missing, what is left for it must be possible. */
export const powerBalance: Check = (r, practice) => {
  const poles = polesOf(r.frequency, r.speeds.at(-1)) ?? 4;
  for (const [voltage, current] of pairsIn(r)) {
    if (r.power === undefined) return undefined;
    const apparent = Math.sqrt(3) * voltage * current;
    const slack = 0.06 + (r.rounding.current ?? 0) + (r.rounding.power ?? 0);
    const product = r.power / apparent;
    const at = `${writeQuantity(voltage, 'V')}, ${amps(current)}`;
    const fields = ['power', 'voltage', 'current'];
    const doubt = (text: string, more: readonly string[] = [], off = 1): Doubt => ({
      factor: Math.max(off, 1 / off),
      id: 'plate.current-inconsistent',
      text: `${at} and ${rating(r.power ?? 0, practice)}: ${text}`,
      fields: [...fields, ...more],
      source: balance,
    });
    if (r.efficiency !== undefined && r.powerFactor !== undefined) {
      const shaft = apparent * r.efficiency * r.powerFactor;
      const off = shaft / r.power - 1;
      if (Math.abs(off) > slack)
        return doubt(
          `with η ${r.efficiency} and cosφ ${r.powerFactor} they carry ${rating(shaft, practice)}, ` +
            `${percent(Math.abs(off))} ${off > 0 ? 'more' : 'less'} than stamped.`,
          ['efficiency', 'powerFactor'],
          shaft / r.power,
        );
    } else if (r.efficiency !== undefined) {
      const pf = product / r.efficiency;
      const { least, most } = usualPowerFactor(r.power, poles);
      if (pf > most * (1 + slack / 2) || pf < least * (1 - slack / 2))
        return doubt(
          `with η ${r.efficiency} the power factor would be ${pf.toFixed(2)}; ${least.toFixed(2)} ` +
            `to ${most.toFixed(2)} is usual${pf >= 1 ? ', above 1 cannot be' : ''}.`,
          ['efficiency'],
          pf / ((least + most) / 2),
        );
    } else if (r.powerFactor !== undefined) {
      const eta = product / r.powerFactor;
      const { least, most } = efficiencyBand(r.power, poles, practice);
      if (eta > Math.min(0.99, most * (1 + slack)) || eta < least * (1 - slack))
        return doubt(
          `with cosφ ${r.powerFactor} the efficiency would be ${percent(eta)}; ${percent(least)} to ` +
            `${percent(most)} is usual${eta >= 1 ? ', 100 % or more cannot be' : ''}.`,
          ['powerFactor'],
          eta / ((least + most) / 2),
        );
    }
  }
  return undefined;
};

/**
 * Current far from the table current of that rating, or from what η and cosφ of its size give where there is no table.
 */
export const unusualCurrent: Check = (r, practice) => {
  const poles = polesOf(r.frequency, r.speeds.at(-1)) ?? 4;
  // Slow and small motors magnetise more; the code's table speaks of usual speeds.
  const most = poles >= 8 ? 1.75 : poles >= 6 ? 1.45 : 1.3;
  const small = (r.power ?? 0) < 1000 ? 0.15 : 0;
  for (const [voltage, current] of pairsIn(r)) {
    if (r.power === undefined) return undefined;
    const table = practice.conductorBasis === 'table' ? practice.tableCurrent(r.power, voltage, current) : undefined;
    const eta = practice.usualEfficiency(r.power, poles).value;
    const usual = r.power / (Math.sqrt(3) * voltage * eta * usualPowerFactor(r.power, Math.min(poles, 4)).value);
    const expected = table?.value ?? usual;
    const share = current / expected;
    const slack = (r.rounding.current ?? 0) + small;
    if (share <= most + slack && share >= 0.7 - slack) continue;
    return {
      id: 'plate.current-unusual',
      factor: Math.max(share, 1 / share),
      text:
        `${amps(current)} at ${writeQuantity(voltage, 'V')} is ${percent(share)} of ` +
        `${table ? 'the table current' : 'the usual current'} of ${rating(r.power, practice)}, ${amps(expected)}.`,
      fields: ['current', 'power', 'voltage'],
      source: table?.source ?? usualBand,
    };
  }
  return undefined;
};

/** The same motor takes the same kVA on every connection. */
export const equalKva: Check = (r) => {
  if (r.voltages.length !== r.currents.length) return undefined;
  const taken = r.voltages.map((group, i) =>
    pairsIn({ voltages: [group], currents: [r.currents[i] ?? []] }).map(([voltage, current]) => ({
      voltage,
      current,
      kva: voltage * current,
    })),
  );
  const slack = 0.06 + 1.5 * (r.rounding.current ?? 0);
  // Within a range of usable voltages the current need not follow so closely.
  const within = taken
    .map((group) => ({
      first: group.at(-1),
      odd: group.find((p) => Math.abs(p.kva / (group.at(-1)?.kva ?? p.kva) - 1) > 0.07 + slack),
    }))
    .find((x) => x.odd !== undefined);
  const ends = taken.map((group) => group.at(-1));
  const first = within?.first ?? ends[0];
  const odd = within?.odd ?? ends.find((p) => p && first && Math.abs(p.kva / first.kva - 1) > slack);
  if (!first || !odd) return undefined;
  const kva = (p: { kva: number }): string => `${((Math.sqrt(3) * p.kva) / 1000).toPrecision(3)} kVA`;
  return {
    id: 'plate.kva-unequal',
    text:
      `${writeQuantity(first.voltage, 'V')} with ${amps(first.current)} is ${kva(first)}, ` +
      `${writeQuantity(odd.voltage, 'V')} with ${amps(odd.current)} is ` +
      `${kva(odd)}: one motor takes the same on every connection.`,
    fields: ['voltage', 'current'],
    source: definition('Apparent power', 'S = √3 · U · I is the same for every connection of one winding'),
  };
};

export const voltageRatio: Check = (r) => {
  if (connectionKind(r.voltages) !== 'unknown' || r.voltages.length !== 2) return undefined;
  const [low, high] = [r.voltages[0]?.at(-1) ?? 0, r.voltages[1]?.at(-1) ?? 0];
  return {
    id: 'plate.voltage-ratio',
    text:
      `The two voltages stand ${(high / low).toFixed(2)} : 1; one winding gives ` +
      `2 : 1 (parallel and series) or 1.73 : 1 (delta and star).`,
    fields: ['voltage'],
    source: definition('Three-phase connections', 'series 2 × parallel; star √3 × delta'),
  };
};

/** A voltage no motor is made for is a misreading more often than a special winding. */
export const unusualVoltage: Check = (r, practice) => {
  const odd = r.voltages.flat().find((v) => !practice.motorVoltages.some((m) => Math.abs(v / m - 1) < 0.012));
  if (odd === undefined) return undefined;
  const near = practice.motorVoltages.reduce((a, b) => (Math.abs(b / odd - 1) < Math.abs(a / odd - 1) ? b : a));
  return {
    id: 'plate.voltage-unusual',
    text: `${writeQuantity(odd, 'V')} is no usual motor voltage; the nearest is ${writeQuantity(near, 'V')}.`,
    fields: ['voltage'],
    source: commonPractice('Voltages motors are usually made for'),
  };
};
export const twoUnits: Check = (r, practice) => {
  if (r.power === undefined || r.powerAlso === undefined) return undefined;
  if (Math.abs(r.powerAlso / r.power - 1) < 0.046 + (r.rounding.power ?? 0)) return undefined;
  const other = practice.words.units === 'us' ? 'si' : 'us';
  return {
    id: 'plate.power-units',
    text:
      `${rating(r.power, practice)} and ${writeQuantity(r.powerAlso, 'W', other)} are both stamped, but ` +
      `differ by ${percent(Math.abs(r.powerAlso / r.power - 1))}: 1 hp is 0.746 kW.`,
    fields: ['power', 'powerAlso'],
    source: definition('Horsepower', '550 ft·lbf/s = 745.7 W'),
  };
};

/** The service-factor current lies above full load, about in proportion. */
export const serviceFactorAmps: Check = (r) => {
  const sf = r.serviceFactor;
  const full = r.currents.map((g) => g.at(-1));
  const stamped = r.serviceFactorCurrents.map((g) => g.at(-1));
  if (sf === undefined || stamped.length === 0) return undefined;
  const pairs =
    stamped.length === full.length
      ? full.map((i, n) => [i, stamped[n]] as const)
      : full.map((i) => [i, stamped[0]] as const);
  const fits = ([i, s]: readonly [number | undefined, number | undefined]): boolean =>
    i === undefined || s === undefined || (s / i >= 1 + 0.5 * (sf - 1) - 0.02 && s / i <= 1 + 1.4 * (sf - 1) + 0.03);
  const sound = stamped.length === full.length ? pairs.every(fits) : pairs.some(fits);
  if (sound || pairs.length === 0) return undefined;
  const [i, s] = pairs.find((p) => !fits(p)) ?? [];
  if (i === undefined || s === undefined) return undefined;
  return {
    id: 'plate.service-factor-current',
    text:
      `${amps(s)} at the service factor is ${(s / i).toFixed(2)} × the ${amps(i)} of full ` +
      `load; with service factor ${sf} about ${amps(i * sf)} is usual.`,
    fields: ['serviceFactorCurrent', 'current', 'serviceFactor'],
    source: commonPractice('Above full load current goes about with load'),
  };
};
export const leadsAndVoltages: Check = (r) => {
  const kind = connectionKind(r.voltages);
  if (r.leads === undefined || (kind !== 'series-parallel' && kind !== 'delta-star')) return undefined;
  const enough = r.leads >= 6;
  if (enough && !(r.leads === 9 && kind === 'delta-star')) return undefined;
  return {
    id: 'plate.leads',
    text:
      `${r.leads} leads cannot give both voltages: ` +
      `${kind === 'delta-star' ? 'delta and star take six' : 'parallel and series take nine'}.`,
    fields: ['leads', 'voltage'],
    source: definition('Three-phase connections'),
  };
};
