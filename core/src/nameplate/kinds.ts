import type { Case, Plate } from '../case';
import { commonPractice, type Level } from '../contract';

/** What a plate says of its motor that an ordinary one is not or has not. */
export const specialKinds = [
  'submersible',
  'smoke-extract',
  'torque-motor',
  'other-machine',
  'brake',
  'geared',
  'two-speed',
  'high-slip',
  'hollow-shaft',
  'marine',
  'railway',
  'encoder',
  'forced-cooling',
  'sensors',
  'heater',
] as const;
export type SpecialKind = (typeof specialKinds)[number];

interface Row {
  /** A stop is referred; a caution is open until a requirement is met, bought or waived; a note is bought and told. */
  readonly level: Level;
  readonly words: readonly RegExp[];
  /** The motor in words, and what to ask or do. */
  readonly is: string;
  readonly ask: string;
}

/** One table of words to what they ask. Whole words; "without brake" is none. */
const table: Readonly<Record<SpecialKind, Row>> = {
  submersible: {
    level: 'stop',
    words: [/\bsubmers\w*/giu, /\bcanned\b/giu, /\b(?:water|oil)[\s-]?filled\b/giu, /\bborehole\b/giu],
    is: 'a submersible motor',
    ask:
      'It lives in the water it pumps, is cooled by it, and its thrust bearing wants full speed in three to four ' +
      'seconds. Size, cable, filter and start come from its maker: ask for pump and motor as one.',
  },
  'smoke-extract': {
    level: 'stop',
    words: [
      /\bsmoke[\s-]*(?:extract\w*|exhaust|ventilat\w*|spill|control|and heat)\b/giu,
      /\b[FH][\s-]?(?:200|250|300|400|600|842)\b(?=[\s,;/-]*(?:\d+\s*(?:min|h)\b|°|$|[),;]))/gu,
    ],
    is: 'a motor for smoke extraction',
    ask: 'Its class of heat and minutes is a certificate: motor and feed come from who answers for fire safety.',
  },
  'torque-motor': {
    level: 'stop',
    words: [/\btorque[\s-]motor\b/giu],
    is: 'a torque motor',
    ask: 'It is made to pull at standstill, which no ordinary motor bears: ask its maker.',
  },
  'other-machine': {
    level: 'stop',
    words: [
      /\bpermanent[\s-]magnet\b/giu,
      /\bbrushless\b/giu,
      /\bwound[\s-]rotor\b/giu,
      /\bslip[\s-]?rings?\b/giu,
      /(?<![a-z-])synchronous[\s-](?:motor|machine|reluctance)\b/giu,
      /\breluctance[\s-](?:motor|machine)\b/giu,
      /\bdirect[\s-]current\s+motor\b/giu,
      /\bsingle[\s-]phase\s+motor\b/giu,
    ],
    is: 'no three-phase cage motor',
    ask: 'Such a machine is chosen with its maker or a specialist.',
  },
  brake: {
    level: 'caution',
    words: [/\bbrake(?:[\s-]?motors?|s)?\b(?![\s-]*(?:horse|hp|power))/giu, /\bbrakemotor\b/giu],
    is: 'a motor with a brake',
    ask: 'Is the brake needed, of what torque and voltage? Say under Load where it is: motor, machine or none.',
  },
  geared: {
    level: 'caution',
    words: [
      /\bgear(?:ed)?[\s-]?motors?\b/giu,
      /\bgearmotors?\b/giu,
      /\bi\s?=\s?\d+(?:[.,]\d+)?/giu,
      /\boutput\s+(?:speed|r\/min|rpm)\b/giu,
    ],
    is: 'a geared motor',
    ask: 'Torque, ratio and mounting are the gear’s. Take the same unit, or a motor that the gear accepts.',
  },
  'two-speed': {
    level: 'caution',
    words: [/\b(?:two|2|three|3|multi)[\s-]speeds?\b/giu, /\bpole[\s-]?chang\w+/giu, /\btapped winding\b/giu],
    is: 'a two-speed motor',
    ask: 'Both speeds stand until somebody says the lower is not used: a motor of two speeds, or a drive.',
  },
  'high-slip': {
    level: 'caution',
    words: [/\bhigh[\s-]?slip\b/giu],
    is: 'a high-slip motor',
    ask: 'Its flywheel lives from the slip: an ordinary motor takes the peaks itself. Ask for design D.',
  },
  'hollow-shaft': {
    level: 'caution',
    words: [/\bhollow[\s-]?shaft\b/giu, /\bVHS\b/gu, /\bP[\s-]base\b/giu],
    is: 'a vertical hollow-shaft motor',
    ask: 'The pump’s shaft passes through it and hangs on its thrust bearing: no motor with feet takes its place.',
  },
  marine: {
    level: 'caution',
    words: [/\bmarine\b/giu],
    is: 'a marine motor',
    ask: 'A classification society’s certificate goes with it: ask which.',
  },
  railway: {
    level: 'caution',
    words: [/\brailway\b/giu, /\btraction\b/giu, /\brolling[\s-]stock\b/giu],
    is: 'a railway motor',
    ask: 'It is certified for its vehicle: ask the operator.',
  },
  encoder: {
    level: 'note',
    words: [
      /\bencoder\b/giu,
      /\bresolver\b/giu,
      /\btacho\w*/giu,
      /\bpulses?\s*(?:\/|per)\s*(?:turn|rev\w*)/giu,
      /\bPPR\b/gu,
    ],
    is: 'a motor with an encoder',
    ask: 'Something reads its speed: the new motor is bought with one of the same kind.',
  },
  'forced-cooling': {
    level: 'note',
    words: [
      /\bIC\s?416\b/giu,
      /\bTEBC\b/giu,
      /\bforced[\s-](?:cool\w*|ventilat\w*|air)\b/giu,
      /\bseparate(?:ly)?[\s-](?:cool\w*|ventilat\w*|fan)\b/giu,
      /\bblower[\s-](?:cooled|ventilated)\b/giu,
    ],
    is: 'a motor with a blower of its own',
    ask: 'It was cooled whatever its speed: the new one is bought so.',
  },
  sensors: {
    level: 'note',
    words: [
      /\bPTC\b/giu,
      /\bPT\s?-?100(?:0)?\b/giu,
      /\bthermist\w+/giu,
      /\bthermostats?\b/giu,
      /\bRTDs?\b/gu,
      /\bKTY\b/gu,
      /\bbi-?metal\w*/giu,
    ],
    is: 'a motor with winding sensors',
    ask: 'Ordered with them again, of the kind that its relay or drive reads.',
  },
  heater: {
    level: 'note',
    words: [/\b(?:space|anti[\s-]?condensation)[\s-]heaters?\b/giu, /\bheaters?\b/giu],
    is: 'a motor with a space heater',
    ask: 'Ordered with one again, and its feed kept.',
  },
};

const denied = /\b(?:not?|non|without|w\/o|never|except)[\s-]+(?:an?[\s-]+|any[\s-]+)?$/iu;
const undone = /^\s*[:=-]?\s*(?:none|no|n\/a|not fitted)\b/iu;

/** Fields of a plate that may say what kind of motor it is. */
const fields = [
  'kind', 'enclosure', 'remarks', 'model', 'cooling', 'frame', 'mounting', 'protection', 'thermalProtection', 'duty',
  'text',
] as const; // prettier-ignore

/** A special kind, with the words by which the plate says it. */
export interface KindFound {
  readonly kind: SpecialKind;
  readonly level: Level;
  readonly words: string;
  /** Field of the plate, without the leading "plate.". */
  readonly field: string;
  readonly is: string;
  readonly ask: string;
}

/** Every special kind that a plate speaks of, worst first; empty for a plain motor. */
export function kindsOf(plate: Plate & { readonly text?: string }): KindFound[] {
  const found = new Map<SpecialKind, KindFound>();
  for (const kind of specialKinds) {
    const { level, words, is, ask } = table[kind];
    const hit = fields.flatMap((field) => {
      const text = plate[field];
      const first = text === undefined ? undefined : firstOf(words, text);
      return first === undefined ? [] : [{ field, first }];
    })[0];
    if (hit) found.set(kind, { kind, level, words: hit.first, field: hit.field, is, ask });
  }
  const also = (kind: SpecialKind, field: string, words: string): void => {
    if (!found.has(kind))
      found.set(kind, { kind, words, field, level: table[kind].level, is: table[kind].is, ask: table[kind].ask });
  };
  if (/^D$/i.test(plate.designLetter ?? '')) also('high-slip', 'designLetter', `design ${plate.designLetter}`);
  const speeds = plate.speed?.groups.flat() ?? [];
  if (speeds.length > 1 && plate.speed?.groups.length !== plate.voltage?.groups.length)
    also('two-speed', 'speed', plate.speed?.text ?? '');
  return [...found.values()];
}

function firstOf(words: readonly RegExp[], text: string): string | undefined {
  for (const word of words)
    for (const hit of text.matchAll(word)) {
      const end = hit.index + hit[0].length;
      if (!denied.test(text.slice(0, hit.index)) && !undone.test(text.slice(end))) return hit[0].trim();
    }
  return undefined;
}

export const kindSource = commonPractice('What a plate says in words about its motor is asked of the next one');

/** Said in any wording, the winding was thought of for a drive; "ready" or "capable" alone is a seller's word. */
const madeForDrives =
  /\b(?:inverter|vfd|vsd|converter|vector|frequency converter)[\s-]*(?:duty|rated|grade)\b|\b(?:inverter|vfd|vsd|vector)[\s-]*(?:ready|capable|suitable|compatible)\b.{0,40}\b(?:part\s*31|MG\s?1|60034-25|60034-18-4[12]|IVIC)\b|\b(?:part\s*31|IVIC\s?[CD])\b/iu;

/** Whether a plate's words say that its winding was made for a drive's pulses. A turndown is never read from them. */
export const saysInverterDuty = (plate: Plate & { readonly text?: string }): boolean =>
  fields.some((field) => {
    const text = plate[field] ?? '';
    const hit = madeForDrives.exec(text);
    return hit !== null && !denied.test(text.slice(0, hit.index));
  });

/** Words of places where explosive air is common, though nobody says so (common practice). */
const dusty =
  /\b(?:fuel|petrol|gasoline|diesel|solvents?|paint|lacquer|varnish|spray booth|hydrogen|ammonia|sewage|digester|biogas|flour|grain|barley|malt|wheat|maize|corn|oats|rice|hops|sugar|starch|coal|wood|sawdust|aluminium powder|metal dust|magnesium|powder coat\w*|alcohol|ethanol|methanol|silo)\b/iu;
const dustyMachines: ReadonlySet<string> = new Set(['bucket-elevator', 'screw-conveyor', 'mill']);

/** What of a case speaks of air that may explode; undefined where nothing does. */
export function hazardWords({
  name,
  plate,
  load,
  place,
}: Case): { readonly words: string; readonly field: string } | undefined {
  const texts: readonly (readonly [field: string, text: string | undefined])[] = [
    ['name', name],
    ['plate.remarks', plate?.remarks],
    ['plate.text', plate && 'text' in plate && typeof plate.text === 'string' ? plate.text : undefined],
  ];
  for (const [field, text] of texts) {
    const hit = text === undefined ? null : dusty.exec(text);
    if (hit && !denied.test((text ?? '').slice(0, hit.index))) return { words: hit[0], field };
  }
  const machine = load?.machine;
  if (machine !== undefined && dustyMachines.has(machine) && place?.dirt !== undefined && place.dirt !== 'clean')
    return { words: `${machine.replace('-', ' ')} in dust`, field: 'load.machine' };
  return undefined;
}

export const hazardWordsSource = commonPractice(
  'Fuel, solvent, gas and organic or metal dust make explosive air where nobody says so: asked first',
);
