/** Heat that a closed box passes, W for each m2 and kelvin: planning values for still air. */
export const boxTransmittance: Readonly<Record<'steel' | 'plastic' | 'bare-metal', number>> = {
  steel: 5.5,
  plastic: 3.5,
  // Bright metal hardly radiates.
  'bare-metal': 3.5,
}
