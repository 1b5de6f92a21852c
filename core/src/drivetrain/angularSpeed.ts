/** rad/s of a shaft. */
export const angularSpeed = (speedRpm: number): number => (2 * Math.PI * speedRpm) / 60
