import type { UnitId } from '../quantity';
import { methodNames, methods, type Method } from './methods';

/** Unit, name in words, and the version of core since which it is told; the first one where none stands. */
type Told = readonly [unit: UnitId, name: string, since?: string];

/** What the plate says and what follows from it. */
const plate = {
  'plate.connectedVoltage': ['V', 'Connected voltage'],
  'plate.connectedCurrent': ['A', 'Connected current'],
  'plate.ratedPower': ['W', 'Rated power'],
  'plate.ratedSpeed': ['rpm', 'Rated speed'],
  'plate.poles': ['1', 'Poles'],
  'plate.synchronousSpeed': ['rpm', 'Synchronous speed'],
  'plate.slip': ['1', 'Slip'],
  'plate.ratedTorque': ['N.m', 'Rated torque'],
  'plate.inputPower': ['W', 'Input power'],
  'plate.powerFactor': ['1', 'Power factor'],
  'plate.efficiency': ['1', 'Efficiency'],
  'plate.efficiencyMinimum': ['1', 'Minimum efficiency'],
  'plate.constantLoss': ['1', 'Losses that do not go with load'],
  'plate.lockedRotorCurrentMin': ['A', 'Locked-rotor current, least'],
  'plate.lockedRotorCurrentMax': ['A', 'Locked-rotor current, most'],
  'plate.shaftHeight': ['mm', 'Shaft height'],
  'plate.feetAcross': ['mm', 'Feet across'],
  'plate.feetAlong': ['mm', 'Feet along'],
  'plate.shaftDiameter': ['mm', 'Shaft diameter'],
  'plate.shaftLength': ['mm', 'Shaft length'],
  'plate.apparentPower': ['VA', 'Apparent power'],
  'plate.windingVoltage': ['V', 'Voltage over one coil group'],
  'plate.serviceFactorHere': ['1', 'Service factor that counts here'],
  'plate.serviceFactorPower': ['W', 'Power at the service factor'],
  'plate.serviceFactorCurrent': ['A', 'Current at the service factor'],
  'plate.lockedRotorRatio': ['1', 'Locked-rotor current, times rated'],
  'plate.lockedRotorLimit': ['A', 'Locked-rotor current, standard’s limit'],
  'plate.lockedRotorTorque': ['N.m', 'Locked-rotor torque, least by design'],
  'plate.breakdownTorque': ['N.m', 'Breakdown torque, least by design'],
  'plate.tableCurrent': ['A', 'Table current'],
  'plate.minSpeedVariableTorque': ['rpm', 'Lowest speed, variable torque'],
  'plate.minSpeedConstantTorque': ['rpm', 'Lowest speed, constant torque'],
  'plate.fluxRatio': ['1', 'Flux on this supply, share of rated'],
  'plate.scaledVoltage': ['V', 'Other frequency: voltage for the same flux'],
  'plate.scaledPower': ['W', 'Other frequency: power'],
  'plate.scaledSpeed': ['rpm', 'Other frequency: full-load speed'],
  'plate.scaledCurrent': ['A', 'Other frequency: current'],
  'plate.currentHere': ['A', 'Full-load current on this supply'],
  'plate.torqueHere': ['1', 'Start and breakdown torque here, share'],
  'plate.slipHere': ['1', 'Full-load slip on this supply'],
} as const satisfies Record<`plate.${string}`, Told>;

/** Without a plate: what measurements say. */
const measured = {
  'measured.poles': ['1', 'Poles, from the speed'],
  'measured.ratedPowerByNoLoad': ['W', 'Rating, by the no-load current'],
  'measured.ratedPowerByResistance': ['W', 'Rating, by the winding resistance'],
  'measured.loading': ['1', 'Load, share of rating'],
} as const satisfies Record<`measured.${string}`, Told>;

/** What a round's readings say of the motor's condition. */
const condition = {
  'condition.current': ['A', 'Current, mean of the phases'],
  'condition.currentShare': ['1', 'Highest phase over the plate’s current'],
  'condition.currentUnbalance': ['1', 'Unbalance of the currents'],
  'condition.voltage': ['V', 'Voltage, mean of the phases'],
  'condition.voltageShare': ['1', 'Voltage over the plate’s'],
  'condition.voltageUnbalance': ['1', 'Unbalance of the voltages'],
  'condition.insulation': ['ohm', 'Insulation resistance at 40 °C'],
  'condition.rise': ['K', 'Bearing housing above the air'],
  'condition.grease': ['g', 'Grease for a relubrication'],
  'condition.greaseInterval': ['h', 'Hours between greasings'],
  'condition.starts': ['1/h', 'Starts an hour since the reading before'],
} as const satisfies Record<`condition.${string}`, Told>;

/** How the old motor lived. */
const history = {
  'history.life': ['a', 'Lasted'],
  'history.hoursPerYear': ['h/a', 'Hours a year'],
} as const satisfies Record<`history.${string}`, Told>;

/** Old motor and its replacement under this load. */
const replacement = {
  'replacement.oldSpeed': ['rpm', 'Old: speed with this load'],
  'replacement.newSpeed': ['rpm', 'New: speed with this load'],
  'replacement.speedRatio': ['1', 'Speed, new ÷ old'],
  'replacement.oldPower': ['W', 'Old: shaft power'],
  'replacement.newPower': ['W', 'New: shaft power'],
  'replacement.powerRatio': ['1', 'Shaft power, new ÷ old'],
  'replacement.oldCurrent': ['A', 'Old: current'],
  'replacement.newCurrent': ['A', 'New: current'],
} as const satisfies Record<`replacement.${string}`, Told>;

/** The load, at the machine and at the motor. */
const load = {
  'load.gasDensity': ['kg/m3', 'Density of the gas'],
  'load.fanPressure': ['Pa', 'Pressure at that density'],
  'load.beltForce': ['N', 'Force at the drum'],
  'load.breakawayRatio': ['1', 'Breakaway ÷ running pull'],
  'load.loweringPower': ['W', 'Given back while lowering'],
  'load.holdingTorque': ['N.m', 'Torque of the hanging load'],
  'load.staticFraction': ['1', 'Static share of the head'],
  'load.measuredInput': ['W', 'Measured input'],
  'load.shareByPower': ['1', 'Load by input power, of rating'],
  'load.shareBySlip': ['1', 'Load by slip, of rating'],
  'load.shareByCurrent': ['1', 'Load by current, magnetising out'],
  'load.shareByCurrentRatio': ['1', 'Load by the plain ratio of currents'],
  'load.share': ['1', 'Load taken, of rating'],
  'load.torque': ['N.m', 'Torque at the machine'],
  'load.speed': ['rpm', 'Speed at the machine'],
  'load.power': ['W', 'Power at the machine'],
  'load.motorTorque': ['N.m', 'Torque at the motor'],
  'load.motorSpeed': ['rpm', 'Speed at the motor'],
  'load.motorPower': ['W', 'Power at the motor'],
  'load.margin': ['1', 'Margin (house rule)'],
  'load.requiredPower': ['W', 'Required power'],
  'load.inertiaAtMotor': ['kg.m2', 'Inertia at the motor'],
  'load.breakawayTorque': ['N.m', 'Breakaway torque'],
  'load.uncertainty': ['1', 'May be off by'],
  'load.powerLow': ['W', 'Power at the motor, at least'],
  'load.powerHigh': ['W', 'Power at the motor, at most'],
  'load.ratio': ['1', 'Ratio of the train'],
  'load.trainEfficiency': ['1', 'Efficiency of the train'],
  'load.trainInertia': ['kg.m2', 'Inertia of the train at the motor'],
  'load.beltPull': ['N', 'Pull on the motor shaft'],
  'load.thermalRatio': ['1', 'Thermal equivalent ÷ steady load'],
  'load.rmsPower': ['W', 'Thermally equivalent power'],
  'load.peakTorque': ['N.m', 'Highest torque at the motor'],
} as const satisfies Record<`load.${string}`, Told>;

/** What heat, height and supply leave. */
const place = {
  'place.unbalanceDerating': ['1', 'Left after unbalance'],
  'place.motorDerating': ['1', 'Motor: share of rating left'],
  'place.driveDerating': ['1', 'Drive: share of current left'],
  'place.torqueHere': ['1', 'Torque on this supply, share'],
} as const satisfies Record<`place.${string}`, Told>;

/** The year. */
const speed = {
  'speed.hours': ['h/a', 'Hours in the profile'],
  'speed.meanFlow': ['1', 'Mean flow'],
  'speed.keptShare': ['1', 'Share of the head that is kept'],
  'speed.leastLift': ['1', 'Least speed that still lifts'],
  'speed.curveHead': ['1', 'Head of the curve ÷ head asked'],
} as const satisfies Record<`speed.${string}`, Told>;

/** The motor chosen or pinned. */
const choice = {
  'choice.ratedPower': ['W', 'Rated power'],
  'choice.ratedSpeed': ['rpm', 'Rated speed'],
  'choice.ratedCurrent': ['A', 'Rated current'],
  'choice.loading': ['1', 'Loading'],
  'choice.breakdownTorque': ['N.m', 'Breakdown torque here'],
  'choice.peakReserve': ['1', 'Breakdown over the highest torque'],
  'choice.current': ['A', 'Current at the operating point'],
  'choice.windingTemperature': ['degC', 'Hottest spot of the winding'],
  'choice.insulationLife': ['h', 'Insulation lives'],
  'choice.soundPressure': ['dB', 'Sound at 1 m, full load', '0.2.0'],
} as const satisfies Record<`choice.${string}`, Told>;

/** Where motor and load meet. */
const point = {
  'point.motorSpeed': ['rpm', 'Motor speed at the operating point'],
  'point.drivenSpeed': ['rpm', 'Machine speed at the operating point'],
  'point.shaftPower': ['W', 'Shaft power at the operating point'],
} as const satisfies Record<`point.${string}`, Told>;

/** The machine’s circuit at rated speed and at standstill. */
const motor = {
  'motor.current': ['A', 'Circuit: rated current'],
  'motor.powerFactor': ['1', 'Circuit: power factor'],
  'motor.efficiency': ['1', 'Circuit: efficiency'],
  'motor.torque': ['N.m', 'Circuit: electromagnetic torque'],
  'motor.shaftTorque': ['N.m', 'Circuit: shaft torque'],
  'motor.airGapPower': ['W', 'Circuit: air-gap power'],
  'motor.inputPower': ['W', 'Circuit: input power'],
  'motor.outputPower': ['W', 'Circuit: shaft power'],
  'motor.startingTorque': ['N.m', 'Circuit: locked-rotor torque'],
  'motor.startingCurrent': ['A', 'Circuit: locked-rotor current'],
  'motor.breakdownTorque': ['N.m', 'Circuit: breakdown torque'],
  'motor.breakdownSlip': ['1', 'Circuit: slip at breakdown'],
} as const satisfies Record<`motor.${string}`, Told>;

/** Supply, inertia and heat of a start, whatever the method. */
const start = {
  'start.faultCurrent': ['A', 'Fault current'],
  'start.sourceImpedance': ['ohm', 'Source impedance'],
  'start.ratedTorque': ['N.m', 'Rated torque'],
  'start.lockedRotorCurrent': ['A', 'Locked rotor current'],
  'start.lockedRotorTorque': ['N.m', 'Locked rotor torque'],
  'start.lockedRotorImpedance': ['ohm', 'Locked rotor impedance'],
  'start.transientReactance': ['ohm', 'Generator’s transient reactance'],
  'start.recovery': ['s', 'Generator’s recovery, time constant'],
  'start.cableResistance': ['ohm', 'Resistance of the motor cable'],
  'start.inertia': ['kg.m2', 'Inertia to accelerate'],
  'start.loadInertia': ['kg.m2', 'Load inertia, usual for the machine'],
  'start.inertiaLimit': ['kg.m2', 'Load inertia, standard’s limit'],
  'start.inertiaReserve': ['1', 'Reserve to that limit'],
  'start.stallTime': ['s', 'Safe stall time, hot'],
  'start.startsPerHour': ['1/h', 'Starts an hour by heat'],
  'start.coldUse': ['1', 'Share of permitted heat, cold'],
  'start.stopTime': ['s', 'Gentlest stop'],
} as const satisfies Record<`start.${string}`, Told>;

/** Protection and conductors. */
const guard = {
  'guard.tableCurrent': ['A', 'Table current'],
  'guard.conductorCurrent': ['A', 'Least ampacity, before corrections'],
  'guard.overloadDial': ['A', 'Overload dial'],
  'guard.dialSet': ['A', 'Overload dial, as set'],
  'guard.overloadTrip': ['A', 'Highest ultimate trip'],
  'guard.overloadMaximum': ['A', 'Maximum, if it cannot start otherwise'],
  'guard.ambientFactor': ['1', 'Factor for the ambient'],
  'guard.groupFactor': ['1', 'Factor for others beside it'],
  'guard.conductorArea': ['mm2', 'Conductor'],
  'guard.ampacity': ['A', 'Ampacity as laid'],
  'guard.earthArea': ['mm2', 'Earth conductor'],
  'guard.conduitFill': ['1', 'Conduit filled, of what is permitted'],
  'guard.voltageDrop': ['1', 'Voltage drop, running'],
  'guard.startVoltageDrop': ['1', 'Voltage drop, starting'],
  'guard.cableWithstand': ['A2.s', 'Let-through the cable withstands'],
  'guard.availableFault': ['A', 'Fault current at the starter'],
  'guard.faultAtMotor': ['A', 'Fault current at the motor'],
  'guard.faultWithMotors': ['A', 'Fault current, motors added'],
  'guard.unmarkedRating': ['A', 'Rating of an unmarked controller'],
  'guard.earthFault': ['A', 'Earth fault at the motor'],
  'guard.earthFaultAsked': ['A', 'Earth fault the device asks'],
  'guard.boardFactor': ['1', 'Factor for the board'],
  'guard.breakerRating': ['A', 'Breaker'],
  'guard.fuseRatingDual': ['A', 'Time-delay fuse, or aM'],
  'guard.fuseRatingSingle': ['A', 'Non-time-delay fuse, or gG'],
  'guard.deviceCeiling': ['A', 'Device, if it cannot start otherwise'],
  'guard.instantaneousTrip': ['A', 'Instantaneous trip, setting'],
  'guard.instantaneousCeiling': ['A', 'Instantaneous trip, at most'],
  'guard.disconnectCurrent': ['A', 'Disconnect, at least'],
  'guard.tripClass': ['1', 'Trip class'],
  'guard.tripAtSeven': ['s', 'Trip time of its class, cold'],
  'guard.tripAtStart': ['1', 'Way to a trip used by the start'],
  'guard.tripAtStall': ['s', 'Latest trip at standstill, warm'],
  'guard.contactorRating': ['A', 'Contactor (AC-3)'],
  'guard.contactorLine': ['A', 'Line contactor, star-delta'],
  'guard.contactorDelta': ['A', 'Delta contactor'],
  'guard.contactorStar': ['A', 'Star contactor'],
  'guard.starterSize': ['1', 'Starter size'],
  'guard.capacitorAsked': ['var', 'Capacitor for the power factor wished'],
  'guard.capacitorMost': ['var', 'Capacitor at the motor, at most'],
  'guard.feederCurrent': ['A', 'Feeder conductors, at least'],
  'guard.feederDevice': ['A', 'Feeder device, at most'],
} as const satisfies Record<`guard.${string}`, Told>;

/** The drive. */
const drive = {
  'drive.overload': ['1', 'Overload for a minute'],
  'drive.overloadCurrent': ['A', 'Overload current'],
  'drive.requiredCurrent': ['A', 'Required current'],
  'drive.ratedCurrent': ['A', 'Rated current'],
  'drive.deratedCurrent': ['A', 'Derated current'],
  'drive.powerMatch': ['W', 'Match by power (cross-check)'],
  'drive.minSpeed': ['rpm', 'Min speed'],
  'drive.maxSpeed': ['rpm', 'Max speed'],
  'drive.cableLimit': ['m', 'Cable without a filter'],
  'drive.peakVoltage': ['V', 'Pulse at the motor'],
  'drive.peakJudged': ['V', 'Crest by which the winding is judged'],
  'drive.peakPermitted': ['V', 'Pulse its winding bears'],
  'drive.criticalLength': ['m', 'Cable that doubles in full'],
  'drive.slowestEdge': ['s', 'Rise time that would do'],
  'drive.torqueLeast': ['N.m', 'Torque left at least speed'],
  'drive.inputPower': ['W', 'Power from the supply'],
  'drive.inputCurrent': ['A', 'Current from the supply'],
  'drive.ratedInput': ['A', 'Input current at rated load'],
  'drive.truePowerFactor': ['1', 'True power factor'],
  'drive.currentDistortion': ['1', 'Distortion of its current'],
  'drive.demandDistortion': ['1', 'Demand distortion'],
  'drive.distortionLimit': ['1', 'Limit of demand distortion'],
  'drive.voltageDistortion': ['1', 'Distortion of the voltage'],
  'drive.coastTime': ['s', 'Run-out by itself'],
  'drive.chargingCurrent': ['A', 'Charging current of its cable'],
  'drive.cycleCurrent': ['A', 'Current by the duty in time'],
  'drive.normalCurrent': ['A', 'Its current at normal duty'],
  'drive.heavyCurrent': ['A', 'Its current at heavy duty'],
  'drive.stopTime': ['s', 'Stop'],
  'drive.brakingEnergy': ['J', 'Energy of one stop'],
  'drive.brakingPower': ['W', 'Peak power of braking'],
  'drive.brakingMean': ['W', 'Mean power of braking'],
  'drive.brakingResistance': ['ohm', 'Resistor at most'],
  'drive.brakingLeast': ['ohm', 'Resistor at least'],
  'drive.stopHeat': ['1', 'Rotor heat of a stop by direct current'],
  'drive.heat': ['W', 'Heat of the drive'],
  'drive.heatPart': ['W', 'Heat at this load'],
  'drive.airflow': ['m3/s', 'Air through the panel'],
} as const satisfies Record<`drive.${string}`, Told>;

/** Energy and money. */
const cost = {
  'cost.oldEfficiency': ['1', 'Old efficiency'],
  'cost.newEfficiency': ['1', 'New efficiency'],
  'cost.oldRatio': ['1', 'Mean input ÷ shaft power, now'],
  'cost.shaftRatio': ['1', 'Mean shaft power, new ÷ full'],
  'cost.newRatio': ['1', 'Mean input ÷ shaft power, new'],
  'cost.oldEnergy': ['kWh/a', 'Old energy'],
  'cost.newEnergy': ['kWh/a', 'New energy'],
  'cost.oldPeak': ['kW', 'Old peak'],
  'cost.newPeak': ['kW', 'New peak'],
  'cost.oldPrice': ['1/kWh', 'Mean price paid, now'],
  'cost.newPrice': ['1/kWh', 'Mean price paid, new'],
  'cost.oldPowerFactor': ['1', 'Power factor at the peak, now'],
  'cost.newPowerFactor': ['1', 'Power factor at the peak, new'],
  'cost.oldDemand': ['kW', 'Demand billed, now'],
  'cost.newDemand': ['kW', 'Demand billed, new'],
  'cost.once': ['money', 'Spent once besides the cost'],
  'cost.ratchetLoss': ['money', 'Kept by the ratchet in the first year'],
  'cost.savedEnergy': ['kWh/a', 'Saved energy'],
  'cost.savedMoney': ['1/a', 'Saved money'],
  'cost.savedCarbon': ['kg/a', 'Saved carbon'],
  'cost.investment': ['money', 'Investment'],
  'cost.payback': ['a', 'Payback'],
  'cost.benefit': ['1/a', 'What a year brings'],
  'cost.presentFactor': ['1', 'Present value of one a year'],
  'cost.spendings': ['1', 'Times it is bought, as of today'],
  'cost.netPresentValue': ['money', 'Net present value'],
  'cost.netPresentLow': ['money', 'Net present value, 5th percentile'],
  'cost.netPresentHigh': ['money', 'Net present value, 95th percentile'],
  'cost.lifeCycle': ['money', 'Life-cycle cost'],
  'cost.internalRate': ['1', 'Internal rate of return'],
  'cost.discountedPayback': ['a', 'Discounted payback'],
} as const satisfies Record<`cost.${string}`, Told>;

/** Every figure: stable once released, so add, never rename. */
export const figureTable = {
  ...plate,
  ...measured,
  ...condition,
  ...history,
  ...replacement,
  ...load,
  ...place,
  ...speed,
  ...choice,
  ...point,
  ...motor,
  ...start,
  ...guard,
  ...drive,
  ...cost,
} as const;

/** Figures that exist once a starting method. */
export const startFigureTable = {
  peakCurrent: ['A', 'largest line current'],
  standstillCurrent: ['A', 'current at standstill'],
  standstillDip: ['1', 'dip at standstill'],
  voltageDip: ['1', 'dip at the bus'],
  startingTorque: ['N.m', 'torque at standstill'],
  breakawayMargin: ['1', 'torque over breakaway'],
  time: ['s', 'time to speed'],
  terminalDip: ['1', 'dip at the terminals'],
  cableDrop: ['1', 'lost on the cable'],
  torqueMargin: ['N.m', 'least torque to spare'],
  thermalUse: ['1', 'share of permitted heat'],
  firstPeak: ['A', 'first crest'],
  largestMotor: ['W', 'largest motor within the dip'],
} as const satisfies Record<string, Told>;

type PlainId = keyof typeof figureTable;
type StartKind = keyof typeof startFigureTable;
export type StartId<K extends StartKind = StartKind> = `start.${Method}.${K}`;
export type FigureId = PlainId | StartId;

export type UnitOf<I extends FigureId> = I extends PlainId
  ? (typeof figureTable)[I][0]
  : I extends `start.${Method}.${infer K extends StartKind}`
    ? (typeof startFigureTable)[K][0]
    : never;

/** Ids of all figures that carry unit U. */
export type IdIn<U extends UnitId> = { [I in FigureId]: UnitOf<I> extends U ? I : never }[FigureId];

const isPlain = (text: string): text is PlainId => Object.hasOwn(figureTable, text);
const isStartKind = (text: string): text is StartKind => Object.hasOwn(startFigureTable, text);

/** The method and kind of a figure that exists once a method; undefined for any other text. */
function ofMethod(text: string): { readonly method: Method; readonly kind: StartKind } | undefined {
  const [head, name, kind, ...more] = text.split('.');
  const method = methods.find((m) => m === name);
  return head === 'start' && method && kind !== undefined && more.length === 0 && isStartKind(kind)
    ? { method, kind }
    : undefined;
}

/** True for a text that is a figure's id; scripts and links hold plain text. */
export const isFigureId = (text: string): text is FigureId => isPlain(text) || ofMethod(text) !== undefined;

/** The unit a figure is told in, by its id; undefined for any other text. */
export function unitOfFigure(id: string): UnitId | undefined {
  if (isPlain(id)) return figureTable[id][0];
  const start = ofMethod(id);
  return start && startFigureTable[start.kind][0];
}

const percentPlain: ReadonlySet<string> = new Set<PlainId>([
  ...(['plate.slip', 'plate.slipHere', 'motor.breakdownSlip', 'choice.peakReserve'] as const),
  ...(['guard.voltageDrop', 'guard.startVoltageDrop', 'start.coldUse', 'start.inertiaReserve'] as const),
  ...(['condition.currentUnbalance', 'condition.voltageUnbalance', 'drive.stopHeat', 'guard.tripAtStart'] as const),
]);
const percentKinds: ReadonlySet<string> = new Set<StartKind>([
  ...(['standstillDip', 'voltageDip', 'terminalDip', 'cableDrop', 'breakawayMargin', 'thermalUse'] as const),
]);

/** Whether people say a figure in per cent: slips, drops, dips, reserves, unbalance, shares of heat. */
export function isSaidInPercent(id: FigureId): boolean {
  const start = ofMethod(id);
  return percentPlain.has(id) || (start !== undefined && percentKinds.has(start.kind));
}

/** The starting method a figure belongs to; undefined where it is of all. */
export const methodOfFigure = (id: string): Method | undefined => ofMethod(id)?.method;

/** A figure's name in words: "Voltage dip, direct on line". An id of a later version is spelled out. */
export function figureName(id: string): string {
  if (isPlain(id)) return figureTable[id][1];
  const start = ofMethod(id);
  if (!start) return capital((id.split('.').at(-1) ?? id).replace(/([A-Z])/g, ' $1').toLowerCase());
  return `${capital(startFigureTable[start.kind][1])}, ${methodNames[start.method].toLowerCase()}`;
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Ids of all figures, those of every method among them. */
export const figureIds: readonly FigureId[] = [
  ...Object.keys(figureTable).filter(isPlain),
  ...methods.flatMap((m) =>
    Object.keys(startFigureTable)
      .filter(isStartKind)
      .map((kind): FigureId => `start.${m}.${kind}`),
  ),
];
