import { randomInt } from 'node:crypto'
import { Op } from 'sequelize'
import { deviceKindSchema } from '#model/device'
import type { Clock } from '#server/clock'
import type { Database } from '#server/db/open'
import type { Hub } from '#server/features/following/hub'
import { closedForMs, countWrong, keyOf } from '#server/features/teachers/counted-tries'
import type { Counted } from '#server/features/teachers/counted-tries'
import { addressLimit, nameLimit } from '#server/features/teachers/tries'
import { ProblemError } from '#server/problems'
import { devicesOf } from './control.ts'
import type { RoomControl } from './control.ts'
import type { DeviceStore } from './devices.ts'
import { codeMs } from './pairing.ts'

interface StudioDeps {
  readonly database: Database
  readonly devices: DeviceStore
  readonly hub: Hub
  readonly clock: Clock
  /** Where the house is reached, as it is typed on a device. */
  readonly url: string
}

/** Five wrong codes from one address close it for it; and many from all over close it for all [as pairing, decisions, Other devices]. */
const counted = (address: string): Counted => [
  [keyOf('pairing', address), nameLimit],
  [keyOf('pairing', ''), addressLimit],
]

/**
 * Devices where teachers have accounts: there is no second listener, and each pairs with its teacher's account by the same code
 * [settled E6]. All servers of the house know the codes.
 */
export function studioRoom({ database, devices, hub, clock, url }: StudioDeps): RoomControl {
  const { models, inTransaction } = database
  const isOver = () => ({ until: { [Op.lte]: clock.now() } })
  return {
    open: (address) => Promise.reject(new ProblemError('ROOM_UNREACHABLE', { address })),
    close: () => Promise.resolve(),
    async read(who) {
      const row = await models.pairingCodes.findOne({ where: { ownerId: who.id, until: { [Op.gt]: clock.now() } } })
      return {
        addresses: [],
        open: { address: new URL(url).host, url: url.replace(/\/$/, ''), fingerprint: null },
        code: row && { kind: deviceKindSchema.parse(row.kind), code: row.digits, until: row.until.toISOString() },
        closedUntil: null,
        devices: await devicesOf({ devices, hub }, who),
      }
    },
    offer: (kind, ownerId) =>
      inTransaction(async (transaction) => {
        await models.pairingCodes.destroy({ where: { [Op.or]: [{ ownerId }, isOver()] }, transaction })
        const rows = await models.pairingCodes.findAll({ attributes: ['digits'], transaction })
        const until = new Date(clock.now().getTime() + codeMs)
        const digits = freeCode(new Set(rows.map((row) => row.digits)))
        await models.pairingCodes.create({ ownerId, kind, digits, until }, { transaction })
      }),
    async letIn(digits, address) {
      const tries = counted(address)
      const forMs = await closedForMs(database, clock, tries)
      if (forMs > 0) throw new ProblemError('PAIRING_CLOSED', { minutes: Math.ceil(forMs / 60_000) })
      const offered = await models.pairingCodes.findOne({ where: { digits, until: { [Op.gt]: clock.now() } } })
      // Used up by whoever is first, whichever server they ask.
      const used = offered
        ? await inTransaction((transaction) => models.pairingCodes.destroy({ where: { digits }, transaction }))
        : 0
      if (offered && used > 0) return devices.add(deviceKindSchema.parse(offered.kind), offered.ownerId)
      const left = await countWrong(database, clock, tries)
      throw left > 0
        ? new ProblemError('CODE_WRONG', { left })
        : new ProblemError('PAIRING_CLOSED', { minutes: Math.ceil(nameLimit.closedMs / 60_000) })
    },
    async disconnect(deviceId, who) {
      await devices.remove(deviceId, who.isKeeper ? undefined : who.id)
      hub.end(deviceId)
    },
  }
}

/** One that no other teacher shows now. */
function freeCode(taken: ReadonlySet<string>): string {
  const digits = String(randomInt(1_000_000)).padStart(6, '0')
  return taken.has(digits) ? freeCode(taken) : digits
}
