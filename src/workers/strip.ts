import { proxy, wrap, type Remote } from 'comlink';
import type { FoundRow } from '@/core/densitometry/findRow';
import type { Patch } from '@/core/densitometry/patch';
import type { ChannelId } from '@/core/densitometry/pixelGrid';
import type { PatchSample } from '@/core/densitometry/samplePatch';
import type { CalibrationAnswer } from '@/core/densitometry/calibrateCamera';
import type { PictureSamples } from '@/core/densitometry/readStrip';
import type { WholeAnswer } from '@/core/densitometry/readStripWhole';
import type { CameraBelief } from '@/core/densitometry/cameraUnknowns';
import type { KnownDensity } from '@/core/densitometry/pictureRead';
import type { PictureSurvey } from '@/core/densitometry/surveyPicture';
import type { Transfer } from '@/core/densitometry/transfer';
import type { ExposurePlan, ReadDensities, StripReading } from '@/core/evidence/stripReading';
import type { SyntheticStrip } from '@/core/kit/syntheticStrip';
import { failure, type Result } from '@/core/schema/result';
import type { StripApi } from './strip.worker';
import type { OpenedPicture } from './stripPicture';
import { WorkerGone, WorkerLife } from './workerLife';

/** The worker could not be loaded, it died, or it was let go. */
const GONE =
  'The picture could not be read: its worker stopped, perhaps for want of memory. Close other pages, or choose a smaller picture.';

/** One picture of a strip behind a worker of its own: letting it go frees its memory at once. Browser only. */
export class StripPicture {
  private readonly worker = new Worker(new URL('./strip.worker.ts', import.meta.url), { type: 'module' });
  private readonly remote: Remote<StripApi> = wrap<StripApi>(this.worker);
  private readonly life = new WorkerLife();

  constructor() {
    this.worker.addEventListener('error', () => this.life.end());
  }

  async open(file: Blob, onProgress: (doing: string) => void): Promise<Result<OpenedPicture>> {
    const refused = failure({ path: 'picture', message: GONE });
    try {
      return await this.life.race<Result<OpenedPicture>>(this.remote.open(file, proxy(onProgress)));
    } catch {
      return refused;
    }
  }

  /** Samples of patches; nothing where the picture is gone. */
  async sample(patches: readonly Patch[], channel: ChannelId, transfer: Transfer): Promise<(PatchSample | null)[]> {
    const answer = await this.orNull(this.remote.sample([...patches], channel, transfer));
    return answer ?? patches.map(() => null);
  }

  survey(channel: ChannelId, transfer: Transfer): Promise<PictureSurvey | null> {
    return this.orNull(this.remote.survey(channel, transfer));
  }

  /** What lies around marks that were sampled. */
  surroundings(
    samples: Pick<PictureSamples, 'light' | 'film'>,
    clear: boolean,
    channel: ChannelId,
    transfer: Transfer,
  ): Promise<Pick<PictureSamples, 'lnAround' | 'base'> | null> {
    return this.orNull(this.remote.surroundings(samples, clear, channel, transfer));
  }

  /** Densities of a strip by its pictures, of which this is one: the fit runs beside the page. */
  read(pictures: readonly PictureSamples[], camera: CameraBelief): Promise<WholeAnswer | null> {
    return this.orNull<WholeAnswer>(this.remote.read([...pictures], camera));
  }

  /** What its densities say with its exposures. */
  reading(densities: ReadDensities, plan: ExposurePlan): Promise<StripReading | null> {
    return this.orNull<StripReading>(this.remote.reading(densities, plan));
  }

  /** A camera by a strip of known densities. */
  calibrate(
    pictures: readonly PictureSamples[],
    known: readonly KnownDensity[],
    transfer: Transfer,
  ): Promise<CalibrationAnswer | null> {
    return this.orNull<CalibrationAnswer>(this.remote.calibrate([...pictures], [...known], transfer));
  }

  find(transfer: Transfer): Promise<FoundRow | null> {
    return this.orNull(this.remote.find(transfer));
  }

  positive(transfer: Transfer, light: Patch | null, clear: Patch | null): Promise<Blob | null> {
    return this.orNull(this.remote.positive(transfer, light, clear));
  }

  /** Lets the picture go, also in the middle of its opening. */
  close(): void {
    this.life.end();
    this.worker.terminate();
  }

  /** An answer; null where the picture is gone. */
  private async orNull<T>(answer: Promise<T>): Promise<T | null> {
    try {
      return await this.life.race(answer);
    } catch (error) {
      if (error instanceof WorkerGone) return null;
      throw error;
    }
  }
}

/** A picture of a strip that does not exist, as PNG; null where no worker starts. */
export async function makeUpPicture(strip: SyntheticStrip): Promise<Blob | null> {
  const worker = new Worker(new URL('./strip.worker.ts', import.meta.url), { type: 'module' });
  const life = new WorkerLife();
  worker.addEventListener('error', () => life.end());
  try {
    return await life.race(wrap<StripApi>(worker).makeUp(strip));
  } catch (error) {
    if (error instanceof WorkerGone) return null;
    throw error;
  } finally {
    worker.terminate();
  }
}
