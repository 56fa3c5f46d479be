export function startDevices(options?: {
  anyPort?: boolean
}): Promise<{ env: Record<string, string>; ports: Record<string, number>; pages: Record<string, number>; stop: () => void }>
