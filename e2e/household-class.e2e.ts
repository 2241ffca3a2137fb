import type { Page } from '@playwright/test'
import type { KeptPlace } from '#model/place'
import type { KeptPlannedClass } from '#model/planned-class'
import { expect, saved, test } from './fixtures.ts'
import type { House } from './fixtures.ts'

const views = (page: Page) => page.getByRole('navigation', { name: 'Views of the session' })
/** The classes that were planned here, without those that come with the demo. */
const planned = async ({ address }: House) => {
  const all = (await (await fetch(`${address}api/planned-classes`)).json()) as KeptPlannedClass[]
  return all.flatMap((kept) => (kept.planned.id.startsWith('next-') ? [] : [kept.planned]))
}
const pick = async (page: Page, label: string, option: string): Promise<void> => {
  await page.getByRole('combobox', { name: label }).click()
  await page.getByRole('option', { name: option, exact: true }).click()
}
const pane = (page: Page) => page.getByRole('complementary', { name: 'The class' })

/** The house has besides what it has what people bring from theirs. */
async function withHouseThings({ address }: House): Promise<void> {
  const [kept] = (await (await fetch(`${address}api/places`)).json()) as KeptPlace[]
  if (!kept) throw new Error('no place')
  const brought = (['longPillow', 'towel', 'book', 'chair', 'belt'] as const).map((kind) => ({
    id: `many-${kind}`,
    kind,
    count: 60,
  }))
  const reply = await fetch(`${address}api/places/${kept.place.id}`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json', 'If-Match': `"${String(kept.version)}"` },
    body: JSON.stringify({ ...kept.place, cupboard: [...kept.place.cupboard, ...brought] }),
  })
  expect(reply.status).toBe(200)
}

/** An hour with what a house has, whose final rest takes a bolster that the teacher keeps for it. */
async function householdHour(page: Page, house: House): Promise<void> {
  await page.goto(house.address)
  await page.getByRole('button', { name: /^Templates/ }).click()
  await page.getByRole('button', { name: 'Begin from A slow hour' }).click()
  await expect(page.getByTestId('gauge')).toContainText('of 60:00')
  await pick(page, 'Set up with', 'what a house has')
  await saved(page)
  await views(page).getByRole('link', { name: 'Set-ups' }).click()
  await page
    .getByRole('navigation', { name: 'Set-ups of the session' })
    .getByRole('button', { name: /^Final rest/ })
    .click()
  await page.getByRole('combobox', { name: 'What to add' }).click()
  await page.getByRole('option', { name: 'bolster', exact: true }).click()
  await page.getByRole('combobox', { name: 'Add it at a part' }).click()
  await page.getByRole('option', { name: 'Knees' }).click()
  await page.getByRole('button', { name: 'Keep it for this pose…' }).click()
  await page.getByLabel('Keep it for this pose as').fill('Rest by the reeds')
  await page.getByLabel('Keep it for this pose as').press('Enter')
  await expect(page.getByRole('button', { name: 'Rest by the reeds', exact: true })).toBeVisible()
  await saved(page)
}

test('a household class runs short of bolsters: what is taken is the same in Plan, Set-ups, on the sheet and in Lead', async ({
  page,
  house,
}) => {
  await withHouseThings(house)
  await householdHour(page, house)
  await page.getByRole('link', { name: 'Cupboard' }).click()
  await page.getByRole('link', { name: /^What A slow hour.* needs of it$/ }).click()
  await pick(page, 'For the class of', 'Plan a class…')
  await page.getByLabel('For how many people').fill('11')
  await page.getByLabel('For how many people').press('Enter')
  await page.getByLabel('Begins').fill('18:45')
  await expect(page.getByRole('row', { name: /^Bolsters 9 11 .*2 missing/ })).toBeVisible()
  await pane(page)
    .getByRole('button', { name: /^Take: Spread/ })
    .click()
  await expect(page.getByRole('row', { name: /^Bolsters 9 9 .*enough/ })).toBeVisible()
  await expect.poll(async () => (await planned(house))[0]?.startsAt).toBe('18:45')
  await expect
    .poll(async () => (await planned(house))[0]?.substitutes.map(({ way, who }) => [way, who?.length]))
    .toEqual([['substitutes', 2]])
  const line = /2 of 11: 1 round bolster for the bolster/
  await expect(pane(page).getByText(line)).toBeVisible()
  await expect(pane(page).getByText('2 people: no bolster, 1 round bolster more', { exact: true })).toBeVisible()

  await views(page).getByRole('link', { name: 'Plan' }).click()
  await page.getByRole('option', { name: /^Closing/ }).click()
  await expect(page.getByRole('complementary').getByText(line)).toBeVisible()
  await views(page).getByRole('link', { name: 'Set-ups' }).click()
  await page.getByRole('button', { name: /^Final rest/ }).click()
  await expect(page.getByRole('region', { name: /^The set-up of Final rest/ }).getByText(line)).toBeVisible()
  await page.getByRole('link', { name: 'Lead', exact: true }).click()
  await expect(page.getByLabel('How many are here')).toHaveValue('11')
  await expect(page.getByText(line)).toBeVisible()
  await page.getByRole('link', { name: 'Back to Plan' }).click()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByTestId('sheet').getByText(line).first()).toBeVisible()
})

test('what is missing is counted in the foot line, set aside in the class, and gone once it is mended', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}needs/thursday-slow-hour`)
  await pick(page, 'For the class of', 'Plan a class…')
  await page.getByLabel('For how many people').fill('17')
  await page.getByLabel('For how many people').press('Enter')
  await expect(page.getByText(/^The old workshop takes \d+ mats: \d+ (person|people) too many\.$/)).toBeVisible()
  await views(page).getByRole('link', { name: 'Plan' }).click()
  await page.getByRole('button', { name: /to look at/ }).click()
  const mats = page.getByRole('listitem').filter({ hasText: 'Mats: 17 needed, 16 in the cupboard' })
  await mats.getByRole('button', { name: /^Set aside/ }).click()
  await page.getByLabel('Why it can stay').fill('Ivo brings his own')
  await page.getByLabel('Why it can stay').press('Enter')
  await expect(page.getByText('1 set aside')).toBeVisible()
  await expect
    .poll(async () => (await planned(house))[0]?.setAside[0]?.facts)
    .toEqual({ kind: 'mat', wanted: 17, here: 16 })
  // Another number is another finding.
  await page
    .getByRole('listitem')
    .filter({ hasText: /needed, \d+ in the cupboard/ })
    .first()
    .getByRole('button', { name: 'See who gets what' })
    .click()
  await page.getByLabel('For how many people').fill('2')
  await page.getByLabel('For how many people').press('Enter')
  await expect(page.getByText('2 mats of')).toBeVisible()
  await page.getByRole('button', { name: 'Say it in the first talk' }).click()
  await expect(page.getByRole('button', { name: 'Say it in the first talk' })).toHaveCount(0)
  await pick(page, 'Things are fetched', 'laid out by me')
  await page.getByLabel('Begins').fill('18:45')
  await expect(page.getByText(/laid out by you in about \d+:\d+: be there 18:\d5|18:\d0/)).toBeVisible()
  await page.getByRole('button', { name: 'Take this class away' }).click()
  await page.getByRole('button', { name: 'Bring it back' }).click()
  await expect.poll(async () => (await planned(house))[0]?.guests).toBe(2)
})

test('another class of the house whose time touches this one has its things, and says so', async ({ page, house }) => {
  const today = await page.evaluate(() => new Date().toLocaleDateString('sv'))
  const at = { day: today, placeId: 'bellows-house', people: [], forms: [], substitutes: [], setAside: [] }
  const plan = async (id: string, more: object): Promise<void> => {
    const reply = await fetch(`${house.address}api/planned-classes/${id}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'If-Match': '"0"' },
      body: JSON.stringify({ ...at, id, ...more }),
    })
    expect(reply.status).toBe(200)
  }
  await plan('slow-hour', { sessionId: 'thursday-slow-hour', startsAt: '18:45', guests: 7, roomId: 'workshop' })
  await plan('long-rest', { sessionId: 'sunday-long-rest', startsAt: '19:30', guests: 1 })
  await page.goto(`${house.address}needs/thursday-slow-hour`)
  await expect(page.getByRole('row', { name: /^Bolsters [67] 7 / })).toBeVisible()
  await page.getByRole('button', { name: 'Bolsters' }).click()
  await expect(pane(page).getByText(/Sunday long rest at 19:30 has 3 of them/)).toBeVisible()
  await views(page).getByRole('link', { name: 'Plan' }).click()
  await page.getByRole('button', { name: /to look at/ }).click()
  await expect(page.getByText('The room is taken: Sunday long rest at 19:30')).toBeVisible()
  await page.goto(`${house.address}needs/thursday-slow-hour`)
  await page.getByLabel('Begins').fill('16:00')
  await expect(page.getByRole('row', { name: /^Bolsters 9 7 .*enough/ })).toBeVisible()
})

test('led on its day, a planned class knows its record; a rehearsal of another day’s leads none', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}needs/short-evening-rest`)
  await pick(page, 'For the class of', 'Plan a class…')
  await page.getByLabel('For how many people').fill('5')
  await page.getByLabel('For how many people').press('Enter')
  const led = async () => (await planned(house)).map(({ guests, ledClassId }) => [guests, ledClassId !== undefined])
  await expect.poll(led).toEqual([[5, false]])
  const today = await page.getByLabel('Day').inputValue()
  const start = async (): Promise<void> => {
    await page.goto(`${house.address}lead/short-evening-rest`)
    await expect(page.getByLabel('How many are here')).toHaveValue('5')
    await page.getByRole('button', { name: 'Start', exact: true }).click()
    await expect(page.getByTestId('clock')).toBeVisible()
    await page.getByRole('button', { name: 'Leave' }).click()
    await page.getByRole('alertdialog', { name: 'Leave' }).getByRole('button', { name: 'Leave' }).click()
    await page.getByRole('button', { name: 'Save and open the record' }).click()
    await expect(page.getByRole('heading', { name: 'Meant and done' })).toBeVisible()
  }
  await page.getByLabel('Day').fill('2099-12-03')
  await expect.poll(async () => (await planned(house))[0]?.day).toBe('2099-12-03')
  await page.goto(`${house.address}lead/short-evening-rest`)
  await page.getByLabel('How many are here').fill('1')
  await page.getByLabel('How many are here').press('Enter')
  await start()
  expect(await led()).toEqual([[5, false]])
  await page.goto(`${house.address}needs/short-evening-rest`)
  await page.getByLabel('Day').fill(today)
  await expect.poll(async () => (await planned(house))[0]?.day).toBe(today)
  await start()
  await expect.poll(led).toEqual([[5, true]])
})
