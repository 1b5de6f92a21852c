/** What things that spin are made of. Densities of handbooks, kg/m3; of bonded wheels the usual middle. */
export const densities = {
  kgM3: { steel: 7850, iron: 7200, aluminium: 2700, brass: 8500, abrasive: 2300, wood: 700 },
} as const
