export { entryVerdict, outcomeOf, type Judged } from './asked';
export { judge } from './judge';
export { explain, explainMethods, motorView } from './explain';
export { asked, requirements, type RequirementId } from './requirements';
