import type { Band, RadioSet, Review } from '#core/review'

/** The ways to change one radio of the open review. */
export function useRadioChanges(radio: () => RadioSet) {
  const store = useReviewStore()
  const ui = useUiStore()

  function change(label: string, recipe: (draft: RadioSet) => void): boolean {
    return store.change(label, draft => {
      const found = draft.sets.find(({ id }) => id === radio().id)
      if (found) recipe(found)
    })
  }

  function changeBand(label: string, bandId: string, recipe: (draft: Band) => void): boolean {
    return change(label, draft => {
      const band = draft.bands.find(({ id }) => id === bandId)
      if (band) recipe(band)
    })
  }

  /** Takes something off the card with whatever was read there, and says how many readings went with it. */
  function drop(what: string, recipe: (draft: Review) => void): void {
    const before = store.review?.readings.length ?? 0
    if (!store.change(`${what} removed`, recipe)) return
    const gone = before - (store.review?.readings.length ?? 0)
    if (gone > 0)
      ui.say(`${what} and the ${gone} readings taken there are gone.`, { label: 'Undo', run: store.undo })
  }

  return { change, changeBand, drop }
}

export type RadioChanges = ReturnType<typeof useRadioChanges>
