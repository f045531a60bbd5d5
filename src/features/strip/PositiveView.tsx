'use client';

import { useState } from 'react';
import type { Transfer } from '@/core/densitometry/transfer';
import type { StripForm } from '@/core/evidence/stripForm';
import { download } from '@/ui/download';
import { useObjectUrl } from '@/ui/useObjectUrl';
import type { StripShot } from './useStripPictures';

/** The strip as a positive: base, fog and mask taken down, its range spread from black to white. */
export function PositiveView({ shot, form, transfer }: { shot: StripShot; form: StripForm; transfer: Transfer }) {
  const [positive, setPositive] = useState<Blob | null>(null);
  const [fault, setFault] = useState(false);
  const make = async (): Promise<void> => {
    const [light] = form.light;
    const made = await shot.picture.positive(transfer, light ?? null, form.clear);
    setPositive(made);
    setFault(made === null);
  };
  return (
    <>
      <button type="button" className="act-plain" onClick={() => (positive === null ? void make() : setPositive(null))}>
        {positive === null ? 'Show it as a positive' : 'Hide the positive'}
      </button>
      {fault && (
        <span role="alert" className="text-danger">
          No film was found beside the light: check the light mark.
        </span>
      )}
      {positive !== null && (
        <div className="w-full">
          <Picture blob={positive} />
          <button
            type="button"
            className="act-plain mt-1"
            onClick={() => download(positive, `${shot.name}-positive.png`)}
          >
            Save the positive
          </button>
        </div>
      )}
    </>
  );
}

function Picture({ blob }: { blob: Blob }) {
  const url = useObjectUrl(blob);
  return url === null ? null : (
    <img src={url} alt="The strip as a positive" className="mt-2 w-full border border-edge" />
  );
}
