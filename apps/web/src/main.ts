import './app/theme.css'
import { firstWorker } from './workers/first'

// A build's address: what its verdicts come from is on its way while the page is read.
if (window.location.pathname.startsWith('/builds/')) firstWorker()
void import('./show')
