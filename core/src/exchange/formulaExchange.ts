import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue } from '../chemical/chemical'
import type { FormulaBody } from '../contract/formula'
import { formulaBody } from '../contract/formula'
import { checkFormula } from '../formula/checkFormula'
import type { Formula } from '../formula/formula'
import { DomainError } from '../error'
import { chemicalNamed, cellReader } from './reader'
import type { AdditionRecord, FormulaRecord } from './schemas'
import { recordToUse, useToRecord } from './useExchange'
import { amount, given } from './written'
import { schemaSentence } from '../contract/sentences'

/** A formula as it is written into a file. `nameOf` gives the names of the formulas its parts come from. */
export function formulaToRecord(body: FormulaBody, nameOf: (formulaId: string) => string): FormulaRecord {
  const { use } = body
  return {
    name: body.name,
    family: body.family,
    ...given('purpose', body.purpose),
    makes: amount(body.finalMl, 'ml'),
    start_with: amount(body.startMl, 'ml'),
    mix_at: amount(body.mixC, '°C'),
    ...given('store_above', body.storeMinC === undefined ? null : amount(body.storeMinC, '°C')),
    ...given('water', body.water),
    additions: body.additions.map((line): AdditionRecord => ({
      chemical: line.chemical,
      amount: line.grams === undefined ? amount(line.millilitres ?? 0, 'ml') : amount(line.grams, 'g'),
      ...given('percent', line.percent),
      ...given('at', line.atC === undefined ? null : amount(line.atC, '°C')),
      ...given('role', line.role),
      ...given('whole_pack', line.wholePack),
      ...given('watch', line.note),
    })),
    ...(body.combine ? { combine: body.combine.map(({ part, formulaId }) => ({ part, formula: nameOf(formulaId) })) } : {}),
    ...useToRecord(use, nameOf),
    ...given('usual_time', body.usualS === null ? null : amount(body.usualS, 's')),
    ...given('temperature_coefficient', body.temperatureCoefficient),
    ...given('coolest', body.rangeC === null ? null : amount(body.rangeC[0], '°C')),
    ...given('warmest', body.rangeC === null ? null : amount(body.rangeC[1], '°C')),
    ...given('note', body.note),
  }
}

/** What a record of a file says, as a formula; `idOf` finds the formulas its parts come from. */
export function recordToFormula(
  record: FormulaRecord,
  idOf: (name: string) => string | undefined,
  catalogue: Catalogue = builtIn,
): { body: FormulaBody | null; problems: string[]; notes: string[]; grave?: string[] } {
  const problems: string[] = []
  const read = cellReader(problems)
  const additions = record.additions.map((line, i) => {
    const where = `addition ${i + 1}`
    const chemical = chemicalNamed(read.text(line.chemical), catalogue)
    if (!chemical) problems.push(`${where}: “${line.chemical}” is not in the catalogue of chemicals.`)
    const percent = read.number(`${where}, percent`, typeof line.percent === 'string' ? line.percent.replace('%', '') : line.percent)
    const poured = percent !== null || (chemical?.densityGPerMl !== undefined && !/(g|kg|oz|lb|grains?)$/i.test(String(line.amount).trim()))
    const amount = read.needQuantity(`${where}, amount`, line.amount, poured ? 'volume' : 'mass')
    const atC = read.quantity(`${where}, at`, line.at, 'temperature')
    const whole = line.whole_pack === undefined || line.whole_pack === '' ? undefined : read.yes(line.whole_pack)
    return {
      chemical: chemical?.id ?? line.chemical,
      ...(poured ? { millilitres: amount } : { grams: amount }),
      ...(percent === null ? {} : { percent }),
      ...(atC === null ? {} : { atC }),
      ...(line.role ? { role: line.role } : {}),
      ...(whole === undefined ? {} : { wholePack: whole }),
      ...(line.watch ? { note: line.watch } : {}),
    }
  })
  const combine = record.combine?.map(({ part, formula }) => {
    const formulaId = idOf(formula)
    if (formulaId === undefined) problems.push(`part ${part}: there is no formula “${formula}” here yet. Import that one first.`)
    return { part, formulaId: formulaId ?? '' }
  })
  const [coolest, warmest] = [
    read.quantity('coolest', record.coolest, 'temperature'),
    read.quantity('warmest', record.warmest, 'temperature'),
  ]
  const storeMinC = read.quantity('store_above', record.store_above, 'temperature')
  const candidate = {
    name: read.needText('name', record.name),
    family: record.family,
    purpose: read.text(record.purpose),
    finalMl: read.needQuantity('makes', record.makes, 'volume'),
    startMl: read.needQuantity('start_with', record.start_with, 'volume'),
    mixC: read.needQuantity('mix_at', record.mix_at, 'temperature'),
    ...(storeMinC === null ? {} : { storeMinC }),
    ...(record.water ? { water: record.water } : {}),
    additions,
    ...(combine ? { combine } : {}),
    use: recordToUse(record, read, problems, idOf),
    usualS: read.quantity('usual_time', record.usual_time, 'time'),
    temperatureCoefficient: read.number('temperature_coefficient', record.temperature_coefficient),
    rangeC: coolest === null || warmest === null ? null : ([coolest, warmest] as [number, number]),
    note: read.text(record.note),
  }
  if (problems.length > 0) return { body: null, problems, notes: [] }
  const parsed = formulaBody.safeParse(candidate, { error: schemaSentence })
  if (!parsed.success) {
    const issue = parsed.error.issues[0]
    return { body: null, problems: [`${issue?.path.join(', ') ?? 'formula'}: ${issue?.message ?? 'cannot be kept'}`], notes: [] }
  }
  try {
    const findings = checkFormula({ id: 'import', ...parsed.data } as Formula, catalogue)
    const of = (severity: string) => findings.filter((one) => one.severity === severity).map((one) => one.message)
    return { body: parsed.data, problems, notes: of('warning'), grave: of('error') }
  } catch (error) {
    if (!(error instanceof DomainError)) throw error
    return { body: null, problems: [error.message], notes: [] }
  }
}
