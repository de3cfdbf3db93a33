import './app/theme.css'
import { askEarly } from './state/early'
import { today } from './state/today'
import { beginWith } from './workers/first'

// A build's address: it is fetched, and its verdicts are worked out, while the page is read.
const [, place, build] = window.location.pathname.split('/')
if (place === 'builds' && build) beginWith(askEarly(`/api/builds/${build}`), today())
void import('./show')
