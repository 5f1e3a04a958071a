/**
 * A result as plain data, with what it makes only when somebody reads it (words, notes, reasons): so that two
 * of them can be held against each other to the last word.
 */
export function spelledOut(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(spelledOut)
  if (value === null || typeof value !== 'object') return value
  const plain: Record<string, unknown> = {}
  for (const key of fieldsOf(value)) plain[key] = spelledOut((value as Record<string, unknown>)[key])
  return plain
}

/** Its own fields, and those its class reads out. */
function fieldsOf(value: object): string[] {
  const fields = new Set(Object.keys(value))
  for (let at = Object.getPrototypeOf(value); at && at !== Object.prototype; at = Object.getPrototypeOf(at))
    for (const [key, { get }] of Object.entries(Object.getOwnPropertyDescriptors(at)))
      if (get) fields.add(key)
  return [...fields].filter(key => key !== '__proto__').sort()
}
