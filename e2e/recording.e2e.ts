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
  await expect(page.getByText('4:06, 2 holds; the longest quiet')).toBeVisible()
  const rows = page.getByRole('region', { name: 'Held' }).getByRole('row')
  await expect(rows.nth(1)).toContainText(/Figure four, lying, left\s*2:00\s*2:0\d/)
  await expect(rows.nth(2)).toContainText(/Figure four, lying, right\s*1:3\d/)
  const sides = page.getByRole('region', { name: 'One side and the other' })
  await expect(sides).toContainText(/the second 0:\d\d shorter/)
  await sides.getByText(/\d sentences said on the left and not on the right/).click()
  await expect(sides).toContainText('“settle in, we stay here for two minutes.”')
  expect(await serious(page)).toEqual([])

  await picker.setInputFiles(file('letter.txt', 'Dear Mara, see you on Thursday.'))
  await expect(page.getByRole('alert')).toContainText('No captions were found in this file.')
  await expect(page.getByRole('heading', { name: 'monday.vtt' })).toBeVisible()
  await picker.setInputFiles(file('film.vtt', 'x'.repeat(5_000_001)))
  await expect(page.getByRole('alert')).toContainText('larger than 5 MB')
  expect(sent, 'nothing of it leaves the window').toBe(0)
})

test('what was measured is put right by keys and by mouse, kept in the browser, and becomes a session', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}journal/recording`)
  await page.getByLabel('File of captions', { exact: true }).setInputFiles(file('monday.vtt', webVtt))
  const strip = page.getByRole('listbox', { name: 'What was done, in true time' })
  const chosen = strip.getByRole('option', { selected: true })
  await strip.getByRole('option', { name: /Hold: Figure four, lying, right/ }).click()
  await strip.focus()
  await page.keyboard.press('l')
  await expect(chosen).toHaveAccessibleName(/Figure four, lying, left/)
  await page.keyboard.press('Control+z')
  await expect(chosen).toHaveAccessibleName(/Figure four, lying, right/)
  // Its end a second later, then split in two and joined again.
  const ends = page.getByRole('textbox', { name: 'Ends at' })
  await ends.fill('3:50')
  await ends.press('Enter')
  await strip.focus()
  await page.keyboard.press(']')
  await expect(chosen).toHaveAccessibleName(/–3:51/)
  const count = await strip.getByRole('option').count()
  await page.keyboard.press('s')
  await expect(strip.getByRole('option')).toHaveCount(count + 1)
  await page.keyboard.press('ArrowLeft')
  await page.keyboard.press('j')
  await expect(strip.getByRole('option')).toHaveCount(count)
  // Another pose, found by a part of its name.
  await page.keyboard.press('Enter')
  await expect(page.getByRole('combobox', { name: 'What it is' })).toBeFocused()
  await page.getByRole('combobox', { name: 'Pose' }).click()
  await page.getByRole('searchbox', { name: 'Part of the name: Pose' }).fill('sphi')
  await page.getByRole('option', { name: 'Sphinx', exact: true }).click()
  await expect(chosen).toHaveAccessibleName(/Hold: Sphinx/)

  await page.reload()
  await expect(strip.getByRole('option', { name: /Hold: Sphinx.*/ })).toHaveAccessibleName(/–3:51/)
  await page.getByRole('button', { name: 'Delete' }).click()
  await expect(strip).toBeHidden()
  await page.getByRole('button', { name: 'Bring it back' }).click()
  const edge = strip.locator('.edge').last()
  const box = await edge.boundingBox()
  if (!box) throw new Error('the strip shows its edges')
  await page.mouse.move(box.x + 4, box.y + 20)
  await page.mouse.down()
  await page.mouse.move(box.x - 100, box.y + 20, { steps: 3 })
  await page.mouse.up()
  await expect(strip.getByRole('option', { name: /Hold: Sphinx/ })).not.toHaveAccessibleName(/–3:51/)
  await page.getByRole('button', { name: 'Make a session of it' }).click()
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('monday, as recorded')
  await expect(page.getByRole('listbox').getByRole('option', { name: /Sphinx/ })).toBeVisible()
})
