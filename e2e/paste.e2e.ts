import type { Page } from '@playwright/test'
import { expect, test } from './fixtures.ts'

const typed = (page: Page) => page.getByLabel('Plan as text', { exact: true })
const row = (page: Page, words: string) => page.getByRole('row').filter({ hasText: words })

async function become(page: Page, line: number, words: string): Promise<void> {
  await page.getByRole('combobox', { name: `Line ${String(line)} becomes` }).click()
  await page.getByRole('option', { name: words, exact: true }).click()
  // The list leaves slowly; the next one would stand beside it.
  await expect(page.getByRole('option')).toHaveCount(0)
}

test('a plan from a notebook becomes a session; what is doubtful is marked, chosen anew, and nothing is dropped', async ({
  page,
  house,
}) => {
  await page.goto(house.address)
  await page.getByRole('button', { name: 'Paste a plan' }).click()
  await expect(page.getByText('nothing is dropped')).toBeVisible()
  await typed(page).fill(
    'Autumn hour, yin 60 min\n\ntalk 3 welcome\ndeer 3.5 e/s\n   mind the knee\ntwist 3 each side\nbody scan 5\nshavasana 8',
  )
  await expect(page.getByRole('status').filter({ hasText: '5 blocks' })).toContainText('of 60:00, 2 lines to look at')
  await expect(row(page, 'deer 3.5 e/s')).toContainText('Deer, 3:30 each side')
  await expect(row(page, 'body scan 5')).toContainText('No name of the shelf')
  // Another twist is meant, and the scan is a rest.
  await become(page, 6, 'Seated twist')
  await expect(row(page, 'twist 3 each side')).toContainText('Seated twist, 3:00 each side')
  await become(page, 7, 'A rest')
  await expect(page.getByRole('status').filter({ hasText: '5 blocks' })).not.toContainText('to look at')
  // A reload takes nothing of it away.
  await page.reload()
  await expect(row(page, 'twist 3 each side')).toContainText('Seated twist, 3:00 each side')
  await page.getByRole('button', { name: 'Make a session' }).click()
  await expect(page).toHaveURL(/\/plan\//)
  await expect(page.getByRole('button', { name: 'Autumn hour' })).toBeVisible()
  const id = page.url().split('/').at(-1) ?? ''
  const kept = await house.session(id)
  expect(kept.blocks.map((block) => (block.kind === 'hold' ? block.poseId : block.kind))).toEqual([
    'talk',
    'deer',
    'seated-twist',
    'rest',
    'closing',
  ])
  expect(kept.blocks[1]).toMatchObject({ note: 'mind the knee', hold: { holdS: 210 } })
})

test('text pasted on the spine is read line by line, goes into the open session, and is taken back in one step', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}plan/thursday-slow-hour`)
  await page.getByRole('option', { name: /Deer, left/ }).waitFor()
  const before = (await house.session('thursday-slow-hour')).blocks.length
  await page.evaluate(() => {
    const clipboardData = new DataTransfer()
    clipboardData.setData('text/plain', 'sphinx 2 min\nfrog 3 min\nśavāsana 5')
    document.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }))
  })
  await expect(typed(page)).toHaveValue('sphinx 2 min\nfrog 3 min\nśavāsana 5')
  await expect(row(page, 'śavāsana 5')).toContainText('has a closing already')
  await page.getByRole('button', { name: 'Put into Thursday slow hour' }).click()
  await expect(page).toHaveURL(/\/plan\/thursday-slow-hour/)
  await expect(page.getByRole('option', { name: /Frog, 3:00/ })).toBeVisible()
  await expect.poll(async () => (await house.session('thursday-slow-hour')).blocks.length).toBe(before + 2)
  await page.getByRole('button', { name: /^Undo: paste a plan/ }).click()
  await expect(page.getByRole('option', { name: /Frog/ })).toHaveCount(0)
  await expect.poll(async () => (await house.session('thursday-slow-hour')).blocks.length).toBe(before)
})

test('a session as text reads back as the same plan', async ({ page, house }) => {
  await page.goto(`${house.address}plan/sunday-long-rest`)
  await page.getByRole('button', { name: 'Sunday long rest' }).click()
  await page.getByRole('menuitem', { name: 'As text' }).click()
  const text = page.getByLabel('The plan as text', { exact: true }).and(page.locator('textarea'))
  await expect(text).toHaveValue(/^Sunday long rest, 1:15:00, restorative/)
  await page.getByLabel('With what the lines cannot say').check()
  await expect(text).toHaveValue(/zovrin\.plan/)
  const written = await text.inputValue()
  await page.goto(`${house.address}paste`)
  await typed(page).fill(written)
  await page.getByRole('button', { name: 'Make a session' }).click()
  await expect(page).toHaveURL(/\/plan\//)
  const again = await house.session(page.url().split('/').at(-1) ?? '')
  const session = await house.session('sunday-long-rest')
  const plain = ({ id: _, blocks, ...head }: typeof session) => ({
    ...head,
    blocks: blocks.map(({ id: __, ...block }) => block),
  })
  expect(plain(again)).toEqual(plain(session))
})

test('a file that is no text, or larger than any plan, is refused and changes nothing', async ({ page, house }) => {
  await page.goto(`${house.address}paste`)
  await typed(page).fill('deer 3')
  const picker = page.getByLabel('Text file with a plan')
  await picker.setInputFiles({
    name: 'plan.docx',
    mimeType: 'application/zip',
    buffer: Buffer.from([0x50, 0x4b, 3, 4, 0, 0, 0xff, 0xfe]),
  })
  await expect(page.getByRole('alert')).toHaveText(/plan\.docx is no text/)
  await picker.setInputFiles({ name: 'all.txt', mimeType: 'text/plain', buffer: Buffer.alloc(500_000, 'deer 3\n') })
  await expect(page.getByRole('alert')).toHaveText(/all\.txt is larger than 400 kB/)
  await expect(typed(page)).toHaveValue('deer 3')
  await picker.setInputFiles({
    name: 'plan.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('=HYPERLINK("x") 3\n<script>alert(1)</script> 3\nsphinx 4'),
  })
  await expect(row(page, '<script>')).toContainText('No name of the shelf')
  await expect(page.getByRole('alert')).toHaveCount(0)
})
