import { connectionMarks, groupsOf, number, plainGroups, plainNumber, plainShare, rating } from './numbers';

/** A value found for a field of the plate: dotted path without "plate.". */
export interface Found {
  readonly field: string;
  readonly value: string | number;
}

/**
 * One way a field is written: a pattern that starts at a word, and what it says. Undefined or empty: not this after
 * all.
 */
export interface Rule {
  readonly pattern: RegExp;
  readonly read: (m: RegExpExecArray) => readonly Found[];
  /** The value runs on, word by word, until another rule begins or the line ends. */
  readonly runsOn?: true;
}

const sep = String.raw`\s*[:=.|]?\s*`;
const end = String.raw`(?![A-Za-zÀ-ž0-9])`;
/** A rule at a word: case does not matter. */
const at = (source: string): RegExp => new RegExp(source, 'iuy');
const one = (field: string, value: string | number): readonly Found[] => [{ field, value }];

const simple = (pattern: string, field: string, of: (text: string) => string | number): Rule => ({
  pattern: at(pattern),
  read: (m) => one(field, of((m[1] ?? m[2] ?? '').trim())),
});

const text = (s: string): string => s;
const upper = (s: string): string => s.toUpperCase();

const volts = String.raw`${groupsOf(String.raw`V(?:OLTS?|AC)?(?:${end}|(?=${connectionMarks}))`, connectionMarks)}(?:\s*${connectionMarks}\s*[-/]\s*${connectionMarks})?`;
const ampsUnit = String.raw`A(?:MPS?\.?|MPERES?)?${end}`;
const ampsGroups = groupsOf(ampsUnit);
const speedUnit = String.raw`(?:R\.?P\.?M\.?|r/min|rev/min|min[-⁻]?[1¹]|min⁻¹|1/min|U/min|tr/min|/min)`;
const speedGroups = String.raw`${numberLong()}(?:\s*[-–/]\s*${numberLong()})*`;
function numberLong(): string {
  return String.raw`\d{1,2},\d{3}|\d{2,5}(?:[.,]\d)?`.replace(/^/, '(?:').concat(')');
}

/** Voltage with the marks of its connection, which are kept as words of their own. */
function voltage(m: RegExpExecArray): readonly Found[] {
  const stamped = m[1] ?? '';
  const marks = stamped.match(new RegExp(connectionMarks, 'giu'));
  const found: Found[] = [{ field: 'voltage', value: `${plainGroups(stamped)} V` }];
  return marks ? [...found, { field: 'connection', value: marks.join('/') }] : found;
}

function power(value: string, unit: string): readonly Found[] {
  const spelled = /hp|h\.p/i.test(unit) ? 'hp' : /kw/i.test(unit) ? 'kW' : 'W';
  return one(
    'power',
    `${value
      .replace(/(\d),(\d)/g, '$1.$2')
      .replace(/\s*([/–-])\s*(?=\d)/g, '$1')
      .trim()} ${spelled}`,
  );
}

const powerUnit = String.raw`(?:H\.?P\.?|K\.?W\.?|W)${end}`;
const powerGroups = String.raw`${rating}(?:\s*/\s*${number})*`;
const enclosureWords = String.raw`(?:TEFC|TENV|TEBC|TEAO|TEAAC|ODP|DP|DRIP[- ]?PROOF|OPEN(?:\s+DRIP[- ]?PROOF)?|WP-?I{1,2}|TOTALLY[- ]ENCLOSED(?:[ ,-]*(?:FAN|BLOWER|NON|AIR)[- ]*(?:COOLED|VENTILATED|OVER))?|SEVERE[- ]DUTY|WASH[- ]?DOWN)`;
const enclosureList = String.raw`${enclosureWords}(?:[-/ ]+(?:XT|XP|SEVERE[- ]DUTY|WASH[- ]?DOWN))?`;
const share = String.raw`(${number})\s*%?`;
const bearing = String.raw`[A-Z]{0,3}\s?\d{3,5}(?:[-.][A-Z0-9]+)*(?:[/ ](?:C[2-5]|ZZ?|2RS\d?|2Z|VV)(?![A-Z0-9]))*`;
const temperature = String.raw`[-+−]?\d{1,3}\s*(?:°\s*|DEG\.?\s*)?[CF]?${end}`;
const dutyWords = String.raw`(?:CONT(?:INUOUS|IN)?\.?|S(?:10|[1-9])(?:\s*-?\s*\d+\s*(?:MIN\.?|%))*|\d+\s*(?:MIN(?:UTES?)?\.?|HRS?|HOURS?|H))${end}`;
const letterAfter = (letters: string): string => String.raw`(${letters})${end}`;
const loadShare = { three: String.raw`(?:3/4|¾|75\s*%)`, half: String.raw`(?:1/2|½|50\s*%)` };

/** 230 and 460, 400 and 690: two lines of one winding. */
function twoVoltages(low: string, high: string): boolean {
  const [a, b] = [Number(low.split('-').at(-1)), Number(high.split('-').at(-1))];
  return a >= 200 && b <= 700 && [2, Math.sqrt(3)].some((r) => Math.abs(b / a / r - 1) < 0.03);
}

/** "40 C" → "40 degC": plates that say only "40" mean °C. */
function degrees(t: string): string {
  const value = /[-+−]?\d+/.exec(t)?.[0]?.replace('−', '-').replace('+', '') ?? '';
  return `${value} deg${/F/i.test(t) ? 'F' : 'C'}`;
}

function bearings(de: string | undefined, ode: string | undefined): readonly Found[] {
  const found: Found[] = [];
  if (de) found.push({ field: 'bearings.driveEnd', value: de.trim() });
  if (ode) found.push({ field: 'bearings.oppositeEnd', value: ode.trim() });
  return found;
}

/** In the order they are tried at a word: longer and more particular first. */
export const rules: readonly Rule[] = [
  // Remarks for hazardous places are kept, never read.
  {
    pattern: at(
      String.raw`(?:CL(?:ASS)?\.?\s+I{1,3}${end}|(?:II\s*[23]\s*[GD]\b)|E?Ex\s+\w|Ex[de]\b|EXPLOSION|ATEX|HAZ(?:ARDOUS)?\.?\s+LOC|DIV(?:ISION)?\.?\s*[12]${end})[^\n;]*`,
    ),
    read: (m) => one('remarks', m[0].trim()),
  },
  {
    pattern: at(
      String.raw`(?:PERMANENT[- ]MAGNET|BRUSHLESS|WOUND[- ]ROTOR|SLIP[- ]?RING|SYNCHRONOUS(?!\s*SPEED)|RELUCTANCE|D\.?C\.?\s+MOTOR|DIRECT[- ]CURRENT|ARMATURE|SHUNT[- ]WOUND|SQUIRREL[- ]CAGE)(?:\s+MOTOR)?`,
    ),
    read: (m) => one('kind', m[0].toLowerCase()),
  },
  {
    pattern: at(
      String.raw`(?:(?:A\.?C\.?|INDUCTION|ASYNCHRONOUS|(?:3|THREE)[- ]?PHASE)\s+)+(?:INDUCTION\s+|ASYNCHRONOUS\s+)?MOTOR${end}`,
    ),
    read: (m) => [...(/3|THREE/i.test(m[0]) ? one('phases', 3) : []), ...one('kind', m[0].toLowerCase())],
  },

  // Usable at another voltage, before voltages themselves.
  {
    pattern: at(
      String.raw`\(?(?:USABLE|SUITABLE|OK)\s*(?:AT|@|FOR|ON)?\s*(\d{3})\s*V(?:OLTS?)?\s*(?:[:,@]|AT)?\s*(?:(${number})\s*A(?:MPS?)?${end})?\)?`,
    ),
    read: (m) => [
      { field: 'usableAt.voltage', value: `${m[1]} V` },
      ...(m[2] ? [{ field: 'usableAt.current', value: `${plainNumber(m[2])} A` }] : []),
    ],
  },

  // Service-factor current, before service factor and current.
  {
    pattern: at(
      String.raw`(?:S\.?F\.?\s*A(?:MPS?)?\.?|SERV(?:ICE)?\.?\s*FACT(?:OR)?\.?\s*A(?:MPS?)?|AMPS?\s*(?:@|AT)\s*S\.?F\.?|MAX\.?\s*AMPS?)${end}${sep}(${ampsGroups})`,
    ),
    read: (m) => one('serviceFactorCurrent', `${plainGroups(m[1] ?? '')} A`),
  },
  simple(String.raw`(?:S\.?F\.?|SERV(?:ICE)?\.?\s*FACT(?:OR)?\.?)${sep}(${number})`, 'serviceFactor', (t) =>
    Number(plainNumber(t)),
  ),
  simple(String.raw`(${number})\s*(?:S\.?F\.?|SERV(?:ICE)?\.?\s*FACTOR)${end}`, 'serviceFactor', (t) =>
    Number(plainNumber(t)),
  ),

  // Efficiencies, the particular before the plain.
  {
    pattern: at(
      String.raw`(?:EFF(?:ICIENCY)?\.?|η|ETA)\s*(?:\(?\s*(?:4/4|100)\s*%?\s*[-/]\s*(?:3/4|75)\s*%?\s*[-/]\s*(?:1/2|50)\s*%?\s*\)?)?${sep}(${number})\s*%?\s*[-/]\s*(${number})\s*%?\s*[-/]\s*(${number})\s*%?`,
    ),
    read: (m) => [
      { field: 'efficiency', value: plainShare(m[1] ?? '') },
      { field: 'efficiencyThreeQuarter', value: plainShare(m[2] ?? '') },
      { field: 'efficiencyHalf', value: plainShare(m[3] ?? '') },
    ],
  },
  simple(
    String.raw`(?:${loadShare.three}\s*(?:LOAD\s*)?EFF(?:ICIENCY)?\.?|EFF(?:ICIENCY)?\.?\s*(?:@|AT)?\s*${loadShare.three}(?:\s*LOAD)?)${sep}${share}`,
    'efficiencyThreeQuarter',
    plainShare,
  ),
  simple(
    String.raw`(?:${loadShare.half}\s*(?:LOAD\s*)?EFF(?:ICIENCY)?\.?|EFF(?:ICIENCY)?\.?\s*(?:@|AT)?\s*${loadShare.half}(?:\s*LOAD)?)${sep}${share}`,
    'efficiencyHalf',
    plainShare,
  ),
  simple(
    String.raw`(?:(?:MIN(?:IMUM)?|GUAR(?:ANTEED)?)\.?\s*EFF(?:ICIENCY)?\.?|EFF(?:ICIENCY)?\.?\s*MIN\.?)${sep}${share}`,
    'efficiencyMinimum',
    plainShare,
  ),
  {
    pattern: at(String.raw`(IE\s?-?[1-5])\s*[-–:(]?\s*(${number})\s*%\)?`),
    read: (m) => [
      { field: 'efficiencyClass', value: upper(m[1] ?? '').replace(/[\s-]/g, '') },
      { field: 'efficiency', value: plainShare(m[2] ?? '') },
    ],
  },
  simple(String.raw`(IE\s?-?[1-5])${end}`, 'efficiencyClass', (t) => upper(t).replace(/[\s-]/g, '')),
  simple(
    String.raw`((?:NEMA\s+)?PREMIUM(?:\s+EFF(?:ICIENCY|ICIENT)?\.?)?|(?:ENERGY|HIGH)[- ]EFFICIEN(?:T|CY))${end}(?!\s*[:=]?\s*\d)`,
    'efficiencyClass',
    text,
  ),
  simple(
    String.raw`(?:(?:NEMA\s*)?(?:NOM(?:INAL)?\.?\s*|F\.?L\.?\s*)?EFF(?:ICIENCY)?\.?(?:\s*NOM(?:INAL)?\.?)?|η|ETA)${sep}${share}`,
    'efficiency',
    plainShare,
  ),
  simple(String.raw`(${number})\s*%?\s*(?:NOM(?:INAL)?\.?\s*)?EFF(?:ICIENCY)?\.?${end}`, 'efficiency', plainShare),
  simple(
    String.raw`(?:P\.?F\.?|POWER\s*FACTOR|COS\s*\.?\s*(?:φ|ϕ|Φ|PHI|FI)?)${sep}${share}`,
    'powerFactor',
    plainShare,
  ),

  // Inverter duty by kind of load.
  simple(
    String.raw`(?:INV(?:ERTER)?\.?\s*DUTY\s*:?\s*)?(?:V\.?T\.?|VAR(?:IABLE)?\.?\s*TORQ(?:UE)?\.?)${sep}(\d+)\s*:\s*1`,
    'inverterDuty.variableTorque',
    Number,
  ),
  simple(
    String.raw`(\d+)\s*:\s*1\s*(?:V\.?T\.?|VAR(?:IABLE)?\.?\s*TORQ(?:UE)?\.?)${end}`,
    'inverterDuty.variableTorque',
    Number,
  ),
  simple(
    String.raw`(?:INV(?:ERTER)?\.?\s*DUTY\s*:?\s*)?(?:C\.?T\.?|CONST(?:ANT)?\.?\s*TORQ(?:UE)?\.?)${sep}(\d+)\s*:\s*1`,
    'inverterDuty.constantTorque',
    Number,
  ),
  simple(
    String.raw`(\d+)\s*:\s*1\s*(?:C\.?T\.?|CONST(?:ANT)?\.?\s*TORQ(?:UE)?\.?)${end}`,
    'inverterDuty.constantTorque',
    Number,
  ),
  simple(
    String.raw`(?:C\.?H\.?P\.?|CONST(?:ANT)?\.?\s*(?:HP|HORSEPOWER|POWER))${sep}(${number})\s*:\s*1`,
    'inverterDuty.constantPower',
    (t) => Number(plainNumber(t)),
  ),
  simple(
    String.raw`(${number})\s*:\s*1\s*(?:C\.?H\.?P\.?|CONST(?:ANT)?\.?\s*(?:HP|HORSEPOWER|POWER))${end}`,
    'inverterDuty.constantPower',
    (t) => Number(plainNumber(t)),
  ),

  // Speeds, the highest before the rated.
  simple(
    String.raw`(?:MAX(?:IMUM)?\.?\s*(?:SAFE\s*)?(?:SPEED|R\.?P\.?M\.?)|SAFE\s*SPEED|N\s?MAX\.?)${sep}(${numberLong()})\s*${speedUnit}?`,
    'maxSpeed',
    (t) => `${plainNumber(t, true)} rpm`,
  ),
  simple(
    String.raw`(?:(?:F\.?L\.?\s*)?R\.?P\.?M\.?|(?:RATED\s*|F\.?L\.?\s*)?SPEED|r/min|min⁻¹|min-1|1/min|U/min|tr/min)${sep}(${speedGroups})(?:\s*${speedUnit}(?!\s*\d))?`,
    'speed',
    (t) => `${plainGroups(t, true)} rpm`,
  ),
  simple(String.raw`(${speedGroups})\s*${speedUnit}${end}`, 'speed', (t) => `${plainGroups(t, true)} rpm`),

  // Power.
  {
    pattern: at(String.raw`H\.?P\.?\s*/\s*K\.?W\.?${sep}(${rating})\s*/\s*(${number})`),
    read: (m) => [...power(m[1] ?? '', 'hp'), ...power(m[2] ?? '', 'kW')],
  },
  { pattern: at(String.raw`(${powerGroups})\s*(${powerUnit})`), read: (m) => power(m[1] ?? '', m[2] ?? '') },
  {
    pattern: at(String.raw`(?:(?:RATED\s+)?POWER|OUTPUT|P[N2]?)${sep}(${powerGroups})\s*(${powerUnit})`),
    read: (m) => power(m[1] ?? '', m[2] ?? ''),
  },
  {
    pattern: at(String.raw`(H\.?P\.?|HORSEPOWER|K\.?W\.?)${end}${sep}(${powerGroups})(?:\s*${powerUnit}(?!\s*\d))?`),
    read: (m) => power(m[2] ?? '', /^h/i.test(m[1] ?? '') ? 'hp' : 'kW'),
  },

  // The three joined with slashes: phases, frequency, volts in either order.
  {
    pattern: at(String.raw`([13])\s*/\s*(50|60)\s*/\s*(\d{3}(?:[-/]\d{3})*)${end}`),
    read: (m) => [
      { field: 'phases', value: Number(m[1]) },
      { field: 'frequency', value: `${m[2]} Hz` },
      { field: 'voltage', value: `${m[3]} V` },
    ],
  },
  {
    pattern: at(String.raw`(\d{3}(?:[-/]\d{3})*)\s*/\s*([13])\s*/\s*(50|60)${end}`),
    read: (m) => [
      { field: 'voltage', value: `${m[1]} V` },
      { field: 'phases', value: Number(m[2]) },
      { field: 'frequency', value: `${m[3]} Hz` },
    ],
  },

  {
    pattern: at(String.raw`([13])\s*/\s*(50|60)(?:\s*HZ)?(?![\d/])`),
    read: (m) => [
      { field: 'phases', value: Number(m[1]) },
      { field: 'frequency', value: `${m[2]} Hz` },
    ],
  },
  // Frequency and phases.
  {
    pattern: at(
      String.raw`(?:HZ|HERTZ|CYCLES?|CY|FREQ(?:UENCY)?|C/S)\.?${end}${sep}(\d{2}(?:[.,]\d+)?)(?!\s*/\s*\d)(?:\s*HZ)?`,
    ),
    read: (m) => one('frequency', `${plainNumber(m[1] ?? '')} Hz`),
  },
  {
    pattern: at(String.raw`(\d{2}(?:[.,]\d+)?)\s*(?:HZ|HERTZ|CYCLES?|CY|C/S)${end}`),
    read: (m) => one('frequency', `${plainNumber(m[1] ?? '')} Hz`),
  },
  simple(String.raw`(?:PH(?:ASES?)?\.?|Ø)${sep}([123])(?![\d.,/])`, 'phases', Number),
  simple(String.raw`([123])\s*-?\s*(?:PH(?:ASES?)?\.?|Ø|~|∼)(?:\s*MOT(?:OR)?\.?)?${end}`, 'phases', Number),
  {
    pattern: at(String.raw`(THREE|SINGLE)[- ]PHASE${end}`),
    read: (m) => one('phases', /three/i.test(m[1] ?? '') ? 3 : 1),
  },

  // Voltage and current.
  {
    pattern: at(String.raw`(${connectionMarks}\s*[-/]\s*${connectionMarks})\s*(?=\d)`),
    read: (m) => one('connection', (m[1] ?? '').replace(/\s/g, '')),
  },
  { pattern: at(String.raw`(?:VOLTS?|VOLTAGE|V)\.?${end}${sep}(${volts})`), read: voltage },
  { pattern: at(String.raw`(${volts})(?<=V(?:OLTS?|AC)?[\s/-]*(?:${connectionMarks}[\s/-]*){0,2})`), read: voltage },
  {
    pattern: at(String.raw`(?:CONN(?:ECTION)?\.?|SCHALTUNG)${sep}([A-Z0-9Δ∆△λ/ -]{1,20}?)(?=\s{2,}|[\n,;]|$)`),
    read: (m) => one('connection', (m[1] ?? '').trim()),
  },
  {
    pattern: at(String.raw`(${connectionMarks}(?:\s*[-/]\s*${connectionMarks})?)${end}`),
    read: (m) => one('connection', (m[1] ?? '').replace(/\s/g, '')),
  },
  {
    pattern: at(
      String.raw`(?:F\.?L\.?\s*A(?:MPS?)?\.?|FULL[- ]LOAD\s*(?:AMPS?|CURRENT)|(?:RATED\s*)?CURRENT|AMP(?:ERE)?S?\.?|A|I[Nₙ]?)${end}${sep}(${ampsGroups})`,
    ),
    read: (m) => one('current', `${plainGroups(m[1] ?? '')} A`),
  },
  {
    pattern: at(String.raw`(${ampsGroups})(?<=A(?:MPS?\.?|MPERES?)?\s*)`),
    read: (m) => one('current', `${plainGroups(m[1] ?? '')} A`),
  },

  // Letters and classes.
  simple(
    String.raw`(?:(?:L\.?R\.?\s*)?K\.?V\.?A\.?\s*(?:CODE)?|CODE(?:\s*LETTER)?|LOCKED\s*ROTOR\s*CODE)${sep}${letterAfter('[A-HJ-NPR-V]')}`,
    'codeLetter',
    upper,
  ),
  simple(
    String.raw`(?:NEMA\s*)?DES(?:IGN)?(?:\s*LETTER)?\.?${sep}${letterAfter('[A-D]|[NH]E?Y?')}`,
    'designLetter',
    upper,
  ),
  {
    pattern: at(
      String.raw`(?:INS(?:UL(?:ATION)?)?\.?\s*(?:SYS(?:TEM)?\.?\s*)?(?:CL(?:ASS)?\.?)?|TH\.?\s*CL\.?|THERMAL\s*CLASS|ISO\.?\s*-?\s*(?:KL|CL)\.?|I\.?\s?CL\.?|W(?:ÄRME)?KL(?:ASSE)?\.?|CLASS|CL\.?)${sep}(?:(?:105|120|130|155|180|200)\s*\(?)?${letterAfter('[AEBFHN]')}\)?(?:\s*(?:/|TO)\s*${letterAfter('[AEBFH]')})?`,
    ),
    read: (m) => [
      { field: 'insulation', value: upper(m[1] ?? '') },
      ...(m[2] ? [{ field: 'riseClass', value: upper(m[2]) }] : []),
    ],
  },
  simple(
    String.raw`(?:TEMP(?:ERATURE)?\.?\s*)?RISE(?:\s*CL(?:ASS)?\.?)?${sep}${letterAfter('[AEBFH]')}`,
    'riseClass',
    upper,
  ),
  simple(
    String.raw`(?:(?:TEMP(?:ERATURE)?\.?\s*)?RISE|ΔT|DT)${sep}(\d{2,3})\s*(?:K|°?\s*C|DEG\.?\s*C)${end}`,
    'temperatureRise',
    (t) => `${t} K`,
  ),
  simple(String.raw`(\d{2,3})\s*(?:K|°\s*C|DEG\.?\s*C|C)\s*RISE${end}`, 'temperatureRise', (t) => `${t} K`),
  {
    pattern: at(
      String.raw`(?:MAX\.?\s*)?(?:T\.?\s?AMB|AMB(?:IENT)?|T\.?A)\.?(?:\s*TEMP(?:ERATURE)?\.?)?${sep}(?:${temperature}\s*(?:\.{2,3}|…|TO|\/|-)\s*)?(${temperature})`,
    ),
    read: (m) => one('ambient', degrees(m[1] ?? '')),
  },
  {
    pattern: at(String.raw`(${temperature})\s*(?:MAX\.?\s*)?AMB(?:IENT)?\.?${end}`),
    read: (m) => one('ambient', degrees(m[1] ?? '')),
  },
  {
    pattern: at(String.raw`(?:DUTY(?:\s*CYCLE)?|TIME(?:\s*RATING)?|RATING)${sep}(${dutyWords})`),
    read: (m) => one('duty', (m[1] ?? '').trim()),
  },
  {
    pattern: at(String.raw`(${dutyWords})(?:\s*DUTY)?`),
    read: (m) => (/^\d/.test(m[0]) && !/min/i.test(m[0]) ? [] : one('duty', (m[1] ?? '').trim())),
  },

  // Body: mounting, enclosure, frame, bearings.
  simple(String.raw`(IM\s*(?:[BV]\s?\d{1,2}|\d{4})(?:\s*/\s*(?:[BV]\s?\d{1,2}))*)${end}`, 'mounting', text),
  simple(String.raw`(?:MOUNT(?:ING)?|MTG|ASSEMBLY)\.?${sep}([A-Z]-?\d{1,4})${end}`, 'mounting', upper),
  simple(String.raw`([BV](?:3[45]?|5|14|[678]|1[89]?))${end}`, 'mounting', upper),
  simple(String.raw`(?:(?:ENCL(?:OSURE)?|PROT(?:ECTION)?)\.?${sep})?(IP\s?-?\s?\d{2}[WM]?)${end}`, 'protection', (t) =>
    upper(t).replace(/[\s-]/g, ''),
  ),
  simple(String.raw`(?:COOLING${sep})?(IC\s?-?\s?(?:0?1|0A1|\d{3}|[78]1W|\dA\dA\d))${end}`, 'cooling', (t) =>
    upper(t).replace(/[\s-]/g, ''),
  ),
  simple(String.raw`(?:(?:ENCL(?:OSURE)?|ENC|TYPE)\.?${sep})?(${enclosureList})${end}`, 'enclosure', upper),
  simple(
    String.raw`(?:FR(?:AME)?(?:\s*SIZE)?|BAUGR(?:ÖSSE)?)\.?${sep}(?:NO\.?\s*)?((?:IEC\s?)?[A-Z]{0,2}\d{2,4}\s?(?:[TU][A-Z]{0,4}|[SMLX]{1,2}[A-D]?\d?|[A-Z]{1,3})?)${end}`,
    'frame',
    (t) => upper(t).replace(/\s/g, ''),
  ),
  simple(
    String.raw`(\d{2,3}[TU][A-Z]{0,3}|(?:48|56)[CHJYZ]{1,2}|(?:63|71|80|90|1[0136][02]|180|2[0258][05]|3[15]5)\s?[SML][ABCX]?)${end}`,
    'frame',
    (t) => upper(t).replace(/\s/g, ''),
  ),
  {
    pattern: at(String.raw`(?:BEARINGS?|BRGS?)\.?${sep}(${bearing})\s*(?:/|,|AND|&|-)\s*(${bearing})`),
    read: (m) => bearings(m[1], m[2]),
  },
  {
    pattern: at(
      String.raw`(?:N\.?D\.?E\.?|O\.?D\.?E\.?|OPP(?:OSITE)?\.?\s*(?:DRIVE\s*)?(?:END)?|FAN\s*END|BS)(?:\s*(?:BRG|BEARING))?\.?${sep}(${bearing})`,
    ),
    read: (m) => bearings(undefined, m[1]),
  },
  {
    pattern: at(
      String.raw`(?:D\.?E\.?|DRIVE\s*END|SHAFT\s*END|S\.?E\.?|AS)(?:\s*(?:BRG|BEARING))?\.?${sep}(${bearing})`,
    ),
    read: (m) => bearings(m[1], undefined),
  },
  {
    pattern: at(
      String.raw`(?:RE-?LUBE|RE-?LUBRICAT\w*|RE-?GREASE|(?:GREASE\s*)?INTERVAL)${sep}(?:EVERY\s*)?(\d{1,3}[,.]\d{3}|\d+)\s*H(?:RS?|OURS?)?${end}`,
    ),
    read: (m) => one('greaseInterval', `${(m[1] ?? '').replace(/[,.]/g, '')} h`),
  },
  { pattern: at(String.raw`(?:GREASE|LUBRICANT|LUBE)${sep}(?=[A-Z])`), read: (m) => one('grease', m[0]), runsOn: true },
  simple(String.raw`(?:LEADS?|NO\.?\s*OF\s*LEADS)${sep}(\d{1,2})${end}`, 'leads', Number),
  simple(String.raw`(\d{1,2})\s*-?\s*LEADS?${end}`, 'leads', Number),
  simple(
    String.raw`((?:NOT\s+)?THERMAL(?:LY)?\.?\s*PROT(?:ECT(?:ED|ION|OR))?\.?(?:\s*TYPE\s*[A-Z])?|(?:\d\s*[x×]?\s*)?PTC(?:\s*\d{2,3}\s*°?\s*C)?|(?:\d\s*[x×]?\s*)?THERM(?:ISTORS?|OSTATS?)|(?:\d\s*[x×]\s*)?PT\s?100)${end}`,
    'thermalProtection',
    text,
  ),
  {
    pattern: at(String.raw`(?:(?:W(?:EIGH)?T|WGT|MASS)\.?${sep})(\d{1,2},\d{3}|${number})\s*(KG|LBS?)\.?${end}`),
    read: (m) => one('weight', `${plainNumber(m[1] ?? '', true)} ${(m[2] ?? '').toLowerCase()}`),
  },
  {
    pattern: at(String.raw`(\d{1,2},\d{3}|${number})\s*(KG|LBS?)\.?${end}`),
    read: (m) => one('weight', `${plainNumber(m[1] ?? '', true)} ${(m[2] ?? '').toLowerCase()}`),
  },
  {
    pattern: at(
      String.raw`(?:MAX\.?\s*)?ALT(?:ITUDE)?\.?(?:\s*MAX\.?)?${sep}[<≤]?\s*(\d{1,2},\d{3}|\d+)\s*(M|FT|FEET)(?:\.?A\.?S\.?L\.?|\s*a\.?s\.?l\.?)?${end}`,
    ),
    read: (m) => one('altitude', `${plainNumber(m[1] ?? '', true)} ${/m/i.test(m[2] ?? '') ? 'm' : 'ft'}`),
  },
  {
    pattern: at(String.raw`[<≤]?\s*(\d{1,2},\d{3}|\d{3,4})\s*(M|FT)\.?\s*(?:A\.?S\.?L\.?|ALT(?:ITUDE)?|MASL)${end}`),
    read: (m) => one('altitude', `${plainNumber(m[1] ?? '', true)} ${/m/i.test(m[2] ?? '') ? 'm' : 'ft'}`),
  },
  simple(
    String.raw`(?:YEAR|YR|MFG\.?\s*(?:DATE|YEAR)?|MFD|DATE|MADE|BAUJAHR|BJ)\.?${sep}(?:\d{1,2}\s*[/.-]\s*)?((?:19|20)\d{2})${end}`,
    'year',
    Number,
  ),
  simple(
    String.raw`(?:SER(?:IAL)?\.?\s*(?:NO\.?|NUMBER|#|NR\.?)?|S/N|NR\.?|NO\.)${sep}#?\s*([A-Z0-9][\w./-]*\d[\w./-]*)`,
    'serial',
    text,
  ),
  simple(
    String.raw`(?:MODEL|MOD|TYPE|TYP|STYLE|SPEC|CAT(?:ALOG)?)\.?(?:\s*(?:NO\.?|NUMBER|#))?${sep}([A-Z0-9][\w./-]*)`,
    'model',
    text,
  ),
  // Volts that stand alone are known by their values and by the ratio one winding gives.
  {
    pattern: at(
      String.raw`(\d{3}(?:-\d{3})?)\s*/\s*(\d{3}(?:-\d{3})?)(?![\d/]|\s*(?:A|AMPS?|KW|HP|RPM|KG|LBS?)${end})`,
    ),
    read: (m) => (twoVoltages(m[1] ?? '', m[2] ?? '') ? one('voltage', `${m[1]}/${m[2]} V`) : []),
  },
];

/** Words that head a column, with how a bare value under them is read. */
export const columns: readonly (readonly [RegExp, string, (v: string) => readonly Found[]])[] = [
  [/^H\.?P\.?$/i, 'power', (v) => power(v, 'hp')],
  [/^K\.?W\.?$/i, 'power', (v) => power(v, 'kW')],
  [
    /^(V|VOLTS?|VOLTAGE)$/i,
    'voltage',
    (v) => {
      const m = at(String.raw`(${volts})`).exec(v);
      return m ? voltage(m) : [];
    },
  ],
  [/^(A|AMPS?|FLA|I|In)$/i, 'current', (v) => one('current', `${plainGroups(v)} A`)],
  [/^(RPM|r\/min|min⁻¹|min-1|1\/min|U\/min|SPEED)$/i, 'speed', (v) => one('speed', `${plainGroups(v, true)} rpm`)],
  [/^(HZ|CYCLES|CY|FREQ)$/i, 'frequency', (v) => one('frequency', `${plainNumber(v)} Hz`)],
  [/^(PH|PHASES?|Ø)$/i, 'phases', (v) => one('phases', Number(v))],
  [/^(cos\s?[φϕΦ]|cosphi|cos|P\.?F\.?)$/i, 'powerFactor', (v) => one('powerFactor', plainShare(v))],
  [/^(η|eta|EFF\.?|η%|eff%)$/i, 'efficiency', (v) => one('efficiency', plainShare(v))],
  [/^S\.?F\.?$/i, 'serviceFactor', (v) => one('serviceFactor', Number(plainNumber(v)))],
  [/^(FR|FRAME)$/i, 'frame', (v) => one('frame', upper(v))],
  [/^(CODE|KVA)$/i, 'codeLetter', (v) => one('codeLetter', upper(v))],
  [/^(DES|DESIGN)$/i, 'designLetter', (v) => one('designLetter', upper(v))],
  [/^(INS|CL|CLASS)$/i, 'insulation', (v) => one('insulation', upper(v))],
  [/^(CONN)$/i, 'connection', (v) => one('connection', v)],
  [/^(ENCL)$/i, 'enclosure', (v) => one('enclosure', upper(v))],
  [/^(DUTY)$/i, 'duty', (v) => one('duty', v)],
];
