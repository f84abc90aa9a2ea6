import type { Candidate, GuardView, OpenEntry } from '../case';
import { rotates, type Machine } from '../contract';
import { shaftStage, type Walk } from '../needs';
import { usualImpedance } from '../practice';

/** What of the open list keeps sheet and papers from ready, as long as nobody answered it. */
const sheetFields: ReadonlySet<string> = new Set([
  'place.hazardous',
  'place.hazardousBy',
  'supply.source',
  'supply.upstream',
  'place.ambient',
  'supply.earthing',
  'load.rotation',
  'load.brake',
]);

/** Fields of the open list that keep the sheet from ready. */
export const sheetAsks = (open: readonly OpenEntry[]): readonly string[] =>
  open.map((entry) => entry.field).filter((field) => sheetFields.has(field));

/** More than this is no list that anybody answers. */
const most = 12;

/**
 * What is unsaid and would decide, most important first: whether the place is explosive, what is driven, conditions of
 * the choice with their limits, then what the papers rest on. Every field is a path of the case.
 */
export function openOf(
  { input, practice, w }: Walk,
  {
    first,
    drive,
    plateLoad,
    guard,
  }: {
    readonly first: Candidate | undefined;
    readonly drive: boolean;
    readonly plateLoad: boolean;
    readonly guard: GuardView | null;
  },
): OpenEntry[] {
  const { place, supply, load } = input;
  const machine: Machine | undefined = load?.machine;
  const list: OpenEntry[] = [];
  const ask = (field: string, who: OpenEntry['who'], text: string, limit?: string): void => {
    if (!list.some((entry) => entry.field === field))
      list.push({ field, text, who, ...(limit === undefined ? {} : { limit }) });
  };
  if (!load && !input.plate && !supply && !place && !input.speed) return list;
  if (place?.hazardous === undefined)
    ask(
      'place.hazardous',
      'site',
      'Is the place free of explosive gas, vapour and dust? A person says so, not an empty box.',
    );
  else if (!place.hazardous && w.findings.some((f) => f.id === 'place.hazard-words') && place.hazardousBy === undefined)
    ask('place.hazardousBy', 'site', 'Who said that no explosive dust, gas or vapour occurs: a name or a role.');
  if (machine === undefined)
    ask('load.machine', 'site', 'What does it drive? Start, brake, stop and guard follow from it.');
  if (supply?.voltage === undefined)
    ask('supply.voltage', 'power', 'The supply’s voltage decides winding, current, protection and pulses.');
  if (plateLoad)
    ask('load.demand', 'site', 'The load: one clamp reading at the running machine says more than the plate.');
  for (const { condition, waived } of first?.verdicts ?? [])
    if (condition && waived === null) ask(condition.field, whoKnows(condition.field), condition.text, condition.limit);
  if (input.plate && input.plate.power === undefined && !plateLoad && load)
    ask('plate.power', 'site', 'What the old motor was rated for: it tells whether this load was too much for it.');
  if (machine === 'hoist' && (load?.brake === undefined || load.brake === 'none'))
    ask('load.brake', 'site', 'What holds the load when the motor has no torque: the motor’s brake, or the machine’s?');
  if (supply?.source === undefined)
    ask(
      'supply.source',
      'power',
      `What feeds it: transformer (kVA, impedance; ${percentText(usualImpedance)} is usual), set, or fault level.`,
    );
  else if (supply.source.kind === 'stiff')
    ask('supply.source', 'power', 'Called stiff: its fault level is needed for breaking capacity and disconnection.');
  if (place?.ambient === undefined)
    ask('place.ambient', 'site', 'How hot does it get where the motor stands? 40 °C is taken.');
  if (drive && (supply?.earthing === undefined || supply.earthing === 'unknown'))
    ask('supply.earthing', 'power', 'How the supply is earthed decides a drive’s filter and insulation.');
  if (rotates(machine) && load?.rotation === undefined)
    ask(
      'load.rotation',
      'site',
      'Which way must it turn, seen from the motor’s drive end?' +
        (/pump|fan|blower/.test(machine ?? '') ? ' A pump or fan turned wrong still delivers a little.' : ''),
    );
  if (place?.dirt === undefined) ask('place.dirt', 'site', 'How dirty it is where it stands decides the enclosure.');
  if (place?.water === undefined) ask('place.water', 'site', 'What water reaches it decides the enclosure.');
  if (place?.altitude === undefined)
    ask('place.altitude', 'site', 'How high above the sea it stands: thin air cools less. 1000 m at most is taken.');
  const { train } = load ?? {};
  if (load && train?.stages === undefined && train?.kind === undefined)
    ask(
      'load.train.kind',
      'site',
      `How is it coupled? ${coupled[shaftStage(train).kind]} is taken: shaft, bearing and losses follow from it.`,
    );
  if (place?.cable?.length === undefined)
    ask('place.cable.length', 'site', 'How long is the motor’s cable? Drop, disconnection and pulses rest on it.');
  const asked = letThroughAsked(guard);
  if (asked) ask('guard.letThrough', 'maker', asked.text);
  if (input.plate && input.plate.frame === undefined && input.motor?.existing !== true)
    ask('plate.frame', 'site', 'Its frame, with all letters: feet, face and shaft that the new one must fit.');
  if (input.plate?.speed && input.plate.frequency === undefined && supply?.frequency === undefined)
    ask('plate.frequency', 'site', `At which frequency the plate’s speed holds: ${practice.frequency} Hz is taken.`);
  if (supply?.frequency === undefined && supply !== undefined)
    ask('supply.frequency', 'power', `The supply’s frequency: ${practice.frequency} Hz is taken.`);
  return list.slice(0, most);
}

/** Where only the device's maker knows whether the cable bears a fault. */
export const letThroughAsked = (guard: GuardView | null): GuardView['crossings'][number] | undefined =>
  guard?.crossings.find((c) => c.id === 'protects-cable' && c.outcome === 'condition');

const coupled = { direct: 'A direct coupling', belt: 'A belt', chain: 'A chain', gearbox: 'A gearbox' } as const;

const percentText = (share: number): string => `${(share * 100).toFixed(1)} %`;

const whoKnows = (field: string): OpenEntry['who'] =>
  field.startsWith('supply.') ? 'power' : /^(plate|motor|start\.stallTime|history)\b/.test(field) ? 'maker' : 'site';
