import type { Config } from '#server/config'
import { startServer } from '#server/start'
import { pagesFolder } from './pages.ts'

/** Serves a database until Ctrl+C or SIGTERM, then closes both cleanly. */
export async function serveUntilStopped(config: Config, where: string, says: string): Promise<void> {
  const running = await startServer(config, where, pagesFolder)
  console.log(`${says}\n\n  ${running.address}\n\nStop it with Ctrl+C.`)
  if (running.firstCode !== undefined)
    console.log(`Nobody has an account yet. The first keeper begins there with the code ${running.firstCode}`)
  await new Promise<void>((stop) => {
    for (const signal of ['SIGINT', 'SIGTERM'] as const)
      process.once(signal, () => {
        stop()
      })
  })
  await running.stop()
  console.log('Stopped. Everything is saved.')
}
