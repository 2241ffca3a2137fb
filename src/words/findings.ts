import type { FindingCode, SessionFacts } from '#core/checks'
import { poseIn } from '#core/session'
import type { Catalog } from '#core/session'
import { formatDuration } from '#core/units'
import { counted } from './text.ts'
import { basePositionNames } from './positions.ts'
import { sayShort } from './conditions.ts'
import { directionNames } from './directions.ts'
import { targetNames } from './targets.ts'

/** A finding as a teacher reads it: the number first, then why it matters, and what its mend does. */
export interface FindingWords {
  readonly title: string
  readonly reason: string
  /** The label of the mend's button; undefined where there is nothing to press. */
  readonly mend?: string
}

/** A span that is told beside others, so that minutes and hours cannot be taken for each other. */
const spanWords = (seconds: number): string =>
  seconds % 3600 === 0
    ? counted(seconds / 3600, 'hour')
    : seconds % 60 === 0
      ? counted(seconds / 60, 'minute')
      : formatDuration(seconds)

const quoted = ({ text }: { readonly text: string }): string => `“${text}”`
const hold = 'The number people were told is the one they hold by.'

const words: {
  readonly [Code in FindingCode]: (facts: SessionFacts[Code], catalog: Catalog) => FindingWords
} = {
  DOES_NOT_FIT: (facts) => ({
    title: `Does not fit: ${formatDuration(facts.overS)} over ${formatDuration(facts.lengthS)}`,
    reason: 'Something will be cut while it is led, most often the second side or the last rest.',
    mend: 'Make it fit',
  }),
  LENGTH_OUT_OF_RANGE: (facts) => ({
    title: `${spanWords(facts.totalS)} in all`,
    reason: `A session lasts ${spanWords(facts.leastS)} to ${spanWords(facts.mostS)}.`,
  }),
  SIDES_UNEVEN: (facts) => ({
    title: `Left ${formatDuration(facts.leftS)}, right ${formatDuration(facts.rightS)}: ${facts.percent} % apart`,
    reason: 'Up to 10 % passes for even.',
    mend: 'Link the sides at the longer',
  }),
  OUTSIDE_USUAL: (facts) => ({
    title: `${formatDuration(facts.holdS)}, usual is ${formatDuration(facts.fromS)} to ${formatDuration(facts.toS)}`,
    reason: 'For this practice and level.',
    mend: 'Bring it into the usual range',
  }),
  PAST_FIRST_CEILING: (facts) => ({
    title: `${formatDuration(facts.holdS)}, past the first ceiling of ${formatDuration(facts.ceilingS)}`,
    reason: 'Past it: watch, and offer a way out.',
    mend: `Shorten to ${formatDuration(facts.ceilingS)}`,
  }),
  NO_AFTER_REST: (facts) => ({
    title: `No rest after ${formatDuration(facts.holdS)}`,
    reason: 'After a yin hold there is something to notice, if there is time to.',
    mend: `Rest for ${formatDuration(facts.usualS)}`,
  }),
  AFTER_RESTS_SHRINK: (facts) => ({
    title: `Rests after holds go down from ${formatDuration(facts.firstS)} to ${formatDuration(facts.lastS)}`,
    reason: 'They tend to shrink through a class unless that is meant.',
    mend: `Make the last ${formatDuration(facts.firstS)} too`,
  }),
  RUN_OF_ONE_DIRECTION: (facts) => ({
    title: `${facts.count} in a row: ${directionNames[facts.direction]}`,
    reason: 'More than three of one direction want a counter between them.',
  }),
  DEEP_BEFORE_WARM: (facts) => ({
    title: `Nothing warms the ${targetNames[facts.target]} before it`,
    reason: 'The pose wants that area warm.',
    mend: 'Move it after what warms it',
  }),
  ASYMMETRY_UNANSWERED: (facts) => ({
    title: `${facts.count} each-side poses in a row`,
    reason: 'A shape that is the same on both sides, or half a minute of rest, levels them.',
    mend: 'Rest for half a minute before it',
  }),
  MANY_POSITION_CHANGES: (facts) => ({
    title: `${facts.changes} changes of base position in ${facts.minutes} minutes`,
    reason: 'Each takes people out of what they were in.',
    mend: 'See a better order',
  }),
  BACK_AND_FORTH: (facts) => ({
    title: `Back and forth: ${basePositionNames[facts.from]}, ${basePositionNames[facts.to]}, and again`,
    reason: 'What is done in one position can often stand together.',
    mend: 'See a better order',
  }),
  FINAL_REST_SHORT: (facts) => ({
    title: `Final rest ${formatDuration(facts.restS)}, at least ${formatDuration(facts.floorS)} is wanted`,
    reason: 'About a minute in ten, and never under three.',
    mend: `Make it ${formatDuration(facts.floorS)}`,
  }),
  NO_CLOSING: () => ({
    title: 'No closing',
    reason: 'Final rest, coming out, rolling and sitting up have no time of their own.',
    mend: 'Add a closing',
  }),
  SILENT_BEFORE_HOLD: (facts) => ({
    title: `${formatDuration(facts.beforeS)} before a hold of ${formatDuration(facts.holdS)}`,
    reason: 'Too short to say how it is done: it would be said in the hold.',
    mend: 'Give the usual set-up',
  }),
  TALKED_THROUGH: (facts) => ({
    title: `${facts.percent} % of ${formatDuration(facts.holdS)} is talked through`,
    reason: 'Up to a third leaves most of it quiet.',
  }),
  LATE_CHANGE: (facts) => ({
    title: `A ${facts.what === 'phase' ? 'phase begins' : 'support changes'} with ${formatDuration(facts.leftS)} left`,
    reason: 'In the last minute people arrange themselves once more and then come out.',
  }),
  ONE_CHEEK: (facts) => ({
    title: `The head on one cheek for ${formatDuration(facts.cheekS)} of ${formatDuration(facts.holdS)}`,
    reason: 'Turned the other way at half time, the neck shares it.',
    mend: 'Add a turn at half time',
  }),
  CUES_CLOSE: (facts) => ({
    title: facts.gapS === 0 ? 'Two cues at the same moment' : `Two cues within ${facts.gapS} s`,
    reason: `“${facts.first}” and “${facts.second}”.`,
  }),
  WRONG_SIDE_SAID: (facts) => ({
    title: `Says “${facts.said}” on both sides`,
    reason: `${quoted(facts)} is right on one of them.`,
    mend: 'Let the word follow the side',
  }),
  WRONG_POSITION_SAID: (facts) => ({
    title: `Says ${basePositionNames[facts.said]}, but people are ${basePositionNames[facts.is]}`,
    reason: `${quoted(facts)}.`,
  }),
  LAST_NOT_LAST: (facts) => ({
    title: facts.left === 0 ? 'Says “last side” on both' : `Says “last”, and ${facts.left} more follow`,
    reason: `${quoted(facts)}.`,
  }),
  OTHER_TIME_SAID: (facts) => ({
    title: `Says ${formatDuration(facts.saidS)}, the plan has ${formatDuration(facts.leftS)} from there`,
    reason: `${quoted(facts)}. ${hold}`,
  }),
  BREATHS_DO_NOT_FIT: (facts) => ({
    title: `${facts.breaths} breaths need ${formatDuration(facts.needS)}, there is ${formatDuration(facts.leftS)}`,
    reason: `${quoted(facts)}. At 6 s a breath.`,
  }),
  RETENTION_UNANNOUNCED: (facts) => ({
    title: `A breath held ${formatDuration(facts.heldS)} is not announced`,
    reason: 'Its length is said before it starts, so that anybody can leave it out.',
  }),
  BREATH_AFTER_STRONG: (facts, catalog) => ({
    title: `Counted breath ${formatDuration(facts.restS)} after ${poseIn(catalog, facts.poseId)?.names.english ?? 'a strong hold'}`,
    reason: 'After a strong hold the breath wants half a minute to settle by itself.',
    mend: 'Begin with a minute of natural breath',
  }),
  CAUTIONS_UNSAID: (facts) => ({
    title: `${counted(facts.blocks, 'block has', 'blocks have')} cautions, and nothing is said of them before`,
    reason: `The first is to be avoided with ${sayShort(facts.conditions.split(' ')).slice(0, 4).join(', ')}. Said before the pose, people can still choose.`,
    mend: 'Add a talk before it',
  }),
}

/** The words of a finding. */
export const findingWords = <Code extends FindingCode>(
  { code, facts }: { readonly code: Code; readonly facts: SessionFacts[Code] },
  catalog: Catalog,
): FindingWords => words[code](facts, catalog)
