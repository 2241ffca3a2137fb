import fc from 'fast-check'
import type { Block } from '#model/block'
import { levels, practices } from '#model/common'
import { targets } from '#model/pose'
import type { Target } from '#model/pose'
import { sessionSchema } from '#model/session'
import { orThrow } from '#core/result'
import { techniqueIdIn } from '#core/session'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { chooseSession } from '#core/fit'
import type { ChooserWish, ChosenSession } from '#core/fit'

const aWish = (details: Partial<ChooserWish> = {}): ChooserWish => ({
  id: 'chosen',
  name: 'Chosen',
  lengthS: 3600,
  practice: 'yin',
  level: 'regular',
  schoolId: 'mixed',
  targets: [],
  variation: 1,
  talk: { title: 'Arrive', text: 'What we do today' },
  ...details,
})
const choose = (details: Partial<ChooserWish> = {}): ChosenSession =>
  orThrow(chooseSession(aWish(details), shippedCatalog))

const wishes = fc.record({
  lengthS: fc.integer({ min: 15, max: 240 }).map((minutes) => minutes * 60),
  practice: fc.constantFrom(...practices),
  level: fc.constantFrom(...levels),
  targets: fc.uniqueArray(fc.constantFrom(...targets), { maxLength: 3 }),
  variation: fc.integer({ min: 1, max: 50 }),
})

type Wish = Partial<ChooserWish> & Pick<ChooserWish, 'lengthS' | 'practice' | 'level' | 'targets'>
/** To choose a session takes a tenth of a second: what holds of every one is looked at in the same hundred. */
let sample: readonly { readonly wish: Wish; readonly chosen: ChosenSession }[] = []
beforeAll(() => {
  sample = fc.sample(wishes, 100).map((wish) => ({ wish, chosen: choose(wish) }))
})
/** Looks at every session of the sample; where one fails its wish is told. */
function inEvery(holds: (wish: Wish, chosen: ChosenSession) => void): void {
  for (const { wish, chosen } of sample) {
    try {
      holds(wish, chosen)
    } catch (cause) {
      throw new Error(`for ${JSON.stringify(wish)}`, { cause })
    }
  }
}

const posesOf = ({ session }: ChosenSession) =>
  session.blocks.flatMap((block) => (block.kind === 'hold' ? (shippedCatalog.poses.get(block.poseId) ?? []) : []))

test('every wish gives a session that can be stored, compiled and led within its length', () => {
  inEvery((wish, chosen) => {
    expect(sessionSchema.safeParse(chosen.session).error).toBeUndefined()
    const { totalMs } = orThrow(compileTimeline(chosen.session, shippedCatalog))
    expect(totalMs).toBe(chosen.totalMs)
    expect(totalMs).toBeLessThanOrEqual(wish.lengthS * 1000)
    const kinds = chosen.session.blocks.map(({ kind }) => kind)
    expect(kinds.slice(0, 2)).toEqual(['talk', 'breath'])
    expect(kinds.at(-1)).toBe('closing')
    if (wish.lengthS >= 1800 && wish.practice !== 'breath') expect(posesOf(chosen).length).toBeGreaterThanOrEqual(2)
  })
})

test('up to an hour and a half the time is filled', () => {
  fc.assert(
    fc.property(wishes, fc.integer({ min: 20, max: 90 }), (wish, minutes) => {
      const { totalMs } = choose({ ...wish, lengthS: minutes * 60 })
      expect(totalMs).toBeGreaterThan((minutes - 1) * 60_000)
    }),
    { numRuns: 40 },
  )
})

test('what no pose fits into any more is natural breath after the first breath work', () => {
  const { session, totalMs } = choose({ lengthS: 4860, practice: 'breath', level: 'new', variation: 10 })
  expect(totalMs).toBe(4_860_000)
  expect(orThrow(compileTimeline(session, shippedCatalog)).totalMs).toBe(totalMs)
  expect(session.blocks.find(({ kind }) => kind === 'breath')).toMatchObject({
    sections: [{}, { kind: 'natural', s: 114 }],
  })
})

test('three minutes that nothing fits into are not left empty either', () => {
  const { session, totalMs } = choose({ lengthS: 4380, practice: 'breath', level: 'new', variation: 22 })
  expect(totalMs).toBe(4_380_000)
  expect(session.blocks.find(({ kind }) => kind === 'breath')).toMatchObject({
    sections: [{}, { kind: 'natural', s: 178 }],
  })
})

test('nor is more, up to an hour and a half', () => {
  const { totalMs } = choose({ lengthS: 5340, practice: 'breath', level: 'new', variation: 7 })
  expect(totalMs).toBe(5_340_000)
})

test('every block says which rule chose it, no pose comes twice, none is beyond the level', () => {
  const rank = { new: 0, regular: 1, experienced: 2 }
  inEvery((wish, chosen) => {
    const poses = posesOf(chosen)
    expect(Object.keys(chosen.why).toSorted()).toEqual(chosen.session.blocks.map(({ id }) => id).toSorted())
    expect(new Set(poses).size).toBe(poses.length)
    for (const pose of poses) expect(rank[pose.fromLevel]).toBeLessThanOrEqual(rank[wish.level])
    for (const block of chosen.session.blocks) {
      if (block.kind === 'breath')
        expect(shippedCatalog.techniques.get(techniqueIdIn(block) ?? '')?.inPerson).toBe(false)
    }
  })
})

test('an area asked for has its pose or is named as missed', () => {
  inEvery((wish, chosen) => {
    const worked = new Set(posesOf(chosen).flatMap((pose) => pose.targets))
    for (const target of wish.targets) expect(chosen.missed.includes(target) || worked.has(target)).toBe(true)
  })
  expect(choose({ targets: ['outerHip', 'hamstrings', 'lowBack'] }).missed).toEqual([])
})

/** What a block of a session warms: a pose what it says, a breath-timed movement what it moves. */
const warmsOf = (block: Block): readonly Target[] => {
  if (block.kind === 'hold') return shippedCatalog.poses.get(block.poseId)?.warms ?? []
  return block.kind === 'movement' ? (shippedCatalog.movements.get(block.movementId)?.targets ?? []) : []
}

test('what a pose wants warm is warmed before it, by a pose or a movement, and a counterpose follows what it counters', () => {
  inEvery((_, { session, why }) => {
    session.blocks.forEach((block, at) => {
      if (block.kind !== 'hold' || why[block.id]?.rule !== 'works') return
      const warm = session.blocks.slice(0, at).flatMap(warmsOf)
      expect(warm).toEqual(expect.arrayContaining(shippedCatalog.poses.get(block.poseId)?.wantsWarm ?? []))
    })
    const holds = session.blocks.filter((block) => block.kind === 'hold')
    // What is there to warm stands before something that wants it.
    holds.forEach((hold, at) => {
      const rule = why[hold.id]
      if (rule?.rule !== 'warms') return
      expect(
        holds.slice(at).some(({ poseId }) => shippedCatalog.poses.get(poseId)?.wantsWarm.includes(rule.target)),
      ).toBe(true)
    })
    holds.forEach((hold, at) => {
      const rule = why[hold.id]
      if (rule?.rule === 'counters') expect(holds[at - 1]?.poseId).toBe(rule.poseId)
    })
  })
})

test('a movement that warms counts as warming', () => {
  const { session, why } = choose({ lengthS: 1800, targets: ['frontOfHip'] })
  expect(Object.values(why)).toContainEqual({ rule: 'moves', target: 'frontOfHip' })
  expect(session.blocks.findIndex(({ kind }) => kind === 'movement')).toBeLessThan(
    session.blocks.findIndex(({ id }) => why[id]?.rule === 'works'),
  )
})

test('the same wish gives the same session; another number gives another', () => {
  expect(choose()).toEqual(choose())
  const sessions = [1, 2, 3, 4, 5, 6].map((variation) => JSON.stringify(choose({ variation }).session.blocks))
  expect(new Set(sessions).size).toBeGreaterThan(3)
})

test('breath work is as long as the level allows and builds on what comes before it', () => {
  fc.assert(
    fc.property(wishes, (wish) => {
      const { session } = choose({ ...wish, practice: 'breath' })
      const known = new Set<string>()
      for (const block of session.blocks) {
        if (block.kind !== 'breath') continue
        const id = techniqueIdIn(block) ?? ''
        const technique = shippedCatalog.techniques.get(id)
        for (const easy of technique?.startsWhen.easy ?? []) expect(known.has(easy)).toBe(true)
        if (technique?.counted && wish.level === 'new')
          expect(block.sections[0]).toMatchObject({ amount: { fillS: 300 } })
        known.add(id)
      }
      expect(known.size).toBeGreaterThan(0)
    }),
    { numRuns: 40 },
  )
})

test('a length or a number of areas that cannot be is refused with its field', () => {
  expect(chooseSession(aWish({ lengthS: 300 }), shippedCatalog)).toMatchObject({
    ok: false,
    code: 'LENGTH_OUT_OF_RANGE',
    field: 'lengthS',
  })
  expect(chooseSession(aWish({ targets: ['feet', 'neck', 'chest', 'side'] }), shippedCatalog)).toMatchObject({
    ok: false,
    code: 'TOO_MANY_TARGETS',
    field: 'targets',
  })
})
