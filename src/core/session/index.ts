export { applyEdit } from './apply-edit.ts'
export type { Edit, EditDone } from './apply-edit.ts'
export { indexOfBlock, insertionIndex, usualBlocksEnd } from './places.ts'
export { changesBetween } from './changes.ts'
export { changeCosts, factorFor, usualByPropsS } from './changes.ts'
export { atLevel, learnedKey, taughtTimes } from './learned.ts'
export type { LearnedTimes, TaughtTime } from './learned.ts'
export type { Change, ChangeCosts, ChangeParts, Changes, LaidAnew } from './changes.ts'
export { familyCeilingS, firstCeilingS } from './ceilings.ts'
export { countedBeside } from './counted-beside.ts'
export { insertEdits } from './insert-edits.ts'
export {
  extentOf,
  figureIn,
  finalRestPose,
  fullOf,
  keptFor,
  namedSetUp,
  propCounts,
  setUpOf,
  setUpsFor,
  usualSetUp,
} from './set-up-of.ts'
export { listedSetUp, splitCounts, splitFormCounts } from './typed-counts.ts'
export type { IsShipped } from './typed-counts.ts'
export { formOf } from './form.ts'
export type { Form } from './form.ts'
export { mirrorText, otherSide } from './mirror.ts'
export { poseIn, withOwn } from './own.ts'
export { picturedBlock, picturedPose, picturedSetUp } from './pictured.ts'
export type { Pictured } from './pictured.ts'
export { sideParts, storeSideText, turnSideWord } from './side-words.ts'
export type { SidePart } from './side-words.ts'
export { leastHoldOf } from './resolve-hold.ts'
export { nextTimeEdit, tickedEdit } from './next-time.ts'
export { orderEdits, orderShifted, orderWith } from './reorder.ts'
export { resolveSession } from './resolve.ts'
export { isLying, positionLeft, positionsAlong } from './stand.ts'
export { finalRestFloorS, usualComingUp } from './resolve-closing.ts'
export { holdPractice, usualHold } from './usual-hold.ts'
export { holdSecondsOf, linkHold, setHoldSide } from './hold-time.ts'
export { unknownInBlocks, unknownReferences } from './unknown-references.ts'
export { composedLong, pastLimits } from './past-limits.ts'
export { compareSessions } from './compare.ts'
export { isSame, sortedText } from './is-same.ts'
export { keepRoll, sayRoll } from './roll.ts'
export { rollWords, stillnessWords, stopWords, wordingOf } from './wordings.ts'
export type { Difference } from './compare.ts'
export { withFields } from './with-fields.ts'
export type { FieldsOf } from './with-fields.ts'
export type { Catalog, Ceilings, ChangeTable } from './catalog.ts'
export type {
  ComingUp,
  HoldSide,
  Resolved,
  ResolvedBreath,
  ResolvedBreathOver,
  ResolvedClosing,
  ResolvedHold,
  ResolvedMovement,
  ResolvedPhase,
  ResolvedRest,
  ResolvedTalk,
  Seated,
  SetUpInUse,
  Source,
  Sourced,
} from './resolved.ts'
export { unknownInOwn } from './unknown-in-own.ts'
export { slipsIn, slipsInBlocks } from './slips.ts'
export { momentS } from './moment.ts'
export {
  beginning,
  copyOfScript,
  movePart,
  scriptParts,
  typedLines,
  withOneMore,
  withoutSentences,
  withSentence,
} from './script-edits.ts'
export type { ScriptPart } from './script-edits.ts'
export { couldGo, leastPauseMs, quietAfterOf, sayMs, spokenIn, timedScript, usualPauseS } from './script.ts'
export type { SpokenScript, TimedScript } from './script.ts'
export { freeId } from './free-id.ts'
export { techniqueSection } from './technique-section.ts'
export { beforeBreath } from './before-breath.ts'
export { answersIn } from './answers-in.ts'
export { protocolIn } from './protocol.ts'
export { mainSection, shortBreath, techniqueIdIn, withQuiet, withSection } from './short-breath.ts'
export type { ShortBreath } from './short-breath.ts'
export { blockWithoutNames, detailsWithoutNames, namesOf, tellsOf, withoutNames } from './typed-names.ts'
