import { commonPractice, definition, remembered, type FigureId } from '../../contract';
import { exceeds, field, prescribed, reaches, type Given } from '../../law';
import {
  cableFor,
  cableWay,
  designOf,
  drawnStarting,
  losesOnFullLine,
  lost,
  numberOf,
  percent,
  runningDrop,
  startingDrop,
  type Subject,
  type Walk,
  type CableTaken,
  type CableWay,
  type StartDrawn,
} from '../../needs';
import {
  ampacityAsLaid,
  ampacityAtTerminals,
  ampacityOf,
  cableWithstand,
  leastConductors,
  lostAsSimulated,
  lostStarting,
  voltageDrop,
  type Conductors,
  type Laid,
} from '../../practice';
import { q, writeQuantity } from '../../quantity';

/** The case's conductors as they lie, and what of them was taken. */
export interface Circuit {
  readonly laid: Laid;
  readonly conductors: Conductors;
  /** Area of the conductors ÷ that of the least that carry the current, 1 and more. */
  readonly larger: number;
  /** Impedance of the motor's cable, Ω; absent where its length is not known. */
  readonly impedance?: { readonly resistance: Given<'ohm'>; readonly reactance: Given<'ohm'> };
}

/** Why a value of the cable is taken. */
const usual = 'not given';

/** Conductors as laid: factors, the least size that does or the one that is there, its ampacity and drop. */
export function tellCable(walk: Walk, subject: Subject, needed: number, current: number): Circuit | undefined {
  const { input, w } = walk;
  const given = input.guard?.cable;
  const way = wayTo(walk, subject, current);
  const cable = cableFor(walk, needed, designOf(input, subject), way);
  if ('because' in cable) {
    w.finding('guard.cable-beyond', 'caution', cable.because, { fields: [cable.path] });
    return undefined;
  }
  const { laid, least, typed, conductors, carries, decides } = cable;
  const { ambientFactor, source } = laid;
  const beside = conductors?.count ?? given?.parallel ?? 1;
  const by = (path: string, given: string | number | undefined) => {
    const taken = laid.taken.find((t) => t.path === path);
    const holds = taken?.value ?? given;
    return {
      field: path,
      ...(holds !== undefined && { holds }),
      ...(taken && { assumed: usual }),
    };
  };
  w.stated('guard.ambientFactor', '1', q(ambientFactor.value, '1'), ambientFactor.source, {
    ...by('guard.cable.ambient', given?.ambient?.text),
    symbol: 'f_a',
  });
  const counted = laid.besides === 'guard.cable.circuits' ? given?.circuits : given?.conductors;
  const group = laid.grouped(beside) ?? laid.grouped(1);
  w.stated('guard.groupFactor', '1', q(group?.value ?? 1, '1'), group?.source ?? source, {
    ...by(laid.besides, counted),
    ...(beside > 1 && laid.besides === 'guard.cable.circuits'
      ? { text: `${group?.value ?? 1} (${beside} side by side count as circuits)` }
      : {}),
    symbol: 'f_g',
  });
  if (laid.remark) w.finding('guard.cable-remark', 'note', laid.remark, { fields: ['guard.cable'], source });

  if (!conductors) {
    w.finding(
      'guard.cable-beyond',
      'caution',
      `No conductors of the tables carry ${writeQuantity(needed, 'A')} as laid here` +
        `${given?.parallel === undefined ? ', not six side by side either' : ''}: lay them otherwise.`,
      { fields: ['guard.cable'], figures: ['guard.conductorCurrent'], source },
    );
    return undefined;
  }
  const { size, count } = conductors;
  const name = nameOf(conductors);
  w.stated('guard.conductorArea', 'mm2', q(size.area, 'mm2'), source, {
    text: name,
    symbol: 'S',
    ...(typed ? { field: 'guard.cable.area' } : {}),
  });
  const figures = {
    n: field('guard.cable.parallel', q(count, '1'), `${count}`),
    I_0: { ...prescribed(q(size.base, 'A'), source), text: `${writeQuantity(size.base, 'A')} for ${size.name}` },
    f_a: 'guard.ambientFactor',
    f_g: 'guard.groupFactor',
  } as const;
  const assumptions = laid.taken.map(({ path, value }) => ({ field: path, value, why: usual }));
  if (size.terminals === undefined || !laid.terminals)
    w.figure('guard.ampacity', ampacityAsLaid, figures, { source, assumed: assumptions });
  else {
    const I_t = prescribed(q(size.terminals, 'A'), laid.terminals.source);
    w.figure('guard.ampacity', ampacityAtTerminals, { ...figures, I_t }, { source, assumed: assumptions });
    const free = leastConductors(
      { ...laid, sizes: laid.sizes.map(({ terminals: _, ...s }) => ({ ...s })) },
      needed,
      given?.parallel,
    );
    if (free && carries && free.size.area * free.count < carries.size.area * carries.count)
      w.finding(
        'guard.terminals',
        'note',
        `Terminals of ${laid.terminals.value} °C decide: insulation alone would do with ${free.size.name}. ` +
          'Where they are marked for more, say so.',
        { fields: ['guard.cable.terminals'], source: laid.terminals.source },
      );
  }
  if (!typed && carries && decides !== 'ampacity')
    w.finding(
      'guard.cable-size',
      'note',
      `${nameOf(carries)} carries the current; ${asks[decides]} ` +
        `on ${input.place?.cable?.length?.text ?? 'its way'} asks ${name}.` +
        (decides === 'disconnection' ? ' Or a residual-current device, with the smaller one.' : ''),
      { fields: ['place.cable.length', 'guard.maxDrop'], figures: ['guard.conductorArea'], source },
    );
  if (typed && !reaches(conductors.ampacity, needed))
    w.finding(
      'guard.conductor-small',
      'stop',
      `${name} carries ${writeQuantity(conductors.ampacity, 'A')} as laid, ${writeQuantity(needed, 'A')} is asked` +
        (least ? `: ${least.count === 1 ? '' : `${least.count} × `}${least.size.name} does.` : '.'),
      { fields: ['guard.cable.area'], figures: ['guard.ampacity', 'guard.conductorCurrent'], source },
    );
  if (count > 1 && !size.parallel)
    w.finding('guard.parallel-small', 'caution', `${size.name} is too small to be laid in parallel.`, {
      fields: ['guard.cable.parallel', 'guard.cable.area'],
      source,
    });
  if (subject.method === 'star-delta') {
    const leads = leastConductors({ ...laid, grouped: (n) => laid.grouped(2 * n) }, needed / Math.sqrt(3));
    w.finding(
      'guard.six-leads',
      'note',
      'From the starter six leads go to the motor, each with 0.58 of the current: ' +
        `${leads ? nameOf(leads) : 'none'} by ampacity, counted as two circuits that lie together.`,
      { fields: ['guard.cable'], figures: ['guard.conductorCurrent'], source: sixLeads },
    );
  }
  w.figure('guard.cableWithstand', cableWithstand, {
    k: prescribed(q(size.k ?? laid.k.value, '1'), laid.k.source),
    S: 'guard.conductorArea',
  });
  const area = (of: Conductors): number => of.size.area * of.count;
  const larger = carries ? Math.max(1, area(conductors) / area(carries)) : 1;
  return { laid, conductors, larger, ...tellDrop(walk, subject, laid, conductors, way) };
}

/** What asks a larger size than ampacity, in words. */
const asks: Readonly<Record<Exclude<CableTaken['decides'], 'ampacity'>, string>> = {
  'running-drop': 'the voltage lost running',
  'starting-drop': 'the voltage lost while it starts',
  disconnection: 'an earth fault that must be off in time',
  fault: 'a short circuit until its device is off',
};

const nameOf = ({ size, count }: Conductors): string => (count === 1 ? size.name : `${count} × ${size.name}`);

/** What the next conductor down would fail, in words; empty where there is none. */
export function leastBelow({ laid, conductors }: Circuit, needed: number | undefined): string {
  const { size, count } = conductors;
  const next = laid.sizes.findLast((s) => s.area < size.area && (count === 1 || s.parallel));
  if (!next || needed === undefined) return '';
  const carries = ampacityOf(laid, next, count);
  const name = count === 1 ? next.name : `${count} × ${next.name}`;
  return carries < needed
    ? `${name} carries ${writeQuantity(carries, 'A')} as laid, ${writeQuantity(needed, 'A')} is asked`
    : `${name} would do by ampacity`;
}

/** What the subject draws while it starts straight on the line; undefined where too little of it is known. */
function drawnBy({ w }: Walk, subject: Subject, current: number): ReturnType<typeof drawnStarting> | undefined {
  const [power, voltage] = [numberOf(w, subject.power), numberOf(w, subject.voltage)];
  const locked = numberOf(w, subject.lockedRotorCurrent);
  const torque = subject.lockedRotorTorque.value;
  if (power === undefined || voltage === undefined || locked === undefined || torque === undefined) return undefined;
  const breakdown = subject.motor?.breakdownTorque;
  return drawnStarting(
    { power, voltage, current, efficiency: subject.efficiency.value },
    { locked, torque, breakdown },
  );
}

/** The way to the subject; it is held to the drop of its start where it starts straight on the line. */
function wayTo(walk: Walk, subject: Subject, current: number): CableWay | undefined {
  const [power, voltage] = [numberOf(walk.w, subject.power), numberOf(walk.w, subject.voltage)];
  if (power === undefined || voltage === undefined) return undefined;
  const on = { power, voltage, current, efficiency: subject.efficiency.value };
  const starts = (subject.method ?? 'direct') === 'direct' ? drawnBy(walk, subject, current) : undefined;
  return cableWay(walk, on, subject, starts, subject.method === 'drive');
}

const sixLeads = remembered(
  'code',
  'NFPA 70 (National Electrical Code)',
  '2023',
  '430.22(C): 72 % of the table current, 125 % × 0.58; the same share under IEC',
);

const drawnSource = commonPractice(
  'A start loses most on its cable at standstill, or where the motor breaks down: by the power it takes there',
);

const fromPlate = definition('Power factor', 'rated power ÷ (√3 × voltage × current × efficiency)');

function tellDrop(
  walk: Walk,
  subject: Subject,
  { impedanceSource, sizes }: Laid,
  { size, count }: Conductors,
  way: CableWay | undefined,
): Pick<Circuit, 'impedance'> {
  const { input, w } = walk;
  const length = input.place?.cable?.length;
  const voltage = input.supply?.voltage;
  if (!length || length.value <= 0) {
    w.want('place.cable.length');
    return {};
  }
  const along = (perMetre: number): Given<'ohm'> => ({
    ...prescribed(q((perMetre * length.value) / count, 'ohm'), impedanceSource),
    text: `${writeQuantity((perMetre * length.value) / count, 'ohm')} of ${length.text}`,
  });
  const impedance = { resistance: along(size.resistance), reactance: along(size.reactance) };
  if (!voltage || !way) return { impedance };
  const U = field('supply.voltage', voltage.value, voltage.text);
  const { cosine, maxDrop: limit } = way;
  w.figure(
    'guard.voltageDrop',
    voltageDrop,
    {
      ...{ I: subject.current, R: impedance.resistance, X: impedance.reactance, U },
      c: { ...prescribed(q(cosine, '1'), fromPlate), text: cosine.toFixed(2) },
    },
    { source: impedanceSource },
  );
  const running = w.figures.get('guard.voltageDrop')?.value ?? 0;
  if (exceeds(running, limit)) {
    const enough = sizes.find((s) => s.area > size.area && runningDrop(way, s, count) <= limit);
    w.finding(
      'guard.drop',
      'caution',
      `${(100 * running).toFixed(1)} % of the voltage is lost on ${length.text} of ${size.name}, ` +
        `${(100 * limit).toFixed(1)} % is wished` +
        (enough ? `: ${enough.name} does.` : ': no size of the tables does.'),
      { fields: ['place.cable.length', 'guard.maxDrop'], figures: ['guard.voltageDrop'], source: impedanceSource },
    );
  }
  tellStartDrop(walk, subject, { impedanceSource, sizes }, { size, count }, way, { ...impedance, U });
  return { impedance };
}

/** The most that a start loses on the cable: its run's own, else by what it draws. */
function tellStartDrop(
  walk: Walk,
  subject: Subject,
  { impedanceSource, sizes }: Pick<Laid, 'impedanceSource' | 'sizes'>,
  { size, count }: Pick<Conductors, 'size' | 'count'>,
  way: CableWay,
  { resistance: R, reactance: X, U }: NonNullable<Circuit['impedance']> & { readonly U: Given<'V'> },
): void {
  const { input, w } = walk;
  const method = subject.method ?? 'direct';
  const peak: FigureId = `start.${method}.peakCurrent`;
  const simulated = losesOnFullLine(method) ? (`start.${method}.cableDrop` as const) : undefined;
  const [standstill, breakdown] = drawnBy(walk, subject, way.current) ?? [];
  if (simulated && w.figures.has(simulated)) w.figure('guard.startVoltageDrop', lostAsSimulated, { du_c: simulated });
  else if (standstill && breakdown) {
    const by = (d: StartDrawn): number => lost(way, size, count, d.current, d.cosine);
    const most = method === 'direct' && by(breakdown) > by(standstill) ? breakdown : standstill;
    const cosine = method === 'drive' ? way.cosine : most.cosine;
    w.figure(
      'guard.startVoltageDrop',
      lostStarting,
      {
        ...{ I: method !== 'direct' && w.figures.has(peak) ? peak : subject.lockedRotorCurrent, R, X, U },
        k: { ...prescribed(q(most.share, '1'), drawnSource), text: most.share.toFixed(2) },
        c: { ...prescribed(q(cosine, '1'), drawnSource), text: cosine.toFixed(2) },
      },
      { source: impedanceSource, estimate: true },
    );
  }
  const starting = w.value('guard.startVoltageDrop') ?? 0;
  if (!way.start || !exceeds(starting, way.start.maxDrop)) return;
  const [limit, scale] = [way.start.maxDrop, starting / startingDrop(way, size, count)];
  const enough = sizes.find((s) => s.area > size.area && !exceeds(scale * startingDrop(way, s, count), limit));
  w.finding(
    'guard.start-drop',
    'caution',
    `${percent(starting, 1)} of the voltage is lost on ${input.place?.cable?.length?.text ?? 'the cable'} of ` +
      `${size.name} while it starts, ${percent(limit, 1)} is the house rule` +
      (enough ? `: ${enough.name} does.` : ': no size of the tables does.'),
    { fields: ['place.cable.length', 'rules.maxStartDrop'], figures: ['guard.startVoltageDrop'] },
  );
}
