import { lazy, Suspense, useEffect } from 'react'
import { BrowserRouter, Route, Routes } from 'react-router'
import { forgetOpened } from '../state/keepsPage'
import { useAppSelector } from '../state/store'
import { Brief } from './Brief'
import { Catch } from './Catch'
import { LostScreen } from '../parts/LostScreen'

/** Each screen is loaded when it is first opened. */
const Home = lazy(() => import('../shop/Home').then((m) => ({ default: m.Home })))
const ShopScreen = lazy(() => import('../shop/ShopScreen').then((m) => ({ default: m.ShopScreen })))
const LibraryScreen = lazy(() => import('../library/LibraryScreen').then((m) => ({ default: m.LibraryScreen })))
const ConversionScreen = lazy(() =>
  import('../conversion/ConversionScreen').then((m) => ({ default: m.ConversionScreen })),
)

const DevicesScreen = lazy(() => import('../devices/DevicesScreen').then((m) => ({ default: m.DevicesScreen })))
const PairScreen = lazy(() => import('../devices/PairScreen').then((m) => ({ default: m.PairScreen })))

export function App() {
  const isStranger = useAppSelector((state) => state.screen.stranger)
  useEffect(() => {
    if (isStranger) forgetOpened()
  }, [isStranger])
  return (
    <Catch>
      <BrowserRouter>
        <Suspense fallback={<p className="lead p-8">Opening</p>}>{isStranger ? <PairScreen /> : <Screens />}</Suspense>
      </BrowserRouter>
      <Brief />
    </Catch>
  )
}

function Screens() {
  return (
    <Routes>
      <Route path="/" element={<Home />} />
      <Route path="/devices" element={<DevicesScreen />} />
      {/* A device that is let in already has nothing to do there. */}
      <Route path="/pair" element={<Home />} />
      <Route path="/shops/:shopId" element={<ShopScreen />} />
      <Route path="/shops/:shopId/library/:kind" element={<LibraryScreen />} />
      <Route path="/conversions/:id/:stage?" element={<ConversionScreen />} />
      <Route path="*" element={<LostScreen />} />
    </Routes>
  )
}
