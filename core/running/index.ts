export { ruleChanges, withChanges, type RuleChange } from './ruleChanges';
export { topRules } from './topRules';
export { liveFile, liveSheet, type LiveFile, type LiveSheetFiles } from './liveSheet';
export type { PageMark, SheetMessage, ShownMessage } from './messages';
