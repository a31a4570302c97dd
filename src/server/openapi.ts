import { Problem } from '@/contracts/compute';
import { CALCULATIONS } from './compute';

const problem = (description: string) => ({
  description,
  content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
});

/** The compute interface as OpenAPI 3.1, made from the schemas that check the bodies. */
export function openApi() {
  const paths = Object.fromEntries(
    Object.entries(CALCULATIONS).map(([name, { summary, request, response }]) => [
      `/api/v1/compute/${name}`,
      {
        post: {
          operationId: name,
          summary,
          requestBody: { required: true, content: { 'application/json': { schema: request } } },
          responses: {
            '200': {
              description: 'The answer',
              content: { 'application/json': { schema: response } },
            },
            '400': problem('Malformed body or an impossible value'),
            '422': problem('Well-formed, but the model refuses it'),
          },
        },
      },
    ]),
  );
  return {
    openapi: '3.1.0',
    info: {
      title: 'Waffenrad compute interface',
      version: '1',
      license: { name: 'MIT', identifier: 'MIT' },
      description: 'The calculations of the core. SI units; every field is named with its unit.',
    },
    paths,
    components: { schemas: { Problem } },
  };
}
