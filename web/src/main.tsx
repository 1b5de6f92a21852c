import './state/withoutEval'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { Provider } from 'react-redux'
import './app.css'
import { App } from './app/App'
import { store } from './state/store'
import { pageKeeping } from './state/keepsPage'
import { showOpen } from './state/tab'
import { applyTheme } from './state/theme'

applyTheme()
showOpen()
void pageKeeping
const place = document.getElementById('root')
if (place)
  createRoot(place).render(
    <StrictMode>
      <Provider store={store}>
        <App />
      </Provider>
    </StrictMode>,
  )
