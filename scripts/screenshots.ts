import { mkdtempSync, mkdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import type { Page } from '@playwright/test'
import { prepareDemo } from '#server/demo/seed'
import { startServer } from '#server/start'
import { chromiumArguments, ensureChromium, pictureChromiumPath } from './shared/chromium.ts'
import { buildPages, pagesFolder, rootFolder } from './shared/pages.ts'
import { runScript } from './shared/run-script.ts'

/** Every picture of docs/screenshots: where it is taken, and what is done before. */
interface Picture {
  readonly name: string
  readonly path: string
  /** What tells that it is there, where that is none of the sessions. */
  readonly shows?: string
  readonly size?: { readonly width: number; readonly height: number }
  readonly act?: (page: Page) => Promise<void>
}

/** Starts the class and lets that many seconds of it pass. */
const leadFor = (seconds: number) => async (page: Page) => {
  await page.getByLabel('How many are here').fill('11')
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await page.getByTestId('clock').waitFor()
  await page.evaluate((pushed) => {
    Object.assign(window, { pushedMs: pushed * 1000 })
  }, seconds)
  await page.waitForTimeout(600)
}

/** Three minutes late, with the ways to make them up. */
const late = async (page: Page): Promise<void> => {
  await leadFor(inDeerS - 190)(page)
  await page.keyboard.press('Space')
  await page.getByRole('button', { name: /^Go on/ }).waitFor()
  await page.evaluate((pushed) => {
    Object.assign(window, { pushedMs: pushed * 1000 })
  }, inDeerS)
  await page.keyboard.press('Space')
  await page.keyboard.press('g')
  await page.getByRole('region', { name: 'Make up time' }).waitFor()
}

/** 27:15 into the class Deer's left side begins: the pictures are taken a minute later. */
const inDeerS = 1700

/** The block of even breath in the breath course. */
const chooseEven = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: /^Even breath.*11:30/ }).click()
}

const pictures: readonly Picture[] = [
  {
    name: 'plan',
    path: 'plan/thursday-slow-hour',
    act: async (page) => {
      await page.getByRole('option', { name: /Deer, left/ }).click()
    },
  },
  {
    name: 'shelf',
    path: 'plan/thursday-slow-hour',
    act: async (page) => {
      await page.getByRole('link', { name: 'All of the shelf' }).click()
      await page.getByRole('checkbox', { name: /^Poses/ }).check()
      await page.getByRole('checkbox', { name: /^Outer hip/ }).check()
    },
  },
  {
    name: 'pose',
    path: 'plan/thursday-slow-hour',
    act: async (page) => {
      await page.getByRole('link', { name: 'All of the shelf' }).click()
      await page.getByRole('link', { name: 'Deer', exact: true }).click()
    },
  },
  { name: 'sessions', path: 'sessions' },
  {
    name: 'series',
    path: 'series/thursday',
    act: async (page) => {
      const week = page.getByRole('tab', { name: /^week 4/ })
      await week.filter({ hasText: 'led' }).click()
    },
  },
  { name: 'journal', path: 'journal' },
  { name: 'led-class', path: 'journal/thursday-4-weeks-ago' },
  {
    name: 'sheet',
    path: 'plan/thursday-slow-hour',
    act: async (page) => {
      await page.emulateMedia({ media: 'print' })
      await page.getByTestId('sheet').waitFor()
    },
  },
  {
    name: 'fits',
    path: 'sessions',
    act: async (page) => {
      await page.getByRole('button', { name: /^Templates/ }).click()
      await page.getByRole('button', { name: 'Begin from A slow hour' }).click()
      const length = page.getByRole('textbox', { name: 'Length to fill' })
      await length.fill('45')
      await length.press('Enter')
      await page.getByRole('button', { name: 'Fit', exact: true }).click()
      await page
        .getByText(/^drops /)
        .last()
        .waitFor()
    },
  },
  {
    name: 'props',
    path: 'props/sunday-long-rest',
    act: async (page) => {
      await page.getByRole('button', { name: /^Inclined rest/ }).click()
      await page.getByText('edge 3.5 cm').waitFor()
      await page.waitForTimeout(1200)
    },
  },
  {
    name: 'cupboard',
    path: 'needs/thursday-slow-hour',
    act: async (page) => {
      await page.getByText('For all the same').waitFor()
    },
  },
  {
    name: 'who',
    path: 'who/thursday-slow-hour',
    act: async (page) => {
      await page.getByRole('button', { name: 'Imke Larrow, Sphinx: side rest' }).click()
    },
  },
  {
    name: 'people',
    path: 'people',
    act: async (page) => {
      await page.getByRole('button', { name: /^Ansgar Tiel/ }).click()
    },
  },
  { name: 'breath', path: 'breath/breath-week-6', act: chooseEven },
  {
    name: 'ladder',
    path: 'breath/breath-week-6',
    act: async (page) => {
      await chooseEven(page)
      for (const label of ['Even weeks before', 'Now in week']) {
        await page.getByLabel(label, { exact: true }).fill('6')
        await page.getByLabel(label, { exact: true }).press('Enter')
      }
      await page.getByRole('combobox', { name: 'Lessons beside it' }).press('ArrowDown')
      for (const name of ['Three-part breath', 'Soft throat breath']) await page.getByRole('option', { name }).click()
      await page.keyboard.press('Escape')
      await page.getByLabel('Lessons from week', { exact: true }).fill('3')
      await page.getByLabel('Lessons from week', { exact: true }).press('Enter')
      const weeks = page.getByRole('region', { name: 'The ladder of weeks' }).getByRole('listitem')
      await weeks.last().scrollIntoViewIfNeeded()
    },
  },
  // Last, since each of them begins a class.
  { name: 'lead-hold', path: 'lead/thursday-slow-hour', act: leadFor(inDeerS) },
  { name: 'lead-late', path: 'lead/thursday-slow-hour', act: late },
  { name: 'lead-breath', path: 'lead/breath-week-6', act: leadFor(520) },
  { name: 'lead-phone', path: 'lead/thursday-slow-hour', size: { width: 390, height: 844 }, act: leadFor(inDeerS) },
]

/** The day of all pictures: the demo data counts its dates back from here. */
const thursday = new Date('2026-03-12T17:00:00Z')

/** In the page: the clock stands at the class's evening and moves on with what is pushed. */
const thursdayEvening = (startMs: number): string => `
  const steadyMs = () => performance.now() + Number(window.pushedMs ?? 0)
  window.zovrinPorts = { epochMs: () => ${String(startMs)} + steadyMs(), steadyMs }
`

runScript(async () => {
  await ensureChromium()
  await buildPages()
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-pictures-'))
  const { file } = await prepareDemo(folder, { now: () => thursday })
  const running = await startServer(
    { host: '127.0.0.1', port: 0, portIsFixed: true, dataFolder: folder },
    file,
    pagesFolder,
  )
  const browser = await chromium.launch({ executablePath: pictureChromiumPath(), args: chromiumArguments })
  const target = join(rootFolder, 'docs', 'screenshots')
  mkdirSync(target, { recursive: true })
  // A picture that fails ends the whole, and leaves nothing running.
  try {
    for (const { name, path, act, shows, size = { width: 1280, height: 800 } } of pictures) {
      const page = await browser.newPage({ viewport: size, timezoneId: 'Europe/Berlin', locale: 'en-GB' })
      await page.addInitScript({ content: thursdayEvening(thursday.getTime() + 3_600_000) })
      await page.goto(`${running.address}${path}`)
      await page
        .getByText(shows ?? /Thursday slow hour|Sunday long rest|Reed and bellows/)
        .first()
        .waitFor()
      await act?.(page)
      await page.evaluate(() => document.fonts.ready)
      await page.locator('.thumb[aria-busy="true"]').first().waitFor({ state: 'detached' })
      await page.mouse.move(640, 20)
      await page.waitForTimeout(300)
      await page.screenshot({ path: join(target, `${name}.png`) })
      await page.close()
      console.log(`docs/screenshots/${name}.png`)
    }
  } finally {
    await browser.close()
    await running.stop()
    rmSync(folder, { recursive: true, force: true })
  }
})
