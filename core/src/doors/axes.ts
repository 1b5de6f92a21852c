// Axes that are moved by pulses: what follows from what was typed of one.
export { axisNumbers, isHad, type AxisField, type AxisNumbers, type AxisValue } from '../axes/axisNumbers'
export { MOST_AXES, type Axis } from '../plan/axes'
export { switchRows } from '../axes/switchRows'
export { axisCard, type AxisCardLine } from '../axes/axisCard'
