/** Hands the person a file. */
export function downloadFile(name: string, content: Blob): void {
  const link = document.createElement('a')
  const url = URL.createObjectURL(content)
  link.href = url
  link.download = name
  document.body.append(link)
  link.click()
  link.remove()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

/** A file name from a title: letters, digits and hyphens. */
export function fileNameFrom(title: string): string {
  return (
    title
      .normalize('NFKD')
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-+|-+$/g, '')
      .toLowerCase()
      .slice(0, 60) || 'review'
  )
}
