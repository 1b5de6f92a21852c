import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { Provider } from 'react-redux'
import { RouterProvider } from 'react-router'
import './app.css'
import { router } from './app/router'
import { store } from './app/store'
import { applyTheme } from './app/theme'

applyTheme()
const place = document.getElementById('root')
if (place)
  createRoot(place).render(
    <StrictMode>
      <Provider store={store}>
        <RouterProvider router={router} />
      </Provider>
    </StrictMode>,
  )
