import type { Page } from '@playwright/test'
import type { KeptPerson } from '#model/person'
import type { KeptPlannedClass } from '#model/planned-class'
import type { Session } from '#model/session'
import { aSession, aTalk } from '#testing/sessions'
import { serious } from './axe.ts'
import { expect, test } from './fixtures.ts'
import type { House } from './fixtures.ts'
import { button, signOut } from './sign-out.ts'

const imke = 'Kf2yTb5vLm7A'

/** A second teacher on this machine: Kaia, whose everything was, is signed in; and Noor. */
async function addNoor(page: Page, house: House): Promise<void> {
  await page.goto(`${house.address}teachers`)
  await page.getByLabel('Your name').fill('Kaia')
  await page.getByLabel('Your PIN').fill('4711')
  await page.getByLabel('Their name').fill('Noor')
  await page.getByLabel('Their PIN').fill('0815')
  await button(page, 'Add them').click()
  await expect(button(page, 'Signed in as Kaia')).toBeVisible()
}
async function signIn(page: Page, name: string, pin: string): Promise<void> {
  await button(page, name).click()
  await page.getByLabel('PIN', { exact: true }).fill(pin)
  await button(page, 'Sign in').click()
  await expect(button(page, `Signed in as ${name}`)).toBeVisible()
}

test('a second teacher has sessions and a journal of their own, and the same people and places', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('401')
  expectFailures('404')
  const before = (await (await page.request.get(`${house.address}api/people`)).json()) as readonly KeptPerson[]
  await addNoor(page, house)
  await signOut(page)
  expect(await serious(page)).toEqual([])
  await signIn(page, 'Noor', '0815')
  await expect(page.getByText('Your sessions stand here.')).toBeVisible()
  // What is one's own can be taken along; the house is backed up by whoever keeps it.
  await page.getByRole('link', { name: 'Backups' }).click()
  await expect(button(page, 'Save all as open files')).toBeVisible()
  await expect(button(page, 'Make a backup now')).toHaveCount(0)
  // Everybody who comes is known; what they told Kaia is not.
  await page.goto(`${house.address}people/${imke}`)
  await expect(page.getByRole('heading', { name: 'Imke Larrow' })).toBeVisible()
  const told = (await (await page.request.get(`${house.address}api/people`)).json()) as readonly KeptPerson[]
  expect(told.length).toBe(before.length)
  expect(told.flatMap(({ person }) => person.conditions)).toEqual([])
  expect(before.flatMap(({ person }) => person.conditions).length).toBeGreaterThan(0)
  // What is a colleague's is not here, also where its address is known.
  await page.goto(`${house.address}plan/thursday-slow-hour`)
  await expect(page.getByRole('heading', { name: 'This session is not here' })).toBeVisible()
})

test('nothing of whoever signed out is shown while it is not known who comes', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('ERR_FAILED')
  await house.create(aSession([aTalk('talk')], { id: 'mine', name: 'Seen by Kaia alone' }))
  await addNoor(page, house)
  await page.goto(`${house.address}plan/mine`)
  await page.getByLabel('Name', { exact: true }).first().waitFor()
  // The server goes away just after: all that is left is what this browser keeps.
  await page.route('**/api/**', (route) => (route.request().method() === 'DELETE' ? route.continue() : route.abort()))
  await button(page, /^Signed in as/).click()
  await page.getByRole('menuitem', { name: 'Sign out' }).click()
  await expect(page.getByText('Zovrin’s server does not answer: start it and ask again.')).toBeVisible()
  await page.goto(`${house.address}plan/mine`)
  await expect(page.getByText('Zovrin’s server does not answer: start it and ask again.')).toBeVisible()
  await expect(page.getByText('Seen by Kaia alone')).toHaveCount(0)
  await page.unrouteAll()
  await button(page, 'Ask again').click()
  await expect(button(page, 'Noor')).toBeVisible()
})

test('a class is handed over with what each takes and no reasons, found by the colleague, and given back', async ({
  page,
  house,
  expectFailures,
}) => {
  test.slow()
  expectFailures('401')
  await addNoor(page, house)
  const all = (await (await page.request.get(`${house.address}api/planned-classes`)).json()) as KeptPlannedClass[]
  const kept = all.find(({ planned }) => planned.id === 'next-thursday')
  // One that is still to come, whatever day it is.
  await page.request.put(`${house.address}api/planned-classes/next-thursday`, {
    headers: { 'If-Match': `"${String(kept?.version)}"` },
    data: { ...kept?.planned, day: '2099-01-01' },
  })
  await page.goto(`${house.address}who/thursday-slow-hour`)
  const takes = page.getByText(/people take something else, \d+ times/)
  await expect(takes).toBeVisible()
  const asKaiaSees = await takes.textContent()
  await button(page, 'Hand it over to a colleague…').click()
  await page.getByLabel('What they should know').fill('The heating takes a while.')
  await button(page, 'Hand it over').click()
  await expect(page.getByText('Handed over to Noor.')).toBeVisible()
  await signOut(page)
  await signIn(page, 'Noor', '0815')
  const toLead = page.getByRole('list', { name: 'Handed over to you' })
  await expect(toLead).toContainText('in the place of KaiaThe heating takes a while.')
  await toLead.getByRole('link', { name: 'Thursday slow hour' }).click()
  await page.getByRole('link', { name: 'Who takes what' }).click()
  await expect(takes).toHaveText(asKaiaSees ?? '')
  expect(await serious(page)).toEqual([])
  await button(page, /^Imke Larrow, Sphinx/).click()
  await expect(page.getByRole('complementary')).toContainText('Side rest')
  await expect(page.getByRole('complementary')).not.toContainText(/pregnan/i)
  await button(page, 'Who comes').click()
  await button(page, 'Give it back to Kaia').click()
  await expect(page.getByText('given back to Kaia.')).toBeVisible()
})

/** Remarks are asked for at each focus: an answer that comes after a newer one takes nothing away, nor does none at all. */
async function staysSaid(page: Page, aboutToFail: () => void): Promise<void> {
  const remarks = '**/api/remarks/*'
  const focus = () => page.evaluate(() => window.dispatchEvent(new Event('focus')))
  let asked = 0
  let release: () => void = () => undefined
  const late = new Promise<void>((done) => (release = done))
  await page.route(remarks, async (route) => {
    asked += 1
    if (asked > 1) return route.continue()
    await late
    return route.fulfill({ json: { on: [], shownTo: [], of: null } })
  })
  await focus()
  await expect.poll(() => asked).toBe(1)
  const newer = page.waitForResponse(remarks)
  await focus()
  await newer
  const older = page.waitForResponse(remarks)
  release()
  await older
  await page.unroute(remarks)
  aboutToFail()
  await page.route(remarks, (route) => route.abort())
  const none = page.waitForEvent('requestfailed')
  await focus()
  await none
  await page.unroute(remarks)
  // Whatever came of the answers has come by now.
  await page.evaluate(() => fetch('/api/health'))
}

test('a session is shown to a colleague, who says something beside a block; it stands there until it is done with', async ({
  page,
  house,
  expectFailures,
}) => {
  // Three teachers’ evenings, one after the other.
  test.slow()
  expectFailures('401')
  await addNoor(page, house)
  await page.goto(`${house.address}plan/thursday-slow-hour`)
  await button(page, 'Show it to a colleague for remarks…').click()
  await button(page, 'Show it').click()
  await expect(page.getByText('Shown to Noor.')).toBeVisible()
  await signOut(page)
  await signIn(page, 'Noor', '0815')
  await page.getByRole('link', { name: 'Thursday slow hour (Kaia’s)' }).click()
  await page.getByRole('option', { name: /^Sphinx,/ }).click()
  await page.getByLabel('For Kaia, beside this block').fill('Three minutes after the fold: is that long?')
  await button(page, 'Say it').click()
  await expect(button(page, 'Take it back: Three minutes after the fold: is that long?')).toBeVisible()
  expect(await serious(page)).toEqual([])
  await signOut(page)
  await signIn(page, 'Kaia', '4711')
  await page.goto(`${house.address}plan/thursday-slow-hour`)
  await button(page, 'Sphinx').click()
  await expect(page.getByText('Noor: Three minutes after the fold: is that long?')).toBeVisible()
  await staysSaid(page, () => {
    expectFailures('ERR_FAILED')
  })
  await expect(page.getByText('Noor: Three minutes after the fold: is that long?')).toBeVisible()
  await button(page, 'Done with it: Three minutes after the fold: is that long?').click()
  await expect(page.getByText('Noor: Three minutes after the fold')).toHaveCount(0)
})

test('a wrong PIN is told, and a code of the keeper’s lets one choose another', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('401')
  expectFailures('422')
  await addNoor(page, house)
  await button(page, 'A new code for Noor').click()
  const code = await page.locator('.handed b').textContent()
  expect(code).toMatch(/^[A-Z0-9]{4}-[A-Z0-9]{4}-[A-Z0-9]{4}$/)
  await signOut(page)
  await button(page, 'Noor').click()
  await page.getByLabel('PIN', { exact: true }).fill('1111')
  await button(page, 'Sign in').click()
  await expect(page.getByRole('alert')).toHaveText(/^That is not it: try again\./)
  await button(page, 'I was given a code').click()
  await page.getByLabel('Name', { exact: true }).fill('Noor')
  await page.getByLabel('Code', { exact: true }).fill(code ?? '')
  await page.getByLabel('Choose a PIN').fill('12')
  await button(page, 'Sign in').click()
  await expect(page.getByRole('alert')).toHaveText(/A PIN has four to twelve digits/)
  await page.getByLabel('Choose a PIN').fill('2222')
  await button(page, 'Sign in').click()
  await expect(button(page, 'Signed in as Noor')).toBeVisible()
})

test('what is typed when the sign-in is over waits, and is saved once one is signed in again', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('401')
  await house.create(aSession([aTalk('talk')], { id: 'mine', name: 'Mine' }))
  await addNoor(page, house)
  // The last that is asked for when a session is opened.
  const remarks = page.waitForResponse('**/api/remarks/mine')
  await page.goto(`${house.address}plan/mine`)
  await page.getByLabel('Name', { exact: true }).first().waitFor()
  await remarks
  // As when the evening is over.
  await page.context().clearCookies()
  const typed = page.getByLabel('Name', { exact: true }).first()
  await typed.fill('Mine, typed late')
  // In the middle of it something else is asked for: it counts as if the field were left.
  await page.evaluate(() => window.dispatchEvent(new Event('focus')))
  await expect(page.getByRole('heading', { name: 'Who teaches?' })).toBeVisible()
  await button(page, 'Kaia').click()
  await page.getByLabel('PIN', { exact: true }).fill('4711')
  await button(page, 'Sign in').click()
  await expect(page.getByLabel('Name', { exact: true }).first()).toHaveValue('Mine, typed late')
  await expect
    .poll(async () => {
      const reply = await page.request.get(`${house.address}api/sessions/mine`)
      return ((await reply.json()) as Session).name
    })
    .toBe('Mine, typed late')
})

test('a window that a colleague was signed in under saves nothing into what is not theirs', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('401')
  expectFailures('404')
  await house.create(aSession([aTalk('talk')], { id: 'mine', name: 'Mine' }))
  await addNoor(page, house)
  await page.goto(`${house.address}plan/mine`)
  await page.getByLabel('Name', { exact: true }).first().waitFor()
  const other = await page.context().newPage()
  await other.goto(`${house.address}sessions`)
  await signOut(other)
  await signIn(other, 'Noor', '0815')
  // The first window noticed, and is Noor's now: with nothing of Kaia's in it.
  await expect(button(page, 'Signed in as Noor')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'This session is not here' })).toBeVisible()
})

test('axe finds nothing serious in the list of teachers', async ({ page, house }) => {
  await page.goto(`${house.address}teachers`)
  await page.getByLabel('Your name').waitFor()
  expect(await serious(page)).toEqual([])
  await addNoor(page, house)
  expect(await serious(page)).toEqual([])
})
