import { stripsOf, wordsOf, type Archive } from '@/core/archive/archive';
import type { Photo } from '@/core/records/records';
import { classes } from '@/ui/classes';
import { useObjectUrl } from '@/ui/useObjectUrl';

interface SleeveProps {
  archive: Pick<Archive, 'frames' | 'perStrip' | 'words'>;
  /** The frame whose words are being written; null for none. */
  chosen: number | null;
  /** Chooses a frame; left out where the page is only looked at. */
  onChoose?: (frame: number) => void;
  /** Pictures by their frame. */
  pictures?: ReadonlyMap<number, Photo>;
}

/** A sleeve page as it lies in the binder: strips, one under the other, with the numbers of their frames. */
export function Sleeve({ archive, chosen, onChoose, pictures }: SleeveProps) {
  return (
    <ol aria-label="Strips" className="space-y-1.5">
      {stripsOf(archive.frames, archive.perStrip).map((strip) => (
        <li key={strip[0]} className="grid gap-x-1" style={{ gridTemplateColumns: `repeat(${archive.perStrip}, 1fr)` }}>
          {strip.map((frame) => {
            const words = wordsOf(archive, frame);
            const look = classes(
              'flex min-h-11 min-w-0 flex-col items-start overflow-hidden border px-1 py-0.5 text-start',
              frame === chosen ? 'border-ink bg-sheet' : 'border-edge',
            );
            const inside = (
              <>
                <span className="num text-[13px] leading-tight">
                  <span className="sr-only">Frame </span>
                  {frame}
                </span>
                <FrameThumb photo={pictures?.get(frame)} />
                <span className="w-full truncate text-[12px] leading-tight text-ink2">{words}</span>
              </>
            );
            return onChoose === undefined ? (
              <span key={frame} className={look}>
                {inside}
              </span>
            ) : (
              <button
                key={frame}
                type="button"
                className={look}
                aria-pressed={frame === chosen}
                onClick={() => onChoose(frame)}
              >
                {inside}
              </button>
            );
          })}
        </li>
      ))}
    </ol>
  );
}

/** The picture of a frame, small; nothing where there is none. */
function FrameThumb({ photo }: { photo: Photo | undefined }) {
  return photo === undefined ? null : <Thumb photo={photo} />;
}

function Thumb({ photo }: { photo: Photo }) {
  const url = useObjectUrl(photo.jpeg);
  // Kept in the browser's own records: there is nothing for an image server to do.
  return <img src={url ?? undefined} alt="" decoding="async" className="my-0.5 aspect-[3/2] w-full object-cover" />;
}
