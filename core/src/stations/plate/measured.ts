import { commonPractice, model, type Suggestion } from '../../contract';
import { field, prescribed } from '../../law';
import { copperShare, framesLike, noLoadShare, usualPowerFactor } from '../../nameplate';
import { loadFromCurrents, polesFromSpeed, ratedFromNoLoad, ratedFromResistance } from '../../physics';
import { q, writeQuantity } from '../../quantity';
import type { Walk } from '../../needs';

/** Without a plate: a likely frame and rating from what can be measured, each with its uncertainty. */
export function judgeMeasured(walk: Walk): void {
  const { input, practice, w } = walk;
  const m = input.measured;
  if (!m || Object.keys(m).length === 0) return;
  w.enter('plate');
  const speed = m.speed;
  const frequency = input.supply?.frequency;
  const poles =
    speed && frequency
      ? w.figure('measured.poles', polesFromSpeed, {
          f: field('supply.frequency', frequency.value, frequency.text),
          n: field('measured.speed', speed.value, speed.text),
        })
      : undefined;
  if (speed && !frequency) w.want('supply.frequency');

  const frames = framesLike(m, practice.frameSystem, poles);
  const ratings = new Set<number>();
  const asked = ['measured.shaftHeight', 'measured.feetAcross', 'measured.feetAlong', 'measured.shaftDiameter'];
  const best = frames[0];
  if (best) {
    const names = frames.map((f) => f.frame.designation);
    w.fact(
      'measured.frame',
      'Likely frame',
      names.length === 1
        ? `${names[0]}`
        : `${names[0]}; also ${names.slice(1).join(', ')}: measure more to tell them apart`,
      best.frame.source,
      { fields: asked, estimate: true },
    );
    if (poles !== undefined)
      for (const { frame } of frames.filter((f) => f.frame.system === practice.frameSystem))
        for (const r of practice.ratingsInFrame(frame, poles)) ratings.add(r);
  } else if (m.shaftHeight ?? m.feetAcross ?? m.feetAlong ?? m.shaftDiameter) {
    w.finding(
      'measured.no-frame',
      'caution',
      'No listed frame has these dimensions: measure again (shaft height from the base to the ' +
        'middle of the shaft, feet between hole centres), or the motor is special.',
      { fields: asked.filter((path) => path.slice(9) in m) },
    );
  }
  byCurrentAndResistance(walk, poles);
  combine(
    walk,
    [...ratings].sort((a, b) => a - b),
    best?.frame.designation,
  );
}

function byCurrentAndResistance({ input, practice, w }: Walk, poles: number | undefined): void {
  const m = input.measured;
  const volts = m?.voltage ?? input.supply?.voltage;
  if (!m || !volts) {
    if (m?.noLoadCurrent ?? m?.windingResistance) w.want('measured.voltage');
    return;
  }
  const path = m.voltage ? 'measured.voltage' : 'supply.voltage';
  const U = field(path, volts.value, volts.text);
  const p = poles ?? 4;
  const assumedPoles = poles === undefined ? { assumed: 'number of poles not known: four' } : {};
  if (m.noLoadCurrent) {
    const guess = (Math.sqrt(3) * volts.value * m.noLoadCurrent.value) / noLoadShare(p);
    const eta = practice.usualEfficiency(guess * 0.75, p);
    const pf = usualPowerFactor(guess * 0.75, p).value;
    w.figure('measured.ratedPowerByNoLoad', ratedFromNoLoad, {
      U,
      I_0: field('measured.noLoadCurrent', m.noLoadCurrent.value, m.noLoadCurrent.text),
      k: { ...prescribed(q(noLoadShare(p), '1'), commonPractice('No-load current by poles')), ...assumedPoles },
      eta: prescribed(q(eta.value, '1'), eta.source),
      pf: prescribed(q(pf, '1'), commonPractice('Usual power factor by size and poles')),
    });
  }
  if (m.noLoadCurrent && m.loadCurrent && m.loadCurrent.value < m.noLoadCurrent.value)
    w.finding(
      'measured.currents',
      'caution',
      'The load current is below the no-load current: one of the two is misread.',
      {
        fields: ['measured.loadCurrent', 'measured.noLoadCurrent'],
      },
    );
  else if (m.noLoadCurrent && m.loadCurrent)
    w.figure('measured.loading', loadFromCurrents, {
      I: field('measured.loadCurrent', m.loadCurrent.value, m.loadCurrent.text),
      I_0: field('measured.noLoadCurrent', m.noLoadCurrent.value, m.noLoadCurrent.text),
      k: { ...prescribed(q(noLoadShare(p), '1'), commonPractice('No-load current by poles')), ...assumedPoles },
    });
  if (m.windingResistance) {
    // The loss share depends on the rating sought: three rounds settle it.
    let power = 10_000;
    let [c, eta, pf] = [0.04, 0.9, 0.85];
    for (let round = 0; round < 6; round++) {
      c = copperShare(power);
      eta = practice.usualEfficiency(power, p).value;
      pf = usualPowerFactor(power, p).value;
      power = Math.min(2e6, (2 * c * volts.value ** 2 * pf * pf * eta) / m.windingResistance.value);
    }
    w.figure('measured.ratedPowerByResistance', ratedFromResistance, {
      U,
      R: field('measured.windingResistance', m.windingResistance.value, m.windingResistance.text),
      c: prescribed(
        q(c, '1'),
        model('Usual share of stator copper loss', '10 % at 1 kW, falling with size to the power 0.37'),
      ),
      eta: prescribed(q(eta, '1'), practice.usualEfficiency(power, p).source),
      pf: { ...prescribed(q(pf, '1'), commonPractice('Usual power factor by size and poles')), ...assumedPoles },
    });
  }
}

/** The ratings that frame, no-load current and resistance all admit. */
function combine({ practice, w }: Walk, byFrame: readonly number[], frame: string | undefined): void {
  const bands = (['measured.ratedPowerByNoLoad', 'measured.ratedPowerByResistance'] as const)
    .map((id) => w.figures.get(id)?.band)
    .filter((b) => b !== undefined && b !== null);
  const from = byFrame.length > 0 ? byFrame : bands.length > 0 ? practice.ratings : [];
  const fits = from.filter((p) => bands.every(([low, high]) => p >= low && p <= high));
  const text = (p: number): string => writeQuantity(p, 'W', practice.words.units);
  if (from.length === 0) return;
  if (fits.length === 0) {
    w.finding(
      'measured.disagree',
      'caution',
      `The frame says ${byFrame.map(text).join(' or ')}; currents and resistance say otherwise. ` +
        `Measure again, or the winding is not the usual one for its frame.`,
      { fields: ['measured.noLoadCurrent', 'measured.windingResistance', 'measured.shaftHeight'] },
    );
    return;
  }
  const least = fits[0] ?? 0;
  const most = fits.at(-1) ?? least;
  const basis = [byFrame.length > 0 ? 'frame' : '', ...(bands.length > 0 ? ['currents or resistance'] : [])]
    .filter(Boolean)
    .join(' and ');
  w.fact(
    'measured.rating',
    'Likely rating',
    `${least === most ? text(least) : `${text(least)} to ${text(most)}`}, from ${basis}`,
    commonPractice('Standard rating of the frame, narrowed by what was measured'),
    { fields: ['measured.shaftHeight'], estimate: true },
  );
  const only = least === most;
  const suggestions: Suggestion[] = [];
  if (frame !== undefined) suggestions.push({ field: 'plate.frame', value: frame, why: `frame ${frame} as measured` });
  if (only)
    suggestions.push({ field: 'plate.power', value: text(least), why: `${text(least)}, the only rating that fits` });
  if (suggestions.length > 0)
    w.finding(
      'measured.estimate',
      'note',
      'Frame and rating are guessed from measurements, not read. Use ' +
        'them only until the new motor is chosen by its load.',
      { fields: ['measured.shaftHeight'], suggestions },
    );
}
