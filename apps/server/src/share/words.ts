/** Short words of the bench, all different in their first four letters, easy to say and to type with one thumb. */
export const WORDS =
  `alder anvil apron arbor ash auger awl balsa basil beech bevel birch blade block board bolt bore brace brass brick broom brush
burr cabin cedar chalk chip chisel clamp cleat cloth coat coil comb copper cork crate curl dowel drawer drill dust ebony edge elbow elm
felt fence fern ferrule figure file finger fir flame flute foil fork frame fret fuse gauge gear gimlet glove glue gouge grain groove gum
hammer handle hatch hazel hinge holly hook horn inlay iron ivory jack jig joint kerf kettle knife knob knot ladder lamp larch lathe
leather ledge level lilac lime linen lock magnet mallet maple marble mast metal mill mitre mortar nail needle nettle notch nut oak oil
olive paint paper pear pencil pine pivot plane pliers plum pocket poplar`
    .split(/\s+/)
    .slice(0, 128)
