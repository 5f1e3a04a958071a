import { bandPower, type Spectrum } from '../spectrum/spectrum'

/** What of the receiver itself stands in its recording, and can only add to what is read. */
export interface ReceiverOwn {
  /** Its image under the signal it belongs to, dB; null where it has none. */
  imageDb: number | null
  /** Density of its phase noise, dBc/Hz, this far from a carrier. */
  phaseNoiseDbcPerHz: (offsetHz: number) => number
}

/** Phase noise of a receiver nobody knows, dBc/Hz at 10 kHz from the carrier (common practice, no source). */
export const ASSUMED_PHASE_NOISE_DBC = -100
const AT_HZ = 10_000

/** Phase noise that falls with the square of the offset, as beside a carrier it does. */
export function phaseNoiseFrom(at10kHzDbcPerHz: number): (offsetHz: number) => number {
  return offsetHz => at10kHzDbcPerHz - 20 * Math.log10(Math.abs(offsetHz) / AT_HZ)
}

/** Power the receiver may have put into a band by itself, of full scale. */
export function receiverAdds(
  spectrum: Spectrum,
  { lowHz, highHz }: { lowHz: number; highHz: number },
  { carrierHz, ownPower }: { carrierHz: number; ownPower: number },
  receiver: ReceiverOwn,
): { image: number; phaseNoise: number } {
  const awayHz = (lowHz + highHz) / 2 - carrierHz
  return {
    image:
      receiver.imageDb === null ? 0 : bandPower(spectrum, -highHz, -lowHz) * 10 ** (receiver.imageDb / 10),
    phaseNoise: ownPower * (highHz - lowHz) * 10 ** (receiver.phaseNoiseDbcPerHz(awayHz) / 10),
  }
}
