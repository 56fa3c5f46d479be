import * as is from './kinds'
import type { Kind } from './kinds'
import type { Part, Reach } from './reach'

/** Two parts as they meet in a vessel. */
export interface Pair {
  /** the part on the left side of the row, and the one on the right */
  one: Part
  other: Part
  /** all that goes in, in order */
  all: Part[]
  /** the pH at the end, and at every moment from the later of the two on: what is in the vessel before it is added counts */
  end: () => Reach
  moments: () => Reach[]
  atC: number
}

export interface Row {
  rule: string
  danger: string
  one: Kind
  other: Kind
  /** those of the other kind whom the words beforehand name, and to whom they are said; absent: all of them */
  said?: Kind
  /** what must hold beside the two kinds; absent: they are enough */
  when?: (pair: Pair) => boolean
}

/** g/L of an oxidiser up to which it is the thin bath of a bleach */
const thinOxidiser = 10
/** g/L of a sulfite up to which its gas is not noticed */
const thinSulfite = 1
/** g/L of sulfuric acid up to which it is diluted, as a bleach is. Rounded literature value. */
const dilutedSulfuric = 100
/** mol/L of hydrochloric acid that frees chlorine from dichromate */
const muchHydrochloric = 0.5
const hotC = 40

const above = (part: Part, limit: number): boolean => part.gramsPerLitre === undefined || part.gramsPerLitre > limit
const everUnder = (pair: Pair, ph: number): boolean => pair.moments().some(({ low }) => low < ph)
const everOver = (pair: Pair, ph: number): boolean => pair.moments().some(({ high }) => high > ph)
const solid = (part: Part): boolean => part.form === 'solid'
const asSold = (part: Part): boolean => part.form === 'concentrated'
/** an acid stands in it, and the vessel is on the acid side at some moment */
const inAcid = (pair: Pair): boolean =>
  pair.all.some((part) => is.protonDonor.holds(part.chemical) && !is.ammoniumSalt.holds(part.chemical)) && everUnder(pair, 7)
const comesLater = (pair: Pair, late: Part, early: Part): boolean => pair.all.indexOf(late) > pair.all.indexOf(early)
const concentrated = (part: Part): boolean => asSold(part) && part.gramsPerLitre === undefined

/** The twelve rows, as the domain page numbers them. */
export const rows: Row[] = [
  { rule: 'never-1', danger: 'hydrogen sulfide, a deadly gas', one: is.sulfide, other: is.protonDonor },
  {
    rule: 'never-1',
    danger: 'hydrogen sulfide, a deadly gas, where the pH falls under 11',
    one: is.sulfide,
    other: { words: 'whatever takes the pH under 11', holds: (c) => !is.alkali.holds(c) && !is.protonDonor.holds(c) },
    said: { ...is.bicarbonate, words: 'whatever takes the pH under 11' },
    when: ({ one, other, end }) =>
      one.gramsPerLitre === undefined || other.gramsPerLitre === undefined ? is.bicarbonate.holds(other.chemical) : end().low < 11,
  },
  {
    rule: 'never-2',
    danger: 'hydrogen cyanide and worse',
    one: is.cyanide,
    other: is.protonDonor,
    said: is.acid,
    when: (pair) => everUnder(pair, 3) || (pair.atC > hotC && is.acid.holds(pair.other.chemical)),
  },
  { rule: 'never-3', danger: 'cyanogen chloride and hydrogen cyanide', one: is.cyanide, other: is.hypochlorite },
  {
    rule: 'never-3',
    danger: 'hydrogen cyanide: a strong oxidiser in acid',
    one: is.cyanide,
    other: { words: 'permanganate and dichromates in acid', holds: (c) => is.permanganate.holds(c) || is.dichromate.holds(c) },
    when: inAcid,
  },
  {
    rule: 'never-4',
    danger: 'ammonia gas',
    one: is.ammoniumSalt,
    other: is.alkali,
    said: is.strongAlkali,
    when: (pair) =>
      (is.strongAlkali.holds(pair.other.chemical) && solid(pair.other) && pair.one.form !== 'solution') || everOver(pair, 9.5),
  },
  {
    rule: 'never-5',
    danger: 'sulfur dioxide, dangerous to people with asthma, and sulfur',
    one: is.sulfites,
    other: is.protonDonor,
    said: is.strongAcid,
    when: (pair) =>
      above(pair.one, thinSulfite) &&
      (pair.end().low < 3.5 || (is.mineralAcid.holds(pair.other.chemical) && asSold(pair.other) && comesLater(pair, pair.other, pair.one))),
  },
  {
    rule: 'never-6',
    danger: 'chlorine, chloramine and heat',
    one: is.hypochlorite,
    other: { words: 'anything but water, hydroxide and chloride', holds: (chemical) => !is.leavesHypochlorite.holds(chemical) },
  },
  { rule: 'never-7', danger: 'chlorine gas', one: is.permanganate, other: is.chloride, when: inAcid },
  {
    rule: 'never-7',
    danger: 'chlorine gas',
    one: is.dichromate,
    other: is.hydrochloric,
    when: ({ other: { chemical, gramsPerLitre } }) =>
      gramsPerLitre === undefined || (gramsPerLitre * (chemical.content ?? 1)) / (chemical.molarMass ?? Infinity) > muchHydrochloric,
  },
  {
    rule: 'never-7',
    danger: 'an explosion: concentrated acid on permanganate',
    one: is.permanganate,
    other: is.sulfuricAcid,
    when: ({ one, other }) => above(other, dilutedSulfuric) || (solid(one) && asSold(other)),
  },
  // not on the page's list, and no less certain
  {
    rule: 'never-7',
    danger: 'chlorine dioxide, which explodes',
    one: is.chlorate,
    other: is.strongAcid,
    when: ({ one, other }) => !(one.form === 'solution' && other.form === 'solution'),
  },
  {
    rule: 'never-8',
    danger: 'fire, boiling over: a strong oxidiser with what feeds it',
    one: is.oxidiser,
    other: is.organicOrReducer,
    when: ({ one }) => solid(one) || above(one, thinOxidiser),
  },
  {
    rule: 'never-8',
    danger: 'fire and poisonous fumes: nitric acid with what feeds it',
    one: is.nitricAcid,
    other: is.organicOrReducer,
    when: ({ one, other }) => asSold(one) && other.form !== 'solution',
  },
  {
    rule: 'never-9',
    danger: 'hydrogen, which burns and bursts',
    one: is.metal,
    other: is.protonDonor,
    said: is.strongAcid,
    when: (pair) => everUnder(pair, 4),
  },
  {
    rule: 'never-9',
    danger: 'hydrogen, which burns and bursts',
    one: is.metal,
    other: is.alkali,
    said: is.strongAlkali,
    when: (pair) => everOver(pair, 10),
  },
  {
    rule: 'never-10',
    danger: 'spatter, hydrogen chloride or carbon monoxide',
    one: is.sulfuricAcid,
    other: {
      words: 'solid hydroxide, ammonia, chlorides, oxalic acid and oxalates',
      holds: (c) => is.hydroxide.holds(c) || is.ammonia.holds(c) || is.chloride.holds(c) || is.oxalate.holds(c),
    },
    when: ({ one, other }) => asSold(one) && (solid(other) || (concentrated(one) && asSold(other))),
  },
  {
    rule: 'never-10',
    danger: 'heat and spatter',
    one: is.concentratedAcid,
    other: { words: 'solid carbonates and hydroxides', holds: (c) => is.carbonate.holds(c) || is.hydroxide.holds(c) },
    when: ({ one, other }) => asSold(one) && (solid(other) || (concentrated(one) && is.hydroxide.holds(other.chemical) && asSold(other))),
  },
  {
    rule: 'never-10',
    danger: 'heat and spatter',
    one: is.concentratedAcid,
    other: is.ammonia,
    when: ({ one, other }) => asSold(one) && asSold(other),
  },
  {
    rule: 'never-11',
    danger: 'ammoniacal silver, which explodes on standing: made for the hour, never stored',
    one: is.silver,
    other: is.ammonia,
  },
  {
    rule: 'never-11',
    danger: 'ammoniacal silver, which explodes on standing',
    one: is.silver,
    other: is.ammoniumSalt,
    when: (pair) => everOver(pair, 7.01),
  },
  { rule: 'never-11', danger: 'silver azide, which explodes', one: is.silver, other: is.azide },
  {
    rule: 'never-11',
    danger: 'silver oxalate, which explodes when it is dry and warm',
    one: is.silver,
    other: is.oxalate,
    when: ({ one, other }) => one.form !== 'solution' || other.form !== 'solution',
  },
  {
    rule: 'never-12',
    danger: 'poisonous vapours and heat',
    one: is.formaldehyde,
    other: { words: 'hypochlorite and strong oxidisers', holds: (c) => is.hypochlorite.holds(c) || is.oxidiser.holds(c) },
  },
  {
    rule: 'never-12',
    danger: 'chloromethyl ether, which causes cancer',
    one: is.formaldehyde,
    other: is.strongAcid,
    when: ({ all }) => all.some(({ chemical }) => is.chloride.holds(chemical)),
  },
]
