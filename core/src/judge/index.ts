export { entryVerdict, outcomeOf, type Judged, type Tie } from './asked';
export { judge, simulateEntry } from './judge';
export { closedOf, findFirst, inStockOf, judgeWhole } from './search';
export { explain, explainMethods, motorView } from './explain';
export { asked, requirementFields, requirements, type RequirementId } from './requirements';
