'use client';

import { useEffect, useRef } from 'react';
import { PATCH, eyePatch, eyeScales, type EyeScaleId } from '@/core/trial/eyePatches';
import { PictureChoice } from '@/features/scene/PictureChoice';

const questions: Record<EyeScaleId, { label: string; hint: string }> = {
  grain: { label: 'How grainy is a plain grey?', hint: 'through the same loupe for every strip' },
  unevenness: { label: 'How even is it?', hint: 'along a plain tone, from the perforation down' },
};

/** What is told by eye in steps, by the patch that looks like it. */
export function EyeChoice({
  scale,
  value,
  onChange,
  error,
}: {
  scale: EyeScaleId;
  value: number | string;
  onChange: (value: number) => void;
  error?: string;
}) {
  return (
    <PictureChoice
      id={`read-${scale}`}
      {...questions[scale]}
      value={typeof value === 'number' ? String(value) : null}
      options={eyeScales[scale].map((name, step) => ({
        value: String(step),
        name,
        picture: <Patch scale={scale} step={step} />,
      }))}
      onChange={(next) => onChange(Number(next))}
      error={error}
    />
  );
}

function Patch({ scale, step }: { scale: EyeScaleId; step: number }) {
  const canvasRef = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvasRef.current?.getContext('2d');
    if (context == null) return;
    const image = context.createImageData(PATCH.width, PATCH.height);
    eyePatch(scale, step).forEach((grey, at) => image.data.set([grey, grey, grey, 255], 4 * at));
    context.putImageData(image, 0, 0);
  }, [scale, step]);
  return (
    <canvas
      ref={canvasRef}
      aria-hidden
      width={PATCH.width}
      height={PATCH.height}
      className="block w-full [image-rendering:pixelated]"
    />
  );
}
