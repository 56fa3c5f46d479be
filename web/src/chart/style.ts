import { figure } from '../session/manner'

/** Colours, type and axes of every chart, from the light it is seen in. */
export function chartStyle() {
  const style = getComputedStyle(document.documentElement)
  const colour = (name: string) => style.getPropertyValue(`--${name}`).trim()
  const text = { color: colour('ink'), fontFamily: 'Atkinson Hyperlegible Next Variable', fontSize: 15 }
  const axis = {
    axisLine: { lineStyle: { color: colour('ink') } },
    axisLabel: { ...text, formatter: (value: number | string) => (typeof value === 'number' ? figure(value) : value) },
    nameTextStyle: text,
    splitLine: { lineStyle: { color: colour('line') } },
  }
  return { colour, text, axis }
}
