import { readFileSync } from 'node:fs'
import { aHold, aSession } from '#testing/sessions'
import { serious } from './axe.ts'
import { expect, test } from './fixtures.ts'

const extra = aSession([aHold('deer')], { id: 'extra', name: 'An extra hour' })

test('everything is backed up as a file, and put back; what was there is kept first', async ({ page, house }) => {
  await page.goto(`${house.address}sessions`)
  await page.getByRole('link', { name: 'Backups' }).click()
  await expect(page.getByText('There is none yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Make a backup now' }).click()
  await expect(page.getByText('The backup is made.')).toBeVisible()
  const row = page.getByRole('row').filter({ hasText: 'asked for' })
  await expect(row).toContainText(/\d+ sessions, \d+ led classes/)
  const [file] = await Promise.all([page.waitForEvent('download'), row.getByRole('link', { name: /^Save/ }).click()])
  expect(file.suggestedFilename()).toMatch(/-asked-.*\.zip$/)
  expect(
    readFileSync(await file.path())
      .subarray(0, 2)
      .toString(),
  ).toBe('PK')

  const imke = 'Kf2yTb5vLm7A'
  const people = async () => (await (await fetch(`${house.address}api/people`)).text()).includes(imke)
  expect(await people()).toBe(true)
  await fetch(`${house.address}api/people/${imke}`, { method: 'DELETE', headers: { 'If-Match': '"1"' } })
  expect(await people()).toBe(false)
  await house.create(extra)
  await page.goto(`${house.address}sessions`)
  await expect(page.getByText('An extra hour')).toBeVisible()
  await page.getByRole('link', { name: 'Backups' }).click()
  await page.getByRole('button', { name: /^Restore the backup/ }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('is kept as a backup first')
  // Whoever was deleted since is asked about: deleted again, unless one ticks them.
  await expect(dialog.getByRole('checkbox', { name: 'Imke Larrow' })).not.toBeChecked()
  expect(await serious(page, '[role=dialog]')).toEqual([])
  await Promise.all([
    page.waitForURL(`${house.address}sessions`),
    dialog.getByRole('button', { name: 'Keep what is here, and restore' }).click(),
  ])
  await expect(page.getByText('Thursday slow hour').first()).toBeVisible()
  await expect(page.getByText('An extra hour')).toHaveCount(0)
  expect(await people()).toBe(false)

  // What there was is a backup now, and comes back the same way.
  await page.getByRole('link', { name: 'Backups' }).click()
  const before = page.getByRole('row').filter({ hasText: 'before a restore' })
  await before.getByRole('button', { name: /^Restore/ }).click()
  await Promise.all([
    page.waitForURL(`${house.address}sessions`),
    page.getByRole('dialog').getByRole('button', { name: 'Keep what is here, and restore' }).click(),
  ])
  await expect(page.getByText('An extra hour')).toBeVisible()
})

test('a file that is no whole backup is refused with a sentence; while a class is led nothing is put back', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('422')
  expectFailures('409')
  await page.goto(`${house.address}backups`)
  await page
    .getByLabel('Backup to bring in')
    .setInputFiles({ name: 'notes.zip', mimeType: 'application/zip', buffer: Buffer.from('no zip at all') })
  await expect(page.getByRole('alert')).toContainText('Nothing was changed.')
  await page.getByRole('button', { name: 'Make a backup now' }).click()
  await expect(page.getByText('The backup is made.')).toBeVisible()
  const lead = await page.context().newPage()
  await lead.goto(`${house.address}lead/thursday-slow-hour`)
  await lead.getByRole('button', { name: 'Start', exact: true }).click()
  await expect(lead.getByTestId('clock')).toBeVisible()
  await expect.poll(async () => (await (await fetch(`${house.address}api/now`)).text()).includes('thursday')).toBe(true)
  await page.getByRole('button', { name: /^Restore the backup/ }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Keep what is here, and restore' }).click()
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('A class is led just now')
  await lead.close()
})

test('that the backup of the day was not made stands in the bar', async ({ page, house }) => {
  await page.route('**/api/health', (route) => route.fulfill({ json: { ok: true, isBackupLate: true } }))
  await page.goto(`${house.address}plan/thursday-slow-hour`)
  await page.getByRole('link', { name: 'No backup today' }).click()
  await expect(page.getByRole('heading', { name: 'Backups' })).toBeVisible()
})

test('all of one’s own goes out as open files; what is brought in and is here already stays as it is', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}backups`)
  const [zip] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save all as open files' }).click(),
  ])
  expect(zip.suggestedFilename()).toBe('zovrin-open-files.zip')
  await page.getByLabel('Zip of open files').setInputFiles(await zip.path())
  await expect(page.getByRole('status').filter({ hasText: 'Nothing new came in.' })).toContainText(
    /Here already, and left as it is: 4 sessions, .* 14 people/,
  )
})
