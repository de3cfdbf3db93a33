/** Hatch patterns used by the roles; one copy a page. */
export function Hatches() {
  return (
    <svg width="0" height="0" aria-hidden="true" style={{ position: 'absolute' }}>
      <defs>
        <pattern id="hatch-remove" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="5" height="5" fill="var(--sheet)" fillOpacity="0.35" />
          <line x1="0" y1="0" x2="0" y2="5" stroke="var(--wont)" strokeWidth="2" />
        </pattern>
        <pattern id="hatch-doubt" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <rect width="6" height="6" fill="var(--violet-wash)" fillOpacity="0.7" />
          <line x1="0" y1="0" x2="0" y2="6" stroke="var(--violet)" strokeWidth="1" strokeOpacity="0.55" />
        </pattern>
      </defs>
    </svg>
  )
}
