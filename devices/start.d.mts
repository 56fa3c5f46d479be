export function startDevices(options?: {
  anyPort?: boolean
}): Promise<{ env: { SELVRIN_DEVICES: string }; ports: Record<string, number>; stop: () => void }>
