import Type, { type Static, type TSchema } from 'typebox';
import { limits } from '../limits';
import { COLOUR, DATE, MOMENT } from '../patterns';

/** The words the schema is written in. Lengths are in mm, volumes in ml, weights in g, temperatures in °C. */
export const object = <T extends Record<string, TSchema>>(properties: T) => Type.Object(properties, { additionalProperties: false });
export const range = ({ min, max }: { min: number; max: number }) => Type.Number({ minimum: min, maximum: max });
export const positive = (maximum: number) => Type.Number({ exclusiveMinimum: 0, maximum });
export const from0 = (maximum: number) => Type.Number({ minimum: 0, maximum });
export const id = () => Type.String({ pattern: '^[a-z0-9][a-z0-9-]{0,63}$' });
export const name = () => Type.String({ minLength: 1, maxLength: 80 });
export const text = () => Type.String({ maxLength: 4000 });
export const moment = () => Type.String({ format: 'date-time', pattern: MOMENT });
export const date = () => Type.String({ format: 'date', pattern: DATE });
/** As it is seen, sRGB: "#rrggbb". */
export const colour = () => Type.String({ pattern: COLOUR });
export const coordinate = () => range(limits.place);
export const hourOfDay = () => Type.Integer({ minimum: 0, maximum: 23 });
export const rgb = (maximum: number) => Type.Tuple([from0(maximum), from0(maximum), from0(maximum)]);
export const tagged = <T>(...kinds: TSchema[]) => Type.Unsafe<T>({ type: 'object', discriminator: { propertyName: 'kind' }, oneOf: kinds });

export const Point = object({ x: coordinate(), y: coordinate() });
export type Point = Static<typeof Point>;
