import { p256 } from '@noble/curves/nist.js'
import { base64, utf8 } from '@scure/base'
import type { Publication, PublicationSignature } from '../review'
import { canonicalPublication, sha256Of } from './canonical'

/** Whether a publication is signed, and whether the signature fits. */
export type SignatureState = 'none' | 'good' | 'bad'

/**
 * Looks whether a signature fits. Who holds the key is another question: compare its fingerprint with one the
 * signer told you.
 * @see FIPS 186-5, ECDSA on P-256 with SHA-256 (by a library).
 */
export function signatureState(publication: Publication): SignatureState {
  const { signature } = publication
  if (!signature) return 'none'
  try {
    const message = utf8.decode(canonicalPublication(publication))
    const fits = p256.verify(base64.decode(signature.value), message, base64.decode(signature.publicKey), {
      lowS: false,
      prehash: true,
    })
    return fits ? 'good' : 'bad'
  } catch {
    return 'bad'
  }
}

/** A key’s fingerprint, as it is printed: SHA-256 of the public point, the first 16 bytes in groups of four. */
export function keyFingerprint({ publicKey }: Pick<PublicationSignature, 'publicKey'>): string {
  const hash = sha256Of(base64.decode(publicKey)).slice(0, 32).toUpperCase()
  return hash.match(/.{4}/g)!.join(' ')
}
