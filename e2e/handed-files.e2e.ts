import { readFile } from 'node:fs/promises'
import type { Page } from '@playwright/test'
import type { KeptPlannedClass } from '#model/planned-class'
import { aClassToSend } from '#testing/led-classes'
import { aHold, aSession } from '#testing/sessions'
import { serious } from './axe.ts'
import { classes, planClass } from './class-helpers.ts'
import { expect, test } from './fixtures.ts'
import type { House } from './fixtures.ts'

const button = (page: Page, name: string) => page.getByRole('button', { name, exact: true })
const saved = async (page: Page, name: string) => {
  const [file] = await Promise.all([page.waitForEvent('download'), button(page, name).click()])
  return { name: file.suggestedFilename(), path: await file.path() }
}

/** Leads the class that came as a file, and says so of it. */
async function lead(page: Page, house: House, { planned, version }: KeptPlannedClass): Promise<void> {
  const session = aSession([aHold('deer')], { id: planned.sessionId, name: 'Thursday slow hour' })
  const { start, told, end } = aClassToSend(session)
  const at = `${house.address}api/led-classes/led`
  await page.request.put(at, { data: { ...start, id: 'led', sessionId: planned.sessionId } })
  await page.request.post(`${at}/events?after=0`, { data: told })
  await page.request.put(`${at}/end`, { data: { ...end, note: 'All were quiet.' } })
  await page.request.put(`${house.address}api/planned-classes/${planned.id}`, {
    headers: { 'If-Match': `"${String(version)}"` },
    data: { ...planned, ledClassId: 'led', posesLed: ['deer'] },
  })
}

test('a class goes to somebody without an account as a file, and its record comes back as one', async ({
  page,
  house,
}) => {
  await planClass(house, 'thursday-slow-hour', ['Imke Larrow', 'Katrijn Voss', 'Corvin Maas'], { guests: 2 })
  await page.goto(`${house.address}who/thursday-slow-hour`)
  await button(page, 'Hand it over to a colleague…').click()
  await page.getByLabel('Who leads it, by name').fill('Noor')
  await page.getByLabel('Your name').fill('Kaia')
  await page.getByLabel('What they should know').fill('The heating takes a while.')
  expect(await serious(page)).toEqual([])
  const file = await saved(page, 'Save the file')
  expect(file.name).toBe('thursday-slow-hour-2099-01-01-for-noor.zovrin.json')
  await expect(page.getByText('Handed over to Noor.')).toBeVisible()
  expect(await readFile(file.path, 'utf8')).not.toContain('Imke')

  await page.goto(`${house.address}sessions`)
  await page.getByLabel('File to import').setInputFiles(file.path)
  const toLead = page.getByRole('list', { name: 'Handed over to you' })
  await expect(toLead).toContainText('in the place of KaiaThe heating takes a while.')
  const came = (await classes(house)).find(({ planned }) => planned.handedFrom)
  expect(came?.planned.guests).toBe(5)
  if (came) await lead(page, house, came)

  await page.goto(`${house.address}journal/led`)
  const record = await saved(page, 'Save the record for Kaia')
  await page.goto(`${house.address}who/thursday-slow-hour`)
  await page.getByLabel('Record of the class').setInputFiles(record.path)
  await page.getByRole('link', { name: 'The record' }).click()
  await expect(page.getByText('led by Noor')).toBeVisible()
  await expect(page.getByText('All were quiet.')).toBeVisible()
})
