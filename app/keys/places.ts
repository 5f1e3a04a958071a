/** The places of a review, in the order of work. */
export const PLACES = [
  { id: 'card', title: 'Card and claims', key: 'c', outcome: false },
  { id: 'rulebooks', title: 'Rulebooks', key: 'u', outcome: false },
  { id: 'bench', title: 'Bench check', key: 'b', outcome: false },
  { id: 'carrier-power', title: 'Carrier power', key: 'p', outcome: false },
  { id: 'harmonics', title: 'Harmonics', key: 'h', outcome: false },
  { id: 'findings', title: 'Findings', key: 'f', outcome: true },
  { id: 'report', title: 'Report', key: 'r', outcome: true },
] as const

export type PlaceId = (typeof PLACES)[number]['id']
