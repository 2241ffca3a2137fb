import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import type { Session } from '#model/session'
import type { Voice } from '#model/voice'
import { orThrow } from '#core/result'
import { compileTimeline, sayingsOf } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aHold, aSession, aTalk } from '#testing/sessions'
import { expect, test } from './fixtures.ts'
import type { House } from './fixtures.ts'
import { heardOn, listen, wav } from './listening.ts'
import { speak, withMicrophone } from './microphone.ts'

const session: Session = aSession(
  [
    { ...aTalk('talk', 40), text: 'Welcome, settle in' },
    aHold('deer', {
      id: 'deer',
      hold: { holdS: 60 },
      cues: [
        { id: 'jaw', at: { fromStartS: 20 }, text: 'Soften the jaw' },
        { id: 'back', at: { fromStartS: 22 }, text: 'and the back' },
      ],
    }),
  ],
  { id: 'voiced', name: 'Voiced', lengthS: 300 },
)
const timeline = orThrow(compileTimeline(session, shippedCatalog))
const instantsOf = (words: string): readonly number[] =>
  sayingsOf(timeline).flatMap(({ text, atMs }) => (text === words ? [atMs] : []))

const kept = async (house: House, id = 'voiced') =>
  (await (await fetch(`${house.address}api/voices/${id}`)).json()) as readonly Voice[]
async function bring(house: House, text: string, seconds: number, id = 'voiced'): Promise<void> {
  const said = new URLSearchParams({ text, lengthMs: String(seconds * 1000) })
  const reply = await fetch(`${house.address}api/voices/${id}/${text.replace(/\W/g, '-')}?${said.toString()}`, {
    method: 'PUT',
    headers: { 'Content-Type': 'audio/wav' },
    body: new Uint8Array(wav(seconds)),
  })
  expect(reply.status).toBe(200)
}
const button = (page: Page, name: string) => page.getByRole('button', { name, exact: true })
const sentence = (page: Page) => page.getByRole('heading', { level: 2 }).first()
async function record(page: Page, seconds: number, begin = 'Record'): Promise<void> {
  await button(page, begin).click()
  await expect(button(page, 'Stop')).toBeVisible()
  if (seconds > 0) await speak(page, seconds)
  await button(page, 'Stop').click()
  await expect(button(page, 'Stop')).toHaveCount(0)
}

test('sentences are recorded one after another, without the quiet around them, and stay with the session', async ({
  page,
  house,
}) => {
  await house.create(session)
  await withMicrophone(page)
  await page.goto(`${house.address}voice/voiced`)
  await expect(sentence(page)).toHaveText('Welcome, settle in')
  const texts = await page.getByRole('list', { name: 'Sentences' }).getByRole('listitem').count()
  expect(texts).toBe(new Set(sayingsOf(timeline).map(({ text }) => text)).size)
  await record(page, 0.8)
  // Kept, and on to what is said next.
  await expect.poll(async () => (await kept(house)).length).toBe(1)
  const [welcome] = await kept(house)
  expect(welcome).toMatchObject({ text: 'Welcome, settle in', type: 'audio/mp4' })
  expect(welcome?.lengthMs).toBeGreaterThan(700)
  expect(welcome?.lengthMs).toBeLessThan(1250)
  await expect(sentence(page)).not.toHaveText('Welcome, settle in')
  await expect(page.getByText(`1 of ${String(texts)} sentences recorded`)).toBeVisible()

  // By the keys as well; what has no room to be said is told to be too long.
  await page.getByRole('button', { name: /Soften the jaw/ }).click()
  await expect(page.getByText('Room for 2.0 s, until what is said next.')).toBeVisible()
  await page.keyboard.press('r')
  await expect(button(page, 'Stop')).toBeVisible()
  await speak(page, 2.4)
  await page.keyboard.press('r')
  await expect.poll(async () => (await kept(house)).length).toBe(2)
  await page.getByRole('button', { name: /Soften the jaw/ }).click()
  await expect(page.getByText(/Recorded, 2\.\d s: 0\.\d s too long\. It runs into what is said next/)).toBeVisible()

  await page.reload()
  await expect(page.getByText(`2 of ${String(texts)} sentences recorded`)).toBeVisible()
  // Where nothing is chosen it goes on where nothing is recorded.
  await expect(sentence(page)).not.toHaveText('Welcome, settle in')
})

test('what is recorded again or removed can be put back, and is heard', async ({ page, house }) => {
  await house.create(session)
  await bring(house, 'Welcome, settle in', 2)
  await withMicrophone(page)
  await page.goto(`${house.address}voice/voiced`)
  await page.getByRole('button', { name: /Welcome, settle in/ }).click()
  await expect(page.getByText('Recorded, 2.0 s.')).toBeVisible()
  await record(page, 0.6, 'Record again')
  await expect.poll(async () => (await kept(house)).map(({ type }) => type)).toEqual(['audio/mp4'])
  await button(page, 'Put it back').click()
  await expect.poll(async () => await kept(house)).toMatchObject([{ type: 'audio/wav', lengthMs: 2000 }])
  await page.getByRole('button', { name: /Welcome, settle in/ }).click()
  await button(page, 'Remove').click()
  await expect.poll(async () => (await kept(house)).length).toBe(0)
  await button(page, 'Put it back').click()
  await expect.poll(async () => (await kept(house)).length).toBe(1)
  const [heard] = await Promise.all([
    page.waitForResponse((reply) => reply.url().endsWith('/heard')),
    button(page, 'Listen').click(),
  ])
  expect(heard.status()).toBe(200)
})

test('what is recorded while another session is opened goes to its own', async ({ page, house }) => {
  await house.create(session)
  await house.create({ ...session, id: 'other', name: 'Another' })
  await withMicrophone(page)
  await page.goto(`${house.address}voice/voiced`)
  await button(page, 'Record').click()
  await speak(page, 0.6)
  // As the browser's own list of where one was does.
  await page.evaluate(() => {
    history.pushState(history.state, '', '/voice/other')
    dispatchEvent(new PopStateEvent('popstate', { state: history.state }))
  })
  await expect(page.getByText('What Another says')).toBeVisible()
  await expect.poll(async () => (await kept(house)).map(({ text }) => text)).toEqual(['Welcome, settle in'])
  expect(await kept(house, 'other')).toEqual([])
  await expect(page.getByText(/^0 of \d+ sentences recorded$/)).toBeVisible()
  await expect(button(page, 'Record')).toBeEnabled()
  await expect(button(page, 'Put it back')).toHaveCount(0)
})

test('silence is not kept; a microphone that may not be used or is not there is said', async ({ page, house }) => {
  await house.create(session)
  await withMicrophone(page)
  await page.goto(`${house.address}voice/voiced`)
  await button(page, 'Record').click()
  await speak(page, 0)
  await button(page, 'Stop').click()
  await expect(page.getByRole('alert')).toContainText('Nothing was heard')
  expect(await kept(house)).toEqual([])
  for (const [name, words] of [
    ['NotAllowedError', 'allow it for this page'],
    ['NotFoundError', 'No microphone was found'],
    ['NotReadableError', 'is another program using it?'],
  ] as const) {
    await page.goto(`${house.address}voice/voiced`)
    await page.evaluate((error) => {
      Object.assign(window, { zovrinPorts: { microphone: () => Promise.reject(new DOMException('no', error)) } })
    }, name)
    await button(page, 'Record').click()
    await expect(page.getByRole('alert')).toContainText(words)
    await expect(button(page, 'Record')).toBeEnabled()
  }
})

test('with the server away a recording waits in its window, and is kept when it is back', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('net::ERR_CONNECTION_REFUSED')
  await house.create(session)
  await withMicrophone(page)
  await page.goto(`${house.address}voice/voiced`)
  await button(page, 'Record').click()
  await speak(page, 0.6)
  await house.stop()
  await button(page, 'Stop').click()
  await expect(page.getByText('Not kept yet: “Welcome, settle in”')).toBeVisible()
  await house.start()
  await button(page, 'Keep').click()
  await expect(page.getByText('Not kept yet')).toHaveCount(0)
  expect(await kept(house)).toMatchObject([{ text: 'Welcome, settle in' }])
})

test('where it cannot be made ready a recording is kept as it was said, and not lost', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('voice-worker')
  expectFailures('net::ERR_FAILED')
  await house.create(session)
  await withMicrophone(page)
  await page.route('**/voice-worker*.js', (route) => route.abort())
  await page.goto(`${house.address}voice/voiced`)
  await record(page, 0.6)
  await expect.poll(async () => (await kept(house)).length).toBe(1)
  const [welcome] = await kept(house)
  expect(welcome).toMatchObject({ text: 'Welcome, settle in', type: 'audio/webm' })
  expect(welcome?.lengthMs).toBeGreaterThan(900)
})

test('in Lead the voice is off until it is chosen', async ({ page, house }) => {
  await house.create(session)
  await bring(house, 'Soften the jaw', 1)
  await listen(page)
  await page.goto(`${house.address}lead/voiced`)
  await expect(page.getByRole('combobox', { name: /^Own voice 1 of \d+ recorded$/ })).toHaveText('off')
  await button(page, 'Start').click()
  await expect.poll(async () => (await heardOn(page)).scheduled.some(({ kind }) => kind === 'bowl')).toBe(true)
  expect((await heardOn(page)).scheduled.some(({ kind }) => kind === 'voice')).toBe(false)
  expect((await heardOn(page)).kept).toEqual([])
})

test('where it is chosen each sentence is at hand before the class and scheduled at its instant', async ({
  page,
  house,
}) => {
  await house.create(session)
  await bring(house, 'Welcome, settle in', 2)
  await bring(house, 'Soften the jaw', 1)
  await bring(house, 'and the back', 39)
  await listen(page)
  await page.goto(`${house.address}lead/voiced`)
  await page.getByRole('combobox', { name: /^Own voice 3 of \d+ recorded, 1 too long$/ }).click()
  await page.getByRole('option', { name: 'on' }).click()
  await expect(page.getByRole('option')).toHaveCount(0)
  await expect.poll(async () => (await heardOn(page)).kept.length).toBe(3)
  await button(page, 'Start').click()
  await expect(page.getByTestId('clock')).toBeVisible()
  const { scheduled } = await heardOn(page)
  const voices = scheduled.filter(({ kind }) => kind === 'voice')
  const [first] = instantsOf('Soften the jaw')
  const [welcome, jaw] = [voices[0], voices.find(({ voiceId }) => voiceId === 'Soften-the-jaw')]
  // The first may have been begun again once the class's own clock stood.
  expect(welcome?.voiceId).toBe('Welcome--settle-in')
  const bell = scheduled.find(({ kind }) => kind === 'bowl')
  const bellMs = timeline.cues.find(({ sound }) => sound?.kind === 'bowl')?.atMs ?? NaN
  expect(Math.round(((jaw?.atS ?? NaN) - (bell?.atS ?? NaN)) * 1000)).toBe((first ?? NaN) - bellMs)
})

test('in the sound file it is heard at its instant, and is left out where that is asked', async ({ page, house }) => {
  await house.create(session)
  await bring(house, 'Soften the jaw', 1)
  await page.goto(`${house.address}sheets/voiced`)
  const rate = 24_000
  const saved = async () => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save the sound of the class as WAV' }).click(),
    ])
    const bytes = readFileSync(await file.path())
    return new Int16Array(bytes.buffer.slice(bytes.byteOffset + 44, bytes.byteOffset + 44 + bytes.readUInt32LE(40)))
  }
  await expect(page.getByLabel('With your own voice')).toBeChecked()
  const voiced = await saved()
  await page.getByLabel('With your own voice').uncheck()
  const plain = await saved()
  expect(voiced).toHaveLength(plain.length)
  const frames = instantsOf('Soften the jaw').map((ms) => (ms * rate) / 1000)
  expect(frames).toHaveLength(2)
  const differs = (from: number, to: number): number =>
    voiced.subarray(from, to).findIndex((sample, at) => sample !== plain[from + at])
  for (const frame of frames) {
    expect(differs(frame - rate, frame)).toBe(-1)
    expect(differs(frame, frame + rate)).toBeGreaterThanOrEqual(0)
    // The first sample of a sine is none.
    expect(differs(frame, frame + rate)).toBeLessThanOrEqual(2)
    expect(differs(frame + 1.1 * rate, frame + 3 * rate)).toBe(-1)
  }
})

test('the recordings go with the session in its file where that is asked, and come with it into another Zovrin', async ({
  page,
  house,
}) => {
  await house.create(session)
  await bring(house, 'Soften the jaw', 1)
  await page.goto(`${house.address}voice/voiced`)
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    button(page, 'Save the session with its voice').click(),
  ])
  await fetch(`${house.address}api/voices/voiced/Soften-the-jaw`, { method: 'DELETE' })
  await page.goto(`${house.address}sessions`)
  await page.getByLabel('File to import').setInputFiles(await file.path())
  await expect(page.getByText(/1 session here already, word for word/)).toBeVisible()
  expect(await kept(house)).toMatchObject([{ text: 'Soften the jaw', lengthMs: 1000, type: 'audio/wav' }])
})

test('why the session was not saved with its voice is said as the server says it', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('404')
  await house.create(session)
  await bring(house, 'Soften the jaw', 1)
  await page.goto(`${house.address}voice/voiced`)
  await expect(button(page, 'Save the session with its voice')).toBeEnabled()
  await fetch(`${house.address}api/sessions/voiced/state`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ deleted: true }),
  })
  await button(page, 'Save the session with its voice').click()
  await expect(page.getByText(/^It was not saved\. There is no session/)).toBeVisible()
})

test('what another session has of the same words is taken, and what is no longer said is told and removed', async ({
  page,
  house,
}) => {
  await house.create(session)
  await house.create({ ...session, id: 'copy', name: 'A copy' })
  await bring(house, 'Soften the jaw', 1)
  await bring(house, 'These words went', 1, 'copy')
  await page.goto(`${house.address}voice/copy`)
  await button(page, 'Take what other sessions have').click()
  await expect(page.getByText('1 recording taken from other sessions.')).toBeVisible()
  expect((await kept(house, 'copy')).map(({ text }) => text)).toEqual(['Soften the jaw', 'These words went'])
  await page.getByRole('button', { name: 'Remove: These words went' }).click()
  await expect(page.getByRole('heading', { name: 'No longer said' })).toHaveCount(0)
  expect((await kept(house, 'copy')).map(({ text }) => text)).toEqual(['Soften the jaw'])
})
