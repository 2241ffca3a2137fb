import { afterRestsShrink } from './after-rests-shrink.ts'
import { asymmetryUnanswered } from './asymmetry-unanswered.ts'
import { backAndForth } from './back-and-forth.ts'
import { breathAfterStrong } from './breath-after-strong.ts'
import { breathsDoNotFit } from './breaths-do-not-fit.ts'
import { cautionsUnsaid } from './cautions-unsaid.ts'
import { cuesClose } from './cues-close.ts'
import { deepBeforeWarm } from './deep-before-warm.ts'
import { doesNotFit } from './does-not-fit.ts'
import { finalRestShort } from './final-rest-short.ts'
import { lastNotLast } from './last-not-last.ts'
import { lateChange } from './late-change.ts'
import { lengthOutOfRange } from './length-out-of-range.ts'
import { manyPositionChanges } from './many-position-changes.ts'
import { noAfterRest } from './no-after-rest.ts'
import { noClosing } from './no-closing.ts'
import { oneCheek } from './one-cheek.ts'
import { otherTimeSaid } from './other-time-said.ts'
import { outsideUsual } from './outside-usual.ts'
import { pastFirstCeiling } from './past-first-ceiling.ts'
import { retentionUnannounced } from './retention-unannounced.ts'
import type { Rule } from './rule.ts'
import { runOfOneDirection } from './run-of-one-direction.ts'
import { sidesUneven } from './sides-uneven.ts'
import { silentBeforeHold } from './silent-before-hold.ts'
import { talkedThrough } from './talked-through.ts'
import { wrongPositionSaid } from './wrong-position-said.ts'
import { wrongSideSaid } from './wrong-side-said.ts'

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
  silentBeforeHold,
  talkedThrough,
  lateChange,
  oneCheek,
  cuesClose,
  wrongSideSaid,
  wrongPositionSaid,
  lastNotLast,
  otherTimeSaid,
  breathsDoNotFit,
  retentionUnannounced,
  breathAfterStrong,
  cautionsUnsaid,
]
