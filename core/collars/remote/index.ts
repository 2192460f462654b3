export { REMOTE_TRAITS } from './remote-traits.ts';
