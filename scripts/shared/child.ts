import { spawn } from 'node:child_process'
import type { ChildProcess } from 'node:child_process'
import { bundled } from './bundle.ts'
import { rootFolder } from './pages.ts'

/** A process of its own that runs beside this one. */
export interface Child {
  readonly process: ChildProcess
  /** The line it says when it has come so far. */
  readonly said: string
}

/** Starts a script, by its path from their folder, as a process of its own, and waits for the first line it says. */
export async function startChild(script: string, ...args: string[]): Promise<Child> {
  const process = spawn(globalThis.process.execPath, [await bundled(script), ...args], {
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

/** Ends a process without a chance to clean up, and waits until it is gone. */
export async function kill({ process }: Child): Promise<void> {
  if (process.exitCode !== null || process.signalCode !== null) return
  const gone = new Promise((done) => process.once('exit', done))
  process.kill('SIGKILL')
  await gone
}
