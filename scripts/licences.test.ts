import { licencesOf } from './shared/licences.ts'
import { join } from 'node:path'

test('everything that is shipped says under what', () => {
  const all = licencesOf(join(import.meta.dirname, '..'))
  expect(all.length).toBeGreaterThan(50)
  expect(all.filter(({ licence }) => licence === '').map(({ name }) => name)).toEqual([])
  const names = all.map(({ name }) => name)
  for (const name of ['vue', 'primevue', 'sqlite3', 'pg', '@fontsource/ysabeau-office']) expect(names).toContain(name)
  // Nothing that would make others' use of what is built with it a matter of asking.
  expect(
    all.filter(({ licence }) => /GPL|SSPL|BUSL|UNLICENSED|SEE LICENSE/i.test(licence)).map(({ name }) => name),
  ).toEqual([])
  expect(all.find(({ name }) => name === 'vue')?.text).toContain('Permission is hereby granted')
})
