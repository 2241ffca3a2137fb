import { afterRestsShrink } from './rules/after-rests-shrink.ts'
import { asymmetryUnanswered } from './rules/asymmetry-unanswered.ts'
import { backAndForth } from './rules/back-and-forth.ts'
import { breathAfterStrong } from './rules/breath-after-strong.ts'
import { breathLongForLevel } from './rules/breath-long-for-level.ts'
import { breathsDoNotFit } from './rules/breaths-do-not-fit.ts'
import { cautionsUnsaid } from './rules/cautions-unsaid.ts'
import { cuesClose } from './rules/cues-close.ts'
import { deepBeforeWarm } from './rules/deep-before-warm.ts'
import { doesNotFit } from './rules/does-not-fit.ts'
import { finalRestShort } from './rules/final-rest-short.ts'
import { holdUnasked } from './rules/hold-unasked.ts'
import { holdPastStage } from './rules/held-past-stage.ts'
import { lastNotLast } from './rules/last-not-last.ts'
import { lateChange } from './rules/late-change.ts'
import { stepInHoldRule } from './rules/step-in-hold.ts'
import { lengthOutOfRange } from './rules/length-out-of-range.ts'
import { manyPositionChanges } from './rules/many-position-changes.ts'
import { nameTyped } from './rules/name-typed.ts'
import { noAfterRest } from './rules/no-after-rest.ts'
import { noClosing } from './rules/no-closing.ts'
import { noNaturalAfter } from './rules/no-natural-after.ts'
import {
  exhalePastLevel,
  locksTooShort,
  lockWithoutHold,
  slowForLevel,
  stationUneven,
  strokesPastStage,
  strokesTooMany,
} from './rules/of-sections.ts'
import { oneCheek } from './rules/one-cheek.ts'
import { otherTimeSaid } from './rules/other-time-said.ts'
import { outsideUsual } from './rules/outside-usual.ts'
import { pastFirstCeiling } from './rules/past-first-ceiling.ts'
import { rapidThenHold } from './rules/rapid-then-hold.ts'
import { retentionUnannounced } from './rules/retention-unannounced.ts'
import type { Rule } from './rule.ts'
import { runOfOneDirection } from './rules/run-of-one-direction.ts'
import { scriptInHeldBreath, scriptTooLong, talkTooFull } from './rules/scripts.ts'
import { sidesUneven } from './rules/sides-uneven.ts'
import { silentBeforeHold } from './rules/silent-before-hold.ts'
import { strongLying, strongNotInPerson } from './rules/strong-breath.ts'
import { talkOverHold } from './rules/talk-over-hold.ts'
import { talkedThrough } from './rules/talked-through.ts'
import { wrongPositionSaid } from './rules/wrong-position-said.ts'
import { wrongSideSaid } from './rules/wrong-side-said.ts'

/** Every rule of the checks. A new one is a file of its own, a line here, and its words. */
export const rules: readonly Rule[] = [
  doesNotFit,
  lengthOutOfRange,
  sidesUneven,
  outsideUsual,
  pastFirstCeiling,
  noAfterRest,
  afterRestsShrink,
  runOfOneDirection,
  deepBeforeWarm,
  asymmetryUnanswered,
  manyPositionChanges,
  backAndForth,
  finalRestShort,
  noClosing,
  holdUnasked,
  silentBeforeHold,
  talkedThrough,
  lateChange,
  stepInHoldRule,
  oneCheek,
  cuesClose,
  wrongSideSaid,
  wrongPositionSaid,
  lastNotLast,
  otherTimeSaid,
  breathsDoNotFit,
  retentionUnannounced,
  breathAfterStrong,
  holdPastStage,
  strokesPastStage,
  locksTooShort,
  strokesTooMany,
  lockWithoutHold,
  rapidThenHold,
  strongLying,
  strongNotInPerson,
  exhalePastLevel,
  breathLongForLevel,
  slowForLevel,
  noNaturalAfter,
  stationUneven,
  talkOverHold,
  scriptTooLong,
  talkTooFull,
  scriptInHeldBreath,
  cautionsUnsaid,
  nameTyped,
]
