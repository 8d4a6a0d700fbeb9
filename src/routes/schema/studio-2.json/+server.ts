import schema from '../../../../docs/format/studio-2.json?raw';

/** The JSON Schema of the studio document, version 2. */
export const GET = () => new Response(schema, { headers: { 'content-type': 'application/schema+json; charset=utf-8' } });
