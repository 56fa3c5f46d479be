/** A temperature as it stands on the wall: always °C, since everybody reads the same screen. */
export const temperatureWords = (c: number): string => `${c.toFixed(1)} °C`
