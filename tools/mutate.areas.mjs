/** Tests that take less than two seconds a file: every area asks them. */
const quick = [
  ...['annexExample', 'board', 'boundaries', 'carry', 'catalogue', 'changes', 'columns', 'condition', 'contract'],
  ...[
    'conductorTables',
    'coordination',
    'distortionTables',
    'driveCycle',
    'drivePhysics',
    'errand',
    'flowBench',
    'formulas',
    'frames',
  ],
  ...['guard', 'hazard', 'history', 'judgeCures', 'judgeParts', 'judgeSays', 'laws', 'limits', 'machine', 'meter'],
  ...['migrate', 'named', 'needs', 'operating', 'outside', 'partLoad', 'plans', 'plateSupply', 'plateText', 'practice'],
  ...['positionList', 'practices', 'quantity', 'questions', 'reads', 'replacement', 'runs', 'saturation', 'search'],
  ...['startDrop', 'tableEnds', 'tables', 'timeCurrent', 'tried', 'typed', 'verdicts', 'withstand', 'workings'],
];

/**
 * Areas of core with the slower tests that are asked about them; a folder's own entry goes before that of the folder
 * above it. Others would kill some more, so a score is a lower bound; all of them take hours.
 */
export const areas = {
  quantity: quick,
  case: [...quick, 'odd', 'bill', 'stations', 'worth'],
  catalogue: [...quick, 'beside', 'known', 'special', 'fit'],
  condition: [...quick, 'log'],
  contract: [...quick, 'told', 'figures', 'stations', 'start'],
  law: [...quick, 'figures'],
  nameplate: [...quick, 'plateLimits', 'special', 'odd', 'judgement', 'stations', 'plates'],
  practice: [...quick, 'special', 'start', 'circuitParts', 'circuit'],
  runs: [...quick, 'figures', 'start', 'runup', 'smallMotors'],
  physics: [
    ...quick,
    ...['fit', 'runup', 'transient', 'load', 'log', 'figures', 'start', 'detail', 'startView', 'rectifier'],
    ...['smallMotors', 'liveDrive'],
  ],
  judge: [
    ...quick,
    ...['beside', 'known', 'judgement', 'special', 'start', 'findings', 'judgeTell', 'choice', 'trade', 'firstChoice'],
    ...['drive'],
  ],
  needs: [...quick, 'stations', 'figures', 'load', 'special', 'start', 'judgement', 'circuitParts', 'bill', 'drive'],
  walk: [
    ...quick,
    'walk',
    'beside',
    'demoStates',
    'known',
    'stations',
    'told',
    'start',
    'worth',
    'lean',
    'flowMachine',
    'choice',
  ],
  'stations/guard': [...quick, 'circuitParts', 'circuit', 'findings'],
  'stations/drive': [...quick, 'rectifier', 'driveProgram', 'liveDrive', 'drive', 'stations'],
  'stations/cost': [...quick, 'worth', 'flowMachine', 'bill'],
  stations: [
    ...quick,
    ...['stations', 'detail', 'figures', 'told', 'startView', 'load', 'start', 'special', 'beside', 'known', 'worth'],
    ...['findings', 'plates', 'lean'],
  ],
};

/** The area a path below core/src belongs to: the deepest folder that is one. */
export const areaOf = (path) =>
  Object.keys(areas)
    .filter((area) => path === area || path.startsWith(`${area}/`))
    .sort((a, b) => b.length - a.length)[0];

/** Tests no area asks: what takes a bundle, random cases (a score says what the named tests see), the house's own. */
export const notAsked = ['agreement', 'command', 'fuzz', 'house', 'properties', 'truth'];
