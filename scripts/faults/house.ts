import { spawn } from 'node:child_process'
import type { ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startServer } from '#server/start'
import { rootFolder } from '../shared/pages.ts'

/** Does work with a folder of its own, which is gone after it. */
export async function inFolder<T>(work: (folder: string) => Promise<T>): Promise<T> {
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-faults-'))
  try {
    return await work(folder)
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

export const fileIn = (folder: string): string => join(folder, 'zovrin.sqlite')

/** Asks a server that runs within this process, on an empty database. */
export async function withServer<T>(work: (address: string) => Promise<T>): Promise<T> {
  return inFolder(async (folder) => {
    const config = { host: '127.0.0.1', port: 0, portIsFixed: true, dataFolder: folder }
    const running = await startServer(config, fileIn(folder), undefined)
    try {
      return await work(running.address)
    } finally {
      await running.stop()
    }
  })
}

export interface Child {
  readonly process: ChildProcess
  /** The line it says when it has come so far. */
  readonly said: string
}

/** Starts a script of this folder as a process of its own, and waits for the first line it says. */
export async function startChild(script: string, ...args: string[]): Promise<Child> {
  const process = spawn(globalThis.process.execPath, ['--import', 'tsx', join(import.meta.dirname, script), ...args], {
    cwd: rootFolder,
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let told = ''
  let amiss = ''
  process.stderr.on('data', (chunk) => (amiss += String(chunk)))
  return new Promise((ready, fail) => {
    process.stdout.on('data', (chunk) => {
      told += String(chunk)
      const [line, ...others] = told.split('\n')
      if (others.length > 0) ready({ process, said: String(line) })
    })
    process.once('exit', () => {
      fail(new Error(`${script} ended before it was ready: ${amiss}`))
    })
  })
}

/** Runs a script of this folder as a process of its own, as another user where one is given; all that it said. */
export async function endOf(script: string, folder: string, uid: number | undefined): Promise<string> {
  const child = spawn(process.execPath, ['--import', 'tsx', join(import.meta.dirname, script), folder], {
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

/** Ends a process without a chance to clean up, and waits until it is gone. */
export async function kill({ process }: Child): Promise<void> {
  if (process.exitCode !== null || process.signalCode !== null) return
  const gone = new Promise((done) => process.once('exit', done))
  process.kill('SIGKILL')
  await gone
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
