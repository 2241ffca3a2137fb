import { readFileSync } from 'node:fs'
import type { KeptPlannedClass } from '#model/planned-class'
import type { KeptSeries } from '#model/series'
import type { Page } from '@playwright/test'
import { serious } from './axe.ts'
import { forNextThursday, classes, planClass } from './class-helpers.ts'
import { expect, test } from './fixtures.ts'
import { leadAt, pushBy } from './lead-at.ts'

/** The day on which the demo data was made: its classes to come are to come. */
const onDemoDay = (page: Page) =>
  page.addInitScript(() => {
    const epochMs = () => Date.UTC(2026, 2, 12, 17)
    Object.assign(window, { zovrinPorts: { epochMs, steadyMs: () => performance.now() } })
  })

test('a session becomes a series: something grows, a week is left out, one is planned for itself, and all is taken back', async ({
  page,
  house,
}) => {
  await page.goto(house.address)
  await page.getByRole('link', { name: 'Series' }).click()
  await page.getByRole('combobox', { name: 'A series of' }).click()
  await page.getByRole('option', { name: 'Thursday slow hour' }).click()
  await page.getByRole('button', { name: 'Make a series' }).click()
  const weeks = page.getByRole('tablist', { name: 'Weeks' }).getByRole('tab')
  await expect(weeks).toHaveCount(8)

  await page.getByRole('combobox', { name: 'Something more that grows' }).click()
  await page.getByRole('option', { name: 'Figure four, lying' }).click()
  await page.getByRole('combobox', { name: 'How', exact: true }).click()
  await page.getByRole('option', { name: 'Comes in a later week' }).click()
  const from = page.getByRole('textbox', { name: 'From week' })
  await from.fill('3')
  await from.press('Enter')
  await page.getByRole('button', { name: 'Let it grow' }).click()
  await expect(page.getByRole('region', { name: 'Grows' })).toContainText('Figure four, lying: comes in week 3')
  await expect(weeks.nth(1)).toContainText('the same again')
  await expect(weeks.nth(2)).toContainText('Figure four, lying comes in')
  expect(await serious(page)).toEqual([])

  // By keys to the third week; it falls out, and what was new in it is new in the fourth.
  await weeks.nth(0).focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await expect(weeks.nth(2)).toBeFocused()
  await page.getByRole('textbox', { name: 'Why there is none' }).fill('holiday')
  await page.getByRole('button', { name: 'No class this week' }).click()
  await expect(weeks.nth(2)).toContainText('no class: holiday')
  await expect(weeks.nth(3)).toContainText('Figure four, lying comes in')
  await weeks.nth(2).focus()
  await page.keyboard.press('Control+z')
  await expect(weeks.nth(2)).toContainText('Figure four, lying comes in')

  // The second week is planned for itself: a session of its own, which the series shows from then on.
  await weeks.nth(1).click()
  await page.getByRole('button', { name: 'Change only this week' }).click()
  await expect(page).toHaveURL(/\/plan\//)
  await expect(page.getByRole('listbox').getByRole('option', { name: /Figure four/ })).toHaveCount(0)
  await page.goBack()
  await expect(weeks.nth(1)).toContainText('a plan of its own')
  await weeks.nth(1).click()
  await page.getByRole('button', { name: 'Plan it for its day' }).click()
  await expect(page).toHaveURL(/\/who\//)
  await page.goBack()
  await expect(weeks.nth(1)).toContainText('planned')
  // Moved, it is moved where it is planned too.
  await weeks.nth(1).click()
  await page.getByLabel('Day', { exact: true }).fill('2026-12-25')
  await expect(weeks.nth(1)).toContainText('25 Dec')
  const days = async () =>
    ((await (await fetch(`${house.address}api/planned-classes`)).json()) as KeptPlannedClass[]).map(
      ({ planned }) => planned.day,
    )
  await expect.poll(days).toContain('2026-12-25')
  await page.getByRole('button', { name: 'Delete' }).click()
  await expect(page.getByRole('heading', { name: 'Weeks that build' })).toBeVisible()
  await page.getByRole('button', { name: 'Bring it back' }).click()
  await expect(weeks.nth(1)).toContainText('a plan of its own')
})

test('a running series shows what was led of it and who came; one led on another day is taken as its class', async ({
  page,
  house,
}) => {
  await onDemoDay(page)
  await page.goto(`${house.address}series/thursday`)
  const weeks = page.getByRole('tablist', { name: 'Weeks' }).getByRole('tab')
  await expect(weeks).toHaveCount(8)
  await expect(weeks.nth(3)).toContainText('led 59:43')
  await expect(weeks.nth(3)).toContainText('12 came')
  await expect(weeks.nth(5)).toContainText('planned')
  await expect(weeks.nth(5)).toContainText('11 expected')
  await expect(weeks.nth(6)).toContainText('Deer 3:30 → 4:00')
  await weeks.nth(3).click()
  const pane = page.getByRole('complementary', { name: 'The week and the series' })
  await expect(pane).toContainText('For next time: On time for once.')
  await expect(pane).toContainText('At the closing: “Next time, Thu 12 Mar, 18:45: the same again.”')
  await expect(pane.getByRole('region', { name: 'What it is about' })).toContainText('outer hip')
  await expect(pane.getByRole('link', { name: 'As it was led' })).toHaveAttribute('href', /thursday-1-weeks-ago/)

  // Of that class it is known who came: the others find what is new to them.
  await planClass(house, 'thursday-slow-hour', ['Ansgar Tiel', 'Corvin Maas'], {
    ...{ id: 'led-thursday', day: '2026-03-05', series: { id: 'thursday', n: 4 } },
    ledClassId: 'thursday-1-weeks-ago',
  })
  await page.reload()
  const missed = page.getByRole('region', { name: 'Who missed a class' })
  await missed.getByText('Berit Oosterlo').click()
  await expect(missed).toContainText('Missed week 4; came to 0 of 1.')
  await expect(missed.getByText('Ansgar Tiel')).toHaveCount(0)
  await page.keyboard.press('h')
  await expect(missed.getByText('Berit Oosterlo')).toHaveCount(0)
  await page.keyboard.press('h')
  expect(await serious(page)).toEqual([])

  // The course of breath: its sixth class was led on its Tuesday. Held on Wednesdays, it was led a day early.
  await page.getByRole('button', { name: /Reed and bellows/ }).click()
  await expect(weeks.nth(5)).toContainText('7 came')
  await expect(page.getByRole('img', { name: /Even breath: .*week 6 4.*it was easy/ })).toBeVisible()
  await page.getByRole('checkbox', { name: 'Wed' }).check()
  await page.getByRole('checkbox', { name: 'Tue' }).uncheck()
  await expect(weeks.nth(5)).not.toContainText('7 came')
  await weeks.nth(5).click()
  await expect(pane).toContainText('“Reed and bellows” was led on')
  await pane.getByRole('button', { name: 'It was this class' }).click()
  await expect(weeks.nth(5)).toContainText('7 came')
  await expect(pane.getByRole('link', { name: 'As it was led' })).toBeVisible()
})

test('a series that comes with Zovrin is begun with a session of one’s own', async ({ page, house }) => {
  await page.goto(`${house.address}series`)
  await page.getByRole('button', { name: 'Begin with Eight weeks from watching to even breath' }).click()
  const weeks = page.getByRole('tablist', { name: 'Weeks' }).getByRole('tab')
  await expect(weeks).toHaveCount(8)
  await expect(weeks.nth(1)).toContainText('Three-part breath, lesson 1')
  await expect(weeks.nth(7)).toContainText('breath 3 : 3')
  const sessions = (await (await fetch(`${house.address}api/sessions`)).json()) as { name: string }[]
  expect(sessions.map(({ name }) => name)).toContain('From watching to even breath, half an hour')
})

test('a series is saved as a calendar, of one’s own classes too; days one is busy are looked at and left out, and taken back', async ({
  page,
  house,
}) => {
  await onDemoDay(page)
  await page.goto(`${house.address}series/sunday`)
  const weeks = page.getByRole('tablist', { name: 'Weeks' }).getByRole('tab')
  await expect(weeks).toHaveCount(6)
  const calendar = async (press: () => Promise<void>) => {
    const [download] = await Promise.all([page.waitForEvent('download'), press()])
    return readFileSync(await download.path(), 'utf8')
  }
  const save = () => page.getByRole('button', { name: 'Save as calendar' }).click()
  const before = await calendar(save)
  expect(before.match(/^UID:.*/gm)).toHaveLength(6)
  expect(before).toContain('DTSTART;TZID=Europe/Amsterdam:20260329T170000')
  expect(before).not.toContain('CANCELLED')

  const events = ['DTSTART;VALUE=DATE:20260404', 'DTEND;VALUE=DATE:20260407', 'SUMMARY:By the sea']
  const choir = ['DTSTART:20260329T160000', 'DTEND:20260329T173000', 'SUMMARY:Choir']
  const file = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:x']
    .concat(['BEGIN:VEVENT', 'UID:a', ...events, 'END:VEVENT'], ['BEGIN:VEVENT', 'UID:b', ...choir, 'END:VEVENT'])
    .concat('END:VCALENDAR')
  const choose = (text: string) =>
    page
      .getByLabel('A calendar as iCalendar', { exact: true })
      .setInputFiles({ name: 'mine.ics', mimeType: 'text/calendar', buffer: Buffer.from(text) })
  await choose('deer 3.5 each side')
  await expect(page.getByRole('alert')).toHaveText(/This is no calendar file/)
  await choose(file.join('\r\n'))
  // What lasts all day is meant; an hour that only touches the class is for the teacher to say.
  await expect(page.getByRole('checkbox', { name: /29 Mar.*Choir/ })).not.toBeChecked()
  await expect(page.getByRole('checkbox', { name: /5 Apr.*By the sea/ })).toBeChecked()
  expect(await serious(page)).toEqual([])
  await page.getByRole('button', { name: 'Leave them out' }).click()
  await expect(weeks.nth(5)).toContainText('no class: By the sea')
  const after = await calendar(save)
  expect(after.match(/^UID:.*/gm)).toEqual(before.match(/^UID:.*/gm))
  expect(after.match(/STATUS:CANCELLED/g)).toHaveLength(1)
  const sequence = (text: string) => Number(/SEQUENCE:(\d+)/.exec(text)?.[1])
  expect(sequence(after)).toBeGreaterThan(sequence(before))
  await weeks.nth(0).focus()
  await page.keyboard.press('Control+z')
  await expect(weeks.nth(5)).not.toContainText('no class')

  // Somebody's own: Berit comes on Thursdays and Sundays, and no name is in the file.
  await page.goto(`${house.address}people/h4Wc9ZkPe1sN`)
  const own = await calendar(() => page.getByRole('button', { name: 'Their classes as calendar' }).click())
  expect(new Set(own.match(/^SUMMARY:.*/gm)?.map((line) => line.trim()))).toEqual(
    new Set(['SUMMARY:Thursday slow hour', 'SUMMARY:Sunday long rest']),
  )
  expect(own).not.toContain('Berit')
})

test('what comes in the next class is read out at the closing of one that is led for its series', async ({
  page,
  house,
}) => {
  await forNextThursday(page)
  // The last of the closing’s steps begins 58:03 into the hour.
  const nextTime = /Next time, Thu \d+ \w+, 18:45: .*Deer 3:30 to 4:00/
  await leadAt(page, house.address, 3475, 'thursday-slow-hour', (there) => there.getByText(nextTime).waitFor())
  const now = page.getByRole('region', { name: 'Now' })
  await expect(now).toContainText('Roll to the side')
  await expect(now).not.toContainText('Next time')
  await pushBy(page, 15)
  await expect(now).toContainText('Press up and sit')
  await expect(now).toContainText(nextTime)
})

test('a planned class is brought along when its series is moved, and taken away where there is none', async ({
  page,
  house,
}) => {
  await onDemoDay(page)
  await page.goto(`${house.address}series/thursday`)
  const weeks = page.getByRole('tablist', { name: 'Weeks' }).getByRole('tab')
  await weeks.nth(5).click()
  const pane = page.getByRole('complementary', { name: 'The week and the series' })
  await expect(pane.getByRole('link', { name: 'Who takes what' })).toBeVisible()
  await expect(pane.getByText('It is planned for')).toHaveCount(0)
  await page.getByLabel('Begins', { exact: true }).last().fill('19:30')
  await page.getByLabel('Begins', { exact: true }).last().press('Tab')
  await expect(pane.getByText('It is planned for Thu 19 Mar, 18:45.')).toBeVisible()
  await pane.getByRole('button', { name: 'Bring it to this day' }).click()
  await expect(pane.getByText('It is planned for')).toHaveCount(0)
  const its = async () =>
    (await classes(house)).find(({ planned }) => planned.series?.n === 6 && planned.series.id === 'thursday')
  await expect.poll(async () => (await its())?.planned.startsAt).toBe('19:30')

  // Left out by a day that one is busy on, its planned class is still there: that is told, and it goes with a press.
  const kept = ((await (await fetch(`${house.address}api/series`)).json()) as KeptSeries[]).find(
    ({ series }) => series.id === 'thursday',
  )
  const leftOut = kept?.series.classes.map((one) => (one.n === 6 ? { ...one, leftOut: 'by the sea' } : one))
  const out = await fetch(`${house.address}api/series/thursday`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json', 'If-Match': `"${String(kept?.version)}"` },
    body: JSON.stringify({ ...kept?.series, classes: leftOut }),
  })
  expect(out.status).toBe(200)
  await page.reload()
  await weeks.nth(5).click()
  await pane.getByRole('button', { name: 'Take the planned class away' }).click()
  await expect(pane.getByText('It is planned for')).toHaveCount(0)
  await expect.poll(its).toBeUndefined()
})

test('weeks that were led stay as they were led when the base is changed afterwards', async ({ page, house }) => {
  await onDemoDay(page)
  const base = await house.session('thursday-slow-hour')
  const changed = await fetch(`${house.address}api/sessions/thursday-slow-hour`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json', 'If-Match': '"1"' },
    body: JSON.stringify({ ...base, blocks: base.blocks.filter(({ id }) => id !== 'deer') }),
  })
  expect(changed.status).toBe(200)
  await page.goto(`${house.address}series/thursday`)
  const weeks = page.getByRole('tablist', { name: 'Weeks' }).getByRole('tab')
  await expect(weeks.nth(6).locator('.spine')).not.toContainText('Deer')
  for (const led of [0, 3]) await expect(weeks.nth(led).locator('.spine')).toContainText('Deer')
})

test('a ladder of breath is given lessons in a block of their own', async ({ page, house }) => {
  await onDemoDay(page)
  await page.goto(`${house.address}series/reed-and-bellows`)
  const grows = page.getByRole('region', { name: 'Grows' })
  await grows.getByRole('button', { name: /^Take away: Even breath/ }).click()
  await expect(grows).toContainText('Nothing: every week is as its session.')
  const pick = async (box: string, option: string | RegExp) => {
    await page.getByRole('combobox', { name: box, exact: true }).click()
    await page.getByRole('option', { name: option }).first().click()
  }
  await pick('Something more that grows', 'Even breath')
  await pick('How', 'The breath ladder')
  await pick('Lessons, a week each, in', 'Three-part breath')
  await expect(grows.getByRole('list', { name: 'Taught one after another' })).toHaveText('Three-part breath')
  await pick('Then', 'Long exhale')
  await grows.getByRole('button', { name: 'Let it grow' }).click()
  await expect(grows).toContainText(/practices? a week; lessons of Three-part breath and Long exhale/i)
})
