import { inject, onBeforeUnmount, provide, watch, type InjectionKey, type Ref } from 'vue'

/* What stands in a field and cannot be read is not nothing: the form it is in is not sent without it. */

const key: InjectionKey<(field: symbol, wrong: string) => void> = Symbol('unread')
/** `tell` hears what cannot be read of a field below this component; '' when it can again. A field is told by itself: its name moves with its row. */
export const hearUnread = (tell: (field: symbol, wrong: string) => void): void => provide(key, tell)

/** For fields that read what is typed: `wrong` is the sentence against it. */
export function useUnread(wrong: Ref<string>): void {
  const tell = inject(key, null)
  if (!tell) return
  const me = Symbol('field')
  watch(wrong, (says) => tell(me, says), { flush: 'sync' })
  onBeforeUnmount(() => tell(me, ''))
}
