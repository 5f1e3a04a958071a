/** What a browser throws by itself: its words are for who writes programs. */
const ENGINE = [TypeError, RangeError, ReferenceError, SyntaxError, URIError, EvalError]

/** What went wrong in words for a person; what the browser itself said goes to its console. */
export function plainWords(error: unknown): string {
  if (typeof error === 'string') return error
  const isEngines = error instanceof DOMException || ENGINE.some(kind => error instanceof kind)
  if (error instanceof Error && !isEngines) return error.message
  console.error(error)
  const name = error instanceof Error || error instanceof DOMException ? ` (${error.name})` : ''
  if (error instanceof DOMException && error.name === 'NotReadableError')
    return 'The file changed or went away while it was read. Nothing was kept; bring it in again.'
  return (
    `Something in the program or the browser failed${name}. What was kept is as it was; ` +
    'load the page again if it stays so.'
  )
}
