import { spawn } from 'node:child_process'
import { tmpdir } from 'node:os'
import { startServer } from '#server/start'
import { bundled } from '../shared/bundle.ts'
import { rootFolder } from '../shared/pages.ts'
import { fileIn, inFolder } from './folder.ts'

/** Asks a server that runs within this process, on an empty database, or on what is put into it first. */
export async function withServer<T>(
  work: (address: string) => Promise<T>,
  furnish: (file: string) => Promise<void> = () => Promise.resolve(),
): Promise<T> {
  return inFolder(async (folder) => {
    await furnish(fileIn(folder))
    const config = { host: '127.0.0.1', port: 0, portIsFixed: true, dataFolder: folder }
    const running = await startServer(config, fileIn(folder), undefined)
    try {
      return await work(running.address)
    } finally {
      await running.stop()
    }
  })
}

/** Runs a script, by its path from their folder, as a process of its own, as another user where one is given; all that it said. */
export async function endOf(script: string, folder: string, uid: number | undefined): Promise<string> {
  const child = spawn(process.execPath, [await bundled(script), folder], {
    cwd: rootFolder,
    ...(uid === undefined ? {} : { uid, gid: uid, env: { ...process.env, HOME: tmpdir() } }),
  })
  let said = ''
  child.stdout.on('data', (chunk) => (said += String(chunk)))
  child.stderr.on('data', (chunk) => (said += String(chunk)))
  await new Promise((done) => {
    child.once('exit', done)
    setTimeout(() => child.kill(), 20_000).unref()
  })
  return said
}

export interface Reply {
  readonly status: number
  readonly ms: number
  readonly body: unknown
  readonly version: number
}

/** One request; a server that does not answer within the patience counts as status 0. */
export async function ask(
  address: string,
  path: string,
  { patienceMs = 10_000, ...init }: RequestInit & { readonly patienceMs?: number } = {},
): Promise<Reply> {
  const startMs = performance.now()
  try {
    const reply = await fetch(new URL(path, address), { ...init, signal: AbortSignal.timeout(patienceMs) })
    const text = await reply.text()
    const isJson = reply.headers.get('Content-Type')?.includes('json') ?? false
    const version = Number(/\d+/.exec(reply.headers.get('ETag') ?? '')?.[0] ?? 0)
    return { status: reply.status, ms: performance.now() - startMs, body: isJson ? JSON.parse(text) : text, version }
  } catch {
    return { status: 0, ms: performance.now() - startMs, body: undefined, version: 0 }
  }
}

export const send = (method: string, body: unknown, headers: Readonly<Record<string, string>> = {}): RequestInit => ({
  method,
  headers: { 'Content-Type': 'application/json', ...headers },
  body: JSON.stringify(body),
})
export const over = (version: number) => ({ 'If-Match': `"${String(version)}"` })

export const wait = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms))
