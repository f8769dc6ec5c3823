/**
 * The API described as OpenAPI 3.1, from its table of endpoints: Zod gives the JSON Schema of each, which is the very dialect
 * that 3.1 takes. What a schema cannot say (a document of the core's own type) is any value there.
 */
import { z } from 'zod';
import { problemDocument } from '../../../contract/api';
import { ENDPOINTS, type Endpoint, FILE } from '../../../contract/endpoints';
import { ENDPOINT_WORDS } from './endpointWords';

type Node = Record<string, unknown>;

const schemaOf = (schema: z.ZodType, io: 'input' | 'output'): Node => {
  const { $schema: _, ...node } = z.toJSONSchema(schema, { io, unrepresentable: 'any' }) as Node;
  return node;
};

const ANY_FILE = { '*/*': { schema: { type: 'string', format: 'binary' } } };
const json = (schema: Node): Node => ({ 'application/json': { schema } });

function parametersOf({ path, query }: Endpoint): Node[] {
  const parts = [...path.matchAll(/:(\w+)/g)].map(([, name]) => ({
    name,
    in: 'path',
    required: true,
    schema: { type: 'string' },
  }));
  const asked = schemaOf(query, 'input') as { properties?: Record<string, Node>; required?: string[] };
  return [
    ...parts,
    ...Object.entries(asked.properties ?? {}).map(([name, schema]) => ({
      name,
      in: 'query',
      required: asked.required?.includes(name) ?? false,
      schema,
    })),
  ];
}

function operationOf(name: string, endpoint: Endpoint): Node {
  const { body, answer, status } = endpoint;
  const problem = {
    description: 'What is wrong, by field (RFC 9457)',
    content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
  };
  return {
    operationId: name,
    summary: ENDPOINT_WORDS[name as keyof typeof ENDPOINT_WORDS],
    tags: [endpoint.path.split('/')[1] ?? ''],
    parameters: parametersOf(endpoint),
    ...(body === null
      ? {}
      : {
          requestBody: {
            required: true,
            content: body === FILE ? ANY_FILE : json(schemaOf(body, 'input')),
          },
        }),
    responses: {
      [String(status)]: {
        description: 'The answer',
        content: answer === FILE ? ANY_FILE : json(schemaOf(answer, 'output')),
      },
      default: problem,
    },
  };
}

/** The whole description; `version` of the app. */
export function apiDescription(version: string): Node {
  const paths: Record<string, Node> = {};
  for (const [name, endpoint] of Object.entries(ENDPOINTS) as [string, Endpoint][]) {
    const path = endpoint.path.replace(/:(\w+)/g, '{$1}');
    paths[path] = { ...paths[path], [endpoint.method.toLowerCase()]: operationOf(name, endpoint) };
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Green Abacus',
      version,
      description:
        'The API that every screen of the app uses. Entries are append-only: a correction is a new entry that supersedes an old one. Sent again with the same id, nothing is written twice.',
    },
    servers: [{ url: '/api' }],
    paths,
    components: { schemas: { Problem: schemaOf(problemDocument, 'output') } },
  };
}
