import { z } from 'zod';
import { UNIT_CHOICES } from '../quantity/unitChoices.ts';

/** The units that a shop measures in, quantity by quantity. */
export const unitsSchema = z
  .object({
    length: z.enum(UNIT_CHOICES.length).default('mm'),
    height: z.enum(UNIT_CHOICES.height).default('m'),
    pressure: z.enum(UNIT_CHOICES.pressure).default('kPa'),
    vacuum: z.enum(UNIT_CHOICES.vacuum).default('kPa'),
    temperature: z.enum(UNIT_CHOICES.temperature).default('°C'),
    volume: z.enum(UNIT_CHOICES.volume).default('ml'),
    tank: z.enum(UNIT_CHOICES.tank).default('l'),
    torque: z.enum(UNIT_CHOICES.torque).default('N m'),
    wire: z.enum(UNIT_CHOICES.wire).default('mm²'),
  })
  .meta({ id: 'Units' });
