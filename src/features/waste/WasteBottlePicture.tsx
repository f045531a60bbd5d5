/** A canister drawn to its fill: what stands in it is as high as it is full. */
export function WasteBottlePicture({ full, words }: { full: number; words: string }) {
  const top = 22;
  const bottom = 92;
  const level = bottom - (bottom - top) * full;
  return (
    <svg role="img" aria-label={words} width="72" height="96" viewBox="0 0 72 96" className="shrink-0">
      {full > 0 && (
        <>
          <rect x="5" y={level} width="62" height={bottom - level} fill="var(--band)" />
          <path d={`M5 ${level}h62`} stroke="var(--ink)" strokeWidth="1.5" />
        </>
      )}
      <path d="M5 92V26q0-8 8-8h12V8h16v10h18q8 0 8 8v66z" fill="none" stroke="var(--ink)" strokeWidth="1.5" />
      {[0.25, 0.5, 0.75].map((part) => (
        <path key={part} d={`M5 ${bottom - (bottom - top) * part}h7`} stroke="var(--ink)" strokeWidth="1" />
      ))}
    </svg>
  );
}
