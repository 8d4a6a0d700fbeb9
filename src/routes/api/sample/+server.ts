import { json } from '@sveltejs/kit';
import studio from '../../../demo/studio.json';

/** The sample studio as it was recorded; the browser moves it to today. */
export const GET = () => json(studio);
