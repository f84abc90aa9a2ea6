import { remembered } from '../contract';

export const protectionSource = remembered('standard', 'IEC 60034-5', '2020', 'Tables 1 and 2');
export const coolingSource = remembered('standard', 'IEC 60034-6', '1991', 'simplified IC codes');
export const mountingSource = remembered('standard', 'IEC 60034-7', '2020', 'Codes I and II');
export const enclosureWordsSource = remembered('standard', 'NEMA MG 1', '2016', '1.25 to 1.27');

const solids = [
  'no protection',
  'objects over 50 mm',
  'objects over 12 mm',
  'objects over 2.5 mm',
  'objects over 1 mm',
  'dust, in harmful amount',
  'dust-tight',
];
const waters = [
  'no protection',
  'dripping',
  'dripping, tilted to 15°',
  'spraying',
  'splashing',
  'jets',
  'heavy seas, strong jets',
  'immersion',
  'continuous immersion',
  'high-pressure hot jets',
];

/** "IP55" in words; undefined where no IP code stands in the text. */
export function readProtection(text: string): { readonly code: string; readonly words: string } | undefined {
  const match = /IP\s*-?(\d)(\d)/i.exec(text);
  const solid = solids[Number(match?.[1])];
  const water = waters[Number(match?.[2])];
  if (!match || solid === undefined || water === undefined) return undefined;
  return { code: `IP${match[1]}${match[2]}`, words: `against ${solid}; water: ${water}` };
}

const coolings: Readonly<Record<string, string>> = {
  '01': 'open, own fan on the shaft',
  '0A1': 'open, own fan on the shaft',
  '400': 'cooled by its surface alone, no fan',
  '410': 'cooled by its surface alone, no fan',
  '411': 'enclosed, fan on the shaft',
  '416': 'enclosed, blower of its own: any speed',
  '418': 'enclosed, cooled by the air stream it stands in',
  '511': 'enclosed, air-to-air exchanger, fan on the shaft',
  '611': 'enclosed, air-to-air exchanger mounted on top',
  '81W': 'enclosed, air-to-water exchanger',
  '71W': 'water jacket',
};

/** "IC411" in words. */
export function readCooling(text: string): { readonly code: string; readonly words: string } | undefined {
  const code = /IC\s*-?(\w{2,4})/i.exec(text)?.[1]?.toUpperCase();
  const words = code === undefined ? undefined : coolings[code];
  return code === undefined || words === undefined ? undefined : { code: `IC${code}`, words };
}

const enclosures: readonly (readonly [RegExp, string])[] = [
  [/TEBC|TOTALLY ENCLOSED[- ]BLOWER/, 'totally enclosed, blower of its own: any speed'],
  [/TEFC|TOTALLY ENCLOSED[- ,]*FAN/, 'totally enclosed, fan on the shaft: slow shaft, little air'],
  [/TENV/, 'totally enclosed, no fan: heat leaves by the skin'],
  [/TEAO/, 'totally enclosed, cooled by the driven fan’s air stream'],
  [/ODP|OPEN|DRIP|^DP$/, 'open, cooling air goes through it: clean and dry places'],
  [/WP-?II\b/, 'weather-protected, type II'],
  [/WP-?I\b/, 'weather-protected, type I'],
  [/WASH/, 'for wash-down'],
];

/** North-American enclosure words spelled out. */
export const readEnclosure = (text: string): string | undefined =>
  enclosures.find(([of]) => of.test(text.toUpperCase()))?.[1];

const mountings: Readonly<Record<string, string>> = {
  B3: 'feet, shaft horizontal',
  B5: 'flange with through holes, no feet, horizontal',
  B14: 'face with tapped holes, no feet, horizontal',
  B35: 'feet and flange, horizontal',
  B34: 'feet and face, horizontal',
  B6: 'feet on the wall, seen from the shaft on the left',
  B7: 'feet on the wall, seen from the shaft on the right',
  B8: 'feet on the ceiling',
  V1: 'flange, shaft down',
  V3: 'flange, shaft up',
  V5: 'feet on the wall, shaft down',
  V6: 'feet on the wall, shaft up',
  V18: 'face, shaft down',
  V19: 'face, shaft up',
  1001: 'feet, shaft horizontal',
  2001: 'feet and flange, horizontal',
  2101: 'feet and face, horizontal',
  3001: 'flange with through holes, no feet, horizontal',
  3011: 'flange, shaft down',
  3031: 'flange, shaft up',
  3601: 'face with tapped holes, no feet, horizontal',
  1011: 'feet on the wall, shaft down',
  1031: 'feet on the wall, shaft up',
  F1: 'feet, box on the left seen from the shaft',
  F2: 'feet, box on the right seen from the shaft',
  F3: 'feet, box on top',
  W2: 'feet on the wall, shaft to the right',
};

/** An IM code or a North-American assembly position in words. */
export function readMounting(text: string): string | undefined {
  const code = /(?:IM\s*)?\b(B\s?\d{1,2}|V\s?\d{1,2}|\d{4}|F-?[123]|W-?2)\b/i.exec(text)?.[1];
  return code === undefined ? undefined : mountings[code.toUpperCase().replace(/[\s-]/g, '')];
}
