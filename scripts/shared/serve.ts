import type { Config } from '#server/config'
import { startServer } from '#server/start'
import { pagesFolder } from './pages.ts'

/** Serves a database until Ctrl+C or SIGTERM, then closes both cleanly. */
export async function serveUntilStopped(config: Config, databaseFile: string, says: string): Promise<void> {
  const running = await startServer(config, databaseFile, pagesFolder)
  console.log(`${says}\n\n  ${running.address}\n\nStop it with Ctrl+C.`)
  await new Promise<void>((stop) => {
    for (const signal of ['SIGINT', 'SIGTERM'] as const)
      process.once(signal, () => {
        stop()
      })
  })
  await running.stop()
  console.log('Stopped. Everything is saved.')
}
