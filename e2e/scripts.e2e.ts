import type { Page } from '@playwright/test'
import { aClosing, aSession, aTalk } from '#testing/sessions'
import { expect, saved, test } from './fixtures.ts'
import type { House } from './fixtures.ts'
import { leadAt, pushBy } from './lead-at.ts'

const parts = (page: Page) => page.getByRole('list', { name: 'Parts of the script' })
const closingOf = async (house: House) =>
  (await house.session('thursday-slow-hour')).blocks.find(({ kind }) => kind === 'closing')
const choose = async (page: Page, option: string) => {
  await page.getByText('Choose a script').click()
  await page.getByRole('option', { name: option, exact: true }).click()
}

test('a script is put into the final rest, reordered by its parts, edited, and kept for other sessions', async ({
  plan,
  house,
}) => {
  await plan
    .getByRole('option', { name: /^Closing/ })
    .first()
    .click()
  await choose(plan, 'Body scan, feet to face')
  await expect(plan.getByTestId('script-said')).toHaveText(/^22 sentences, \d:\d\d of words, long quiet \d:\d\d of/)

  // The face goes before the neck, with the keys; the focus goes with it.
  const face = parts(plan).getByRole('button', { name: /^Face/ })
  await face.focus()
  await plan.keyboard.press('Alt+ArrowUp')
  await expect(face).toBeFocused()
  await expect(parts(plan).locator('.head b')).toHaveText([
    ...['Arriving', 'Feet', 'Legs', 'Pelvis', 'Belly', 'Back', 'Chest', 'Hands and arms'],
    ...['Face', 'Neck and throat', 'The whole body', 'Coming back'],
  ])

  // Words on two lines are two sentences; the long quiet goes where it is wanted.
  await parts(plan)
    .getByRole('button', { name: /^Chest/ })
    .click()
  const chest = plan.getByRole('list', { name: 'Sentences of Chest' })
  await chest.getByRole('textbox', { name: /^Sentence/ }).fill('The ribs open.\nThey close.')
  await chest.getByRole('textbox', { name: /^Sentence/ }).press('Tab')
  await expect(chest.getByRole('textbox', { name: /^Sentence/ })).toHaveCount(2)
  await chest
    .getByRole('button', { name: /^The long quiet after/ })
    .last()
    .click()
  await expect(chest.getByRole('button', { name: /^The long quiet after/, pressed: true })).toHaveCount(1)

  await plan.getByRole('button', { name: 'Keep it…' }).click()
  await plan.getByLabel('Keep this script as').fill('My scan')
  await plan.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(plan.getByLabel('Keep this script as')).toBeHidden()
  await saved(plan)
  const script = (await closingOf(house)) as {
    script?: { from: string; sentences: { text: string }[]; quietAfter: number }
  }
  expect(script.script?.from).toBe('body-scan')
  expect(script.script?.sentences[(script.script.quietAfter || 1) - 1]?.text).toBe('They close.')

  await plan.getByRole('button', { name: 'Take it away' }).click()
  await choose(plan, 'My scan · yours')
  await expect(plan.getByTestId('script-said')).toHaveText(/^23 sentences/)
  await plan.getByRole('button', { name: 'Take it away' }).click()
  await plan.getByRole('button', { name: 'Delete My scan' }).click()
  await plan.getByText('My scan is deleted.').getByRole('button', { name: 'Undo' }).click()
  await expect(plan.getByRole('button', { name: 'Delete My scan' })).toBeVisible()
})

test('a script that is too long for its time is found, says what could go, and is mended', async ({ page, house }) => {
  const sentences = Array.from({ length: 9 }, (_, at) => ({
    text: `Sentence number ${String(at)} is said in the talk`,
  }))
  await house.create(
    aSession([{ ...aTalk('arrive', 60), script: { sentences } }, aClosing({ finalRestS: 480 })], { id: 'told' }),
  )
  await page.goto(`${house.address}plan/told`)
  await page
    .getByRole('option', { name: /^Arrive/ })
    .first()
    .click()
  await expect(page.getByTestId('script-lack')).toBeHidden()
  await page.getByLabel('Time', { exact: true }).fill('40s')
  await page.getByLabel('Time', { exact: true }).press('Enter')
  await expect(page.getByTestId('script-lack')).toContainText('too long, even with pauses of two seconds')
  await page.getByRole('button', { name: /to look at/ }).click()
  await page.getByRole('button', { name: /^Leave \d sentences? out/ }).click()
  await expect(page.getByTestId('script-lack')).toBeHidden()
})

const spoken = {
  sentences: [
    { text: 'Let the floor carry you', pauseAfterS: 8 },
    { text: 'Feel the whole of it', pauseAfterS: 8 },
    { text: 'Come back when you like', pauseAfterS: 4 },
  ],
  quietAfter: 2,
}

test('in the class the sentence stands there, how long it is quiet, and the next one; half a minute more is quiet', async ({
  page,
  house,
}) => {
  await house.create(
    aSession([{ ...aTalk('arrive', 180), script: spoken }, aClosing({ finalRestS: 300 })], { id: 'spoken' }),
  )
  await leadAt(page, house.address, 1, 'spoken')
  const script = page.getByTestId('script')
  await expect(script).toContainText('Say, 1 of 3')
  await expect(script).toContainText('Let the floor carry you')
  await expect(script).toContainText('then Feel the whole of it')
  await pushBy(page, 29)
  await expect(page.getByTestId('script-quiet')).toHaveText(/^long quiet 2:[0-2]\d$/)
  await page.keyboard.press('+')
  await expect(page.getByTestId('script-quiet')).toHaveText(/^long quiet 2:[3-5]\d$/)
  await page.keyboard.press('t')
  await expect(script).toBeHidden()
  await page.keyboard.press('t')
  await expect(script).toContainText('then Come back when you like')
})

test('on a phone four large places are near the thumb, the rest is behind more, and no key is named', async ({
  page,
  house,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await leadAt(page, house.address, 300)
  const foot = page.locator('footer')
  await expect(foot.getByRole('button')).toHaveText([
    'Breathe freely',
    'Pause',
    'End this breath',
    'Stop signs',
    'More',
  ])
  for (const box of await foot.getByRole('button').all())
    expect((await box.boundingBox())?.height).toBeGreaterThanOrEqual(64)
  await foot.getByRole('button', { name: 'More' }).click()
  await page.getByRole('group', { name: 'More' }).getByRole('button', { name: 'What is left' }).click()
  await expect(page.getByRole('region', { name: 'What is left' })).toBeVisible()
  await expect(page.getByRole('group', { name: 'More' })).toBeHidden()
  await foot.getByRole('button', { name: 'Breathe freely' }).click()
  await expect(page.getByRole('region', { name: 'Now' })).toContainText('natural breath')
})

test('what is said while people arrange themselves is one’s own in this session, and is what Lead says', async ({
  plan,
  house,
}) => {
  await plan
    .getByRole('option', { name: /^Sphinx/ })
    .first()
    .click()
  const words = plan.getByRole('textbox', { name: /^Said while arranging Sphinx/ })
  await words.fill('Elbows under the shoulders\nBelly heavy')
  await words.press('Tab')
  await expect(plan.getByRole('button', { name: 'Take the usual words again' })).toBeVisible()
  await plan.getByLabel('Set-up', { exact: true }).fill('2:00')
  await plan.getByLabel('Set-up', { exact: true }).press('Enter')
  await saved(plan)
  await leadAt(plan, house.address, 800)
  await expect(plan.getByRole('region', { name: 'Now' })).toContainText('Elbows under the shoulders. Belly heavy')
})
