import type { BodyPart, SetUpItem } from '#model/set-up'
import { findStacks, inventoryFor, itemsOfStack, pieceOf, pilesOf, sizedKinds, usualMassKg } from '#core/props'
import { namedFolds, propKinds } from '#library/prop-kinds'
import { bellowsHouse } from '#server/demo/bellows-house'

const blanket = (under: SetUpItem['under'], more: Partial<SetUpItem> = {}): SetUpItem => ({
  id: `${under} blanket`,
  kind: 'blanket',
  count: 1,
  under,
  folds: [...namedFolds.standard],
  ...more,
})
const folds = {
  quarter: namedFolds.quarter,
  standard: namedFolds.standard,
  narrow: namedFolds.narrow,
  roll: namedFolds.roll,
}
const demo = { cupboard: bellowsHouse.cupboard, kinds: propKinds, folds, posture: 'lying' as const, massKg: 70 }

describe('a prop as it lies', () => {
  test('a block turns on each of its faces, its long side across the body', () => {
    const lying = (turn: SetUpItem['turn']) =>
      pieceOf({ id: 'b', kind: 'foamBlock', ...(turn ? { turn } : {}) }, propKinds.foamBlock)
    expect(lying('flat')).toMatchObject({ ok: true, value: { along: 15, across: 23, height: 10 } })
    expect(lying('side')).toMatchObject({ ok: true, value: { along: 10, across: 23, height: 15 } })
    expect(lying('end')).toMatchObject({ ok: true, value: { along: 10, across: 15, height: 23 } })
    expect(lying('lengthwise')).toMatchObject({ ok: true, value: { along: 23, across: 15, height: 10 } })
  })

  test('a bolster goes across or along; a round one shows its round end only across', () => {
    const lying = (kind: 'rectBolster' | 'roundBolster', turn: SetUpItem['turn']) =>
      pieceOf({ id: 'b', kind, ...(turn ? { turn } : {}) }, propKinds[kind])
    expect(lying('rectBolster', 'lengthwise')).toMatchObject({ value: { along: 66, across: 30 } })
    expect(lying('rectBolster', 'crosswise')).toMatchObject({ value: { along: 30, across: 66 } })
    expect(lying('roundBolster', 'crosswise')).toMatchObject({ value: { round: true, roundSeen: true } })
    expect(lying('roundBolster', 'lengthwise')).toMatchObject({ value: { round: true, roundSeen: false } })
  })

  test('a folded blanket is computed from its loose layers, a roll from its hand-tight diameter', () => {
    expect(pieceOf(blanket('head'), propKinds.blanket)).toMatchObject({
      value: { along: 50, across: 75, layer: { t: 0.7, n: 8 }, material: 'blanket' },
    })
    const roll = pieceOf(blanket('knees', { folds: [...namedFolds.roll] }), propKinds.blanket)
    expect(roll.ok && roll.value.height).toBeCloseTo(16.8, 1)
    expect(roll).toMatchObject({ value: { material: 'blanketRoll', round: true } })
  })

  test('sizes measured in the cupboard stand before the usual ones', () => {
    const sized = sizedKinds(propKinds, { foamBlock: { height: 75 }, blanket: { height: 14 } })
    expect(sized.foamBlock.heightCm).toBe(7.5)
    expect(sized.blanket).toMatchObject({ heightCm: 1.4, loadedCm: 1 })
  })
})

describe('what lies under a part', () => {
  const piles = (items: readonly SetUpItem[]) => pilesOf({ items, kinds: propKinds, massKg: 70, posture: 'lying' })

  test('a head on a standard fold comes to the book’s 4.16 cm for 70 kg', () => {
    const laid = piles([blanket('head')])
    expect(laid.ok && laid.value[0]?.height).toBeCloseTo(4.16, 2)
    expect(usualMassKg(170)).toBeCloseTo(70, 0)
  })

  test('two equal piles share what lies on them, and their items', () => {
    expect(piles([blanket('arms', { count: 2, piles: 2 })])).toMatchObject({
      ok: true,
      value: [{ part: 'arms', piles: 2, pieces: [expect.objectContaining({ kind: 'blanket' })] }],
    })
  })

  test('what lies over the body or has no height is in no pile', () => {
    expect(
      piles([
        blanket('belly', { lies: 'over' }),
        { id: 's', kind: 'strap', count: 1, under: 'thighs' },
        { id: 'w', kind: 'wall', count: 1, under: 'feet' },
      ]),
    ).toMatchObject({ ok: true, value: [] })
  })

  test('a fold that cannot be made names the item and the operation', () => {
    const refused = piles([blanket('head'), blanket('knees', { folds: [...namedFolds.narrow, ...namedFolds.narrow] })])
    expect(refused).toMatchObject({
      ok: false,
      code: 'FOLD_TOO_THICK',
      field: expect.stringMatching(/^items\[1\]\.ops\[\d\]$/),
    })
  })
})

describe('reaching a height with the demo cupboard', () => {
  const under = (part: BodyPart, piles: 1 | 2) => inventoryFor({ ...demo, part, piles })

  test('only what there is and what can be built with is offered, in every way it can lie', () => {
    const { stocked, layings } = under('head', 1)
    expect(stocked.map(({ kind }) => kind).toSorted()).toEqual([
      'blanket',
      'chair',
      'corkBlock',
      'foamBlock',
      'longPillow',
      'rectBolster',
      'roundBolster',
    ])
    expect(stocked.find(({ kind }) => kind === 'foamBlock')?.options.map(({ opt }) => opt)).toEqual([
      'flat',
      'side',
      'end',
    ])
    expect(layings.get('blanket:narrow')).toMatchObject({ kind: 'blanket', folds: [...namedFolds.narrow] })
  })

  test('heights are under the body: the more lies on a bolster, the lower it is', () => {
    const height = (part: BodyPart) =>
      under(part, 1).stocked.find(({ kind }) => kind === 'rectBolster')?.options[0]?.h ?? 0
    expect(height('pelvis')).toBeLessThan(height('head'))
  })

  test('for two piles each side has half of what there is', () => {
    expect(under('knees', 2).stocked.find(({ kind }) => kind === 'rectBolster')?.count).toBe(4)
  })

  test('a found stack becomes items that come to the height it promised', () => {
    const inventory = under('pelvis', 1)
    const found = findStacks({ H: 14, inventory: inventory.stocked })
    if (!found.ok) throw new Error(found.code)
    for (const { key, height } of found.value.best) {
      const items = itemsOfStack(key, inventory, 'pelvis', 1, (at) => `n${String(at)}`)
      const laid = pilesOf({ items, kinds: propKinds, massKg: 70, posture: 'lying' })
      expect(laid.ok && laid.value[0]?.height).toBeCloseTo(height, 0)
      expect(new Set(items.map(({ id }) => id)).size).toBe(items.length)
    }
  })

  test('two of the same lie as one item of two, each side its own', () => {
    const inventory = under('knees', 2)
    expect(
      itemsOfStack('foamBlock:flat|foamBlock:flat|blanket:standard', inventory, 'knees', 2, (at) => `n${String(at)}`),
    ).toMatchObject([
      { kind: 'foamBlock', count: 4, piles: 2, turn: 'flat' },
      { kind: 'blanket', count: 2, piles: 2 },
    ])
  })
})
