import { readFileSync } from 'node:fs'
import type { Download, Page } from '@playwright/test'
import type { Session } from '#model/session'
import { leadPlan, soundsByClock } from '#core/lead'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aHold, aSession, aTalk } from '#testing/sessions'
import { expect, test } from './fixtures.ts'

const session: Session = aSession([aTalk('talk', 20), aHold('deer', { id: 'deer', hold: { holdS: 60 } })], {
  id: 'short-sound',
  name: 'Short sound',
  lengthS: 300,
})
const rate = 24_000

async function saved(page: Page, button: string): Promise<Download> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: button }).click(),
  ])
  return download
}

/** The samples of a WAV file of one channel, after its head of 44 bytes. */
function samplesOf(bytes: Buffer): Int16Array {
  expect(bytes.toString('latin1', 36, 40)).toBe('data')
  const length = bytes.readUInt32LE(40)
  return new Int16Array(bytes.buffer.slice(bytes.byteOffset + 44, bytes.byteOffset + 44 + length))
}

test('the sound file is as long as the class, and each bell that comes out of silence begins within a sample of its instant', async ({
  page,
  house,
}) => {
  await house.create(session)
  await page.goto(`${house.address}sheets/short-sound`)
  const file = await saved(page, 'Save the sound of the class as WAV')
  expect(file.suggestedFilename()).toBe('short-sound.wav')
  const samples = samplesOf(readFileSync(await file.path()))
  const timeline = orThrow(compileTimeline(session, shippedCatalog))
  expect(samples).toHaveLength((timeline.totalMs * rate) / 1000)
  const loudest = samples.reduce((most, sample) => Math.max(most, Math.abs(sample)), 0)
  expect(loudest).toBeGreaterThan(2000)
  expect(loudest).toBeLessThan(32_767)
  const due = soundsByClock(leadPlan(timeline, {}))
  const firsts = due.filter(({ atMs }, at) => at === 0 || atMs - (due[at - 1]?.atMs ?? 0) > 20_000)
  expect(firsts.length).toBeGreaterThan(2)
  for (const { atMs } of firsts) {
    const frame = (atMs * rate) / 1000
    const before = samples.subarray(Math.max(0, frame - rate), frame)
    expect(before.every((sample) => sample === 0)).toBe(true)
    const onset = samples.subarray(frame, frame + rate).findIndex((sample) => sample !== 0)
    expect(onset).toBeGreaterThanOrEqual(0)
    expect(onset).toBeLessThanOrEqual(1)
  }
  const chapters = readFileSync(await (await saved(page, 'Save its chapters as WebVTT')).path(), 'utf8')
  expect(chapters).toMatch(/00:00:20\.000 --> [^]*Deer/)
})

test('as Opus it is as long, and its bells begin within a frame of Opus of their instants', async ({ page, house }) => {
  await house.create(session)
  await page.goto(`${house.address}sheets/short-sound`)
  const file = await saved(page, 'Save the sound of the class as Opus')
  expect(file.suggestedFilename()).toBe('short-sound.mp4')
  const bytes = readFileSync(await file.path())
  // Its chapters stand in a track of text of the same container.
  for (const part of ['wvtt', 'Chapters', 'Deer']) expect(bytes.includes(part)).toBe(true)
  const coded = bytes.toString('base64')
  const timeline = orThrow(compileTimeline(session, shippedCatalog))
  const due = soundsByClock(leadPlan(timeline, {}))
  const firsts = due
    .filter(({ atMs }, at) => at === 0 || atMs - (due[at - 1]?.atMs ?? 0) > 20_000)
    .map(({ atMs }) => atMs)
  const heard = await page.evaluate(
    async ({ text, instants }) => {
      const bytes = Uint8Array.from(atob(text), (sign) => sign.charCodeAt(0))
      const buffer = await new OfflineAudioContext(1, 1, 48_000).decodeAudioData(bytes.buffer)
      const samples = buffer.getChannelData(0)
      const from = (ms: number) => Math.max(0, Math.round(ms * 48))
      return {
        seconds: buffer.duration,
        onsets: instants.map(
          (ms) =>
            samples.subarray(from(ms - 100), from(ms + 200)).findIndex((sample) => Math.abs(sample) > 0.01) / 48 -
            Math.min(100, ms),
        ),
      }
    },
    { text: coded, instants: firsts },
  )
  // A frame of Opus is 20 ms.
  expect(Math.abs(heard.seconds * 1000 - timeline.totalMs)).toBeLessThanOrEqual(20)
  expect(heard.onsets.length).toBeGreaterThan(2)
  for (const lateMs of heard.onsets) expect(Math.abs(lateMs)).toBeLessThanOrEqual(20)
})

test('a long sound file can be given up while it is mixed, and made again', async ({ page, house }) => {
  await page.goto(`${house.address}sheets/thursday-slow-hour`)
  let downloads = 0
  page.on('download', () => (downloads += 1))
  // The worker holds its answers back until it is let go.
  await page.evaluate(() => {
    const post = Object.getOwnPropertyDescriptor(Worker.prototype, 'postMessage')?.value as Worker['postMessage']
    Object.assign(window, { post })
    Worker.prototype.postMessage = () => undefined
  })
  await page.getByRole('button', { name: 'Save the sound of the class as WAV' }).click()
  await expect(page.getByText('0 % mixed')).toBeVisible()
  await page.getByRole('button', { name: 'Give it up' }).click()
  await expect(page.getByText('% mixed')).toHaveCount(0)
  expect(downloads).toBe(0)
  await page.evaluate(() => {
    Worker.prototype.postMessage = (window as unknown as { post: Worker['postMessage'] }).post
  })
  const file = await saved(page, 'Save the sound of the class as WAV')
  expect(file.suggestedFilename()).toBe('thursday-slow-hour.wav')
  await expect(page.getByText('% mixed')).toHaveCount(0)
})

test('where the browser cannot render a sound, that is said, and the file can be asked for again', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}sheets/thursday-slow-hour`)
  await page.evaluate(() => {
    Object.assign(window, { render: OfflineAudioContext.prototype.startRendering })
    OfflineAudioContext.prototype.startRendering = () => Promise.reject(new Error('no memory'))
  })
  await page.getByRole('button', { name: 'Save the sound of the class as WAV' }).click()
  await expect(page.getByRole('alert')).toHaveText('The sound file could not be made. Reload the page and try again.')
  await expect(page.getByText('% mixed')).toHaveCount(0)
  await page.evaluate(() => {
    OfflineAudioContext.prototype.startRendering = (
      window as unknown as { render: OfflineAudioContext['startRendering'] }
    ).render
  })
  await saved(page, 'Save the sound of the class as WAV')
  await expect(page.getByRole('alert')).toHaveCount(0)
})
