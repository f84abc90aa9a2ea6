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
