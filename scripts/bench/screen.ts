import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import type { Page } from '@playwright/test'
import { systemClock } from '#server/clock'
import { prepareDemo } from '#server/demo/seed'
import { startServer } from '#server/start'
import { chromiumArguments, chromiumPath, ensureChromium } from '../shared/chromium.ts'
import { buildPages, pagesFolder } from '../shared/pages.ts'
import { ms, quantile, report } from './measure.ts'

declare global {
  interface Window {
    /** When each second first stood on the page's clock, epoch ms. */
    benchSeconds?: Map<string, number>
  }
}

/** From now on the page notes when its clock turns. */
async function watchClock(page: Page): Promise<void> {
  await page.getByTestId('clock').first().waitFor()
  await page.evaluate(() => {
    const seen = new Map<string, number>()
    window.benchSeconds = seen
    new MutationObserver(() => {
      const text = document.querySelector('[data-testid=clock]')?.textContent.trim() ?? ''
      if (!seen.has(text)) seen.set(text, performance.timeOrigin + performance.now())
    }).observe(document.body, { subtree: true, childList: true, characterData: true })
  })
}

const turns = async (page: Page): Promise<ReadonlyMap<string, number>> =>
  new Map(await page.evaluate(() => [...(window.benchSeconds ?? [])]))

const seconds = 20

/** The students' screen against the device that leads, in two windows on this machine: how far apart their clocks turn. */
export async function benchScreen(): Promise<void> {
  await ensureChromium()
  await buildPages()
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-bench-'))
  const { file } = await prepareDemo(folder, systemClock)
  const config = { host: '127.0.0.1', port: 0, portIsFixed: true, dataFolder: folder }
  const running = await startServer(config, file, pagesFolder)
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: chromiumArguments })
  // Two browsers of one machine, so that neither is the other's hidden window.
  const [leader, screen] = [await (await browser.newContext()).newPage(), await (await browser.newContext()).newPage()]
  await leader.goto(`${running.address}lead/thursday-slow-hour`)
  await leader.getByRole('button', { name: 'Start', exact: true }).click()
  await screen.goto(`${running.address}screen`)
  await Promise.all([watchClock(leader), watchClock(screen)])
  await leader.waitForTimeout(seconds * 1000)
  const [led, shown] = await Promise.all([turns(leader), turns(screen)])
  // The first each saw stood there before it looked.
  const apart = [...led].slice(1).flatMap(([text, atMs]) => {
    const other = shown.get(text)
    return other === undefined || text === [...shown.keys()][0] ? [] : [Math.abs(other - atMs)]
  })
  await browser.close()
  await running.stop()
  rmSync(folder, { recursive: true, force: true })
  const figure = `median ${ms(quantile(apart, 0.5))}, most ${ms(Math.max(...apart))}`
  report(`students' screen against the leader, ${String(apart.length)} seconds`, figure, '< 100 ms')
}
