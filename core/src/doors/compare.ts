// Motors, drives and routes side by side.
export { compareDrives, type DriveColumn } from '../compare/compareDrives'
export { compareMotors, type MotorColumn } from '../compare/compareMotors'
export type { DcWay, WayVerdict } from '../compare/dcWay'
export { compareRoutes, type RouteComparison, type RouteLine } from '../compare/compareRoutes'
export { fitFindings, routeFindings } from '../compare/comparedFindings'
export type { FitLine } from '../compare/motorFit'
