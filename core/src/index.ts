export * from './quantity';
export * from './law';
export * as physics from './physics';
export * as practice from './practice';
export { houseRules, practiceById, type Practice, type RuleId } from './practice';
export * from './catalogue';
export * from './case';
export { methodNames, requirements } from './stations';
export * from './solve';
