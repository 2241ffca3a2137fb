import { mkdtempSync, readFileSync, readdirSync, renameSync, rmSync, truncateSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { BackupTold } from '#model/backup'
import type { Session } from '#model/session'
import { startServer } from '#server/start'
import type { Running } from '#server/start'
import { aHold, aSession } from '#testing/sessions'

let folder = ''
let running: Running | undefined
let now = new Date('2026-03-12T18:00:00Z')
beforeEach(async () => {
  now = new Date('2026-03-12T18:00:00Z')
  folder = mkdtempSync(join(tmpdir(), 'zovrin-backups-'))
  const config = { host: '127.0.0.1', port: 0, portIsFixed: true, dataFolder: folder }
  running = await startServer(config, join(folder, 'zovrin.sqlite'), undefined, { now: () => now })
})
afterEach(async () => {
  await running?.stop()
  rmSync(folder, { recursive: true })
})
const ask = (path: string, init: RequestInit = {}) => fetch(`${running?.address ?? ''}api/${path}`, init)
const send = (path: string, method: string, body: unknown) =>
  ask(path, { method, headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) })
const create = async (id: string) => {
  expect((await send('sessions', 'POST', aSession([aHold('deer')], { id, name: id }))).status).toBe(201)
}
const sessions = async () =>
  ((await (await ask('sessions')).json()) as readonly Session[]).map(({ id }) => id).toSorted()
const list = async () =>
  (await (await ask('backups')).json()) as { readonly isLate: boolean; readonly backups: readonly BackupTold[] }
const make = async () => {
  const reply = await ask('backups', { method: 'POST' })
  expect(reply.status).toBe(201)
  return (await reply.json()) as BackupTold
}
const code = async (reply: Response) => ((await reply.json()) as { code: string }).code

test('a backup is made, told with what is in it, saved as a file, and put back while the house stays open', async () => {
  await create('one')
  const made = await make()
  expect(made).toMatchObject({
    name: 'zovrin-asked-2026-03-12T180000.zip',
    why: 'asked',
    counts: { sessions: 1 },
    sounds: 0,
  })
  expect(await list()).toEqual({ isLate: false, backups: [made] })
  const saved = await ask(`backups/${made.name}`)
  expect([saved.headers.get('content-type'), (await saved.arrayBuffer()).byteLength]).toEqual([
    'application/zip',
    made.bytes,
  ])

  await create('two')
  now = new Date('2026-03-12T19:00:00Z')
  expect((await ask(`backups/${made.name}/restored`, { method: 'POST' })).status).toBe(204)
  expect(await sessions()).toEqual(['one'])
  // What was there is kept, and the house goes on with what was put back.
  const [before] = (await list()).backups
  expect(before).toMatchObject({ why: 'beforeRestore', counts: { sessions: 2 } })
  await create('three')
  expect(await sessions()).toEqual(['one', 'three'])
  expect((await ask(`backups/${before?.name ?? ''}/restored`, { method: 'POST' })).status).toBe(204)
  expect(await sessions()).toEqual(['one', 'two'])
})

test('whoever was deleted since is told before one is put back, and is deleted again unless they are to be there', async () => {
  const put = (id: string, name: string) =>
    ask(`people/${id}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'If-Match': '"0"' },
      body: JSON.stringify({ id, name, conditions: [], consents: [] }),
    })
  const people = async () =>
    ((await (await ask('people')).json()) as readonly { person: { id: string } }[]).map(({ person }) => person.id)
  for (const [id, name] of [
    ['ilka', 'Ilka'],
    ['ole', 'Ole'],
    ['stays', 'Stays'],
  ] as const)
    expect((await put(id, name)).status).toBe(200)
  const { name } = await make()
  for (const id of ['ilka', 'ole'])
    expect((await ask(`people/${id}`, { method: 'DELETE', headers: { 'If-Match': '"1"' } })).status).toBe(204)
  expect(await (await ask(`backups/${name}/people`)).json()).toEqual([
    { id: 'ilka', name: 'Ilka' },
    { id: 'ole', name: 'Ole' },
  ])
  // Looked at beside the house, of which nothing is left.
  expect(readdirSync(folder).filter((one) => one.startsWith('restoring'))).toEqual([])
  now = new Date('2026-03-12T19:00:00Z')
  expect((await send(`backups/${name}/restored`, 'POST', { without: ['ole', 'nobody'] })).status).toBe(204)
  expect((await people()).toSorted()).toEqual(['ilka', 'stays'])
  expect(readFileSync(join(folder, 'zovrin.sqlite')).toString('latin1')).not.toContain('"name":"Ole"')
})

test('what is asked while one is put back is told to come again; nothing written before is lost', async () => {
  await create('one')
  const { name } = await make()
  const asked = Array.from({ length: 12 }, (_, at) => send('sessions', 'POST', aSession([], { id: `s${String(at)}` })))
  const restored = ask(`backups/${name}/restored`, { method: 'POST' })
  const replies = await Promise.all(asked)
  expect((await restored).status).toBe(204)
  for (const reply of replies) expect([201, 503]).toContain(reply.status)
  const written = replies.filter(({ status }) => status === 201).length
  const before = (await list()).backups.find(({ why }) => why === 'beforeRestore')
  // Each that was answered as kept is in what was kept before, or was written after.
  const after = (await sessions()).length - 1
  expect((before?.counts?.['sessions'] ?? 0) - 1 + after).toBeGreaterThanOrEqual(written)
})

test('what is read while one is put back is answered or told to come again, and never a fault of ours', async () => {
  for (let at = 0; at < 6; at += 1) await create(`s${String(at)}`)
  const { name } = await make()
  const reads = Array.from({ length: 40 }, (_, at) =>
    ask(['sessions', 'people', 'planned-classes', 'led-classes'][at % 4] ?? ''),
  )
  const restored = ask(`backups/${name}/restored`, { method: 'POST' })
  const more = Array.from({ length: 20 }, () => ask('sessions'))
  const statuses = (await Promise.all([...reads, ...more])).map(({ status }) => status)
  expect((await restored).status).toBe(204)
  expect(statuses.filter((status) => status !== 200 && status !== 503)).toEqual([])
})

test('two that are put back at once come one after the other, and what is written then stays', async () => {
  await create('one')
  const first = await make()
  await create('two')
  now = new Date('2026-03-12T19:00:00Z')
  const second = await make()
  now = new Date('2026-03-12T20:00:00Z')
  const restore = async ({ name }: BackupTold) => (await ask(`backups/${name}/restored`, { method: 'POST' })).status
  const statuses = await Promise.all([restore(first), restore(second), restore(first)])
  // Whoever comes while one is put back already is told to come again.
  expect(statuses.filter((status) => status !== 204 && status !== 503)).toEqual([])
  expect(statuses).toContain(204)
  await create('three')
  expect(await sessions()).toContain('three')
  await running?.stop()
  const config = { host: '127.0.0.1', port: 0, portIsFixed: true, dataFolder: folder }
  running = await startServer(config, join(folder, 'zovrin.sqlite'), undefined, { now: () => now })
  expect(await sessions()).toEqual(expect.arrayContaining(['one', 'three']))
  expect(readdirSync(folder).filter((name) => /restoring|damaged/.test(name))).toEqual([])
})

test('a backup from elsewhere is brought in whole or not at all', async () => {
  await create('one')
  const { name } = await make()
  const path = join(folder, 'backups', name)
  const bytes = readFileSync(path)
  rmSync(path)
  const bring = (body: Uint8Array<ArrayBuffer>, type = 'application/zip') =>
    ask('backups', { method: 'PUT', headers: { 'Content-Type': type }, body })
  const cut = await bring(new Uint8Array(bytes.subarray(0, 900)))
  expect(cut.status).toBe(422)
  expect(await cut.json()).toMatchObject({ code: 'BACKUP_TROUBLE', facts: { trouble: 'cut off' } })
  expect(await code(await bring(new Uint8Array(bytes), 'text/html'))).toBe('WRONG_CONTENT_TYPE')
  expect(readdirSync(join(folder, 'backups'))).toEqual([])
  const brought = await bring(new Uint8Array(bytes))
  expect(await brought.json()).toMatchObject({ name, why: 'asked', counts: { sessions: 1 } })
  // Once more is no other one.
  expect((await bring(new Uint8Array(bytes))).status).toBe(200)
  expect((await list()).backups.map((one) => one.name)).toEqual([name])
})

test('a folder for backups that is none is told as that by every answer, and works again once it is one', async () => {
  await create('one')
  const made = await make()
  const backups = join(folder, 'backups')
  renameSync(backups, join(folder, 'aside'))
  writeFileSync(backups, 'a file of this name')
  const refused = [
    await ask('backups'),
    await ask('backups', { method: 'POST' }),
    await ask(`backups/${made.name}`),
    await ask(`backups/${made.name}/restored`, { method: 'POST' }),
    await ask('backups', { method: 'PUT', headers: { 'Content-Type': 'application/zip' }, body: 'half' }),
  ]
  const told = (await Promise.all(refused.map((reply) => reply.json()))) as { code: string; detail: string }[]
  expect(told.map((one) => one.code)).toEqual(refused.map(() => 'BACKUP_TROUBLE'))
  expect(told[0]?.detail).toBe(
    'The folder “backups” beside the data cannot be read or written: see that it is a folder, and Zovrin’s to read and write. Nothing was changed.',
  )
  expect(await sessions()).toEqual(['one'])
  rmSync(backups)
  renameSync(join(folder, 'aside'), backups)
  expect((await list()).backups).toEqual([made])
})

test('one that is not whole, or not there, is refused before anything is closed; nothing outside the folder is reached', async () => {
  await create('one')
  const { name } = await make()
  truncateSync(join(folder, 'backups', name), 800)
  expect((await list()).backups).toEqual([{ name, why: 'asked', madeAt: '2026-03-12T18:00:00.000Z', bytes: 800 }])
  expect(await code(await ask(`backups/${name}/restored`, { method: 'POST' }))).toBe('BACKUP_TROUBLE')
  for (const other of ['gone.zip', '..%2Fzovrin.sqlite', '%2e%2e%2fzovrin.sqlite']) {
    const reply = await ask(`backups/${other}`)
    expect(reply.status).toBe(404)
    expect(await code(await ask(`backups/${other}/restored`, { method: 'POST' }))).toMatch(/^UNKNOWN_/)
  }
  expect(await sessions()).toEqual(['one'])
})
