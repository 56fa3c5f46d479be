import { defineAsyncComponent, type AsyncComponentLoader, type Component } from 'vue'
import { again } from './again'
import PartMissing from './PartMissing.vue'

/** A component that is fetched when it is first shown; where it cannot be had it says so in its place. */
export const part = <T extends Component>(load: AsyncComponentLoader<T>): T =>
  defineAsyncComponent<T>({ loader: () => again(load), errorComponent: PartMissing })
