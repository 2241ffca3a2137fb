import { join } from 'node:path'
import { readConfig } from '#server/config'
import { buildPages } from './shared/pages.ts'
import { runScript } from './shared/run-script.ts'
import { serveUntilStopped } from './shared/serve.ts'

runScript(async () => {
  const config = readConfig(process.env)
  await buildPages()
  const file = join(config.dataFolder, 'zovrin.sqlite')
  await serveUntilStopped(config, file, `Zovrin is at (data in ${file})`)
})
