import { useChainEdits } from './useChainEdits'
import { useInstrumentEdits } from './useInstrumentEdits'
import { useMeasuredPaths } from './useMeasuredPaths'
import { usePartEdits } from './usePartEdits'

/** Changes of the bench: each is one undoable step. */
export function useBenchEdits() {
  return { ...useChainEdits(), ...usePartEdits(), ...useInstrumentEdits(), ...useMeasuredPaths() }
}
