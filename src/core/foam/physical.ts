/** What is measured of the film, the air and the paint, and stands in tables: no figure here was set by eye. */
export interface Physical {
  /** Film, H, and what of it the jet warms at once, d1, mm. */
  film: number;
  skin: number;
  /** Viscosity as mixed at `refC`, Pa·s, and its activation energy, kJ/mol. */
  muRef: number;
  flowEa: number;
  refC: number;
  /** Growth of ln viscosity with the age at `refC`, 1/s, and the activation energy of the cure, kJ/mol. */
  thickens: number;
  cureEa: number;
  /** Heat capacity by volume, J/m³K; conductivity, W/mK. */
  heatCapacity: number;
  conductivity: number;
  /** Heat lost to the room and to the board, W/m²K. */
  toRoom: number;
  toBoard: number;
  /** Change of surface tension with temperature, N/mK. */
  marangoni: number;
  /** Scattering of the white, 1/mm: a paste at six parts in a hundred. */
  scatter: number;
}

/** An art resin at 23 °C, two millimetres of it, eight times as thick after three quarters of an hour. */
export const physical: Physical = {
  film: 2,
  skin: 0.3,
  muRef: 0.9,
  flowEa: 50,
  refC: 23,
  thickens: Math.log(8) / 2700,
  cureEa: 55,
  heatCapacity: 2.09e6,
  conductivity: 0.2,
  toRoom: 10,
  toBoard: 60,
  marangoni: -8e-5,
  scatter: 15,
};
