import { createBrowserRouter } from 'react-router'
import { Frame } from './Frame'
import { LostScreen } from './LostScreen'

const conversion = async () => ({ Component: (await import('../conversion/ConversionScreen')).ConversionScreen })

/** Each screen is loaded when it is first opened. */
export const router = createBrowserRouter([
  {
    element: <Frame />,
    errorElement: <LostScreen />,
    hydrateFallbackElement: <p className="lead p-8">Opening</p>,
    children: [
      { path: '/', lazy: async () => ({ Component: (await import('../shop/Home')).Home }) },
      { path: '/shops/:shopId', lazy: async () => ({ Component: (await import('../shop/ShopScreen')).ShopScreen }) },
      { path: '/conversions/:id', lazy: conversion },
      { path: '/conversions/:id/:stage', lazy: conversion },
      { path: '*', element: <LostScreen /> },
    ],
  },
])
