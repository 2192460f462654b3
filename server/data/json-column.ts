/** What a column or a part of JSON says, whether the driver has read it already or not. */
export const asData = (column: unknown): unknown => (typeof column === 'string' ? JSON.parse(column) : column);
