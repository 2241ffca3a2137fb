import { readFileSync } from 'node:fs'
import { expect, test } from './fixtures.ts'

test('every pose of the shelf is shown small once it is near, and is there again after a reload', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}shelf`)
  const thumbs = page.locator('.shelf-list .thumb svg.figure')
  await expect(thumbs.first()).toBeVisible()
  expect(await thumbs.count()).toBeLessThan(84)
  // On paper is all of it.
  await page.pdf()
  await expect(thumbs).toHaveCount(84)
  // What is not drawn has its mark.
  await expect(
    page.locator('.shelf-list tr').filter({ hasText: 'Even breath' }).first().locator('svg.glyph'),
  ).toBeVisible()
  const drawn = await thumbs.first().innerHTML()
  await page.reload()
  await expect(thumbs.first()).toBeVisible()
  await page.setViewportSize({ width: 1280, height: 8000 })
  await expect(thumbs).toHaveCount(84)
  expect(await thumbs.first().innerHTML()).toBe(drawn)
  await page.getByRole('textbox', { name: /Find/ }).fill('deer')
  await expect(thumbs).not.toHaveCount(84)
  await expect(page.locator('.shelf-list tr').filter({ hasText: 'Deer' }).first().locator('svg.figure')).toBeVisible()
})

test('the page of a pose shows both its sides and each of its set-ups', async ({ page, house }) => {
  await page.goto(`${house.address}shelf/deer`)
  const pictures = page.getByRole('list', { name: 'How it looks' }).getByRole('listitem')
  await expect(pictures).toHaveCount(5)
  await expect(pictures.locator('svg.figure')).toHaveCount(5)
  const [left, right] = [pictures.nth(0), pictures.nth(1)]
  await expect(left).toContainText('left knee in front')
  expect(await left.locator('svg').innerHTML()).not.toBe(await right.locator('svg').innerHTML())
})

test('a block of Plan shows how it lies and leads to Set-ups', async ({ plan }) => {
  const deer = plan.getByRole('option', { name: 'Deer, left, 3:30, block 6 of 9' })
  await expect(deer.locator('svg.figure')).toBeVisible()
  await deer.click()
  await plan.getByRole('link', { name: 'Open it in Set-ups' }).click()
  await expect(plan.getByRole('heading', { name: 'Deer' })).toBeVisible()
  await expect(plan.getByText('seen from above')).toBeVisible()
})

test('the other side of a pose is another picture', async ({ page, house }) => {
  await page.goto(`${house.address}props/thursday-slow-hour`)
  await page
    .getByRole('navigation', { name: 'Set-ups of the session' })
    .getByRole('button', { name: /^Figure four/ })
    .click()
  const figure = page.locator('.frame svg.figure')
  await expect(page.getByText('seen from the feet')).toBeVisible()
  const right = await figure.innerHTML()
  await page.getByRole('button', { name: 'Left', exact: true }).click()
  await expect.poll(async () => (await figure.innerHTML()) === right).toBe(false)
  await page.getByRole('button', { name: 'Head', exact: true }).click()
  await expect(page.getByText('seen from the head')).toBeVisible()
})

test('a picture is saved as SVG and as PNG, with what is measured and without', async ({ page, house }) => {
  await page.goto(`${house.address}props/sunday-long-rest`)
  await page
    .getByRole('navigation', { name: 'Set-ups of the session' })
    .getByRole('button', { name: /^Inclined rest/ })
    .click()
  const saved = async (what: string) => {
    await page.getByRole('button', { name: 'Save the picture' }).click()
    const coming = page.waitForEvent('download')
    await page.getByRole('menuitem', { name: what }).click()
    const download = await coming
    return { name: download.suggestedFilename(), file: readFileSync(await download.path()) }
  }
  const measured = await saved('SVG, with measures')
  expect(measured.name).toBe('inclined-rest.svg')
  const text = measured.file.toString()
  expect(text).toMatch(/^<svg xmlns="http:\/\/www\.w3\.org\/2000\/svg"/)
  expect(text).toMatch(/<title>Inclined rest/)
  expect(text).toMatch(/<text[^>]*>[^<]*cm</)
  expect(text).toMatch(/fill="rgb\(/)
  const alone = (await saved('SVG, the figure alone')).file.toString()
  expect(alone).not.toContain('<text')
  expect(alone.match(/<path/g)?.length).toBeGreaterThan(15)
  const png = await saved('PNG, the figure alone')
  expect(png.name).toBe('inclined-rest.png')
  expect(png.file.subarray(1, 4).toString()).toBe('PNG')
  // Three of its px are one of the page’s.
  const width = (await page.locator('.frame svg.figure').getAttribute('viewBox'))?.split(' ')[2]
  expect(png.file.readUInt32BE(16)).toBe(3 * Number(width))
})

test('a set-up is looked at for three heights beside each other, and late in pregnancy', async ({ page, house }) => {
  await page.goto(`${house.address}props/sunday-long-rest`)
  await page
    .getByRole('navigation', { name: 'Set-ups of the session' })
    .getByRole('button', { name: /^Calves on a chair/ })
    .click()
  await page.getByRole('button', { name: 'Three heights' }).click()
  const three = page.getByRole('list', { name: 'At three heights' }).getByRole('button')
  await expect(three).toHaveText([/^150 cm/, /^170 cm\s*as it lies$/, /^190 cm/])
  await expect(three.first()).not.toContainText('as it lies')
  await three.first().click()
  await expect(page.getByText('person of 150 cm')).toBeVisible()
  await expect(page.getByText('trunk lies flat')).toHaveCount(0)
  await page.getByLabel('Late pregnancy').click()
  await expect(page.getByText('Late in pregnancy, and the trunk lies flat').first()).toBeVisible()
  await page.getByRole('button', { name: 'Three heights' }).click()
  await expect(three).toHaveCount(3)
  // A sheet is for one height.
  await page.emulateMedia({ media: 'print' })
  await expect(three.first()).toBeHidden()
  await expect(page.getByRole('img', { name: /^Calves on a chair/ })).toBeVisible()
})
