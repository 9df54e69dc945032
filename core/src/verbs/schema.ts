import Joi from 'joi';

/** Limits at the door of every verb: absurd values are errors, unlikely ones are for the snags. */
export const length = Joi.number().min(-100_000).max(100_000).required();
export const span = Joi.number().min(0).max(100_000).required();
export const radius = Joi.number().greater(0).max(1000).required();
export const pressure = Joi.number().min(0).max(200).required();
export const volume = Joi.number().min(0).max(1_000_000).required();
export const name = Joi.string().min(1).max(200).required();
export const point = Joi.array().ordered(length, length, length).length(3).required();
const component = Joi.number().min(-1e6).max(1e6).required();
export const direction = Joi.array().ordered(component, component, component).length(3).required();
export const oneOf = (...values: string[]): Joi.Schema =>
  Joi.any()
    .valid(...values)
    .required();
export const optional = (schema: Joi.Schema): Joi.Schema => schema.optional();
/** A list of records; `unique` names the field that tells them apart. */
export const list = (item: Joi.Schema, least = 0, unique?: string): Joi.ArraySchema => {
  const array = Joi.array().items(item.optional()).min(least).max(10_000).required();
  return unique ? array.unique(unique) : array;
};
/** One radius, or a list of them. */
export const radiusOrList = Joi.alternatives()
  .conditional(Joi.array(), { then: list(radius), otherwise: radius })
  .required();
export const record = (keys: Joi.SchemaMap): Joi.ObjectSchema => Joi.object(keys).required();
