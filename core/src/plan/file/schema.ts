import Joi from 'joi';
import { PLAN, type AnyField } from '../model/index.ts';
import type { FieldFault } from '../model/field-types.ts';

const inList = (schema: Joi.Schema): Joi.Schema => schema.optional();

/** A schema with what a value is held to between its own fields, once each of them is in order. */
function checked(
  schema: Joi.Schema,
  check: ((value: unknown) => FieldFault | string | null) | undefined,
): Joi.Schema {
  if (!check) return schema;
  return schema.custom((value: unknown, { error, state }: Joi.CustomHelpers) => {
    const fault = check(value);
    if (fault === null) return value;
    const { at, message } = typeof fault === 'string' ? { at: '', message: fault } : fault;
    const inside = at.match(/[^.[\]]+/g) ?? [];
    const path = inside.map((key) => (/^\d+$/.test(key) ? Number(key) : key));
    return error(
      'field.check',
      { sentence: message },
      state.localize!([...(state.path ?? []), ...path]),
    );
  });
}
/** A field as a schema of the library. */
function schemaOf(field: AnyField): Joi.Schema {
  switch (field.type) {
    case 'optional':
      return schemaOf(field.of).optional();
    case 'nullable':
      return schemaOf(field.of).allow(null);
    case 'flag':
      return Joi.boolean().required();
    case 'oneOf':
      return Joi.any()
        .valid(...field.of)
        .required();
    case 'number': {
      const { least, most, over, under, whole } = field;
      const low = over ? Joi.number().greater(least) : Joi.number().min(least);
      const high = under ? low.less(most) : low.max(most);
      return (whole ? high.integer() : high).unsafe().required();
    }
    case 'text': {
      const { least, most, form } = field;
      const text = Joi.string().min(least).max(most).required();
      return form ? text.pattern(form[0], form[1]) : least ? text : text.allow('');
    }
    case 'ref':
      return Joi.string().min(1).max(80).required();
    case 'tuple':
      return checked(
        Joi.array()
          .ordered(...field.of.map(schemaOf))
          .length(field.of.length)
          .required(),
        field.check,
      );
    case 'list':
      return Joi.array()
        .items(inList(schemaOf(field.of)))
        .min(field.least)
        .max(field.most)
        .required();
    case 'map':
      return Joi.object().pattern(Joi.string(), schemaOf(field.of)).required();
    case 'record':
      return checked(recordOf(field.fields), field.check);
    case 'byKind': {
      const kinds = Object.entries(field.shapes);
      const otherwise = recordOf({
        [field.tag]: { type: 'oneOf', of: kinds.map(([kind]) => kind) },
      });
      return kinds.reduce<Joi.Schema>(
        (rest, [kind, { fields }]) =>
          Joi.alternatives().conditional(
            Joi.object({ [field.tag]: Joi.any().valid(kind).required() })
              .unknown(true)
              .required(),
            { then: checked(recordOf(fields), field.check), otherwise: rest },
          ),
        otherwise,
      );
    }
  }
}
const recordOf = (fields: Readonly<Record<string, AnyField>>): Joi.Schema =>
  Joi.object(
    Object.fromEntries(Object.entries(fields).map(([key, inner]) => [key, schemaOf(inner)])),
  )
    .unknown(true)
    .required();

/** Shape of a plan file of the present version, built from the fields of the plan. Unknown fields are kept. */
export const planSchema = schemaOf(PLAN);
