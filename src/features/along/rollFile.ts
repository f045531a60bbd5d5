import type { FileReport } from '@/core/formats/benchFile';
import { codesOf } from '@/core/formats/codes';
import type { Roll } from '@/core/records/records';
import type { Result } from '@/core/schema/result';
import { rollAlong } from '@/data/rollAlong';
import { coreWorker } from '@/workers/core';

/** A roll as it goes to another device. */
export interface RollFile {
  label: string;
  file: File;
  /** Texts of the codes that hold it; null where they would be too many. */
  codes: string[] | null;
}

/** Packs a roll with what it needs; null when there is no such roll. */
export async function packRoll(rollId: string): Promise<RollFile | null> {
  const along = await rollAlong(rollId);
  if (along === null) return null;
  const now = new Date();
  const { file } = await coreWorker().writeBenchFile(
    along.source,
    now.toISOString(),
    now.getTime(),
    along.total,
    () => true,
  );
  const name = `aetas-${along.label
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .slice(0, 40)}.zip`;
  return {
    label: along.label,
    file: new File([file], name, { type: 'application/zip' }),
    codes: codesOf(new Uint8Array(await file.arrayBuffer())),
  };
}

/** What lies in a file: its rolls by name, and how many records of each kind. */
export async function lookInto(file: File): Promise<Result<{ labels: string[]; report: FileReport }>> {
  const labels: string[] = [];
  const read = await coreWorker().readBenchFile(
    file,
    (table, rows) => {
      if (table === 'rolls') labels.push(...(rows as Roll[]).map(({ label }) => label));
    },
    Date.now(),
    () => true,
  );
  return read.ok ? { ok: true, value: { labels, report: read.value } } : read;
}
