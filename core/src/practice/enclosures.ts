export interface PlaceNeeds {
  readonly dirt: 'clean' | 'dusty' | 'dirty';
  readonly water: 'dry' | 'drips' | 'splash' | 'washdown' | 'outdoor';
  readonly corrosive: boolean;
  /** Touches food: smooth, sealed, washed. */
  readonly food: boolean;
  /** How the motor hangs; an open motor keeps drips out only standing on its feet. */
  readonly mounting: 'floor' | 'wall' | 'ceiling' | 'shaft-up' | 'shaft-down' | 'flange';
}

/** An enclosure class in the words and codes of both traditions. */
export interface EnclosureWords {
  readonly kind: string;
  readonly words: string;
  readonly protection: string;
  readonly cooling: string;
  readonly construction: string;
}

export const enclosureWords: readonly EnclosureWords[] = [
  {
    kind: 'open',
    words: 'open drip-proof (ODP)',
    protection: 'IP22, IP23',
    cooling: 'IC01',
    construction: 'rolled steel to about 2 hp, cast iron or steel above',
  },
  {
    kind: 'enclosed',
    words: 'totally enclosed fan-cooled (TEFC); blower-cooled TEBC, no fan TENV',
    protection: 'IP54, IP55',
    cooling: 'IC411; IC416, IC410',
    construction: 'rolled steel or aluminium when small, cast iron above',
  },
  {
    kind: 'severe-duty',
    words: 'severe or chemical duty',
    protection: 'IP55, IP56',
    cooling: 'IC411',
    construction: 'cast iron, epoxy, sealed joints',
  },
  {
    kind: 'washdown',
    words: 'washdown',
    protection: 'IP66, IP69',
    cooling: 'IC411, IC410',
    construction: 'stainless or epoxy, sealed throughout',
  },
];

/**
 * Enclosure classes that will do, cheapest first. Both traditions sort places alike; only their words and codes
 * differ.
 */
export function suitableEnclosures({ dirt, water, corrosive, food, mounting }: PlaceNeeds): readonly string[] {
  if (water === 'washdown' || food) return ['washdown'];
  if (corrosive) return ['severe-duty', 'washdown'];
  const hangs = mounting !== 'floor' && water !== 'dry';
  if (dirt === 'clean' && !hangs && (water === 'dry' || water === 'drips'))
    return ['open', 'enclosed', 'severe-duty', 'washdown'];
  return ['enclosed', 'severe-duty', 'washdown'];
}

/** Why an enclosure class will not do in a place; undefined where it will. */
export function enclosureFault(kind: string, place: PlaceNeeds): string | undefined {
  if (suitableEnclosures(place).includes(kind)) return undefined;
  if (place.food) return 'food: it must be smooth, sealed and washed';
  if (place.water === 'washdown') return 'washed down: water jets get in';
  if (place.corrosive) return 'corrosion: paint, joints and hardware give way';
  if (place.water === 'splash' || place.water === 'outdoor') return 'water goes through its openings';
  if (place.dirt !== 'clean') return 'dirt is drawn through the winding';
  return 'hung this way drips fall into its openings';
}

/** Enclosure class of an IP code: solids and water by its two digits. */
export function classOfProtection(text: string): string | undefined {
  const ip = /IP\s*-?(\d)(\d)/i.exec(text);
  if (!ip) return undefined;
  const [solid, water] = [Number(ip[1]), Number(ip[2])];
  if (solid >= 5 && water >= 6) return 'washdown';
  return solid >= 4 && water >= 4 ? 'enclosed' : 'open';
}
