import type { PhotoReading } from '#core/document';

/** Beyond these a picture is not measured: share burnt out or glaring, softness of edges, mm, brightest over dimmest, noise, and white that is darker, of full light. */
const most = { glare: 0.02, blur: 0.34, light: 3.2, noise: 0.09, dark: 0.045 };

/** Why a picture is not measured, and what would do; nothing where it is. @param white how bright thick white is in it, 0 to 1 */
export function refusedFor(
  { glare, blur, light, noise }: Pick<PhotoReading, 'glare' | 'blur' | 'light' | 'noise'>,
  white: number | undefined,
): string | undefined {
  if (glare > most.glare)
    return `Glare covers ${(100 * glare).toFixed(0)} % of the board, and what lies under it is lost. Turn the lamp or yourself until the film does not shine, and take it again.`;
  if (white !== undefined && white < most.dark)
    return 'The picture is too dark: white and blue have run together. Take it again with more light.';
  if (light > most.light)
    return `One side is lit ${light.toFixed(1)} times as much as the other. Take it in even light: by a large window, or out of doors in shade.`;
  if (blur > most.blur)
    return 'The picture is blurred: its edges are softer than the walls between cells are wide. Hold the camera still, let it focus on the foam, and take it again.';
  if (noise > most.noise) return 'The picture is too grainy to tell white from tint. Take it again with more light.';
  return undefined;
}
