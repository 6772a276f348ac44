import { lines } from './lines';

/** What the 13 of group blue wrote. */
export const MAPS_WRITTEN = lines(`
B|340|20 m|south-east|a steep slope|watershed
B|340 m|120|SE|a steep slope|water shed
B|340|20|south|a steep slope|divide
A|320|20|southeast|high land|catchment
B|340m|20 m|South East|a steep slope|Watershed
B|340|0.05|south-east|a steep slope|the top of the hill
D|350|120 m|east|flat land|basin
B|340|20|SE|a steep slope|watershead
B|340 metres|20|south-east|a steep slope|watershed
B|320|12|north-west|a steep slope|border
B|340|20 m per km|south-east|a steep slope|drainage divide
B|340|120|south east|high land|watershed
C|34|2|down|wet land|
`);
