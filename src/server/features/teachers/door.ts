import { parseCookie } from 'cookie'
import type { Request, RequestHandler, Response } from 'express'
import { firstTeacherId } from '#model/teacher'
import { ProblemError } from '#server/problems'
import type { LetIn, SignInStore } from './sign-in.ts'
import { signedInMs } from './sign-in.ts'
import type { TeacherStore } from './store.ts'
import { setWho, whoAsks } from './who.ts'

/** How a browser's sign-in is kept with it. */
export interface SignInCookie {
  readonly name: string
  /** Over TLS alone. */
  readonly isSecure: boolean
}

/** By host, path and TLS alone; without TLS by port as well, which browsers do not tell apart. */
export const cookieFor = (origin: string | undefined, port: number): SignInCookie =>
  origin?.startsWith('https://')
    ? { name: '__Host-zovrin-teacher', isSecure: true }
    : { name: `zovrin-teacher-${String(port)}`, isSecure: false }

export interface TeacherDoor {
  readonly teachers: TeacherStore
  readonly signIns: SignInStore
  readonly cookie: SignInCookie
  /** What a teacher let in to lead from is let in no more: with another password or PIN every other browser is out. */
  readonly putDevicesOut: (teacherId: string) => Promise<void>
}

/** The teacher a page was opened as, where it says so: another window of the browser may be somebody else by now. */
const meantHeader = 'X-Zovrin-Teacher'

/** Whether a page was opened as somebody else than asks now: a window of a colleague's saves nothing into what is not theirs. */
export function isOfAnother(request: Request, id: string): boolean {
  const meant = request.get(meantHeader)
  return meant !== undefined && meant !== id
}

/** What anybody may ask before they are known. */
export const isForAll = (path: string): boolean =>
  path === '/health' || path === '/sign-in' || path.startsWith('/sign-in/')

export const tokenIn = (request: Request, { name }: SignInCookie): string | undefined =>
  parseCookie(request.get('Cookie') ?? '')[name]

/** Knows whoever asks; throws NOT_SIGNED_IN where nobody is signed in. A device that was let in asks as the teacher who let it. */
export function knowTeacher({ teachers, signIns, cookie }: TeacherDoor): RequestHandler {
  return async (request, response, next) => {
    if (!whoAsks(response)) {
      const token = tokenIn(request, cookie)
      const known = token === undefined ? undefined : await signIns.whoIs(token)
      const teacher = known && !isOfAnother(request, known.id) ? known : undefined
      if (teacher) setWho(response, { id: teacher.id, name: teacher.name, isKeeper: teacher.role === 'keeper' })
      // While there is one teacher nobody is asked who they are.
      else if (teachers.kind === 'machine' && (await teachers.count()) === 0)
        setWho(response, { id: firstTeacherId, isKeeper: true })
      else if (!isForAll(request.path)) throw new ProblemError('NOT_SIGNED_IN', {})
    }
    next()
  }
}

/** From now on this browser is known. */
export function keepSignIn(response: Response, { token }: LetIn, { teachers, cookie }: TeacherDoor): void {
  response.cookie(cookie.name, token, {
    ...{ httpOnly: true, sameSite: 'strict', path: '/', secure: cookie.isSecure },
    maxAge: signedInMs[teachers.kind],
  })
}

export function forgetSignIn(response: Response, { cookie }: TeacherDoor): void {
  response.clearCookie(cookie.name, { httpOnly: true, sameSite: 'strict', path: '/', secure: cookie.isSecure })
}

/** Throws NOT_KEEPER. */
export const onlyKeeper: RequestHandler = (_request, response, next) => {
  if (!whoAsks(response)?.isKeeper) throw new ProblemError('NOT_KEEPER', {})
  next()
}
