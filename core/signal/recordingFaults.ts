import { printDb, printHz, printSigned } from '../quantity'
import type { ReceiverInsight } from './receiver/receiverFaults'

/** What the receiver, or the one who recorded, did to a recording; each is said beside what was found. */
export type RecordingFault =
  /** Share of I and Q on a flat top. */
  | { kind: 'clipped'; share: number }
  /** The image of the signal was seen and taken off; what is left stands so far under it. */
  | { kind: 'image-taken-off'; seenDb: number; leftDb: number }
  /** Nothing tells how strong the image is; it is taken as this at most. */
  | { kind: 'image-unknown'; assumedDb: number }
  /** The receiver’s own spike in the middle was taken off, dB of full scale. */
  | { kind: 'spike-taken-off'; levelDb: number }
  /** The carrier stands where a receiver’s own spike stands, Hz from the middle. */
  | { kind: 'carrier-at-middle'; awayHz: number }
  /** Time in which the radio was not keyed, or was still settling, was cut out, s. */
  | { kind: 'cut-out'; seconds: number }

/** The faults of a recording, the worst first. */
export function recordingFaults(
  insight: ReceiverInsight | null,
  {
    carrierHz,
    reachHz,
    seconds,
    sampleRateHz,
  }: { carrierHz: number | null; reachHz: number; seconds: number; sampleRateHz: number },
): RecordingFault[] {
  if (!insight) return []
  const { clippedShare, image, spikeDb, times } = insight
  const steadyS = times.steady.reduce((sum, { from, to }) => sum + to - from, 0) / sampleRateHz
  const faults: RecordingFault[] = []
  if (clippedShare > 0) faults.push({ kind: 'clipped', share: clippedShare })
  if (carrierHz !== null && Math.abs(carrierHz) < reachHz)
    faults.push({ kind: 'carrier-at-middle', awayHz: carrierHz })
  if (image.kind === 'taken-off')
    faults.push({ kind: 'image-taken-off', seenDb: image.seenDb, leftDb: image.leftDb })
  if (image.kind === 'unknown') faults.push({ kind: 'image-unknown', assumedDb: image.leftDb })
  if (spikeDb !== null) faults.push({ kind: 'spike-taken-off', levelDb: spikeDb })
  if (seconds - steadyS > 0.01) faults.push({ kind: 'cut-out', seconds: seconds - steadyS })
  return faults
}

/** A fault as a sentence: what was seen, what was done, what to do about it. */
export function faultWords(fault: RecordingFault): string {
  switch (fault.kind) {
    case 'clipped':
      return (
        `Clipped: ${percent(fault.share)} of the samples stand on a flat top. ` +
        'What lies beside the signal is only known to be less than it reads; ' +
        'turn the receiver’s gain down and record again.'
      )
    case 'image-taken-off':
      return (
        `The receiver’s image of the signal, ${under(fault.seenDb)} under it, was taken off; ` +
        `${under(fault.leftDb)} under it some may be left.`
      )
    case 'image-unknown':
      return (
        'Nothing in this recording tells how strong the receiver’s image is; ' +
        `it is taken as ${under(fault.assumedDb)} under the signal at most (assumed). ` +
        'Tune the receiver two channels beside the signal, and it lies out of the way.'
      )
    case 'spike-taken-off':
      return `The receiver’s own spike in the middle, ${printSigned(fault.levelDb)} dB of full scale, was taken off.`
    case 'carrier-at-middle':
      return (
        `The carrier stands ${printHz(Math.abs(fault.awayHz), 3)} from the middle of the ` +
        'recording, where a receiver puts a spike of its own: tune two channels beside it.'
      )
    case 'cut-out':
      return `${fault.seconds.toFixed(2)} s around key-downs and without a carrier were left out of the spectrum.`
  }
}

const under = (db: number) => printDb(-db)

function percent(share: number): string {
  const value = 100 * share
  return `${value < 1 ? value.toFixed(2) : value.toFixed(0)} %`
}
