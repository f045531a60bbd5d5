'use client';

import { useState, type ReactNode } from 'react';
import { ChevronRight } from 'lucide-react';
import { classes } from './classes';
import { stale } from './stale';

export interface LedgerLine {
  id: string;
  label: string;
  note: string;
  /** Factor, as written; empty for the first row. */
  ratio: string;
  /** Running time, as written. */
  time: string;
  /** Share of the doubt, 0 to 1. */
  share: number;
  /** What shows when the row is opened; null for a row that has nothing to say yet. */
  detail: ReactNode;
  /** Id of the field that moves this row; none for a row that follows from the roll. */
  leadsTo?: string;
}

interface LedgerProps {
  lines: readonly LedgerLine[];
  total: { label: string; ratio: string; time: string };
  /** A choice of the user’s own, which goes before the total. */
  own?: { label: string; ratio: string; time: string } | null;
  /** The figures are from before: they stand in grey. */
  stale?: boolean;
}

/** Reasons in order, adding up like a till receipt. */
export function Ledger({ lines, total, own = null, stale: isStale = false }: LedgerProps) {
  const [open, setOpen] = useState<string | null>(null);
  const figure = (className: string) => stale(isStale, className);
  return (
    <table className="w-full table-fixed border-collapse">
      <caption className="sr-only">Ledger of the development time</caption>
      <thead>
        <tr className="text-start text-[13px] text-ink2">
          <th scope="col" className="py-1 font-normal">
            Reason
          </th>
          <th scope="col" className="w-[50px] py-1 text-end font-normal sm:w-[56px]">
            Ratio
          </th>
          <th scope="col" className="w-[60px] py-1 text-end font-normal sm:w-[64px]">
            Time
          </th>
          <th scope="col" className="w-[52px] py-1 ps-3 font-normal sm:w-[76px]">
            Doubt
          </th>
        </tr>
      </thead>
      <tbody>
        {lines.map((line) => (
          <Line key={line.id} line={line} isOpen={open === line.id} isStale={isStale} onOpen={setOpen} />
        ))}
      </tbody>
      <tfoot>
        <tr className="border-t-2 border-ink align-baseline font-[650]">
          <th scope="row" className="py-2 text-start">
            {total.label}
          </th>
          <td {...figure('num py-2 text-end whitespace-nowrap')}>{total.ratio}</td>
          <td {...figure('py-2 ps-1.5 text-end')}>{total.time}</td>
          <td className="py-2 ps-3 text-[13px] leading-tight font-normal text-ink2 ">share of the doubt</td>
        </tr>
        {own !== null && (
          <tr className="border-t border-hair align-baseline font-[650]" data-testid="own-row">
            <th scope="row" className="py-2 text-start">
              {own.label}
            </th>
            <td {...figure('num py-2 text-end whitespace-nowrap')}>{own.ratio}</td>
            <td {...figure('py-2 ps-1.5 text-end')}>{own.time}</td>
            <td />
          </tr>
        )}
      </tfoot>
    </table>
  );
}

interface LineProps {
  line: LedgerLine;
  isOpen: boolean;
  isStale: boolean;
  /** Opens a row, or closes the one that is open. */
  onOpen: (id: string | null) => void;
}

/** A reason with its figures. Of a line that changes only what changed is drawn anew. */
function Line({ line, isOpen, isStale, onOpen }: LineProps) {
  const { id, label, note, ratio, time, share, detail, leadsTo } = line;
  return (
    <>
      <tr className="border-t border-hair align-baseline">
        <td className="py-1 pe-2">
          {detail === null ? (
            <span className="ps-[21px] text-ink2">{label}</span>
          ) : (
            <button
              type="button"
              aria-expanded={isOpen}
              className="group flex min-h-8 gap-1.5 text-start"
              onClick={() => onOpen(isOpen ? null : id)}
            >
              <ChevronRight
                aria-hidden
                size={15}
                className={classes('mt-1 shrink-0 text-ink2', isOpen && 'rotate-90')}
              />
              <span>
                <span className="group-hover:underline">{label}</span>
                {note !== '' && <span className="block text-[13px] leading-tight text-ink2">{note}</span>}
              </span>
            </button>
          )}
        </td>
        <td {...stale(isStale, 'num py-1 text-end whitespace-nowrap')}>{ratio}</td>
        <td {...stale(isStale, 'py-1 ps-1.5 text-end')}>{time}</td>
        <td {...stale(isStale, 'py-1 ps-3 ')}>
          <span
            role="img"
            aria-label={`${Math.round(share * 100)} % of the doubt`}
            className="relative block h-[7px] bg-hair"
          >
            <span className="absolute inset-0 origin-left bg-ink2" style={{ transform: `scaleX(${share})` }} />
          </span>
        </td>
      </tr>
      {isOpen && (
        <tr>
          <td colSpan={4} className="pb-3 ps-[21px] text-[14px]">
            {detail}
            {leadsTo !== undefined && (
              <button
                type="button"
                className="act-plain mt-1"
                onClick={() => document.getElementById(leadsTo)?.focus()}
              >
                Change it
              </button>
            )}
          </td>
        </tr>
      )}
    </>
  );
}
