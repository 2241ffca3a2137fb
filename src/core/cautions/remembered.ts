/** A pure reading of the reference's texts, done once for each: they are few and come up again and again. */
export function remembered<T>(read: (text: string) => T): (text: string) => T {
  const known = new Map<string, T>()
  return (text) => {
    const before = known.get(text)
    if (before !== undefined) return before
    const made = read(text)
    known.set(text, made)
    return made
  }
}
