/** Storage as a browser has it, kept in this window alone. */
class StorageHere implements Storage {
  readonly #kept = new Map<string, string>()
  get length(): number {
    return this.#kept.size
  }
  clear(): void {
    this.#kept.clear()
  }
  getItem(key: string): string | null {
    return this.#kept.get(key) ?? null
  }
  key(index: number): string | null {
    return [...this.#kept.keys()][index] ?? null
  }
  removeItem(key: string): void {
    this.#kept.delete(key)
  }
  setItem(key: string, value: string): void {
    this.#kept.set(key, value)
  }
  [name: string]: unknown
}

/**
 * Where the browser refuses its storage, even to be asked for it, the page has one of its own for as long as it is open: what
 * is kept there is convenience, and no class may fail for it. To be done before anything else.
 */
for (const name of ['localStorage', 'sessionStorage'] as const) {
  try {
    window[name].getItem('')
  } catch {
    Object.defineProperty(window, name, { value: new StorageHere(), configurable: true })
  }
}
