import type { HoldBlock } from '#model/block'
import type { Session } from '#model/session'
import type { SetUp } from '#model/set-up'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { aClosing, aHold, aSession } from '#testing/sessions'
import {
  finalRestPose,
  firstCeilingS,
  keptFor,
  propCounts,
  resolveSession,
  setUpsFor,
  withFields,
  withOwn,
} from './index.ts'
import type { Catalog } from './index.ts'

const setUpIn = (session: Session, catalog: Catalog = shippedCatalog) => {
  const [first] = orThrow(resolveSession(session, catalog))
  return first?.kind === 'hold' || first?.kind === 'closing' ? first.setUp : undefined
}

describe('the set-up of a block', () => {
  const poseId = 'reclined-bound-angle'
  const [full, few] = setUpsFor(shippedCatalog, poseId)

  test('is the pose’s full one where nothing is said', () => {
    expect(full?.extent).toBe('full')
    expect(setUpIn(aSession([aHold(poseId)]))).toEqual({ value: full, from: 'shipped' })
  })

  test('is the one the block names, or its own items before that', () => {
    expect(setUpIn(aSession([aHold(poseId, { setUpId: few?.id ?? '' })]))).toEqual({ value: few, from: 'block' })
    const items = [{ id: 'own', kind: 'blanket' as const, count: 1, under: 'head' as const }]
    expect(setUpIn(aSession([aHold(poseId, { setUpId: few?.id ?? '', setUpItems: items })]))).toEqual({
      value: { items },
      from: 'block',
    })
  })

  test('is the one for how much the session takes: all in a room, what a house has elsewhere, or as it says', () => {
    const extent = (session: Partial<Session>) => {
      const setUp = setUpIn({ ...aSession([aHold(poseId)]), ...session })?.value
      return setUp && 'extent' in setUp ? setUp.extent : undefined
    }
    expect(extent({})).toBe('full')
    expect(extent({ extent: 'few' })).toBe('few')
    expect(extent({ setting: 'home' })).toBe('household')
    expect(extent({ setting: 'online' })).toBe('household')
    expect(extent({ setting: 'home', extent: 'full' })).toBe('full')
    expect(setUpIn({ ...aSession([aClosing()]), extent: 'household' })?.value).toMatchObject({ extent: 'household' })
  })

  test('where a pose has no set-up of that extent is the next fuller one', () => {
    const onlyFull = new Map(shippedCatalog.setUps).set(poseId, full ? [full] : [])
    const session = { ...aSession([aHold(poseId)]), extent: 'household' as const }
    expect(setUpIn(session, { ...shippedCatalog, setUps: onlyFull })?.value).toEqual(full)
  })

  test('is the usual one where the one it names is gone', () => {
    expect(setUpIn(aSession([aHold(poseId, { setUpId: 'gone' })]))).toEqual({ value: full, from: 'shipped' })
  })

  test('of a closing is the final rest’s', () => {
    expect(setUpIn(aSession([aClosing()]))?.value).toBe(setUpsFor(shippedCatalog, finalRestPose)[0])
  })

  test('of a form that is another position is its own; of any other form the pose’s', () => {
    const lying = setUpIn(aSession([aHold('stacked-knees', { variantId: 'lying' })]))?.value
    expect(lying).toMatchObject({ variantId: 'lying' })
    expect(setUpsFor(shippedCatalog, 'stacked-knees').some(({ variantId }) => variantId !== undefined)).toBe(false)
    const [seated] = setUpsFor(shippedCatalog, 'stacked-knees')
    // The seated pose's set-up says nothing to somebody on the back.
    expect(
      setUpIn(aSession([aHold('stacked-knees', { variantId: 'lying', setUpId: seated?.id ?? '' })]))?.value,
    ).toEqual(lying)
    const same = shippedCatalog.poses.get(poseId)?.variants.find(({ base }) => base === undefined)
    expect(setUpIn(aSession([aHold(poseId, { variantId: same?.id ?? '' })]))?.value).toBe(full)
  })

  test('is what is kept for the one who comes, before what the block names and after its own items', () => {
    const items = [{ id: 'theirs', kind: 'rectBolster' as const, count: 1, under: 'knees' as const }]
    const catalog: Catalog = { ...shippedCatalog, keptForOne: new Map([[keptFor(poseId), items]]) }
    const theirs = { value: { items, ...(full?.figure ? { figure: full.figure } : {}) }, from: 'person' }
    expect(setUpIn(aSession([aHold(poseId)]), catalog)).toEqual(theirs)
    expect(setUpIn(aSession([aHold(poseId, { setUpId: few?.id ?? '' })]), catalog)?.value.items).toEqual(items)
    expect(setUpIn(aSession([aHold(poseId, { setUpItems: [] })]), catalog)).toMatchObject({ from: 'block' })
    // It is kept for a pose in one form, and what it takes is counted.
    expect(setUpIn(aSession([aHold('stacked-knees')]), catalog)?.from).toBe('shipped')
    const [hold] = orThrow(resolveSession(aSession([aHold(poseId)]), catalog))
    expect(hold?.kind === 'hold' && hold.pose.props).toEqual([{ kind: 'rectBolster', count: 1 }])
  })

  test('is what the hold takes: the usual counts, those of the set-up it names, or of its own items', () => {
    const taken = (fields: Partial<HoldBlock>) => {
      const [hold] = orThrow(resolveSession(aSession([aHold(poseId, fields)]), shippedCatalog))
      return hold?.kind === 'hold' ? hold.pose.props : []
    }
    expect(taken({})).toEqual(propCounts(full?.items ?? []))
    expect(taken({ setUpId: few?.id ?? '' })).toEqual(propCounts(few?.items ?? []))
    expect(taken({ setUpItems: [{ id: 'a', kind: 'book', count: 2, under: 'head' }] })).toEqual([
      { kind: 'book', count: 2 },
    ])
  })

  test('kept by the teacher is offered after the shipped ones, and changes nothing that is planned', () => {
    const mine: SetUp = { id: 'mine', poseId, name: 'Mine', extent: 'full', items: [] }
    const catalog = withOwn(shippedCatalog, [{ kind: 'setUp', document: mine, version: 1 }])
    expect(setUpsFor(catalog, poseId).at(-1)).toEqual(mine)
    expect(setUpIn(aSession([aHold(poseId)]), catalog)?.value).toBe(full)
    expect(setUpIn(aSession([aHold(poseId, { setUpId: 'mine' })]), catalog)?.value).toEqual(mine)
  })

  test('of a block’s own items keeps the figure of the set-up they were made from', () => {
    const figured = [...shippedCatalog.setUps.values()].flat().find(({ figure }) => figure)
    if (!figured) throw new Error('no set-up has a figure of its own')
    const { id: setUpId, variantId, figure } = figured
    const hold = aHold(figured.poseId, { setUpId, setUpItems: [], ...(variantId ? { variantId } : {}) })
    expect(setUpIn(aSession([hold]))?.value).toEqual({ items: [], figure })
  })

  test('of a pose that was copied is that of the pose it was copied from; one made anew has none', () => {
    const pose = shippedCatalog.poses.get(poseId)
    if (!pose) throw new Error(poseId)
    const catalog: Catalog = {
      ...shippedCatalog,
      ownPoses: new Map([
        ['mine', { ...pose, id: 'mine', copiedFrom: poseId }],
        ['new', { ...pose, id: 'new' }],
      ]),
    }
    expect(setUpIn(aSession([aHold('mine')]), catalog)?.value).toBe(full)
    expect(setUpIn(aSession([aHold('new')]), catalog)).toBeUndefined()
  })
})

test('the first ceiling is the strictest family’s, more for fully supported forms', () => {
  const of = (families: Parameters<typeof firstCeilingS>[1]['families'], to: number) =>
    [{ families, sensation: { from: 0, to } }] as const
  const { ceilings } = shippedCatalog
  expect(firstCeilingS(ceilings, ...of(['side_sit'], 5), 'regular')).toBe(240)
  expect(firstCeilingS(ceilings, ...of(['child'], 3), 'regular')).toBe(300)
  expect(firstCeilingS(ceilings, ...of(['child'], 2), 'regular')).toBe(600)
  expect(firstCeilingS(ceilings, ...of(['fold_seated', 'twist_seated'], 5), 'new')).toBe(30)
})

test('a hold knows its first ceiling for the level of the session', () => {
  const ceilingIn = (level: Session['level']) => {
    const [hold] = orThrow(resolveSession(aSession([aHold('deer')], { level }), shippedCatalog))
    return hold?.kind === 'hold' ? hold.ceilingS : undefined
  }
  expect([ceilingIn('new'), ceilingIn('regular'), ceilingIn('experienced')]).toEqual([120, 240, 300])
})

test('fields are set, and unset by undefined; what is left empty goes', () => {
  const block = aHold('deer', { firstSide: 'left', times: { setUpS: 20 }, cues: [] })
  expect(withFields(block, { firstSide: 'right' })).toEqual({ ...block, firstSide: 'right' })
  expect(withFields(block, { firstSide: undefined })).not.toHaveProperty('firstSide')
  // What is set to nothing goes; what stood there bare and was not touched stays.
  expect(withFields(block, { times: {} })).not.toHaveProperty('times')
  expect(withFields({ ...block, times: {} }, { firstSide: 'right' })).toHaveProperty('times')
  expect(withFields(block, { times: withFields(block.times ?? {}, { setUpS: undefined }) })).not.toHaveProperty('times')
  // No cues at all is something that was said.
  expect(withFields(block, { firstSide: 'right' }).cues).toEqual([])
})
