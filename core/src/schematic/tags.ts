import { textWidth } from '../drawing/textWidth'
import { NUMBER_SIZE } from './measures'

/** Room for a symbol between the screws of a device that has something inside. */
export const SYMBOL = 16

/** How wide the box of a wire's number is. */
export const tagWidth = (number: number): number => Math.max(5.4, textWidth(String(number), NUMBER_SIZE, 600) + 2.4)
