import { lines } from './lines';

/** What students of that age write at the start of a year, over and over: one line for each sort of paper. */
export const CYCLE_WRITTEN = lines(`
evaporation|condensation|precipitation|surface runoff|in ice and snow
Evaporation|condensation|rain|surface runoff|in ice and snow
evaporation|it condenses|precipitation|surface runoff|in the ground
evaporation|condensation|precipitation|surface runoff|in lakes
evapouration|condensation|rainfall|groundwater|in ice and snow
evaporation|evaporation|rain|surface runoff|in lakes
water evaporates|condensation|percipitation|surface runoff|in ice and snow
steam|clouds|rain|surface runoff|in rivers
evaporation|condensing|precipitation|groundwater|in ice and snow
evaparation|condansation|rain|surface runoff|in the ground
evaporation|condensation|precipitation|surface runoff|in rivers
transpiration|condensation|rain|vapour|in lakes
`);
