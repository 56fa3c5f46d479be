/** Stations in working order. Each keeps its key whether or not the others are built. */
export interface Station {
  key: number
  name: string
  path: string
  /** members see only some */
  forMembers: boolean
}

export const stations: Station[] = [
  { key: 1, name: 'Shelf', path: '/shelf', forMembers: true },
  { key: 2, name: 'Formulary', path: '/formulary', forMembers: false },
  { key: 3, name: 'Scales', path: '/scales', forMembers: false },
  { key: 4, name: 'Proofs', path: '/proofs', forMembers: false },
  { key: 5, name: 'Tanks', path: '/tanks', forMembers: true },
  { key: 6, name: 'Trays', path: '/trays', forMembers: true },
  { key: 7, name: 'Rota', path: '/rota', forMembers: true },
  { key: 8, name: 'Sink', path: '/sink', forMembers: false },
]
export const memberStations: Station[] = [
  ...stations.filter((station) => station.forMembers),
  { key: 9, name: 'My films', path: '/films', forMembers: true },
]
