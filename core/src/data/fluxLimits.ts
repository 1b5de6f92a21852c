/** Flux as a share of the plate's: where a motor pulls weakly, runs warm, and burns. Planning values. */
export const fluxLimits = { weak: 0.9, warm: 1.05, burns: 1.1 }
