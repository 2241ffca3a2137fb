import fc from 'fast-check'
import type { Block, BreathBlock, HoldBlock } from '#model/block'
import type { Pattern } from '#model/breath'
import type { FormerBreathBlock } from '#model/former-block'
import type { Locks, Section } from '#model/section'
import { basePositions } from '#model/common'
import type { Cue } from '#model/cue'
import type { Phase } from '#model/phase'
import type { Session } from '#model/session'
import type { SomeTimes } from '#model/times'
import { movements } from '#library/movements'
import { poses } from '#library/poses'
import { schools } from '#library/schools'
import { techniques } from '#library/techniques'
import { aSession } from '#testing/sessions'

const s = (min: number, max: number) => fc.integer({ min, max })
const oneOf = <T extends { id: string }>(things: readonly T[]) => fc.constantFrom(...things.map((thing) => thing.id))

const times: fc.Arbitrary<SomeTimes> = fc.record(
  {
    changeS: s(0, 120),
    setUpS: s(0, 120),
    settleS: s(0, 60),
    comingOutS: s(0, 60),
    betweenSidesS: s(0, 60),
    secondSetUpS: s(0, 60),
    afterRestS: s(0, 120),
  },
  { requiredKeys: [] },
)

const moments: fc.Arbitrary<Cue['at']> = fc.oneof(
  fc.record({ fromStartS: s(0, 900) }),
  fc.record({ share: fc.double({ min: 0, max: 0.99, noNaN: true }) }),
  fc.record({ beforeEndS: s(1, 900) }),
)

/** One or two phases with a length of their own, and the rest of the hold. */
const phases: fc.Arbitrary<Phase[]> = fc
  .tuple(s(5, 90), s(1, 10), fc.integer({ min: 0, max: 2 }))
  .map(([seconds, breaths, restAt]): Phase[] => {
    const fixed: Phase[] = [
      { id: 'upright', name: 'Upright', length: { s: seconds } },
      { id: 'twisted', name: 'Twisted', length: { breaths } },
    ]
    return fixed.toSpliced(restAt, 0, { id: 'rest', name: 'Folded', length: { rest: true } })
  })

/** Rounds as they may be led at 0.3 s to 2 s a count. */
export const patterns: fc.Arbitrary<Pattern> = fc.record({
  in: s(7, 16),
  full: s(0, 16),
  out: s(7, 20),
  empty: s(0, 8),
})

const cues: fc.Arbitrary<Cue[]> = fc
  .array(fc.record({ at: moments, phaseId: fc.constantFrom(undefined, 'upright', 'rest') }), { maxLength: 4 })
  .map((drafts) =>
    drafts.map(({ at, phaseId }, index) => ({
      id: `cue-${String(index)}`,
      at,
      text: '{this} hip heavy, {other} hand free',
      ...(phaseId === undefined ? {} : { phaseId }),
    })),
  )

const holdTimes = fc.oneof(fc.record({ holdS: s(200, 900) }), fc.record({ leftS: s(200, 900), rightS: s(200, 900) }))

/** What is said sentence by sentence, with or without a marked place for the long quiet. */
const scripts = fc
  .array(
    fc.record(
      { text: fc.constant('{this} foot heavy, breath free'), pauseAfterS: s(0, 40) },
      { requiredKeys: ['text'] },
    ),
    {
      minLength: 1,
      maxLength: 12,
    },
  )
  .chain((sentences) =>
    fc.record(
      { sentences: fc.constant(sentences), quietAfter: s(1, sentences.length) },
      { requiredKeys: ['sentences'] },
    ),
  )

const holds: fc.Arbitrary<Omit<HoldBlock, 'id'>> = fc.record(
  {
    kind: fc.constant('hold' as const),
    poseId: oneOf(poses),
    hold: holdTimes,
    times,
    firstSide: fc.constantFrom('left' as const, 'right' as const),
    phases,
    cues,
    breathOver: fc.record({ techniqueId: fc.constant('long-exhale'), pattern: patterns }),
    script: scripts,
  },
  { requiredKeys: ['kind', 'poseId'] },
)

/** Breath blocks as schema 1 had them, without their id. */
export const formerBreaths: fc.Arbitrary<Omit<FormerBreathBlock, 'id'>> = fc.record(
  {
    kind: fc.constant('breath' as const),
    techniqueId: oneOf(techniques),
    pattern: patterns,
    pace: fc.record({ num: s(600, 2000), den: s(1, 2) }),
    amount: fc.oneof(
      fc.record({ sets: s(1, 3), roundsPerSet: s(1, 12) }),
      fc.record({ fillS: s(30, 600), roundsPerSet: s(1, 12) }),
      fc.record({ naturalS: s(5, 600) }),
    ),
    naturalBeforeS: s(0, 60),
    naturalAfterS: s(0, 60),
    countedRounds: s(0, 6),
    restBetweenSetsS: s(0, 60),
    times,
  },
  { requiredKeys: ['kind', 'techniqueId'] },
)

const paces = fc.record({ num: s(600, 2000), den: s(1, 2) })
const amounts = fc.oneof(
  fc.record({ sets: s(1, 3), roundsPerSet: s(1, 8) }),
  fc.record({ rounds: s(1, 16), roundsPerSet: s(1, 8) }),
  fc.record({ fillS: s(60, 400), roundsPerSet: s(1, 8) }),
)
const orders = fc.constantFrom<Locks[]>(
  { on: ['chin', 'belly', 'root'], off: ['root', 'belly', 'chin'] },
  { on: ['root'], off: ['root'] },
)
const countedTechniques = fc.constantFrom('even-breath', 'long-exhale', 'nostrils-in-turn')

/** A section of any kind, without its id. */
const anySection: fc.Arbitrary<Section> = fc.oneof(
  fc.record(
    { kind: fc.constant('natural' as const), id: fc.constant('s'), s: s(5, 300), techniqueId: oneOf(techniques) },
    { requiredKeys: ['kind', 'id', 's'] },
  ),
  fc.record({
    kind: fc.constant('lesson' as const),
    id: fc.constant('s'),
    techniqueId: fc.constant('three-part-breath'),
    lesson: s(1, 4),
    breaths: s(1, 12),
  }),
  fc.record(
    {
      kind: fc.constant('rounds' as const),
      id: fc.constant('s'),
      techniqueId: countedTechniques,
      pattern: patterns,
      pace: paces,
      amount: amounts,
      restS: s(0, 60),
      countedRounds: s(0, 6),
      nostrils: fc.constantFrom('alternate' as const, 'inLeft' as const, 'outInTurn' as const),
      steps: fc.record({ in: s(2, 4), pauseHalf: s(1, 4) }),
      locks: orders,
      leadInS: s(0, 12),
    },
    { requiredKeys: ['kind', 'id', 'techniqueId', 'pattern'] },
  ),
  fc.record(
    {
      kind: fc.constant('rounds' as const),
      id: fc.constant('s'),
      techniqueId: fc.constant('three-part-breath'),
      pattern: patterns,
      stations: fc.array(fc.record({ place: fc.constantFrom('front', 'sides', 'back'), rounds: s(1, 6) }), {
        minLength: 1,
        maxLength: 3,
      }),
      shown: s(1, 3),
    },
    { requiredKeys: ['kind', 'id', 'techniqueId', 'pattern', 'stations'] },
  ),
  fc.record(
    {
      kind: fc.constant('retention' as const),
      id: fc.constant('s'),
      held: fc.constantFrom('full' as const, 'empty' as const),
      half: s(2, 20),
      lead: fc.record({ in: s(2, 8), out: s(2, 12) }),
      locks: orders,
      times: s(1, 3),
    },
    { requiredKeys: ['kind', 'id', 'held', 'half', 'lead', 'times'] },
  ),
  fc.record(
    {
      kind: fc.constant('strokes' as const),
      id: fc.constant('s'),
      techniqueId: fc.constantFrom('short-exhales', 'bellows-breath'),
      pace: paces,
      strokes: s(1, 30),
      rounds: s(1, 3),
      naturalAfterS: s(0, 90),
    },
    { requiredKeys: ['kind', 'id', 'techniqueId', 'pace', 'strokes', 'rounds'] },
  ),
)

/** Breath blocks of one to four sections of any kind, without their id. */
export const breaths: fc.Arbitrary<Omit<BreathBlock, 'id'>> = fc
  .record(
    { kind: fc.constant('breath' as const), sections: fc.array(anySection, { minLength: 1, maxLength: 4 }), times },
    { requiredKeys: ['kind', 'sections'] },
  )
  .map(({ sections, ...block }) => ({
    ...block,
    sections: sections.map((section, at) => ({ ...section, id: `s${String(at)}` })),
  }))

/** A block of any kind but the closing, without its id. */
const anyBlock = fc.oneof(
  { weight: 3, arbitrary: holds },
  { weight: 1, arbitrary: breaths },
  fc.record(
    { kind: fc.constant('talk' as const), title: fc.constant('Arrive'), s: s(5, 300), script: scripts },
    { requiredKeys: ['kind', 'title', 's'] },
  ),
  fc.record(
    {
      kind: fc.constant('rest' as const),
      s: s(5, 300),
      basePosition: fc.constantFrom(...basePositions),
      ending: fc.record({ rollS: s(0, 60), sittingUpS: s(0, 60) }, { requiredKeys: [] }),
      script: scripts,
    },
    { requiredKeys: ['kind', 's', 'basePosition'] },
  ),
  fc.record({ kind: fc.constant('movement' as const), movementId: oneOf(movements), rounds: s(1, 8), times }),
)

const closings = fc.record(
  { kind: fc.constant('closing' as const), finalRestS: s(60, 900), rollS: s(0, 60), script: scripts },
  { requiredKeys: ['kind'] },
)

/** Sessions of up to `most` blocks of every kind, with and without a closing. */
export function sessions(most = 8): fc.Arbitrary<Session> {
  return fc
    .tuple(
      fc.array(fc.tuple(anyBlock, fc.constantFrom(undefined, 'must' as const, 'rather' as const, 'may' as const)), {
        maxLength: most,
      }),
      fc.option(closings),
      oneOf(schools),
      fc.constantFrom('restorative' as const, 'yin' as const, 'breath' as const, 'mixed' as const),
      fc.constantFrom('new' as const, 'regular' as const, 'experienced' as const),
    )
    .map(([blocks, closing, schoolId, practice, level]) => {
      const usual = blocks.map(([block, priority]) => (priority ? { ...block, priority } : block))
      const all = closing === null ? usual : [...usual, closing]
      const named = all.map((block, index): Block => ({ ...block, id: `block-${String(index)}` }))
      return aSession(named, { schoolId, practice, level })
    })
}

/** Poses of which some are counterposes of others, so that links between blocks are common. */
const linkedPoseIds = ['long-leg-fold', 'heart-over-a-roll', 'wide-knee-fold', 'sphinx', 'deer', 'calves-on-a-chair']

/** Sessions whose holds often counter each other. */
export const linkedSessions = (most = 8): fc.Arbitrary<Session> =>
  fc.tuple(sessions(most), fc.infiniteStream(fc.constantFrom(...linkedPoseIds))).map(([session, poseIds]) => ({
    ...session,
    blocks: session.blocks.map((block) =>
      block.kind === 'hold' ? { ...block, poseId: String(poseIds.next().value) } : block,
    ),
  }))

/** The same, each led by the clock: no hold waits for the teacher. */
export const sessionsByClock = (most = 8): fc.Arbitrary<Session> =>
  sessions(most).map((session) => ({ ...session, answers: { ...session.answers, holdBegins: 'byClock' } }))
