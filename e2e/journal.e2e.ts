import { readFileSync } from 'node:fs'
import { demoClasses } from '#server/demo/led-classes'
import type { Page } from '@playwright/test'
import { expect, test } from './fixtures.ts'

test('a long journal is read page by page, the newest first', async ({ page, house }) => {
  const [demo] = demoClasses(new Date('2026-03-12T17:00:00Z'))
  if (!demo) throw new Error('the demo has classes')
  const short = { ...demo.start, plan: { ...demo.start.plan, cues: [] } }
  for (let at = 0; at < 101; at += 1) {
    const startedAt = new Date(Date.UTC(2020, 0, 1 + at, 18)).toISOString()
    const led = { ...short, id: `former-${String(at)}`, startedAt, promisedEnd: startedAt }
    const { status } = await fetch(`${house.address}api/led-classes/${led.id}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(led),
    })
    expect(status).toBe(204)
  }
  await page.goto(`${house.address}journal`)
  const rows = page.getByRole('row')
  await expect(rows).toHaveCount(101)
  const earlier = page.getByRole('button', { name: 'Earlier classes' })
  await earlier.press('Enter')
  await expect(earlier).toBeHidden()
  const all = await rows.count()
  expect(all).toBeGreaterThan(102)
  await expect(rows.last()).toContainText('1 Jan 2020')
  await expect(page.getByRole('rowheader')).toHaveCount(all - 1)
})

const note = (page: Page) => page.getByLabel('What happened, in a line')

test('the note of a class is changed afterwards, and nothing typed of it is lost', async ({ page, house }) => {
  await page.goto(`${house.address}journal/thursday-1-weeks-ago`)
  await page.getByRole('button', { name: 'Change the note' }).press('Enter')
  await expect(note(page)).toBeFocused()
  await note(page).fill('Half of them slept.')
  await page.reload()
  await expect(note(page)).toHaveValue('Half of them slept.')
  await note(page).press('Escape')
  await expect(page.getByRole('alert')).toContainText('Not saved yet')
  await expect(note(page)).toHaveValue('Half of them slept.')
  await page.getByRole('button', { name: 'Save the note' }).click()
  await expect(page.getByText('Half of them slept.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Change the note' })).toBeFocused()
  await page.reload()
  await expect(page.getByText('Half of them slept.')).toBeVisible()
})

test('a note that another window changed meanwhile is met, and yours put in its place only when you say so', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('Failed to load resource')
  const address = `${house.address}journal/thursday-1-weeks-ago`
  await page.goto(address)
  await page.getByRole('button', { name: 'Change the note' }).click()
  await note(page).fill('Mine')
  const other = await page.context().newPage()
  await other.goto(address)
  await other.getByRole('button', { name: 'Change the note' }).click()
  await note(other).fill('Theirs')
  await other.getByRole('button', { name: 'Save the note' }).click()
  await expect(other.getByText('Theirs')).toBeVisible()
  await page.getByRole('button', { name: 'Save the note' }).click()
  await expect(page.getByRole('alert')).toContainText('changed in another window')
  await expect(page.getByText('Theirs')).toBeVisible()
  await expect(note(page)).toHaveValue('Mine')
  await page.getByRole('button', { name: 'Save the note' }).click()
  await expect(page.getByText('Mine')).toBeVisible()
  await expect(page.getByText('Theirs')).toBeHidden()
})

test('the journal is searched and narrowed, and a class is deleted with a way back', async ({ page, house }) => {
  await page.goto(`${house.address}journal`)
  const classes = page.getByRole('rowheader')
  await expect(classes).toHaveCount(6)
  await page.getByLabel('Find').fill('sore backs')
  await expect(classes).toHaveText(['Thursday slow hour'])
  await page.getByLabel('Find').fill('nothing of the kind')
  await expect(page.getByText('No class fits this.')).toBeVisible()
  await page.getByRole('button', { name: 'Show all' }).click()
  await expect(classes).toHaveCount(6)
  await page.getByRole('combobox', { name: 'Session' }).click()
  await page.getByRole('option', { name: 'Reed and bellows' }).click()
  await expect(classes).toHaveText(['Reed and bellows'])
  await classes.getByRole('link').click()
  await page.getByRole('button', { name: 'Delete this class from the journal' }).click()
  await expect(page.getByText('Deleted: Reed and bellows')).toBeVisible()
  await expect(classes).toHaveText([
    'Thursday slow hour',
    'Sunday long rest',
    ...Array.from({ length: 3 }, () => 'Thursday slow hour'),
  ])
  await page.getByRole('button', { name: 'Bring it back' }).click()
  await expect(classes).toHaveCount(6)
})

test('what was found in the journal is handed over as a file', async ({ page, house }) => {
  await page.goto(`${house.address}journal`)
  await page.getByRole('textbox', { name: 'Find' }).fill('sore')
  await expect(page.getByRole('row')).toHaveCount(2)
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export as CSV' }).click(),
  ])
  expect(file.suggestedFilename()).toBe('journal.csv')
  const lines = readFileSync(await file.path(), 'utf8')
    .trim()
    .split('\r\n')
  expect(lines).toHaveLength(2)
  expect(lines[1]).toContain('Thursday slow hour,3528,')
})

test('an incident is written down beside the record: kept over a reload, in no search, no export and not on paper', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}journal/thursday-1-weeks-ago`)
  await page.getByRole('button', { name: 'Write down an incident' }).click()
  await page.getByLabel('When').fill('18:41')
  await page.getByLabel('What happened', { exact: true }).fill('Somebody grew faint')
  // Nothing typed is lost, neither by a key nor by a reload.
  await page.keyboard.press('Escape')
  await expect(page.getByRole('alert')).toHaveText(/^Not saved yet/)
  await page.reload()
  await expect(page.getByLabel('What happened', { exact: true })).toHaveValue('Somebody grew faint')
  await page.getByLabel('What was done, and who was told').fill('Lay down, legs up')
  await page.getByRole('button', { name: 'Save the incident' }).click()
  const incident = page.getByRole('region', { name: 'Incident' })
  await expect(incident).toContainText('Somebody grew faint')
  // The note is written over what was read, the incident with it.
  await page.getByRole('button', { name: 'Change the note' }).click()
  await page.getByLabel('What happened, in a line').fill('A full room')
  await page.getByRole('button', { name: 'Save the note' }).click()
  await expect(page.getByText('A full room')).toBeVisible()
  await page.reload()
  await expect(incident).toContainText('Lay down, legs up')

  const saving = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export as CSV' }).click()
  const csv = readFileSync(await (await saving).path(), 'utf8')
  expect(csv).toContain('begun again')
  expect(csv).not.toContain('faint')
  const captions = page.waitForEvent('download')
  await page.getByRole('button', { name: 'As captions' }).click()
  const file = await captions
  expect(file.suggestedFilename()).toBe('2026-03-05 Thursday slow hour.vtt')
  const vtt = readFileSync(await file.path(), 'utf8')
  expect(vtt).toContain('Deer, left · Hold')
  expect(vtt).not.toContain('faint')
  await page.emulateMedia({ media: 'print' })
  await expect(incident).toBeHidden()
  await page.emulateMedia({ media: 'screen' })

  await page.getByRole('button', { name: 'Change the incident' }).click()
  for (const field of ['When', 'What happened', 'What was done, and who was told'])
    await page.getByLabel(field, { exact: true }).fill('')
  await page.getByRole('button', { name: 'Take the incident away' }).click()
  await expect(page.getByRole('button', { name: 'Write down an incident' })).toBeFocused()
})

test('what another window writes of something else does not stand in the way; of the same it is met first', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('412')
  const api = `${house.address}api/led-classes/thursday-1-weeks-ago`
  const elsewhere = async (happened: string) => {
    const { version } = (await (await fetch(`${api}/incident`)).json()) as { version: number }
    const { status } = await fetch(`${api}/incident`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'If-Match': `"${String(version)}"` },
      body: JSON.stringify({ incident: { at: '18:41', happened, done: '' } }),
    })
    expect(status).toBe(200)
  }
  const incident = page.getByRole('region', { name: 'Incident' })
  await page.goto(`${house.address}journal/thursday-1-weeks-ago`)
  await page.getByRole('button', { name: 'Change the note' }).click()
  await note(page).fill('A full room')
  await elsewhere('A lamp fell')
  await page.getByRole('button', { name: 'Save the note' }).click()
  await expect(page.getByText('A full room')).toBeVisible()
  await expect(page.getByRole('alert')).toHaveCount(0)

  await page.reload()
  await page.getByRole('button', { name: 'Change the incident' }).click()
  await page.getByLabel('What happened', { exact: true }).fill('Mine')
  await elsewhere('Theirs')
  await page.getByRole('button', { name: 'Save the incident' }).click()
  await expect(page.getByRole('alert')).toContainText('changed in another window')
  await expect(incident).toContainText('Theirs')
  await page.getByRole('button', { name: 'Save the incident' }).click()
  await expect(incident.getByText('Mine')).toBeVisible()
})
