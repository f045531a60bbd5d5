/** Four short strips side by side, the last of them clear: the control. */
export function StripsPicture() {
  return (
    <svg width="220" height="110" viewBox="0 0 220 110" fill="none" stroke="currentColor" strokeWidth="1.5">
      {[0.85, 0.55, 0.7, 0].map((dark, strip) => (
        <g key={strip} transform={`translate(${8 + strip * 54} 6)`}>
          <rect x="0" y="0" width="38" height="98" />
          {[0, 1, 2, 3].map((step) => (
            <rect
              key={step}
              x="7"
              y={7 + step * 22}
              width="24"
              height="18"
              fill="currentColor"
              fillOpacity={dark * (0.25 + 0.25 * step)}
              strokeWidth="0.75"
            />
          ))}
        </g>
      ))}
    </svg>
  );
}
