import { readingsOf, setupReading, type Build } from '@snug/core'
import { changed, fullBuild } from '@snug/core/testing/fullBuild'
import { screen, waitFor, within } from '@testing-library/react'
import { toWav } from '@snug/formats/wav'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { inHand, layOut, show } from '../../testing/bench'
import { server } from '../../testing/localApi'
import SetupStation from './SetupStation'

vi.mock('../../workers/compute', () => import('../../testing/localCompute'))
vi.mock('../../state/api', () => import('../../testing/localApi'))
// jsdom draws nothing on a canvas; what the chart says of itself is all there is to see.
vi.mock('react-chartjs-2', () => ({ Line: (p: { 'aria-label': string }) => <figure aria-label={p['aria-label']} /> }))

const heading = () => inHand().getAllByRole('heading', { level: 2 })[0]!.textContent
const at = (path: string, setup: Partial<Build['setup']> = {}) => {
  const b = fullBuild()
  layOut({ ...b, setup: { ...b.setup, ...setup } })
  show(<SetupStation />, `setup${path}`)
}

describe('the sequence', () => {
  it('relief first; read in thou or mm, told as turns', async () => {
    layOut()
    show(<SetupStation />, 'setup/relief')
    expect(heading()).toBe('Relief at fret 8')
    const relief = inHand().getByLabelText('Relief at fret 8')
    await userEvent.type(relief, '20 thou{Enter}')
    await waitFor(() => expect(setupReading(server.build, { what: 'relief' })).toBeCloseTo(0.508, 6))
    await waitFor(() => expect(inHand().getByText(/^Tighten/)).toBeTruthy())
    expect(inHand().getByText(/Never force a truss nut/)).toBeTruthy()
    await userEvent.clear(relief)
    await userEvent.type(relief, '0.25{Enter}')
    // The newer one counts; the earlier one stays written down.
    await waitFor(() => expect(readingsOf(server.build, { what: 'relief' }).map((r) => r.value)).toEqual([0.508, 0.25]))
    await waitFor(() => expect(inHand().getByText('before: 0.51')).toBeTruthy())
  })
  it('cents per string become a move of its saddle', async () => {
    layOut()
    show(<SetupStation />, 'setup/intonation')
    await userEvent.type(inHand().getByLabelText('String 1, cents'), '6{Enter}')
    await waitFor(() => expect(setupReading(server.build, { what: 'cents', string: 1 })).toBe(6))
    await waitFor(() => expect(inHand().getAllByRole('row')[1]!.textContent).toMatch(/back/))
    await userEvent.click(inHand().getByRole('button', { name: /turned the length screw of string 1/ }))
    await waitFor(() => expect(Object.values(server.build.setup.turns ?? {})).toMatchObject([{ screw: 'length', string: 1 }]))
    await waitFor(() => expect(inHand().getAllByRole('row')[1]!.textContent).toMatch(/old: read again/))
    await userEvent.type(inHand().getByLabelText('String 2, cents'), '400{Enter}')
    expect(inHand().getByRole('alert').textContent).toMatch(/-100 to 100 is allowed/)
  })
  it('a saddle that carries two strings is moved once, for both', async () => {
    layOut(changed(fullBuild(), {}, { 'bridge/carries': 'two' }))
    show(<SetupStation />, 'setup/intonation')
    await userEvent.type(inHand().getByLabelText('String 1, cents'), '6{Enter}')
    await waitFor(() => expect(inHand().getAllByRole('row')[1]!.textContent).toMatch(/read string 2 too: the same saddle/))
    await userEvent.type(inHand().getByLabelText('String 2, cents'), '2{Enter}')
    await waitFor(() => expect(inHand().getAllByRole('row')[2]!.textContent).toMatch(/the saddle of string 1/))
    await userEvent.click(inHand().getByRole('button', { name: /turned the length screw of strings 1 and 2/ }))
    await waitFor(() =>
      expect(Object.values(server.build.setup.turns ?? {})).toMatchObject([
        { screw: 'length', string: 1 },
        { screw: 'length', string: 2 },
      ]),
    )
    for (const row of [1, 2]) await waitFor(() => expect(inHand().getAllByRole('row')[row]!.textContent).toMatch(/old: read again/))
  })
  it('a bridge that goes as a whole is moved at its ends, once both outer strings were read', async () => {
    layOut(changed(fullBuild(), {}, { 'bridge/mount': 'bar', 'bridge/lengths': 'ends' }))
    show(<SetupStation />, 'setup/intonation')
    const row = (n: number) => inHand().getAllByRole('row')[n]!.textContent
    await userEvent.type(inHand().getByLabelText('String 1, cents'), '6{Enter}')
    await waitFor(() => expect(row(1)).toMatch(/read string 6 too: the bridge goes as a whole/))
    await userEvent.type(inHand().getByLabelText('String 6, cents'), '2{Enter}')
    // 6 and 2 cents of 647.7 mm times ln 2 / 1200.
    await waitFor(() =>
      expect([row(1), row(6)]).toEqual([expect.stringMatching(/this end 2\.24 mm back/), expect.stringMatching(/this end 0\.75 mm back/)]),
    )
    await userEvent.type(inHand().getByLabelText('String 3, cents'), '4{Enter}')
    await waitFor(() => expect(row(3)).toMatch(/goes with the ends/))
    expect(inHand().queryByRole('button', { name: /turned the length screw/ })).toBeNull()
  })
  it('string pull, string by string and together', () => {
    layOut()
    show(<SetupStation />, 'setup/strings')
    expect(inHand().getAllByRole('row')).toHaveLength(8)
    expect(inHand().getByText('Together').closest('tr')!.textContent).toMatch(/46[0-9]\.\d/)
  })
  it('the other school moves the targets', async () => {
    layOut()
    show(<SetupStation />, 'setup/action')
    await userEvent.selectOptions(inHand().getByLabelText('How low you like the strings'), 'low')
    await waitFor(() => expect(server.build.setup.school).toBe('low'))
  })
})

describe('readings from before a screw was turned', () => {
  const minute = (m: number) => `2026-12-01T19:${String(m).padStart(2, '0')}:00.000Z`
  const setup: Build['setup'] = {
    school: 'ordinary',
    readings: {
      a: { what: 'relief', value: 0.35, at: minute(1) },
      b: { what: 'action', string: 1, value: 1.7, at: minute(2) },
      c: { what: 'action', string: 6, value: 2.4, at: minute(3) },
      d: { what: 'cents', string: 3, value: 6, at: minute(4) },
      e: { what: 'pickup', string: 1, slot: 'pickup-bridge', value: 1.9, at: minute(5) },
    },
    turns: { t: { screw: 'truss', turns: 0.25, at: minute(30) } },
  }
  it('are called old in the list, ask to be read again, and turn nothing', () => {
    at('/action', setup)
    expect(screen.getByRole('button', { name: /Relief at fret 8/ }).textContent).toMatch(/0\.35 mm, old/)
    expect(screen.getByRole('button', { name: /Action at fret 12/ }).textContent).toMatch(/2\.4 mm bass, 1\.7 mm treble, old/)
    expect(screen.getByRole('button', { name: /Intonation at fret 12/ }).textContent).toMatch(/3: old, read again/)
    expect(screen.getAllByLabelText('read it again').length).toBeGreaterThanOrEqual(3)
    expect(screen.queryByLabelText('turn a screw')).toBeNull()
  })
  it.each(['', '/intonation', '?tab=buzz', '?tab=nut', '?tab=intonation', '?tab=vibrato', '?tab=pickups', '?tab=strings', '?tab=trouble'])(
    'are no number that is none at setup%s',
    async (path) => {
      at(path, setup)
      await waitFor(() => expect(document.body.textContent!.length).toBeGreaterThan(200))
      expect(document.body.textContent).not.toMatch(/NaN|undefined|Infinity|\[object/)
    },
  )
})

describe('the sequence, what else', () => {
  it('says what is done and what is still to read, and the first strings come first', async () => {
    at('')
    expect(heading()).toBe('First strings on')
    expect(screen.getByText(/numbers are as wanted; still to read:/)).toBeTruthy()
    await userEvent.click(inHand().getByLabelText(/lie on the board/))
    await waitFor(() => expect(server.build.setup.first).toEqual({ '0': true }))
  })
  it('an action read over another fret is shown over fret 12', async () => {
    at('/action')
    await userEvent.selectOptions(inHand().getByLabelText('Read over fret'), '22')
    await userEvent.type(inHand().getByLabelText('Action at fret 22, bass'), '4/64{Enter}')
    await waitFor(() => expect(readingsOf(server.build, { what: 'action', string: 6 }).at(-1)).toMatchObject({ fret: 22, value: 1.5875 }))
    const row = await waitFor(() => inHand().getAllByRole('row').at(-1)!)
    expect(row.textContent).toMatch(/^61\.[1-5]/)
  })
})

describe('buzz', () => {
  it('every string at every fret; a harder attack is another map; a high fret is named', async () => {
    at('?tab=buzz')
    expect((await screen.findAllByRole('button', { name: /: string \d, (open|held)/ })).length).toBe(6 * 22)
    await userEvent.click(screen.getByRole('button', { name: /: string 3, held at 7/ }))
    expect(screen.getByRole('img', { name: 'String 3, held at fret 7' })).toBeTruthy()
    await userEvent.type(inHand().getByLabelText('fret 9'), '0.2{Enter}')
    await waitFor(() => expect(server.build.setup.rocks).toEqual({ '1-9': 0.2 }))
    expect(await inHand().findByText(/fret 9 by 0.10 mm/)).toBeTruthy()
    await userEvent.click(inHand().getByRole('button', { name: /Best relief/ }))
    expect(await inHand().findByRole('status')).toBeTruthy()
  })
})

describe('nut', () => {
  it('a sliver read tells what to file, in both ways', async () => {
    at('?tab=nut')
    await userEvent.type(await screen.findByLabelText('Left over fret 1, held at 3'), '0.4{Enter}')
    await waitFor(() => expect(setupReading(server.build, { what: 'sliver', string: 1 })).toBe(0.4))
    expect((await inHand().findAllByText(/File 0\.\d\d mm, read again/)).length).toBeGreaterThan(0)
    expect(inHand().getByText(/Both ways: 0.40 mm held at fret 3/)).toBeTruthy()
  })
})

describe('intonation by sound', () => {
  it('the simulated string, open and at fret 12, becomes the reading', async () => {
    at('?tab=intonation')
    const by = within(await screen.findByRole('region', { name: 'Pitch from sound' }))
    for (const b of by.getAllByRole('button', { name: 'Simulated' })) await userEvent.click(b)
    await userEvent.click(await by.findByRole('button', { name: 'Take it as the reading' }))
    await waitFor(() => expect(setupReading(server.build, { what: 'cents', string: 6 })).toBeCloseTo(8.3, 0))
  })
  it('what was heard of one string is not taken for another', async () => {
    at('?tab=intonation')
    const by = () => within(screen.getByRole('region', { name: 'Pitch from sound' }))
    await screen.findByRole('region', { name: 'Pitch from sound' })
    await userEvent.click(by().getAllByRole('button', { name: 'Simulated' })[0]!)
    expect(await by().findByText(/Hz, [+-]/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: /^1 · / }))
    expect(by().getByRole('heading').textContent).toMatch(/^String 1, /)
    await userEvent.click(by().getAllByRole('button', { name: 'Simulated' })[1]!)
    await by().findByText(/Hz, [+-]/)
    expect(by().queryByRole('button', { name: 'Take it as the reading' })).toBeNull()
  })
  it('another string is no reading of this one; the right one is, and takes back what was said', async () => {
    at('?tab=intonation')
    const by = within(await screen.findByRole('region', { name: 'Pitch from sound' }))
    const sound = (hertz: number) =>
      new File(
        [
          new Uint8Array(
            toWav(
              Float32Array.from({ length: 30_000 }, (_, i) => 0.4 * Math.sin((2 * Math.PI * hertz * i) / 44_100)),
              44_100,
            ),
          ),
        ],
        'a.wav',
      )
    await userEvent.upload(by.getByLabelText('Open of string 6 as WAV'), sound(110))
    expect((await by.findByRole('alert')).textContent).toMatch(/^110\.0 Hz was heard where 82\.4 should sound: another string/)
    expect(by.queryByText(/Hz, [+-]/)).toBeNull()
    await userEvent.upload(by.getByLabelText('Open of string 6 as WAV'), sound(83))
    // 1200 log2(83 / 82.407) = 12.4.
    expect(await by.findByText(/^83\.00 Hz, \+12\.4 cents$/)).toBeTruthy()
    expect(by.queryByRole('alert')).toBeNull()
    // Within what each may be off, and yet no fret of one string: 250 cents under its octave.
    await userEvent.upload(by.getByLabelText('At fret 12 of string 6 as WAV'), sound(164.814 * 2 ** (-250 / 1200)))
    expect(await by.findByText(/pluck both again/)).toBeTruthy()
    expect(by.queryByRole('button', { name: 'Take it as the reading' })).toBeNull()
  })
  it('a file that is no sound says so', async () => {
    at('?tab=intonation')
    await userEvent.upload(await screen.findByLabelText('Open of string 6 as WAV'), new File(['no sound'], 'a.wav', { type: 'audio/wav' }))
    expect((await screen.findByRole('alert')).textContent).toMatch(/no WAV file/)
  })
  it('no microphone: said, and nothing is lost', async () => {
    at('?tab=intonation')
    const by = within(await screen.findByRole('region', { name: 'Pitch from sound' }))
    await userEvent.click(by.getAllByRole('button', { name: 'Microphone' })[0]!)
    expect((await by.findByRole('alert')).textContent).toMatch(/not allowed, or there is none/)
  })
})

describe('vibrato, pickups, strings', () => {
  it('turns of the claw, and what is taken as usual until it is measured', async () => {
    at('?tab=vibrato')
    expect((await screen.findAllByText(/both claw screws|stands right for 1 mm/i)).length).toBeGreaterThan(0)
    expect(screen.getByText(/nobody has measured .*spring rate.*Go by the gap/)).toBeTruthy()
    await userEvent.type(screen.getByLabelText('Rate of one, N/mm'), '2.1{Enter}')
    await waitFor(() => expect(server.build.setup.vibrato).toEqual({ rate: 2.1 }))
  })
  it('a pickup read too near is told to go down', async () => {
    at('?tab=pickups')
    await userEvent.type(await screen.findByLabelText('Bass end'), '0.9{Enter}')
    expect((await screen.findAllByText(/too near: lower this end/)).length).toBeGreaterThan(0)
  })
  it('another tuning is another pull, and what was read is to be read again', async () => {
    at('?tab=strings')
    await userEvent.selectOptions(await screen.findByLabelText('Tuned'), 'a step down')
    await waitFor(() => expect(server.build.setup.tuning?.notes[0]).toBe(-7))
  })
  it('strings not meant for the tuning are noticed by their pull', async () => {
    layOut(changed(fullBuild(), { 'strings/gauge.6': 2.4 }))
    show(<SetupStation />, 'setup?tab=strings')
    expect(await screen.findByText(/String 6 would pull/)).toBeTruthy()
  })
})

describe('turned as told', () => {
  it('the turn is written down, the old reading no longer holds, and the next one teaches what a turn gives', async () => {
    at('/relief')
    const relief = inHand().getByLabelText('Relief at fret 8')
    await userEvent.type(relief, '0.5{Enter}')
    await userEvent.click(await inHand().findByRole('button', { name: 'Turned as told' }))
    await waitFor(() => expect(Object.values(server.build.setup.turns ?? {})).toMatchObject([{ screw: 'truss', turns: 0.25 }]))
    expect(await inHand().findByText(/Turned since it was read: the truss nut/)).toBeTruthy()
    expect(inHand().queryByRole('button', { name: 'Turned as told' })).toBeNull()
    await userEvent.clear(relief)
    await userEvent.type(relief, '0.4{Enter}')
    expect(await inHand().findByText(/this neck gave 0.1 mm a quarter/)).toBeTruthy()
  })
  it('turned otherwise: written down as it was made', async () => {
    at('/relief')
    await userEvent.type(inHand().getByLabelText('Relief at fret 8'), '0.5{Enter}')
    await userEvent.click(await inHand().findByText('Turned otherwise'))
    await userEvent.type(inHand().getByLabelText('truss nut: turns made, clockwise +'), '0.5{Enter}')
    await waitFor(() => expect(Object.values(server.build.setup.turns ?? {})).toMatchObject([{ screw: 'truss', turns: 0.5 }]))
  })
  it('numbers of one’s own over the school’s, and back', async () => {
    at('/action')
    await userEvent.click(inHand().getByText('Numbers of your own'))
    await userEvent.type(inHand().getByLabelText('Bass wanted, mm'), '1.9{Enter}')
    await waitFor(() => expect(server.build.setup.wanted).toEqual({ actionBass: 1.9 }))
    await userEvent.click(await inHand().findByRole('button', { name: 'The school’s again' }))
    await waitFor(() => expect(server.build.setup.wanted).toEqual({}))
  })
})

describe('other strings', () => {
  it('a step down, thought about: 79.4 % of the pull, nothing is changed until it is said', async () => {
    at('?tab=strings')
    const what = within(await screen.findByRole('region', { name: 'What if' }))
    await userEvent.selectOptions(what.getByLabelText('Tuned otherwise'), 'a step down')
    expect(await what.findByText(/79\.4 % of it/)).toBeTruthy()
    expect(server.build.setup.tuning).toBeUndefined()
    await userEvent.click(what.getByRole('button', { name: 'Tune it so' }))
    await waitFor(() => expect(server.build.setup.tuning?.name).toBe('a step down'))
  })
  it('a set written as people do; a wrong one says what is wrong', async () => {
    at('?tab=strings')
    const what = within(await screen.findByRole('region', { name: 'What if' }))
    const field = what.getByLabelText('Other strings, the thinnest first')
    await userEvent.type(field, '10 13 17')
    expect(what.getByRole('alert').textContent).toMatch(/3 gauges are written, 6 strings/)
    await userEvent.type(field, ' 26 36 46')
    expect(what.queryByRole('alert')).toBeNull()
    expect(what.getAllByRole('row')).toHaveLength(7)
  })
  it('a set that goes on takes the place of the old one; its wound third is told by a letter', async () => {
    at('?tab=strings')
    const what = within(await screen.findByRole('region', { name: 'What if' }))
    const field = what.getByLabelText<HTMLInputElement>('Other strings, the thinnest first')
    await userEvent.type(field, '12 16 24w 32 42 52')
    await userEvent.click(what.getByRole('button', { name: 'These strings go on' }))
    await waitFor(() => expect(server.build.parts.strings!.sizes['gauge.3']!.value).toBeCloseTo(0.6096, 4))
    expect(server.build.parts.strings!.sizes.wound!.value).toBe(4)
    expect(server.build.parts.strings!.name).toBe('Strings, 12 to 52 thousandths')
    expect(field.value).toBe('')
  })
})

describe('levels and the return to pitch', () => {
  it('string after string by the simulated pickup; a louder one is told to go down', async () => {
    at('?tab=pickups')
    const levels = within(await screen.findByRole('region', { name: 'Levels' }))
    for (let i = 0; i < 6; i++) {
      await userEvent.click(levels.getByRole('button', { name: 'Simulated' }))
      await waitFor(() => expect(Object.values(server.build.setup.readings).filter((r) => r.what === 'level')).toHaveLength(i + 1))
    }
    expect(levels.getAllByText(/louder by .* dB: its pole .* down/).length).toBeGreaterThan(0)
    await userEvent.upload(levels.getByLabelText(/^Level of string \d as WAV/), new File(['no'], 'a.wav', { type: 'audio/wav' }))
    expect((await levels.findByRole('alert')).textContent).toMatch(/no WAV file/)
  })
  it('a string that comes back sharp after a dive hangs at the nut', async () => {
    layOut(changed(fullBuild(), {}, { 'bridge/mount': 'two-stud' }))
    show(<SetupStation />, 'setup?tab=vibrato')
    await userEvent.type(await screen.findByLabelText('String 3, cents after the arm went down'), '7{Enter}')
    expect(await screen.findByText(/Hangs sharp after a dive: it rubs at the nut/)).toBeTruthy()
  })
  it('a bridge that stands still has nothing to balance', async () => {
    layOut(changed(fullBuild(), {}, { 'bridge/mount': 'string-through' }))
    show(<SetupStation />, 'setup?tab=vibrato')
    expect(await screen.findByText(/stands still: nothing is balanced/)).toBeTruthy()
  })
})

describe('trouble at playing', () => {
  it('a check answered moves the shares; what it was is written down and logged', async () => {
    at('?tab=trouble')
    await userEvent.click(await screen.findByRole('button', { name: /Buzzes open only/ }))
    expect(heading()).toBe('Buzzes open only')
    const next = within(inHand().getByRole('region', { name: 'Next check' }))
    await userEvent.click(next.getByRole('button', { name: 'Yes' }))
    await waitFor(() => expect(Object.values(Object.values(server.build.setup.troubles ?? {})[0]?.found ?? {})).toEqual([true]))
    await userEvent.click((await inHand().findAllByRole('button', { name: /It was this/ }))[0]!)
    await waitFor(() => expect(Object.values(server.build.setup.troubles!)[0]!.cause).toBeTruthy())
    expect(await inHand().findByText(/: it was /)).toBeTruthy()
  })
})
