import { computed } from 'vue'
import { finalRestPose, setUpsFor } from '#core/session'
import { shippedCatalog } from '#library/shipped'
import { aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { usedIn } from './used.ts'
import { useTrials } from './use-trials.ts'

const poseId = 'reclined-bound-angle'
const items = [{ id: 'own', kind: 'blanket' as const, count: 1, under: 'head' as const }]

test('what is set up in a session stands in its order, the final rest last; talk and breath are not set up', () => {
  const used = usedIn(aSession([aTalk(), aHold('deer'), aHold(poseId), aClosing()]), shippedCatalog)
  expect(used.map(({ name }) => name)).toEqual(['Deer', 'Bound angle, reclined', 'Final rest'])
  expect(used.at(-1)?.choices).toEqual(setUpsFor(shippedCatalog, finalRestPose))
  expect(new Set(used.map(({ key }) => key)).size).toBe(3)
})

test('a block’s own items stand first among its choices, and the set-up it names is the one it wants', () => {
  const [few] = setUpsFor(shippedCatalog, poseId).filter(({ extent }) => extent === 'few')
  const [named] = usedIn(aSession([aHold(poseId, { setUpId: few?.id ?? '' })]), shippedCatalog)
  expect(named?.wanted).toBe(few?.id)
  const [own] = usedIn(aSession([aHold(poseId, { setUpItems: items, setUpId: few?.id ?? '' })]), shippedCatalog)
  expect(own?.choices[0]).toMatchObject({ name: 'As in this session', items })
  expect(own?.wanted).toBeUndefined()
})

test('a pose that is nowhere is left out, the others stay', () => {
  expect(usedIn(aSession([aHold('gone'), aHold('deer')]), shippedCatalog).map(({ name }) => name)).toEqual(['Deer'])
})

describe('trying out', () => {
  const tryOut = (id: string) => {
    const [one] = usedIn(aSession([aHold(poseId, { id })]), shippedCatalog)
    return useTrials(computed(() => one))
  }

  test('each change is a step that can be taken back; what is left as it was is none', () => {
    const trials = tryOut('steps')
    const before = trials.items.value
    const [first] = before
    if (!first) throw new Error('no items')
    trials.change(first.id, { count: first.count })
    expect(trials.isTried.value).toBe(false)
    trials.remove(first.id)
    expect(trials.items.value).toHaveLength(before.length - 1)
    trials.change(before[1]?.id ?? '', { count: 2 })
    trials.undo()
    expect(trials.items.value).toEqual(before.filter(({ id }) => id !== first.id))
    trials.undo()
    expect(trials.isTried.value).toBe(false)
    expect(trials.items.value).toEqual(before)
  })

  test('another kind leaves behind folds that mean nothing for it; as it was is a step too', () => {
    const trials = tryOut('kinds')
    const folded = trials.items.value.find(({ folds }) => folds)
    if (!folded) throw new Error('nothing folded')
    trials.change(folded.id, { kind: 'foamBlock' })
    expect(trials.items.value.find(({ id }) => id === folded.id)).not.toHaveProperty('folds')
    trials.asShipped()
    expect(trials.items.value).toEqual(trials.setUp.value?.items)
    trials.undo()
    expect(trials.items.value.find(({ id }) => id === folded.id)?.kind).toBe('foamBlock')
  })
})

test('a change of kind leaves behind the folds and turns that mean nothing for it', () => {
  const own = [
    { id: 'a', kind: 'chair' as const, count: 1, under: 'upperBack' as const, turn: 'upturned' as const },
    { id: 'b', kind: 'blanket' as const, count: 1, under: 'head' as const, folds: [{ op: 'halfL' as const }] },
    { id: 'c', kind: 'foamBlock' as const, count: 1, under: 'knees' as const, turn: 'lengthwise' as const },
  ]
  const [used] = usedIn(aSession([aHold(poseId, { setUpItems: own })]), shippedCatalog)
  const trials = useTrials(computed(() => used))
  trials.change('a', { kind: 'rectBolster' })
  trials.change('b', { kind: 'longPillow' })
  trials.change('c', { kind: 'rectBolster' })
  const [chair, blanket, block] = trials.items.value
  expect(chair).toEqual({ id: 'a', kind: 'rectBolster', count: 1, under: 'upperBack' })
  expect(blanket).toEqual({ id: 'b', kind: 'longPillow', count: 1, under: 'head' })
  expect(block).toMatchObject({ kind: 'rectBolster', turn: 'lengthwise' })
})
