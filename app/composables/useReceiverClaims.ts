import {
  type Band,
  type RadioSet,
  type ReceiverClaim,
  type ReceiverClaimKind,
  type TypedClaim,
  usualClaimUnit,
} from '#core/review'
import { useRadioChanges } from './useRadioChanges'

/** Changes to what the maker claims of a receiver, band by band. */
export function useReceiverClaims(radio: () => RadioSet) {
  const { changeBand } = useRadioChanges(radio)

  function add(band: Band, kind: ReceiverClaimKind): void {
    const claim: ReceiverClaim = {
      id: crypto.randomUUID(),
      kind,
      value: null,
      unit: usualClaimUnit(kind),
      voltageIs: 'not-said',
      takenAs: 'pd',
      spacingHz: null,
    }
    changeBand('a claim of the receiver', band.id, draft => void draft.receives.push(claim))
  }

  function change(band: Band, id: string, to: Partial<ReceiverClaim> | TypedClaim): void {
    changeBand('a claim of the receiver', band.id, draft => {
      const claim = draft.receives.find(one => one.id === id)
      if (claim) Object.assign(claim, to)
    })
  }

  function remove(band: Band, id: string): void {
    changeBand('a claim of the receiver removed', band.id, draft => {
      draft.receives = draft.receives.filter(one => one.id !== id)
    })
  }

  return { add, change, remove }
}
