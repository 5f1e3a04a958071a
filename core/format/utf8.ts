/** Text of UTF-8 bytes; bytes that are none are taken one by one as Latin-1. */
export function utf8Text(bytes: Uint8Array): string {
  let text = ''
  for (let at = 0; at < bytes.length; at += 8192)
    text += String.fromCharCode(...bytes.subarray(at, at + 8192))
  try {
    return decodeURIComponent(
      text.replace(
        /[%\u0080-\u00FF]/g,
        character => `%${character.charCodeAt(0).toString(16).padStart(2, '0')}`,
      ),
    )
  } catch {
    return text
  }
}
