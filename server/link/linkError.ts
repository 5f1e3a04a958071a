/** Why something could not be had from an instrument. */
export type LinkFault =
  /** The page may not: another origin, no token, too much at once. */
  | 'not-allowed'
  /** What was sent is not what is understood here. */
  | 'bad-request'
  | 'unknown-instrument'
  /** Somebody else has it just now. */
  | 'busy'
  /** It cannot be reached. */
  | 'unreachable'
  /** It did not answer in time, or not to the end. */
  | 'silent'
  /** It answered more than is looked at. */
  | 'too-long'
  /** It, or somebody, ended the connection. */
  | 'closed'

/** A fault of the link, in words for the person at the bench. */
export class LinkError extends Error {
  constructor(
    readonly fault: LinkFault,
    words: string,
  ) {
    super(words)
  }
}
