import { useTab } from '../../ui/StationTabs'
import { BoxTab } from './BoxTab'
import { ChooseTab } from './ChooseTab'
import { MeasureTab } from './MeasureTab'
import { MoneyTab } from './MoneyTab'
import { PaperTab } from './PaperTab'
import { SlotsTab } from './SlotsTab'
import { StockTab } from './StockTab'
import { TAB_IDS } from './tabs'

/** Parts: slots and what lies in them, what to measure next, stash and offers, choosing sets, money, paperwork. */
export default function PartsStation() {
  const [tab] = useTab(TAB_IDS)
  switch (tab) {
    case 'slots':
      return <SlotsTab />
    case 'box':
      return <BoxTab />
    case 'measure':
      return <MeasureTab />
    case 'stock':
      return <StockTab />
    case 'choose':
      return <ChooseTab />
    case 'money':
      return <MoneyTab />
    case 'paper':
      return <PaperTab />
  }
}
