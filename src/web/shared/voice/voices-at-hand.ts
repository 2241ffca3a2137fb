import { ports } from '#web/shared/ports.ts'

/** As many are fetched at once. */
const atOnce = 6
/** What the audio device has already. */
const atHand = new Set<string>()

async function fetched(id: string, address: string): Promise<void> {
  try {
    const reply = await fetch(address)
    if (!reply.ok) return
    await ports()
      .audio()
      .keep(id, await reply.arrayBuffer())
    atHand.add(id)
  } catch {
    // One that does not come is not heard, as if it were not recorded.
  }
}

/** Has recordings ready to be heard. */
export async function haveVoices(ids: readonly string[], addressOf: (id: string) => string): Promise<void> {
  const lacking = ids.filter((id) => !atHand.has(id))
  for (let at = 0; at < lacking.length; at += atOnce)
    await Promise.all(lacking.slice(at, at + atOnce).map((id) => fetched(id, addressOf(id))))
}
