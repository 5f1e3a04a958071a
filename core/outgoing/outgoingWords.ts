/** What the reviewer has stand in whatever goes out. */
export interface OutgoingWords {
  /** Mark of the publication it goes with; empty where there is none. */
  mark: string
  /** The reviewer’s own closing words; none by default. */
  closing?: string
}
