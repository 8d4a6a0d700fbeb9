import schema from '../../../../docs/format/studio-1.json?raw';

/** The JSON Schema of the studio document, version 1. */
export const GET = () => new Response(schema, { headers: { 'content-type': 'application/schema+json; charset=utf-8' } });
