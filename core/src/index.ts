export * from './quantity';
export * from './law';
export * as physics from './physics';
export * as practice from './practice';
export { houseRules, practiceById, type Practice, type PracticeId, type RuleId } from './practice';
export * from './catalogue';
export * from './case';
export * as nameplate from './nameplate';
export {
  comparedMethods,
  enclosureTable,
  judge,
  methodNames,
  requirements,
  type Judged,
  type Needs,
  type Requirement,
  type Starting,
} from './stations';
export * from './solve';
export { stampedText } from './doubts';
export * from './screening';
export * from './starting';
