/** A core type with its lists writable: Joi's strict typing knows no readonly arrays. */
export type Loose<T> = { -readonly [K in keyof T]: T[K] extends readonly (infer U)[] ? U[] : T[K] };
