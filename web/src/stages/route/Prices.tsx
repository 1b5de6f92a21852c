import { QuantityField } from '../../parts/QuantityField'

/** What each way costs here. Nothing is assumed: a price that is not typed stays unknown. */
export function Prices() {
  return (
    <section className="sheet" aria-labelledby="prices">
      <h2 id="prices" tabIndex={-1} className="h-part">
        Prices, in your own money
      </h2>
      <p className="lead mb-2">As you were told them. What is not typed stays unknown; none is assumed.</p>
      <div className="grid grid-cols-2 gap-x-3 gap-y-2">
        <QuantityField path="route.drivePrice" label="Drive all in, each" placeholder="430" />
        <QuantityField path="route.smallDrivePrice" placeholder="260" />
        <QuantityField path="route.converterPrice" placeholder="980" />
        <QuantityField path="route.starterPrice" placeholder="95" />
        <QuantityField path="route.motorPrice" placeholder="180" />
        <QuantityField path="route.kitPrice" placeholder="890" />
        <QuantityField path="route.kitPowerW" placeholder="1.5 kW" />
        <QuantityField path="route.brushlessPrice" placeholder="520" />
        <QuantityField path="route.brushlessPowerW" placeholder="1.2 kW" />
        <QuantityField path="route.brushlessRpm" label="Brushless, rated speed" placeholder="3000 rpm" />
      </div>
    </section>
  )
}
