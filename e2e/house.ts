import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect } from '@playwright/test'
import type { Session } from '#model/session'
import { openDatabase } from '#server/db/open'
import { prepareDemo } from '#server/demo/seed'
import { startServer } from '#server/start'
import type { Running } from '#server/start'
import { littleWork } from '#testing/teachers'

const thursday = { now: () => new Date('2026-03-12T17:00:00Z') }

/** A Zovrin of its own for one test, with the demo data, that can be stopped and started again. */
export interface House {
  readonly address: string
  /** What the first keeper of a studio begins with; empty where there is none. */
  readonly firstCode: string
  stop(): Promise<void>
  start(): Promise<void>
  session(id: string): Promise<Session>
  create(session: Session): Promise<void>
}

/** The databases a house begins with; they are made once, and each house has a copy of its own. */
export interface Beginnings {
  readonly demo: string
  readonly empty: string
}

export async function makeBeginnings(folder: string): Promise<Beginnings> {
  const empty = join(folder, 'zovrin.sqlite')
  await (await openDatabase(empty)).close()
  return { demo: (await prepareDemo(folder, thursday)).file, empty }
}

/** Opens a house with the pages of a folder, on a database in a folder of its own; where that is, is told to be made. */
export async function makeHouse(
  pages: string,
  port: number,
  makeDatabase: (folder: string) => string,
): Promise<House & { remove(): Promise<void> }> {
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-e2e-'))
  const database = makeDatabase(folder)
  // The loopback's other name stands for the address others reach this machine at.
  const room = { addresses: () => ['127.0.0.2'], port: 0 }
  const config = { host: '127.0.0.1', port, portIsFixed: true, dataFolder: folder, room, guessWork: littleWork }
  let running: Running | undefined = await startServer(config, database, pages)
  const { address, firstCode = '' } = running
  return {
    ...{ address, firstCode },
    async stop() {
      await running?.stop()
      running = undefined
    },
    async start() {
      running ??= await startServer(config, database, pages)
    },
    async session(id) {
      return (await (await fetch(`${address}api/sessions/${id}`)).json()) as Session
    },
    async create(session) {
      const reply = await fetch(`${address}api/sessions`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(session),
      })
      expect(reply.status).toBe(201)
    },
    async remove() {
      await running?.stop()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}
