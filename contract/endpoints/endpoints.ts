import { DOORWAY_ENDPOINTS } from './doorway-endpoints.ts';
import type { Endpoint } from './endpoint.ts';
import { RECORD_ENDPOINTS } from './record-endpoints.ts';
import { SCREEN_ENDPOINTS } from './screen-endpoints.ts';

/** Every address of the interface. The OpenAPI document is made from this table, and a test holds the server to it. */
export const ENDPOINTS: readonly Endpoint[] = [...DOORWAY_ENDPOINTS, ...SCREEN_ENDPOINTS, ...RECORD_ENDPOINTS];
