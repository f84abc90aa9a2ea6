import { assumed, commonPractice, field, type Given } from '../law';
import { driveDeratingByCurrent, driveDeratingByTemperature, motorDerating, unbalanceDerating } from '../practice';
import { q, writeQuantity } from '../quantity';
import { percent, type PlaceNeeds, type Walk } from './walk';

/** Heat, height, dirt and water: what is left of motor and drive, and which enclosures will do. */
export function surveyPlace(walk: Walk): PlaceNeeds {
  const { input, practice, rules, w } = walk;
  w.enter('place');
  const place = input.place;
  if (place?.hazardous === true) {
    w.finding(
      'place.hazardous',
      'stop',
      'Explosive gas, vapour or dust: no motor or drive of this catalogue will do. The area classification and the certified motor and drive arrangement come from a competent person. Pilgrim stops here.',
      { fields: ['place.hazardous'] },
    );
  }
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
  const enclosures = practice.enclosures({
    dirt: place?.dirt ?? 'clean',
    water: place?.water ?? 'dry',
    corrosive: place?.corrosive ?? false,
  });
  for (const [path, given] of [
    ['place.dirt', place?.dirt],
    ['place.water', place?.water],
  ] as const) {
    if (given === undefined) w.want(path);
  }
  oldEnclosure(walk, enclosures.value);
  return {
    motorDerating: d,
    unbalanceDerating: dU,
    altitude: altitude.value ?? 0,
    driveDerating: dDrive,
    enclosures: enclosures.value,
    cable: place?.cable?.length?.value,
  };
}

function heatAndHeight({ w }: Walk, ambient: number, drive: number, altitude: number, d: number): void {
  if (ambient > 40) {
    w.finding(
      'place.hot',
      'caution',
      `${writeQuantity(ambient, 'degC')} at the motor: above the 40 °C it is designed for, so ${percent(1 - d)} of the rating is lost to heat and height. Heat is what kills motors.`,
      { fields: ['place.ambient'], figures: ['place.motorDerating'] },
    );
  }
  if (drive > 50 || ambient > 60) {
    w.finding(
      'place.hot',
      'caution',
      `Beyond 50 °C at a drive or 60 °C at a motor the sums here no longer hold: move it, cool it, or ask the maker.`,
      {
        fields: [drive > 50 ? 'place.driveAmbient' : 'place.ambient'],
      },
    );
  }
  if (altitude > 1000) {
    const more =
      altitude > 4000
        ? ' Above 4000 m the sums here no longer hold: ask the maker.'
        : altitude > 2000
          ? ' Above 2000 m ask for the insulation and the supply’s earthing as well.'
          : '';
    w.finding('place.high', 'caution', `${writeQuantity(altitude, 'm')} above sea level: thin air cools less.${more}`, {
      fields: ['place.altitude'],
      figures: ['place.motorDerating', 'place.driveDerating'],
    });
  }
}

function oldEnclosure({ input, practice, w }: Walk, suitable: readonly string[]): void {
  const text = input.plate?.enclosure;
  if (!text) return;
  const kind = practice.enclosureClass(text);
  if (kind === undefined || suitable.includes(kind)) return;
  w.finding(
    'place.enclosure',
    'caution',
    `The plate says ${text} (${kind}); this place wants ${suitable[0]} or better. A replacement of the same kind would fail the same way.`,
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
