import { orThrow } from '#core/result'
import { aSession } from '#testing/sessions'
import { applyEdit } from './apply-edit.ts'
import { nextTimeEdit, tickedEdit } from './next-time.ts'

test('a note stands in the session until it is ticked, and either is taken back', () => {
  const session = aSession()
  const edit = nextTimeEdit(session, { id: 'a', text: '  chairs earlier ' })
  if (!edit) throw new Error('nothing noted')
  const noted = orThrow(applyEdit(session, edit))
  expect(noted.session.nextTime).toEqual([{ id: 'a', text: 'chairs earlier' }])
  const ticked = orThrow(applyEdit(noted.session, tickedEdit(noted.session, 'a')))
  // What is left empty is not in the document.
  expect(JSON.parse(JSON.stringify(ticked.session))).toEqual(session)
  expect(orThrow(applyEdit(ticked.session, ticked.inverse)).session.nextTime).toEqual(noted.session.nextTime)
})

test('nothing is no note, and there is an end of notes', () => {
  expect(nextTimeEdit(aSession(), { id: 'a', text: ' ' })).toBeUndefined()
  const full = aSession([], { nextTime: Array.from({ length: 20 }, (_, at) => ({ id: String(at), text: 'x' })) })
  expect(nextTimeEdit(full, { id: 'a', text: 'more' })).toBeUndefined()
})
