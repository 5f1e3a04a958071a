import { claimsFor } from '../../../hearing'
import type { RadioSet, ReceiverClaim } from '../../../review'

/** What the maker claims of a set’s audio, on whatever band the card has it: there is one speaker. */
export function audioClaim({ bands }: Pick<RadioSet, 'bands'>): ReceiverClaim | null {
  for (const band of bands) {
    const claim = claimsFor(band, 'audio-power', band.channelSpacingHz)
    if (claim) return claim
  }
  return null
}
