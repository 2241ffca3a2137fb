import { blockNames, expect, saved, test } from './fixtures.ts'

test('the whole shelf opens from its head, is found and filtered by keyboard, and adds to the open session', async ({
  plan,
}) => {
  await plan.getByRole('link', { name: 'All of the shelf' }).click()
  await expect(plan.getByRole('heading', { name: 'All of the shelf' })).toBeVisible()
  await expect(plan.getByText(/^\d+ on the shelf$/)).toBeVisible()
  const find = plan.getByRole('textbox', { name: 'Find by any name' })
  await find.fill('pidgeon')
  await expect(plan.getByRole('row', { name: /Folded pigeon/ })).toBeVisible()
  await find.fill('supta baddha konasana')
  await expect(plan.getByRole('row')).toHaveCount(2)
  await plan.getByRole('button', { name: 'Clear all' }).click()

  await plan.getByRole('checkbox', { name: /^Poses/ }).check()
  await plan.getByRole('checkbox', { name: /^Seated/ }).check()
  await plan.getByText('Direction', { exact: true }).click()
  const twist = plan.getByRole('checkbox', { name: /^Twist/ })
  await expect(plan.locator('label', { has: twist })).toHaveText(/Twist\s*2/)
  await twist.focus()
  await plan.keyboard.press('Space')
  await expect(plan.getByRole('row')).toHaveCount(3)
  await plan.getByRole('link', { name: 'Twist over a bolster' }).focus()
  await plan.keyboard.press('ArrowDown')
  await expect(plan.getByRole('link', { name: 'Seated twist' })).toBeFocused()
  await plan.getByRole('button', { name: 'Add Seated twist to Thursday slow hour' }).click()
  await expect(plan.getByRole('status').last()).toContainText('Seated twist added to Thursday slow hour, block 9 of 10')
  await plan.getByRole('link', { name: 'Back to the plan' }).click()
  expect((await blockNames(plan)).slice(-2)).toEqual(['Seated twist', 'Closing'])
  await saved(plan)
})

test('a page of the shelf opens at its head, and the list is found again where one left it', async ({
  page,
  house,
}) => {
  for (const size of [
    { width: 1280, height: 800 },
    { width: 640, height: 500 },
  ]) {
    await page.setViewportSize(size)
    await page.goto(`${house.address}shelf`)
    const deer = page.getByRole('link', { name: 'Deer', exact: true })
    await deer.click()
    await expect(page.getByRole('heading', { level: 1, name: 'Deer' })).toBeInViewport()
    await page.goBack()
    await expect(page.getByRole('heading', { name: 'All of the shelf' })).not.toBeInViewport()
    await expect(deer).toBeInViewport()
  }
})

test('filters that fit nothing say so and are cleared', async ({ page, house }) => {
  await page.goto(`${house.address}shelf`)
  await page.getByRole('checkbox', { name: /^Standing/ }).check()
  await page.getByRole('checkbox', { name: /^Chest/ }).check()
  await page.getByRole('textbox', { name: 'Find by any name' }).fill('deer')
  await expect(page.getByText('Nothing on the shelf fits “deer” and all of what is ticked.')).toBeVisible()
  await page.getByRole('button', { name: 'Clear all' }).last().click()
  await expect(page.getByText(/^\d+ on the shelf$/)).toBeVisible()
})

test('a pose’s page tells all of it, with cautions first, and is printed without what only serves the screen', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}shelf/wide-knee-fold`)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Wide-knee fold bālāsana')
  const cautions = page.getByRole('region', { name: 'Usual cautions' })
  await expect(cautions.locator('summary').first()).toContainText('Leave out for')
  await cautions.locator('summary').first().click()
  await expect(cautions.getByText('Rest on the side; chair seat, head on table')).toBeVisible()
  await expect(cautions).toContainText('a doctor or licensed therapist decides')
  for (const part of [
    'What it does',
    'Usual hold',
    'Forms',
    'Props',
    'Cues',
    'What the teacher looks for',
    'What goes wrong',
    'Coming out',
    'Counterposes',
  ]) {
    await expect(page.getByRole('heading', { level: 2, name: part })).toBeVisible()
  }
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden()
  await expect(page.getByRole('navigation', { name: 'Zovrin' })).toBeHidden()
  await expect(page.getByRole('heading', { level: 2, name: 'Cues' })).toBeVisible()
})

test('a technique taught in person is planned for a room only; the cautions have a page of their own', async ({
  plan,
  house,
}) => {
  await plan.goto(`${house.address}shelf/pause-full`)
  await expect(plan.getByText('Taught in person after long preparation')).toBeVisible()
  await expect(plan.getByText('It is planned for a room only, never online or at home')).toBeVisible()
  await expect(plan.getByRole('button', { name: /^Add to/ })).toBeVisible()
  await plan.getByRole('link', { name: 'About them' }).click()
  await expect(plan.getByText('It is not medical advice, cannot judge a person, and is incomplete.')).toBeVisible()
  await expect(plan.getByRole('heading', { name: 'Where schools differ' })).toBeVisible()
})

test('the right pane shows cautions under the title, worst first, and follows the chosen form', async ({ plan }) => {
  await plan.getByRole('option', { name: /Crescent, lying, left/ }).click()
  const pane = plan.getByRole('complementary', { name: 'The chosen block' })
  const grades = pane.getByRole('region', { name: 'Usual cautions' }).locator('summary b')
  await expect(grades).toHaveText(['Change for', 'In every pose'])
  await plan.getByRole('option', { name: /Deer, left/ }).click()
  await expect(grades).toHaveText(['Leave out for', 'Change for', 'In every pose'])
  await pane.getByRole('combobox', { name: 'Form of Deer' }).click()
  await plan.getByRole('option', { name: 'Front leg long (easier)' }).click()
  await expect(pane.getByText('The front leg stretches out; the seat is raised.')).toBeVisible()
  await saved(plan)
})

test('a hold past the first ceiling has a care note and is not hindered', async ({ plan }) => {
  await plan.getByRole('option', { name: /Deer, left/ }).click()
  await expect(plan.getByTestId('past-ceiling')).toBeHidden()
  await plan.getByLabel('Left', { exact: true }).fill('6')
  await plan.getByLabel('Left', { exact: true }).press('Enter')
  await expect(plan.getByTestId('past-ceiling')).toContainText('past the first ceiling of 4:00')
  await expect(plan.getByRole('option', { name: /Deer, right, 6:00/ })).toBeAttached()
})

test('a pose of one’s own is copied, edited, led in a plan, kept while used, and deleted when not', async ({
  plan,
  house,
  expectFailures,
}) => {
  expectFailures('409')
  await plan.goto(`${house.address}shelf/deer`)
  await plan.getByRole('button', { name: 'Copy as your own' }).click()
  await plan.getByLabel('English name').fill('Harmonium deer')
  await plan.getByRole('textbox', { name: 'Words of cue 1' }).fill('Left knee quiet, right hand free')
  await plan.getByRole('textbox', { name: 'Words of cue 1' }).press('Tab')
  await plan.getByLabel('What goes wrong').fill('The left knee is not at a right angle\nThe right hand grips')
  await plan.getByLabel('What goes wrong').press('Tab')
  await plan.getByRole('button', { name: 'right', exact: true, pressed: true }).last().click()
  await plan.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(plan.getByRole('heading', { level: 1 })).toHaveText('Harmonium deer')
  const kept = (await (await fetch(`${house.address}api/own`)).json()) as Record<string, unknown>
  expect(JSON.stringify(kept)).toContain('The {this} knee is not at a right angle')
  expect(JSON.stringify(kept)).toContain('The right hand grips')
  await expect(plan.getByText('left knee quiet, right hand free')).toBeVisible()
  await plan.getByRole('button', { name: 'Add to Thursday slow hour' }).click()
  await plan.getByRole('link', { name: 'Back to the plan' }).click()
  await expect(plan.getByRole('option', { name: /Harmonium deer, right/ })).toBeAttached()
  await saved(plan)

  await plan.reload()
  await plan.getByRole('option', { name: /Harmonium deer, right/ }).click()
  await expect(plan.getByRole('complementary').getByRole('heading', { level: 1 })).toHaveText('Harmonium deer')
  await plan.getByRole('link', { name: 'All of the shelf' }).click()
  await plan.getByRole('link', { name: 'Harmonium deer' }).click()
  await plan.getByRole('button', { name: 'Delete', exact: true }).click()
  await expect(plan.getByRole('alert')).toHaveText(
    '“Harmonium deer” is used in Thursday slow hour: change it there first.',
  )
  await plan.getByRole('link', { name: 'Back to the plan' }).click()
  await plan.getByRole('option', { name: /Harmonium deer, right/ }).click()
  await plan.getByRole('button', { name: 'Remove', exact: true }).click()
  await saved(plan)
  await plan.getByRole('link', { name: 'All of the shelf' }).click()
  await plan.getByRole('link', { name: 'Harmonium deer' }).click()
  await plan.getByRole('button', { name: 'Delete', exact: true }).click()
  await expect(plan.getByRole('heading', { name: 'All of the shelf' })).toBeVisible()
  await expect(plan.getByRole('link', { name: 'Harmonium deer' })).toHaveCount(0)

  // What stood in the plan before comes back with all it stands on, and is saved; so does the pose itself.
  await plan.getByRole('link', { name: 'Back to the plan' }).click()
  await plan.getByRole('button', { name: /^Undo: remove/ }).click()
  await expect(plan.getByRole('option', { name: /Harmonium deer, right/ })).toBeAttached()
  await saved(plan)
  await plan.getByRole('link', { name: 'All of the shelf' }).click()
  await plan.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(plan.getByRole('link', { name: 'Harmonium deer' })).toBeVisible()
})

test('a session whose pose is nowhere says what stands in the way, and the rest of it', async ({
  plan,
  expectFailures,
}) => {
  expectFailures('422')
  await plan.route('**/api/sessions/thursday-slow-hour', async (route) => {
    if (route.request().method() !== 'GET') return route.continue()
    const reply = await route.fetch()
    const session = (await reply.json()) as { blocks: { kind: string; poseId?: string }[] }
    const blocks = session.blocks.map((block) => (block.poseId === 'deer' ? { ...block, poseId: 'gone' } : block))
    return route.fulfill({ response: reply, json: { ...session, blocks } })
  })
  await plan.reload()
  await expect(plan.getByRole('heading', { name: /stands on is not on the shelf/ })).toBeVisible()
  await expect(plan.getByRole('listitem').filter({ hasText: 'A pose that is gone' })).toBeVisible()
  await expect(plan.getByRole('listitem').filter({ hasText: 'Wide-knee fold' }).last()).toBeVisible()
  await plan.getByRole('button', { name: 'Take it out' }).click()
  await expect(plan.getByRole('option', { name: /Wide-knee fold/ })).toBeAttached()
  await saved(plan)
})

test('a half-made pose is refused with every mend, and nothing typed is lost by a reload', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('422')
  await page.goto(`${house.address}shelf/new`)
  await page.getByLabel('English name').fill('Reed rest')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  const refused = page.getByRole('alert').first()
  await expect(refused).toContainText('Not saved yet.')
  await expect(refused).toContainText('Families for cautions: choose or write at least one')
  await page.reload()
  await expect(page.getByText('What you had typed and not saved is here again.')).toBeVisible()
  await expect(page.getByLabel('English name')).toHaveValue('Reed rest')
})

test('a field that is needed says so, and the first one refused gets the focus with its mend beside it', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('422')
  await page.goto(`${house.address}shelf/new`)
  await expect(page.getByText('needed')).toHaveCount(9)
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByLabel(/^English name/)).toBeFocused()
  await expect(page.getByText('English name: write something.')).toHaveCount(2)
  await page.getByLabel(/^English name/).fill('Reed rest')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('checkbox', { name: 'outer hip' }).first()).toBeFocused()
})

test('an own pose that is used is not deleted, and where it is used can be gone to', async ({
  plan,
  house,
  expectFailures,
}) => {
  expectFailures('409')
  await plan.goto(`${house.address}shelf/deer`)
  await plan.getByRole('button', { name: 'Copy as your own' }).click()
  await plan.getByLabel(/^English name/).fill('Reed deer')
  await plan.getByRole('button', { name: 'Save', exact: true }).click()
  await plan.getByRole('button', { name: 'Add to Thursday slow hour' }).click()
  await expect
    .poll(async () => JSON.stringify(await house.session('thursday-slow-hour')))
    .toMatch(/"poseId":"(?!deer)[\w-]{21}"/)
  await plan.getByRole('button', { name: 'Delete', exact: true }).click()
  await expect(plan.getByRole('alert')).toContainText('is used in Thursday slow hour')
  await plan.getByRole('main').getByRole('link', { name: 'Thursday slow hour' }).click()
  await expect(plan.getByRole('option', { name: /Reed deer, left/ })).toBeAttached()
})

test('things are found by how they sound, by where they are felt, and by what they are called elsewhere', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}shelf`)
  const find = page.getByRole('textbox', { name: 'Find by any name' })
  for (const [typed, name] of [
    ['sfinx', 'Sphinx'],
    ['corpse', 'Rest on the back'],
    ['low back', 'Sphinx'],
  ] as const) {
    await find.fill(typed)
    await expect(page.getByRole('link', { name, exact: true })).toBeVisible()
  }
  await find.fill('zzz')
  await expect(page.getByText('Nothing on the shelf fits “zzz”.')).toBeVisible()
})

test('a form of one’s own joins its pose and can be chosen in a plan', async ({ plan, house }) => {
  await plan.goto(`${house.address}shelf/deer`)
  await plan.getByRole('button', { name: 'Add a form of your own' }).click()
  await plan.getByLabel('Name of the form').fill('On two cushions')
  await plan.getByLabel('What changes').fill('Two cushions under the seat.')
  await plan.getByRole('button', { name: 'Save this form' }).click()
  await expect(plan.getByText('easier, your own')).toBeVisible()
  await plan.getByRole('link', { name: 'Back to the plan' }).click()
  await plan.getByRole('option', { name: /Deer, left/ }).click()
  await plan.getByRole('combobox', { name: 'Form of Deer' }).click()
  await plan.getByRole('option', { name: 'On two cushions (easier)' }).click()
  await saved(plan)
  expect(
    (await house.session('thursday-slow-hour')).blocks.some(
      (block) => block.kind === 'hold' && block.variantId !== undefined,
    ),
  ).toBe(true)
})

test('a session answers the handbook’s questions for itself, and keeps the answers as a school of one’s own', async ({
  plan,
  house,
  expectFailures,
}) => {
  expectFailures('409')
  await plan.getByText('Answers', { exact: true }).click()
  const firstDeer = plan.getByRole('option', { name: /^Deer/ }).first()
  await expect(firstDeer).toHaveAccessibleName(/Deer, left/)
  await plan.getByRole('combobox', { name: 'First side' }).click()
  await plan.getByRole('option', { name: 'right', exact: true }).click()
  await expect(firstDeer).toHaveAccessibleName(/Deer, right/)
  await expect(plan.getByText('1 set for this session')).toBeVisible()
  await plan.getByRole('button', { name: 'Keep as a school of your own' }).click()
  await plan.getByLabel('Name of the school').fill('Bellows House')
  await plan.getByRole('button', { name: 'Keep it' }).click()
  await expect(plan.getByRole('combobox', { name: 'School' })).toHaveText('Bellows House')
  await saved(plan)
  const session = await house.session('thursday-slow-hour')
  expect(session.answers).toEqual({})
  await plan.getByRole('button', { name: 'Delete Bellows House' }).click()
  await expect(plan.getByRole('alert')).toContainText('“Bellows House” is used in Thursday slow hour')
})
