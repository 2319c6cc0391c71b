/** A core type with its lists writable: Joi's strict typing knows no readonly arrays. */
export type Loose<T> = { -readonly [K in keyof T]: Exclude<T[K], undefined> extends readonly (infer U)[] ? U[] : T[K] };
