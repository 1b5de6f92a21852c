import { lazy, Suspense } from 'react'
import { BrowserRouter, Route, Routes } from 'react-router'
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

export function App() {
  return (
    <Catch>
      <BrowserRouter>
        <Suspense fallback={<p className="lead p-8">Opening</p>}>
          <Routes>
            <Route path="/" element={<Home />} />
            <Route path="/shops/:shopId" element={<ShopScreen />} />
            <Route path="/shops/:shopId/library/:kind" element={<LibraryScreen />} />
            <Route path="/conversions/:id/:stage?" element={<ConversionScreen />} />
            <Route path="*" element={<LostScreen />} />
          </Routes>
        </Suspense>
      </BrowserRouter>
      <Brief />
    </Catch>
  )
}
