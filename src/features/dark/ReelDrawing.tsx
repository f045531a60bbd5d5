import type { TankKind } from '@/core/films/lightsOut';

/** The reel from the side of the fingers: where the film goes in, and which way. */
export function ReelDrawing({ tank }: { tank: TankKind }) {
  const adjustable = tank === 'adjustable';
  return (
    <figure className="mt-4 flex flex-wrap items-center gap-x-6 gap-y-2">
      <svg aria-hidden viewBox="0 0 220 150" className="h-[150px] w-[220px] fill-none stroke-current" strokeWidth="2.5">
        <circle cx="76" cy="78" r="62" />
        <circle cx="76" cy="78" r="12" />
        {adjustable ? (
          <>
            <path
              d="M76 78m-48 0a48 48 0 1 0 96 0a48 48 0 1 0-96 0 M76 78m-34 0a34 34 0 1 0 68 0a34 34 0 1 0-68 0"
              strokeWidth="1.2"
            />
            <path d="M112 28 128 18 M120 40 138 32" strokeWidth="5" />
            <path d="M214 6 128 34 84 46" strokeWidth="4" />
            <path d="M160 10 148 24 166 28" />
          </>
        ) : (
          <>
            <path
              d="M76 78A10 10 0 0 1 96 78 22 22 0 0 1 52 78 32 32 0 0 1 116 78 42 42 0 0 1 32 78 50 50 0 0 1 132 78"
              strokeWidth="1.2"
            />
            <path d="M70 62H82V70H70Z" strokeWidth="4" />
            <path d="M214 118Q140 140 84 72" strokeWidth="4" />
            <path d="M190 112 176 126 194 132" />
          </>
        )}
      </svg>
      <figcaption className="max-w-[40ch] text-[15px]">
        {adjustable
          ? 'The entry is the pair of lips on the rim. Both thumbs find them; the film slides in under both, emulsion towards the core, and the halves turn it on to and fro.'
          : 'The clip is on the core. The end goes under it, in the middle; the reel turns on the bench and draws the film in from the core outwards.'}
      </figcaption>
    </figure>
  );
}
