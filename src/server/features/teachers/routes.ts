import type { Request, Response, Router } from 'express'
import {
  codeUsedSchema,
  secondAddedSchema,
  secretChangedSchema,
  signInSchema,
  teacherAddedSchema,
  teacherChangedSchema,
} from '#model/teacher'
import type { SignedIn, Teacher } from '#model/teacher'
import { basedOn } from '#server/features/guards'
import { apiRouter, closeRouter } from '#server/http/api-router'
import { readAs } from '#server/http/read-as'
import { ProblemError } from '#server/problems'
import { deviceOf } from '#server/features/room/device-of'
import { forgetSignIn, keepSignIn, onlyKeeper, tokenIn } from './door.ts'
import type { TeacherDoor } from './door.ts'
import { whoAsks } from './who.ts'

const addressOf = (request: Request): string => request.ip ?? ''

/** `/api/sign-in`: who is signed in here, signing in and out. */
export function signInRoutes(door: TeacherDoor): Router {
  const { teachers, signIns } = door
  const router = apiRouter()
  const signedIn = async (teacher: Teacher | null): Promise<SignedIn> => {
    const all = await teachers.list()
    const isNew = all.length === 0
    if (isNew && teachers.kind === 'machine') return { kind: 'alone', teacher: null, names: [], isNew: false }
    // Over a network nobody is told who teaches here.
    const names = teachers.kind === 'machine' ? all.filter((one) => !one.isClosed).map(({ name }) => name) : []
    return { kind: teachers.kind, teacher, names, isNew }
  }

  /** At a device that was let in it is whoever let it, who keeps no house there. */
  const ofDevice = async (response: Response): Promise<Teacher | undefined> => {
    const ownerId = deviceOf(response) && whoAsks(response)?.id
    const its = ownerId === undefined ? undefined : (await teachers.list()).find(({ id }) => id === ownerId)
    return its && { id: its.id, name: its.name, role: 'teacher' }
  }

  router.get('/', async (request, response) => {
    const token = tokenIn(request, door.cookie)
    const known = token === undefined ? undefined : await signIns.whoIs(token)
    response.json(await signedIn((await ofDevice(response)) ?? known ?? null))
  })

  router.post('/', async (request, response) => {
    const letIn = await signIns.signIn({ ...readAs(signInSchema, request.body), address: addressOf(request) })
    keepSignIn(response, letIn, door)
    response.json(await signedIn(letIn.teacher))
  })

  router.post('/code', async (request, response) => {
    const used = readAs(codeUsedSchema, request.body)
    const letIn = await signIns.signInByCode({ ...used, address: addressOf(request) })
    await door.putDevicesOut(letIn.teacher.id)
    keepSignIn(response, letIn, door)
    response.json(await signedIn(letIn.teacher))
  })

  router.put('/secret', async (request, response) => {
    const who = whoAsks(response)
    if (who?.name === undefined) throw new ProblemError('NOT_SIGNED_IN', {})
    const changed = readAs(secretChangedSchema, request.body)
    const letIn = await signIns.changeSecret(who.id, { ...changed, address: addressOf(request) })
    await door.putDevicesOut(who.id)
    keepSignIn(response, letIn, door)
    response.status(204).end()
  })

  router.delete('/', async (request, response) => {
    const token = tokenIn(request, door.cookie)
    if (token !== undefined) await signIns.signOut(token)
    forgetSignIn(response, door)
    response.status(204).end()
  })

  return closeRouter(router)
}

/** `/api/teachers`: who teaches here; added, changed and let choose anew by the keeper. */
export function teacherRoutes(door: TeacherDoor): Router {
  const { teachers, signIns } = door
  const router = apiRouter()

  router.get('/', async (_request, response) => {
    response.json(await teachers.list())
  })

  router.post('/', onlyKeeper, async (request, response) => {
    response.status(201).json(await teachers.add(readAs(teacherAddedSchema, request.body)))
  })

  /** On a machine of one: whoever is at it goes on as the first. */
  router.post('/second', onlyKeeper, async (request: Request, response: Response) => {
    const { first, second } = readAs(secondAddedSchema, request.body)
    if (teachers.kind === 'accounts') throw new ProblemError('TEACHERS_THERE', {})
    const { id } = await teachers.addSecond(first, second)
    keepSignIn(response, await signIns.signInAs(id), door)
    response.status(201).json(await teachers.list())
  })

  router.put('/:id', onlyKeeper, async (request: Request<{ id: string }>, response: Response) => {
    const changed = readAs(teacherChangedSchema, request.body)
    response.json(await teachers.change(request.params.id, changed, basedOn(request)))
  })

  router.post('/:id/code', onlyKeeper, async (request: Request<{ id: string }>, response: Response) => {
    response.json({ code: await teachers.letChoose(request.params.id) })
  })

  return closeRouter(router)
}
