import { str } from 'crc-32'

/** How records are kept: raised when that changes. Forms up to 5 were kept without a seal. */
export const STORAGE_FORM = 6

/** A value as it is kept: its text with what the text must be. */
export interface Sealed {
  form: number
  /** Characters of the text. */
  length: number
  /** CRC-32 of the text (ISO 3309). */
  sum: number
  text: string
}

/** What came of opening a record. */
export type Unsealed = { is: 'sound'; value: unknown } | { is: 'missing' | 'damaged' | 'newer' }

/** A value as JSON in ASCII: one letter beyond Latin-1 would have the browser keep all of it at two bytes each. */
export function asciiJson(value: unknown): string {
  return JSON.stringify(value).replace(
    /[\u007f-\uffff]/g,
    character => `\\u${character.charCodeAt(0).toString(16).padStart(4, '0')}`,
  )
}

export function seal(value: unknown): Sealed {
  const text = asciiJson(value)
  return { form: STORAGE_FORM, length: text.length, sum: str(text), text }
}

export function isSealed(record: unknown): record is Sealed {
  return (
    typeof record === 'object' && record !== null && 'form' in record && 'text' in record && 'sum' in record
  )
}

/** The value of a record; one that does not match its own length and checksum is damaged. */
export function unseal(record: unknown): Unsealed {
  if (record === null || record === undefined) return { is: 'missing' }
  if (!isSealed(record) || typeof record.text !== 'string') return { is: 'damaged' }
  if (record.form > STORAGE_FORM) return { is: 'newer' }
  const { text, length, sum } = record
  if (text.length !== length || str(text) !== sum) return { is: 'damaged' }
  try {
    return { is: 'sound', value: JSON.parse(text) as unknown }
  } catch {
    return { is: 'damaged' }
  }
}
