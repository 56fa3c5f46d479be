import { formulaUse } from '../contract/formula'
import { showParts, showVolume } from '../quantity/format'
import { cellReader } from './reader'
import { bottleRecord, type BottleRecord } from './schemas'
import { shaped, wrong, type Present, type Reader } from './understood'
import { recordToUse, useToRecord } from './useExchange'
import { amount, dilution, given, moment } from './written'

const codePattern = /^[2-9A-HJKMNP-Z]{6}$/

/** Bottles as the records of a file; what they hold and went through is their ledger's, a file of its own. */
export const bottlesOut = (present: Present, nameOf: (formulaId: string) => string): BottleRecord[] =>
  (present.bottles ?? []).map((bottle) => {
    const shelf = present.shelves?.find((one) => one.id === bottle.shelfId)
    return {
      code: bottle.code,
      label: bottle.label,
      formula: nameOf(bottle.formulaId),
      dilution: dilution(bottle.parts),
      size: amount(bottle.sizeMl, 'ml'),
      made: moment(bottle.madeAt),
      ...given('shelf', shelf?.name),
      ...given('batch', bottle.batchId),
      ...given('batch_ph', bottle.ph),
      ...(bottle.retiredAt === null ? {} : { retired: moment(bottle.retiredAt), retired_because: bottle.retiredWhy ?? '' }),
      ...(bottle.ownUse ? useToRecord(bottle.use, nameOf) : {}),
    }
  })

/** New bottles, with the code on their label where the file gives one; what is here already stays as its ledger has it. */
export function bottleReader(present: Present, newId: () => string): Reader {
  const there = new Map(present.bottles?.map((bottle) => [bottle.code, bottle]))
  const formulas = new Map(present.formulas.map((row) => [row.body.name.toLowerCase(), row]))
  const shelves = new Map(present.shelves?.map((shelf) => [shelf.name.toLowerCase(), shelf.id]))
  const seen = new Map<string, number>()
  return (one) => {
    const shape = shaped(bottleRecord, one)
    if (!('record' in shape)) return shape
    const { record } = shape
    const problems: string[] = []
    const read = cellReader(problems)
    const code = read.text(record.code).toUpperCase()
    const formula = formulas.get(read.needText('formula', record.formula).toLowerCase())
    if (!formula && record.formula) problems.push(`There is no formula “${record.formula}” here. Import it first, or correct its name.`)
    if (code !== '' && !codePattern.test(code)) problems.push(`code: six of the letters and digits of our labels, not “${code}”.`)
    const parts = read.parts('dilution', record.dilution)
    const shelf = read.text(record.shelf)
    const shelfId = shelf === '' ? null : (shelves.get(shelf.toLowerCase()) ?? null)
    const retired = read.text(record.retired)
    const { school } = record
    const body = {
      code: code === '' ? null : code,
      formulaId: formula?.id ?? '',
      parts: parts.length === 1 ? null : parts,
      sizeMl: read.needQuantity('size', record.size, 'volume'),
      madeAt: read.moment('made', record.made),
      shelfId,
      batchId: read.id('batch', record.batch),
      ph: read.number('batch_ph', record.batch_ph),
      ownUse: school
        ? recordToUse(
            { ...record, school, dilutions: record.dilutions ?? '' },
            read,
            problems,
            (name) => formulas.get(name.toLowerCase())?.id,
          )
        : null,
      retired: retired === '' ? null : { at: read.moment('retired', retired), why: read.text(record.retired_because) },
    }
    const use = body.ownUse === null ? null : formulaUse.safeParse(body.ownUse)
    if (use?.success === false) problems.push(`school: ${use.error.issues[0]?.message ?? 'cannot be kept'}`)
    if (problems.length > 0) return wrong(one.line, '', problems)
    const says = `${code || 'a new bottle'}, ${formula?.body.name ?? ''}, ${showParts(parts)}, ${showVolume(body.sizeMl)}`
    const earlier = code === '' ? undefined : seen.get(code)
    if (earlier !== undefined) return wrong(one.line, says, [`Line ${earlier} has a bottle of that code already.`])
    if (code !== '') seen.set(code, one.line)
    const known = there.has(code)
    const notes = shelf !== '' && shelfId === null ? [`There is no shelf “${shelf}” here: it will stand on none.`] : []
    const understood = { line: one.line, says, changes: [], problems, notes }
    return known
      ? { ...understood, state: 'same', row: null }
      : { ...understood, state: 'new', row: { kind: 'bottles', id: newId(), body } }
  }
}

/** Finds a bottle by the code on its label, or says that there is none. */
export function bottleFinder(present: Present) {
  const byCode = new Map(present.bottles?.map((bottle) => [bottle.code, bottle]))
  return (cell: string | undefined, problems: string[]) => {
    const code = (cell ?? '').trim().toUpperCase()
    const bottle = byCode.get(code)
    if (!bottle) problems.push(`No bottle here carries the code “${code}”. Import the bottles first.`)
    return bottle
  }
}
