import type { Chain } from './types'

/**
 * A path with what it shares with another in front: from the radio to the part where it joins, it is the
 * other's; behind that, its own parts. The other's errors are then the very same errors, and cancel in a ratio.
 * @returns the chain itself where it joins none, or what it joins is gone.
 */
export function joinedChain(chain: Chain, host: Chain | undefined): Chain {
  if (!chain.joins || !host || host.joins || host.id === chain.id) return chain
  const at = host.parts.findIndex(({ id }) => id === chain.joins!.partId)
  return at < 0 ? chain : { ...chain, parts: [...host.parts.slice(0, at + 1), ...chain.parts] }
}
