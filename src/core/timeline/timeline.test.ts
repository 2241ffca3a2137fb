import fc from 'fast-check'
import type { Block, HoldBlock } from '#model/block'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { sessions } from '#testing/arbitraries'
import { aBreath, aHold, aSession, aTalk } from '#testing/sessions'
import { compileTimeline, segmentAt, tallyTimeline } from './index.ts'
import type { Segment, Timeline } from './index.ts'

const compile = (session: Session): Timeline => orThrow(compileTimeline(session, shippedCatalog))
const lengthMs = (segment: Segment) => segment.endMs - segment.startMs
const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0)

test('segments tile the session from 0 to its total without gap or overlap', () => {
  fc.assert(
    fc.property(sessions(), (session) => {
      const { segments, totalMs } = compile(session)
      const amiss = segments.filter(
        ({ index, startMs, endMs }, place) =>
          index !== place ||
          startMs !== (segments[place - 1]?.endMs ?? 0) ||
          endMs <= startMs ||
          !Number.isInteger(endMs),
      )
      expect(amiss).toEqual([])
      expect(totalMs).toBe(segments.at(-1)?.endMs ?? 0)
      expect(totalMs).toBe(sum(segments.map(lengthMs)))
    }),
  )
})

test('each side holds exactly what the document plans for it', () => {
  fc.assert(
    fc.property(sessions(), (session) => {
      const { segments } = compile(session)
      for (const block of session.blocks) {
        if (block.kind !== 'hold' || !block.hold) continue
        const { hold } = block
        const held = (side: string) =>
          sum(
            segments
              .filter(({ blockId, doing, side: on }) => blockId === block.id && doing.kind === 'hold' && on === side)
              .map(lengthMs),
          )
        const planned =
          'holdS' in hold ? { left: hold.holdS, right: hold.holdS } : { left: hold.leftS, right: hold.rightS }
        if (shippedCatalog.poses.get(block.poseId)?.sides) {
          expect({ left: held('left'), right: held('right') }).toEqual({
            left: planned.left * 1000,
            right: planned.right * 1000,
          })
        } else {
          expect(held('both')).toBe(Math.max(planned.left, planned.right) * 1000)
        }
      }
    }),
  )
})

test('the second side carries every cue of the first, mirrored, at the same moment of its hold', () => {
  fc.assert(
    fc.property(sessions(), (session) => {
      const linked = session.blocks.map((block) => (block.kind === 'hold' ? { ...block, hold: { holdS: 300 } } : block))
      const { segments, cues } = compile({ ...session, blocks: linked })
      for (const block of linked) {
        if (block.kind !== 'hold' || !shippedCatalog.poses.get(block.poseId)?.sides) continue
        const told = (side: 'left' | 'right') => {
          const startMs = segments.find(
            ({ blockId, side: on, doing }) => blockId === block.id && on === side && doing.kind === 'hold',
          )?.startMs
          // What is said while the side is set up has a time of its own, which may be shorter for the second.
          return (
            cues
              .filter((cue) => cue.blockId === block.id && cue.side === side)
              .map((cue) => ({ id: cue.id, afterMs: cue.atMs - (startMs ?? NaN), sound: cue.sound, text: cue.text }))
              .map((cue) => (cue.id === 'setUp' ? { ...cue, afterMs: -1 } : cue))
              // How to be still is told in full once: the second side hears it in short.
              .map((cue) => (cue.id === 'settled' ? { ...cue, text: cue.text?.replace(/;.*/, '') } : cue))
          )
        }
        const opposite: Record<string, string> = { left: 'right', right: 'left', Left: 'Right', Right: 'Left' }
        const swapped = (text: string | undefined) =>
          text?.replaceAll(/\b(?:left|right)\b/gi, (side) => opposite[side] ?? side)
        const left = told('left')
        expect(left.length).toBeGreaterThan(1)
        expect(told('right').map((cue) => ({ ...cue, text: swapped(cue.text) }))).toEqual(left)
      }
    }),
  )
})

test('no cue lies outside its segment, and cues come in order of time', () => {
  fc.assert(
    fc.property(sessions(), (session) => {
      const { segments, cues } = compile(session)
      const amiss = cues.filter(({ atMs, segment }, index) => {
        const { startMs = NaN, endMs = NaN } = segments[segment] ?? {}
        return !(atMs >= startMs && atMs < endMs && atMs >= (cues[index - 1]?.atMs ?? 0))
      })
      expect(amiss).toEqual([])
    }),
  )
})

test('a breath over a hold tiles its side, whole rounds first', () => {
  fc.assert(
    fc.property(sessions(), (session) => {
      const { segments, breathOver } = compile(session)
      const names = new Set(breathOver.map(({ blockId, side }) => `${blockId} ${side}`))
      for (const name of names) {
        const lane = breathOver.filter(({ blockId, side }) => `${blockId} ${side}` === name)
        const side = segments.filter(
          ({ blockId, side: on, doing }) => `${blockId} ${String(on)}` === name && doing.kind === 'hold',
        )
        expect(lane[0]?.startMs).toBe(side[0]?.startMs)
        expect(lane.at(-1)?.endMs).toBe(side.at(-1)?.endMs)
        expect(lane.filter(({ startMs }, index) => index > 0 && startMs !== lane[index - 1]?.endMs)).toEqual([])
        expect(lane.findIndex(({ part }) => part === 'natural')).toBe(
          lane.at(-1)?.part === 'natural' ? lane.length - 1 : -1,
        )
      }
    }),
  )
})

test('compiling twice gives equal timelines', () => {
  fc.assert(
    fc.property(sessions(), (session) => {
      expect(JSON.stringify(compile(session))).toBe(JSON.stringify(compile(structuredClone(session))))
    }),
  )
})

test('editing one block changes no inner times of another but the change that borders on it', () => {
  fc.assert(
    fc.property(sessions(), fc.nat(), fc.integer({ min: 5, max: 600 }), (session, pick, seconds) => {
      fc.pre(session.blocks.length > 1)
      const at = pick % session.blocks.length
      const blocks = session.blocks.map((block, index) => {
        if (index !== at) return block
        if (block.kind === 'talk' || block.kind === 'rest') return { ...block, s: seconds }
        if (block.kind === 'closing') return { ...block, finalRestS: seconds }
        return { ...block, times: { ...block.times, setUpS: seconds } }
      })
      const before = compile(session)
      const after = compile({ ...session, blocks })
      const inner = ({ segments }: Timeline, index: number) =>
        segments
          .filter(({ blockIndex, doing }) => blockIndex === index && doing.kind !== 'change')
          .map((segment) => JSON.stringify([segment.doing, segment.side, lengthMs(segment)]))
          .join()
      const changed = session.blocks.filter((_, index) => index !== at && inner(after, index) !== inner(before, index))
      expect(changed).toEqual([])
    }),
  )
})

test('replacing a pose leaves every change alone but its own and the next one', () => {
  const poseIds = ['deer', 'sphinx', 'side-rest', 'lean-on-a-chair', 'legs-up-the-wall']
  const session = aSession(poseIds.map((poseId) => aHold(poseId)))
  const changes = ({ segments }: Timeline) =>
    poseIds.map(
      (_, index) => segments.find(({ blockIndex, doing }) => blockIndex === index && doing.kind === 'change')?.doing,
    )
  const before = changes(compile(session))
  const after = changes(compile({ ...session, blocks: session.blocks.with(2, aHold('wide-knee-fold')) }))
  expect(
    before.map((change, index) => change === after[index] || JSON.stringify(change) === JSON.stringify(after[index])),
  ).toEqual([true, true, false, false, true])
})

test('the segment at an instant is the one a plain search finds, and none before 0 or from the end on', () => {
  fc.assert(
    fc.property(sessions(), fc.double({ min: -0.1, max: 1.1, noNaN: true }), (session, share) => {
      const timeline = compile(session)
      const ms = Math.floor(timeline.totalMs * share)
      const plain = timeline.segments.find(({ startMs, endMs }) => startMs <= ms && ms < endMs)
      expect(segmentAt(timeline, ms)?.index).toBe(plain?.index)
      expect(segmentAt(timeline, timeline.totalMs)).toBeUndefined()
    }),
  )
})

test('the tally by kind adds up to the total', () => {
  fc.assert(
    fc.property(sessions(), (session) => {
      const timeline = compile(session)
      const { leftMs, rightMs, ...kinds } = tallyTimeline(timeline)
      expect(sum(Object.values(kinds))).toBe(timeline.totalMs)
      expect(leftMs + rightMs).toBeLessThanOrEqual(kinds.holdMs)
    }),
  )
})

test.each([
  [aSession([aHold('no-such-pose')]), 'UNKNOWN_POSE', 'blocks[0].poseId'],
  [aSession([], { schoolId: 'nobody' }), 'UNKNOWN_SCHOOL', 'schoolId'],
  [aSession([aBreath('nothing')]), 'UNKNOWN_TECHNIQUE', 'blocks[0].sections[0].techniqueId'],
  [aSession([{ kind: 'movement', id: 'm', movementId: 'nothing' }]), 'UNKNOWN_MOVEMENT', 'blocks[0].movementId'],
  [
    aSession([aHold('deer', { breathOver: { techniqueId: 'watching-the-breath' } })]),
    'TECHNIQUE_NOT_COUNTED',
    'blocks[0].breathOver.techniqueId',
  ],
])('a reference to something unknown is refused by its path', (session, code, path) => {
  expect(compileTimeline(session, shippedCatalog)).toMatchObject({ ok: false, code, field: path })
})

test('what is said in a set-up or a settling of no length is said on both sides all the same', () => {
  const saidOn = (times: HoldBlock['times']) => {
    const { cues } = compile(aSession([aHold('deer', { times })], { answers: { sensationCeiling: 5 } }))
    return (['left', 'right'] as const).map((side) =>
      cues.filter((cue) => cue.side === side && ['setUp', 'settling'].includes(cue.id)).map(({ id }) => id),
    )
  }
  const both = saidOn({})
  expect(both[0]?.length).toBeGreaterThan(0)
  expect(saidOn({ setUpS: 0 })).toEqual(both)
  expect(saidOn({ secondSetUpS: 0 })).toEqual(both)
  expect(saidOn({ setUpS: 0, secondSetUpS: 0, settleS: 0 })).toEqual(both)
})

test('a cue of a phase that is there no more is said in the rest of the hold', () => {
  const cues = [{ id: 'own', phaseId: 'gone', at: { fromStartS: 5 }, text: 'Soften' }]
  const phases: HoldBlock['phases'] = [
    { id: 'first', name: 'First', length: { s: 30 } },
    { id: 'then', name: 'Then', length: { rest: true } },
  ]
  const said = (block: Partial<HoldBlock>) =>
    compile(aSession([aHold('sphinx', { hold: { holdS: 120 }, cues, ...block })])).cues.filter(({ id }) => id === 'own')
  expect(said({ phases })).toHaveLength(1)
  expect(said({})).toHaveLength(1)
  expect((said({ phases })[0]?.atMs ?? 0) - (said({})[0]?.atMs ?? 0)).toBe(30_000)
})

describe('what is asked before breath work', () => {
  const asked = (blocks: Block[], before?: string[]) =>
    orThrow(compileTimeline(aSession(blocks, before ? { before } : {}), shippedCatalog))
      .cues.filter(({ id }) => id.startsWith('asked'))
      .map(({ blockId, atMs, text }) => [blockId, atMs, text])
  const breath = aBreath('even-breath')

  test('is said in the last talk before it, spread over its time', () => {
    const lines = ['One?', 'Two?', 'Three?']
    expect(asked([aTalk('far', 60), aTalk('near', 60), breath, aTalk('after', 60)], lines)).toEqual([
      ['near', 60_000, 'One?'],
      ['near', 80_000, 'Two?'],
      ['near', 100_000, 'Three?'],
    ])
    expect(asked([aTalk('short', 20), breath], lines)).toEqual([
      ['short', 0, 'One? Two?'],
      ['short', 10_000, 'Three?'],
    ])
  })

  test('is what its techniques want where the session has no list, and nothing where nobody asks', () => {
    const said = asked([aTalk('arrive', 120), breath])
    expect(said.length).toBeGreaterThan(2)
    expect(said.at(-1)?.[2]).toBe('Breathe as you like at any time: nothing is missed by it.')
    expect(asked([aTalk('arrive', 120), breath], [])).toEqual([])
    expect(asked([aTalk('arrive', 120), aHold('deer')])).toEqual([])
    expect(asked([breath, aTalk('after', 120)])).toEqual([])
  })
})

test('a step of the set-up is said at its moment on each side, in whichever phase that is, and moves nothing', () => {
  const hold = (details: Partial<HoldBlock>) =>
    compile(aSession([aHold('deer', { hold: { holdS: 240 }, cues: [], ...details })]))
  const phases: HoldBlock['phases'] = [
    { id: 'up', name: 'upright', length: { s: 60 } },
    { id: 'down', name: 'folded', length: { rest: true } },
  ]
  const steps: HoldBlock['steps'] = [
    { id: 'quiet', at: { share: 0.25 }, items: [] },
    { id: 'said', at: { beforeEndS: 90 }, items: [], text: 'Take the pad from under the {this} hand' },
  ]
  const stepped = hold({ steps, phases })
  const told = stepped.cues.filter(({ id }) => id.startsWith('step-'))
  const sides = stepped.segments.filter(({ doing }) => doing.kind === 'hold' && doing.phase.index === 0)
  expect(told.map(({ atMs, text }) => [atMs, text])).toEqual(
    sides.flatMap(({ startMs, side }) => [
      [startMs + 60_000, 'The props change, only what a hand reaches'],
      [startMs + 150_000, `Take the pad from under the ${String(side)} hand`],
    ]),
  )
  expect(stepped.totalMs).toBe(hold({ phases }).totalMs)
})
