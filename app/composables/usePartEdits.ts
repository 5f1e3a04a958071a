import { libraryPart, newPart, type Part, type PartKind } from '#core/chain'
import { useChainEdits } from './useChainEdits'

/** Changes to the parts of a chain. */
export function usePartEdits() {
  const { changeChain } = useChainEdits()

  function addPart(chainId: string, kind: PartKind): string {
    const id = crypto.randomUUID()
    changeChain(chainId, `a ${kind} added`, draft => void draft.parts.push(newPart(id, kind)))
    return id
  }

  function addLibraryPart(chainId: string, libraryId: string): string {
    const id = crypto.randomUUID()
    changeChain(
      chainId,
      'a part from the library',
      draft => void draft.parts.push(libraryPart(libraryId, id)),
    )
    return id
  }

  function changePart(
    { chainId, partId }: { chainId: string; partId: string },
    label: string,
    recipe: (draft: Part) => void,
  ): void {
    changeChain(chainId, label, draft => {
      const part = draft.parts.find(({ id }) => id === partId)
      if (part) recipe(part)
    })
  }

  function duplicatePart(chainId: string, part: Part): string {
    const id = crypto.randomUUID()
    changeChain(chainId, `a copy of ${part.name}`, draft => {
      const at = draft.parts.findIndex(other => other.id === part.id)
      draft.parts.splice(at + 1, 0, { ...(JSON.parse(JSON.stringify(part)) as Part), id })
    })
    return id
  }

  function removePart(chainId: string, part: Part): void {
    changeChain(chainId, `${part.name} removed`, draft => {
      draft.parts = draft.parts.filter(({ id }) => id !== part.id)
    })
  }

  function movePart(chainId: string, partId: string, to: number): void {
    changeChain(chainId, 'a part moved', draft => {
      const from = draft.parts.findIndex(({ id }) => id === partId)
      const [part] = draft.parts.splice(from, 1)
      if (part) draft.parts.splice(to, 0, part)
    })
  }

  return { addPart, addLibraryPart, changePart, duplicatePart, removePart, movePart }
}
