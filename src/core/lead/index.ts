export { leadPlan } from './lead-plan.ts'
export type { LeadCue, LeadPlan, LeadSegment } from './lead-plan.ts'
export { peopleHere } from './here.ts'
export { ledStart } from './led-start.ts'
export type { StartDetails } from './led-start.ts'
export { clockAt, epochAt, readClock, runAt, takenUpClock } from './clock.ts'
export type { ClockEvent, LeadClock, Reading } from './clock.ts'
export { beginLead, step } from './step.ts'
export { beforeHold } from './lead-plan.ts'
export { mayCountAgain, stoppedForMs } from './stop.ts'
export { blockHeard } from './block-heard.ts'
export type { HeardBlock } from './block-heard.ts'
export { fold } from './fold.ts'
export { bellsBetween, keyOf, soundsDue } from './sounds-due.ts'
export { voiceByClock, voiceDue } from './voice-due.ts'
export type { VoiceBook } from './voice-due.ts'
export { soundsByClock } from './sounds-by-clock.ts'
export { asChosen, usualClassSounds } from './class-sounds.ts'
export { musicFadeMs, musicSpan } from './music.ts'
export type { MusicSpan } from './music.ts'
export { usualBreathSounds } from './part-sounds.ts'
export type { PlayedSound } from './part-sounds.ts'
export type { DueSound } from './sounds-due.ts'
export type { ScriptNow } from './script-now.ts'
export { stageOf } from './stage.ts'
export type { OtherSide, Stage } from './stage.ts'
export { breathLine } from './breath-line.ts'
export type { BreathStretch } from './breath-line.ts'
export { breathNow, movementNow } from './breath-now.ts'
export type { BreathNow, MovementNow } from './breath-now.ts'
export type { LeadEffect, LeadEvent, LeadEventType, LeadInput, LeadState, Visit } from './lead-state.ts'
export {
  beginClass,
  exactRunMs,
  ledEnd,
  lookAtClass,
  missBells,
  promiseEnd,
  refitClass,
  takeOverClass,
  takeUpClass,
  tellClass,
  wallTime,
} from './conduct.ts'
export { aheadFromMs, behindFrom, behindMs, freeUntilMs, promisedMs, startedLate, toEndMs } from './ends.ts'
export type { Command, Conducted, FromElsewhere } from './conduct.ts'
export { isInTouch, leasedTo, leaseMs, renewed } from './lease.ts'
export type { Lease } from './lease.ts'
export { eventsOnScreen, onScreen } from './on-screen.ts'
export type { OnScreen, ScreenClass, ScreenNow } from './on-screen.ts'
export { aheadBy, heardZeros, zeroOf } from './zero.ts'
export type { ClockLook, HeardZeros } from './zero.ts'
export { emptyOutbox, outboxState, stepOutbox } from './outbox.ts'
export type { Outbox, OutboxEffect, OutboxEvent, OutboxState } from './outbox.ts'
export { refitBook } from './refit/book.ts'
export type { RefitBook } from './refit/book.ts'
export { leastBetweenMs, waysOf } from './refit/ways.ts'
export type { Changed, Wanted, Way } from './refit/ways.ts'
export { movedBy } from './refit/moves.ts'
export { orderedPlan, visitsAsPlanned } from './order.ts'
export { lastChance } from './refit/last-chance.ts'
export { inTheWay, leftIn, toggled } from './refit/left.ts'
export type { InTheWay, LeftBlock } from './refit/left.ts'
export { isRefitted } from './refit/refitted.ts'
