import type { Transaction } from 'sequelize'
import { ownKinds, ownSchemas } from '#model/own'
import type { OwnDocuments, OwnKind, OwnThing } from '#model/own'
import { poseIn, withOwn } from '#core/session'
import type { Catalog } from '#core/session'
import { shippedCatalog } from '#library/shipped'
import type { Clock } from '#server/clock'
import type { OwnThingRow } from '#server/db/models'
import type { Database } from '#server/db/open'
import { ProblemError } from '#server/problems'
import { placesText, usesOf } from './uses.ts'

const nameOf = (thing: Pick<OwnThing, 'kind' | 'document'>): string =>
  'names' in thing.document ? thing.document.names.english : thing.document.name

/** The teacher's own poses, variants and schools, with optimistic locking; none goes while it is used. */
export function ownStore(database: Database, clock: Clock) {
  const { models, inTransaction } = database

  const list = async (transaction?: Transaction): Promise<OwnThing[]> => {
    const rows = await models.ownThings.findAll({
      order: [
        ['kind', 'ASC'],
        ['name', 'ASC'],
        ['id', 'ASC'],
      ],
      transaction,
    })
    return rows.flatMap(({ kind, version, document }) => read(kind, version, document))
  }

  const lockedRow = async (
    kind: OwnKind,
    id: string,
    based: number,
    transaction: Transaction,
  ): Promise<OwnThingRow | undefined> => {
    const row = await models.ownThings.findOne({ where: { kind, id }, transaction })
    if (!row && based > 0) throw new ProblemError('UNKNOWN_OWN', { kind, id })
    if (row && row.version !== based) throw new ProblemError('VERSION_STALE', { based, current: row.version })
    return row ?? undefined
  }

  return {
    list,

    /** Everything a session may name: shipped and own. */
    async catalog(): Promise<Catalog> {
      return withOwn(shippedCatalog, await list())
    },

    /** Saves over the version it was based on; 0 makes it. Refuses to take away a variant that is used. */
    async put(thing: Pick<OwnThing, 'kind' | 'document'>, based: number): Promise<OwnThing> {
      return inTransaction(async (transaction) => {
        const { kind, document } = thing
        const row = await lockedRow(kind, document.id, based, transaction)
        const all = await list(transaction)
        checkReferences(thing, all)
        if (kind === 'pose') await checkVariantsKept(document.id, thing as OwnThing, all, transaction)
        const columns = {
          kind,
          id: document.id,
          name: nameOf(thing),
          version: based + 1,
          document: JSON.stringify(document),
          savedAt: clock.now(),
        }
        await (row ? row.update(columns, { transaction }) : models.ownThings.create(columns, { transaction }))
        return { ...thing, version: based + 1 } as OwnThing
      })
    },

    /** Removes something that nothing uses; a pose takes its own variants with it. */
    async remove(kind: OwnKind, id: string, based: number): Promise<void> {
      await inTransaction(async (transaction) => {
        const row = await lockedRow(kind, id, based, transaction)
        if (!row) throw new ProblemError('UNKNOWN_OWN', { kind, id })
        const all = await list(transaction)
        const uses = await usesOf(database, kind, id, all, transaction)
        if (uses.length > 0) throw new ProblemError('IN_USE', { name: row.name, where: placesText(uses) })
        const variants = all.flatMap((thing) =>
          kind === 'pose' && thing.kind === 'variant' && thing.document.poseId === id ? [thing.document.id] : [],
        )
        if (variants.length > 0)
          await models.ownThings.destroy({ where: { kind: 'variant', id: variants }, transaction })
        await row.destroy({ transaction })
      })
    },
  }

  async function checkVariantsKept(
    id: string,
    pose: OwnThing,
    all: readonly OwnThing[],
    transaction: Transaction,
  ): Promise<void> {
    const catalog = withOwn(shippedCatalog, [
      ...all.filter((thing) => thing.kind !== 'pose' || thing.document.id !== id),
      pose,
    ])
    const kept = new Set(poseIn(catalog, id)?.variants.map((variant) => variant.id))
    const lost = (await usesOf(database, 'pose', id, [], transaction)).filter(
      ({ variantId }) => variantId !== undefined && !kept.has(variantId),
    )
    if (lost.length > 0)
      throw new ProblemError('IN_USE', { name: `The variant ${String(lost[0]?.variantId)}`, where: placesText(lost) })
  }
}

function checkReferences({ kind, document }: Pick<OwnThing, 'kind' | 'document'>, all: readonly OwnThing[]): void {
  const catalog = withOwn(shippedCatalog, all)
  const missing = (path: string, id: string) => new ProblemError('UNKNOWN_REFERENCE', { id }, { path })
  if (kind === 'variant') {
    const { poseId } = document as OwnDocuments['variant']
    if (!poseIn(catalog, poseId)) throw missing('poseId', poseId)
  }
  if (kind === 'pose') {
    const { counterposes, id: ownId } = document as OwnDocuments['pose']
    const at = counterposes.findIndex((id) => id !== ownId && !poseIn(catalog, id))
    if (at >= 0) throw missing(`counterposes[${String(at)}]`, String(counterposes[at]))
  }
}

/** A kept document as it is read today; one that an older build wrote is read by today's schema. */
function read(kind: string, version: number, document: string): OwnThing[] {
  const known = ownKinds.find((one) => one === kind)
  if (!known) return []
  return [{ kind: known, version, document: ownSchemas[known].parse(JSON.parse(document)) } as OwnThing]
}

export type OwnStore = ReturnType<typeof ownStore>
