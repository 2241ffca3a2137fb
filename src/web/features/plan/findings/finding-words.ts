import type { Direction, Target } from '#model/pose'
import type { BasePosition } from '#model/common'
import type { Finding } from '#model/finding'
import { poseIn } from '#core/session'
import type { Catalog } from '#core/session'
import { formatDuration } from '#core/units'
import { basePositionNames } from '#library/base-positions'
import { sayShort } from '#library/cautions/say'
import { directionNames } from '#library/direction-names'
import { targetNames } from '#library/target-names'

/** A finding as a teacher reads it: the number first, then why it matters, and what its mend does. */
export interface FindingWords {
  readonly title: string
  readonly reason: string
  /** The label of the mend's button; undefined where there is nothing to press. */
  readonly mend?: string
}

type Facts = Finding['facts']
const time = (facts: Facts, name: string): string => formatDuration(Number(facts[name]))
const text = (facts: Facts, name: string): string => String(facts[name])
const quoted = (facts: Facts): string => `“${text(facts, 'text')}”`
const hold = 'The number people were told is the one they hold by.'

const words: Readonly<Record<string, (facts: Facts, catalog: Catalog) => FindingWords>> = {
  DOES_NOT_FIT: (facts) => ({
    title: `Does not fit: ${time(facts, 'overS')} over ${time(facts, 'lengthS')}`,
    reason: 'Something will be cut while it is led, most often the second side or the last rest.',
    mend: 'Make it fit',
  }),
  LENGTH_OUT_OF_RANGE: (facts) => ({
    title: `${time(facts, 'totalS')} in all`,
    reason: `A session lasts ${time(facts, 'leastS')} to ${time(facts, 'mostS')}.`,
  }),
  SIDES_UNEVEN: (facts) => ({
    title: `Left ${time(facts, 'leftS')}, right ${time(facts, 'rightS')}: ${text(facts, 'percent')} % apart`,
    reason: 'Up to 10 % passes for even.',
    mend: 'Link the sides at the longer',
  }),
  OUTSIDE_USUAL: (facts) => ({
    title: `${time(facts, 'holdS')}, usual is ${time(facts, 'fromS')} to ${time(facts, 'toS')}`,
    reason: 'For this practice and level.',
    mend: 'Bring it into the usual range',
  }),
  PAST_FIRST_CEILING: (facts) => ({
    title: `${time(facts, 'holdS')}, past the first ceiling of ${time(facts, 'ceilingS')}`,
    reason: 'Past it: watch, and offer a way out.',
    mend: `Shorten to ${time(facts, 'ceilingS')}`,
  }),
  NO_AFTER_REST: (facts) => ({
    title: `No rest after ${time(facts, 'holdS')}`,
    reason: 'After a yin hold there is something to notice, if there is time to.',
    mend: `Rest for ${time(facts, 'usualS')}`,
  }),
  AFTER_RESTS_SHRINK: (facts) => ({
    title: `Rests after holds go down from ${time(facts, 'firstS')} to ${time(facts, 'lastS')}`,
    reason: 'They tend to shrink through a class unless that is meant.',
    mend: `Make the last ${time(facts, 'firstS')} too`,
  }),
  RUN_OF_ONE_DIRECTION: (facts) => ({
    title: `${text(facts, 'count')} in a row: ${directionNames[text(facts, 'direction') as Direction]}`,
    reason: 'More than three of one direction want a counter between them.',
  }),
  DEEP_BEFORE_WARM: (facts) => ({
    title: `Nothing warms the ${targetNames[text(facts, 'target') as Target]} before it`,
    reason: 'The pose wants that area warm.',
    mend: 'Move it after what warms it',
  }),
  ASYMMETRY_UNANSWERED: (facts) => ({
    title: `${text(facts, 'count')} each-side poses in a row`,
    reason: 'A shape that is the same on both sides, or half a minute of rest, levels them.',
  }),
  MANY_POSITION_CHANGES: (facts) => ({
    title: `${text(facts, 'changes')} changes of base position in ${text(facts, 'minutes')} minutes`,
    reason: 'Each takes people out of what they were in.',
    mend: 'See a better order',
  }),
  BACK_AND_FORTH: (facts) => ({
    title: `Back and forth: ${basePositionNames[text(facts, 'from') as BasePosition]}, ${basePositionNames[text(facts, 'to') as BasePosition]}, and again`,
    reason: 'What is done in one position can often stand together.',
    mend: 'See a better order',
  }),
  FINAL_REST_SHORT: (facts) => ({
    title: `Final rest ${time(facts, 'restS')}, at least ${time(facts, 'floorS')} is wanted`,
    reason: 'About a minute in ten, and never under three.',
    mend: `Make it ${time(facts, 'floorS')}`,
  }),
  NO_CLOSING: () => ({
    title: 'No closing',
    reason: 'Final rest, coming out, rolling and sitting up have no time of their own.',
    mend: 'Add a closing',
  }),
  SILENT_BEFORE_HOLD: (facts) => ({
    title: `${time(facts, 'beforeS')} before a hold of ${time(facts, 'holdS')}`,
    reason: 'Too short to say how it is done: it would be said in the hold.',
    mend: 'Give the usual set-up',
  }),
  TALKED_THROUGH: (facts) => ({
    title: `${text(facts, 'percent')} % of ${time(facts, 'holdS')} is talked through`,
    reason: 'Up to a third leaves most of it quiet.',
  }),
  LATE_CHANGE: (facts) => ({
    title: `A ${facts['what'] === 'phase' ? 'phase begins' : 'support changes'} with ${time(facts, 'leftS')} left`,
    reason: 'In the last minute people arrange themselves once more and then come out.',
  }),
  ONE_CHEEK: (facts) => ({
    title: `The head on one cheek for ${time(facts, 'cheekS')} of ${time(facts, 'holdS')}`,
    reason: 'Turned the other way at half time, the neck shares it.',
    mend: 'Add a turn at half time',
  }),
  CUES_CLOSE: (facts) => ({
    title: `Two cues within ${text(facts, 'gapS')} s`,
    reason: `“${text(facts, 'first')}” and “${text(facts, 'second')}”.`,
  }),
  WRONG_SIDE_SAID: (facts) => ({
    title: `Says “${text(facts, 'said')}” on both sides`,
    reason: `${quoted(facts)} is right on one of them.`,
    mend: 'Let the word follow the side',
  }),
  WRONG_POSITION_SAID: (facts) => ({
    title: `Says ${basePositionNames[text(facts, 'said') as BasePosition]}, but people are ${basePositionNames[text(facts, 'is') as BasePosition]}`,
    reason: `${quoted(facts)}.`,
  }),
  LAST_NOT_LAST: (facts) => ({
    title: facts['left'] === 0 ? 'Says “last side” on both' : `Says “last”, and ${text(facts, 'left')} more follow`,
    reason: `${quoted(facts)}.`,
  }),
  OTHER_TIME_SAID: (facts) => ({
    title: `Says ${time(facts, 'saidS')}, the plan has ${time(facts, 'leftS')} from there`,
    reason: `${quoted(facts)}. ${hold}`,
  }),
  BREATHS_DO_NOT_FIT: (facts) => ({
    title: `${text(facts, 'breaths')} breaths need ${time(facts, 'needS')}, there is ${time(facts, 'leftS')}`,
    reason: `${quoted(facts)}. At 6 s a breath.`,
  }),
  RETENTION_UNANNOUNCED: (facts) => ({
    title: `A breath held ${time(facts, 'heldS')} is not announced`,
    reason: 'Its length is said before it starts, so that anybody can leave it out.',
  }),
  BREATH_AFTER_STRONG: (facts, catalog) => ({
    title: `Counted breath ${time(facts, 'restS')} after ${poseIn(catalog, text(facts, 'poseId'))?.names.english ?? 'a strong hold'}`,
    reason: 'After a strong hold the breath wants half a minute to settle by itself.',
    mend: 'Begin with a minute of natural breath',
  }),
  CAUTIONS_UNSAID: (facts) => ({
    title: `${text(facts, 'blocks')} ${facts['blocks'] === 1 ? 'block has' : 'blocks have'} cautions, and nothing is said of them before`,
    reason: `The first is to be avoided with ${sayShort(text(facts, 'conditions').split(' ')).slice(0, 4).join(', ')}. Said before the pose, people can still choose.`,
    mend: 'Add a talk before it',
  }),
}

/** The words of a finding; a code without words shows itself, so that none is lost. */
export const findingWords = ({ code, facts }: Finding, catalog: Catalog): FindingWords =>
  words[code]?.(facts, catalog) ?? { title: code, reason: '' }

export const codesWithWords: readonly string[] = Object.keys(words)
