import { systemClock } from '#server/clock'
import { readConfig } from '#server/config'
import { prepareDemo } from '#server/demo/seed'
import { buildPages } from './shared/pages.ts'
import { runScript } from './shared/run-script.ts'
import { serveUntilStopped } from './shared/serve.ts'

runScript(async () => {
  const config = readConfig(process.env)
  await buildPages()
  const { file, former } = await prepareDemo(config.dataFolder, systemClock)
  if (former !== undefined) console.log(`The demo data was of an older kind: the former database lies at ${former}`)
  await serveUntilStopped(config, file, 'Zovrin with the demo data of Bellows House is at')
})
