/** A number read from what someone typed, or the sentence that says what would be right. */
export type Reading = { ok: true; value: number } | { ok: false; says: string };

/** One way of writing a quantity: value in base units = (number + offset) · factor. */
export interface Unit {
  /** The name shown after a number. */
  name: string;
  /** Every spelling accepted beside its name; blanks, points and capitals in them do not matter. */
  spellings: string[];
  factor: number;
  offset?: number;
  /** The smaller unit that may follow it in one writing, as inches follow feet: “1 ft 4 in”, and “1' 4”. */
  then?: string;
}

/** A quantity and its units, as plain data. The first unit is the internal one. */
export interface Quantity {
  name: string;
  example: string;
  units: Unit[];
  /**
   * A spelling that can mean two things: it is taken as `unit` only where the studio reads that unit anyway, and is asked
   * about everywhere else.
   */
  unsure?: { spellings: string[]; unit: string; meanings: string };
}

/** US fluid ounce, exactly 231/128 in³, ml. */
const FL_OZ = 29.5735295625;
/** Avoirdupois ounce, g. */
const OZ = 28.349523125;
const OUNCES = { spellings: ['oz', 'ounce', 'ounces'], meanings: 'fluid ounces or ounces by weight' };

export const length: Quantity = {
  name: 'length',
  example: '12 in',
  units: [
    { name: 'mm', spellings: ['millimetre', 'millimetres', 'millimeter', 'millimeters'], factor: 1 },
    { name: 'cm', spellings: ['centimetre', 'centimetres', 'centimeter', 'centimeters'], factor: 10 },
    { name: 'm', spellings: ['metre', 'metres', 'meter', 'meters'], factor: 1000 },
    { name: 'in', spellings: ['inch', 'inches', '"'], factor: 25.4 },
    { name: 'ft', spellings: ['foot', 'feet', "'"], factor: 304.8, then: 'in' },
  ],
};

export const area: Quantity = {
  name: 'area',
  example: '2 sq ft',
  units: [
    { name: 'mm²', spellings: ['sq mm'], factor: 1 },
    { name: 'cm²', spellings: ['sq cm', 'square centimetres', 'square centimeters'], factor: 100 },
    { name: 'm²', spellings: ['sq m', 'square metres', 'square meters'], factor: 1e6 },
    { name: 'sq in', spellings: ['in²', 'square inch', 'square inches'], factor: 645.16 },
    { name: 'sq ft', spellings: ['ft²', 'square foot', 'square feet'], factor: 92903.04 },
  ],
};

export const volume: Quantity = {
  name: 'volume',
  example: '3 fl oz',
  units: [
    { name: 'ml', spellings: ['millilitre', 'millilitres', 'milliliter', 'milliliters', 'cc', 'cm³'], factor: 1 },
    { name: 'cl', spellings: ['centilitre', 'centilitres', 'centiliter', 'centiliters'], factor: 10 },
    { name: 'dl', spellings: ['decilitre', 'decilitres', 'deciliter', 'deciliters'], factor: 100 },
    { name: 'l', spellings: ['litre', 'litres', 'liter', 'liters'], factor: 1000 },
    { name: 'tsp', spellings: ['teaspoon', 'teaspoons'], factor: FL_OZ / 6 },
    { name: 'tbsp', spellings: ['tablespoon', 'tablespoons'], factor: FL_OZ / 2 },
    { name: 'fl oz', spellings: ['fluid oz', 'fluid ounce', 'fluid ounces', 'fl ounce', 'fl ounces'], factor: FL_OZ },
    { name: 'cup', spellings: ['cups'], factor: 8 * FL_OZ },
    { name: 'pint', spellings: ['pints', 'pt'], factor: 16 * FL_OZ },
    { name: 'quart', spellings: ['quarts', 'qt'], factor: 32 * FL_OZ },
    { name: 'gallon', spellings: ['gallons', 'gal'], factor: 128 * FL_OZ },
  ],
  unsure: { ...OUNCES, unit: 'fl oz' },
};

export const mass: Quantity = {
  name: 'weight',
  example: '92 g',
  units: [
    { name: 'g', spellings: ['gr', 'gram', 'grams', 'gramme', 'grammes'], factor: 1 },
    { name: 'kg', spellings: ['kilo', 'kilos', 'kilogram', 'kilograms'], factor: 1000 },
    { name: 'oz wt', spellings: ['oz by weight', 'ounces by weight', 'ounce by weight', 'wt oz', 'oz av'], factor: OZ },
    { name: 'lb', spellings: ['lbs', 'pound', 'pounds'], factor: 16 * OZ, then: 'oz wt' },
  ],
  unsure: { ...OUNCES, unit: 'oz wt' },
};

export const temperature: Quantity = {
  name: 'temperature',
  example: '72 F',
  units: [
    { name: '°C', spellings: ['c', 'celsius', '°'], factor: 1 },
    { name: '°F', spellings: ['f', 'fahrenheit'], factor: 5 / 9, offset: -32 },
  ],
};

export const duration: Quantity = {
  name: 'time',
  example: '20 min',
  units: [
    { name: 'min', spellings: ['m', 'mins', 'minute', 'minutes', "'"], factor: 1 },
    { name: 'h', spellings: ['hr', 'hrs', 'hour', 'hours'], factor: 60, then: 'min' },
    { name: 'd', spellings: ['day', 'days'], factor: 1440, then: 'h' },
  ],
};

/** Thickness of a film, written as a thickness or as the coverage it comes to (1 mm is 10 ml per 100 cm²). */
export const film: Quantity = {
  name: 'film',
  example: '1.5 mm, 15 ml/100 cm² or 2 oz/sq ft',
  units: [
    { name: 'mm', spellings: ['millimetre', 'millimetres', 'millimeter', 'millimeters'], factor: 1 },
    { name: 'cm', spellings: [], factor: 10 },
    { name: 'ml/100 cm²', spellings: ['cc/100 cm²'], factor: 0.1 },
    { name: 'l/m²', spellings: [], factor: 1 },
    { name: 'ml/m²', spellings: [], factor: 0.001 },
    // a coverage is of something poured: its ounces are fluid ones
    {
      name: 'fl oz/sq ft',
      spellings: ['fl oz/ft²', 'oz/ft²', 'oz/sq ft', 'fluid oz/sq ft', 'ounces/square foot', 'oz/square foot'],
      factor: (10 * FL_OZ) / 929.0304,
    },
    { name: 'in', spellings: ['inch', 'inches', '"'], factor: 25.4 },
  ],
};

export const fraction: Quantity = {
  name: 'share',
  example: '6 %',
  units: [
    { name: '', spellings: [], factor: 1 },
    { name: '%', spellings: ['percent', 'per cent'], factor: 0.01 },
  ],
};

export const density: Quantity = {
  name: 'density',
  example: '1.1 g/ml',
  units: [
    { name: 'g/ml', spellings: ['g/cm³', 'g/cc', 'kg/l'], factor: 1 },
    { name: 'kg/m³', spellings: ['g/l'], factor: 0.001 },
    { name: 'lb/gal', spellings: ['lbs/gal', 'lb/gallon', 'pounds/gallon'], factor: (16 * OZ) / (128 * FL_OZ) },
  ],
};

export const viscosity: Quantity = {
  name: 'thickness',
  example: '900 mPa·s or “like oil”',
  units: [
    { name: 'Pa·s', spellings: ['pas', 'pa s', 'pa*s'], factor: 1 },
    { name: 'mPa·s', spellings: ['mpas', 'mpa s', 'mpa*s', 'cps', 'cp', 'centipoise'], factor: 0.001 },
  ],
};

/** A number that has no unit, as a count or a price has none. */
export const bare: Quantity = { name: 'number', example: '12.5', units: [{ name: '', spellings: [], factor: 1 }] };
