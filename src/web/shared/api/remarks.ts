import type { Remark, Remarks, RemarkSent } from '#model/remark'
import { ask } from './client.ts'

export const readRemarks = (sessionId: string) => ask<Remarks>(`/remarks/${sessionId}`)
export const showSession = (sessionId: string, to: string) =>
  ask<Remarks>(`/remarks/${sessionId}/shown`, { method: 'POST', body: { to } })
export const keepRemark = (sessionId: string, id: string, sent: RemarkSent) =>
  ask<Remark>(`/remarks/${sessionId}/${id}`, { method: 'PUT', body: sent })
export const dropRemark = (sessionId: string, id: string) =>
  ask<undefined>(`/remarks/${sessionId}/${id}`, { method: 'DELETE' })
