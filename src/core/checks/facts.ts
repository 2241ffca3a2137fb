import type { BasePosition, Level } from '#model/common'
import type { BodyPart } from '#model/set-up'
import type { Direction, Target } from '#model/pose'
import type { SectionFindingFacts } from '#core/breath'
import type { Setting } from '#model/session'
import type { Seconds } from '#core/units'

/** What is found in one section of breath work, with its number from 1; 0 for breath over a hold, or a movement's. */
type InSections = { [Code in keyof SectionFindingFacts]: SectionFindingFacts[Code] & { readonly section: number } }

/** What each finding of a session tells, by its code; times in whole seconds. */
export interface SessionFacts extends InSections {
  DOES_NOT_FIT: { overS: Seconds; lengthS: Seconds }
  LENGTH_OUT_OF_RANGE: { totalS: Seconds; leastS: Seconds; mostS: Seconds }
  SIDES_UNEVEN: { leftS: Seconds; rightS: Seconds; percent: number }
  OUTSIDE_USUAL: { holdS: Seconds; fromS: Seconds; toS: Seconds }
  PAST_FIRST_CEILING: { holdS: Seconds; ceilingS: Seconds }
  NO_AFTER_REST: { holdS: Seconds; usualS: Seconds }
  AFTER_RESTS_SHRINK: { firstS: Seconds; lastS: Seconds; count: number }
  RUN_OF_ONE_DIRECTION: { direction: Direction; count: number }
  DEEP_BEFORE_WARM: { target: Target }
  ASYMMETRY_UNANSWERED: { count: number }
  MANY_POSITION_CHANGES: { changes: number; minutes: number }
  BACK_AND_FORTH: { from: BasePosition; to: BasePosition }
  FINAL_REST_SHORT: { restS: Seconds; floorS: Seconds }
  NO_CLOSING: { blocks: number }
  NAME_TYPED: { in: 'session' | 'block' }
  SILENT_BEFORE_HOLD: { holdS: Seconds; beforeS: Seconds }
  TALKED_THROUGH: { saidS: Seconds; holdS: Seconds; percent: number }
  LATE_CHANGE: { leftS: Seconds; what: 'phase' | 'support' | 'step' }
  STEP_IN_HOLD: { s: Seconds; why: 'early' | 'short' | 'long' | 'reach'; part: BodyPart | '' }
  ONE_CHEEK: { cheekS: Seconds; holdS: Seconds }
  CUES_CLOSE: { gapS: Seconds; first: string; second: string }
  WRONG_SIDE_SAID: { said: string; text: string }
  WRONG_POSITION_SAID: { said: BasePosition; is: BasePosition; text: string }
  LAST_NOT_LAST: { left: number; text: string }
  OTHER_TIME_SAID: { saidS: Seconds; leftS: Seconds; text: string }
  BREATHS_DO_NOT_FIT: { breaths: number; needS: Seconds; leftS: Seconds; text: string }
  RETENTION_UNANNOUNCED: { heldS: Seconds }
  BREATH_AFTER_STRONG: { restS: Seconds; sensation: number; poseId: string }
  RAPID_THEN_HOLD: { s: Seconds; leastS: Seconds }
  NO_NATURAL_AFTER: { after: 'retention' | 'strokes'; s: Seconds; leastS: Seconds }
  HOLD_UNASKED: { section: number }
  STRONG_LYING: { section: number }
  STRONG_NOT_IN_PERSON: { section: number; setting: Setting }
  BREATH_LONG_FOR_LEVEL: { s: Seconds; mostS: Seconds; level: Level }
  TALK_OVER_HOLD: { text: string }
  SCRIPT_TOO_LONG: { overS: Seconds; lengthS: Seconds; many: number; first: string }
  TALK_TOO_FULL: { saidS: Seconds; lengthS: Seconds; percent: number }
  SCRIPT_IN_HELD_BREATH: { text: string; many: number }
  CAUTIONS_UNSAID: { blocks: number; conditions: string }
}
export type FindingCode = keyof SessionFacts
