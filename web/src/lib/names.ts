import { stations, type StationName } from '@pilgrim/core/ids';

const names: Readonly<Record<string, string>> = {
  'plate.connectedVoltage': 'Connected voltage',
  'plate.connectedCurrent': 'Connected current',
  'plate.lockedRotorCurrentMin': 'Locked-rotor current, least',
  'plate.lockedRotorCurrentMax': 'Locked-rotor current, most',
  'plate.efficiencyMinimum': 'Minimum efficiency',
  'load.torque': 'Torque at the machine',
  'load.speed': 'Speed at the machine',
  'load.power': 'Power at the machine',
  'load.motorTorque': 'Torque at the motor',
  'load.motorSpeed': 'Speed at the motor',
  'load.motorPower': 'Power at the motor',
  'load.margin': 'Margin (house rule)',
  'load.requiredPower': 'Required power',
  'load.inertiaAtMotor': 'Inertia at the motor',
  'place.motorDerating': 'Motor: share of rating left',
  'place.driveDerating': 'Drive: share of current left',
  'place.unbalanceDerating': 'Left after unbalance',
  'point.shaftPower': 'Shaft power at the operating point',
  'point.motorSpeed': 'Motor speed at the operating point',
  'point.drivenSpeed': 'Machine speed at the operating point',
  'choice.loading': 'Loading',
  'guard.conductorCurrent': 'Least ampacity, before corrections',
  'guard.overloadTrip': 'Highest ultimate trip',
  'guard.overloadMaximum': 'Maximum, if it cannot start otherwise',
  'drive.overload': 'Overload for a minute',
  'drive.powerMatch': 'Match by power (cross-check)',
  'drive.cableLimit': 'Cable without a filter',
  'drive.peakVoltage': 'Pulse if fully reflected',
  'cost.oldRatio': 'Mean input ÷ shaft power, now',
  'cost.newRatio': 'Mean input ÷ shaft power, new',
  'speed.hours': 'Hours in the profile',
};

/** A figure's name in words: listed, else made from its id ("start.direct.voltageDip" → "Voltage dip, direct"). */
export function figureName(id: string): string {
  const known = names[id];
  if (known) return known;
  const parts = id.split('.');
  const tail = (parts.at(-1) ?? id).replace(/([A-Z])/g, ' $1').toLowerCase();
  const method = parts.length === 3 ? `, ${words(parts[1] ?? '')}` : '';
  return tail.charAt(0).toUpperCase() + tail.slice(1) + method;
}

export const stationNames: Readonly<Record<StationName, string>> = {
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
};

export type StationId = StationName;
export const stationIds = stations;
export const isStation = (text: string): text is StationId => Object.hasOwn(stationNames, text);

/** The station on whose desk a field of the case stands. */
export function stationOfField(path: string): StationId {
  const head = path.split(/[.[]/)[0] ?? '';
  if (head === 'supply') return 'start';
  if (head === 'motor' || head === 'method' || head === 'rules') return 'choice';
  if (head === 'money') return 'cost';
  if (head === 'history') return 'plate';
  return isStation(head) ? head : 'plate';
}

/** "load.demand.force" → "demand force", for lists of wanted fields. */
export const fieldName = (path: string): string =>
  path
    .split('.')
    .slice(-2)
    .join(' ')
    .replace(/([A-Z])/g, ' $1')
    .toLowerCase();

export const words = (text: string): string => text.replaceAll('-', ' ');
