import { json } from '@sveltejs/kit';
import { env } from '$env/dynamic/private';

/** Whether a browser that starts here for the first time is given the sample studio. */
export const GET = () => json({ sample: env['NERITE_SAMPLE'] === '1' });
