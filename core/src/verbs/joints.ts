import Joi from 'joi';
import { END_FORMS, SEAT_FORMS } from '../trade/stock/index.ts';
import * as s from './schema.ts';

const gender = s.oneOf('male', 'female');
const end = s.oneOf(...END_FORMS);
const seat = s.oneOf(...SEAT_FORMS);

export const maleSchema = s.record({ thread: s.name, end });
export const femaleSchema = s.record({ thread: s.name, seat });

/** A port of either gender: a male has an `end`, a female a `seat`. */
const half = Joi.alternatives()
  .conditional(
    Joi.object({ gender: Joi.any().valid('male').required() })
      .unknown(true)
      .required(),
    {
      then: s.record({ gender, thread: s.name, end }),
      otherwise: s.record({ gender, thread: s.name, seat }),
    },
  )
  .required();

export const adaptSchema = s.record({
  from: half,
  to: half,
  maxJoints: Joi.number().integer().min(1).max(8).optional(),
});

const sigma = Joi.number().greater(0).max(1000).optional();
export const threadSchema = s.record({
  gender,
  diameterMm: s.radius,
  pitchMm: Joi.number().greater(0).max(1000).optional(),
  tpi: Joi.number().greater(0).max(1000).optional(),
  taper: Joi.boolean().optional(),
  diameterSigmaMm: sigma,
  pitchSigmaMm: sigma,
});
