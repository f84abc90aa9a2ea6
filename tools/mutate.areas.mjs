/**
 * Areas of core with the tests that are asked about them; a folder's own entry goes before that of the folder above it.
 * Others would kill some more, so a score is a lower bound; all of them take hours.
 */
export const areas = {
  quantity: ['quantity', 'workings', 'typed', 'meter'],
  case: ['carry', 'changes', 'errand', 'migrate', 'questions', 'typed', 'odd', 'history', 'stations', 'worth'],
  catalogue: ['catalogue', 'practices', 'tables', 'known', 'beside', 'search', 'withstand', 'coordination', 'guard'],
  condition: ['condition', 'log'],
  contract: ['named', 'told', 'figures', 'workings', 'verdicts', 'typed', 'coordination', 'stations', 'start'],
  law: ['laws', 'formulas', 'limits', 'workings', 'practices'],
  nameplate: [
    ...['plateText', 'plateSupply', 'hazard', 'special', 'odd', 'positionList', 'frames', 'outside', 'judgement'],
    ...['condition', 'replacement', 'typed', 'stations', 'plates'],
  ],
  practice: [
    ...['practice', 'practices', 'tables', 'tableEnds', 'conductorTables', 'distortionTables', 'timeCurrent', 'frames'],
    ...['guard', 'laws', 'formulas', 'replacement', 'coordination', 'withstand', 'circuitParts', 'circuit'],
  ],
  runs: ['runs', 'tried', 'plans', 'figures', 'start', 'startDrop', 'partLoad'],
  physics: [
    ...['machine', 'fit', 'operating', 'runup', 'transient', 'laws', 'formulas', 'load', 'log', 'figures', 'start'],
    ...['detail', 'startView', 'outside', 'reads', 'saturation', 'rectifier', 'drivePhysics', 'annexExample'],
    ...['driveCycle', 'partLoad', 'smallMotors', 'liveDrive'],
  ],
  judge: [
    ...['verdicts', 'choice', 'firstChoice', 'beside', 'trade', 'known', 'practice', 'judgement', 'special', 'start'],
    ...['judgeParts', 'judgeCures', 'judgeSays', 'search', 'findings', 'history', 'columns', 'judgeTell', 'hazard'],
    ...['plateSupply', 'drive'],
  ],
  needs: ['needs', 'stations', 'figures', 'load', 'special', 'start', 'judgement', 'circuitParts', 'guard', 'drive'],
  walk: [
    ...['board', 'beside', 'flowBench', 'demoStates', 'known', 'stations', 'told', 'partLoad', 'tried', 'start'],
    ...['history', 'worth', 'lean', 'outside', 'replacement'],
  ],
  'stations/guard': ['guard', 'coordination', 'withstand', 'timeCurrent', 'startDrop', 'circuitParts', 'circuit'],
  'stations/drive': ['rectifier', 'drivePhysics', 'driveCycle', 'liveDrive', 'drive'],
  'stations/cost': ['flowBench', 'partLoad', 'worth', 'meter', 'flowMachine', 'bill'],
  stations: [
    ...['stations', 'detail', 'findings', 'figures', 'told', 'lean', 'startView', 'plates', 'plateSupply', 'load'],
    ...['start', 'outside', 'replacement', 'history', 'hazard', 'special', 'beside', 'known', 'worth'],
  ],
};

/** The area a path below core/src belongs to: the deepest folder that is one. */
export const areaOf = (path) =>
  Object.keys(areas)
    .filter((area) => path === area || path.startsWith(`${area}/`))
    .sort((a, b) => b.length - a.length)[0];

/** Tests no area asks: what takes a bundle, random cases (a score says what the named tests see), the house's own. */
export const notAsked = ['command', 'fuzz', 'house', 'properties', 'truth'];
