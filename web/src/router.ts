import { createRouter, createWebHistory, type Router, type RouteRecordRaw } from 'vue-router'
import ShelfStation from './bottle/ShelfStation.vue'
import { useSession } from './session/store'
import { anythingTyped } from './hand/typed'
import { leavingFor } from './room/leaving'
import { aidCall } from './help/ahead'
import { again } from './part/again'

declare module 'vue-router' {
  interface RouteMeta {
    /** who may see it; nobody signed in sees only 'anyone' */
    for?: 'anyone' | 'members' | 'wall'
    title?: string
  }
}

/** The stations' pages, fetched when they are first opened, or before, while the browser has nothing to do. */
const pages = {
  bottle: () => import('./bottle/BottlePage.vue'),
  formulary: () => import('./formula/FormularyStation.vue'),
  formula: () => import('./formula/BenchCard.vue'),
  scales: () => import('./mix/ScalesStation.vue'),
  mix: () => import('./mix/MixPage.vue'),
  tanks: () => import('./run/TanksStation.vue'),
  plan: () => import('./run/PlanPage.vue'),
  run: () => import('./run/RunPage.vue'),
  proofs: () => import('./proof/ProofsStation.vue'),
  films: () => import('./run/FilmsPage.vue'),
  mine: () => import('./run/OwnTanks.vue'),
  rota: () => import('./evening/RotaStation.vue'),
}

/** What stands above every page in safelight, and what asks before typed work is left. */
export const safelightNotice = () => import('./room/SafelightNotice.vue')
export const leavePanel = () => import('./room/LeavePanel.vue')
const undoNotice = () => import('./fields/UndoNotice.vue')

/** What each may open that most likely comes next; a mix and a run are fetched when they are opened. */
const ahead = {
  technician: [undoNotice, pages.bottle, pages.formulary, pages.formula, pages.scales, pages.proofs, pages.tanks, pages.plan, pages.rota],
  member: [pages.bottle, pages.films, pages.mine, pages.rota],
}

/** Fetches the stations' pages ahead, so that the first click on one answers like the second. */
export function fetchAhead(role: keyof typeof ahead): void {
  const later = window.requestIdleCallback ?? ((work: () => void) => setTimeout(work, 1000))
  later(() => [...ahead[role], aidCall, safelightNotice, leavePanel].forEach((page) => void page().catch(() => undefined)))
}

/** Pages that are fetched when they are opened are asked for again where the line breaks off. */
const withAgain = (routes: RouteRecordRaw[]): RouteRecordRaw[] =>
  routes.map((route) => {
    const { component } = route
    if (typeof component !== 'function') return route
    const load = component as () => Promise<unknown>
    return { ...route, component: () => again(load) } as RouteRecordRaw
  })

/** Every page. Stations other than the Shelf are loaded when they are first opened. */
export function makeRouter(): Router {
  const router = createRouter({
    history: createWebHistory(),
    routes: withAgain([
      { path: '/', redirect: '/shelf' },
      { path: '/sign-in', component: () => import('./entry/SignInPage.vue'), meta: { for: 'anyone', title: 'Sign in' } },
      { path: '/shelf', component: ShelfStation, meta: { for: 'members', title: 'Shelf' } },
      { path: '/shelf/supply', component: () => import('./bottle/SupplyPage.vue'), meta: { title: 'What lasts how long' } },
      { path: '/shelf/waste', redirect: '/sink' },
      { path: '/trays/:page?/:id?', component: () => import('./trays/TraysRoom.vue'), meta: { for: 'members', title: 'Trays' } },
      { path: '/sink/:page?/:id?', component: () => import('./sink/SinkRoom.vue'), meta: { title: 'Sink' } },
      { path: '/shelf/:id', component: pages.bottle, meta: { for: 'members', title: 'Bottle' } },
      { path: '/formulary', component: pages.formulary, meta: { title: 'Formulary' } },
      { path: '/formulary/jars', component: () => import('./jar/JarsPage.vue'), meta: { title: 'Jars' } },
      { path: '/formulary/jars/count', component: () => import('./jar/CountPage.vue'), meta: { title: 'Stock-take' } },
      { path: '/formulary/jars/:id', component: () => import('./jar/JarPage.vue'), meta: { title: 'Jar' } },
      { path: '/formulary/chemicals', component: () => import('./chemical/ChemicalsPage.vue'), meta: { title: 'Chemicals' } },
      { path: '/formulary/compare', component: () => import('./formula/ComparePage.vue'), meta: { title: 'Compare' } },
      { path: '/formulary/exchange', component: () => import('./exchange/ExchangePage.vue'), meta: { title: 'Files' } },
      { path: '/starter', component: () => import('./exchange/StarterPage.vue'), meta: { title: 'Starter set' } },
      { path: '/formulary/kits', component: () => import('./kit/KitsPage.vue'), meta: { title: 'Kits' } },
      { path: '/formulary/new', component: () => import('./formula/FormulaEditor.vue'), meta: { title: 'New formula' } },
      { path: '/formulary/:id', component: pages.formula, meta: { title: 'Formula' } },
      { path: '/formulary/:id/edit', component: () => import('./formula/FormulaEditor.vue'), meta: { title: 'Edit formula' } },
      { path: '/scales', component: pages.scales, meta: { title: 'Scales' } },
      { path: '/scales/:id', component: pages.mix, meta: { title: 'Mix' } },
      { path: '/proofs', component: pages.proofs, meta: { title: 'Proofs' } },
      { path: '/proofs/instruments', component: () => import('./proof/InstrumentsPage.vue'), meta: { title: 'Instruments' } },
      { path: '/proofs/rules', component: () => import('./proof/RulesPage.vue'), meta: { title: 'When tests fall due' } },
      { path: '/proofs/process/:id', component: () => import('./proof/ProcessPage.vue'), meta: { title: 'Control chart' } },
      { path: '/proofs/film/:kind', component: () => import('./proof/FilmTestPage.vue'), meta: { title: 'Test a film' } },
      { path: '/proofs/:kind/:id', component: () => import('./proof/TestPage.vue'), meta: { title: 'Test' } },
      // the tanks of a member are those they lead themselves
      {
        path: '/tanks',
        component: () => (useSession().isTechnician ? pages.tanks() : pages.mine()),
        meta: { for: 'members', title: 'Tanks' },
      },
      { path: '/tanks/chart', component: () => import('./chart/ChartPage.vue'), meta: { title: 'Wall chart' } },
      { path: '/tanks/processes', component: () => import('./process/ProcessesPage.vue'), meta: { title: 'Processes' } },
      { path: '/tanks/processes/:id', component: () => import('./process/ProcessPage.vue'), meta: { title: 'Process' } },
      { path: '/tanks/plan', component: pages.plan, meta: { for: 'members', title: 'Plan a run' } },
      { path: '/tanks/bath', component: () => import('./tempering/TemperingPage.vue'), meta: { title: 'Tempering bath' } },
      { path: '/tanks/clocks', component: () => import('./run/ClocksPage.vue'), meta: { title: 'Clocks' } },
      { path: '/tanks/:id', component: pages.run, meta: { for: 'members', title: 'Run' } },
      { path: '/rota', component: pages.rota, meta: { for: 'members', title: 'Rota' } },
      { path: '/rota/orders/:id', component: () => import('./order/OrderPage.vue'), meta: { for: 'members', title: 'Order' } },
      { path: '/rota/room', component: () => import('./evening/RoomPage.vue'), meta: { title: 'The room' } },
      {
        path: '/rota/printing',
        component: () => import('./printing/PrintingPage.vue'),
        meta: { for: 'members', title: 'Printing places' },
      },
      { path: '/rota/weeks', component: () => import('./weeks/WeeksPage.vue'), meta: { title: 'The coming weeks' } },
      { path: '/rota/evenings/:id', component: () => import('./evening/EveningPage.vue'), meta: { title: 'Evening' } },
      { path: '/rota/evenings/:id/prep', component: () => import('./evening/PrepPage.vue'), meta: { title: 'Before the doors open' } },
      { path: '/films', component: pages.films, meta: { for: 'members', title: 'Films' } },
      { path: '/practice', component: () => import('./practice/PracticePage.vue'), meta: { for: 'members', title: 'Practice' } },
      { path: '/films/pairs', component: () => import('./film/PairsPage.vue'), meta: { title: 'How films come out' } },
      { path: '/films/trace', component: () => import('./film/TracePage.vue'), meta: { title: 'Films and baths' } },
      { path: '/people', component: () => import('./person/PeoplePage.vue'), meta: { title: 'People' } },
      { path: '/people/letters', component: () => import('./mail/LettersPage.vue'), meta: { title: 'Letters' } },
      { path: '/people/training', component: () => import('./training/TrainingsPage.vue'), meta: { title: 'Training' } },
      { path: '/people/:id/training', component: () => import('./training/TrainingPage.vue'), meta: { title: 'Training' } },
      { path: '/training', component: () => import('./training/TrainingPage.vue'), meta: { for: 'members', title: 'What I may do' } },
      { path: '/people/:id', component: () => import('./person/PermissionsPage.vue'), meta: { title: 'Developing alone' } },
      { path: '/exposures', component: () => import('./exposure/ExposuresPage.vue'), meta: { for: 'members', title: 'Exposure notes' } },
      { path: '/devices', component: () => import('./device/DevicesPage.vue'), meta: { title: 'Devices' } },
      { path: '/wall/:token', component: () => import('./wall/WallPage.vue'), meta: { for: 'wall', title: 'Wall' } },
      { path: '/b/:code', component: () => import('./room/CodePage.vue'), meta: { for: 'members', title: 'Code' } },
      { path: '/settings', component: () => import('./person/SettingsPage.vue'), meta: { for: 'members', title: 'Settings' } },
      { path: '/:rest(.*)*', redirect: '/shelf' },
    ]),
  })
  router.beforeEach(async (to, from) => {
    // the same page with another question is no leaving
    if (from.matched.length > 0 && to.path !== from.path && anythingTyped()) {
      leavingFor.value = to.fullPath
      return false
    }
    leavingFor.value = null
    // it needs nobody, and is nobody's
    if (to.meta.for === 'wall') return true
    const session = useSession()
    if (!session.session) await session.load().catch(() => undefined)
    if (to.meta.for === 'anyone') return session.person ? '/shelf' : true
    if (!session.person) return { path: '/sign-in', query: to.fullPath === '/shelf' ? {} : { then: to.fullPath } }
    if (to.meta.for !== 'members' && !session.isTechnician) return '/shelf'
    return true
  })
  router.afterEach((to) => {
    document.title = `${to.meta.title ?? 'Selvrin'} · Selvrin`
  })
  return router
}
