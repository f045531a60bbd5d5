export { GIVEN_FIELD, GIVEN_PAGE } from '@/workers/offline/messages';
