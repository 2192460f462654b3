/** Version of the computing core, kept with every verdict it gives; equal to `version` in core/package.json. */
export const CORE_VERSION = '0.4.0';
