import { useEventListener } from '@vueuse/core'
import { useRouter } from 'vue-router'
import type { Block } from '#model/block'
import { counted } from '#words/text'
import { makeEnvelope } from '#formats/session-envelope'
import { whyNot } from '#web/shared/api/client.ts'
import { importEnvelope } from '#web/shared/api/exchange.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { usePastedText } from '#web/shared/session/pasted-text.ts'
import { usePlan } from './use-plan.ts'

/** What this window copied last, so that pasting it needs no server. */
let lastCopied = ''

/**
 * Copy, cut and paste of the chosen blocks through the system's clipboard, as the open JSON document:
 * within a session, between sessions and between windows. In a field the keys belong to what is typed.
 */
export function useClipboard(isTyping: (target: EventTarget | null) => boolean): void {
  const plan = usePlan()
  const own = useOwnStore()
  const router = useRouter()
  const pastedText = usePastedText()

  const chosenBlocks = (): Block[] =>
    plan.document.value?.blocks.filter(({ id }) => plan.chosenIds.value.includes(id)) ?? []
  const belongsToText = (event: ClipboardEvent): boolean =>
    isTyping(event.target) || document.getSelection()?.isCollapsed === false

  function copy(event: ClipboardEvent): Block[] {
    if (belongsToText(event)) return []
    const blocks = chosenBlocks()
    if (blocks.length === 0) return []
    lastCopied = JSON.stringify(makeEnvelope({ blocks }, own.things), null, 2)
    event.clipboardData?.setData('text/plain', lastCopied)
    event.preventDefault()
    return blocks
  }

  useEventListener(document, 'copy', (event: ClipboardEvent) => {
    const blocks = copy(event)
    if (blocks.length > 0) plan.tell(`${counted(blocks.length, 'block')} copied`)
  })
  useEventListener(document, 'cut', (event: ClipboardEvent) => {
    const blocks = copy(event)
    if (blocks.length > 0) plan.remove(...blocks.map(({ id }) => id))
  })
  useEventListener(document, 'paste', (event: ClipboardEvent) => {
    if (belongsToText(event) || !plan.document.value) return
    event.preventDefault()
    void paste(event.clipboardData?.getData('text/plain') ?? '')
  })

  /** Blocks are put in at once; any other text is a plan somebody wrote, to be read line by line. */
  async function paste(text: string): Promise<void> {
    const into = plan.document.value
    if (into && isPlan(text)) {
      pastedText.value = text
      await router.push({ name: 'paste', params: { id: into.id } })
      return
    }
    const blocks = await pasted(text, own.load)
    const session = plan.document.value
    if (typeof blocks === 'string') plan.tell(blocks)
    if (typeof blocks === 'string' || !session) return
    const last = plan.chosenIds.value.at(-1)
    const at = last === undefined ? session.blocks.length : session.blocks.findIndex(({ id }) => id === last) + 1
    const what = counted(blocks.length, 'block')
    plan.insertAll(blocks, at, `paste ${what}`, `${what} pasted`)
  }
}

/** Words over some lines, and no document. */
const isPlan = (text: string): boolean => !text.trimStart().startsWith('{') && /\p{L}[^\n]*\n[^\n]*\p{L}/u.test(text)

const noBlocks =
  'The clipboard holds no blocks: choose some and press Ctrl + C first. Whole sessions are imported in the list of sessions.'
const away = 'Zovrin’s server does not answer: what another window copied can be pasted when it is back.'

/** The blocks of the clipboard's text, with what they stand on brought to the shelf; or why there are none. */
async function pasted(text: string, loadOwn: () => Promise<unknown>): Promise<readonly Block[] | string> {
  const envelope = blocksEnvelope(text)
  if (!envelope) return noBlocks
  if (text === lastCopied) return envelope.blocks
  const reply = await importEnvelope(envelope)
  if (reply.kind !== 'ok') return whyNot(reply, away)
  await loadOwn()
  return reply.value.blocks
}

/** The clipboard's text as an envelope of blocks; its inside is checked by the server. */
function blocksEnvelope(text: string): { blocks: Block[] } | undefined {
  try {
    const read: unknown = JSON.parse(text)
    const isOne =
      typeof read === 'object' &&
      read !== null &&
      'format' in read &&
      read.format === 'zovrin.session' &&
      'blocks' in read &&
      Array.isArray(read.blocks)
    return isOne ? (read as { blocks: Block[] }) : undefined
  } catch {
    return undefined
  }
}
