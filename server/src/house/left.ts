/** What stands where a name was, when its owner has gone. */
const left = 'someone who left'

/** A person's name as it is shown beside what they did. */
export const nameOf = (person: { name: string } | null | undefined): string => person?.name ?? left

/** Association to whoever did it, with what is shown of them. */
export const withName = (as = 'by') => ({ association: as, attributes: ['name'] })
