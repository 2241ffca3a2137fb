import { serious } from './axe.ts'
import { forNextThursday } from './class-helpers.ts'
import { expect, test } from './fixtures.ts'

for (const [name, path] of [
  ['the list of sessions', 'sessions'],
  ['a plan to be pasted', 'paste'],
  ['the sheets of a session', 'sheets/thursday-slow-hour'],
  ['the sentences of a session in the teacher’s voice', 'voice/thursday-slow-hour'],
  ['the backups', 'backups'],
  ['the teachers', 'teachers'],
  ['the licences', 'licences'],
  ['the shelf', 'shelf'],
  ['a pose', 'shelf/deer'],
  ['a technique', 'shelf/even-breath'],
  ['a pose of one’s own', 'shelf/new?from=deer'],
  ['the cautions', 'cautions'],
  ['the journal', 'journal'],
  ['a led class', 'journal/thursday-4-weeks-ago'],
  ['what drifts', 'journal/drift'],
  ['a recording to be measured', 'journal/recording'],
  ['Lead before it starts', 'lead/thursday-slow-hour'],
  ['Set-ups', 'props/sunday-long-rest'],
  ['Breath', 'breath/thursday-slow-hour'],
  ['Cupboard', 'places'],
  ['What a class needs', 'needs/thursday-slow-hour'],
  ['People', 'people'],
  ['a person’s page', 'people/qX7mB2tLr0aV'],
] as const) {
  test(`axe finds nothing serious in ${name}, and nothing makes it higher than its window`, async ({ page, house }) => {
    await page.goto(`${house.address}${path}`)
    await page.getByRole('heading', { level: 1 }).first().waitFor()
    expect(await serious(page)).toEqual([])
    const over = await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight)
    expect(over, 'what is scrolled scrolls in its pane, and the bar stays').toBeLessThanOrEqual(0)
  })
}

test('axe finds nothing serious in who takes what, in somebody’s block, and in what is asked today', async ({
  page,
  house,
}) => {
  await forNextThursday(page)
  await page.goto(`${house.address}who/thursday-slow-hour`)
  await page.getByRole('button', { name: 'Imke Larrow, Sphinx: side rest' }).click()
  await expect(page.getByRole('heading', { name: 'Side rest' })).toBeVisible()
  expect(await serious(page)).toEqual([])
  const over = await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight)
  expect(over).toBeLessThanOrEqual(0)
  await page.getByRole('button', { name: 'Not today…' }).click()
  expect(await serious(page, '[role=dialog]')).toEqual([])
})

test('axe finds nothing serious in a page that was handed over, and where it is given back', async ({
  page,
  house,
}) => {
  const handed = { personId: 'Zp5gHc1iTo9D', code: '4711', wrong: 0, notBeforeMs: 0 }
  await page.addInitScript(`window.localStorage.setItem('zovrin.handed', '${JSON.stringify(handed)}')`)
  await page.goto(`${house.address}people`)
  await page.getByRole('heading', { level: 1 }).waitFor()
  expect(await serious(page)).toEqual([])
  await page.getByRole('button', { name: 'Done, give it back' }).click()
  await page.getByLabel('The teacher’s code').waitFor()
  expect(await serious(page)).toEqual([])
})

test('axe finds nothing serious in what a class is short of, and in the room', async ({ page, house }) => {
  await page.goto(`${house.address}needs/sunday-long-rest`)
  await page.getByLabel('For how many people').fill('14')
  await page.getByLabel('For how many people').press('Enter')
  await expect(page.getByText('For all the same')).toBeVisible()
  expect(await serious(page)).toEqual([])
})

test('axe finds nothing serious in Plan, with each kind of block chosen, and in its dialog', async ({ plan }) => {
  test.setTimeout(120_000)
  expect(await serious(plan)).toEqual([])
  for (const name of [/Arrive/, /Even breath/, /Deer, left/, /Closing/]) {
    await plan.getByRole('option', { name }).click()
    await expect(plan.getByRole('complementary').getByRole('heading', { level: 1 })).toBeVisible()
    expect(await serious(plan, 'aside')).toEqual([])
  }
  await plan.getByRole('button', { name: 'The list of keys' }).click()
  expect(await serious(plan, '[role=dialog]')).toEqual([])
})

test('axe finds nothing serious in a set-up that is changed, with a step in the hold, and about to be kept', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}props/sunday-long-rest`)
  await page
    .getByRole('button', { name: /^1 blanket/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'Nearer the body' }).first().waitFor()
  await page
    .getByRole('button', { name: /^Take 1 blanket away/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'Keep it for this pose…' }).click()
  await page.getByRole('button', { name: 'A step in the hold' }).click()
  await page.getByLabel('What is said').waitFor()
  expect(await serious(page)).toEqual([])
})

test('axe finds nothing serious in a class that is led', async ({ page, house }) => {
  await page.goto(`${house.address}lead/thursday-slow-hour`)
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await page.getByTestId('clock').waitFor()
  expect(await serious(page)).toEqual([])
})

test('at 200 % nothing of Plan is cut off or unreachable', async ({ plan }) => {
  // Zoomed to 200 % a window of 1280 px has 640 px to set out in.
  await plan.setViewportSize({ width: 640, height: 400 })
  const overflow = await plan.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
  expect(overflow).toBeLessThanOrEqual(0)
  await plan.getByRole('option', { name: /Arrive/ }).click()
  await expect(plan.getByRole('complementary', { name: 'The chosen block' })).toBeVisible()
  await plan.getByRole('button', { name: 'Close' }).click()
  await expect(plan.getByRole('textbox', { name: 'Find a pose or breath' })).toBeVisible()
})

test('axe finds nothing serious in the fits, the order and the choosing of a session', async ({ plan }) => {
  await plan.getByRole('button', { name: 'Fit', exact: true }).click()
  await expect(plan.getByRole('region', { name: 'Use the spare time' })).toBeVisible()
  expect(await serious(plan, '[role=dialog]')).toEqual([])
  await plan.getByRole('button', { name: 'The order' }).click()
  await expect(plan.getByText(/changes (still )?take/i).first()).toBeVisible()
  expect(await serious(plan, '[role=dialog]')).toEqual([])
  await plan.keyboard.press('Escape')
  await plan.getByRole('textbox', { name: 'Length to fill' }).fill('30')
  await plan.keyboard.press('Enter')
  await plan.getByRole('button', { name: 'Fit', exact: true }).click()
  await expect(plan.getByText(/^drops /).first()).toBeVisible()
  expect(await serious(plan, '[role=dialog]')).toEqual([])
  await plan.keyboard.press('Escape')
  await plan.getByRole('link', { name: 'Zovrin' }).click()
  await plan.getByRole('button', { name: 'Choose one for me' }).click()
  await expect(plan.getByRole('rowheader').first()).toBeVisible()
  expect(await serious(plan, '[role=dialog]')).toEqual([])
})

test('axe finds nothing serious in the findings, the balance and the comparison', async ({ plan }) => {
  await plan.getByRole('button', { name: /to look at/ }).click()
  await plan.getByRole('button', { name: /^Set aside: Says 5:00/ }).click()
  expect(await serious(plan, 'section[aria-label=Findings]')).toEqual([])
  await plan.getByRole('region', { name: 'Findings' }).getByRole('button', { name: 'Balance' }).click()
  await expect(plan.getByRole('dialog').getByRole('img').first()).toBeVisible()
  expect(await serious(plan, '[role=dialog]')).toEqual([])
  await plan.getByRole('button', { name: 'Tables' }).click()
  expect(await serious(plan, '[role=dialog]')).toEqual([])
  await plan.keyboard.press('Escape')
  await plan.getByRole('button', { name: 'Compare with another' }).click()
  expect(await serious(plan, '[role=dialog]')).toEqual([])
})

test('axe finds nothing serious in a set-up that is changed and has findings', async ({ page, house }) => {
  await page.goto(`${house.address}props/sunday-long-rest`)
  await page.getByRole('button', { name: /^Inclined rest/ }).click()
  await page.getByRole('button', { name: 'With few props' }).click()
  await expect(page.getByText('From the cupboard of Bellows House')).toBeAttached()
  await page.getByRole('button', { name: /^1 block, on its end/ }).click()
  await page.getByRole('button', { name: 'Take 1 block away' }).click()
  await page
    .getByRole('button', { name: /^1 blanket, standard fold/ })
    .first()
    .click()
  await expect(page.getByRole('combobox', { name: 'Fold' })).toBeVisible()
  await expect(page.getByText('Comfort decides. Stop')).toBeVisible()
  expect(await serious(page)).toEqual([])
})
