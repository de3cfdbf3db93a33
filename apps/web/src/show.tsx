import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { App } from './App'
import { fetchStation } from './stations/list'

// What the address asks for is on its way while the rest is laid out.
const [, place, , station = 'fit'] = window.location.pathname.split('/')
if (place === 'builds') fetchStation(station)

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <App />
  </StrictMode>,
)
