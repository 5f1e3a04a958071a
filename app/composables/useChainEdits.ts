import { type Chain, newChain } from '#core/chain'
import { readingsThrough, removeChain as removeChainFrom } from '#core/review'
import { copyName } from './copyName'

/** Changes to the chains of the bench; a chain’s revision rises with every change that moves its figures. */
export function useChainEdits() {
  const store = useReviewStore()
  const ui = useUiStore()

  function changeChain(chainId: string, label: string, recipe: (draft: Chain) => void): void {
    store.change(label, draft => {
      const chain = draft.chains.find(({ id }) => id === chainId)
      if (!chain) return
      recipe(chain)
      chain.revision += 1
    })
  }

  function addChain(name: string, instrumentId: string): string {
    const id = crypto.randomUUID()
    store.change(`the chain ${name}`, draft => void draft.chains.push(newChain(id, name, instrumentId)))
    return id
  }

  function duplicateChain(chain: Chain): string {
    const id = crypto.randomUUID()
    store.change(`a copy of ${chain.name}`, draft => {
      const copy = JSON.parse(JSON.stringify(chain)) as Chain
      draft.chains.push({
        ...copy,
        id,
        name: copyName(chain.name),
        revision: 1,
        joins: copy.joins,
        parts: copy.parts.map(part => ({ ...part, id: crypto.randomUUID() })),
      })
    })
    return id
  }

  function readingsOn(chainId: string): number {
    return store.review ? readingsThrough(store.review, chainId) : 0
  }

  function removeChain(chain: Chain): boolean {
    const joined = store.review?.chains.find(({ joins }) => joins?.chainId === chain.id)
    if (joined) {
      ui.say(`“${joined.name}” joins “${chain.name}”. Let it lead to the radio by itself first.`)
      return false
    }
    const resting = readingsOn(chain.id)
    if (resting > 0) {
      ui.say(
        `${resting} readings were taken through “${chain.name}” and cannot be put right without it. It stays.`,
      )
      return false
    }
    return store.change(`the chain ${chain.name} removed`, draft => removeChainFrom(draft, chain.id))
  }

  return { changeChain, addChain, duplicateChain, readingsOn, removeChain }
}
