import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startServer } from '#server/start'
import { benchBreath } from './bench/breath.ts'
import {
  benchBells,
  benchChecks,
  benchCore,
  benchHandling,
  benchProps,
  benchRefit,
  benchScreening,
} from './bench/core.ts'
import { benchClass } from './bench/class.ts'
import { benchFigures } from './bench/figures.ts'
import { benchFits } from './bench/fits.ts'
import { benchCaptions, benchDrift, benchJournal, benchUnfinished } from './bench/journal.ts'
import { benchList, benchLoad, benchPage, benchReload, fill } from './bench/pages.ts'
import { ensureChromium } from './shared/chromium.ts'
import { benchScreen } from './bench/screen.ts'
import { benchSeries } from './bench/series.ts'
import { benchSheets } from './bench/sheets.ts'
import { benchStudio } from './bench/studio.ts'
import { buildPages, pagesFolder } from './shared/pages.ts'
import { runScript } from './shared/run-script.ts'

async function benchPages(): Promise<void> {
  await ensureChromium()
  await buildPages()
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-bench-'))
  const file = join(folder, 'bench.sqlite')
  await fill(file)
  const running = await startServer(
    { host: '127.0.0.1', port: 0, portIsFixed: true, dataFolder: folder },
    file,
    pagesFolder,
  )
  await benchList(running.address)
  await benchPage(running.address)
  await benchReload(running.address)
  await benchLoad(running.address)
  await running.stop()
  rmSync(folder, { recursive: true, force: true })
}

function benchTheCore(): void {
  benchCore()
  benchRefit()
  benchScreening()
  benchBells()
  benchChecks()
}

const parts: Readonly<Record<string, () => void | Promise<void>>> = {
  core: benchTheCore,
  breath: benchBreath,
  props: () => {
    benchProps()
    benchHandling()
  },
  figures: benchFigures,
  class: benchClass,
  fits: benchFits,
  journal: async () => {
    benchUnfinished()
    benchDrift()
    benchCaptions()
    benchSeries()
    await benchJournal()
  },
  sheets: benchSheets,
  pages: benchPages,
  screen: benchScreen,
  studio: benchStudio,
}

/** All parts, or those named: `npm run bench -- core`. */
runScript(async () => {
  const asked = process.argv.slice(2)
  const wrong = asked.filter((name) => !(name in parts))
  if (wrong.length > 0)
    throw new Error(`No such bench: ${wrong.join(', ')}. There are: ${Object.keys(parts).join(', ')}.`)
  for (const [name, run] of Object.entries(parts)) {
    if (asked.length === 0 || asked.includes(name)) await run()
  }
})
