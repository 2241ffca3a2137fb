import type { KeptEvent } from '#model/led-class'
import { ledStart } from '#core/lead'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import type { Database } from '#server/db/open'
import { bellowsHouse } from '#server/demo/bellows-house'
import { aHold, aSession } from '#testing/sessions'
import { ask, over, send } from './house.ts'

/** Whether all that was acknowledged to a client is in the database; what is not, in words. */
export type Acknowledged = (database: Database) => Promise<string | undefined>

/** Somebody who writes to a server until it is no more; `wrote` hears of each write that was acknowledged. */
export type Client = (
  address: string,
  wrote: () => void,
) => Promise<{ readonly writes: number; readonly look: Acknowledged }>

/** Saves a document again and again, each time over the version before; `at` is how it is asked for, `make` what it is then. */
const saving =
  (
    path: string,
    make: (version: number) => object,
    read: (database: Database) => Promise<{ version: number } | null>,
  ): Client =>
  async (address, wrote) => {
    let version = 0
    for (;;) {
      const reply = await ask(address, path, send('PUT', make(version + 1), over(version)))
      if (reply.status !== 200) break
      version += 1
      wrote()
    }
    return {
      writes: version,
      look: async (database) => {
        const there = (await read(database))?.version ?? 0
        // One more may have been written whose answer nobody heard.
        return there === version || there === version + 1
          ? undefined
          : `${path}: version ${String(there)} instead of ${String(version)}`
      },
    }
  }

const session = aSession([aHold('deer')], { id: 'of-the-client', name: 'State 1' })

const sessions: Client = async (address, wrote) => {
  const made = await ask(address, '/api/sessions', send('POST', session))
  if (made.status !== 201) return { writes: 0, look: () => Promise.resolve(undefined) }
  let version = 1
  for (;;) {
    const next = { ...session, name: `State ${String(version + 1)}` }
    const reply = await ask(address, `/api/sessions/${session.id}`, send('PUT', next, over(version)))
    if (reply.status !== 200) break
    version += 1
    wrote()
  }
  return {
    writes: version,
    look: async ({ models }) => {
      const row = await models.sessions.findByPk(session.id)
      if (!row || row.version < version) return `the session lost version ${String(version)}`
      return row.name === `State ${String(row.version)}` ? undefined : `the session is ${row.name}`
    },
  }
}

const start = ledStart(session, orThrow(compileTimeline(session, shippedCatalog)), {
  ...{ id: 'evening', people: 6, startedAtMs: Date.UTC(2026, 10, 29, 18), promisedEndMs: Date.UTC(2026, 10, 29, 19) },
  ...{ nameOf: () => 'Deer', sectionNameOf: () => '' },
})

/** Events of a class, one after the other: a gap in what is kept would be one that was lost. */
const events: Client = async (address, wrote) => {
  const begun = await ask(address, '/api/led-classes/evening?by=laptop', send('PUT', start))
  let n = 0
  while (begun.status === 204) {
    const event: KeptEvent = { n: n + 1, by: 'laptop', event: { type: 'mark', atMs: n } }
    const sent = { events: [event], conductedMs: n, by: 'laptop' }
    const reply = await ask(address, `/api/led-classes/evening/events?after=${String(n)}`, send('POST', sent))
    if (reply.status !== 200) break
    n += 1
    wrote()
  }
  return {
    writes: n,
    look: async ({ models }) => {
      const rows = await models.ledEvents.findAll({ where: { classId: 'evening' }, order: [['n', 'ASC']] })
      const gap = rows.findIndex((row, at) => row.n !== at + 1)
      if (gap >= 0) return `event ${String(gap + 1)} is missing`
      return rows.length < n ? `${String(rows.length)} of ${String(n)} events` : undefined
    },
  }
}

const people = saving(
  '/api/people/somebody',
  (version) => ({ id: 'somebody', name: `Somebody ${String(version)}`, conditions: [], consents: [] }),
  ({ models }) => models.people.findByPk('somebody'),
)
const places = saving(
  `/api/places/${bellowsHouse.id}`,
  (version) => ({ ...bellowsHouse, name: `House ${String(version)}` }),
  ({ models }) => models.places.findByPk(bellowsHouse.id),
)
const longDays = saving(
  '/api/long-days/day',
  (version) => ({
    ...{ schema: 1, id: 'day', name: `Day ${String(version)}`, startsAt: '10:00', people: [], guests: 0, parts: [] },
  }),
  ({ models }) => models.longDays.findByPk('day'),
)
const baseOfSeries = aSession([aHold('deer')], { id: 'base-of-the-series' })
const inSeries = saving(
  '/api/series/spring',
  (version) => ({
    ...{ schema: 1, id: 'spring', name: `Series ${String(version)}`, baseId: baseOfSeries.id, weekdays: ['TH'] },
    ...{ firstDay: '2027-01-07', weeks: 8, people: [], guests: 0, growth: [], classes: [] },
  }),
  ({ models }) => models.series.findByPk('spring'),
)
const series: Client = async (address, wrote) => {
  await ask(address, '/api/sessions', send('POST', baseOfSeries))
  return inSeries(address, wrote)
}

/** Those who write at once. */
export const clients: readonly Client[] = [sessions, events, people, places, series, longDays]
