/** Hands a file to whoever sits here. */
export function download(content: Blob, name: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(content)
  link.download = name
  link.click()
  URL.revokeObjectURL(link.href)
}
