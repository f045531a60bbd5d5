import { setDefaultOptions } from 'date-fns';
import { es } from 'date-fns/locale/es';

// Months by their names in the language of the texts; what another language would need is left out of a build.
if (process.env.AETAS_LANGUAGE === 'es') setDefaultOptions({ locale: es });
