import { CHECKED, couldBe, counted, ordersFor, parcelChoices, USUAL_SLIP } from '@snug/core'
import { useMemo } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { useCandidates } from '../../state/useCandidates'
import { today } from '../../state/today'
import { day } from '../../ui/times'

/** Of each part, the cheapest so many. */
const SHOWN = 3

/** What is still to be ordered, by its offers, each with the latest day that keeps the due date. */
export function OrderBy() {
  const build = useOpenBuild()
  const plan = useBuild((s) => s.evaluation!.plan)
  const kinds = [...new Set(Object.values(build.parts).flatMap((p) => (p && p.state === 'planned' ? [p.kind] : [])))]
  const items = useCandidates(kinds).data
  const wanted = useMemo(
    () => (items ? ordersFor(build, plan, items, (slot, item) => couldBe(build, slot, item)).filter((w) => w.offers.length) : []),
    [build, plan, items],
  )
  const parcels = useMemo(() => (items ? parcelChoices(build, plan, items, today()) : []), [build, plan, items])
  return wanted.length || parcels.length ? (
    <>
      {wanted.length > 0 && <h3 className="mt-3 text-[18px]">Latest day to order</h3>}
      <ul>
        {wanted.map(({ slot, label, step, offers }) => (
          <li key={slot} className="border-b border-hairline py-1">
            <b>{label}</b>
            {step && <span className="text-soft"> first wanted for: {step}</span>}
            <ul>
              {offers.slice(0, SHOWN).map(({ item, latest, ifKept }) => (
                <li key={item.id} className="flex justify-between gap-3">
                  <span>
                    {item.part.name} <span className="text-soft">{item.part.price?.toFixed(2) ?? 'no price'}</span>
                  </span>
                  {latest ? (
                    <span className="text-right">
                      {latest < today() && <span className="text-wont">too late, was </span>}
                      <span className="figure">{day(latest)}</span>
                      {ifKept && <span className="block text-[13.5px] text-soft">{day(ifKept)} if the promise is kept</span>}
                    </span>
                  ) : (
                    <span className="text-soft">nobody says how long it takes</span>
                  )}
                </li>
              ))}
            </ul>
            {offers.length > SHOWN && <span className="text-[14px] text-soft">and {counted(offers.length - SHOWN, 'dearer one')}</span>}
          </li>
        ))}
      </ul>
      {wanted.length > 0 && (
        <p className="text-[13.5px] text-soft">
          So that the day it is promised for is kept. Lead times stretched by what each seller’s promises slip, by {USUAL_SLIP} where nobody
          knows the seller, and {counted(CHECKED, 'day')} to check the parcel.
        </p>
      )}
      {parcels.length > 0 && <h3 className="mt-3 text-[18px]">One parcel or several</h3>}
      <ul>
        {parcels.map(({ seller, together, apart, postage, late }) => (
          <li key={seller} className="border-b border-hairline py-1">
            <b>{seller}</b>: all in one parcel is here in {counted(together, 'day')}. Apart:{' '}
            {apart.map((p) => `${p.label.toLowerCase()} in ${p.days}`).join(', ')}
            {postage === undefined ? '' : `, for ${postage.toFixed(2)} ${build.currency} of postage more`}.{' '}
            {late.length ? (
              <b>In one parcel too late: {late.join(', ').toLowerCase()}.</b>
            ) : (
              'One parcel makes nothing late that would be in time alone.'
            )}
          </li>
        ))}
      </ul>
    </>
  ) : null
}
