/** How everything of the starter set is marked, until a house has tried it. */
export const houseDefault = 'House default'
