import { type ParseRefusal, refuse } from './parseResult'
import { readNumber } from './readNumber'

/** A plain number in the field's own unit. */
export interface PlainNumberRead {
  ok: true
  value: number
}

/** Between which ends a number is read. */
export interface ParsePlainNumberOptions {
  min: number
  max: number
  /** Unit that may follow the number, such as `dB` or `W`. */
  unit?: string
}

/**
 * Reads a number for a field with a fixed unit, comma or point, and holds it inside its limits.
 * @returns the value, or a refusal in plain words.
 */
export function parsePlainNumber(
  text: string,
  options: ParsePlainNumberOptions,
): PlainNumberRead | ParseRefusal {
  const number = readNumber(text)
  if (!number) return refuse(`“${text.trim()}” is not a number.`)
  const unitText = number.unitText.replace(/[µμ]/g, 'µ').toLowerCase()
  if (unitText !== '' && unitText !== options.unit?.toLowerCase())
    return refuse(options.unit ? `This field is in ${options.unit}.` : 'This field takes a plain number.')
  if ('ambiguous' in number)
    return refuse(
      `“${text.trim()}” can be ${number.ambiguous[0]} or ${number.ambiguous[1]}. Which is it?`,
      number.ambiguous.map(String),
    )
  if (!(number.value >= options.min && number.value <= options.max))
    return refuse(
      `This must lie between ${options.min} and ${options.max}${options.unit ? ` ${options.unit}` : ''}.`,
    )
  return { ok: true, value: number.value }
}
