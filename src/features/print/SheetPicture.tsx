/** A sheet under the enlarger's cone of light, a test strip on it in five steps. */
export function SheetPicture() {
  return (
    <svg width="200" height="130" viewBox="0 0 200 130" fill="none" stroke="currentColor" strokeWidth="1.5">
      <path d="M84 6h32v16l-8 8H92l-8-8z" />
      <path d="M92 30L38 104M108 30l54 74" strokeDasharray="3 4" strokeWidth="1" />
      <path d="M20 104h160v18H20z" />
      {[0, 1, 2, 3, 4].map((patch) => (
        <rect
          key={patch}
          x={45 + patch * 22}
          y="107"
          width="22"
          height="12"
          fill="currentColor"
          fillOpacity={0.1 + 0.2 * patch}
          strokeWidth="0.75"
        />
      ))}
    </svg>
  );
}
