import { Op } from 'sequelize'
import type { Transaction } from 'sequelize'
import { ownKinds, ownSchemas, ownSchemaVersion } from '#model/own'
import type { OwnDocuments, OwnKind, OwnThing } from '#model/own'
import { poseIn, withOwn } from '#core/session'
import type { Catalog } from '#core/session'
import { shippedCatalog } from '#library/shipped'
import type { Clock } from '#server/clock'
import type { Database } from '#server/db/open'
import { ProblemError } from '#server/problems'
import { placesText, usesOf } from './uses.ts'

const nameOf = (thing: Pick<OwnThing, 'kind' | 'document'>): string =>
  'names' in thing.document ? thing.document.names.english : thing.document.name

/** What is out of sight and named by nothing goes after as long as sessions keep their history. */
const keepForMs = 90 * 24 * 3_600_000

/** The teacher's own poses, variants and schools, with optimistic locking; none goes while it is used. */
export function ownStore(database: Database, clock: Clock) {
  const { models, inTransaction } = database

  /** All there are, those out of sight included: documents that name them are still read. */
  const list = async (transaction?: Transaction): Promise<OwnThing[]> => {
    const rows = await models.ownThings.findAll({
      order: [
        ['kind', 'ASC'],
        ['name', 'ASC'],
        ['id', 'ASC'],
      ],
      transaction,
    })
    return rows.flatMap(({ kind, version, document, hiddenAt }) => read(kind, version, document, hiddenAt !== null))
  }

  /** Changes a row if it is still at the version it was based on; the database itself looks, whatever it locks. */
  async function guarded(
    kind: OwnKind,
    id: string,
    based: number,
    change: object,
    transaction: Transaction,
  ): Promise<void> {
    const [changed] = await models.ownThings.update(change, { where: { kind, id, version: based }, transaction })
    if (changed > 0) return
    const row = await models.ownThings.findOne({ where: { kind, id }, transaction })
    throw row
      ? new ProblemError('VERSION_STALE', { based, current: row.version })
      : new ProblemError('UNKNOWN_OWN', { kind, id })
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
        const all = await list(transaction)
        checkReferences(thing, all)
        if (kind === 'pose') await checkVariantsKept(document.id, thing as OwnThing, all, transaction)
        const columns = {
          name: nameOf(thing),
          version: based + 1,
          document: JSON.stringify(document),
          savedAt: clock.now(),
          schema: ownSchemaVersion,
          hiddenAt: null,
        }
        const there = all.find((one) => one.kind === kind && one.document.id === document.id)
        if (based > 0 || there) await guarded(kind, document.id, based, columns, transaction)
        else await models.ownThings.create({ ...columns, kind, id: document.id }, { transaction })
        return { ...thing, version: based + 1 } as OwnThing
      })
    },

    /**
     * Puts something that no session uses out of sight, a pose with its own variants. Deleted sessions and kept
     * versions that name it can still be read, and it can be brought back.
     */
    async remove(kind: OwnKind, id: string, based: number): Promise<void> {
      await inTransaction(async (transaction) => {
        const all = await list(transaction)
        const here = all.find((thing) => thing.kind === kind && thing.document.id === id && !thing.hidden)
        if (!here) throw new ProblemError('UNKNOWN_OWN', { kind, id })
        const uses = (await usesOf(database, kind, id, all, transaction)).filter(({ isPast }) => !isPast)
        if (uses.length > 0) throw new ProblemError('IN_USE', { name: nameOf(here), where: placesText(uses) })
        await guarded(kind, id, based, { hiddenAt: clock.now() }, transaction)
        for (const variant of variantsOf(all, kind, id))
          await models.ownThings.update(
            { hiddenAt: clock.now() },
            { where: { kind: 'variant', id: variant }, transaction },
          )
        await purge(all, transaction)
      })
    },

    /** Brings back what was put out of sight, a pose with its own variants. */
    async bringBack(kind: OwnKind, id: string): Promise<void> {
      await inTransaction(async (transaction) => {
        const all = await list(transaction)
        const [brought] = await models.ownThings.update({ hiddenAt: null }, { where: { kind, id }, transaction })
        if (brought === 0) throw new ProblemError('UNKNOWN_OWN', { kind, id })
        for (const variant of variantsOf(all, kind, id))
          await models.ownThings.update({ hiddenAt: null }, { where: { kind: 'variant', id: variant }, transaction })
      })
    },
  }

  /** Lets go what has long been out of sight and is named by nothing, past states included. */
  async function purge(all: readonly OwnThing[], transaction: Transaction): Promise<void> {
    const before = new Date(clock.now().getTime() - keepForMs)
    const old = await models.ownThings.findAll({ where: { hiddenAt: { [Op.lt]: before } }, transaction })
    for (const row of old) {
      const kind = ownKinds.find((one) => one === row.kind)
      if (kind && (await usesOf(database, kind, row.id, all, transaction)).length === 0)
        await row.destroy({ transaction })
    }
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

const variantsOf = (all: readonly OwnThing[], kind: OwnKind, poseId: string): string[] =>
  all.flatMap((thing) =>
    kind === 'pose' && thing.kind === 'variant' && thing.document.poseId === poseId ? [thing.document.id] : [],
  )

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

/** A kept document as it is read today. */
function read(kind: string, version: number, document: string, hidden: boolean): OwnThing[] {
  const known = ownKinds.find((one) => one === kind)
  if (!known) return []
  const thing = { kind: known, version, document: ownSchemas[known].parse(JSON.parse(document)) } as OwnThing
  return [hidden ? { ...thing, hidden } : thing]
}

export type OwnStore = ReturnType<typeof ownStore>
