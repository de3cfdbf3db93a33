import { AMPLIFIER, CABLE_PER_METRE, compareSheet, editsToMatch, lugName, lugsOf, setCircuit, wireKey } from '@snug/core'
import { useMemo, useState } from 'react'
import { useBuild, useOpenBuild } from '../../../state/buildStore'
import { Button } from '../../../ui/Button'
import { Choice } from '../../../ui/Field'
import { useHarness } from '../useHarness'

/** A sheet that came with the parts, or a circuit recorded before it is cut: entered lug by lug, compared joint by joint. */
export function SuppliedSheet() {
  const harness = useHarness()
  const { sheet = {}, cable, edits = {} } = useOpenBuild().circuit
  const change = useBuild((s) => s.change)
  const [from, setFrom] = useState('')
  const [to, setTo] = useState('')
  const compared = useMemo(
    () => harness && compareSheet(harness, Object.values(sheet), { cable: cable * CABLE_PER_METRE, amplifier: AMPLIFIER }),
    [harness, sheet, cable],
  )
  if (!harness || !compared) return <p className="text-soft">Parts and a wiring first: then a sheet can be laid beside it.</p>
  const lugs = harness.components.flatMap(lugsOf).map((l): [string, string] => [l, lugName(harness, l)])
  const words = (a: string, b: string) => `${lugName(harness, a)} to ${lugName(harness, b)}`
  const keep = (next: typeof sheet, label: string) => change((b) => setCircuit(b, 'sheet', next, label))
  const count = Object.keys(sheet).length
  const apart = compared.lacks.length + compared.more.length
  return (
    <section>
      <h2 className="text-[22px]">A sheet, or a circuit as it was found</h2>
      <p>Every joint it shows, one after the other. Before anything is cut: what was found is kept here, and can be gone back to.</p>
      <div className="grid grid-cols-2 gap-2">
        <Choice label="From" value={from} options={[['', 'a lug'], ...lugs]} onChange={setFrom} />
        <Choice label="To" value={to} options={[['', 'a lug'], ...lugs]} onChange={setTo} />
      </div>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button
          disabled={!from || !to || from === to}
          onClick={() => {
            keep({ ...sheet, [wireKey(from, to)]: { from, to } }, `On the sheet: ${words(from, to)}`)
            setTo('')
          }}
        >
          On the sheet
        </Button>
        <Button
          look="quiet"
          onClick={() =>
            keep(
              Object.fromEntries(harness.wires.filter((w) => !w.inside).map((w) => [wireKey(w.from, w.to), { from: w.from, to: w.to }])),
              'The sheet begun from the wires worked out here',
            )
          }
        >
          Begin from ours and strike out
        </Button>
      </div>
      {from !== '' && from === to && (
        <p role="alert" className="text-wont">
          A joint is between two lugs; these are the same.
        </p>
      )}
      {count > 0 && (
        <div role="status" className="mt-3">
          <p className="text-[17px]">
            {apart ? `${apart} ${apart === 1 ? 'joint differs' : 'joints differ'}.` : 'It joins the same things as ours does.'}
          </p>
          {compared.mirrored && <p className="text-mind">{compared.mirrored}</p>}
          {compared.lacks.map((l) => (
            <p key={l}>
              Only here: <b>{l}</b>
            </p>
          ))}
          {compared.more.map((l) => (
            <p key={l}>
              Only on the sheet: <b>{l}</b>
            </p>
          ))}
          <table className="mt-2 w-full text-[14px]">
            <caption className="sr-only">Ours beside the sheet’s, by position</caption>
            <thead>
              <tr className="label text-left text-soft">
                <th>position</th>
                <th>ours</th>
                <th>as the sheet has it</th>
                <th>heard as</th>
              </tr>
            </thead>
            <tbody>
              {compared.sounds.map((s) => (
                <tr key={s.id} className="border-t border-hairline">
                  <td className="figure">{s.id || 'all'}</td>
                  <td>{s.ours}</td>
                  <td>{s.sheet}</td>
                  <td className={s.same ? 'text-snug' : 'text-wont'}>{s.same ? 'the same' : 'another'}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <div className="mt-2 flex flex-wrap gap-2">
            {apart > 0 && (
              <Button
                onClick={() =>
                  change((b) =>
                    setCircuit(b, 'edits', { ...edits, ...editsToMatch(harness, Object.values(sheet)) }, 'Wired as the sheet shows'),
                  )
                }
              >
                Wire it as the sheet shows
              </Button>
            )}
            <Button look="quiet" onClick={() => keep({}, 'The sheet taken away')}>
              Take the sheet away
            </Button>
          </div>
          <ul className="mt-2">
            {Object.entries(sheet).map(([key, j]) => (
              <li key={key} className="flex items-center justify-between gap-2 border-t border-hairline">
                {words(j.from, j.to)}
                <Button
                  look="quiet"
                  aria-label={`away: not on the sheet, ${words(j.from, j.to)}`}
                  onClick={() => {
                    const { [key]: _, ...others } = sheet
                    keep(others, `Not on the sheet: ${words(j.from, j.to)}`)
                  }}
                >
                  away
                </Button>
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  )
}
