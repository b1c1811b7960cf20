/** Units to choose from, quantity by quantity; the first is what stands where nobody chose. */
export const UNIT_CHOICES = {
  length: ['mm', 'thou', 'in'],
  height: ['m', 'ft'],
  pressure: ['kPa', 'bar', 'psi'],
  vacuum: ['kPa', 'inHg', 'mmHg', 'bar', 'psi'],
  temperature: ['°C', '°F'],
  volume: ['ml', 'US fl oz', 'imp fl oz'],
  tank: ['l', 'US gal', 'imp gal'],
  torque: ['N m', 'lb ft'],
  wire: ['mm²', 'AWG'],
} as const;
export type Quantity = keyof typeof UNIT_CHOICES;
export const QUANTITIES = Object.keys(UNIT_CHOICES) as readonly Quantity[];

/** By which units a shop goes. Electrical ones are the same everywhere. */
export type UnitHabits = { readonly [Q in Quantity]: (typeof UNIT_CHOICES)[Q][number] };
