import { join } from 'node:path'
import { readConfig } from '#server/config'
import { shownAddress } from '#server/db/address'
import { buildPages } from './shared/pages.ts'
import { runScript } from './shared/run-script.ts'
import { serveUntilStopped } from './shared/serve.ts'

runScript(async () => {
  const config = readConfig(process.env)
  await buildPages()
  const where = config.databaseUrl ?? join(config.dataFolder, 'zovrin.sqlite')
  await serveUntilStopped(config, where, `Zovrin is at (data in ${shownAddress(where)})`)
})
