/** A number as a person typed it: its value, the weight of its last digit, and what followed it. */
export interface NumberRead {
  value: number
  /** Weight of the last digit typed: 0.01 for `4.37`, 1 for `37`. */
  lastDigit: number
  /** What stood after the number, trimmed. */
  unitText: string
}

/** Several numbers the text could mean; the person has to say which. */
export interface NumberAmbiguous {
  ambiguous: [number, number]
  unitText: string
}

const MINUS_SIGNS = /[−–—﹣-]/g
const SPACES = /[\u00a0\u2009\u202f\s]+/g
const NUMBER_THEN_UNIT = /^([+-]?)(\d[\d.,]*|[.,]\d+)(e[+-]?\d{1,2})?(.*)$/i

/**
 * Reads a number the way people write it: point or comma as decimal mark, true minus or hyphen,
 * thin spaces, an exponent, then a unit. `1,234` could be 1.234 or 1234, so both are offered.
 * @returns null when there is no number at the start.
 */
export function readNumber(text: string): NumberRead | NumberAmbiguous | null {
  const tidy = text.replace(SPACES, ' ').trim().replace(MINUS_SIGNS, '-')
  const grouped = tidy.replace(
    /^([+-]?) ?(\d{1,3}(?: \d{3})+)(?=[.,\D]|$)/,
    (_all, sign: string, digits: string) => sign + digits.replaceAll(' ', ''),
  )
  const match = NUMBER_THEN_UNIT.exec(grouped.replace(/^([+-]) /, '$1'))
  if (!match) return null
  const [, sign = '', digits = '', exponent = '', rest = ''] = match
  const unitText = rest.trim()
  const commas = digits.split(',').length - 1
  const points = digits.split('.').length - 1
  const factor = (sign === '-' ? -1 : 1) * (exponent ? Number(`1${exponent}`) : 1)
  if (commas === 1 && points === 0 && EITHER_WAY.test(digits)) {
    const asDecimal = Number(digits.replace(',', '.')) * factor
    const asGrouped = Number(digits.replace(',', '')) * factor
    return { ambiguous: [asDecimal, asGrouped], unitText }
  }
  const plain = plainDigits(digits, { commas, points })
  const value = Number(plain ?? Number.NaN)
  if (plain === null || !Number.isFinite(value)) return null
  const decimals = plain.includes('.') ? plain.length - plain.indexOf('.') - 1 : 0
  return { value: value * factor, lastDigit: 10 ** -decimals * Math.abs(factor), unitText }
}

/** `1,234` may be a decimal or a thousand. */
const EITHER_WAY = /^[1-9]\d{0,2},\d{3}$/

/** The digits without groups and with a point for a decimal mark; null when they are no number. */
function plainDigits(digits: string, marks: { commas: number; points: number }): string | null {
  const { commas, points } = marks
  if (commas > 0 && points > 0) return bothMarks(digits)
  const mark = commas > 0 ? ',' : '.'
  if (commas + points <= 1) return digits.replace(mark, '.')
  return groupedBy(digits, mark) ? digits.replaceAll(mark, '') : null
}

/** The mark that comes last is the decimal mark, the other one groups. */
function bothMarks(digits: string): string | null {
  const decimalMark = digits.lastIndexOf(',') > digits.lastIndexOf('.') ? ',' : '.'
  const groupMark = decimalMark === ',' ? '.' : ','
  const [whole = '', fraction = '', ...more] = digits.split(decimalMark)
  if (more.length > 0 || !groupedBy(whole, groupMark)) return null
  return `${whole.replaceAll(groupMark, '')}.${fraction}`
}

function groupedBy(digits: string, mark: string): boolean {
  const [first = '', ...rest] = digits.split(mark)
  return /^\d{1,3}$/.test(first) && rest.every(group => /^\d{3}$/.test(group))
}
