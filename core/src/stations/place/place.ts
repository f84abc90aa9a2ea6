import type { EnclosureView } from '../../case';
import { commonPractice, remembered, type Prescribed } from '../../contract';
import { assumed, field, type Given } from '../../law';
import { enclosureOf, enclosureText, hazardWords, hazardWordsSource } from '../../nameplate';
import { torqueAtVoltage } from '../../physics';
import {
  driveDeratingByCurrent,
  driveDeratingByTemperature,
  enclosureFault,
  enclosureWords,
  motorDerating,
  unbalanceDerating,
  type PlaceNeeds as PlaceConditions,
} from '../../practice';
import { q, writeQuantity } from '../../quantity';
import { percent, type PlaceNeeds, type Walk } from '../../needs';

/** Heat, height, dirt and water: what is left of motor and drive, and which enclosures will do. */
export function surveyPlace(walk: Walk): PlaceNeeds {
  const { input, rules, w } = walk;
  w.enter('place');
  const place = input.place;
  if (place?.hazardous === true) {
    w.finding(
      'place.hazardous',
      'stop',
      'Explosive gas, vapour or dust: no motor or drive of this catalogue will do. The area classification and ' +
        'the certified motor and drive arrangement come from a competent person. Pilgrim stops here.',
      { fields: ['place.hazardous'] },
    );
  }
  speaksOfHazard(walk);
  const ambient: Given<'degC'> = place?.ambient
    ? field('place.ambient', place.ambient.value, place.ambient.text)
    : assumed('place.ambient', q(40, 'degC'), 'no ambient given: the 40 °C a plate assumes');
  const altitude: Given<'m'> = place?.altitude
    ? field('place.altitude', place.altitude.value, place.altitude.text)
    : assumed('place.altitude', q(0, 'm'), 'no altitude given: below 1000 m');
  const unbalance: Given<'1'> =
    input.supply?.unbalance === undefined
      ? assumed('supply.unbalance', q(0, '1'), 'no unbalance given: a balanced supply')
      : field('supply.unbalance', q(input.supply.unbalance, '1'));
  const driveAmbient = place?.driveAmbient
    ? field('place.driveAmbient', place.driveAmbient.value, place.driveAmbient.text)
    : ambient;

  const dU = w.figure('place.unbalanceDerating', unbalanceDerating, { u: unbalance }) ?? 1;
  const d =
    w.figure('place.motorDerating', motorDerating, { theta: ambient, h: altitude, d_u: 'place.unbalanceDerating' }) ??
    0;
  const driveLaw = rules.driveAltitude === 'current' ? driveDeratingByCurrent : driveDeratingByTemperature;
  const dDrive = w.figure('place.driveDerating', driveLaw, { theta: driveAmbient, h: altitude }) ?? 0;

  heatAndHeight(walk, ambient.value ?? 40, driveAmbient.value ?? 40, altitude.value ?? 0, dU > 0 ? d / dU : 0);
  const conditions: PlaceConditions = {
    dirt: place?.dirt ?? 'clean',
    water: place?.water ?? 'dry',
    corrosive: place?.corrosive ?? false,
    food: place?.food ?? false,
    mounting: place?.mounting ?? 'floor',
  };
  const enclosures = enclosuresFor(walk, conditions);
  for (const [path, given] of [
    ['place.dirt', place?.dirt],
    ['place.water', place?.water],
  ] as const) {
    if (given === undefined) w.want(path);
  }
  oldEnclosure(walk, enclosures.value);
  surroundings(walk, ambient.value ?? 40);
  voltageHere(walk);
  return {
    motorDerating: d,
    unbalanceDerating: dU,
    altitude: altitude.value ?? 0,
    driveDerating: dDrive,
    enclosures: enclosures.value,
    cable: place?.cable?.length?.value,
    ambient: ambient.value ?? 40,
    conditions,
    noiseLimit: place?.noiseLimit?.value,
    vibration: place?.vibration ?? false,
  };
}

/** Names and remarks that speak of what explodes: asked, until a named person said that nothing does. */
function speaksOfHazard({ input, w }: Walk): void {
  const { place } = input;
  const found = hazardWords(input);
  if (!found || place?.hazardous === true || (place?.hazardous === false && place.hazardousBy !== undefined)) return;
  w.finding(
    'place.hazard-words',
    'caution',
    `"${found.words}" speaks of air that may explode` +
      `${place?.hazardous === false ? ', and nobody’s name stands beside the no' : ''}: ` +
      `is the place classified? A competent person says so; enter who.`,
    { fields: ['place.hazardous', 'place.hazardousBy', found.field], source: hazardWordsSource },
  );
}

/**
 * Enclosures that will do in the place; where nobody described it, at least what the old motor had, and enclosed where
 * there was none:
 * the same as before is the least.
 */
function enclosuresFor({ input, practice }: Walk, conditions: PlaceConditions): Prescribed<readonly string[]> {
  const suitable = practice.enclosures(conditions);
  const { dirt, water, corrosive, food } = input.place ?? {};
  if (dirt !== undefined || water !== undefined || corrosive || food) return suitable;
  const old = (input.plate && enclosureOf(input.plate, practice)) ?? 'enclosed';
  const kinds = enclosureWords.map((e) => e.kind);
  const least = kinds.slice(Math.max(0, kinds.indexOf(old)));
  return { value: suitable.value.filter((kind) => least.includes(kind)), source: asBefore };
}
const asBefore = commonPractice(
  'A place nobody described wants at least what stood there, and enclosed where nothing is known',
);

/** Every enclosure in the words of both traditions: whether it will do here, and why not; cheapest first. */
export function enclosureTable({ conditions, enclosures }: PlaceNeeds): EnclosureView[] {
  return enclosureWords.map(({ kind, words, protection, cooling, construction }) => ({
    kind,
    words,
    protection,
    cooling,
    construction,
    suits: enclosures.includes(kind),
    cheapest: kind === enclosures[0],
    text:
      enclosureFault(kind, conditions) ??
      (!enclosures.includes(kind)
        ? 'the place is not described: at least what stood there, or enclosed'
        : kind === enclosures[0]
          ? 'the cheapest that will do'
          : 'will do, and costs more'),
  }));
}

/** Least temperature at which a drive may run, °C. */
const driveFrost = 0;
const driveFrostSource = commonPractice('Drives from 0 °C, without frost or dew; by their makers');

/** What else of the place a motor or drive feels. */
function surroundings({ input, w }: Walk, ambient: number): void {
  const place = input.place;
  const cold = Math.min(place?.ambientMin?.value ?? ambient, place?.ambientNight?.value ?? ambient);
  if (place?.ambientMin && place.ambientMin.value > ambient)
    w.finding('place.ambient-order', 'caution', 'The lowest ambient is above the highest: were the two swapped?', {
      fields: ['place.ambientMin', 'place.ambient'],
    });
  if (cold < -15)
    w.finding(
      'place.cold',
      'caution',
      `Down to ${writeQuantity(cold, 'degC', 'si')}: ask for grease and steel for the cold, a space ` +
        `heater in the motor, and a heated enclosure for a drive, which must not freeze.`,
      {
        fields: ['place.ambientMin'],
        source: commonPractice('Standard motors from −15 °C (IEC 60034-1), drives from 0 °C'),
      },
    );
  const driveCold = place?.driveAmbientMin?.value ?? cold;
  if (driveCold < driveFrost && (input.speed?.need === 'variable' || input.method === 'drive'))
    w.finding(
      'place.drive-cold',
      'caution',
      `The drive may stand at ${writeQuantity(driveCold, 'degC', 'si')}: drives bear no frost and no dew. Hang it ` +
        `indoors, or in a heated cabinet; let it warm before it is switched on.`,
      { fields: ['place.driveAmbientMin', 'place.ambientMin'], source: driveFrostSource },
    );
  const damp = place?.humid === true || (place?.water !== undefined && place.water !== 'dry');
  if (place?.humid === true || (damp && ambient - cold > 15) || (place?.water === 'outdoor' && cold < 5))
    w.finding(
      'place.condensation',
      'caution',
      'Damp, or warm by day and cold by night: water condenses inside while the motor ' +
        'stands. Space heater, drain holes open at the lowest point, an enclosed motor.',
      { fields: ['place.humid', 'place.ambientNight', 'place.water'] },
    );
  if (place?.sun)
    w.finding(
      'place.sun',
      'caution',
      'Full sun adds some 10 to 15 °C to what a motor and above all a drive’s enclosure ' +
        'feel: shade both, or enter the ambient as it is in the sun.',
      { fields: ['place.sun', 'place.ambient'], source: commonPractice('Solar gain on painted enclosures') },
    );
  if (place?.vibration)
    w.finding(
      'place.vibration',
      'caution',
      'Vibration loosens terminals, cracks rolled steel and wears bearings: cast iron, ' +
        'locked fasteners, flexible conduit; a drive hangs apart on rubber.',
      { fields: ['place.vibration'] },
    );
  const mounting = place?.mounting;
  if (mounting === 'shaft-up' || mounting === 'shaft-down')
    w.finding(
      'place.mounting',
      'caution',
      mounting === 'shaft-down'
        ? 'Shaft down: a rain and drip cover over the fan, bearings that hold the ' +
            'rotor’s weight, drains moved to the new lowest point.'
        : 'Shaft up: a slinger or seal, so that what runs down the shaft stays ' +
            'out of the bearing; drains moved to the new lowest point.',
      { fields: ['place.mounting'], source: commonPractice(`Mounting ${mountingCode[mounting]} (IEC 60034-7)`) },
    );
  else if (mounting !== undefined && mounting !== 'floor')
    w.fact('place.mounting', 'Mounting', `${mountingCode[mounting]}: say so when ordering`, mountingSource, {
      fields: ['place.mounting'],
    });
  if (place?.driveHousing === 'cabinet')
    w.finding(
      'place.cabinet',
      'note',
      'A drive in a cabinet heats it: about 3 % of its power stays inside. The ambient at the drive is ' +
        'the cabinet’s own, not the room’s; enter what it will be, filters clogged.',
      { fields: ['place.driveHousing', 'place.driveAmbient'] },
    );
  if (place?.driveLocation === 'outdoor')
    w.finding(
      'place.drive-outdoor',
      'caution',
      'A drive outdoors needs an outdoor enclosure, cooling in summer and heat in winter.',
      { fields: ['place.driveLocation'] },
    );
}

const mountingSource = remembered('standard', 'IEC 60034-7', '2020', 'IM codes');
const mountingCode = {
  floor: 'IM B3 (F-1, F-2)',
  wall: 'IM B6 or B7 (W-1 to W-8)',
  ceiling: 'IM B8 (C-1, C-2)',
  'shaft-up': 'IM V6 or V3',
  'shaft-down': 'IM V5 or V1',
  flange: 'IM B5 or B14 (D or C flange)',
} as const;

/** Torque at the voltage that is there, for the motor on the plate or the standard voltage nearest the supply. */
function voltageHere({ input, practice, w }: Walk): void {
  const supply = input.supply?.voltage;
  if (!supply) return;
  const plate = w.figures.has('plate.connectedVoltage');
  const nearest = practice.motorVoltages.reduce((a, b) =>
    Math.abs(supply.value / b - 1) < Math.abs(supply.value / a - 1) ? b : a,
  );
  w.figure('place.torqueHere', torqueAtVoltage, {
    U_s: field('supply.voltage', supply.value, supply.text),
    U: plate
      ? 'plate.connectedVoltage'
      : assumed('plate.voltage', q(nearest, 'V'), 'no plate: the standard motor voltage nearest the supply'),
  });
}

function heatAndHeight({ w }: Walk, ambient: number, drive: number, altitude: number, d: number): void {
  if (ambient > 40) {
    w.finding(
      'place.hot',
      'caution',
      `${writeQuantity(ambient, 'degC')} at the motor: above the 40 °C it is designed for, so ` +
        `${percent(1 - d)} of the rating is lost to heat and height. Heat is what kills motors.`,
      { fields: ['place.ambient'], figures: ['place.motorDerating'] },
    );
  }
  if (drive > 50 || ambient > 60) {
    w.finding(
      'place.beyond',
      'caution',
      `Beyond 50 °C at a drive or 60 °C at a motor the sums here no longer hold: move it, cool it, or ask the maker.`,
      {
        fields: [drive > 50 ? 'place.driveAmbient' : 'place.ambient'],
      },
    );
  }
  if (altitude > 1000) {
    if (altitude > 4000)
      w.finding('place.beyond', 'caution', 'Above 4000 m the sums here no longer hold: ask the maker.', {
        fields: ['place.altitude'],
      });
    const more = altitude > 2000 ? ' Above 2000 m ask for the insulation and the supply’s earthing as well.' : '';
    w.finding('place.high', 'caution', `${writeQuantity(altitude, 'm')} above sea level: thin air cools less.${more}`, {
      fields: ['place.altitude'],
      figures: ['place.motorDerating', 'place.driveDerating'],
    });
  }
}

function oldEnclosure({ input, practice, w }: Walk, suitable: readonly string[]): void {
  const text = input.plate && enclosureText(input.plate);
  const kind = input.plate && enclosureOf(input.plate, practice);
  if (text === undefined) return;
  if (kind === undefined || suitable.includes(kind)) return;
  w.finding(
    'place.enclosure',
    'caution',
    `The plate says ${text} (${kind}); this place wants ${suitable[0]} or better. ` +
      `A replacement of the same kind would fail the same way.`,
    {
      fields: ['plate.enclosure', 'place.dirt', 'place.water'],
      source: commonPractice('Enclosure by dirt, water and corrosion'),
    },
  );
}

export function placeKey({ input }: Walk): string {
  const place = input.place;
  if (!place) return 'not described';
  if (place.hazardous) return 'hazardous';
  const words = [place.ambient ? writeQuantity(place.ambient.value, 'degC', 'si') : undefined, place.dirt, place.water];
  return words.filter(Boolean).join(', ') || 'partly described';
}
