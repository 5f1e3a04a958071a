import { useStorage } from '@vueuse/core'

/** How the application reads an instrument: of the virtual bench, by a seed. */
export interface InstrumentLink {
  via: 'virtual'
  seed: number
  /** A phrasebook of one's own; the plain one of its kind by default. */
  phrasebookId?: string | null
}

/** Which instruments are read by the application, by id: a matter of this browser and its bench, of no review. */
export function useLinks() {
  const links = useStorage<Record<string, InstrumentLink>>('rigorous-meter:links', {})

  function set(instrumentId: string, link: InstrumentLink | null): void {
    const { [instrumentId]: _before, ...others } = links.value
    links.value = link ? { ...others, [instrumentId]: link } : others
  }

  return { links, set }
}
