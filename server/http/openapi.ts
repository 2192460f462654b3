import { ENDPOINTS, Problem, PROBLEMS, z, type Endpoint } from '@banter/contract';

const schemaOf = (schema: z.ZodType, io: 'input' | 'output') => {
  const { $schema: _dialect, ...json } = z.toJSONSchema(schema, { target: 'draft-2020-12', io, unrepresentable: 'any', reused: 'inline' });
  return json;
};

const problemContent = { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } };

const bodyType = ({ takes }: Endpoint) => (takes === 'image' ? 'image/*' : takes === 'lines' ? 'application/x-ndjson' : 'application/json');

function failuresOf(endpoint: Endpoint): string[] {
  return [
    ...(endpoint.request ? ['400', '413', '422'] : endpoint.asks ? ['422'] : []),
    ...(endpoint.path === '/api/happenings' ? ['409'] : []),
    ...(endpoint.signIn ? ['401', '404'] : []),
    ...(endpoint.method === 'put' && endpoint.takes === undefined ? ['409'] : []),
    ...(endpoint.takes === 'image' ? ['415'] : []),
    '429',
    '503',
  ];
}

function operationOf(endpoint: Endpoint): object {
  const parameters = [
    ...(endpoint.path.includes('{id}')
      ? [
          {
            name: 'id',
            in: 'path',
            required: true,
            description: 'UUID of version 7, made by whoever creates the record.',
            schema: { type: 'string', format: 'uuid' },
          },
        ]
      : []),
    ...[...endpoint.path.matchAll(/\{(?!id\})(\w+)\}/g)].map(([, name]) => ({ name: name!, in: 'path', required: true, schema: { type: 'string' } })),
    ...Object.entries(endpoint.asks?.shape ?? {}).map(([name, schema]) => ({
      name,
      in: 'query',
      required: !(schema as z.ZodType).safeParse(undefined).success,
      schema: schemaOf(schema as z.ZodType, 'output'),
    })),
    ...(endpoint.versioned
      ? [
          {
            name: 'If-Match',
            in: 'header',
            required: false,
            description: 'The version that is to be changed, such as "3". Left out, the record is created.',
            schema: { type: 'string' },
          },
        ]
      : []),
  ];
  const titles = (status: string) =>
    Object.values(PROBLEMS)
      .filter((problem) => String(problem.status) === status)
      .map((problem) => problem.title)
      .join(' Or: ');
  return {
    operationId: `${endpoint.method}${endpoint.path
      .replace(/^\/api/, '')
      .replace(/[/{}-]+(\w)/g, (_all, letter: string) => letter.toUpperCase())
      .replace(/[{}]/g, '')}`,
    summary: endpoint.summary,
    ...(parameters.length > 0 ? { parameters } : {}),
    ...(endpoint.request ? { requestBody: { required: true, content: { [bodyType(endpoint)]: { schema: schemaOf(endpoint.request, 'input') } } } } : {}),
    responses: {
      ...(endpoint.answer
        ? {
            '200': {
              description: 'Done.',
              content: {
                [endpoint.gives ? GIVEN_TYPES[endpoint.gives] : 'application/json']: {
                  schema: schemaOf(endpoint.answer, 'output'),
                },
              },
            },
          }
        : { '204': { description: 'Done.' } }),
      ...Object.fromEntries(failuresOf(endpoint).map((status) => [status, { description: titles(status), content: problemContent }])),
    },
    security: endpoint.signIn ? [{ session: [] }] : [],
  };
}

const GIVEN_TYPES: Record<NonNullable<Endpoint['gives']>, string> = {
  image: 'image/jpeg',
  calendar: 'text/calendar',
  pdf: 'application/pdf',
  csv: 'text/csv',
  lines: 'application/x-ndjson',
};

/** The OpenAPI 3.1 document, made from the table of addresses and their schemas. */
export function openApiDocument(version: string): object {
  const paths: Record<string, Record<string, object>> = {};
  for (const endpoint of ENDPOINTS) (paths[endpoint.path] ??= {})[endpoint.method] = operationOf(endpoint);
  return {
    openapi: '3.1.0',
    info: {
      title: 'Banter',
      version,
      description: 'Sizing, fitting and keeping records of training collars. Lengths mm, masses kg or g as named, times ISO 8601 in UTC.',
    },
    paths,
    components: {
      schemas: { Problem: schemaOf(Problem, 'output') },
      securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'banter.session' } },
    },
  };
}
