import type { Chemical, Nature } from '../chemical/chemical'

/** A kind of substance in the table of what never meets: which chemicals are of it, and its word. */
export interface Kind {
  words: string
  holds: (chemical: Chemical) => boolean
}

const of = (words: string, ...natures: Nature[]): Kind => ({
  words,
  holds: (chemical) => natures.some((nature) => chemical.natures.includes(nature)),
})
const also = (words: string, ...kinds: Kind[]): Kind => ({ words, holds: (chemical) => kinds.some((kind) => kind.holds(chemical)) })

/** % w/w up to which peroxide is no strong oxidiser. */
const weakPeroxide = 0.03

export const acid = of('acids', 'weak-acid', 'strong-acid', 'concentrated-acid')
export const acidSulfite = of('metabisulfite', 'acid-sulfite')
/** every acid, acid salt, ammonium salt, acid salt of a base and metal salt that hydrolyses */
export const protonDonor = also(
  'acids, acid salts, ammonium salts, metol and its like, alums, iron and copper salts',
  acid,
  acidSulfite,
  of('', 'boric-acid', 'alum', 'ammonium', 'acid-salt', 'metal-salt'),
)
export const strongAcid = of('strong or concentrated acids', 'strong-acid', 'concentrated-acid')
export const mineralAcid = of('concentrated mineral acids', 'mineral-acid')
export const concentratedAcid = of('concentrated acids', 'concentrated-acid')
export const sulfuricAcid: Kind = {
  words: 'concentrated sulfuric acid',
  holds: (chemical) => chemical.group === 'sulfuric acid' || chemical.id === 'sulfuric-acid',
}
export const sulfide = of('sulfides', 'sulfide')
export const cyanide = of('ferri- and ferrocyanide and thiocyanates', 'ferricyanide', 'thiocyanate')
export const hypochlorite = of('hypochlorite', 'hypochlorite')
export const permanganate = of('permanganate', 'permanganate')
export const dichromate = of('dichromates', 'dichromate')
const strongPeroxide: Kind = {
  words: 'peroxide over 3 %',
  holds: (chemical) => chemical.natures.includes('peroxide') && (chemical.content ?? 1) > weakPeroxide,
}
export const oxidiser = also(
  'permanganate, dichromates, persulfates, chlorates, strong peroxide',
  of('', 'permanganate', 'dichromate', 'persulfate', 'chlorate'),
  strongPeroxide,
)
export const ammoniumSalt = of('ammonium salts', 'ammonium')
export const ammonia = of('ammonia', 'ammonia')
export const hydroxide = of('hydroxides', 'hydroxide')
export const carbonate = of('carbonates', 'carbonate')
export const strongAlkali = also('carbonates, phosphates and hydroxides', hydroxide, carbonate, of('', 'phosphate'))
export const alkali = also('alkalis', strongAlkali, of('', 'alkali'))
export const sulfites = also('sulfites and thiosulfates', acidSulfite, of('', 'sulfite', 'thiosulfate', 'dithionite'))
export const chloride = of('chlorides', 'chloride')
export const hydrochloric: Kind = {
  words: 'hydrochloric acid',
  holds: (chemical) => chloride.holds(chemical) && strongAcid.holds(chemical),
}
export const organicOrReducer = also(
  'glycols, glycerol, triethanolamine, developing agents, ascorbates, thiourea, sulfides, sulfites, thiosulfates, oxalates, zinc, aluminium',
  sulfites,
  of('', 'solvent', 'developing-agent', 'ascorbate', 'thiourea', 'sulfide', 'oxalate', 'metal', 'reducer'),
)
export const metal = of('zinc and aluminium', 'metal')
export const oxalate = of('oxalic acid and oxalates', 'oxalate')
export const silver = of('silver salts', 'silver')
export const azide = of('azides', 'azide')
export const formaldehyde = of('formaldehyde and hexamine', 'formaldehyde')
/** what hypochlorite may stand in water with */
export const leavesHypochlorite: Kind = {
  words: 'hydroxide and chloride',
  holds: (chemical) =>
    hypochlorite.holds(chemical) || hydroxide.holds(chemical) || (chloride.holds(chemical) && !protonDonor.holds(chemical)),
}
/** no proton donor of the table, but it brings a sulfide's alkali down */
export const bicarbonate = of('bicarbonate', 'bicarbonate')
export const chlorate = of('chlorates', 'chlorate')
/** nitric acid strong enough to be an oxidiser itself */
export const nitricAcid: Kind = {
  words: 'concentrated nitric acid',
  holds: (chemical) => mineralAcid.holds(chemical) && (chemical.statements ?? []).includes('H272'),
}
