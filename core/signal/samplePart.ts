import { CoreError } from '../errors'
import type { SampleSource } from './sampleSource'

/** Part of a recording, s from its start; null: from its start, to its end. */
export interface SamplePart {
  fromS: number | null
  toS: number | null
}

/**
 * Which samples a part is.
 * @returns the first sample and how many.
 * @throws CoreError `too-few` when nothing lies between its ends.
 */
export function samplesOfPart(
  { sampleCount, sampleRateHz }: Pick<SampleSource, 'sampleCount' | 'sampleRateHz'>,
  { fromS, toS }: SamplePart,
): { first: number; count: number } {
  const first = Math.max(0, Math.round((fromS ?? 0) * sampleRateHz))
  const end = Math.min(sampleCount, toS === null ? sampleCount : Math.round(toS * sampleRateHz))
  if (end <= first) {
    const whole = sampleCount / sampleRateHz
    throw new CoreError(
      'too-few',
      `Nothing lies ${partRange({ fromS, toS })}: the recording is ${whole.toFixed(2)} s long. ` +
        'Put both ends inside it, the first before the second.',
      { name: 'samples', got: Math.max(0, end - first), min: 1 },
    )
  }
  return { first, count: end - first }
}

/**
 * A part of a source as a source of its own.
 * @throws CoreError `too-few`, as `samplesOfPart`.
 */
export function partOfSamples(source: SampleSource, part: SamplePart): SampleSource {
  const { first, count } = samplesOfPart(source, part)
  return {
    ...source,
    sampleCount: count,
    read: (from, wanted) => source.read(first + from, Math.min(wanted, count - from)),
  }
}

/** The ends of a part in words: `from 1.5 s to the end`. */
export function partRange({ fromS, toS }: SamplePart): string {
  return `from ${fromS ?? 0} s to ${toS === null ? 'the end' : `${toS} s`}`
}

/** That only a part was read, as a sentence; empty for the whole. */
export function partWords(part: SamplePart): string {
  return part.fromS === null && part.toS === null ? '' : `Only ${partRange(part)} of the recording.`
}
