/** The public words without their schemas: light enough for any page. */
export * from './contract/vocabulary';
export { houseRules, type RuleId } from './practice/rules';
