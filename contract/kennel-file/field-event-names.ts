import { NewFieldEvent } from '../records/field-log.ts';

type FieldEventName = NewFieldEvent['event'];
/** What can be told of a session, by name. */
export const FIELD_EVENT_NAMES = NewFieldEvent.options.map((option) => (option as { shape: { event: { value: FieldEventName } } }).shape.event.value) as [
  FieldEventName,
  ...FieldEventName[],
];
