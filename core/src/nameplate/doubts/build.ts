import { commonPractice, remembered } from '../../contract';
import { horsepower, permittedRise, permittedRiseSource } from '../../practice';
import { bearingBore } from '../bearing';
import { constantLossSaid, isUsualConstantLoss, usualConstantLosses } from '../losses';
import { polesOf } from '../readings';
import { efficiencyBand, percent, rating, usualBand, type Check } from './check';

export const efficiencyValue: Check = (r, practice) => {
  const eta = r.efficiency;
  if (eta === undefined) return undefined;
  const poles = polesOf(r.frequency, r.speeds.at(-1));
  const base = { id: 'plate.efficiency-unusual' as const, fields: ['efficiency'] };
  const series = practice.nominalEfficiencies;
  if (r.efficiencyMinimum !== undefined && r.efficiencyMinimum > eta)
    return {
      ...base,
      fields: ['efficiency', 'efficiencyMinimum'],
      text: `The guaranteed efficiency, ${percent(r.efficiencyMinimum, 1)}, is above the nominal ${percent(eta, 1)}.`,
      source: usualBand,
    };
  if (r.power !== undefined && poles !== undefined) {
    const { least, most } = efficiencyBand(r.power, poles, practice);
    if (eta > most || eta < least)
      return {
        ...base,
        fields: ['efficiency', 'power'],
        text:
          `${percent(eta, 1)} is ${eta > most ? 'better than any' : 'worse than almost any'} motor of ` +
          `${rating(r.power, practice)}: ${percent(least)} to ${percent(most, 1)} is usual.`,
        source: usualBand,
      };
  }
  // Small motors, below 1 hp, are stamped with average efficiencies outside the series.
  const small = r.power !== undefined && r.power < 0.99 * horsepower;
  if (series && !small && !series.value.some((n) => Math.abs(n - eta) < 0.0006)) {
    const near = series.value.reduce((a, b) => (Math.abs(b - eta) < Math.abs(a - eta) ? b : a));
    return {
      ...base,
      text: `${percent(eta, 1)} is no nominal efficiency of the standard's series; the nearest is ${percent(near, 1)}.`,
      source: series.source,
    };
  }
  const part = (
    [
      ['efficiencyThreeQuarter', r.efficiencyThreeQuarter, 0.025],
      ['efficiencyHalf', r.efficiencyHalf, 0.06],
    ] as const
  ).find(([, x, down]) => x !== undefined && (x > eta + 0.02 || x < eta - down - 0.02));
  const said = constantLossSaid(r);
  if (said && !part && !isUsualConstantLoss(said.share))
    return {
      ...base,
      fields: [said.field, 'efficiency'],
      text:
        `${percent(said.efficiency, 1)} at ${said.load === 0.5 ? 'half' : 'three quarters'} load beside ` +
        `${percent(eta, 1)} at full would make ${percent(said.share)} of its losses the same at every load: ` +
        `${percent(usualConstantLosses.least)} to ${percent(usualConstantLosses.most)} is usual. ` +
        `The usual share is taken.`,
      source: commonPractice('Part-load efficiency of cage motors'),
    };
  if (part?.[1] !== undefined)
    return {
      ...base,
      fields: [part[0], 'efficiency'],
      text:
        `${percent(part[1], 1)} at part load beside ${percent(eta, 1)} at full ` +
        `load: the curve of a cage motor is flatter than that.`,
      source: commonPractice('Part-load efficiency of cage motors'),
    };
  return undefined;
};

/** Efficiency against the class stamped, and against what was asked in its year. */
export const efficiencyClass: Check = (r, practice) => {
  const eta = r.efficiency;
  const poles = polesOf(r.frequency, r.speeds.at(-1));
  if (eta === undefined || r.power === undefined || poles === undefined) return undefined;
  if (practice.efficiencyTabledAt !== undefined && r.frequency !== practice.efficiencyTabledAt) return undefined;
  const classes = practice.efficiencyClasses(r.power, poles, r.open);
  const name = r.efficiencyClass === undefined ? undefined : practice.readEfficiencyClass(r.efficiencyClass);
  const own = classes.find((c) => c.name === name);
  // A plate may round down by a tenth of a point; a class is met by the nominal value.
  if (own && eta < own.efficiency - 0.0011)
    return {
      id: 'plate.efficiency-class',
      text:
        `${percent(eta, 1)} is below ${percent(own.efficiency, 1)}, what ${own.name} ` +
        `asks of ${rating(r.power, practice)} with ${poles} poles.`,
      fields: ['efficiency', 'efficiencyClass', 'power', 'speed'],
      source: own.source,
    };
  const floor = r.year === undefined ? undefined : practice.efficiencyFloor(r.power, poles, r.year, r.open);
  if (floor && eta < floor.efficiency - 0.0011)
    return {
      id: 'plate.efficiency-class',
      text:
        `${percent(eta, 1)} in ${r.year}: from ${floor.since} on ${floor.name}, ${percent(floor.efficiency, 1)}, ` +
        `was asked of this rating where it is required. An exempt kind, another market, or a misreading.`,
      fields: ['efficiency', 'year', 'power'],
      source: floor.source,
    };
  return undefined;
};

const heights = {
  nema: [42, 48, 56, 72, 84, 100, 112, 128, 144, 160, 176].map((n) => (n * 25.4) / 16),
  iec: [56, 63, 71, 80, 90, 100, 112, 132, 160, 180, 200, 225, 250, 280, 315, 355, 400],
};

export const frameAndRating: Check = (r, practice) => {
  const poles = polesOf(r.frequency, r.speeds.at(-1));
  if (r.frame === undefined || r.power === undefined || poles === undefined) return undefined;
  const standard = practice.standardFrame(r.power, poles, { open: r.open, series: r.frame.series });
  const usual = standard && practice.frame(standard.value, poles);
  if (!standard || !usual || r.frame.system !== usual.system) return undefined;
  const list = heights[usual.system];
  const step = (mm: number): number =>
    list.reduce((best, h, i) => (Math.abs(h - mm) < Math.abs((list[best] ?? 0) - mm) ? i : best), 0);
  const off = step(r.frame.shaftHeight) - step(usual.shaftHeight);
  // Makers move a size up or down, enclosed motors of the old series more so.
  const allowed = r.frame.series === 'T' || r.frame.series === 'iec' ? 1 : 2;
  if (Math.abs(off) <= allowed) return undefined;
  return {
    id: 'plate.frame-rating',
    text:
      `Frame ${r.frame.designation} is ${Math.abs(off)} sizes ${off > 0 ? 'larger' : 'smaller'} than ` +
      `${standard.value}, the standard one for ${rating(r.power, practice)} with ${poles} poles.`,
    fields: ['frame', 'power', 'speed'],
    source: standard.source,
  };
};

/** Code letter against what the standard lets the usual design draw. */
export const codeAndDesign: Check = (r, practice) => {
  if (r.codeLetter === undefined || r.power === undefined || !practice.stampsCodeLetter || r.power < 740)
    return undefined;
  const band = practice.codeLetter(r.codeLetter);
  if (!band) return undefined;
  const limit = practice.lockedRotorLimit(r.power, 460, r.frequency ?? practice.frequency);
  if (!limit) return undefined;
  const kva = (Math.sqrt(3) * 460 * limit.value) / 1000 / (r.power / horsepower);
  const most = kva * (r.designLetter === 'B' || r.designLetter === 'C' || r.designLetter === 'D' ? 1.13 : 1.75);
  if (band.value.low <= most && (band.value.high ?? Infinity) >= 0.6 * kva) return undefined;
  return {
    id: 'plate.code-letter',
    text:
      `Code ${r.codeLetter} is ${band.value.low} kVA/hp and more; ${kva.toFixed(1)} kVA/hp is ` +
      `${r.designLetter ? `the limit of design ${r.designLetter}` : 'the limit of the usual design'} ` +
      `at ${rating(r.power, practice)}.`,
    fields: ['codeLetter', 'power', ...(r.designLetter ? ['designLetter'] : [])],
    source: limit.source,
  };
};

export const insulationAndRise: Check = (r) => {
  const limit = permittedRise[r.insulation ?? ''];
  const order = 'AEBFHN';
  const source = permittedRiseSource;
  if (
    r.insulation !== undefined &&
    r.riseClass !== undefined &&
    order.indexOf(r.riseClass) > order.indexOf(r.insulation)
  )
    return {
      id: 'plate.insulation-rise',
      text: `Rise of class ${r.riseClass} on insulation of class ${r.insulation}: it would be used beyond its class.`,
      fields: ['riseClass', 'insulation'],
      source,
    };
  if (limit === undefined || r.temperatureRise === undefined) return undefined;
  const permitted = limit + ((r.serviceFactor ?? 1) > 1 ? 10 : 0) - Math.max(0, (r.ambient ?? 40) - 40);
  if (r.temperatureRise <= permitted + 0.5) return undefined;
  return {
    id: 'plate.insulation-rise',
    text:
      `A rise of ${r.temperatureRise} K is above the ${permitted} K permitted ` +
      `for class ${r.insulation} at ${r.ambient ?? 40} °C.`,
    fields: ['temperatureRise', 'insulation', 'ambient'],
    source,
  };
};

export const bearingAndShaft: Check = (r) => {
  const bore = r.driveEndBearing === undefined ? undefined : bearingBore(r.driveEndBearing);
  const shaft = r.frame?.shaftDiameter;
  if (bore === undefined || shaft === undefined || (bore >= shaft - 0.6 && bore <= 2 * shaft)) return undefined;
  return {
    id: 'plate.bearing-bore',
    text:
      `Bearing ${r.driveEndBearing} has a bore of ${bore} mm; the shaft of frame ${r.frame?.designation} is ` +
      `${shaft.toFixed(1)} mm where it leaves the motor${bore < shaft ? '' : ', and a seat is seldom twice that'}.`,
    fields: ['bearings.driveEnd', 'frame'],
    source: remembered('standard', 'ISO 15', '2017', 'bore code: last two digits × 5 mm'),
  };
};
