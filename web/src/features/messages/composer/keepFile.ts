import { answerOf, api } from '@/api/client'
import type { KeptFileView } from '@/api/types'

/** How bytes are sent. */
const BYTES = {
  headers: { 'Content-Type': 'application/octet-stream' },
  bodySerializer: (body: unknown) => body as BodyInit,
}

/** Keeps a file of this machine under its name, or under one with a number behind. */
export function keepFile(file: File): Promise<KeptFileView> {
  return answerOf(
    api.POST('/api/files', {
      params: { query: { name: file.name } },
      body: file as unknown as string,
      ...BYTES,
    }),
  )
}

/** Puts a file of this machine in the place of another, wherever that is used. */
export function replaceFile(name: string, file: File): Promise<KeptFileView> {
  return answerOf(
    api.PUT('/api/files/{name}', {
      params: { path: { name } },
      body: file as unknown as string,
      ...BYTES,
    }),
  )
}
