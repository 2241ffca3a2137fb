import type { QueryInterface } from 'sequelize'
import type { FormerOwnPose, FormerOwnVariant } from '#model/pose'
import type { SetUp } from '#model/set-up'
import { splitCounts, splitFormCounts } from '#core/session'
import { isShipped } from '#server/features/own/former-counts'
import type { Migration } from '../migrate.ts'

interface Row {
  readonly kind: string
  readonly id: string
  readonly document: string
  readonly savedAt: string
  readonly hiddenAt: string | null
}

/**
 * Counts of props typed into own poses and forms become set-ups of their own, whose items are listed and not placed
 * [settled A8]. Schema 3; a copy that still takes what was copied is set up as its original.
 */
export const ownSetUpsMigration: Migration = {
  name: '009-own-set-ups',
  async up(query) {
    const taken = new Set<string>()
    for (const row of await rows(query)) {
      const split = splitOf(row)
      if (!split) continue
      await rewrite(query, row, split.document, 3)
      const made = split.setUps.map((setUp) => rowOf({ ...setUp, id: freeId(setUp.id, taken) }, row))
      if (made.length > 0) await query.bulkInsert('ownThings', made)
    }
  },
  async down(query) {
    const all = await rows(query)
    const setUps = all.flatMap(({ kind, document }) => (kind === 'setUp' ? [JSON.parse(document) as SetUp] : []))
    for (const row of all) {
      if (row.kind === 'setUp') await query.bulkDelete('ownThings', { kind: row.kind, id: row.id })
      else await rewrite(query, row, withCounts(row, setUps), 2)
    }
  },
}

const rows = async (query: QueryInterface): Promise<Row[]> => (await query.select(null, 'ownThings', {})) as Row[]

const rewrite = (query: QueryInterface, { kind, id }: Row, document: unknown, schema: number) =>
  query.bulkUpdate('ownThings', { document: JSON.stringify(document), schema }, { kind, id })

/** What a row's document becomes, and the set-ups made of it; undefined for one that cannot be read, and stays as it is. */
function splitOf({ kind, document }: Row): { document: unknown; setUps: readonly SetUp[] } | undefined {
  try {
    const thing: unknown = JSON.parse(document)
    if (kind === 'pose') {
      const { pose, setUps } = splitCounts(thing as FormerOwnPose, isShipped)
      return { document: pose, setUps }
    }
    if (kind !== 'variant') return { document: thing, setUps: [] }
    const { variant, setUps } = splitFormCounts(thing as FormerOwnVariant)
    return { document: variant, setUps }
  } catch {
    return undefined
  }
}

/** An id none of the set-ups has yet: ids of a pose and its form may run together to that of another. */
function freeId(wanted: string, taken: Set<string>): string {
  let id = wanted
  for (let at = 2; taken.has(id); at += 1) id = `${wanted.slice(-60)}-${String(at)}`
  taken.add(id)
  return id
}

/** It is out of sight where the pose or form is that it was made for. */
const rowOf = (setUp: SetUp, { savedAt, hiddenAt }: Row) => ({
  kind: 'setUp',
  id: setUp.id,
  name: setUp.name,
  version: 1,
  document: JSON.stringify(setUp),
  savedAt,
  schema: 3,
  hiddenAt,
})

/** A pose or form with the counts of its own set-ups in it again; what schema 2 cannot say of where they lie is left. */
function withCounts({ kind, document }: Row, setUps: readonly SetUp[]): unknown {
  const thing = JSON.parse(document) as FormerOwnPose & FormerOwnVariant
  const counts = (poseId: string, variantId?: string) =>
    setUps
      .find((setUp) => setUp.poseId === poseId && setUp.variantId === variantId)
      ?.items.map((item) => ({ kind: item.kind, count: item.count }))
  if (kind === 'variant') return { ...thing, props: counts(thing.poseId, thing.id) }
  if (kind !== 'pose') return thing
  const variants = thing.variants.map((variant) => ({ ...variant, props: counts(thing.id, variant.id) }))
  return { ...thing, props: counts(thing.id) ?? [], variants }
}
