/** The demo's people: made up, of the Tidewheel Darkroom. Their passwords are printed, so they exist in demo databases only. */
export const demoPassword = 'tide-mill-loft'

export const technicians = [
  { name: 'Ilse Varn', login: 'ilse' },
  { name: 'Odo Brackwater', login: 'odo' },
  { name: 'Maren Quill', login: 'maren' },
]
export const members = [
  'Tilda Rook',
  'Bram Osier',
  'Nell Saltmarsh',
  'Jory Fenn',
  'Wanda Sluice',
  'Pell Harrow',
  'Ansa Withy',
  'Corin Dyke',
  'Lotte Ebb',
  'Huw Staithe',
  'Mina Culver',
  'Otis Reedbank',
].map((name) => ({ name, login: (name.split(' ')[0] ?? '').toLowerCase() }))

export const demoSignIns = [
  { ...(technicians[0] as { name: string; login: string }), password: demoPassword, role: 'technician' },
  { ...(technicians[1] as { name: string; login: string }), password: demoPassword, role: 'technician' },
  { ...(members[0] as { name: string; login: string }), password: demoPassword, role: 'member' },
]
