import { createHash, randomBytes } from 'node:crypto'
import { nanoid } from 'nanoid'
import { Op } from 'sequelize'
import { deviceKindSchema } from '#model/device'
import type { Device, DeviceKind } from '#model/device'
import type { Clock } from '#server/clock'
import type { DeviceRow } from '#server/db/models'
import type { Database } from '#server/db/open'
import { ProblemError } from '#server/problems'

export type KnownDevice = Omit<Device, 'isThere'> & {
  /** The teacher it was let in by. */
  readonly ownerId: string
}

const calledBy: Readonly<Record<DeviceKind, string>> = { screen: 'Screen', teacher: 'Tablet' }

const seenEveryMs = 60_000

/** Only the hash of what a device shows is kept: nobody who reads the data can pass for it. */
const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex')

/** Devices that were let in: each by a secret of its own, until it is disconnected. */
export function deviceStore({ models, inTransaction }: Database, clock: Clock) {
  /** Of one teacher, or of all. */
  const of = (ownerId: string | undefined) => (ownerId === undefined ? {} : { ownerId })
  const rows = (ownerId: string | undefined) =>
    models.devices.findAll({
      where: of(ownerId),
      order: [
        ['pairedAt', 'ASC'],
        ['id', 'ASC'],
      ],
    })
  return {
    list: async (ownerId?: string): Promise<readonly KnownDevice[]> => (await rows(ownerId)).map(knownOf),
    /** Lets a device in; the secret is told this once. */
    add: (kind: DeviceKind, ownerId: string): Promise<{ readonly device: KnownDevice; readonly token: string }> =>
      inTransaction(async (transaction) => {
        const taken = new Set((await models.devices.findAll({ transaction })).map(({ name }) => name))
        const token = randomBytes(32).toString('base64url')
        const [pairedAt, seenAt] = [clock.now(), clock.now()]
        const row = { id: nanoid(), ownerId, name: freeName(calledBy[kind], taken), kind, pairedAt, seenAt }
        const made = await models.devices.create({ ...row, tokenHash: hashOf(token) }, { transaction })
        return { device: knownOf(made), token }
      }),
    /** The device that shows this secret; undefined where there is none, or its teacher teaches here no more. */
    ofToken: async (token: string): Promise<KnownDevice | undefined> => {
      const row = await models.devices.findOne({ where: { tokenHash: hashOf(token) } })
      const closed = row && (await models.teachers.count({ where: { id: row.ownerId, closedAt: { [Op.ne]: null } } }))
      return row && !closed ? knownOf(row) : undefined
    },
    /** It was heard of now; written no oftener than is told. */
    async seen({ id, seenAt }: KnownDevice): Promise<void> {
      const now = clock.now()
      if (now.getTime() - Date.parse(seenAt) < seenEveryMs) return
      await inTransaction(async (transaction) => {
        await models.devices.update({ seenAt: now }, { where: { id }, transaction })
      })
    },
    /** Throws UNKNOWN_DEVICE. */
    remove: (id: string, ownerId?: string): Promise<void> =>
      inTransaction(async (transaction) => {
        if ((await models.devices.destroy({ where: { id, ...of(ownerId) }, transaction })) === 0)
          throw new ProblemError('UNKNOWN_DEVICE', { id })
      }),
  }
}

export type DeviceStore = ReturnType<typeof deviceStore>

const knownOf = ({ id, name, kind, pairedAt, seenAt, ownerId }: DeviceRow): KnownDevice => ({
  ...{ id, ownerId, name, kind: deviceKindSchema.parse(kind) },
  ...{ pairedAt: pairedAt.toISOString(), seenAt: seenAt.toISOString() },
})

function freeName(name: string, taken: ReadonlySet<string>): string {
  let free = name
  for (let n = 2; taken.has(free); n += 1) free = `${name} ${String(n)}`
  return free
}
