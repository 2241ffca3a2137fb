/** An id beginning with a word that none of the things has yet. */
export function freeId(word: string, things: readonly { readonly id: string }[]): string {
  const taken = new Set(things.map(({ id }) => id))
  for (let number = 0; ; number += 1) {
    const id = number === 0 ? word : `${word}-${String(number)}`
    if (!taken.has(id)) return id
  }
}
