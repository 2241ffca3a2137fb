import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { named, planClass, plannedIn } from './class-helpers.ts'
import { expect, test } from './fixtures.ts'

const page_ = (page: Page) => page.getByRole('main')
const pick = async (page: Page, label: string, option: string): Promise<void> => {
  await page.getByRole('combobox', { name: label }).click()
  await page.getByRole('option', { name: option, exact: true }).click()
}
const type = async (page: Page, label: string, typed: string): Promise<void> => {
  await page.getByLabel(label, { exact: true }).fill(typed)
  await page.getByLabel(label, { exact: true }).press('Enter')
}

test('somebody is added by name alone; what they tell is kept, changed, taken back, and found again', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}people`)
  await page.getByRole('button', { name: 'Add somebody' }).click()
  await type(page, 'Their name', 'Ragna Ödegård')
  await expect(page.getByRole('heading', { level: 1, name: 'Ragna Ödegård' })).toBeVisible()
  await expect(page.getByText('Not asked yet, as far as is noted.')).toBeVisible()
  await expect.poll(() => named(house, 'Ragna Ödegård')).toMatchObject({ conditions: [], consents: [] })
  await pick(page, 'Add what they tell', 'Knee injury')
  const knee = page.getByRole('article', { name: 'Knee injury' })
  await pick(page, 'How it is', 'not sure')
  await pick(page, 'Side', 'left')
  await expect
    .poll(async () => (await named(house, 'Ragna Ödegård'))?.conditions)
    .toMatchObject([{ id: 'knee', severe: 'unsure', side: 'left' }])
  await expect(page.getByText('Check first (knee)')).toBeVisible()
  await knee.getByRole('button', { name: 'Note a clearance' }).click()
  await type(page, 'Cleared by', 'Dr Amundsen')
  await expect(page.getByText('Check first (knee)')).toBeHidden()
  await type(page, 'Height, cm', '171,5')
  await expect.poll(async () => (await named(house, 'Ragna Ödegård'))?.statureMm).toBe(1715)
  await page.getByRole('button', { name: 'Take away Knee injury' }).click()
  await expect(page.getByText('Not asked yet, as far as is noted.')).toBeVisible()
  const told = async () => (await named(house, 'Ragna Ödegård'))?.conditions.length
  await expect.poll(told).toBe(0)
  await page.getByRole('button', { name: 'Undo the last change' }).click()
  await expect(knee).toBeVisible()
  await expect.poll(told).toBe(1)
  await page.reload()
  await expect(page.getByRole('article', { name: 'Knee injury' })).toBeVisible()
  await page.getByLabel('Find somebody by name').fill('odega')
  const list = page.getByRole('navigation', { name: 'People' })
  await expect(list.getByRole('button', { name: /Ragna/ })).toBeVisible()
  await expect(list.getByRole('button', { name: /Edda Quint/ })).toBeHidden()
})

/** Whoever would leave the page is asked first, and stays. */
async function asksBeforeLeaving(page: Page): Promise<void> {
  const asked = page.waitForEvent('dialog')
  await page.evaluate(() => {
    setTimeout(() => {
      location.reload()
    })
  })
  const dialog = await asked
  expect(dialog.type()).toBe('beforeunload')
  await dialog.dismiss()
}

test('with the server away what was typed stays in the window, is said to be unsaved, and nothing of it is kept in the browser', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('ERR_CONNECTION_REFUSED')
  await page.goto(`${house.address}people`)
  await page.getByRole('button', { name: /Edda Quint/ }).click()
  await expect(page.getByLabel('Whom to call in an emergency')).toHaveValue(/Her son Wim/)
  await house.stop()
  await type(page, 'Whom to call in an emergency', 'Wim Vesterby')
  await expect(page.getByRole('alert')).toContainText('kept in this window alone')
  await asksBeforeLeaving(page)
  await expect(page.getByLabel('Whom to call in an emergency')).toHaveValue('Wim Vesterby')
  await house.start()
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByRole('alert')).toBeHidden()
  expect((await named(house, 'Edda Quint'))?.inCase).toBe('Wim Vesterby')
  const kept = await page.evaluate(async () => {
    const texts = [JSON.stringify({ ...localStorage }), JSON.stringify({ ...sessionStorage })]
    for (const name of await caches.keys())
      for (const request of await (await caches.open(name)).keys()) texts.push(request.url)
    for (const { name = '' } of await indexedDB.databases()) {
      const opened = await new Promise<IDBDatabase>((resolve, reject) => {
        const request = indexedDB.open(name)
        request.onsuccess = () => {
          resolve(request.result)
        }
        request.onerror = () => {
          reject(new Error(name))
        }
      })
      for (const store of opened.objectStoreNames)
        texts.push(
          await new Promise<string>((resolve) => {
            const request = opened.transaction(store).objectStore(store).getAll()
            request.onsuccess = () => {
              resolve(JSON.stringify(request.result))
            }
          }),
        )
      opened.close()
    }
    return texts.join('\n')
  })
  expect(kept).not.toMatch(/Vesterby|Edda|Quint|osteoporosis|api\/people/)
})

test('names are covered by H and by themselves, and a page that is covered shows nothing of anybody', async ({
  page,
  house,
}) => {
  await page.addInitScript(() => {
    const test = window as unknown as { zovrinPorts: object; laterMs: number }
    test.laterMs = 0
    test.zovrinPorts = { steadyMs: () => performance.now() + test.laterMs }
  })
  await page.goto(`${house.address}people`)
  await page.getByRole('button', { name: /Edda Quint/ }).click()
  await expect(page.getByRole('article', { name: 'Low bone density' })).toBeVisible()
  const isCovered = async () => {
    await expect(page.getByRole('button', { name: /^Person 5/ })).toBeVisible()
    await expect(page_(page)).not.toContainText(/Edda|Quint|bone/)
  }
  await page.getByRole('heading', { level: 1 }).click()
  await page.keyboard.press('h')
  await isCovered()
  await page.keyboard.press('h')
  await expect(page.getByRole('article', { name: 'Low bone density' })).toBeVisible()
  await page.evaluate(() => {
    ;(window as unknown as { laterMs: number }).laterMs = 61_000
  })
  await isCovered()
  await expect(page).toHaveTitle('People – Zovrin')
})

test('somebody’s data is given out in one file, and they are deleted for good after one question', async ({
  page,
  house,
}) => {
  const { id } = await planClass(house, 'thursday-slow-hour', ['Edda Quint', 'Falk Immering'])
  await page.goto(`${house.address}people`)
  await page.getByRole('button', { name: /Edda Quint/ }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save their data' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('zovrin-person.json')
  const text = readFileSync(await download.path(), 'utf8')
  expect(JSON.parse(text)).toMatchObject({ person: { name: 'Edda Quint' }, classes: [{}, {}, { day: '2099-01-01' }] })
  expect(text).not.toContain('Falk')
  await page.goto(`${house.address}journal`)
  await page.getByRole('link', { name: 'Thursday slow hour' }).first().click()
  await page.getByRole('button', { name: /the note$|a note$/ }).click()
  const note = page.getByLabel('What happened, in a line')
  await note.fill('Edda’s knee was quiet.')
  await expect(page.getByText('A name of one of your people stands here.')).toBeVisible()
  await page.getByRole('button', { name: 'Write “somebody”' }).click()
  await expect(note).toHaveValue('somebody’s knee was quiet.')
  await note.fill('Edda slept.')
  await page.getByRole('button', { name: 'Save the note' }).click()
  await expect(note).toBeHidden()
  await page.goto(`${house.address}people/Zp5gHc1iTo9D`)
  await page.getByRole('button', { name: 'Delete them…' }).click()
  await expect(page.getByRole('link', { name: /^the note of Thursday slow hour/ })).toBeVisible()
  await page.getByRole('button', { name: 'Keep them' }).click()
  expect(await named(house, 'Edda Quint')).toBeDefined()
  await page.getByRole('button', { name: 'Delete them…' }).click()
  await page.getByRole('button', { name: 'Delete for good' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'People' })).toBeVisible()
  expect(await named(house, 'Edda Quint')).toBeUndefined()
  expect((await plannedIn(house, id))?.people).toHaveLength(1)
})

test('who takes what: worst first, what is suggested is taken, another form is chosen and why', async ({
  page,
  house,
}) => {
  await planClass(house, 'thursday-slow-hour', ['Berit Oosterlo', 'Katrijn Voss', 'Imke Larrow'])
  await page.goto(`${house.address}who/thursday-slow-hour`)
  const table = page.getByRole('table', { name: /Who takes what/ })
  await expect(table.getByRole('columnheader')).toHaveText([
    'empty: as planned',
    'Imke Larrow',
    'Kat',
    'and 1 as planned',
  ])
  await expect(table.getByRole('rowheader', { name: /^Deer/ })).toContainText('Whoever likes: front leg long.')
  await table.getByRole('button', { name: 'Imke Larrow, Sphinx: side rest' }).click()
  const pane = page.getByRole('complementary', { name: 'The class' })
  await expect(pane).toContainText('Leave out for: pregnancy from week 14.')
  await expect(pane.getByRole('button', { name: /^As it stands/ })).toBeHidden()
  await pane.getByRole('button', { name: /^Inclined rest/ }).click()
  await type(page, 'Why', 'likes to see the room')
  await expect(pane).toContainText('Chosen by you: likes to see the room.')
  await page.getByRole('button', { name: /^Take what is suggested/ }).click()
  await expect(page.getByRole('button', { name: /^Take what is suggested/ })).toBeHidden()
  const imke = await named(house, 'Imke Larrow')
  const formsBy = async (who: 'teacher' | 'suggested') =>
    ((await plannedIn(house, 'our-class'))?.forms ?? []).filter(({ by }) => by === who)
  await expect.poll(async () => (await formsBy('suggested')).length).toBeGreaterThan(5)
  expect(await formsBy('teacher')).toMatchObject([
    { personId: imke?.id, blockId: 'sphinx', takes: { kind: 'pose', poseId: 'inclined-rest' } },
  ])
  await pane.getByRole('button', { name: 'As suggested again' }).click()
  await expect(table.getByRole('button', { name: 'Imke Larrow, Sphinx: side rest' })).toBeVisible()
  await table.getByRole('columnheader').getByRole('button', { name: 'Kat' }).click()
  await expect(pane).toContainText('Never gets up')
  await expect(pane).toContainText('Front leg long, 2:00 a side')
  await table.getByRole('rowheader').getByRole('button', { name: /^Deer/ }).click()
  await expect(pane).toContainText('1 person as planned')
})

test('who comes: away for once, one more without a name and what they have, and the people of the class before', async ({
  page,
  house,
}) => {
  await planClass(house, 'thursday-slow-hour', ['Berit Oosterlo', 'Katrijn Voss'])
  await page.goto(`${house.address}who/thursday-slow-hour`)
  await page.getByRole('checkbox', { name: 'Kat' }).click()
  await expect(page.getByText('everybody does all as planned')).toBeVisible()
  await page.getByRole('button', { name: 'Undo the last change of the class' }).click()
  await expect(page.getByRole('checkbox', { name: 'Kat' })).toBeChecked()
  await page.getByRole('checkbox', { name: 'Kat' }).click()
  await expect(page.getByText('everybody does all as planned')).toBeVisible()
  await page.getByRole('button', { name: 'One more' }).click()
  await expect(page_(page)).toContainText('2 people')
  await pick(page, 'Add what somebody has', 'Shoulder injury')
  await expect(page.getByRole('columnheader', { name: 'Guest 1' })).toBeVisible()
  await pick(page, 'Add somebody', 'Edda Quint')
  await expect(page.getByRole('columnheader', { name: 'Edda Quint' })).toBeVisible()
  await page.getByRole('button', { name: /^The people of/ }).click()
  await expect.poll(async () => (await plannedIn(house, 'our-class'))?.people.length).toBeGreaterThan(8)
  const planned = await plannedIn(house, 'our-class')
  const kat = await named(house, 'Katrijn Voss')
  expect(planned?.people.filter(({ personId }) => personId === kat?.id)).toEqual([{ personId: kat?.id, away: true }])
  expect(planned).toMatchObject({ guests: 1, needs: [{ condition: { id: 'shoulder' }, people: 1 }] })
})

test('led on its day, the record keeps how many took what and nobody, and the class what was practised', async ({
  page,
  house,
}) => {
  const now = new Date()
  const two = (n: number): string => String(n).padStart(2, '0')
  const day = `${String(now.getFullYear())}-${two(now.getMonth() + 1)}-${two(now.getDate())}`
  await planClass(house, 'thursday-slow-hour', ['Katrijn Voss', 'Ansgar Tiel', 'Falk Immering'], { day })
  await page.goto(`${house.address}lead/thursday-slow-hour`)
  await expect(page.getByText('Touch: 2 yes, 1 not asked.')).toBeVisible()
  await page.getByRole('button', { name: 'Nobody told me anything' }).click()
  await expect(page.getByText('Asked today: nobody told anything.')).toBeVisible()
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await expect(page.getByTestId('clock')).toBeVisible()
  await expect.poll(async () => (await plannedIn(house, 'our-class'))?.ledClassId).toBeDefined()
  // Somebody comes late, with one tap.
  await page.getByRole('button', { name: '3 here +1' }).click()
  await expect(page.getByRole('button', { name: '4 here +1' })).toBeVisible()
  await expect.poll(async () => (await plannedIn(house, 'our-class'))?.guests).toBe(1)
  const planned = await plannedIn(house, 'our-class')
  expect(planned).toMatchObject({
    askedToday: { told: 'nobody' },
    posesLed: expect.arrayContaining(['deer']) as unknown,
  })
  const record = async () =>
    (await (await fetch(`${house.address}api/led-classes/${planned?.ledClassId ?? ''}`)).json()) as { forms?: object[] }
  await expect
    .poll(async () => (await record()).forms)
    .toContainEqual({
      ...{ blockId: 'deer', form: 'front leg long', people: 2, heldS: 120 },
    })
})

test('what somebody likes to take is kept on their page and suggested first in every class', async ({
  page,
  house,
}) => {
  await planClass(house, 'thursday-slow-hour', ['Katrijn Voss'])
  await page.goto(`${house.address}who/thursday-slow-hour`)
  await page.getByRole('button', { name: 'Kat, Deer: front leg long' }).click()
  const pane = page.getByRole('complementary', { name: 'The class' })
  await pane.getByRole('button', { name: /^Side rest/ }).click()
  await pane.getByRole('button', { name: 'What they like to take' }).click()
  await expect
    .poll(async () => (await named(house, 'Katrijn Voss'))?.likes)
    .toEqual([{ poseId: 'deer', takes: { kind: 'pose', poseId: 'side-rest' } }])
  await pane.getByRole('button', { name: 'As suggested again' }).click()
  await expect(pane.getByRole('button', { name: /^Side rest suggested; what they like to take/ })).toBeVisible()
  await pane.getByRole('button', { name: 'No longer what they like' }).click()
  await expect(page.getByRole('button', { name: 'Kat, Deer: front leg long' })).toBeVisible()
})

test('a form on paper asks all there is and names nobody; what was ticked on it is ticked in', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}people`)
  await page.getByRole('button', { name: /^Gesine Palland/ }).click()
  await expect(page.getByRole('heading', { name: 'What they told' })).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('heading', { name: 'About you' })).toBeVisible()
  const paper = await page.locator('body').innerText()
  expect(paper).toContain('About you')
  expect(paper).toContain('Sacroiliac or pelvic girdle pain')
  expect(paper).not.toMatch(/Gesine|Palland|Edda|Never ask/)
  await page.emulateMedia({ media: null })
  await page.getByText('Tick in what they ticked on paper').click()
  await page.getByRole('checkbox', { name: 'Migraine' }).click()
  await page.getByRole('checkbox', { name: 'Vertigo' }).click()
  await page.getByRole('checkbox', { name: 'Migraine' }).click()
  await expect
    .poll(async () => (await named(house, 'Gesine Palland'))?.conditions.map(({ id }) => id))
    .toEqual(['vertigo'])
  await expect(page.getByRole('article', { name: 'Vertigo' })).toBeVisible()
})

test('a consent counts only once it is said who gave it, and is taken away again', async ({ page, house }) => {
  await page.goto(`${house.address}people`)
  await page.getByRole('button', { name: /^Imke Larrow/ }).click()
  await pick(page, 'Add a practice', 'Backbend on the belly')
  const who = page.getByLabel('Backbend on the belly: who agreed to it')
  await expect(who).toBeVisible()
  expect((await named(house, 'Imke Larrow'))?.consents).toEqual([])
  await who.fill('Midwife Sørbø')
  await who.press('Enter')
  await expect
    .poll(async () => (await named(house, 'Imke Larrow'))?.consents)
    .toMatchObject([{ for: 'prone_bb', by: 'Midwife Sørbø' }])
  await expect(who).toBeHidden()
  await page.getByRole('button', { name: 'Take away the consent for Backbend on the belly' }).click()
  await expect.poll(async () => (await named(house, 'Imke Larrow'))?.consents).toEqual([])
})

test('people are added from a list that is looked at first; who is there already is not added again', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}people`)
  const list = 'name,level,height_cm,knee\nRagna Ödegård,new,171,left\nedda quint,new,,\nIvo Harms,often,,\n'
  await page
    .getByLabel('People as CSV')
    .setInputFiles({ name: 'people.csv', mimeType: 'text/csv', buffer: Buffer.from(list) })
  const read = page.getByRole('status').filter({ hasText: 'to add' })
  await expect(read).toContainText('2 people to add: Ragna Ödegård and Ivo Harms.')
  await expect(read).toContainText('1 other is there already.')
  await expect(read).toContainText('Not read: knee.')
  await expect(read).toContainText('Line 4, “often”: the level is new, regular or experienced; left unsaid.')
  await read.getByRole('button', { name: 'Add them' }).click()
  await expect
    .poll(() => named(house, 'Ragna Ödegård'))
    .toMatchObject({ level: 'new', statureMm: 1710, conditions: [] })
  await expect.poll(() => named(house, 'Ivo Harms')).toMatchObject({ conditions: [] })
})

test('what is changed of somebody in two windows at once stands in both', async ({ page, house, expectFailures }) => {
  expectFailures('412')
  const address = `${house.address}people/Zp5gHc1iTo9D`
  const other = await page.context().newPage()
  await page.goto(address)
  await other.goto(address)
  await expect(page.getByLabel('Height, cm', { exact: true })).toHaveValue('159')
  await expect(other.getByLabel('Height, cm', { exact: true })).toHaveValue('159')
  await type(other, 'Height, cm', '160')
  await pick(other, 'Add what they tell', 'Knee injury')
  await expect.poll(async () => (await named(house, 'Edda Quint'))?.conditions.map(({ id }) => id)).toContain('knee')
  await type(page, 'Wishes to be called', 'Eddi')
  await pick(page, 'Add what they tell', 'Neck pain or injury')
  await expect
    .poll(async () => (await named(house, 'Edda Quint'))?.conditions.map(({ id }) => id))
    .toEqual(expect.arrayContaining(['knee', 'neck']))
  expect(await named(house, 'Edda Quint')).toMatchObject({ statureMm: 1600, calledAs: 'Eddi' })
  await expect(page.getByLabel('Height, cm', { exact: true })).toHaveValue('160')
  await expect(page.getByRole('article', { name: 'Knee injury' })).toBeVisible()
})
