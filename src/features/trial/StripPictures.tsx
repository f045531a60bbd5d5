import type { Photo, Trial } from '@/core/records/records';
import { useStripPhotos } from '@/data/trials';
import { useObjectUrl } from '@/ui/useObjectUrl';

/** The strips as they were photographed, side by side: one row for what each had, the control first. */
export function StripPictures({ trial }: { trial: Trial }) {
  const photos = useStripPhotos(trial);
  if (photos === undefined || photos.size === 0) return null;
  const order = [trial.control, ...trial.levels.keys()].filter((level, at, all) => all.indexOf(level) === at);
  return (
    <section aria-labelledby="pictures" className="mt-6">
      <h2 id="pictures">Side by side</h2>
      {order.map((level) => {
        const own = trial.strips.filter((strip) => strip.level === level && photos.has(strip.code));
        return own.length === 0 ? null : (
          <div key={level} className="rule-row">
            <p className="text-[14px] text-ink2 wrap-anywhere">{trial.levels[level]}</p>
            <ul className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(150px,1fr))] gap-3">
              {own.map(({ code }) => (
                <li key={code}>
                  <StripPicture code={code} level={trial.levels[level] ?? ''} photo={photos.get(code) as Photo} />
                </li>
              ))}
            </ul>
          </div>
        );
      })}
      <p className="mt-1 max-w-[62ch] text-[13px] text-ink2">
        Cameras set their own level and colour for each picture, so look at them for grain and evenness; densities stand
        in the curves.
      </p>
    </section>
  );
}

function StripPicture({ code, level, photo }: { code: string; level: string; photo: Photo }) {
  const url = useObjectUrl(photo.jpeg);
  return (
    <figure>
      {url !== null && <img src={url} alt={`Strip ${code}, ${level}`} className="h-24 w-full object-cover" />}
      <figcaption className="num text-[14px]">{code}</figcaption>
    </figure>
  );
}
