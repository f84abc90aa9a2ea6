import type { Figure } from '@pilgrim/core';
import { methods, stations, type Method, type StationName } from '@pilgrim/core/ids';

const names: Readonly<Record<string, string>> = {
  'plate.connectedVoltage': 'Connected voltage',
  'plate.connectedCurrent': 'Connected current',
  'plate.lockedRotorCurrentMin': 'Locked-rotor current, least',
  'plate.lockedRotorCurrentMax': 'Locked-rotor current, most',
  'plate.efficiencyMinimum': 'Minimum efficiency',
  'plate.apparentPower': 'Apparent power',
  'plate.windingVoltage': 'Voltage over one coil group',
  'plate.serviceFactorHere': 'Service factor that counts here',
  'plate.serviceFactorPower': 'Power at the service factor',
  'plate.serviceFactorCurrent': 'Current at the service factor',
  'plate.lockedRotorRatio': 'Locked-rotor current, times rated',
  'plate.lockedRotorLimit': 'Locked-rotor current, standard’s limit',
  'plate.lockedRotorTorque': 'Locked-rotor torque, least by design',
  'plate.breakdownTorque': 'Breakdown torque, least by design',
  'plate.minSpeedVariableTorque': 'Lowest speed, variable torque',
  'plate.minSpeedConstantTorque': 'Lowest speed, constant torque',
  'plate.fluxRatio': 'Flux on this supply, share of rated',
  'plate.scaledVoltage': 'Other frequency: voltage for the same flux',
  'plate.scaledPower': 'Other frequency: power',
  'plate.scaledSpeed': 'Other frequency: full-load speed',
  'plate.scaledCurrent': 'Other frequency: current',
  'plate.currentHere': 'Full-load current on this supply',
  'plate.torqueHere': 'Start and breakdown torque here, share',
  'plate.slipHere': 'Full-load slip on this supply',
  'measured.poles': 'Poles, from the speed',
  'measured.ratedPowerByNoLoad': 'Rating, by the no-load current',
  'measured.ratedPowerByResistance': 'Rating, by the winding resistance',
  'measured.loading': 'Load, share of rating',
  'history.life': 'Lasted',
  'history.hoursPerYear': 'Hours a year',
  'replacement.oldSpeed': 'Old: speed with this load',
  'replacement.newSpeed': 'New: speed with this load',
  'replacement.oldPower': 'Old: shaft power',
  'replacement.newPower': 'New: shaft power',
  'replacement.powerRatio': 'Shaft power, new ÷ old',
  'replacement.speedRatio': 'Speed, new ÷ old',
  'replacement.oldCurrent': 'Old: current',
  'replacement.newCurrent': 'New: current',
  'start.inertia': 'Inertia to accelerate',
  'start.loadInertia': 'Load inertia, usual for the machine',
  'start.inertiaLimit': 'Load inertia, standard’s limit',
  'start.inertiaReserve': 'Reserve to that limit',
  'start.stallTime': 'Safe stall time, hot',
  'start.coldUse': 'Share of permitted heat, cold',
  'start.startsPerHour': 'Starts an hour by heat',
  'start.stopTime': 'Gentlest stop',
  'start.cableResistance': 'Resistance of the motor cable',
  'start.transientReactance': 'Generator’s transient reactance',
  'start.recovery': 'Generator’s recovery, time constant',
  'motor.startingCurrent': 'Circuit: locked-rotor current',
  'motor.startingTorque': 'Circuit: locked-rotor torque',
  'motor.breakdownTorque': 'Circuit: breakdown torque',
  'motor.breakdownSlip': 'Circuit: slip at breakdown',
  'motor.current': 'Circuit: rated current',
  'motor.powerFactor': 'Circuit: power factor',
  'motor.efficiency': 'Circuit: efficiency',
  'motor.inputPower': 'Circuit: input power',
  'motor.airGapPower': 'Circuit: air-gap power',
  'motor.torque': 'Circuit: electromagnetic torque',
  'motor.outputPower': 'Circuit: shaft power',
  'motor.shaftTorque': 'Circuit: shaft torque',
  'load.torque': 'Torque at the machine',
  'load.speed': 'Speed at the machine',
  'load.power': 'Power at the machine',
  'load.motorTorque': 'Torque at the motor',
  'load.motorSpeed': 'Speed at the motor',
  'load.motorPower': 'Power at the motor',
  'load.gasDensity': 'Density of the gas',
  'load.fanPressure': 'Pressure at that density',
  'load.beltForce': 'Force at the drum',
  'load.breakawayRatio': 'Breakaway ÷ running pull',
  'load.staticFraction': 'Static share of the head',
  'load.loweringPower': 'Given back while lowering',
  'load.holdingTorque': 'Torque of the hanging load',
  'load.shareByPower': 'Load by input power, of rating',
  'load.shareBySlip': 'Load by slip, of rating',
  'load.shareByCurrent': 'Load by current, magnetising out',
  'load.shareByCurrentRatio': 'Load by the plain ratio of currents',
  'load.share': 'Load taken, of rating',
  'load.uncertainty': 'May be off by',
  'load.powerLow': 'Power at the motor, at least',
  'load.powerHigh': 'Power at the motor, at most',
  'load.ratio': 'Ratio of the train',
  'load.trainEfficiency': 'Efficiency of the train',
  'load.trainInertia': 'Inertia of the train at the motor',
  'load.beltPull': 'Pull on the motor shaft',
  'load.thermalRatio': 'Thermal equivalent ÷ steady load',
  'load.rmsPower': 'Thermally equivalent power',
  'load.peakTorque': 'Highest torque at the motor',
  'place.torqueHere': 'Torque on this supply, share',
  'choice.breakdownTorque': 'Breakdown torque here',
  'choice.peakReserve': 'Breakdown over the highest torque',
  'choice.current': 'Current at the operating point',
  'choice.windingTemperature': 'Hottest spot of the winding',
  'choice.insulationLife': 'Insulation lives',
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
/** Figures that exist once a starting method. */
const ofMethod: Readonly<Record<string, string>> = {
  peakCurrent: 'largest line current',
  voltageDip: 'dip at the bus',
  standstillCurrent: 'current at standstill',
  standstillDip: 'dip at standstill',
  startingTorque: 'torque at standstill',
  breakawayMargin: 'torque over breakaway',
  time: 'time to speed',
  terminalDip: 'dip at the terminals',
  torqueMargin: 'least torque to spare',
  thermalUse: 'share of permitted heat',
  firstPeak: 'first crest',
  largestMotor: 'largest motor within the dip',
};

/** The starting method a figure belongs to; undefined where it is of all. */
export const methodOfFigure = (id: string): Method | undefined => methods.find((m) => id.startsWith(`start.${m}.`));

export function figureName(id: string): string {
  const known = names[id];
  if (known) return known;
  const parts = id.split('.');
  const last = parts.at(-1) ?? id;
  const tail = (parts.length === 3 && ofMethod[last]) || last.replace(/([A-Z])/g, ' $1').toLowerCase();
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
  if (head === 'history' || head === 'measured' || head === 'replacement' || head === 'accepted') return 'plate';
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

/** "NFPA 70, 2023, Table 430.250 (from memory)" */
export const cited = (s: Pick<Figure['source'], 'title' | 'edition' | 'part' | 'fromMemory'>): string =>
  [s.title, s.edition, s.part].filter(Boolean).join(', ') + (s.fromMemory ? ' (from memory)' : '');
