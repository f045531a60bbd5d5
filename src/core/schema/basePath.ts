/**
 * Under which path Aetas is served, such as `/aetas` behind a server that serves other things as well; empty as a rule. The build
 * puts it in; links of the framework have it by themselves.
 */
export const BASE_PATH: string = process.env.AETAS_BASE_PATH ?? '';

/** Address of the bench, and of all that belongs to Aetas: without a slash at its end, as the framework serves it. */
export const HOME: string = BASE_PATH === '' ? '/' : BASE_PATH;
