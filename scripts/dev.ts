import { createServer } from 'vite'
import { systemClock } from '#server/clock'
import { readConfig } from '#server/config'
import { prepareDemo } from '#server/demo/seed'
import { startServer } from '#server/start'
import { rootFolder } from './shared/pages.ts'
import { runScript } from './shared/run-script.ts'

// The API on its own port with the demo data, and Vite's server in front of it for the pages.
runScript(async () => {
  const config = readConfig(process.env)
  const { file } = await prepareDemo(config.dataFolder, systemClock)
  const api = await startServer(config, file, undefined)
  const pages = await createServer({
    root: rootFolder,
    server: {
      host: config.host,
      proxy: {
        '/api': {
          target: api.address,
          changeOrigin: true,
          configure: (proxy) =>
            proxy.on('proxyReq', (request) => {
              request.removeHeader('Origin')
            }),
        },
      },
    },
  })
  await pages.listen()
  pages.printUrls()
  const stop = () =>
    void pages
      .close()
      .then(() => api.stop())
      .then(() => process.exit(0))
  process.once('SIGINT', stop)
  process.once('SIGTERM', stop)
})
