/** How far off what is not measured usually is, one standard deviation: the air, °C; ln of working time, viscosity and thresholds; kJ/mol. */
export const ordinaryDoubts = { temperature: 1, working: 0.15, viscosity: 0.15, ea: 4, eMu: 6, threshold: 0.1 };

/** And what is left of it once it is measured: by a thermometer beside the board, by a bead on a tile. */
export const measuredDoubts = { temperature: 0.3, viscosity: 0.05 };
