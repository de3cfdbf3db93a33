import type { Stroke, Template } from '@snug/core'
import { Colors, DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf'

const COLOUR: Record<Stroke, number> = { cut: Colors.Red, shown: Colors.Blue, centre: Colors.Green, mark: Colors.White }

/** A template as DXF in millimetres, a layer a kind of line; the drawing's y grows upwards, as such files have it. */
export function templateDxf(template: Template): string {
  const dxf = new DxfWriter()
  dxf.setUnits(Units.Millimeters)
  for (const [layer, colour] of Object.entries(COLOUR)) dxf.addLayer(layer, colour, 'Continuous')
  dxf.addLayer('words', Colors.White, 'Continuous')
  for (const s of template.shapes) {
    if (s.shape === 'text') dxf.addText(point3d(s.at.x, -s.at.y), 3, s.text, { layerName: 'words' })
    else if (s.shape === 'circle') dxf.addCircle(point3d(s.at.x, -s.at.y), s.r, { layerName: s.stroke })
    else
      dxf.addLWPolyline(
        s.points.map((p) => ({ point: point2d(p.x, -p.y) })),
        { layerName: s.stroke, ...(s.closed ? { flags: LWPolylineFlags.Closed } : {}) },
      )
  }
  return dxf.stringify()
}
