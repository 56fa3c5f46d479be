import ts from 'typescript'
import * as core from './index'
import * as samples from './samples'

/** Names an example may use: what core offers, and the made-up darkroom of samples.ts. */
const scope: Record<string, unknown> = { ...core, ...samples }

interface Example {
  name: string
  file: string
  lines: string[]
}

/** The worked examples of every function core offers, out of their doc comments. */
function examplesOf(file: string): Example[] {
  const program = ts.createProgram([file], {
    moduleResolution: ts.ModuleResolutionKind.Bundler,
    module: ts.ModuleKind.ESNext,
    target: ts.ScriptTarget.ES2022,
    skipLibCheck: true,
    noEmit: true,
  })
  const checker = program.getTypeChecker()
  const source = program.getSourceFile(file)
  const offered = source && checker.getSymbolAtLocation(source)
  if (!offered) throw new Error(`${file} offers nothing.`)
  return checker.getExportsOfModule(offered).flatMap((symbol): Example[] => {
    const own = symbol.flags & ts.SymbolFlags.Alias ? checker.getAliasedSymbol(symbol) : symbol
    const { valueDeclaration } = own
    if (!valueDeclaration || checker.getTypeOfSymbolAtLocation(own, valueDeclaration).getCallSignatures().length === 0) return []
    const said = own.getJsDocTags(checker).filter((tag) => tag.name === 'example')
    const lines = said.flatMap((tag) => ts.displayPartsToString(tag.text).split('\n')).filter((line) => line.trim() !== '')
    return [{ name: symbol.name, file: valueDeclaration.getSourceFile().fileName, lines }]
  })
}

const evaluate = (code: string): unknown => {
  const script = ts.transpile(code, { target: ts.ScriptTarget.ES2022 }).replace(/;\s*$/, '')
  return new Function(...Object.keys(scope), script)(...Object.values(scope))
}

/** Figures in an example stand as one would write them: five figures are enough. */
function near(expected: unknown): unknown {
  if (typeof expected === 'number') return expect.closeTo(expected, 5 - Math.ceil(Math.log10(Math.max(1, Math.abs(expected)))))
  if (Array.isArray(expected)) return expected.map(near)
  if (typeof expected !== 'object' || expected === null) return expected
  return Object.fromEntries(Object.entries(expected).map(([key, value]) => [key, near(value)]))
}

/** Runs an example line by line; answers how many of its lines claim something. */
function run(lines: string[]): number {
  let before = ''
  let claims = 0
  for (const line of lines) {
    const [, expression, claim, said] = /^(.*?)\s*\/\/ (→|throws) (.*)$/.exec(line) ?? []
    if (expression === undefined || said === undefined) {
      before += `${line}\n`
      continue
    }
    claims++
    const answer = () => evaluate(`${before}return (${expression})`)
    const expected = evaluate(`return (${said})`)
    if (claim === 'throws') expect(answer).toThrow(expect.objectContaining({ code: expected }))
    else expect(answer()).toEqual(near(expected))
  }
  return claims
}

const examples = examplesOf(`${__dirname}/index.ts`)

test('core offers its functions', () => expect(examples.length).toBeGreaterThan(200))

test.each(examples.map((one) => [one.name, one] as const))('the worked example of %s is true', (_name, { lines }) => {
  expect(run(lines)).toBeGreaterThan(0)
})
