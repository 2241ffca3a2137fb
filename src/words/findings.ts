import type { FindingCode, SessionFacts } from '#core/checks'
import { poseIn } from '#core/session'
import type { Catalog } from '#core/session'
import { formatDuration } from '#core/units'
import { capital, counted } from './text.ts'
import { basePositionNames } from './positions.ts'
import { sayShort } from './conditions.ts'
import { directionNames } from './directions.ts'
import { partNames } from './props.ts'
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

/** To a tenth, without one that is nothing. */
const rounded = (value: number): string => String(Math.round(value * 10) / 10)
const seconds = (s: number): string => `${rounded(s)} s`

const quoted = ({ text }: { readonly text: string }): string => `“${text}”`
const hold = 'The number people were told is the one they hold by.'

const lateNames: Readonly<Record<SessionFacts['LATE_CHANGE']['what'], string>> = {
  phase: 'A phase begins',
  support: 'A support changes',
  step: 'A step of the set-up begins',
}

const words: {
  readonly [Code in FindingCode]: (facts: SessionFacts[Code], catalog: Catalog) => FindingWords
} = {
  DOES_NOT_FIT: (facts) => ({
    title: `Does not fit: ${formatDuration(facts.overS)} over ${formatDuration(facts.lengthS)}`,
    reason: 'Something will be cut while it is led, most often the second side or the last rest.',
    mend: 'Make it fit',
  }),
  NAME_TYPED: ({ in: where }) => ({
    title:
      where === 'session' ? 'A name stands in what the session is called or about' : 'A name stands in these words',
    reason: 'It goes into every file and onto every sheet. What is theirs is kept on their page.',
    mend: 'Say “somebody”',
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
    title: `${lateNames[facts.what]} with ${formatDuration(facts.leftS)} left`,
    reason: 'In the last minute people arrange themselves once more and then come out.',
  }),
  STEP_IN_HOLD: (facts) => ({
    title: {
      reach: `A step of the set-up under the ${facts.part === '' ? 'body' : partNames[facts.part].toLowerCase()}`,
      long: `A step of the set-up takes ${String(facts.s)} s`,
      short: 'A step of the set-up in a hold of under 3:00',
      early: 'A step of the set-up in the first minute',
    }[facts.why],
    reason: {
      reach:
        'Only what a hand reaches without sitting up is changed in a hold, or the teacher goes round: 15 s a person.',
      long: 'At most 20 s are spent on it with the body lying there.',
      short: 'There is no time to rest before it and after it.',
      early: 'In the first minute people arrive.',
    }[facts.why],
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
    mend: 'Put natural breath before it',
  }),
  BREATH_AFTER_STRONG: (facts, catalog) => ({
    title: `Counted breath ${formatDuration(facts.restS)} after ${poseIn(catalog, facts.poseId)?.names.english ?? 'a strong hold'}`,
    reason: 'After a strong hold the breath wants half a minute to settle by itself.',
    mend: 'Begin with a minute of natural breath',
  }),
  HOLD_PAST_STAGE: (facts) => ({
    title: `${facts.held === 'pause' ? 'A pause of' : `Held ${facts.held} for`} ${counted(facts.counts, 'count')}, ${seconds(facts.s)}`,
    reason:
      'Held breath has stages: to 3 at most 1 count, in 4 up to 4 counts full, in 5 up to 8 full and 4 empty, in 6 up to 16 full.',
    mend: 'Leave the breath unheld',
  }),
  HOLD_UNASKED: () => ({
    title: 'Not everybody was asked',
    reason: 'Held breath and active exhales are led when everybody was asked, in private, what speaks against them.',
  }),
  STROKES_PAST_STAGE: (facts) => ({
    title: `${counted(facts.strokes, 'active exhale')} in ${counted(facts.rounds, 'round')}`,
    reason:
      'From stage 4 up to 20 slow ones in 2 rounds, from stage 5 in 3; both halves active from stage 5, up to 10.',
  }),
  LOCKS_TOO_SHORT: (facts) => ({
    title: `${counted(facts.counts, 'count')} held with locks that want ${counted(facts.needed, 'count')}`,
    reason: 'Each lock takes a count on and a count off, and two counts are still in between.',
    mend: 'Leave the locks out',
  }),
  STROKES_TOO_MANY: (facts) => ({
    title: `${counted(facts.strokes, 'belly stroke')}, room for ${facts.most}`,
    reason: 'They lie in the still counts between the locks.',
    mend: facts.most > 0 ? `Take ${facts.most}` : 'Take fewer',
  }),
  LOCK_WITHOUT_HOLD: (facts) => ({
    title:
      facts.lock === 'strokes'
        ? 'Belly strokes, and the breath is not held empty'
        : `${capital(facts.lock)} lock where it is not held for`,
    reason: 'Chin and belly lock belong to a held breath, the belly lock and belly strokes to the empty one.',
    mend: 'Leave the locks out',
  }),
  RAPID_THEN_HOLD: (facts) => ({
    title: `A breath held ${formatDuration(facts.s)} after active exhales`,
    reason: `At least ${formatDuration(facts.leastS)} of other things lie between them: together they can make people faint without warning.`,
  }),
  STRONG_LYING: () => ({
    title: 'Strong breath work lying down',
    reason: 'It is done in a seat.',
  }),
  STRONG_NOT_IN_PERSON: (facts) => ({
    title: `Strong breath work ${facts.setting === 'online' ? 'online' : 'at home'}`,
    reason: 'It is led in person, where the teacher sees who does it.',
  }),
  EXHALE_PAST_LEVEL: (facts) => ({
    title: `Out ${rounded(facts.ratio)} times as long as in`,
    reason: `For this level up to ${rounded(facts.most)} times.`,
    mend: 'Shorten the exhale to that',
  }),
  BREATH_LONG_FOR_LEVEL: (facts) => ({
    title: `${formatDuration(facts.s)} of counted breath in all`,
    reason: `For this level up to ${formatDuration(facts.mostS)}, breath over holds with it.`,
  }),
  SLOW_FOR_LEVEL: (facts) => ({
    title: `${rounded(facts.breathsPerMin)} breaths a minute`,
    reason: `For this level not fewer than ${rounded(facts.least)}.`,
  }),
  NO_NATURAL_AFTER: (facts) => ({
    title: `${formatDuration(facts.s)} of natural breath after ${facts.after === 'strokes' ? 'active exhales' : 'a held breath'}`,
    reason: `At least ${formatDuration(facts.leastS)} let it settle.`,
    mend: `Make it ${formatDuration(facts.leastS)}`,
  }),
  STATION_UNEVEN: (facts) => ({
    title: `Other rounds at ${facts.place}`,
    reason: 'Each place for the hands has the same number, or a reason.',
    mend: 'Give all of them the same',
  }),
  TALK_OVER_HOLD: (facts) => ({
    title: 'Words while the breath is held',
    reason: `${quoted(facts)}. A held breath hears its own count and nothing else.`,
  }),
  SCRIPT_TOO_LONG: (facts) => ({
    title: `Script ${formatDuration(facts.overS)} too long for its ${formatDuration(facts.lengthS)}`,
    reason: `Even with pauses of two seconds its end is not reached.${
      facts.many === 0
        ? ' Give it more time, or fewer words.'
        : ` ${counted(facts.many, 'sentence')} could go: “${facts.first}”${facts.many > 1 ? ' and others' : ''}.`
    }`,
    ...(facts.many === 0 ? {} : { mend: `Leave ${counted(facts.many, 'sentence')} out` }),
  }),
  TALK_TOO_FULL: (facts) => ({
    title: `${String(facts.percent)} % of ${formatDuration(facts.lengthS)} is talked over`,
    reason: 'Its script leaves little of it quiet; up to two fifths said is plenty.',
  }),
  SCRIPT_IN_HELD_BREATH: (facts) => ({
    title: `${facts.many === 1 ? 'A sentence of the script falls' : `${String(facts.many)} sentences of the script fall`} into a held breath`,
    reason: `${quoted(facts)}. In Lead what is in sight stays until the breath is let go.`,
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
