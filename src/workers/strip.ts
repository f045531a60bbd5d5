import { proxy, wrap, type Remote } from 'comlink';
import type { FoundRow } from '@/core/densitometry/findRow';
import type { Patch } from '@/core/densitometry/patch';
import type { ChannelId } from '@/core/densitometry/pixelGrid';
import type { PatchSample } from '@/core/densitometry/samplePatch';
import type { Transfer } from '@/core/densitometry/transfer';
import type { SyntheticStrip } from '@/core/devices/syntheticStrip';
import { failure, type Result } from '@/core/schema/result';
import type { StripApi } from './strip.worker';
import type { OpenedPicture } from './stripPicture';

/** The worker could not be loaded, it died, or it was let go. */
const GONE =
  'The picture could not be read: its worker stopped, perhaps for want of memory. Close other pages, or choose a smaller picture.';

/** One picture of a strip behind a worker of its own: letting it go frees its memory at once. Browser only. */
export class StripPicture {
  private readonly worker = new Worker(new URL('./strip.worker.ts', import.meta.url), { type: 'module' });
  private readonly remote: Remote<StripApi> = wrap<StripApi>(this.worker);
  private letGoNow: () => void = () => undefined;
  private readonly gone = new Promise<null>((resolve) => {
    this.letGoNow = () => resolve(null);
    this.worker.addEventListener('error', () => resolve(null));
  });

  async open(file: Blob, onProgress: (doing: string) => void): Promise<Result<OpenedPicture>> {
    const refused = failure({ path: 'picture', message: GONE });
    try {
      return (await Promise.race([this.remote.open(file, proxy(onProgress)), this.gone])) ?? refused;
    } catch {
      return refused;
    }
  }

  /** Samples of patches; nothing where the picture is gone. */
  async sample(patches: readonly Patch[], channel: ChannelId, transfer: Transfer): Promise<(PatchSample | null)[]> {
    const answer = await Promise.race([this.remote.sample([...patches], channel, transfer), this.gone]);
    return answer ?? patches.map(() => null);
  }

  find(transfer: Transfer): Promise<FoundRow | null> {
    return Promise.race([this.remote.find(transfer), this.gone]);
  }

  positive(transfer: Transfer, light: Patch, clear: Patch | null): Promise<Blob | null> {
    return Promise.race([this.remote.positive(transfer, light, clear), this.gone]);
  }

  /** Lets the picture go, also in the middle of its opening. */
  close(): void {
    this.letGoNow();
    this.worker.terminate();
  }
}

/** A picture of a strip that does not exist, as PNG; null where no worker starts. */
export async function makeUpPicture(strip: SyntheticStrip): Promise<Blob | null> {
  const worker = new Worker(new URL('./strip.worker.ts', import.meta.url), { type: 'module' });
  const gone = new Promise<null>((resolve) => worker.addEventListener('error', () => resolve(null)));
  try {
    return await Promise.race([wrap<StripApi>(worker).makeUp(strip), gone]);
  } finally {
    worker.terminate();
  }
}
