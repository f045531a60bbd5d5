/** Where the page offers the authority's certificate. */
export const CERTIFICATE_PATH = '/aetas-authority.crt';

/** How a system comes to trust an authority, by what its menus say. Source: common practice of the systems; menus change. */
const systems = [
  [
    'A phone or tablet that speaks of profiles',
    [
      'Open the certificate here in the browser that came with it, and allow the download.',
      'Settings: “Profile downloaded”, install it.',
      'Settings, General, About, Certificate Trust Settings: switch it on.',
    ],
  ],
  [
    'A phone with “Encryption and credentials” in its settings',
    [
      'Download the certificate.',
      'Settings, Security, Encryption and credentials, Install a certificate, CA certificate. The system warns; it is right to.',
      'Choose the downloaded file.',
    ],
  ],
  [
    'A desktop that offers “Install Certificate”',
    [
      'Open the certificate, Install Certificate, Current User.',
      '“Place all certificates in the following store”: Trusted Root Certification Authorities.',
    ],
  ],
  [
    'A desktop with a keychain',
    ['Open the certificate; it goes into the login keychain.', 'Open it there; under Trust choose Always Trust.'],
  ],
  [
    'Any other: in the browser itself',
    ['Browser settings, Certificates, Authorities, Import; allow it to identify websites.'],
  ],
];

const escaped = (text) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('"', '&quot;');

/** The page on which a phone learns to trust this machine. */
export function trustPage(addresses, fingerprint) {
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Aetas on this phone</title>
<style>body{font:17px/1.5 system-ui,sans-serif;background:#e7ede3;color:#13201b;max-width:40rem;margin:0 auto;padding:1.25rem}h1{font-size:1.7rem;line-height:1.2}h2{font-size:1.1rem;margin-top:1.6rem}a.act{display:inline-block;background:#13201b;color:#e7ede3;padding:.8rem 1.1rem;text-decoration:none}code{font-size:.85rem;word-break:break-all}li{margin:.3rem 0}details{border-top:1px solid #13201b;padding:.6rem 0}summary{min-height:2rem;font-weight:600}</style></head><body>
<h1>Aetas on this phone</h1>
<p>This phone must trust the machine that serves Aetas, once. Without that the pages open after a warning, and three things do not work: installing it, opening it without the network, and keeping the screen awake at the tank.</p>
<h2>1. Compare</h2>
<p>These must be the same as on the machine’s screen. If they are not, stop here.</p><p><code>${escaped(fingerprint)}</code></p>
<h2>2. Trust</h2>
<p><a class="act" href="${CERTIFICATE_PATH}">The certificate</a></p>
${systems.map(([name, steps]) => `<details><summary>${name}</summary><ol>${steps.map((step) => `<li>${step}</li>`).join('')}</ol></details>`).join('\n')}
<p>Whoever has the key of that certificate could pass for any website to this phone. The key lies on the machine, in a folder of its owner’s. Take the certificate out again when you do not need it any more.</p>
<h2>3. Open</h2>
${addresses.map((address) => `<p><a href="${escaped(address)}">${escaped(address)}</a></p>`).join('\n')}
<p>Then add it to the home screen. What you write there stays in this phone; the machine only gives the pages.</p>
</body></html>`;
}
