import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { archiveLimits } from '#model/limits'

const root = join(import.meta.dirname, '..')
const read = (path: string): string => readFileSync(join(root, path), 'utf8')
const lines = (text: string): string[] => text.split('\n').filter((line) => line.trim() !== '' && !/^\s*#/.test(line))
/** What the server reads of its environment. */
const known = new Set(
  [...read('src/server/config.ts').matchAll(/environment\['(ZOVRIN_\w+)'\]/g)].map(([, name]) => name),
)
const settingsIn = (text: string): string[] => [...text.matchAll(/\bZOVRIN_\w+(?==)/g)].map(([name]) => name)

test.each(['zovrin.service', 'zovrin.env.example', 'Containerfile'])('%s sets what the server reads', (file) => {
  const set = settingsIn(read(`deploy/${file}`))
  expect(set.length).toBeGreaterThan(0)
  expect(set.filter((name) => !known.has(name))).toEqual([])
})

test('the systemd unit has its parts, each once, and starts what there is', () => {
  const unit = lines(read('deploy/zovrin.service'))
  expect(unit.filter((line) => line.startsWith('['))).toEqual(['[Unit]', '[Service]', '[Install]'])
  const keys = unit.filter((line) => !line.startsWith('[')).map((line) => /^([A-Z]\w+)=\S/.exec(line)?.[1])
  expect(keys).not.toContain(undefined)
  const once = keys.filter((key) => key !== 'Environment')
  expect(new Set(once).size).toBe(once.length)
  const started = unit.find((line) => line.startsWith('ExecStart='))
  expect(started).toBe('ExecStart=/usr/bin/node scripts/run.mjs start')
  expect(read('scripts/start.ts')).toContain('serveUntilStopped')
  // Longer than what is being saved may take.
  expect(unit).toContain('TimeoutStopSec=20')
  expect(unit).toContain('NoNewPrivileges=true')
})

test('the proxy keeps the host, tells addresses, lets streams through, and takes what the server takes', () => {
  const proxy = lines(read('deploy/nginx.conf')).map((line) => line.trim())
  const depth = proxy.reduce((deep, line) => deep + (line.endsWith('{') ? 1 : line === '}' ? -1 : 0), 0)
  expect(depth).toBe(0)
  expect(proxy.filter((line) => !/[;{}]$/.test(line))).toEqual([])
  for (const line of ['proxy_set_header Host $host;', 'proxy_buffering off;', 'client_max_body_size 48m;'])
    expect(proxy).toContain(line)
  expect(read('src/server/features/exchange/routes.ts')).toContain("limit: '40mb'")
  const archive = proxy.slice(proxy.indexOf('location = /api/archive {'))
  expect(archive.slice(0, archive.indexOf('}'))).toContain(
    `client_max_body_size ${String(archiveLimits.bytes / 1024 ** 3)}g;`,
  )
})

test('the container names its base exactly, runs as nobody of importance and says how it is', () => {
  const told = lines(read('deploy/Containerfile').replaceAll(/\\\n/g, ' '))
  const words = ['FROM', 'RUN', 'WORKDIR', 'COPY', 'USER', 'ENV', 'VOLUME', 'STOPSIGNAL', 'HEALTHCHECK', 'CMD']
  expect(told.map((line) => line.split(' ')[0]).filter((word) => !words.includes(word ?? ''))).toEqual([])
  expect(told[0]).toMatch(/^FROM docker\.io\/library\/node:\d+-\w+-slim$/)
  expect(Number(/node:(\d+)/.exec(told[0] ?? '')?.[1])).toBeGreaterThanOrEqual(20)
  expect(told.findIndex((line) => line === 'USER node')).toBeGreaterThan(
    told.findLastIndex((line) => line.startsWith('RUN')),
  )
  expect(told.at(-1)).toBe('CMD ["node", "scripts/run.mjs", "start"]')
  expect(told.some((line) => line.startsWith('EXPOSE'))).toBe(false)
})
