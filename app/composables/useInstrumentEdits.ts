import { type Instrument, instrumentTemplates } from '#core/chain'
import { copyName } from './copyName'

/** Changes to the instruments; the chains that end in one rise in revision with it. */
export function useInstrumentEdits() {
  const store = useReviewStore()
  const ui = useUiStore()

  function addInstrument(templateId: string): string {
    const id = crypto.randomUUID()
    const template = instrumentTemplates.find(one => one.id === templateId) ?? instrumentTemplates[0]!
    store.change('an instrument added', draft => void draft.instruments.push(template.make(id)))
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

  return { addInstrument, changeInstrument, duplicateInstrument, removeInstrument }
}
