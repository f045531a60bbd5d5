'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useState } from 'react';
import { BASE_PATH } from '@/core/schema/basePath';
import { giftToFragment, type Gift } from '@/core/formats/gift';
import { QrCode } from '@/ui/QrCode';
import { GIVEN_PAGE } from './given';

/** The longest side of a code, px. */
const EDGE_PX = 420;

/** The longest address that a camera reads off a screen, letters. Source: our choice; a code holds 2,953 (published: ISO/IEC 18004). */
const MOST_IN_CODE = 2200;

/** Gives something of one's own to somebody: as an address, as a code, or by what the system shares with. */
export function GiveButton({ gift, name, className }: { gift: Gift; name: string; className: string }) {
  const [address, setAddress] = useState<string | null>(null);
  const [copied, setCopied] = useState(false);
  const open = (): void => {
    setCopied(false);
    setAddress(`${location.origin}${BASE_PATH}${GIVEN_PAGE}#${giftToFragment(gift)}`);
  };
  return (
    <>
      <button type="button" className={className} onClick={open}>
        Give<span className="sr-only"> {name}</span>
      </button>
      <Dialog open={address !== null} onClose={() => setAddress(null)} className="relative z-50">
        <div className="fixed inset-0 overflow-y-auto bg-ground/90 p-4">
          <DialogPanel className="mx-auto max-w-[520px] border-2 border-ink bg-sheet p-5">
            <DialogTitle className="text-[22px] font-[650]">Give “{name}”</DialogTitle>
            <p className="mt-1">
              Whoever opens this address sees it first, and keeps it or not. It stands in the address itself: no server
              gets it.
            </p>
            {address !== null && (
              <>
                {address.length > MOST_IN_CODE ? (
                  <p className="mt-3 text-ink2">It is too long for one code: copy the address.</p>
                ) : (
                  <div className="code-paper mx-auto mt-3 w-fit max-w-full">
                    <QrCode text={address} label={`“${name}” as a code to scan`} quiet={4} edgePx={EDGE_PX} />
                  </div>
                )}
                <input
                  readOnly
                  aria-label="Address"
                  className="box mt-3"
                  value={address}
                  onFocus={(event) => event.target.select()}
                />
                <p className="mt-3 flex flex-wrap items-center gap-3">
                  <button
                    type="button"
                    className="act act-primary"
                    onClick={() =>
                      void navigator.clipboard.writeText(address).then(
                        () => setCopied(true),
                        () => undefined,
                      )
                    }
                  >
                    {copied ? 'Copied' : 'Copy the address'}
                  </button>
                  {typeof navigator.share === 'function' && (
                    <button
                      type="button"
                      className="act"
                      onClick={() => void navigator.share({ title: name, url: address }).catch(() => undefined)}
                    >
                      Share it
                    </button>
                  )}
                  <button type="button" className="act-plain" onClick={() => setAddress(null)}>
                    Close
                  </button>
                </p>
              </>
            )}
          </DialogPanel>
        </div>
      </Dialog>
    </>
  );
}
