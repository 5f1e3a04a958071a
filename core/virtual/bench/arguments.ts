import { SCPI_ERRORS, scpiNumber } from '../../link'
import { InstrumentError } from './scpiInstrument'

/**
 * The number of a command within what the instrument takes; `MINimum` and `MAXimum` are its ends.
 * @throws InstrumentError
 */
export function numberIn([text]: readonly string[], { from, to }: { from: number; to: number }): number {
  if (text === undefined) throw new InstrumentError(SCPI_ERRORS.missingParameter)
  if (/^MIN(?:IMUM)?$/i.test(text)) return from
  if (/^MAX(?:IMUM)?$/i.test(text)) return to
  const value = scpiNumber(text)
  if (value === null) throw new InstrumentError(SCPI_ERRORS.dataType)
  if (value < from || value > to) throw new InstrumentError(SCPI_ERRORS.outOfRange)
  return value
}

/** On or off. @throws InstrumentError */
export function switchIn([text]: readonly string[]): boolean {
  if (text === undefined) throw new InstrumentError(SCPI_ERRORS.missingParameter)
  if (/^(?:ON|1)$/i.test(text)) return true
  if (/^(?:OFF|0)$/i.test(text)) return false
  throw new InstrumentError(SCPI_ERRORS.dataType)
}

/** A number as instruments write it. */
export function asWritten(value: number, digits = 4): string {
  return value.toExponential(digits).toUpperCase()
}
