/** The usual load, in films or sheets; the bottle's page takes any other. */
export const usualLoad = 2
