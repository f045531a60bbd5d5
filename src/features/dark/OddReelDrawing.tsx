/** Width of the usual wide reel, mm: what the spacer is measured against. */
const USUAL_MM = 61.5;
/** Pixels of the drawing for a millimetre. */
const SCALE = 1.5;

/** A reel for a width that no usual one has, from its side and to scale: two halves, and what stands between them. */
export function OddReelDrawing({ widthMm }: { widthMm: number }) {
  const width = Math.round(widthMm);
  const [left, right] = [40, 40 + widthMm * SCALE];
  const wider = widthMm > USUAL_MM;
  return (
    <figure className="mt-4 flex flex-wrap items-center gap-x-6 gap-y-2">
      <svg aria-hidden viewBox="0 0 240 170" className="h-[170px] w-[240px] fill-none stroke-current" strokeWidth="2.5">
        {/* The halves, seen on their edge, and the column through both. */}
        <rect x={left - 8} y="20" width="8" height="96" />
        <rect x={right} y="20" width="8" height="96" />
        <path
          d={`M${left - 26} 60H${left - 8} M${left - 26} 76H${left - 8} M${right + 8} 60H${right + 26} M${right + 8} 76H${right + 26}`}
        />
        <rect x={left} y="60" width={right - left} height="16" />
        {/* The spacer that makes up the difference. */}
        {wider && (
          <rect
            x={left}
            y="54"
            width={(widthMm - USUAL_MM) * SCALE}
            height="28"
            className="fill-current"
            stroke="none"
          />
        )}
        {/* Turns of film between the grooves. */}
        <path
          d={`M${left} 30H${right} M${left} 40H${right} M${left} 98H${right} M${left} 108H${right}`}
          strokeWidth="1.2"
        />
        <path d={`M${left} 128V146 M${right} 128V146 M${left} 138H${right}`} strokeWidth="1.2" />
        <text x={(left + right) / 2} y="162" textAnchor="middle" className="fill-current text-[15px]" stroke="none">
          {width} mm
        </text>
      </svg>
      <figcaption className="max-w-[44ch] text-[15px]">
        {wider
          ? `The halves of an adjustable reel on a longer column, kept apart by a ring: ${width} mm from groove to groove. Or an old reel made for this width. Try it in the tank with water first: the lid must close, and the liquid must cover it.`
          : `${width} mm from groove to groove: an old reel made for this width, or an adjustable one whose halves go that near. Try it with spare film in the light first.`}
      </figcaption>
    </figure>
  );
}

/** See-sawing from the side: a tray, the film as a bow through it, a hand at each end. */
export function SeeSawDrawing() {
  return (
    <figure className="mt-4 flex flex-wrap items-center gap-x-6 gap-y-2">
      <svg aria-hidden viewBox="0 0 240 170" className="h-[170px] w-[240px] fill-none stroke-current" strokeWidth="2.5">
        <path d="M30 104 46 158H194L210 104" />
        <path d="M38 128H202" strokeWidth="1.2" strokeDasharray="6 5" />
        <path d="M62 26C66 190 174 190 178 66" strokeWidth="4" />
        <path d="M52 16H72V36H52Z M168 56H188V76H168Z" className="fill-current" />
        <path d="M30 60V22 M22 32 30 20 38 32 M210 44V82 M202 72 210 84 218 72" />
      </svg>
      <figcaption className="max-w-[44ch] text-[15px]">
        Emulsion down, a peg at each end. One hand goes up as the other goes down, so that all of the film passes
        through the tray. Move all the time; the next tray stands beside it.
      </figcaption>
    </figure>
  );
}
