/** Things on a dark bench, each as a few strokes on a square of 100. By the first word that fits its name. */
const strokes: readonly (readonly [word: string, path: string])[] = [
  ['cassette', 'M30 25H70V80H30Z M38 15H62V25H38Z M70 40H92'],
  ['cartridge', 'M12 40A16 16 0 0 1 44 40H58A16 16 0 0 1 90 40V72H58V60H44V72H12Z'],
  ['opener', 'M20 78 60 38 M60 38A14 14 0 1 1 78 56'],
  ['scissors', 'M20 20 62 66 M80 20 38 66 M62 66A12 12 0 1 0 80 80 M38 66A12 12 0 1 1 20 80'],
  ['pliers', 'M35 15 50 45 65 15 M50 45 28 88 M50 45 72 88'],
  ['sheets', 'M18 30H70V86H18Z M26 22H78V78 M34 14H86V70'],
  ['holders', 'M15 20H85V82H15Z M25 20V82 M45 20V82 M65 20V82'],
  ['bag', 'M25 30Q50 14 75 30L82 85H18Z M38 26Q50 40 62 26'],
  ['can', 'M15 60A35 12 0 0 0 85 60V45A35 12 0 0 0 15 45V60 M15 45A35 12 0 0 0 85 45'],
  ['ruler', 'M8 42H92V60H8Z M20 42V50 M32 42V50 M44 42V50 M56 42V50 M68 42V50 M80 42V50'],
  [
    'reel',
    'M50 50m-34 0a34 34 0 1 0 68 0a34 34 0 1 0-68 0 M50 50m-24 0a24 24 0 1 0 48 0a24 24 0 1 0-48 0 M50 50m-12 0a12 12 0 1 0 24 0a12 12 0 1 0-24 0 M80 34 94 26',
  ],
  ['spiral', 'M50 50A6 6 0 0 1 62 50 16 16 0 0 1 30 50 24 24 0 0 1 78 50 32 32 0 0 1 14 50 36 36 0 0 1 88 44'],
  ['column', 'M42 12H58V88H42Z M30 88H70'],
  ['tank', 'M24 30V82A26 8 0 0 0 76 82V30 M24 30A26 8 0 0 0 76 30A26 8 0 0 0 24 30'],
  ['lid', 'M16 62V50A34 10 0 0 1 84 50V62A34 10 0 0 1 16 62Z M40 42V30H60V42'],
  ['trays', 'M8 40H44L40 70H12Z M54 40H92L88 70H58Z'],
  ['tray', 'M12 40H88L80 72H20Z'],
  ['pegs', 'M35 15V85 M45 15V85 M35 45H45 M60 15V85 M70 15V85 M60 45H70'],
  ['clock', 'M50 50m-32 0a32 32 0 1 0 64 0a32 32 0 1 0-64 0 M50 30V50L64 60'],
  ['roll', 'M34 20H66V80H34Z M26 14H74V20H26Z M26 80H74V86H26Z'],
];

function strokesOf(name: string): string {
  const lower = name.toLowerCase();
  return strokes.find(([word]) => lower.includes(word))?.[1] ?? 'M20 20H80V80H20Z';
}

/** What lies in reach, drawn as it lies: from left to right along the edge of the bench. */
export function BenchDrawing({ things }: { things: readonly string[] }) {
  return (
    <ol className="mt-2 flex flex-wrap border-b-2 border-ink" aria-label="In reach, from left to right">
      {things.map((thing, index) => (
        <li key={thing} className="flex w-[104px] flex-col items-center pb-2 text-center text-[13px] leading-tight">
          <svg aria-hidden viewBox="0 0 100 100" className="size-16 fill-none stroke-current" strokeWidth="4">
            <path d={strokesOf(thing)} strokeLinejoin="round" strokeLinecap="round" />
          </svg>
          <span>
            <span className="num me-1 text-ink2">{index + 1}</span>
            {thing}
          </span>
        </li>
      ))}
    </ol>
  );
}
