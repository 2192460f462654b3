/** What an electronic collar, or whoever handles it, tells of it; `at` in ms since 1970, UTC. */
export type DeviceEvent = { id: string; at: number; collarId: string } & (
  | { event: 'charged'; percent: number }
  | { event: 'covers'; shut: boolean }
  | { event: 'paired'; paired: boolean }
  | { event: 'switched'; on: boolean }
  | { event: 'tried'; level: number }
  | { event: 'contact'; made: boolean | null }
  | { event: 'locked-out'; seconds: number }
);
export const DEVICE_EVENT_NAMES = ['charged', 'covers', 'paired', 'switched', 'tried', 'contact', 'locked-out'] as const;
