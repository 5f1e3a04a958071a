/** The places of a review, in the order of work. */
export const PLACES = [
  { id: 'card', title: 'Card and claims', key: 'c', outcome: false },
  { id: 'rulebooks', title: 'Rulebooks', key: 'u', outcome: false },
  { id: 'bench', title: 'Bench check', key: 'b', outcome: false },
  { id: 'run', title: 'The run', key: 'l', outcome: false },
  { id: 'carrier-power', title: 'Carrier power', key: 'p', outcome: false },
  { id: 'power-over-time', title: 'Power over time', key: 'o', outcome: false },
  { id: 'harmonics', title: 'Harmonics, spurs', key: 'h', outcome: false },
  { id: 'off-air', title: 'Off-air comparison', key: 'a', outcome: false },
  { id: 'deviation', title: 'Deviation', key: 'd', outcome: false },
  { id: 'frequency', title: 'Frequency error', key: 'e', outcome: false },
  { id: 'bandwidth', title: 'Bandwidth', key: 'w', outcome: false },
  { id: 'two-tone', title: 'Two-tone, SSB', key: 'i', outcome: false },
  { id: 'stress', title: 'Open and short', key: 'x', outcome: false },
  { id: 'findings', title: 'Findings', key: 'f', outcome: true },
  { id: 'report', title: 'Report', key: 'r', outcome: true },
] as const

export type PlaceId = (typeof PLACES)[number]['id']
