import { serious } from './axe.ts'
import { expect, test } from './fixtures.ts'

const webVtt = `WEBVTT

00:00.000 --> 00:06.000
Lie on your back. Cross the left ankle over the right knee for figure four.

00:07.000 --> 00:10.000
Settle in, we stay here for two minutes.

02:12.000 --> 02:16.000
Slowly come out of it.

02:18.000 --> 02:23.000
And the other side, right ankle over the left knee.

02:24.000 --> 02:27.000
Settle in again.

04:00.000 --> 04:06.000
Slowly come out, and thank you all for coming.
`
const file = (name: string, text: string) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(text) })

test('a recorded class is measured by its captions; what is no captions is told, and takes nothing away', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}journal`)
  await page.getByRole('link', { name: 'Measure a recording' }).click()
  await expect(page.getByRole('heading', { name: 'Measure a recording' })).toBeVisible()
  const picker = page.getByLabel('File of captions', { exact: true })
  let sent = 0
  page.on('request', (request) => (sent += Number(request.method() !== 'GET')))
  await picker.setInputFiles(file('monday.vtt', webVtt))
  await expect(page.getByRole('heading', { name: 'monday.vtt' })).toBeVisible()
  await expect(page.getByRole('status')).toContainText('4:06, 2 holds; the longest quiet')
  const rows = page.getByRole('region', { name: 'Held' }).getByRole('row')
  await expect(rows.nth(1)).toContainText(/Figure four, lying, left\s*2:00\s*2:0\d/)
  await expect(rows.nth(2)).toContainText(/Figure four, lying, right\s*1:3\d/)
  await expect(page.getByRole('region', { name: 'One side and the other' })).toContainText(/the second 0:\d\d shorter/)
  expect(await serious(page)).toEqual([])

  await picker.setInputFiles(file('letter.txt', 'Dear Mara, see you on Thursday.'))
  await expect(page.getByRole('alert')).toContainText('No captions were found in this file.')
  await expect(page.getByRole('heading', { name: 'monday.vtt' })).toBeVisible()
  await picker.setInputFiles(file('film.vtt', 'x'.repeat(5_000_001)))
  await expect(page.getByRole('alert')).toContainText('larger than 5 MB')
  expect(sent, 'nothing of it leaves the window').toBe(0)
})
