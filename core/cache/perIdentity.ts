/**
 * Makes a function of one immutable object remember its results by the identity of that object. Entries go when
 * the object is garbage.
 */
export function perIdentity<Subject extends object, Value>(
  compute: (subject: Subject) => Value,
): (subject: Subject) => Value {
  const known = new WeakMap<Subject, { value: Value }>()
  return subject => {
    let found = known.get(subject)
    if (!found) known.set(subject, (found = { value: compute(subject) }))
    return found.value
  }
}
