export { measureCaptions } from './measure-captions.ts'
export { spanKinds } from './captions.ts'
export type { Caption, Span, SpanKind } from './captions.ts'
