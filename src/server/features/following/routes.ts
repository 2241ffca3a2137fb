import { createSession } from 'better-sse'
import type { Session } from 'better-sse'
import type { Request, Response, Router } from 'express'
import { idSchema } from '#model/common'
import type { Clock } from '#server/clock'
import { apiRouter, closeRouter } from '#server/http/api-router'
import type { LedClassStore } from '#server/features/led-classes/store'
import type { OwnStore } from '#server/features/own/store'
import { deviceOf } from '#server/features/room/device-of'
import type { SettingsStore } from '#server/features/settings/store'
import { classNow } from './class-now.ts'
import type { Hub } from './hub.ts'
import { screenClass, screenNow } from './screen-now.ts'

export interface Following {
  readonly hub: Hub
  readonly clock: Clock
  readonly ledClasses: LedClassStore
  readonly settings: SettingsStore
  readonly own: OwnStore
}

/** How long a screen waits before it asks again for a server that went away. */
const retryMs = 1000

/** `/api/now`: the class that runs, whichever device leads it, for the teacher's devices. */
export function nowRoutes({ hub, clock, ledClasses }: Following): Router {
  const router = apiRouter()
  const now = () => classNow(ledClasses, hub, clock)

  router.get('/', async (_request, response) => {
    response.json((await now()) ?? null)
  })

  router.get('/stream', async (request, response) => {
    const by = idSchema.safeParse(request.query['by']).data
    await stream({ hub, request, response, by }, () => {
      const push = pushChanges('now')
      return async (session) => {
        push(session, (await now()) ?? null)
      }
    })
  })

  return closeRouter(router)
}

/** `/api/screen`: what the students' screen shows. No name, no number of people, nothing that is said. */
export function screenRoutes({ hub, clock, ledClasses, settings, own }: Following): Router {
  const router = apiRouter()

  router.get('/time', (_request, response) => {
    response.json({ nowMs: clock.now().getTime() })
  })

  router.get('/stream', async (request, response) => {
    await stream({ hub, request, response, by: undefined }, () => {
      const push = pushChanges('now')
      // The plan of a class stays as it was begun: it is read once.
      let shown: { readonly id: string; readonly isShown: boolean } | null | undefined
      return async (session) => {
        const now = await classNow(ledClasses, hub, clock)
        if ((now?.id ?? null) !== (shown === null ? null : shown?.id)) {
          const led = now && (await ledClasses.find(now.id))
          const isShown = led?.format === 2
          session.push(isShown ? screenClass(led, await own.catalog()) : null, 'class')
          shown = now ? { id: now.id, isShown } : null
        }
        if (!now || shown?.isShown !== true) return
        const { screenClock = true } = (await settings.read()).settings
        push(session, screenNow(await ledClasses.events(now.id), now, screenClock))
      }
    })
  })

  return closeRouter(router)
}

/** Pushes what is not as it was pushed last. */
function pushChanges(name: string): (session: Session, value: object | null) => void {
  let pushed = ''
  return (session, value) => {
    const text = JSON.stringify(value)
    if (text !== pushed) session.push(value, name)
    pushed = text
  }
}

interface Opened {
  readonly hub: Hub
  readonly request: Request
  readonly response: Response
  readonly by: string | undefined
}

/**
 * Opens a stream that tells what there is now, and again after each change; what changes while it tells is told once,
 * when it has.
 */
async function stream({ hub, request, response, by }: Opened, makeTell: () => (session: Session) => Promise<void>) {
  const session = await createSession(request, response, { retry: retryMs })
  const tell = makeTell()
  let telling: Promise<void> | undefined
  let isStale = false
  async function run(): Promise<void> {
    do {
      isStale = false
      await tell(session)
    } while (isStale && session.isConnected)
    telling = undefined
  }
  const told = (): void => {
    isStale = true
    // What cannot be read now is told when it can be: a stream has no other way to say so.
    telling ??= run().catch(() => (telling = undefined))
  }
  const end = (): void => {
    response.end()
  }
  const unfollow = hub.follow({ deviceId: deviceOf(response)?.id, by, end })
  const off = hub.onChange(told)
  session.once('disconnected', () => {
    off()
    unfollow()
  })
  told()
}
