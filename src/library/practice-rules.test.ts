import type { BasePosition } from '#model/common'
import type { Variant } from '#model/pose'
import type { PropKind } from '#model/prop'
import { levels } from '#model/common'
import { formOf } from '#core/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { aHold, aSession } from '../testing/sessions.ts'
import { poses } from './poses.ts'
import { schools } from './schools.ts'
import { setUps } from './set-ups.ts'
import { shippedCatalog } from './shipped.ts'

/** Every form of every pose, under the answers of every school. */
const forms = poses.flatMap((pose) =>
  schools.flatMap(({ id: school, answers }) =>
    [undefined, ...pose.variants].map((variant: Variant | undefined) => ({
      id: [pose.id, variant?.id, school].filter(Boolean).join('/'),
      ...formOf(pose, variant, answers),
    })),
  ),
)
const idsOf = (some: readonly { readonly id: string }[]): readonly string[] => some.map(({ id }) => id)

/** Where a step out leaves people, by what it says. */
const leavesIn: readonly (readonly [RegExp, ReadonlySet<BasePosition>])[] = [
  [/pause on the side/, new Set(['sideLying'])],
  [/hips (?:back )?to the heels/i, new Set(['kneeling'])],
  [/up to the knees|back to the knees/, new Set(['kneeling'])],
  [/press up|come up|walk up/, new Set(['standing', 'seated', 'onChair', 'kneeling'])],
  [/lower chest/, new Set(['prone'])],
  [/slide back from the frame|foot down$/, new Set(['supine', 'onChair'])],
]

test('the steps out of every form end in the position it leaves', () => {
  const wrong = forms.filter(({ pose: { comingOut, base } }) =>
    leavesIn.some(([says, where]) => says.test(comingOut.at(-1) ?? '') && !where.has(base.leave)),
  )
  expect(idsOf(wrong)).toEqual([])
})

test('nobody is told to press up and left lying, at any step', () => {
  const lying: ReadonlySet<BasePosition> = new Set(['supine', 'prone', 'atWall'])
  const wrong = forms.filter(
    ({ pose: { comingOut, base } }) =>
      lying.has(base.leave) && comingOut.some((step) => /press up|head last|push back/.test(step)),
  )
  expect(idsOf(wrong)).toEqual([])
})

test('a cue for the head is given only where a head is turned, or to those who turned it', () => {
  const turns = /(?:turn|change) (?:the|your) (?:head|cheek)|other cheek|head the other way/i
  const wrong = forms.filter(({ pose: { cues, yinCues = [], head } }) =>
    [...cues, ...yinCues].some(({ text = '' }) => turns.test(text) && head.turned !== 'half time'),
  )
  expect(idsOf(wrong)).toEqual([])
})

test('what is done one side at a time says sides, or when it changes', () => {
  const oneSided = /\b(?:one (?:knee|leg|foot|arm|shin) (?:at a time|long|up|wide)|the other (?:knee|leg|arm) long)\b/i
  const silent = forms.filter(
    ({ pose, variant }) =>
      !pose.sides &&
      variant !== undefined &&
      oneSided.test(`${variant.name} ${variant.change}`) &&
      !pose.cues.some((cue) => /change|other|swap/i.test(cue.text ?? '')),
  )
  expect(idsOf(silent)).toEqual([])
})

test('what is listed for restorative has a form that asks 0 to 2', () => {
  const strong = poses.filter(
    ({ practices, sensation, restorativeSensation: carried = sensation, variants }) =>
      practices.includes('restorative') &&
      carried.to > 2 &&
      !variants.some((variant) => (variant.sensation?.to ?? sensation.to) <= 2),
  )
  expect(idsOf(strong)).toEqual([])
})

test('whatever thing is spoken of in a form is there: in a set-up, among what the form takes, or in how it changes', () => {
  const things: readonly (readonly [RegExp, readonly PropKind[]])[] = [
    [/bolsters?\b/i, ['rectBolster', 'roundBolster', 'longPillow']],
    [/\bblocks?\b/i, ['foamBlock', 'corkBlock', 'book']],
    [/\bstraps?\b/i, ['strap', 'belt', 'scarf']],
    [/\bchairs?\b|\bseat of the chair\b/i, ['chair', 'sofa']],
    [/\bwall\b/i, ['wall', 'door']],
    [/\bpillows?\b/i, ['longPillow', 'rectBolster']],
    [/\bblankets?\b/i, ['blanket', 'towel']],
  ]
  const missing = forms.flatMap(({ id, pose, variant, setUpWords }) => {
    const own = setUps.filter(
      ({ poseId, variantId }) => poseId === pose.id && variantId === (variant?.base && variant.id),
    )
    const there = new Set([...own.flatMap(({ items }) => items), ...(variant?.props ?? [])].map(({ kind }) => kind))
    const said = [...setUpWords, ...pose.comingOut, ...pose.cues.map(({ text = '' }) => text)]
    return things.flatMap(([says, kinds]) =>
      said.some((line) => says.test(line)) &&
      !says.test(variant?.change ?? '') &&
      !kinds.some((kind) => there.has(kind))
        ? [`${id}: ${String(says)}`]
        : [],
    )
  })
  expect(missing).toEqual([])
})

describe('compiled', () => {
  const practices = ['restorative', 'yin'] as const
  const cases = practices.flatMap((practice) => levels.map((level) => [practice, level] as const))

  test.each(cases)('%s, %s: one cue under 90 s, no two within 10 s, and words for it all', (practice, level) => {
    for (const pose of poses.filter((one) => one.practices.includes(practice))) {
      for (const variant of [undefined, ...pose.variants]) {
        const session = aSession([aHold(pose.id, variant ? { variantId: variant.id } : {})], { practice, level })
        const { segments, cues } = orThrow(compileTimeline(session, shippedCatalog))
        for (const { startMs, endMs } of segments.filter(({ doing }) => doing.kind === 'hold')) {
          // The stillness words open a hold and stand apart from its cues [decisions].
          const said = cues.filter(({ atMs, text }) => atMs > startMs && atMs < endMs && text !== undefined)
          const gaps = said.map(({ atMs }, at) => atMs - (said[at - 1]?.atMs ?? -Infinity))
          const isQuiet = gaps.every((gap) => gap >= 10_000) && (endMs - startMs >= 90_000 || said.length <= 1)
          expect({ pose: pose.id, form: variant?.id, said: said.map(({ text }) => text), isQuiet }).toMatchObject({
            isQuiet: true,
          })
        }
        const spoken = cues.map(({ text = '' }) => text)
        if (practice === 'restorative') expect(spoken.filter((text) => /twenty seconds/i.test(text))).toEqual([])
        expect(spoken.filter((text) => /\{(?:this|other|roll)\}|\.;|; [A-Z]|\.\.|^[a-z]/.test(text))).toEqual([])
      }
    }
  })
})
