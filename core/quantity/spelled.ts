/**
 * What a table has under a text that somebody typed or a file holds; a text such as `constructor` finds nothing of
 * the language’s own.
 */
export function spelled<T>(table: Readonly<Record<string, T>>, text: string): T | undefined {
  return Object.hasOwn(table, text) ? table[text] : undefined
}
