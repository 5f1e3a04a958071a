import { parseLevel } from './parseLevel'
import { type FigureRead } from './parseFigure'
import { type ParseRefusal, refuse } from './parseResult'
import { parseReflection } from './parseReflection'
import { wattsFromDbm } from './power'
import { readNumber } from './readNumber'
import { vswrFromReflection } from './reflection'

/** Forward and reflected power as typed: `5/0.2 W`, `5 W / 200 mW`. */
const TWO_POWERS = /^([^/]+)\/([^/]+)$/

/**
 * Reads a match as a VSWR with the weight of its last digit: `1.5`, `1.5:1`, `14 dB` of return loss, `75 Ω`, or
 * forward and reflected power, `5/0.2 W`.
 */
export function parseMatch(text: string): FigureRead | ParseRefusal {
  const trimmed = text.trim()
  const powers = TWO_POWERS.exec(trimmed)
  if (powers) return fromPowers(powers[1]!, powers[2]!)
  const read = parseReflection(trimmed)
  if (!read.ok) return read
  return { ok: true, value: read.vswr, resolution: resolutionOf(trimmed, read.vswr), isUpperBound: false }
}

/** What one more of the last digit would have made of it. */
function resolutionOf(text: string, vswr: number): number {
  const body = text.replace(/\s*:\s*1$/, '').replace(/^vswr\s*/i, '')
  const number = readNumber(body)
  if (!number || 'ambiguous' in number) return 0
  const next = parseReflection(`${(number.value + number.lastDigit).toFixed(9)} ${number.unitText}`)
  return next.ok ? Math.abs(next.vswr - vswr) : 0
}

/** VSWR from |Γ| = √(reflected/forward). A unit stands behind the second for both where the first has none. */
function fromPowers(forwardText: string, reflectedText: string): FigureRead | ParseRefusal {
  const unit = readNumber(reflectedText)?.unitText ?? ''
  const forward = powerOf(/[a-z]/i.test(forwardText) ? forwardText : `${forwardText} ${unit}`)
  const reflected = powerOf(reflectedText)
  if (!forward.ok) return forward
  if (!reflected.ok) return reflected
  if (!(reflected.powerW < forward.powerW))
    return refuse('More comes back than is sent, or as much. Forward power first, then reflected: 5/0.2 W.')
  const vswrOf = (powerW: number) =>
    vswrFromReflection(Math.sqrt(Math.min(MOST_REFLECTED, powerW / forward.powerW)))
  const value = vswrOf(reflected.powerW)
  const resolution = vswrOf(reflected.powerW + reflected.lastDigitW) - value
  return { ok: true, value, resolution, isUpperBound: false }
}

const MOST_REFLECTED = 0.999_999

interface PowerRead {
  ok: true
  powerW: number
  /** Weight of the last digit, W. */
  lastDigitW: number
}

/** A power as a meter shows it; nothing reflected is a power too. */
function powerOf(text: string): PowerRead | ParseRefusal {
  const number = readNumber(text)
  const oneMore = number && !('ambiguous' in number) ? `${number.lastDigit} ${number.unitText}` : ''
  const digit = parseLevel(oneMore, { bareUnit: 'W' })
  if (number && !('ambiguous' in number) && number.value === 0 && digit.ok && !/db/i.test(number.unitText))
    return { ok: true, powerW: 0, lastDigitW: wattsFromDbm(digit.levelDbm) }
  const read = parseLevel(text, { bareUnit: 'W' })
  if (!read.ok) return read
  const powerW = wattsFromDbm(read.levelDbm)
  const isLinear = number !== null && !/db/i.test(number.unitText) && digit.ok
  const lastDigitW = isLinear ? wattsFromDbm(digit.levelDbm) : powerW * (10 ** (read.resolutionDb / 10) - 1)
  return { ok: true, powerW, lastDigitW }
}
