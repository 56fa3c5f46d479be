import { trayFamilies, trayRoleWords, type TrayRole } from '@selvrin/core'

export const roleName = (role: TrayRole): string => trayRoleWords[role]
/** Family whose mark a tray carries. */
export const roleFamily = (role: TrayRole): string => trayFamilies[role] ?? 'wash-aid'

/** How long a tray has stood open. */
export function openWords(ms: number): string {
  const minutes = Math.max(0, Math.round(ms / 60_000))
  return minutes < 60 ? `${minutes} min open` : `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')} min open`
}
