import { useStorage } from '@vueuse/core'
import type { SpokenKind } from '#core/link'

/** How the application reads an instrument. */
export type InstrumentLink = {
  /** A phrasebook of one’s own; the plain one of its kind by default. */
  phrasebookId?: string | null
} & (
  | { via: 'virtual' }
  /** One of those the server reaches. */
  | { via: 'server'; serverId: string }
  /** On a serial lead of this machine. */
  | {
      via: 'serial'
      baudRate: number
      vendorId: number | null
      productId: number | null
      /** What it says it is, where other leads are of the same make. */
      answersAs?: string | null
    }
)

/** Kinds that stand in no chain of a review, and are linked by themselves. */
export const KINDS_BY_THEMSELVES = [
  'supply',
  'counter',
  'antenna-analyser',
  'modulation-analyser',
] as const satisfies SpokenKind[]

/** Under what a kind that stands in no chain is linked. */
export const kindLinkId = (kind: SpokenKind): string => `kind:${kind}`

/** Benches there are to draw from. */
const SEEDS = 2 ** 31

/** Which instruments are read by the application, by id: a matter of this browser and its bench, of no review. */
export function useLinks() {
  const links = useStorage<Record<string, InstrumentLink>>('rigorous-meter:links', {})
  /** Everything that is simulated is one bench. */
  const virtualSeed = useStorage('rigorous-meter:virtual-seed', Math.floor(Math.random() * SEEDS))

  function set(linkId: string, link: InstrumentLink | null): void {
    const { [linkId]: _before, ...others } = links.value
    links.value = link ? { ...others, [linkId]: link } : others
  }

  return { links, set, virtualSeed }
}
