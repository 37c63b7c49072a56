import { answerOf, api } from '@/api/client'
import { download } from '@/ui/download'

/** Has the server put everything into one file, and hands it over. */
export async function downloadBackup(): Promise<void> {
  const zip = await answerOf(api.POST('/api/backups', { parseAs: 'blob' }))
  const today = new Date()
  const day = [today.getFullYear(), today.getMonth() + 1, today.getDate()]
    .map((part) => String(part).padStart(2, '0'))
    .join('-')
  download(zip as unknown as Blob, `open-trellis-${day}.zip`)
}
