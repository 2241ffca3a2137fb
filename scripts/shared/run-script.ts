/** Runs a script's work; a failure is one sentence, not a stack, and what lies behind it where that is known. */
export function runScript(work: () => Promise<unknown>): void {
  work().catch((error: unknown) => {
    console.error(error instanceof Error ? error.message : String(error))
    if (error instanceof Error && error.cause instanceof Error) console.error(`(${error.cause.message})`)
    process.exitCode = 1
  })
}
