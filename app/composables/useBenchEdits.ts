import { type Reading, readingsThrough, type Through, removeChain as removeChainFrom } from '#core/review'
import {
  type Calibration,
  type Chain,
  type Instrument,
  libraryPart,
  newChain,
  newPart,
  newPowerMeter,
  newReceiver,
  newSpectrumAnalyser,
  type Part,
  type PartKind,
  standingCalibration,
} from '#core/chain'

const FRESH: Record<Instrument['kind'], (id: string) => Instrument> = {
  'power-meter': newPowerMeter,
  receiver: newReceiver,
  'spectrum-analyser': newSpectrumAnalyser,
}

/** A copy's name, cut where the original is as long as a name may be. */
function copyName(name: string): string {
  return `${name.slice(0, MOST_NAME - COPY_TAIL.length)}${COPY_TAIL}`
}
const MOST_NAME = 400
const COPY_TAIL = ', copy'

/**
 * Changes of the bench: each is one undoable step, and a chain's revision rises with every change that moves
 * its figures.
 */
export function useBenchEdits() {
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
        parts: copy.parts.map(part => ({ ...part, id: crypto.randomUUID() })),
      })
    })
    return id
  }

  function readingsOn(chainId: string): number {
    return store.review ? readingsThrough(store.review, chainId) : 0
  }

  function removeChain(chain: Chain): boolean {
    const resting = readingsOn(chain.id)
    if (resting > 0) {
      ui.say(
        `${resting} readings were taken through “${chain.name}” and cannot be put right without it. It stays.`,
      )
      return false
    }
    return store.change(`the chain ${chain.name} removed`, draft => removeChainFrom(draft, chain.id))
  }

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

  /**
   * Keeps a measured path and makes it the part’s loss from now on. Readings taken before stay with the loss
   * they were taken with.
   */
  function keepCalibration(chainId: string, calibration: Calibration): void {
    store.change(`the path of ${calibration.partName} measured`, draft => {
      draft.calibrations.push(calibration)
      const chain = draft.chains.find(({ id }) => id === chainId)
      const part = chain?.parts.find(({ id }) => id === calibration.partId)
      if (!chain || !part) return
      part.calibrationId = calibration.id
      chain.revision += 1
    })
  }

  function wayThrough({ through }: Reading, chain: Chain): Through | undefined {
    return Object.values(through).find(({ chainId }) => chainId === chain.id)
  }

  /** The calibration of a part a reading rests on. */
  function standingIn({ calibrationIds }: Through, part: Part): string | null {
    return standingCalibration(part.id, calibrationIds[part.id] ?? null, store.review?.calibrationSwaps ?? [])
  }

  /** Readings through a chain that rest on another loss of a part than the one that stands now. */
  function readingsOnOther(chain: Chain, part: Part): Reading[] {
    const review = store.review
    if (!review) return []
    return review.readings.filter(reading => {
      const way = wayThrough(reading, chain)
      return way && standingIn(way, part) !== part.calibrationId
    })
  }

  /** Judges them by the loss that stands now, because the reviewer asked. */
  function rejudge(chain: Chain, part: Part): void {
    const review = store.review
    if (!review) return
    const froms = new Set(
      readingsOnOther(chain, part).map(reading => standingIn(wayThrough(reading, chain)!, part)),
    )
    store.change(`readings judged by the loss of ${part.name} as it stands now`, draft => {
      for (const fromId of froms)
        draft.calibrationSwaps.push({
          id: crypto.randomUUID(),
          at: new Date().toISOString(),
          partId: part.id,
          fromId,
          toId: part.calibrationId,
        })
    })
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

  function addInstrument(kind: Instrument['kind']): string {
    const id = crypto.randomUUID()
    store.change('an instrument added', draft => void draft.instruments.push(FRESH[kind](id)))
    return id
  }

  function changeInstrument(instrumentId: string, label: string, recipe: (draft: Instrument) => void): void {
    store.change(label, draft => {
      const instrument = draft.instruments.find(({ id }) => id === instrumentId)
      if (!instrument) return
      recipe(instrument)
      for (const chain of draft.chains) if (chain.instrumentId === instrumentId) chain.revision += 1
    })
  }

  function duplicateInstrument(instrument: Instrument): string {
    const id = crypto.randomUUID()
    store.change(
      `a copy of ${instrument.name}`,
      draft =>
        void draft.instruments.push({
          ...(JSON.parse(JSON.stringify(instrument)) as Instrument),
          id,
          name: copyName(instrument.name),
        }),
    )
    return id
  }

  function removeInstrument(instrument: Instrument): boolean {
    const users = store.review?.chains.filter(chain => chain.instrumentId === instrument.id) ?? []
    if (users.length > 0) {
      ui.say(
        `“${instrument.name}” ends the chain “${users[0]!.name}”. Give that chain another instrument first.`,
      )
      return false
    }
    return store.change(`${instrument.name} removed`, draft => {
      draft.instruments = draft.instruments.filter(({ id }) => id !== instrument.id)
    })
  }

  return {
    addLibraryPart,
    keepCalibration,
    readingsOnOther,
    rejudge,
    changeChain,
    addChain,
    duplicateChain,
    readingsOn,
    removeChain,
    addPart,
    changePart,
    duplicatePart,
    removePart,
    movePart,
    addInstrument,
    changeInstrument,
    duplicateInstrument,
    removeInstrument,
  }
}
