import type { Page } from '@playwright/test'
import { Sequelize } from 'sequelize'
import { postgresPrograms, startPostgres, withoutPostgres } from '#testing/postgres'
import type { PostgresServer } from '#testing/postgres'
import { aSession, aTalk } from '#testing/sessions'
import { serious } from './axe.ts'
import { expect, saved, test as base } from './fixtures.ts'
import { button, signOut } from './sign-out.ts'

/** A studio's house: on PostgreSQL, where whoever comes by the network signs in. */
const test = base.extend<object, { postgres: PostgresServer }>({
  postgres: [
    async ({ browserName: _ }, use) => {
      const postgres = await startPostgres(postgresPrograms() ?? '')
      await use(postgres)
      postgres.stop()
    },
    { scope: 'worker' },
  ],
  database: async ({ postgres }, use, { testId }) => {
    const server = new Sequelize(postgres.addressOf('postgres'), { logging: false })
    const name = `studio_${testId.replaceAll('-', '_')}`
    await server.query(`CREATE DATABASE "${name}"`)
    await server.close()
    await use(() => postgres.addressOf(name))
  },
})
test.skip(postgresPrograms() === undefined, withoutPostgres)
// One server of PostgreSQL is enough for them.
test.describe.configure({ mode: 'default' })

const passwords = { Kaia: 'a quiet long evening', Noor: 'the wall at the window' } as const
const notLetIn = /^No teacher has this name with what was typed/
const field = (page: Page, name: string) => page.getByLabel(name, { exact: true })

async function byCode(page: Page, name: 'Kaia' | 'Noor', code: string, password: string = passwords[name]) {
  await field(page, 'Name').fill(name)
  await field(page, 'Code').fill(code)
  await field(page, 'Choose a password').fill(password)
  await page.locator('button[type=submit]').click()
}
async function signIn(page: Page, name: string, password: string): Promise<void> {
  // Whatever was open stays behind it, unseen.
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill(name)
  await field(page, 'Password').fill(password)
  await button(page, 'Sign in').click()
}
async function begin(page: Page, house: { readonly address: string; readonly firstCode: string }): Promise<void> {
  await page.goto(house.address)
  await byCode(page, 'Kaia', house.firstCode)
  await expect(button(page, 'Signed in as Kaia')).toBeVisible()
}
/** Noor is added by the keeper who is signed in; the code that is told this once. */
async function addNoor(page: Page, address: string): Promise<string> {
  await page.goto(`${address}teachers`)
  await field(page, 'Name').fill('Noor')
  await button(page, 'Add').click()
  return (await page.locator('.handed b').textContent()) ?? ''
}

test('a studio is begun by the code that was printed, and a colleague by a code of the keeper’s', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('401')
  expectFailures('404')
  expectFailures('422')
  await page.goto(house.address)
  await expect(page.getByRole('heading', { name: 'Begin this house' })).toBeVisible()
  expect(await serious(page)).toEqual([])
  await byCode(page, 'Kaia', 'AAAA-BBBB-CCCC')
  await expect(page.getByRole('alert')).toHaveText(notLetIn)
  await byCode(page, 'Kaia', house.firstCode, 'short')
  await expect(page.getByRole('alert')).toHaveText(/ten signs/i)
  await byCode(page, 'Kaia', house.firstCode)
  await expect(button(page, 'Signed in as Kaia')).toBeVisible()
  const session = aSession([aTalk('talk')], { id: 'of-kaia', name: 'Kaia’s evening' })
  expect((await page.request.post(`${house.address}api/sessions`, { data: session })).status()).toBe(201)

  const code = await addNoor(page, house.address)
  await expect(page.getByRole('row', { name: /^Noor / })).toContainText('Teacher, has chosen no password yet')
  expect(await serious(page)).toEqual([])
  await signOut(page)
  // Who has an account is told to nobody.
  await expect(page.getByText('Noor')).toHaveCount(0)
  await button(page, 'I was given a code').click()
  await byCode(page, 'Noor', code)
  await expect(button(page, 'Signed in as Noor')).toBeVisible()
  await page.goto(`${house.address}sessions`)
  await expect(page.getByText('Your sessions stand here.')).toBeVisible()
  await page.goto(`${house.address}plan/of-kaia`)
  await expect(page.getByRole('heading', { name: 'This session is not here' })).toBeVisible()
  await page.goto(`${house.address}teachers`)
  await expect(field(page, 'Password until now')).toBeVisible()
  await expect(button(page, 'Add')).toHaveCount(0)
})

test('a wrong name and a wrong password are told in the same words; another password signs every other browser out', async ({
  page,
  house,
  browser,
  expectFailures,
}) => {
  expectFailures('401')
  await begin(page, house)
  const session = aSession([aTalk('talk')], { id: 'of-kaia', name: 'Kaia’s evening' })
  expect((await page.request.post(`${house.address}api/sessions`, { data: session })).status()).toBe(201)
  const elsewhere = await browser.newContext({ serviceWorkers: 'block' })
  const tablet = await elsewhere.newPage()
  await tablet.goto(`${house.address}plan/of-kaia`)
  const words: string[] = []
  for (const [name, password] of [
    ['Nobody', passwords.Kaia],
    ['Kaia', passwords.Noor],
  ] as const) {
    const answered = tablet.waitForResponse((one) => one.request().method() === 'POST')
    await signIn(tablet, name, password)
    const answer = await answered
    expect(answer.status()).toBe(401)
    words.push(await answer.text())
    await expect(tablet.getByRole('alert')).toHaveText(notLetIn)
  }
  expect(words[1]).toBe(words[0])
  await signIn(tablet, 'Kaia', passwords.Kaia)
  const typed = field(tablet, 'Name').first()
  await expect(typed).toHaveValue('Kaia’s evening')

  await page.goto(`${house.address}teachers`)
  await field(page, 'Password until now').fill(passwords.Kaia)
  await field(page, 'New password').fill('another long evening')
  await button(page, 'Change it').click()
  await expect(page.getByText('It is changed. Other browsers are signed out.')).toBeVisible()
  await typed.fill('Kaia’s evening, typed on the tablet')
  await typed.press('Enter')
  await expect(tablet.getByRole('heading', { name: 'Who teaches?' })).toBeVisible()
  await signIn(tablet, 'Kaia', passwords.Kaia)
  await expect(tablet.getByRole('alert')).toHaveText(notLetIn)
  await signIn(tablet, 'Kaia', 'another long evening')
  // What was typed when one was signed out is there, and is saved.
  await expect(typed).toHaveValue('Kaia’s evening, typed on the tablet')
  await saved(tablet)
  await elsewhere.close()
})
