import schema from '../../../../docs/format/studio-1.json?raw';

/** The JSON Schema of files that the version before wrote; they open here too. */
export const GET = () => new Response(schema, { headers: { 'content-type': 'application/schema+json; charset=utf-8' } });
