import { expect, test } from './fixtures.ts'

for (const [typed, mend] of [
  ['3:75', '3:75 has more than 59 in its seconds: type 3:30 or 3.5.'],
  ['0', '0 is outside 0:05 to 60:00.'],
  ['99h', '99h is outside 0:05 to 60:00.'],
  ['soon', '"soon" is not a time: type 3:30, 3.5, 90s or 1h15.'],
  ['', 'Type a time, as 3:30.'],
] as const) {
  test(`a hold typed as "${typed}" is refused at its field with the mend`, async ({ plan }) => {
    await plan.getByRole('option', { name: /Sphinx/ }).click()
    const field = plan.getByLabel('Time', { exact: true })
    await field.fill(typed)
    await field.press('Enter')
    await expect(plan.getByRole('alert')).toHaveText(mend)
    await expect(field).toHaveValue(typed)
    await expect(plan.getByRole('option', { name: 'Sphinx, 3:00' })).toBeAttached()
    await field.press('Escape')
    await expect(field).toHaveValue('3:00')
    await expect(plan.getByRole('alert')).toBeHidden()
  })
}

for (const [typed, shown] of [
  ['3.5', '3:30'],
  ['3,5', '3:30'],
  ['90s', '1:30'],
  ['4', '4:00'],
] as const) {
  test(`a hold typed as "${typed}" is understood as ${shown}`, async ({ plan }) => {
    await plan.getByRole('option', { name: /Sphinx/ }).click()
    await plan.getByLabel('Time', { exact: true }).fill(typed)
    await plan.getByLabel('Time', { exact: true }).press('Enter')
    await expect(plan.getByRole('option', { name: `Sphinx, ${shown}` })).toBeAttached()
  })
}

test('a session of 1h15 is understood', async ({ plan }) => {
  await plan.getByLabel('Length to fill').fill('1h15')
  await plan.getByLabel('Length to fill').press('Enter')
  await expect(plan.getByTestId('gauge')).toContainText('of 1:15:00')
})
