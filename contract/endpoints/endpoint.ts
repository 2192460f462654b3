import type { ADDRESSED_KINDS } from '../records/addressed-kinds.ts';
import type { z } from '../plain-words.ts';

/** One address of the interface: what it takes and answers. `versioned` ones take If-Match and may answer 409. */
export type Endpoint = {
  method: 'get' | 'put' | 'post';
  path: string;
  summary: string;
  signIn: boolean;
  versioned?: boolean;
  request?: z.ZodType;
  /** What stands behind the question mark of a get. */
  asks?: z.ZodObject;
  /** What else than JSON it takes: an image, or lines of JSON; and what else it answers. */
  takes?: 'image' | 'lines' | 'file';
  gives?: 'image' | 'calendar' | 'pdf' | 'csv' | 'lines';
  answer: z.ZodType | null;
};

/** The two addresses of a record: it is read, and kept or changed. */
export const record = ({ path, noun, sent, answer, versioned }: (typeof ADDRESSED_KINDS)[number]): Endpoint[] => [
  { method: 'get', path: `/api/${path}/{id}`, summary: `One ${noun}.`, signIn: true, answer },
  {
    method: 'put',
    path: `/api/${path}/{id}`,
    summary: versioned
      ? `Creates a ${noun}, or changes it when If-Match names its version. The same request again is the same request.`
      : `Keeps a ${noun}, once; the same request again is the same request. It is never changed.`,
    signIn: true,
    versioned,
    request: sent,
    answer,
  },
];
