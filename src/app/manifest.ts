import type { MetadataRoute } from 'next';
import { BASE_PATH, HOME } from '@/core/schema/basePath';
import { languageTag } from '@/core/units/language';
import { GIVEN_FIELD, GIVEN_PAGE } from '@/features/offline/given';

const icon = (size: number, purpose: 'any' | 'maskable'): NonNullable<MetadataRoute.Manifest['icons']>[number] => ({
  src: `${BASE_PATH}/icons/${purpose}-${size}.png`,
  sizes: `${size}x${size}`,
  type: 'image/png',
  purpose,
});

/** What a system needs to know to install Aetas. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: HOME,
    name: 'Aetas',
    short_name: 'Aetas',
    description: 'Development times, with an honest range, for film and developers that have no published times.',
    lang: languageTag,
    start_url: HOME,
    scope: HOME,
    display: 'standalone',
    background_color: '#e7ede3',
    theme_color: '#e7ede3',
    categories: ['photo', 'utilities'],
    icons: [48, 96, 192, 512].map((size) => icon(size, 'any')).concat([192, 512].map((size) => icon(size, 'maskable'))),
    shortcuts: [
      { name: 'Ask for a time', url: `${BASE_PATH}/ask` },
      { name: 'Rolls', url: `${BASE_PATH}/rolls` },
      { name: 'Log', url: `${BASE_PATH}/log` },
    ],
    // Files of Aetas, opened from the system, and pictures that are shared to it.
    file_handlers: [
      {
        action: `${BASE_PATH}${GIVEN_PAGE}`,
        accept: { 'application/zip': ['.zip'], 'text/csv': ['.csv'], 'application/json': ['.json'] },
      },
    ],
    share_target: {
      action: `${BASE_PATH}${GIVEN_PAGE}`,
      method: 'POST',
      enctype: 'multipart/form-data',
      params: { files: [{ name: GIVEN_FIELD, accept: ['image/*', 'application/zip', 'text/csv', '.zip', '.csv'] }] },
    },
    launch_handler: { client_mode: 'navigate-existing' },
  } as MetadataRoute.Manifest;
}
