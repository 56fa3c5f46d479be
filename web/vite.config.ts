import tailwind from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { fileURLToPath, URL } from 'node:url'
import { defineConfig, type Plugin } from 'vite'

/** What each route is for is told by the server's API description; a page calls it without. */
const withoutSummaries: Plugin = {
  name: 'without-summaries',
  enforce: 'pre',
  transform: (code, id) =>
    /core\/src\/contract\/\w+\.ts$/.test(id)
      ? { code: code.replace(/(endpoint\(\s*'[A-Z]+',\s*'[^']+',\s*'[a-z]+',\s*)'[^'\n]*'/g, "$1''"), map: null }
      : null,
}

/** Schemas as JSON are written by the server and by scripts; no page writes one, and none carries what it takes. */
const withoutJsonSchemas: Plugin = {
  name: 'without-json-schemas',
  enforce: 'pre',
  transform(code, id) {
    if (!/zod\/v4\/core\/json-schema-processors\.js$/.test(id)) return null
    const names = [...code.matchAll(/^export (?:const|function) (\w+)/gm)].map((one) => one[1])
    const none = `const none = () => { throw new Error('No page writes a schema as JSON.') }`
    return { code: `${none}\nexport { ${names.map((name) => `none as ${name}`).join(', ')} }`, map: null }
  },
}

export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  plugins: [withoutSummaries, withoutJsonSchemas, vue(), tailwind()],
  build: {
    target: 'es2022',
    // what every page has already is not asked for ahead with each part of one
    modulePreload: {
      resolveDependencies: (_, deps, { hostType }) =>
        hostType === 'js' ? deps.filter((one) => !/\/(house|vendor|index)-/.test(one)) : deps,
    },
    emptyOutDir: true, // the charts, which are loaded with what needs them
    chunkSizeWarningLimit: 600,
    rolldownOptions: {
      output: {
        // what every page needs comes in few pieces: they compress better together
        codeSplitting: {
          groups: [
            { name: 'vendor', test: /node_modules\/(@?vue|vue-router|pinia|@headlessui(?!\/vue\/dist\/components\/combobox)|idb|uuid)\// },
            {
              name: 'house',
              test: /web\/src\/(fields|marks|session|api|hand|light|room\/(stations|RoomLine|RoomKeys|BenchEdge|LightButton|useWayBack)|run\/(clocks|log|sender)\.|bottle\/(ShelfStation|BottleVessel|todo|shelfOrder|useQuickUse)\.|stores\.|notice)(?!\/(PressOne|WaitFor|ModalPanel|EndedDialog|QuantityField|matches|TakeBackPanel|LongTable|BodyField|useContractForm|SpokenLine|UndoNotice|FindingList|repairWords|ProgressBar|upload|useSending|AskCard|PressSome|FindField|SwitchField|PageState|VerdictMark|download|focusFirst|usePage\.|FormPanel|QuantityField|remembered|unread|ReadField|RatioField|read\.|SuggestField|TickBox|TextField|FieldFrame|telling|area|figure\.))/,
            },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4780' } },
})
