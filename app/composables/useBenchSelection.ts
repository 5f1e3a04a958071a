import type { Chain, Part, PartKind } from '#core/chain'
import type { useBenchEdits } from './useBenchEdits'

/** The chain that is shown at the bench. */
interface ChainInHand {
  chainId: Ref<string | null>
  chain: Readonly<Ref<Chain | undefined>>
  /** With what it shares with another, and the losses that were measured. */
  standingChain: Readonly<Ref<Chain | undefined>>
}

type Selected = { kind: 'part' | 'instrument'; id: string } | null

/** The part or the instrument whose editor is open at the bench, and what is done to it. */
export function useBenchSelection(hand: ChainInHand, edits: BenchEdits) {
  const selection = selectionOf(hand)
  return { ...selection, ...partActs(hand, selection, edits), ...instrumentActs(hand, selection, edits) }
}

type BenchEdits = ReturnType<typeof useBenchEdits>
type Selection = ReturnType<typeof selectionOf>

function selectionOf({ chainId, chain }: ChainInHand) {
  const store = useReviewStore()
  const selected = ref<Selected>(null)
  const selectedPart = computed(() => {
    const { kind, id } = selected.value ?? {}
    return kind === 'part' ? chain.value?.parts.find(part => part.id === id) : undefined
  })
  const selectedInstrument = computed(() => {
    const { kind, id } = selected.value ?? {}
    return kind === 'instrument' ? store.review!.instruments.find(one => one.id === id) : undefined
  })

  /** Opens the editor of a part or an instrument; a second press closes it. */
  function select(kind: 'part' | 'instrument', id: string): void {
    const joins = chain.value?.joins
    const isOwn = kind === 'instrument' || chain.value?.parts.some(part => part.id === id)
    // A part of the path this one joins is changed where it stands.
    if (joins && !isOwn) chainId.value = joins.chainId
    selected.value = selected.value?.id === id ? null : { kind, id }
  }

  function selectInstrument(): void {
    if (chain.value) selected.value = { kind: 'instrument', id: chain.value.instrumentId }
  }

  return { selected, selectedPart, selectedInstrument, select, selectInstrument }
}

function partActs(
  { chain, standingChain }: ChainInHand,
  { selected, selectedPart }: Selection,
  edits: BenchEdits,
) {
  function addPart(kind: PartKind): void {
    if (chain.value) selected.value = { kind: 'part', id: edits.addPart(chain.value.id, kind) }
  }

  function addFromLibrary(libraryId: string): void {
    if (chain.value) selected.value = { kind: 'part', id: edits.addLibraryPart(chain.value.id, libraryId) }
  }

  function changePart(label: string, recipe: (draft: Part) => void): void {
    if (!chain.value || !selectedPart.value) return
    edits.changePart({ chainId: chain.value.id, partId: selectedPart.value.id }, label, recipe)
  }

  function duplicatePart(): void {
    if (!chain.value || !selectedPart.value) return
    selected.value = { kind: 'part', id: edits.duplicatePart(chain.value.id, selectedPart.value) }
  }

  function removePart(): void {
    if (!chain.value || !selectedPart.value) return
    edits.removePart(chain.value.id, selectedPart.value)
    selected.value = null
  }

  /** Parts that are the joined path’s stand in front, and are not moved from here. */
  function moveTo(partId: string, to: number): void {
    if (!chain.value || !chain.value.parts.some(({ id }) => id === partId)) return
    const shared = (standingChain.value?.parts.length ?? 0) - chain.value.parts.length
    edits.movePart(chain.value.id, partId, Math.max(0, to - shared))
  }

  function movePart(by: number): void {
    const part = selectedPart.value
    if (!chain.value || !part) return
    const at = chain.value.parts.findIndex(({ id }) => id === part.id)
    edits.movePart(chain.value.id, part.id, at + by)
  }

  return { addPart, addFromLibrary, changePart, duplicatePart, removePart, moveTo, movePart }
}

function instrumentActs(
  { chainId }: ChainInHand,
  { selected, selectedInstrument }: Selection,
  edits: BenchEdits,
) {
  const store = useReviewStore()
  function addInstrument(templateId: string): void {
    selected.value = { kind: 'instrument', id: edits.addInstrument(templateId) }
  }

  function duplicateInstrument(): void {
    if (!selectedInstrument.value) return
    selected.value = { kind: 'instrument', id: edits.duplicateInstrument(selectedInstrument.value) }
  }

  function removeInstrument(): void {
    if (selectedInstrument.value && edits.removeInstrument(selectedInstrument.value)) selected.value = null
  }

  function addChain(): void {
    const first = selectedInstrument.value ?? store.review!.instruments[0]
    if (!first) return
    chainId.value = edits.addChain(`${first.name}, chain ${store.review!.chains.length + 1}`, first.id)
    selected.value = null
  }

  function chooseChain(id: string | null): void {
    chainId.value = id
    selected.value = null
  }

  return { addInstrument, duplicateInstrument, removeInstrument, addChain, chooseChain }
}
