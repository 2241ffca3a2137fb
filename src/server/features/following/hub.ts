import { EventEmitter } from 'node:events'
import { z } from 'zod'
import { heardZeros, isInTouch, leaseMs, zeroOf } from '#core/lead'
import type { HeardZeros, Lease } from '#core/lead'
import type { Notices } from '#server/db/notices'

/** An open stream: who follows by it, and how it is ended. */
interface Follower {
  /** The device that was let in; absent: a window of this machine. */
  readonly deviceId: string | undefined
  /** The id a device that leads gives itself; absent: it only looks on. */
  readonly by: string | undefined
  readonly end: () => void
}

/** What the server knows of classes that run beside their records: their clocks, and who follows them. */
export interface Hub {
  /** The device that leads told a class's time. */
  heard(classId: string, nowMs: number, runMs: number, by?: string): void
  /** When its class time was 0, by the server's clock; undefined where nothing was heard since the server began. */
  zeroOf(classId: string): number | undefined
  /** Something of a class, or of what the screens show, changed. */
  changed(): void
  onChange(listener: () => void): () => void
  /** A stream that opened; the answer says that it closed. */
  follow(follower: Follower): () => void
  isThere(deviceId: string): boolean
  /** Whether the device that leads was heard of lately, and its window has not closed since. */
  isInTouch(lease: Lease, nowMs: number): boolean
  /** Ends the streams of a device, or all there are. */
  end(deviceId?: string): void
}

/** So many reports of a window that closed may still be on their way: its outbox sends one at a time. */
const underWay = 1

/** What hubs of Zovrins that share a database tell each other. */
const toldSchema = z.strictObject({
  classId: z.string(),
  nowMs: z.number(),
  runMs: z.number(),
  by: z.string().optional(),
})

/** A device that is disconnected has nothing more of any of them. */
const endedSchema = z.strictObject({ ended: z.string() })

/** What another one told, as it is read by; undefined for all else it may have told. */
function toldAs<T>(text: string, schema: z.ZodType<T>): T | undefined {
  try {
    return schema.safeParse(JSON.parse(text)).data
  } catch {
    return undefined
  }
}

/** With `notices` it hears of what others do on the same database, and tells them. */
export function makeHub(notices?: Notices): Hub {
  const hub = hubOfOne()
  if (!notices) return hub
  notices.onNotice((text) => {
    const told = toldAs(text, toldSchema)
    const ended = toldAs(text, endedSchema)
    if (told) hub.heard(told.classId, told.nowMs, told.runMs, told.by)
    else if (ended) hub.end(ended.ended)
    else hub.changed()
  })
  return {
    ...hub,
    heard(classId, nowMs, runMs, by) {
      hub.heard(classId, nowMs, runMs, by)
      notices.tell(JSON.stringify({ classId, nowMs, runMs, by }))
    },
    changed() {
      hub.changed()
      notices.tell('changed')
    },
    end(deviceId) {
      hub.end(deviceId)
      if (deviceId !== undefined) notices.tell(JSON.stringify({ ended: deviceId }))
    },
  }
}

function hubOfOne(): Hub {
  const changes = new EventEmitter().setMaxListeners(0)
  const heard = new Map<string, HeardZeros>()
  const followers = new Set<Follower>()
  /** Devices whose last stream closed, and how often they were heard of since: once may have been under way already. */
  const gone = new Map<string, number>()
  const changed = (): void => void changes.emit('change')
  let silence: NodeJS.Timeout | undefined
  const follows = (test: (one: Follower) => boolean): boolean => [...followers].some(test)
  return {
    heard(classId, nowMs, runMs, by) {
      heard.set(classId, heardZeros(heard.get(classId) ?? [], nowMs, runMs))
      const since = by === undefined ? undefined : gone.get(by)
      if (by !== undefined && since !== undefined) {
        if (since >= underWay) gone.delete(by)
        else gone.set(by, since + 1)
      }
      // A device that is heard of no more says nothing: that it is out of touch is told when it is.
      clearTimeout(silence)
      silence = setTimeout(changed, leaseMs + 1).unref()
    },
    zeroOf: (classId) => zeroOf(heard.get(classId) ?? []),
    changed,
    onChange(listener) {
      changes.on('change', listener)
      return () => changes.off('change', listener)
    },
    follow(follower) {
      followers.add(follower)
      if (follower.by !== undefined) gone.delete(follower.by)
      changed()
      return () => {
        followers.delete(follower)
        if (follower.by !== undefined && !follows(({ by }) => by === follower.by)) gone.set(follower.by, 0)
        changed()
      }
    },
    isThere: (deviceId) => follows((one) => one.deviceId === deviceId),
    isInTouch: (lease, nowMs) => isInTouch(lease, nowMs) && !gone.has(lease.by),
    end(deviceId) {
      if (deviceId === undefined) clearTimeout(silence)
      for (const one of [...followers]) if (deviceId === undefined || one.deviceId === deviceId) one.end()
    },
  }
}
