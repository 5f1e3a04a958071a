import type { Chain } from '../chain'

/** Identifies a signal path without its parts. */
export type ChainHead = Pick<Chain, 'id' | 'name' | 'instrumentId'>

/** Returns the heads of chains; the very list of before, where nothing but parts changed. */
export function chainHeads(
  chains: readonly Chain[],
  before: readonly ChainHead[] | undefined,
): readonly ChainHead[] {
  const isSame =
    before?.length === chains.length &&
    chains.every(({ id, name, instrumentId }, i) => {
      const known = before[i]!
      return known.id === id && known.name === name && known.instrumentId === instrumentId
    })
  return isSame ? before : chains.map(({ id, name, instrumentId }) => ({ id, name, instrumentId }))
}
