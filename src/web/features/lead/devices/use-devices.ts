import { useIntervalFn } from '@vueuse/core'
import { readonly, ref, shallowRef } from 'vue'
import type { DeviceKind, Room } from '#model/device'
import { askForCode, closeRoom, disconnect, openRoom, readRoom } from '#web/shared/api/room.ts'
import type { Reply } from '#web/shared/api/client.ts'

/** A device that is let in elsewhere shows here within this. */
const lookEveryMs = 2000

/** Other devices as they are let in and disconnected; looked at anew while somebody looks at them. */
export function useDevices() {
  const room = shallowRef<Room>()
  /** Why something was not done. */
  const mend = ref('')
  let asked = 0

  async function look(): Promise<void> {
    const before = asked
    const reply = await readRoom()
    // What was asked for meanwhile tells more than a look from before it.
    if (reply.kind === 'ok' && before === asked) room.value = reply.value
  }
  async function take(asking: Promise<Reply<Room>>): Promise<void> {
    const mine = (asked += 1)
    const reply = await asking
    if (mine !== asked) return
    if (reply.kind === 'ok') room.value = reply.value
    mend.value = mendOf(reply)
  }
  void look()
  // While nobody can be let in nothing changes by itself.
  useIntervalFn(() => {
    if (room.value?.open) void look()
  }, lookEveryMs)
  return {
    room: readonly(room),
    mend: readonly(mend),
    open: (address: string) => take(openRoom(address)),
    close: () => take(closeRoom()),
    code: (kind: DeviceKind) => take(askForCode(kind)),
    disconnect: (id: string) => take(disconnect(id)),
  }
}

function mendOf(reply: Reply<Room>): string {
  if (reply.kind === 'problem') return reply.problem.detail
  return reply.kind === 'away' ? 'Zovrin’s server does not answer: try again in a moment.' : ''
}
