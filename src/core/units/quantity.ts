/** A number read from what someone typed, or the sentence that says what would be right. */
export type Reading = { ok: true; value: number } | { ok: false; says: string };

/** One way of writing a quantity: value in base units = (number + offset) · factor. */
export interface Unit {
  /** The name shown after a number. */
  name: string;
  /** Every spelling accepted, lower case. */
  spellings: string[];
  factor: number;
  offset?: number;
}

/** A quantity and its units, as plain data. The first unit is the internal one. */
export interface Quantity {
  name: string;
  example: string;
  units: Unit[];
}

export const length: Quantity = {
  name: 'length',
  example: '12 in',
  units: [
    { name: 'mm', spellings: ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'], factor: 1 },
    { name: 'cm', spellings: ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'], factor: 10 },
    { name: 'm', spellings: ['m', 'metre', 'metres', 'meter', 'meters'], factor: 1000 },
    { name: 'in', spellings: ['in', 'inch', 'inches', '"', '″'], factor: 25.4 },
    { name: 'ft', spellings: ['ft', 'foot', 'feet', "'", '′'], factor: 304.8 },
  ],
};

export const volume: Quantity = {
  name: 'volume',
  example: '3 fl oz',
  units: [
    { name: 'ml', spellings: ['ml', 'millilitre', 'millilitres', 'milliliter', 'milliliters'], factor: 1 },
    { name: 'cl', spellings: ['cl'], factor: 10 },
    { name: 'l', spellings: ['l', 'litre', 'litres', 'liter', 'liters'], factor: 1000 },
    // the US fluid ounce, exactly 231/128 in³
    { name: 'fl oz', spellings: ['fl oz', 'fl. oz', 'fl. oz.', 'floz', 'oz', 'ounce', 'ounces'], factor: 29.5735295625 },
  ],
};

export const mass: Quantity = {
  name: 'weight',
  example: '92 g',
  units: [
    { name: 'g', spellings: ['g', 'gr', 'gram', 'grams', 'gramme', 'grammes'], factor: 1 },
    { name: 'kg', spellings: ['kg'], factor: 1000 },
    { name: 'oz', spellings: ['oz', 'ounce', 'ounces'], factor: 28.349523125 },
    { name: 'lb', spellings: ['lb', 'lbs', 'pound', 'pounds'], factor: 453.59237 },
  ],
};

export const temperature: Quantity = {
  name: 'temperature',
  example: '72 F',
  units: [
    { name: '°C', spellings: ['°c', 'c', 'celsius', '°'], factor: 1 },
    { name: '°F', spellings: ['°f', 'f', 'fahrenheit'], factor: 5 / 9, offset: -32 },
  ],
};

export const duration: Quantity = {
  name: 'time',
  example: '20 min',
  units: [
    { name: 'min', spellings: ['min', 'mins', 'minute', 'minutes', "'"], factor: 1 },
    { name: 'h', spellings: ['h', 'hr', 'hrs', 'hour', 'hours'], factor: 60 },
    { name: 'd', spellings: ['d', 'day', 'days'], factor: 1440 },
  ],
};

/** Thickness of a film, written as a thickness or as the coverage it comes to (1 mm is 10 ml per 100 cm²). */
export const film: Quantity = {
  name: 'film',
  example: '1.5 mm or 15 ml/100 cm²',
  units: [
    { name: 'mm', spellings: ['mm'], factor: 1 },
    {
      name: 'ml/100 cm²',
      spellings: ['ml/100 cm²', 'ml/100cm²', 'ml/100 cm2', 'ml/100cm2', 'ml per 100 cm²', 'ml per 100 cm2'],
      factor: 0.1,
    },
    { name: 'l/m²', spellings: ['l/m²', 'l/m2'], factor: 1 },
    // US fluid ounces spread over a square foot (929.0304 cm²)
    {
      name: 'fl oz/ft²',
      spellings: ['fl oz/ft²', 'fl oz/ft2', 'oz/ft²', 'oz/ft2', 'fl oz per sq ft', 'oz per sq ft'],
      factor: 295.735295625 / 929.0304,
    },
    { name: 'in', spellings: ['in', 'inch', 'inches'], factor: 25.4 },
  ],
};

export const fraction: Quantity = {
  name: 'share',
  example: '6 %',
  units: [
    { name: '', spellings: [], factor: 1 },
    { name: '%', spellings: ['%', 'percent', 'per cent'], factor: 0.01 },
  ],
};

export const density: Quantity = {
  name: 'density',
  example: '1.1 g/ml',
  units: [
    { name: 'g/ml', spellings: ['g/ml', 'g/cm³', 'g/cm3', 'kg/l'], factor: 1 },
    { name: 'kg/m³', spellings: ['kg/m³', 'kg/m3', 'g/l'], factor: 0.001 },
  ],
};

/** A number that has no unit, as a count or a price has none. */
export const bare: Quantity = { name: 'number', example: '12.5', units: [{ name: '', spellings: [], factor: 1 }] };
