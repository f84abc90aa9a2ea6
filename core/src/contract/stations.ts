/** The stations in the order practitioners work, with their names. */
export const stationNames = {
  plate: 'Plate',
  load: 'Load',
  place: 'Place',
  speed: 'Speed',
  choice: 'Choice',
  start: 'Start',
  guard: 'Guard',
  drive: 'Drive',
  cost: 'Cost',
  sheet: 'Sheet',
} as const;
export type StationName = keyof typeof stationNames;

export const isStation = (text: string): text is StationName => Object.hasOwn(stationNames, text);
export const stations: readonly StationName[] = Object.keys(stationNames).filter(isStation);

/** Those that tell what is chosen and what follows from it; the others ask. */
export const choosing: readonly StationName[] = ['choice', 'start', 'guard', 'drive', 'cost', 'sheet'];

/** Stations that rest on each part of a case, its own first; whatever is not named here, all of them. */
const resting: Readonly<Record<string, readonly StationName[]>> = {
  plate: ['plate', ...choosing],
  history: ['plate', ...choosing],
  measured: ['plate', 'sheet'],
  replacement: ['plate', 'sheet'],
  load: ['load', ...choosing],
  place: ['place', ...choosing],
  speed: ['speed', ...choosing],
  start: choosing,
  guard: ['guard', 'sheet'],
  drive: ['drive', ...choosing.filter((s) => s !== 'drive')],
  motor: choosing,
  method: choosing,
  waived: choosing,
  money: ['cost', ...choosing.filter((s) => s !== 'cost')],
};

/** Stations whose answer rests on a field: where it cannot be read they wait for it. */
export const restingOn = (path: string): readonly StationName[] => resting[/^\w+/.exec(path)?.[0] ?? ''] ?? stations;

const order = { stop: 0, caution: 1, note: 2 } as const;

/** Findings, worst first, then in the order of the stations. */
export const worstFirst = <F extends { readonly level: keyof typeof order; readonly station: StationName }>(
  findings: readonly F[],
): F[] =>
  findings.toSorted(
    (a, b) => order[a.level] - order[b.level] || stations.indexOf(a.station) - stations.indexOf(b.station),
  );
