import { createBrowserRouter } from 'react-router'
import { ConversionScreen } from '../conversion/ConversionScreen'
import { Home } from '../shop/Home'
import { ShopScreen } from '../shop/ShopScreen'
import { Frame } from './Frame'
import { LostScreen } from './LostScreen'

export const router = createBrowserRouter([
  {
    element: <Frame />,
    errorElement: <LostScreen />,
    children: [
      { path: '/', element: <Home /> },
      { path: '/shops/:shopId', element: <ShopScreen /> },
      { path: '/conversions/:id', element: <ConversionScreen /> },
      { path: '/conversions/:id/:stage', element: <ConversionScreen /> },
      { path: '*', element: <LostScreen /> },
    ],
  },
])
