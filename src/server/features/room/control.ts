import { randomInt } from 'node:crypto'
import { createServer } from 'node:https'
import type { Server } from 'node:https'
import type { RequestListener } from 'node:http'
import type { DeviceKind, Room } from '#model/device'
import type { Clock } from '#server/clock'
import type { Hub } from '#server/features/following/hub'
import type { Who } from '#server/features/teachers/who'
import { ProblemError } from '#server/problems'
import { certificateFor } from './certificate.ts'
import type { DeviceStore, KnownDevice } from './devices.ts'
import { noPairing, offered, openCode, isClosed, tried } from './pairing.ts'

export interface RoomDeps {
  readonly devices: DeviceStore
  readonly hub: Hub
  readonly clock: Clock
  /** Where the certificate is kept. */
  readonly folder: string
  /** The addresses of this machine that others reach it at. */
  readonly addresses: () => readonly string[]
  /** The port that is tried first; 0 takes any. */
  readonly port: number
  /** What answers at the second listener, by the host it is asked under. */
  readonly answers: (host: string) => RequestListener
}

/** Whoever looks: a keeper sees the devices of all. */
type Whose = Pick<Who, 'id' | 'isKeeper'>
const whose = ({ id, isKeeper }: Whose): string | undefined => (isKeeper ? undefined : id)

/** The second listener and who is let in by it. */
export interface RoomControl {
  /** As a teacher sees it, with their own devices; `closing`: as it will be once it is closed. */
  read(who: Whose, closing?: boolean): Promise<Room>
  open(address: string): Promise<void>
  close(): Promise<void>
  /** The device that is let in by it will be this teacher's. */
  offer(kind: DeviceKind, ownerId: string): Promise<void>
  /** Lets a device in by the code that is shown, asked from an address; throws what stands in the way. */
  letIn(digits: string, address: string): Promise<{ readonly device: KnownDevice; readonly token: string }>
  disconnect(deviceId: string, who: Whose): Promise<void>
}

interface Open {
  readonly server: Server
  readonly address: string
  readonly url: string
  readonly fingerprint: string
}

/** How many ports past the usual one are tried when it is taken. */
const portsTried = 9

/** The second listener: one after the other, so that none is left behind by two that open at once. */
function makeListener({ addresses, folder, clock, port, answers }: RoomDeps) {
  let opened: Open | undefined
  let turn: Promise<void> = Promise.resolve()
  const inTurn = (work: () => Promise<void>): Promise<void> => {
    const done = turn.then(work)
    turn = done.catch(() => undefined)
    return done
  }
  async function close(): Promise<void> {
    const { server } = opened ?? {}
    opened = undefined
    if (!server) return
    const closed = new Promise((done) => server.close(done))
    server.closeAllConnections()
    await closed
  }
  async function open(address: string): Promise<void> {
    if (!addresses().includes(address)) throw new ProblemError('ROOM_UNREACHABLE', { address })
    await close()
    const { key, cert, fingerprint } = await certificateFor(address, folder, clock.now())
    const server = createServer({ key, cert })
    const host = `${address}:${String(await listen(server, address, port))}`
    server.on('request', answers(host))
    opened = { server, address, url: `https://${host}`, fingerprint }
  }
  return {
    open: (address: string) => inTurn(() => open(address)),
    close: () => inTurn(close),
    at: (): Room['open'] =>
      opened ? { address: opened.address, url: opened.url, fingerprint: opened.fingerprint } : null,
  }
}

/** The devices a teacher sees. */
export const devicesOf = async (
  { devices, hub }: Pick<RoomDeps, 'devices' | 'hub'>,
  who: Whose,
): Promise<Room['devices']> =>
  (await devices.list(whose(who))).map(({ ownerId: _its, ...device }) => ({
    ...device,
    isThere: hub.isThere(device.id),
  }))

export function makeRoom(deps: RoomDeps): RoomControl {
  const { devices, hub, clock, addresses } = deps
  const listener = makeListener(deps)
  let pairing = noPairing
  const nowMs = (): number => clock.now().getTime()
  return {
    open: listener.open,
    async close() {
      pairing = { ...pairing, code: null }
      await listener.close()
    },
    async read(who, closing = false) {
      const open = closing ? null : listener.at()
      const shown = open && openCode(pairing, nowMs())
      const code = shown?.ownerId === who.id ? shown : null
      return {
        addresses: [...addresses()],
        open,
        code: code ? { kind: code.kind, code: code.digits, until: new Date(code.untilMs).toISOString() } : null,
        closedUntil: isClosed(pairing, nowMs()) ? new Date(pairing.closedUntilMs).toISOString() : null,
        devices: (await devicesOf(deps, who)).map((device) => ({
          ...device,
          isThere: open !== null && device.isThere,
        })),
      }
    },
    offer(kind, ownerId) {
      const digits = String(randomInt(1_000_000)).padStart(6, '0')
      pairing = offered(pairing, { kind, ownerId, digits }, nowMs())
      return Promise.resolve()
    },
    async letIn(digits) {
      const [next, what] = tried(pairing, digits, nowMs())
      pairing = next
      if (what.is === 'paired') return devices.add(what.kind, what.ownerId)
      if (what.is === 'wrong') throw new ProblemError('CODE_WRONG', { left: what.left })
      if (what.is === 'closed') throw new ProblemError('PAIRING_CLOSED', { minutes: Math.ceil(what.forMs / 60_000) })
      throw new ProblemError('CODE_OVER', {})
    },
    async disconnect(deviceId, who) {
      await devices.remove(deviceId, whose(who))
      hub.end(deviceId)
    },
  }
}

/** Listens at that one address; says at which port. Throws ROOM_UNREACHABLE where the machine no longer has it. */
async function listen(server: Server, address: string, port: number): Promise<number> {
  for (let candidate = port; candidate <= port + portsTried; candidate += 1) {
    const failed = await tryListen(server, address, candidate)
    if (failed === 'EADDRINUSE') continue
    if (failed !== undefined) throw new ProblemError('ROOM_UNREACHABLE', { address })
    const at = server.address()
    return typeof at === 'object' && at ? at.port : candidate
  }
  throw new ProblemError('ROOM_UNREACHABLE', { address })
}

const tryListen = (server: Server, address: string, port: number): Promise<string | undefined> =>
  new Promise((done) => {
    const failed = ({ code }: NodeJS.ErrnoException): void => {
      done(code ?? 'UNKNOWN')
    }
    server.once('error', failed)
    server.listen(port, address, () => {
      server.off('error', failed)
      done(undefined)
    })
  })
