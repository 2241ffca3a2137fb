import type { Page } from '@playwright/test'
import type { Person } from '#model/person'
import type { PlannedClass } from '#model/planned-class'
import { expect, test } from './fixtures.ts'
import type { House } from './fixtures.ts'

const planted: Person = {
  ...{ id: 'k3Qw81', name: 'Quirinia Zwackelmann', consents: [], note: 'Vesterbyknie', inCase: 'Onkel Zwackelmann' },
  conditions: [{ id: 'si_pain', severe: 'no', askedOn: '2026-11-01' }],
}
const names = /Zwackelmann|Quirinia|Vesterby/i
/** Words of what was told, where no usual caution stands that names it for everybody. */
const conditions = /sacroiliac|pelvic girdle/i

async function plant({ address }: House): Promise<void> {
  const put = async (path: string, document: object) => {
    const reply = await fetch(`${address}api/${path}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'If-Match': '"0"' },
      body: JSON.stringify(document),
    })
    expect(reply.status).toBe(200)
  }
  const now = new Date()
  const two = (n: number): string => String(n).padStart(2, '0')
  const planned: PlannedClass = {
    ...{ id: 'our-class', sessionId: 'thursday-slow-hour', placeId: 'bellows-house', guests: 3 },
    day: `${String(now.getFullYear())}-${two(now.getMonth() + 1)}-${two(now.getDate())}`,
    people: [{ personId: planted.id, notToday: ['fever'] }],
    ...{ forms: [], substitutes: [], setAside: [] },
  }
  await put(`people/${planted.id}`, planted)
  await put('planned-classes/our-class', planned)
}

/** All that can be read of a page: its words, labels and titles, its own title and its address. */
const readable = (page: Page) =>
  page.evaluate(() => {
    const spoken = [...document.querySelectorAll('[aria-label], [title], [placeholder]')].flatMap((element) =>
      ['aria-label', 'title', 'placeholder'].map((name) => element.getAttribute(name) ?? ''),
    )
    return [document.body.innerText, document.title, window.location.href, ...spoken].join('\n')
  })

test('no view but People and Who takes what tells anybody’s name, nor their titles and addresses', async ({
  page,
  house,
}) => {
  await plant(house)
  for (const path of [
    ...['sessions', 'plan/thursday-slow-hour', 'props/thursday-slow-hour', 'breath/thursday-slow-hour'],
    ...['needs/thursday-slow-hour', 'places', 'journal', 'shelf/deer', 'cautions', 'lead/thursday-slow-hour'],
  ]) {
    await page.goto(`${house.address}${path}`)
    await page.getByRole('heading', { level: 1 }).first().waitFor()
    await page.waitForLoadState('networkidle')
    expect(await readable(page), path).not.toMatch(names)
  }
  await page.goto(`${house.address}who/thursday-slow-hour`)
  await expect(page.getByRole('columnheader', { name: 'Quirinia Zwackelmann' })).toBeVisible()
  expect([await page.title(), page.url()].join(' ')).not.toMatch(names)
})

test('Plan’s findings, the sheet on paper and Lead tell numbers, never who nor what they have', async ({
  page,
  house,
}) => {
  await plant(house)
  await page.goto(`${house.address}plan/thursday-slow-hour`)
  await page.getByRole('button', { name: /to look at/ }).click()
  const findings = page.getByRole('region', { name: 'Findings' })
  await expect(findings).toContainText('1 person: no practice today')
  expect(await findings.innerText()).not.toMatch(names)
  await page.emulateMedia({ media: 'print' })
  expect(await page.locator('body').innerText()).not.toMatch(names)
  await page.emulateMedia({ media: null })
  await page.goto(`${house.address}lead/thursday-slow-hour`)
  await expect(page.getByText('1 person marked: no practice today.')).toBeVisible()
  expect(await readable(page)).not.toMatch(names)
  expect(await readable(page)).not.toMatch(conditions)
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await expect(page.getByTestId('clock')).toBeVisible()
  expect(await readable(page)).not.toMatch(names)
  expect(await readable(page)).not.toMatch(conditions)
})

test('a session’s file and a led class’s record hold nobody', async ({ page, house }) => {
  await plant(house)
  await page.goto(`${house.address}lead/thursday-slow-hour`)
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await expect(page.getByTestId('clock')).toBeVisible()
  const ledId = async () =>
    ((await (await fetch(`${house.address}api/planned-classes`)).json()) as { planned: PlannedClass }[]).find(
      ({ planned }) => planned.id === 'our-class',
    )?.planned.ledClassId
  await expect.poll(ledId).toBeDefined()
  const read = async (path: string) => (await fetch(`${house.address}api/${path}`)).text()
  await expect.poll(async () => read(`led-classes/${(await ledId()) ?? ''}`)).toContain('startedAt')
  for (const path of [
    'exchange/thursday-slow-hour',
    'sessions/thursday-slow-hour',
    `led-classes/${(await ledId()) ?? ''}`,
  ]) {
    const text = await read(path)
    expect(text, path).not.toMatch(names)
    expect(text, path).not.toContain(planted.id)
  }
})

test('a name typed into a session is marked, without saying it, and taken out in one step', async ({ page, house }) => {
  await plant(house)
  await page.goto(`${house.address}plan/thursday-slow-hour`)
  const name = page.getByRole('textbox', { name: 'Name', exact: true })
  await name.fill('Slow hour, with Quirinia')
  await name.press('Enter')
  await page.getByRole('button', { name: /to look at/ }).click()
  const findings = page.getByRole('region', { name: 'Findings' })
  await expect(findings).toContainText('A name stands in what the session is called or about')
  expect(await findings.innerText()).not.toMatch(names)
  await findings.getByRole('button', { name: /^Say “somebody”/ }).click()
  await expect(name).toHaveValue('Slow hour, with somebody')
  await page.getByRole('button', { name: /^Undo: say/ }).click()
  await expect(name).toHaveValue('Slow hour, with Quirinia')
})
