import { CoreError } from './coreError'

/**
 * Holds `got` inside a closed interval.
 * @throws CoreError `out-of-range`, also for NaN.
 */
export function assertInRange(name: string, got: number, min: number, max: number): void {
  if (!(got >= min && got <= max))
    throw new CoreError('out-of-range', `${name} must be between ${min} and ${max}, got ${got}.`, {
      name,
      got,
      min,
      max,
    })
}

/**
 * Holds `got` above zero and finite.
 * @throws CoreError `not-positive`, also for NaN and infinity.
 */
export function assertPositive(name: string, got: number): void {
  if (!(got > 0 && Number.isFinite(got)))
    throw new CoreError('not-positive', `${name} must be above zero, got ${got}.`, { name, got })
}
