export { CONTACT_REASON_WORDS, CONTACT_VERDICTS, contactPosts, type ContactReason, type ContactVerdict } from './contact-posts.ts';
export {
  ELECTRONIC_REASON_WORDS,
  electronicSizer,
  RECEIVER_STRAP_MM,
  RECEIVER_WIDTH_MM,
  STIMULATION_MODES,
  type ElectronicNumbers,
  type ElectronicOptions,
  type ElectronicReason,
  type StimulationMode,
} from './fit-electronic.ts';
export { electronicCheck, FENCE_PUT_ON, REMOTE_PUT_ON } from './check-electronic.ts';
export { INSPECT_ELECTRONIC } from './inspect-electronic.ts';
